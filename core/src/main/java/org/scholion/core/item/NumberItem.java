package org.scholion.core.item;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.scholion.core.number.Fraction;

/**
 * A number as typed, compared exactly.
 *
 * @param decimal the decimal mark, {@code '.'} or {@code ','}
 * @param unit what unit is expected; none when any unit makes the answer unreadable
 * @param figures how many significant figures are asked for
 * @param otherwiseWrong whether what cannot be read as a number is wrong, instead of a doubt
 */
public record NumberItem(
        Head head,
        List<Accepted> accept,
        char decimal,
        @Nullable UnitRule unit,
        @Nullable Figures figures,
        Fraction penalty,
        boolean otherwiseWrong)
        implements Item {

    /**
     * A stretch of accepted values, both ends included.
     *
     * @param around the value and tolerance that it was written as; null when it was written by its ends
     */
    public record Accepted(
            Fraction from,
            Fraction to,
            Fraction credit,
            @Nullable Around around) {
        public Accepted {
            Faulty.unless(from.compareTo(to) <= 0, "from", "from " + from + " is above to " + to);
            Bounds.credit("credit", credit);
        }

        /** A value and its tolerance as written, such as {@code 0.1} or {@code 2%}; null means none. */
        public record Around(Fraction value, @Nullable String within) {}

        /** The value give or take a tolerance such as {@code 0.1} or {@code 2%}; null means none. */
        public static Accepted around(Fraction value, @Nullable String within, Fraction credit) {
            Fraction tolerance = tolerance(value, within);
            Faulty.unless(tolerance.signum() >= 0, "within", "the tolerance is below 0");
            return new Accepted(value.minus(tolerance), value.plus(tolerance), credit, new Around(value, within));
        }

        public static Accepted between(Fraction from, Fraction to, Fraction credit) {
            return new Accepted(from, to, credit, null);
        }

        /** As a person reads it. */
        public String shown() {
            return around == null
                    ? from.toReadable() + " to " + to.toReadable()
                    : around.value().toReadable() + (around.within() == null ? "" : " ± " + around.within());
        }

        private static Fraction tolerance(Fraction value, @Nullable String within) {
            if (within == null) {
                return Fraction.ZERO;
            }
            boolean relative = within.endsWith("%");
            String digits = relative ? within.substring(0, within.length() - 1) : within;
            Fraction amount = Fraction.parse(digits.strip())
                    .orElseThrow(() -> new Faulty("within", "“" + within + "” is not a tolerance, such as 0.1 or 2%"));
            return relative ? value.abs().times(amount).over(Fraction.HUNDRED) : amount;
        }

        public boolean holds(Fraction value) {
            return from.compareTo(value) <= 0 && value.compareTo(to) <= 0;
        }
    }

    /** Which unit is expected, and what an answer without it or with another one is worth. */
    public record UnitRule(String expect, boolean convert, Fraction missing, Fraction wrong) {
        public UnitRule {
            Bounds.share("unit.missing", missing);
            Bounds.share("unit.wrong", wrong);
        }
    }

    /** How many significant figures, and what another count is worth. */
    public record Figures(int count, Fraction otherwise) {
        public Figures {
            Faulty.unless(count >= 1, "figures.count", "count " + count + " is below 1");
            Bounds.share("figures.otherwise", otherwise);
        }
    }

    public NumberItem {
        accept = List.copyOf(accept);
        Faulty.unless(!accept.isEmpty(), "accept", "add at least one accepted answer");
        Faulty.unless(decimal == '.' || decimal == ',', "decimal", "the decimal mark is '.' or ','");
        Bounds.share("penalty", penalty);
    }

    @Override
    public String kind() {
        return "number";
    }

    @Override
    public <R> R read(ByKind<R> reader) {
        return reader.number(this);
    }
}
