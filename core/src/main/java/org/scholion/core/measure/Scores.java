package org.scholion.core.measure;

import java.util.Arrays;

/**
 * The scores of N attempts on k items, in points: what every measure is computed from.
 *
 * @param byItem one array for each item, one place for each attempt
 * @param blank whether each was blank, in the same order
 * @param points each item's points
 */
public record Scores(double[][] byItem, boolean[][] blank, double[] points) {
    public int attempts() {
        return byItem.length == 0 ? 0 : byItem[0].length;
    }

    public int items() {
        return byItem.length;
    }

    /** Each attempt's total over all items. */
    public double[] totals() {
        double[] totals = new double[attempts()];
        for (double[] item : byItem) {
            for (int i = 0; i < totals.length; i++) {
                totals[i] += item[i];
            }
        }
        return totals;
    }

    @Override
    public boolean equals(Object o) {
        return o instanceof Scores s
                && Arrays.deepEquals(byItem, s.byItem)
                && Arrays.deepEquals(blank, s.blank)
                && Arrays.equals(points, s.points);
    }

    @Override
    public int hashCode() {
        return Arrays.deepHashCode(byItem) * 31 + Arrays.hashCode(points);
    }

    @Override
    public String toString() {
        return "Scores[" + attempts() + " attempts, " + items() + " items]";
    }
}
