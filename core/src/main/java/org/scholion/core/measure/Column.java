package org.scholion.core.measure;

import java.util.Arrays;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.scholion.core.number.Fraction;

/**
 * One item's responses: for each attempt a code into the few kinds of response that were given. Four bytes an answer.
 *
 * @param codes one for each attempt
 * @param kinds what each code stands for
 * @param points the item's points
 * @param counts whether the item is part of the total; a dropped one is set against the total of the others
 * @param options the options of a choice, in the order of the paper; empty for other kinds
 * @param keyed which of the options are keyed
 * @param ofOne whether one option was asked for
 */
public record Column(
        String item,
        int[] codes,
        List<Kind> kinds,
        Fraction points,
        boolean counts,
        List<String> options,
        List<String> keyed,
        boolean ofOne) {

    /**
     * Responses that are worth the same and, in a choice, chose the same.
     *
     * @param score in points; 0 while undecided
     * @param blank no answer
     * @param silent no answer after which anything would have been reached: blank or excused
     * @param solved full credit
     * @param chosen the places of the chosen options
     */
    public record Kind(Fraction score, boolean blank, boolean silent, boolean solved, List<Integer> chosen) {
        public static Kind unanswered() {
            return new Kind(Fraction.ZERO, true, true, false, List.of());
        }

        public static Kind worth(Fraction score, boolean solved) {
            return new Kind(score, false, false, solved, List.of());
        }
    }

    public Column {
        kinds = List.copyOf(kinds);
        options = List.copyOf(options);
        keyed = List.copyOf(keyed);
    }

    int attempts() {
        return codes.length;
    }

    boolean isKeyed(int option) {
        return keyed.contains(options.get(option));
    }

    @Override
    public boolean equals(@Nullable Object o) {
        return o instanceof Column c
                && item.equals(c.item)
                && Arrays.equals(codes, c.codes)
                && kinds.equals(c.kinds)
                && points.equals(c.points)
                && counts == c.counts
                && options.equals(c.options)
                && keyed.equals(c.keyed)
                && ofOne == c.ofOne;
    }

    @Override
    public int hashCode() {
        return 31 * item.hashCode() + Arrays.hashCode(codes);
    }

    @Override
    public String toString() {
        return "Column[" + item + ", " + codes.length + " attempts]";
    }
}
