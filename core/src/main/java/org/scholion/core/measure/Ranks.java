package org.scholion.core.measure;

import java.util.Arrays;
import org.scholion.core.number.Fraction;

/** Attempts grouped into classes of equal totals, from the lowest to the highest. */
final class Ranks {
    private final double[] totals;
    private final double[] distinct;
    private final int[] classOf;
    private final int[] sizes;

    Ranks(double[] totals) {
        this.totals = totals;
        this.distinct = distinct(totals);
        this.classOf = new int[totals.length];
        this.sizes = new int[distinct.length];
        for (int i = 0; i < totals.length; i++) {
            classOf[i] = Arrays.binarySearch(distinct, totals[i]);
            sizes[classOf[i]]++;
        }
    }

    private static double[] distinct(double[] totals) {
        double[] sorted = totals.clone();
        Arrays.parallelSort(sorted);
        int n = 0;
        for (int i = 0; i < sorted.length; i++) {
            if (i == 0 || sorted[i] != sorted[i - 1]) {
                sorted[n++] = sorted[i];
            }
        }
        return Arrays.copyOf(sorted, n);
    }

    int attempts() {
        return totals.length;
    }

    int classes() {
        return distinct.length;
    }

    /** Each attempt's class. */
    int[] classOf() {
        return classOf;
    }

    /** The total of a class, in units. */
    double total(int c) {
        return distinct[c];
    }

    int size(int c) {
        return sizes[c];
    }

    /** The k-th smallest total, counted from 0. */
    double ordered(int k) {
        int below = 0;
        for (int c = 0; c < sizes.length; c++) {
            below += sizes[c];
            if (k < below) {
                return distinct[c];
            }
        }
        throw new IndexOutOfBoundsException("order " + k + " of " + totals.length);
    }

    /** With which weight an attempt of each class belongs to so many lowest; those tied at the border share what is left. */
    Fraction[] lowest(Fraction places) {
        Fraction[] weights = new Fraction[sizes.length];
        Fraction left = places;
        for (int c = 0; c < sizes.length; c++) {
            weights[c] = share(left, sizes[c]);
            left = left.minus(weights[c].times(sizes[c]));
        }
        return weights;
    }

    Fraction[] highest(Fraction places) {
        Fraction[] weights = new Fraction[sizes.length];
        Fraction left = places;
        for (int c = sizes.length - 1; c >= 0; c--) {
            weights[c] = share(left, sizes[c]);
            left = left.minus(weights[c].times(sizes[c]));
        }
        return weights;
    }

    private static Fraction share(Fraction left, int size) {
        return left.compareTo(Fraction.of(size)) >= 0 ? Fraction.ONE : left.over(size);
    }

    /** Σ weight × amount over classes; amounts are whole numbers of units. */
    static Fraction weighted(Fraction[] weights, double[] amounts) {
        double whole = 0;
        Fraction shared = Fraction.ZERO;
        for (int c = 0; c < weights.length; c++) {
            if (weights[c].equals(Fraction.ONE)) {
                whole += amounts[c];
            } else if (!weights[c].isZero()) {
                shared = shared.plus(weights[c].times(Fraction.of((long) amounts[c])));
            }
        }
        return shared.plus(Fraction.of((long) whole));
    }
}
