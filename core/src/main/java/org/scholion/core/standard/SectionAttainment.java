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
 * @param below whoever has evidence and lies below the bound
 */
public record SectionAttainment(
        Map<Level, Integer> levels, @Nullable Fraction meanPercent, List<String> below) {

    /**
     * Gathers a section.
     *
     * @param students attainment by student, in the order in which they are to be named
     * @param bound the percent below which a student is named
     */
    public static SectionAttainment of(List<Level> levels, Map<String, Attainment> students, Fraction bound) {
        Map<Level, Integer> counts = new LinkedHashMap<>();
        levels.stream().sorted(java.util.Comparator.comparing(Level::from)).forEach(l -> counts.put(l, 0));
        Fraction sum = Fraction.ZERO;
        int n = 0;
        List<String> below = new ArrayList<>();
        for (Map.Entry<String, Attainment> student : students.entrySet()) {
            Attainment a = student.getValue();
            if (a.level() != null) {
                counts.merge(a.level(), 1, Integer::sum);
            }
            if (a.percent() != null) {
                sum = sum.plus(a.percent());
                n++;
                if (a.percent().compareTo(bound) < 0) {
                    below.add(student.getKey());
                }
            }
        }
        return new SectionAttainment(counts, n == 0 ? null : sum.over(n), below);
    }
}
