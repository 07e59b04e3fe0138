package org.scholion.core.measure;

import org.scholion.core.number.Fraction;

/** The first moments of weighted values. Values are whole units, so a variance is 0 exactly when nothing varies. */
record Moments(double n, double sum, double mean, double squares) {
    /** Values with how often each stands there. */
    static Moments of(double[] values, int[] counts) {
        double n = 0;
        double sum = 0;
        for (int v = 0; v < values.length; v++) {
            n += counts[v];
            sum += counts[v] * values[v];
        }
        double mean = sum / n;
        double squares = 0;
        int different = 0;
        double first = Double.NaN;
        for (int v = 0; v < values.length; v++) {
            if (counts[v] > 0) {
                squares += counts[v] * (values[v] - mean) * (values[v] - mean);
                different += values[v] == first ? 0 : 1;
                first = values[v];
            }
        }
        return new Moments(n, sum, mean, different <= 1 ? 0 : squares);
    }

    static Moments of(Ranks ranks) {
        double[] values = new double[ranks.classes()];
        int[] counts = new int[ranks.classes()];
        for (int c = 0; c < values.length; c++) {
            values[c] = ranks.total(c);
            counts[c] = ranks.size(c);
        }
        return of(values, counts);
    }

    /** The mean in points, correctly rounded: one division of whole numbers. */
    double mean(double scale) {
        return Fraction.of((long) sum)
                .over(Fraction.of((long) n).times(Fraction.of((long) scale)))
                .toDouble();
    }

    /** Sample variance (n-1). */
    double variance() {
        return squares / (n - 1);
    }
}
