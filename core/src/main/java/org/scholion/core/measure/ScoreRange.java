package org.scholion.core.measure;

import java.util.Optional;
import org.scholion.core.number.Fraction;

/**
 * What the standard error says of a score in the middle of the group: it could as well be one standard error lower or
 * higher. All are percentages, rounded to whole ones.
 */
public record ScoreRange(int low, int score, int high) {
    /** Empty where there is no standard error, or nothing to be out of. */
    public static Optional<ScoreRange> of(TestMeasures test, Fraction possible) {
        Double mean = test.mean().value();
        Double sem = test.sem().value();
        if (mean == null || sem == null || possible.signum() <= 0) {
            return Optional.empty();
        }
        double whole = possible.toDouble();
        return Optional.of(
                new ScoreRange(percent(mean - sem, whole), percent(mean, whole), percent(mean + sem, whole)));
    }

    private static int percent(double points, double whole) {
        return (int) Math.round(100 * points / whole);
    }
}
