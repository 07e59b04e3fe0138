package org.scholion.server.ledger;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.core.effect.Effect;
import org.scholion.core.effect.Sides;
import org.scholion.core.number.Fraction;
import org.scholion.core.total.Outcome;
import org.scholion.server.key.Comparison;

/**
 * What a change would do, before it is confirmed.
 *
 * @param marks how many marks move
 * @param up of how many something that they are shown is better; {@code down} of how many something is worse
 * @param measures what the whole assessment measures before and after
 * @param students how many students' results move; {@code moves} are the first of them, from what to what
 * @param differences what differs between the two editions, in words; none where single marks are decided
 * @param also other answers that a decision reaches, too
 * @param job the work in the background that does it, where there are very many; null where it is done or only looked at
 * @param asked what asks otherwise than it did when it was answered: somebody has to say whether that is fair
 */
public record EffectView(
        int marks,
        int students,
        long up,
        long down,
        long nowPass,
        long noLongerPass,
        Measures measures,
        List<MoveView> moves,
        List<Comparison.Difference> differences,
        List<Asked> asked,
        List<Also> also,
        @Nullable UUID job) {

    private static final int MOST = 200;

    /**
     * Another answer that a decision reaches.
     *
     * @param students how many gave it
     * @param because why it is reached; where the decision contradicts another one, why that one was made
     * @param contradicts set where it was decided otherwise
     */
    public record Also(
            String shown,
            int students,
            String because,
            @Nullable Contradicted contradicts) {}

    /**
     * An answer that was decided, and that a wider rule would decide otherwise.
     *
     * @param was the credit that it got; {@code would} what it would get
     * @param stays whether the marks that were given by hand stay all the same
     */
    public record Contradicted(
            String was, String would, @Nullable String who, boolean stays) {}

    /**
     * Mean and passing before and after.
     *
     * @param meanBefore the mean percentage with at most two decimals; null where nobody has one
     * @param passBefore how many pass; null without a pass mark
     */
    public record Measures(
            @Nullable String meanBefore,
            @Nullable String meanAfter,
            @Nullable Long passBefore,
            @Nullable Long passAfter) {
        static Measures of(Sides s) {
            return new Measures(decimal(s.meanBefore()), decimal(s.meanAfter()), s.passBefore(), s.passAfter());
        }

        private static @Nullable String decimal(@Nullable Fraction mean) {
            return mean == null ? null : mean.toDecimal(2);
        }
    }

    /** An item that asks otherwise than it did, and how many have answered it as it was. */
    public record Asked(String item, int number, int answered) {}

    /**
     * One student's result before and after.
     *
     * @param crosses what is crossed, in words: a band's name, "passes", "no longer passes"; empty when nothing
     */
    public record MoveView(
            String student,
            UUID section,
            String scoreBefore,
            String scoreAfter,
            @Nullable String percentBefore,
            @Nullable String percentAfter,
            String crosses) {}

    static EffectView of(int marks, Effect effect, Map<String, Attempt> byId, int digits) {
        List<MoveView> moves = new ArrayList<>();
        for (Effect.Move m :
                effect.moves().subList(0, Math.min(MOST, effect.moves().size()))) {
            Attempt attempt = java.util.Objects.requireNonNull(byId.get(m.student()));
            moves.add(new MoveView(
                    attempt.name(),
                    attempt.section(),
                    m.before().total().score().toExact(),
                    m.after().total().score().toExact(),
                    fixed(m.before().percent(), digits),
                    fixed(m.after().percent(), digits),
                    crosses(m)));
        }
        return new EffectView(
                marks,
                effect.students(),
                effect.up(),
                effect.down(),
                effect.nowPass(),
                effect.noLongerPass(),
                Measures.of(effect.sides()),
                moves,
                List.of(),
                List.of(),
                List.of(),
                null);
    }

    EffectView with(List<Comparison.Difference> found, List<Asked> otherwise) {
        return new EffectView(
                marks, students, up, down, nowPass, noLongerPass, measures, moves, found, otherwise, also, job);
    }

    public EffectView withAlso(List<Also> others) {
        return new EffectView(
                marks, students, up, down, nowPass, noLongerPass, measures, moves, differences, asked, others, job);
    }

    EffectView with(UUID work) {
        return new EffectView(
                marks, students, up, down, nowPass, noLongerPass, measures, moves, differences, asked, also, work);
    }

    private static @Nullable String fixed(@Nullable Fraction percent, int digits) {
        return percent == null ? null : percent.toFixed(digits);
    }

    private static String crosses(Effect.Move m) {
        List<String> words = new ArrayList<>();
        if (m.changesBand()) {
            words.add(band(m.after()));
        }
        if (m.crossesPass()) {
            words.add(Boolean.TRUE.equals(m.after().passed()) ? "passes" : "no longer passes");
        }
        return String.join(", ", words);
    }

    private static String band(Outcome outcome) {
        return outcome.band() == null ? "no band" : outcome.band().label();
    }
}
