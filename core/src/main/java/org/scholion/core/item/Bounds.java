package org.scholion.core.item;

import org.scholion.core.number.Fraction;

/** The ranges that definitions must keep. */
final class Bounds {
    private static final Fraction MINUS_ONE = Fraction.of(-1);

    private Bounds() {}

    static void credit(String place, Fraction credit) {
        Faulty.unless(
                credit.compareTo(MINUS_ONE) >= 0 && credit.compareTo(Fraction.ONE) <= 0,
                place,
                "credit " + credit + " must be between −1 and 1");
    }

    static void share(String place, Fraction share) {
        Faulty.unless(share.signum() >= 0 && share.compareTo(Fraction.ONE) <= 0, place, share + " is not from 0 to 1");
    }
}
