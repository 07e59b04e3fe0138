package org.scholion.core.measure;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.scholion.core.number.Fraction;

/**
 * How a few exact figures lie, such as the percentages of a class.
 *
 * @param n how many there are
 * @param q1 the lower quartile, by linear interpolation between order statistics at (n-1)/4; the median and {@code q3}
 *     likewise
 */
public record Spread(int n, Fraction mean, Fraction q1, Fraction median, Fraction q3) {
    /** Empty where there are none. */
    public static Optional<Spread> of(Collection<Fraction> figures) {
        if (figures.isEmpty()) {
            return Optional.empty();
        }
        List<Fraction> sorted = figures.stream().sorted().toList();
        return Optional.of(new Spread(
                sorted.size(), Fraction.mean(sorted), quarter(sorted, 1), quarter(sorted, 2), quarter(sorted, 3)));
    }

    private static Fraction quarter(List<Fraction> sorted, int quarters) {
        int fourfold = (sorted.size() - 1) * quarters;
        Fraction low = sorted.get(fourfold / 4);
        Fraction high = sorted.get(Math.min(fourfold / 4 + 1, sorted.size() - 1));
        return low.plus(high.minus(low).times(Fraction.of(fourfold % 4, 4)));
    }
}
