package org.scholion.core.total;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.scholion.core.number.Fraction;

/** From the totals of a whole sitting to its outcomes: the curve, rounding, bands, and which attempt counts. */
public final class Outcomes {
    private Outcomes() {}

    /** One outcome for each attempt of the sitting, in the same order. */
    public static List<Outcome> of(Grading grading, List<AttemptTotal> totals) {
        List<@Nullable Fraction> percents = new ArrayList<>();
        totals.forEach(t -> percents.add(t.percent()));
        for (Curve step : grading.curve()) {
            Fraction highest = Fraction.ZERO;
            for (Fraction percent : percents) {
                highest = percent == null ? highest : highest.max(percent);
            }
            for (int i = 0; i < percents.size(); i++) {
                Fraction percent = percents.get(i);
                percents.set(i, percent == null ? null : step.apply(percent, highest));
            }
        }
        List<Outcome> outcomes = new ArrayList<>();
        for (int i = 0; i < totals.size(); i++) {
            outcomes.add(Outcome.of(grading, totals.get(i), percents.get(i)));
        }
        return outcomes;
    }

    /**
     * A student's result over attempts.
     *
     * @param counting the place of the attempt that counts; -1 when all do
     */
    public record Result(
            int counting,
            @Nullable Fraction percent,
            Grading.@Nullable Band band,
            @Nullable Boolean passed,
            boolean provisional) {

        /** The place of the attempt that stands for the student, of so many: the one that counts, else the last. */
        public int standing(int attempts) {
            return counting < 0 ? attempts - 1 : counting;
        }
    }

    /**
     * What a student's attempts, in order of time, come to together.
     *
     * @throws IllegalArgumentException when there is no attempt
     */
    public static Result result(Grading grading, List<Outcome> attempts) {
        if (attempts.isEmpty()) {
            throw new IllegalArgumentException("no attempt, so no result");
        }
        return grading.attempts() == Grading.Attempts.MEAN ? mean(grading, attempts) : one(grading, attempts);
    }

    private static Result one(Grading grading, List<Outcome> attempts) {
        int counting = switch (grading.attempts()) {
            case FIRST -> 0;
            case LAST, MEAN -> attempts.size() - 1;
            case BEST -> best(attempts);
        };
        Outcome o = attempts.get(counting);
        return new Result(counting, o.percent(), o.band(), o.passed(), o.total().provisional());
    }

    private static int best(List<Outcome> attempts) {
        int best = 0;
        for (int i = 1; i < attempts.size(); i++) {
            Fraction percent = attempts.get(i).exact();
            Fraction highest = attempts.get(best).exact();
            if (percent != null && (highest == null || percent.compareTo(highest) > 0)) {
                best = i;
            }
        }
        return best;
    }

    private static Result mean(Grading grading, List<Outcome> attempts) {
        Fraction sum = Fraction.ZERO;
        int n = 0;
        boolean provisional = false;
        for (Outcome attempt : attempts) {
            if (attempt.exact() != null) {
                sum = sum.plus(attempt.exact());
                n++;
            }
            provisional |= attempt.total().provisional();
        }
        Fraction percent = n == 0 ? null : grading.rounded(sum.over(n));
        return new Result(-1, percent, grading.band(percent).orElse(null), grading.passed(percent), provisional);
    }
}
