package org.scholion.core.measure;

import java.util.List;
import org.scholion.core.number.Fraction;

/** How many percents fall into each tenth; 100 and what lies above belongs to the last, below 0 to the first. */
public record Histogram(int[] tenths) {
    public static Histogram of(List<Fraction> percents) {
        int[] tenths = new int[10];
        for (Fraction percent : percents) {
            tenths[tenthOf(percent)]++;
        }
        return new Histogram(tenths);
    }

    /** Which tenth a percent falls into, from 0. */
    public static int tenthOf(Fraction percent) {
        return Math.max(0, Math.min(9, percent.over(10).toBigIntegerFloor().intValue()));
    }
}
