package org.scholion.core.standard;

import org.scholion.core.item.Faulty;
import org.scholion.core.number.Fraction;

/** How evidence of several assessments becomes one attainment. */
public sealed interface Method {
    /** All evidence pooled. */
    record Share() implements Method {}

    /** The last n assessments that touch the standard, pooled. */
    record Latest(int n) implements Method {
        public Latest {
            Faulty.unless(n >= 1, "latest", "latest " + n + " is below 1");
        }
    }

    /** In order of time m ← w × new + (1 - w) × m. */
    record Decay(Fraction w) implements Method {
        public static final Decay USUAL = new Decay(Fraction.of(65, 100));

        public Decay {
            Faulty.unless(
                    w.signum() > 0 && w.compareTo(Fraction.ONE) <= 0,
                    "decay",
                    "decay " + w + " is not above 0 and at most 1");
        }
    }

    /** The assessment with the highest share. */
    record Best() implements Method {}

    /** The highest level at whose bound, or above it, n of the last m evidences lie. */
    record Count(int n, int m) implements Method {
        public Count {
            Faulty.unless(n >= 1 && n <= m, "count", n + " of " + m + " cannot be");
        }
    }
}
