package org.scholion.core.standard;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.scholion.core.number.Fraction;

/**
 * Where a section stands on a standard.
 *
 * @param levels how many students at each level, from the lowest; those without a level are not among them
 * @param meanPercent of the students with evidence; null when there is none
 * @param interval Wilson's of the mean, with all points that were possible as the trials; null when there is none
 * @param tooLittle how many have evidence, but too little of it for a level
 * @param below whoever has evidence and lies below the bound
 */
public record SectionAttainment(
        Map<Level, Integer> levels,
        @Nullable Fraction meanPercent,
        @Nullable Wilson interval,
        int tooLittle,
        List<String> below) {

    /**
     * Gathers a section.
     *
     * @param students attainment by student, in the order in which they are to be named
     * @param possible the points that were possible for all of them together
     * @param bound the percent below which a student is named
     */
    public static SectionAttainment of(
            List<Level> levels, Map<String, Attainment> students, Fraction possible, Fraction bound) {
        Map<Level, Integer> counts = new LinkedHashMap<>();
        levels.stream().sorted(java.util.Comparator.comparing(Level::from)).forEach(l -> counts.put(l, 0));
        Fraction sum = Fraction.ZERO;
        int n = 0;
        int tooLittle = 0;
        List<String> below = new ArrayList<>();
        for (Map.Entry<String, Attainment> student : students.entrySet()) {
            Attainment a = student.getValue();
            if (a.level() != null) {
                counts.merge(a.level(), 1, Integer::sum);
            }
            if (a.percent() != null) {
                tooLittle += a.isTooLittle() ? 1 : 0;
                sum = sum.plus(a.percent());
                n++;
                if (a.percent().compareTo(bound) < 0) {
                    below.add(student.getKey());
                }
            }
        }
        Fraction mean = n == 0 ? null : sum.over(n);
        Wilson interval = mean == null || possible.signum() <= 0
                ? null
                : Wilson.of(mean.over(Fraction.HUNDRED).toDouble(), possible.toDouble());
        return new SectionAttainment(counts, mean, interval, tooLittle, below);
    }
}
