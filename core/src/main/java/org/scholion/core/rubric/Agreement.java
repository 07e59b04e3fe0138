package org.scholion.core.rubric;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.scholion.core.item.Rubric;
import org.scholion.core.number.Fraction;

/**
 * How far two readers agree on one criterion over the same answers.
 *
 * @param n answers that both have read
 * @param exact share on the same level; null when n is 0
 * @param adjacent share on the same level or one beside it; null when n is 0
 * @param kappa quadratically weighted (Cohen 1968); null when n is 0 or neither reader's levels vary
 * @param meanDifference first reader's points less the second's: above 0, the second is stricter; null when n is 0
 */
public record Agreement(
        int n,
        @Nullable Fraction exact,
        @Nullable Fraction adjacent,
        @Nullable Double kappa,
        @Nullable Fraction meanDifference) {

    /** The level ids that two readers chose for one answer. */
    public record Pair(String first, String second) {}

    /**
     * The agreement, with the levels in the criterion's order.
     *
     * @throws IllegalArgumentException when a level is not the criterion's
     */
    public static Agreement of(Rubric.Criterion criterion, List<Pair> pairs) {
        int k = criterion.levels().size();
        int[][] table = new int[k][k];
        pairs.forEach(p -> table[place(criterion, p.first())][place(criterion, p.second())]++);
        int n = pairs.size();
        if (n == 0) {
            return new Agreement(0, null, null, null, null);
        }
        int exact = 0;
        int adjacent = 0;
        Fraction difference = Fraction.ZERO;
        for (int i = 0; i < k; i++) {
            for (int j = 0; j < k; j++) {
                exact += i == j ? table[i][j] : 0;
                adjacent += Math.abs(i - j) <= 1 ? table[i][j] : 0;
                Fraction apart = points(criterion, i).minus(points(criterion, j));
                difference = difference.plus(apart.times(table[i][j]));
            }
        }
        return new Agreement(n, Fraction.of(exact, n), Fraction.of(adjacent, n), kappa(table, n), difference.over(n));
    }

    private static int place(Rubric.Criterion criterion, String level) {
        for (int i = 0; i < criterion.levels().size(); i++) {
            if (criterion.levels().get(i).id().equals(level)) {
                return i;
            }
        }
        throw new IllegalArgumentException("criterion '" + criterion.id() + "' has no level '" + level + "'");
    }

    private static Fraction points(Rubric.Criterion criterion, int level) {
        return criterion.levels().get(level).points().times(criterion.weight());
    }

    /** 1 - Σ (i-j)² observed / Σ (i-j)² expected by chance from the margins. */
    private static @Nullable Double kappa(int[][] table, int n) {
        int k = table.length;
        long[] rows = new long[k];
        long[] columns = new long[k];
        for (int i = 0; i < k; i++) {
            for (int j = 0; j < k; j++) {
                rows[i] += table[i][j];
                columns[j] += table[i][j];
            }
        }
        long observed = 0;
        long expected = 0;
        for (int i = 0; i < k; i++) {
            for (int j = 0; j < k; j++) {
                long apart = (long) (i - j) * (i - j);
                observed += apart * table[i][j] * n;
                expected += apart * rows[i] * columns[j];
            }
        }
        return expected == 0 ? null : 1 - (double) observed / expected;
    }
}
