package org.scholion.core.measure;

import java.util.ArrayList;
import java.util.List;
import org.scholion.core.number.Fraction;

/**
 * Where one attempt stands among all.
 *
 * @param total T in points
 * @param solved counting items with full points
 * @param percentile 100 × (number below + half the number equal, oneself included) / N
 */
public record Standing(double total, int solved, double percentile) {

    /** One for each attempt, in the same order. */
    public static List<Standing> of(Scores scores) {
        return of(scores, new Ranks(scores.totals()));
    }

    static List<Standing> of(Scores scores, Ranks ranks) {
        double[] percentiles = percentiles(ranks);
        int[] solved = scores.solved();
        List<Standing> all = new ArrayList<>(solved.length);
        for (int i = 0; i < solved.length; i++) {
            int c = ranks.classOf()[i];
            all.add(new Standing(ranks.total(c) / scores.scale(), solved[i], percentiles[c]));
        }
        return all;
    }

    private static double[] percentiles(Ranks ranks) {
        double[] percentiles = new double[ranks.classes()];
        long below = 0;
        for (int c = 0; c < percentiles.length; c++) {
            percentiles[c] = Fraction.of(100 * (2 * below + ranks.size(c)), 2L * ranks.attempts())
                    .toDouble();
            below += ranks.size(c);
        }
        return percentiles;
    }
}
