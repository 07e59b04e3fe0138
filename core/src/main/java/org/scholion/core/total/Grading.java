package org.scholion.core.total;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.scholion.core.item.Faulty;
import org.scholion.core.number.Fraction;

/**
 * How marks become a result.
 *
 * @param percentDigits decimals of the percent on which bands and the pass mark are decided
 * @param negativeTotals whether a total may lie below 0
 * @param bands in any order; the highest {@code from} that is reached holds
 * @param pass the percent from which the assessment is passed
 */
public record Grading(
        int percentDigits,
        boolean negativeTotals,
        @Nullable Late late,
        List<Curve> curve,
        Attempts attempts,
        List<Band> bands,
        @Nullable Fraction pass) {

    /** Which of several attempts counts. */
    public enum Attempts {
        BEST,
        LAST,
        FIRST,
        MEAN
    }

    /** What a day of lateness costs and the most that it can cost, as shares. */
    public record Late(Fraction perDay, Fraction cap) {
        public Late {
            Faulty.unless(perDay.signum() >= 0, "perDay", "perDay " + perDay + " is below 0");
            Faulty.unless(
                    cap.signum() >= 0 && cap.compareTo(Fraction.ONE) <= 0, "cap", "cap " + cap + " is not from 0 to 1");
        }

        /** The factor that is left after so many days, begun days counting whole. */
        public Fraction factor(Fraction days) {
            return Fraction.ONE.minus(
                    cap.min(perDay.times(days.max(Fraction.ZERO).ceiling())));
        }
    }

    /** What a percent from here on is called, and what is said to whoever reaches it. */
    public record Band(
            Fraction from, String label, @Nullable String message) {}

    public static final Grading PLAIN = new Grading(1, false, null, List.of(), Attempts.BEST, List.of(), null);

    public Grading {
        curve = List.copyOf(curve);
        bands = List.copyOf(bands);
        Faulty.unless(percentDigits >= 0 && percentDigits <= 6, "percentDigits", percentDigits + " is not from 0 to 6");
        Set<Fraction> froms = new HashSet<>();
        for (int i = 0; i < bands.size(); i++) {
            Faulty.unless(
                    froms.add(bands.get(i).from()),
                    "bands[" + i + "].from",
                    "two bands begin at " + bands.get(i).from());
        }
    }

    /** Whether an attempt's percent can only be told once every attempt of its sitting is looked at. */
    public boolean looksAtTheSitting() {
        return curve.stream().anyMatch(Curve::needsHighest);
    }

    public @Nullable Fraction rounded(@Nullable Fraction percent) {
        return percent == null ? null : percent.rounded(percentDigits);
    }

    /** The band of a rounded percent; none below the lowest. */
    public Optional<Band> band(@Nullable Fraction percent) {
        return bands.stream()
                .filter(b -> percent != null && b.from().compareTo(percent) <= 0)
                .max((a, b) -> a.from().compareTo(b.from()));
    }

    /** Whether a rounded percent passes; null without a percent or without a pass mark. */
    public @Nullable Boolean passed(@Nullable Fraction percent) {
        return percent == null || pass == null ? null : percent.compareTo(pass) >= 0;
    }
}
