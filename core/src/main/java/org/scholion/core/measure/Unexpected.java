package org.scholion.core.measure;

import java.util.ArrayList;
import java.util.List;

/**
 * What does not fit the rest of one attempt: no points where nearly all others have full points, from a student who
 * solved at least half of the paper; or full points where few others have them, from one who solved at most half.
 *
 * @param item the place of the item
 * @param solved whether it was solved; otherwise it was missed
 */
public record Unexpected(int item, boolean solved) {
    /** With fewer attempts or items, others say too little. */
    private static final int LEAST_ATTEMPTS = 10;

    private static final int LEAST_ITEMS = 5;
    private static final double NEARLY_ALL = 0.9;
    private static final double FEW = 0.3;

    /** For each attempt what does not fit, in the order of the paper. */
    public static List<List<Unexpected>> of(Scores scores) {
        int n = scores.attempts();
        List<List<Unexpected>> all = new ArrayList<>(n);
        for (int i = 0; i < n; i++) {
            all.add(new ArrayList<>(0));
        }
        int[] counting = scores.counting();
        if (n < LEAST_ATTEMPTS || counting.length < LEAST_ITEMS) {
            return all;
        }
        int[] solved = scores.solved();
        for (int j : counting) {
            of(scores, j, solved, counting.length, all);
        }
        return all;
    }

    private static void of(Scores scores, int j, int[] solved, int items, List<List<Unexpected>> all) {
        int[] codes = scores.item(j).codes();
        int[] full = scores.solvedKinds(j);
        double[] worth = scores.values(j);
        int whole = 0;
        for (int code : codes) {
            whole += full[code];
        }
        for (int i = 0; i < codes.length; i++) {
            boolean has = full[codes[i]] == 1;
            double others = (double) (whole - full[codes[i]]) / (codes.length - 1);
            if (!has && worth[codes[i]] <= 0 && others >= NEARLY_ALL && 2 * solved[i] >= items) {
                all.get(i).add(new Unexpected(j, false));
            } else if (has && others <= FEW && 2 * solved[i] <= items) {
                all.get(i).add(new Unexpected(j, true));
            }
        }
    }
}
