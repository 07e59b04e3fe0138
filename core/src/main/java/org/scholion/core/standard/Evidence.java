package org.scholion.core.standard;

import org.jspecify.annotations.Nullable;
import org.scholion.core.number.Fraction;

/**
 * What a student has shown on one standard and on all below it.
 *
 * @param score Σ weight × score
 * @param possible Σ weight × points
 * @param pieces how many items, criteria or parts it rests on
 */
public record Evidence(Fraction score, Fraction possible, int pieces) {
    public static final Evidence NONE = new Evidence(Fraction.ZERO, Fraction.ZERO, 0);

    public Evidence plus(Evidence other) {
        return new Evidence(score.plus(other.score), possible.plus(other.possible), pieces + other.pieces);
    }

    /** The share in percent, exact; null when nothing was possible. */
    public @Nullable Fraction percent() {
        return possible.isZero() ? null : score.times(Fraction.HUNDRED).over(possible);
    }

    /** Wilson's interval of the share, with the possible as the number of trials; null when nothing was possible. */
    public @Nullable Wilson interval() {
        return possible.signum() <= 0 ? null : Wilson.of(score.over(possible).toDouble(), possible.toDouble());
    }
}
