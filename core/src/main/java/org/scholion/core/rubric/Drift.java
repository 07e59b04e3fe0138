package org.scholion.core.rubric;

import java.util.List;
import java.util.Optional;
import org.scholion.core.number.Fraction;

/**
 * What a reader gave at first and at last, of answers that come by chance: the two would be much the same.
 *
 * @param each so many are looked at on both sides, a third of all
 * @param first the mean credit of the first ones, and {@code last} of the last ones
 */
public record Drift(int each, Fraction first, Fraction last) {
    /** Of fewer nothing is said. */
    static final int LEAST = 12;

    /**
     * @param credits in the order in which they were given
     * @return empty for fewer than twelve
     */
    public static Optional<Drift> of(List<Fraction> credits) {
        if (credits.size() < LEAST) {
            return Optional.empty();
        }
        int each = credits.size() / 3;
        return Optional.of(new Drift(
                each,
                Fraction.mean(credits.subList(0, each)),
                Fraction.mean(credits.subList(credits.size() - each, credits.size()))));
    }
}
