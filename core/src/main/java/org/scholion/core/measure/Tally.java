package org.scholion.core.measure;

import org.scholion.core.number.Fraction;

/** One item's responses counted by kind and by class of equal totals: all of its figures follow from this. */
final class Tally {
    final Column column;
    final double[] values;
    /** How often each kind was given. */
    final int[] counts;
    /** The sum of the item's scores in each class, in units. */
    final double[] sums;
    /** How many of each class chose each option. */
    final double[][] chosen;

    private final Moments moments;

    private Tally(Column column, double[] values, int[] counts, double[] sums, double[][] chosen) {
        this.column = column;
        this.values = values;
        this.counts = counts;
        this.sums = sums;
        this.chosen = chosen;
        this.moments = Moments.of(values, counts);
    }

    static Tally of(Scores scores, int j, Ranks ranks) {
        Column column = scores.item(j);
        double[] values = scores.values(j);
        int kinds = values.length;
        int classes = ranks.classes();
        return (long) kinds * classes <= Math.max(4096, column.attempts())
                ? small(column, values, ranks)
                : large(column, values, ranks);
    }

    /** Few kinds and classes: count each pair once, then sum over the counts. */
    private static Tally small(Column column, double[] values, Ranks ranks) {
        int classes = ranks.classes();
        int[] pairs = new int[values.length * classes];
        int[] codes = column.codes();
        int[] classOf = ranks.classOf();
        for (int i = 0; i < codes.length; i++) {
            pairs[codes[i] * classes + classOf[i]]++;
        }
        int[] counts = new int[values.length];
        double[] sums = new double[classes];
        double[][] chosen = new double[column.options().size()][classes];
        for (int k = 0; k < values.length; k++) {
            for (int c = 0; c < classes; c++) {
                int here = pairs[k * classes + c];
                counts[k] += here;
                sums[c] += here * values[k];
                for (int option : column.kinds().get(k).chosen()) {
                    chosen[option][c] += here;
                }
            }
        }
        return new Tally(column, values, counts, sums, chosen);
    }

    private static Tally large(Column column, double[] values, Ranks ranks) {
        int[] counts = new int[values.length];
        double[] sums = new double[ranks.classes()];
        double[][] chosen = new double[column.options().size()][ranks.classes()];
        int[] codes = column.codes();
        int[] classOf = ranks.classOf();
        for (int i = 0; i < codes.length; i++) {
            counts[codes[i]]++;
            sums[classOf[i]] += values[codes[i]];
            for (int option : column.kinds().get(codes[i]).chosen()) {
                chosen[option][classOf[i]]++;
            }
        }
        return new Tally(column, values, counts, sums, chosen);
    }

    Moments moments() {
        return moments;
    }

    /** Σ (x - mean x)(T - mean T). */
    double productWithTotal(Ranks ranks, Moments totals) {
        return product(sums, moments().mean(), ranks, totals);
    }

    /** The same for any amount that is summed by class. */
    static double product(double[] byClass, double mean, Ranks ranks, Moments totals) {
        double sum = 0;
        for (int c = 0; c < byClass.length; c++) {
            sum += (byClass[c] - ranks.size(c) * mean) * (ranks.total(c) - totals.mean());
        }
        return sum;
    }

    /** Σ (o - mean o)(x - mean x), o being 1 where the option was chosen. */
    double productWithScore(int option, double times) {
        double sum = 0;
        Moments x = moments();
        double mean = times / x.n();
        for (int k = 0; k < values.length; k++) {
            boolean here = column.kinds().get(k).chosen().contains(option);
            sum += counts[k] * ((here ? 1 : 0) - mean) * (values[k] - x.mean());
        }
        return sum;
    }

    double times(int option) {
        double sum = 0;
        for (double c : chosen[option]) {
            sum += c;
        }
        return sum;
    }

    /** How many responses are of the kinds that hold. */
    int count(java.util.function.Predicate<Column.Kind> holds) {
        int n = 0;
        for (int k = 0; k < counts.length; k++) {
            n += holds.test(column.kinds().get(k)) ? counts[k] : 0;
        }
        return n;
    }

    Fraction points(double scale) {
        return column.points().times(Fraction.of((long) scale));
    }
}
