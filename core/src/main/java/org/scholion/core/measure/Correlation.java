package org.scholion.core.measure;

/** Pearson's r from sums of squares and products about the means. */
final class Correlation {
    private Correlation() {}

    static Figure of(double product, double xx, double yy) {
        if (xx <= 0) {
            return Figure.undefined("all have the same score on it");
        }
        if (yy <= 0) {
            return Figure.undefined("all have the same score on the rest");
        }
        double r = product / Math.sqrt(xx * yy);
        // What rounding leaves of no relation must not look like a negative one.
        return Figure.of(Math.abs(r) < 1e-12 ? 0 : Math.max(-1, Math.min(1, r)));
    }
}
