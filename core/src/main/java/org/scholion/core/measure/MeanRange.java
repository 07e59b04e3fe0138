package org.scholion.core.measure;

import org.apache.commons.statistics.distribution.TDistribution;

/** Between which bounds a mean lies with 95 % confidence, by Student's t with n - 1 degrees of freedom. */
public record MeanRange(Figure low, Figure high) {
    /** @param sd the sample standard deviation of the n figures */
    static MeanRange of(double mean, double sd, double n) {
        if (n < 2) {
            Figure none = Figure.undefined("needs at least 2 attempts");
            return new MeanRange(none, none);
        }
        double half = TDistribution.of(n - 1).inverseCumulativeProbability(0.975) * sd / Math.sqrt(n);
        return new MeanRange(Figure.of(mean - half), Figure.of(mean + half));
    }
}
