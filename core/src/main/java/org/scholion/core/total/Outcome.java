package org.scholion.core.total;

import org.jspecify.annotations.Nullable;
import org.scholion.core.number.Fraction;

/**
 * What an attempt came to.
 *
 * @param exact the percent after the curve, before rounding
 * @param percent rounded; what is shown and what bands and the pass mark are decided on
 */
public record Outcome(
        AttemptTotal total,
        @Nullable Fraction exact,
        @Nullable Fraction percent,
        Grading.@Nullable Band band,
        @Nullable Boolean passed) {

    static Outcome of(Grading grading, AttemptTotal total, @Nullable Fraction exact) {
        Fraction percent = grading.rounded(exact);
        return new Outcome(total, exact, percent, grading.band(percent).orElse(null), grading.passed(percent));
    }
}
