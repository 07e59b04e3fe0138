package org.scholion.core.measure;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.apache.commons.numbers.gamma.LogGamma;
import org.apache.commons.statistics.distribution.TDistribution;
import org.jspecify.annotations.Nullable;

/**
 * How two sections differ in their totals, in points.
 *
 * @param difference mean of the first less mean of the second
 * @param low lower end of Welch's 95 % interval; {@code high} the upper
 * @param g Hedges' g: the difference in pooled standard deviations with the exact gamma correction (Hedges 1981)
 */
public record SectionDifference(String first, String second, Figure difference, Figure low, Figure high, Figure g) {

    /** The first section against each other one. */
    public static List<SectionDifference> of(Scores scores, List<@Nullable String> sections) {
        return of(SectionMeasures.moments(scores, sections), scores.scale());
    }

    static List<SectionDifference> of(Map<String, Moments> moments, double scale) {
        List<String> names = List.copyOf(moments.keySet());
        List<SectionDifference> all = new ArrayList<>();
        for (int i = 1; i < names.size(); i++) {
            all.add(between(
                    names.get(0),
                    java.util.Objects.requireNonNull(moments.get(names.get(0))),
                    names.get(i),
                    java.util.Objects.requireNonNull(moments.get(names.get(i))),
                    scale));
        }
        return all;
    }

    private static SectionDifference between(String first, Moments a, String second, Moments b, double scale) {
        if (a.n() < 2 || b.n() < 2) {
            return none(first, second, "needs at least 2 attempts in each section");
        }
        if (a.squares() == 0 && b.squares() == 0) {
            return none(first, second, "nothing varies within the sections");
        }
        double difference = a.mean(scale) - b.mean(scale);
        double half = halfWidth(a.variance() / a.n(), a.n(), b.variance() / b.n(), b.n()) / scale;
        return new SectionDifference(
                first,
                second,
                Figure.of(difference),
                Figure.of(difference - half),
                Figure.of(difference + half),
                Figure.of(hedges(difference * scale, a, b)));
    }

    private static SectionDifference none(String first, String second, String why) {
        Figure none = Figure.undefined(why);
        return new SectionDifference(first, second, none, none, none, none);
    }

    /** Half of Welch's interval; the two are squared standard errors. */
    private static double halfWidth(double a, double nA, double b, double nB) {
        double degrees = (a + b) * (a + b) / (a * a / (nA - 1) + b * b / (nB - 1));
        return TDistribution.of(degrees).inverseCumulativeProbability(0.975) * Math.sqrt(a + b);
    }

    private static double hedges(double difference, Moments a, Moments b) {
        double m = a.n() + b.n() - 2;
        double pooled = Math.sqrt((a.squares() + b.squares()) / m);
        double correction = Math.exp(LogGamma.value(m / 2) - LogGamma.value((m - 1) / 2)) / Math.sqrt(m / 2);
        return difference / pooled * correction;
    }
}
