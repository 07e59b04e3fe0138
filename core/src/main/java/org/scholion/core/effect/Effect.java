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
 */
public record Effect(List<Move> moves, int students) {

    /** One student's result before and after. */
    public record Move(String student, Outcome before, Outcome after) {
        public Fraction gain() {
            return after.total().score().minus(before.total().score());
        }

        public boolean crossesPass() {
            return !Objects.equals(before.passed(), after.passed());
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
                    || crossesPass()
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
        return new Effect(moves, before.size());
    }

    public long up() {
        return moves.stream().filter(m -> m.gain().signum() > 0).count();
    }

    public long down() {
        return moves.stream().filter(m -> m.gain().signum() < 0).count();
    }
}
