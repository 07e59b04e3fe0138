package org.scholion.core.measure;

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
        return of(Paper.of(scores));
    }

    static TestMeasures of(Paper paper) {
        Ranks ranks = paper.groups().ranks();
        int n = ranks.attempts();
        double scale = paper.scores().scale();
        Moments totals = paper.groups().totals();
        Figure sd =
                n < 2 ? Figure.undefined("needs at least 2 attempts") : Figure.of(Math.sqrt(totals.variance()) / scale);
        Figure alpha = paper.alpha();
        return new TestMeasures(
                n,
                n == 0 ? Figure.undefined("nobody has answered yet") : Figure.of(totals.mean(scale)),
                sd,
                quantile(ranks, 0, scale),
                quantile(ranks, 0.25, scale),
                quantile(ranks, 0.5, scale),
                quantile(ranks, 0.75, scale),
                quantile(ranks, 1, scale),
                alpha,
                sem(sd, alpha));
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
    private static Figure quantile(Ranks ranks, double q, double scale) {
        int n = ranks.attempts();
        if (n == 0) {
            return Figure.undefined("nobody has answered yet");
        }
        double at = (n - 1) * q;
        int below = (int) Math.floor(at);
        double low = ranks.ordered(below);
        double high = ranks.ordered(Math.min(below + 1, n - 1));
        return Figure.of((low + (at - below) * (high - low)) / scale);
    }
}
