package org.scholion.core.measure;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * The totals of one section, in points.
 *
 * @param range where its mean lies with 95 % confidence
 * @param sd sample standard deviation
 */
public record SectionMeasures(String section, int n, Figure mean, MeanRange range, Figure sd) {

    /**
     * The sections in the order of their first appearance.
     *
     * @param sections the section of each attempt; null for none
     */
    public static List<SectionMeasures> of(Scores scores, List<@Nullable String> sections) {
        return of(moments(scores, sections), scores.scale());
    }

    static List<SectionMeasures> of(Map<String, Moments> moments, double scale) {
        List<SectionMeasures> all = new ArrayList<>();
        moments.forEach((name, totals) -> all.add(of(name, totals, scale)));
        return all;
    }

    private static SectionMeasures of(String section, Moments totals, double scale) {
        return new SectionMeasures(
                section,
                (int) totals.n(),
                Figure.of(totals.mean(scale)),
                MeanRange.of(totals.mean(scale), Math.sqrt(totals.variance()) / scale, totals.n()),
                totals.n() < 2
                        ? Figure.undefined("needs at least 2 attempts")
                        : Figure.of(Math.sqrt(totals.variance()) / scale));
    }

    /** The moments of each section's totals, in units. */
    static Map<String, Moments> moments(Scores scores, List<@Nullable String> sections) {
        double[] totals = scores.totals();
        Map<String, List<Double>> bySection = new LinkedHashMap<>();
        for (int i = 0; i < totals.length; i++) {
            String section = sections.get(i);
            if (section != null) {
                bySection.computeIfAbsent(section, s -> new ArrayList<>()).add(totals[i]);
            }
        }
        Map<String, Moments> moments = new LinkedHashMap<>();
        bySection.forEach((name, values) -> moments.put(
                name,
                Moments.of(new Ranks(
                        values.stream().mapToDouble(Double::doubleValue).toArray()))));
        return moments;
    }
}
