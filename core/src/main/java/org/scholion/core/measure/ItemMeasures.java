package org.scholion.core.measure;

import java.util.ArrayList;
import java.util.List;

/**
 * What the answers tell about one item.
 *
 * @param difficulty mean score as a share of the points, a blank counting 0 (the facility of the textbooks)
 * @param itemRest Pearson's r of the item's score with the rest of the total
 * @param blank share of attempts that left it blank
 */
public record ItemMeasures(Figure difficulty, Figure itemRest, Figure blank) {

    /** The measures of every item, in the order of the scores. */
    public static List<ItemMeasures> of(Scores scores) {
        double[] totals = scores.totals();
        List<ItemMeasures> all = new ArrayList<>();
        for (int j = 0; j < scores.items(); j++) {
            all.add(new ItemMeasures(difficulty(scores, j), itemRest(scores, j, totals), blank(scores, j)));
        }
        return all;
    }

    private static Figure difficulty(Scores scores, int j) {
        if (scores.attempts() == 0) {
            return Figure.undefined("nobody has answered yet");
        }
        return scores.points()[j] == 0
                ? Figure.undefined("the item has no points")
                : Figure.of(Moments.mean(scores.byItem()[j]) / scores.points()[j]);
    }

    private static Figure itemRest(Scores scores, int j, double[] totals) {
        int n = scores.attempts();
        if (n < 3) {
            return Figure.undefined("needs at least 3 attempts");
        }
        double[] x = scores.byItem()[j];
        double[] rest = new double[n];
        for (int i = 0; i < n; i++) {
            rest[i] = totals[i] - x[i];
        }
        if (Moments.isConstant(x)) {
            return Figure.undefined("all have the same score on it");
        }
        return Moments.isConstant(rest)
                ? Figure.undefined("all have the same score on the rest")
                : Figure.of(Moments.correlation(x, rest));
    }

    private static Figure blank(Scores scores, int j) {
        if (scores.attempts() == 0) {
            return Figure.undefined("nobody has answered yet");
        }
        int blanks = 0;
        for (boolean b : scores.blank()[j]) {
            blanks += b ? 1 : 0;
        }
        return Figure.of((double) blanks / scores.attempts());
    }
}
