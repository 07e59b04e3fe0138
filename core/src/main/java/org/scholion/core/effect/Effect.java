package org.scholion.core.effect;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.scholion.core.number.Fraction;
import org.scholion.core.total.Outcome;

/**
 * What a change does to the same answers: whose result moves, from what to what, and who crosses a bound.
 *
 * @param moves the students whose score, percent, band or passing differs, in the order given
 * @param students how many were compared
 * @param sides what they measure together, before and after
 */
public record Effect(List<Move> moves, int students, Sides sides) {

    /** One student's result before and after. */
    public record Move(String student, Outcome before, Outcome after) {
        public Fraction gain() {
            return after.total().score().minus(before.total().score());
        }

        /** Passes now and did not, or the other way; only where there is a pass mark on both sides. */
        public boolean crossesPass() {
            return before.passed() != null
                    && after.passed() != null
                    && !before.passed().equals(after.passed());
        }

        /** Something that people are shown is better: passing, the band, or the percent (the score where there is none). */
        public boolean goesUp() {
            return isBetter(before, after);
        }

        /** Something that people are shown is worse; of somebody who has a better band and no longer passes, both hold. */
        public boolean goesDown() {
            return isBetter(after, before);
        }

        private boolean isBetter(Outcome one, Outcome other) {
            return crossesPass() && Boolean.TRUE.equals(other.passed())
                    || changesBand() && from(other).compareTo(from(one)) > 0
                    || shown(other).compareTo(shown(one)) > 0;
        }

        /** From where on the band is reached; below every band where there is none. */
        private static Fraction from(Outcome outcome) {
            return outcome.band() == null ? Fraction.of(-1) : outcome.band().from();
        }

        private Fraction shown(Outcome outcome) {
            return before.percent() == null || after.percent() == null
                    ? outcome.total().score()
                    : Objects.requireNonNull(outcome.percent());
        }

        public boolean changesBand() {
            return !Objects.equals(label(before), label(after));
        }

        private static @Nullable String label(Outcome outcome) {
            return outcome.band() == null ? null : outcome.band().label();
        }

        private boolean isMove() {
            return gain().signum() != 0
                    || !Objects.equals(before.percent(), after.percent())
                    || !Objects.equals(before.passed(), after.passed())
                    || changesBand();
        }
    }

    public Effect {
        moves = List.copyOf(moves);
    }

    /**
     * Compares two outcomes of the same students.
     *
     * @throws IllegalArgumentException when the two do not hold the same students
     */
    public static Effect between(Map<String, Outcome> before, Map<String, Outcome> after) {
        return between(before, after, Sides.Others.NONE);
    }

    /** The same, where others are in the assessment whose results stay: they count in what all measure together. */
    public static Effect between(Map<String, Outcome> before, Map<String, Outcome> after, Sides.Others others) {
        if (!before.keySet().equals(after.keySet())) {
            throw new IllegalArgumentException("the two sides hold different students");
        }
        List<Move> moves = new ArrayList<>();
        new LinkedHashMap<>(before).forEach((student, outcome) -> {
            Move move = new Move(student, outcome, Objects.requireNonNull(after.get(student)));
            if (move.isMove()) {
                moves.add(move);
            }
        });
        return new Effect(moves, before.size(), Sides.of(before.values(), after.values(), others));
    }

    /** Those of whom something is better afterwards. */
    public long up() {
        return moves.stream().filter(Move::goesUp).count();
    }

    /** Those of whom something is worse afterwards. */
    public long down() {
        return moves.stream().filter(Move::goesDown).count();
    }

    public long nowPass() {
        return moves.stream()
                .filter(m -> m.crossesPass() && Boolean.TRUE.equals(m.after().passed()))
                .count();
    }

    public long noLongerPass() {
        return moves.stream()
                .filter(m -> m.crossesPass() && Boolean.TRUE.equals(m.before().passed()))
                .count();
    }
}
