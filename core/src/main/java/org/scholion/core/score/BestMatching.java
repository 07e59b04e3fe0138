package org.scholion.core.score;

import java.util.Arrays;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.scholion.core.number.Fraction;

/**
 * Matches answers to keys one to one so that the sum of credits is highest; of equal sums the one with the fewest
 * doubts; of those the one that keeps earlier answers with earlier keys.
 *
 * <p>The assignment problem by the Hungarian method (Kuhn 1955, Munkres 1957) with potentials, on exact costs.
 */
final class BestMatching {
    private final Cost[][] costs;
    private final int n;

    /** A cost to be made least: minus the credit first, then doubts. */
    private record Cost(Fraction lost, int doubts) implements Comparable<Cost> {
        static final Cost ZERO = new Cost(Fraction.ZERO, 0);
        /** More than any sum of real costs, for pairs that are ruled out. */
        static final Cost FORBIDDEN = new Cost(Fraction.of(1_000_000), 0);

        Cost plus(Cost other) {
            return new Cost(lost.plus(other.lost), doubts + other.doubts);
        }

        Cost minus(Cost other) {
            return new Cost(lost.minus(other.lost), doubts - other.doubts);
        }

        @Override
        public int compareTo(Cost other) {
            int byCredit = lost.compareTo(other.lost);
            return byCredit != 0 ? byCredit : Integer.compare(doubts, other.doubts);
        }
    }

    private BestMatching(Mark[][] marks) {
        n = marks.length;
        costs = new Cost[n][n];
        for (int a = 0; a < n; a++) {
            for (int k = 0; k < n; k++) {
                Mark mark = marks[a][k];
                costs[a][k] = new Cost(mark.credit().negate(), mark.state() == State.SETTLE ? 1 : 0);
            }
        }
    }

    /** For each answer the place of its key; {@code marks[a][k]} is what answer a would get under key k. */
    static int[] of(Mark[][] marks) {
        return new BestMatching(marks).earliest();
    }

    /** Fixes answers one by one to the earliest key with which the best sum can still be reached. */
    private int[] earliest() {
        Cost best = total(solve());
        for (int a = 0; a < n; a++) {
            for (int k = 0; k < n; k++) {
                Cost[] kept = costs[a].clone();
                for (int other = 0; other < n; other++) {
                    if (other != k) {
                        costs[a][other] = Cost.FORBIDDEN;
                    }
                }
                if (total(solve()).compareTo(best) == 0) {
                    break;
                }
                costs[a] = kept;
            }
        }
        return solve();
    }

    private Cost total(int[] keys) {
        Cost sum = Cost.ZERO;
        for (int a = 0; a < n; a++) {
            sum = sum.plus(costs[a][keys[a]]);
        }
        return sum;
    }

    private int[] solve() {
        Cost[] rows = new Cost[n + 1];
        Cost[] columns = new Cost[n + 1];
        Arrays.fill(rows, Cost.ZERO);
        Arrays.fill(columns, Cost.ZERO);
        int[] rowOf = new int[n + 1];
        for (int row = 1; row <= n; row++) {
            augment(row, rowOf, rows, columns);
        }
        int[] keys = new int[n];
        for (int column = 1; column <= n; column++) {
            keys[rowOf[column] - 1] = column - 1;
        }
        return keys;
    }

    private void augment(int row, int[] rowOf, Cost[] rows, Cost[] columns) {
        @Nullable Cost[] least = new Cost[n + 1];
        boolean[] used = new boolean[n + 1];
        int[] way = new int[n + 1];
        rowOf[0] = row;
        int column = 0;
        do {
            used[column] = true;
            int at = rowOf[column];
            Cost delta = null;
            int next = 0;
            for (int j = 1; j <= n; j++) {
                if (used[j]) {
                    continue;
                }
                Cost reduced = costs[at - 1][j - 1].minus(rows[at]).minus(columns[j]);
                Cost known = least[j];
                if (known == null || reduced.compareTo(known) < 0) {
                    least[j] = reduced;
                    way[j] = column;
                }
                Cost nearest = Objects.requireNonNull(least[j]);
                if (delta == null || nearest.compareTo(delta) < 0) {
                    delta = nearest;
                    next = j;
                }
            }
            Cost step = delta == null ? Cost.ZERO : delta;
            for (int j = 0; j <= n; j++) {
                if (used[j]) {
                    rows[rowOf[j]] = rows[rowOf[j]].plus(step);
                    columns[j] = columns[j].minus(step);
                } else {
                    Cost known = least[j];
                    least[j] = known == null ? null : known.minus(step);
                }
            }
            column = next;
        } while (rowOf[column] != 0);
        while (column != 0) {
            int before = way[column];
            rowOf[column] = rowOf[before];
            column = before;
        }
    }
}
