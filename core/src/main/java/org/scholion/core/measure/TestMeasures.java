package org.scholion.core.measure;

import java.util.Arrays;

/**
 * What the answers tell about the whole paper, in points.
 *
 * @param alpha reliability: k/(k-1) × (1 - Σ var(item) / var(total)), sample variances; KR-20 for 0/1 items
 * @param sem standard error of measurement: sd × √(1 - α)
 */
public record TestMeasures(
        int n,
        Figure mean,
        Figure sd,
        Figure min,
        Figure q1,
        Figure median,
        Figure q3,
        Figure max,
        Figure alpha,
        Figure sem) {

    public static TestMeasures of(Scores scores) {
        double[] totals = scores.totals();
        int n = totals.length;
        double[] sorted = totals.clone();
        Arrays.sort(sorted);
        Figure nobody = Figure.undefined("nobody has answered yet");
        Figure sd =
                n < 2 ? Figure.undefined("needs at least 2 attempts") : Figure.of(Math.sqrt(Moments.variance(totals)));
        Figure alpha = alpha(scores, totals);
        return new TestMeasures(
                n,
                n == 0 ? nobody : Figure.of(Moments.mean(totals)),
                sd,
                n == 0 ? nobody : Figure.of(sorted[0]),
                n == 0 ? nobody : Figure.of(quantile(sorted, 0.25)),
                n == 0 ? nobody : Figure.of(quantile(sorted, 0.5)),
                n == 0 ? nobody : Figure.of(quantile(sorted, 0.75)),
                n == 0 ? nobody : Figure.of(sorted[n - 1]),
                alpha,
                sem(sd, alpha));
    }

    private static Figure alpha(Scores scores, double[] totals) {
        int k = scores.items();
        if (k < 2) {
            return Figure.undefined("needs at least 2 items");
        }
        if (totals.length < 2) {
            return Figure.undefined("needs at least 2 attempts");
        }
        double spread = Moments.variance(totals);
        if (spread == 0) {
            return Figure.undefined("all have the same total");
        }
        double within = 0;
        for (double[] item : scores.byItem()) {
            within += Moments.variance(item);
        }
        return Figure.of((double) k / (k - 1) * (1 - within / spread));
    }

    private static Figure sem(Figure sd, Figure alpha) {
        if (sd.value() == null || alpha.value() == null) {
            return Figure.undefined("rests on the reliability, which is undefined");
        }
        return alpha.value() > 1
                ? Figure.undefined("the reliability is above 1")
                : Figure.of(sd.value() * Math.sqrt(1 - alpha.value()));
    }

    /** Linear interpolation between order statistics at (n-1)q. */
    static double quantile(double[] sorted, double q) {
        double at = (sorted.length - 1) * q;
        int below = (int) Math.floor(at);
        int above = Math.min(below + 1, sorted.length - 1);
        return sorted[below] + (at - below) * (sorted[above] - sorted[below]);
    }
}
