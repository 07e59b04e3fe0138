package org.scholion.core.measure;

import java.util.List;
import org.scholion.core.number.Fraction;

/**
 * What is not decided yet and counts 0.
 *
 * @param marks how many marks
 * @param mean by how many points the mean would be higher if all of them were given in full
 */
public record Undecided(int marks, Fraction mean) {
    /**
     * Adds up.
     *
     * @param open the points of each undecided mark
     * @param attempts whose mean it is
     */
    public static Undecided of(List<Fraction> open, int attempts) {
        Fraction sum = open.stream().reduce(Fraction.ZERO, Fraction::plus);
        return new Undecided(open.size(), attempts == 0 ? Fraction.ZERO : sum.over(attempts));
    }
}
