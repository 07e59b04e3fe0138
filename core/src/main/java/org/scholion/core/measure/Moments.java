package org.scholion.core.measure;

/** Means, variances and correlations of arrays, in two passes so that large offsets lose no digits. */
final class Moments {
    private Moments() {}

    static double mean(double[] x) {
        double sum = 0;
        for (double v : x) {
            sum += v;
        }
        return sum / x.length;
    }

    /** Sample variance (n-1); 0 for a constant, whatever rounding says. */
    static double variance(double[] x) {
        if (isConstant(x)) {
            return 0;
        }
        double mean = mean(x);
        double sum = 0;
        for (double v : x) {
            sum += (v - mean) * (v - mean);
        }
        return sum / (x.length - 1);
    }

    static boolean isConstant(double[] x) {
        for (double v : x) {
            if (Math.abs(v - x[0]) > 1e-12) {
                return false;
            }
        }
        return true;
    }

    /** Pearson's r; NaN when either is constant, which callers ask about first. */
    static double correlation(double[] x, double[] y) {
        double mx = mean(x);
        double my = mean(y);
        double xy = 0;
        double xx = 0;
        double yy = 0;
        for (int i = 0; i < x.length; i++) {
            xy += (x[i] - mx) * (y[i] - my);
            xx += (x[i] - mx) * (x[i] - mx);
            yy += (y[i] - my) * (y[i] - my);
        }
        return xy / Math.sqrt(xx * yy);
    }
}
