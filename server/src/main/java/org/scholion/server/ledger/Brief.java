package org.scholion.server.ledger;

import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.ChoiceItem;
import org.scholion.core.item.Item;
import org.scholion.core.number.Fraction;
import org.scholion.core.reason.Reason;
import org.scholion.core.score.Mark;
import org.scholion.core.score.State;

/**
 * A current mark in brief: what adding up, measuring and counting need of it, and nothing that is only told.
 *
 * @param state null where the item has no mark yet, since it was added later
 * @param said something was answered
 * @param ruled an answer of this form was decided for all who gave it
 * @param read a reader chose, said or noted something
 * @param edition the edition under which it was made
 * @param since when it began to wait, in milliseconds; 0 for what is decided
 * @param chosen the places of the chosen options; empty for other kinds
 */
public record Brief(
        @Nullable State state,
        Fraction credit,
        boolean said,
        boolean byPerson,
        boolean ruled,
        boolean read,
        int edition,
        long since,
        List<Integer> chosen) {
    /** The rule of what was decided for all answers of a form. */
    static final String RULING = "ruling";

    /** No mark yet: as good as a blank. */
    static final Brief NONE = new Brief(null, Fraction.ZERO, false, false, false, false, 0, 0, List.of());

    private static final Reason UNTOLD = Reason.of(Reason.Code.BLANK);
    private static final Map<State, Mark> NOTHING = new HashMap<>();
    private static final Mark FULL = new Mark(State.SCORED, Fraction.ONE, UNTOLD);

    static {
        for (State state : State.values()) {
            NOTHING.put(state, new Mark(state, Fraction.ZERO, UNTOLD));
        }
    }

    static Brief of(Item item, @Nullable LedgerMark m, Said said) {
        List<Integer> chosen = chosen(item, said);
        boolean something = !said.isBlank();
        return m == null
                ? new Brief(null, Fraction.ZERO, something, false, false, false, 0, 0, chosen)
                : of(m, something, chosen);
    }

    static Brief of(LedgerMark m, boolean said, List<Integer> chosen) {
        Mark mark = m.mark();
        return new Brief(
                mark.state(),
                mark.credit(),
                said,
                m.byPerson(),
                mark.rule().equals(RULING),
                m.reading() != null,
                m.edition(),
                mark.state().isUndecided() ? m.at().toEpochMilli() : 0,
                chosen);
    }

    private static List<Integer> chosen(Item item, Said said) {
        return item instanceof ChoiceItem choice && said.answer() instanceof Answer.Chosen c
                ? c.options().stream()
                        .map(o -> choice.options().stream()
                                .map(ChoiceItem.Option::id)
                                .toList()
                                .indexOf(o))
                        .filter(at -> at >= 0)
                        .sorted(Comparator.naturalOrder())
                        .toList()
                : List.of();
    }

    /** The same mark of an answer that the item understands otherwise now. */
    Brief saying(boolean something, List<Integer> options) {
        return something == said && options.equals(chosen)
                ? this
                : new Brief(state, credit, something, byPerson, ruled, read, edition, since, options);
    }

    /** The same answer with another mark. */
    public Brief marked(LedgerMark mark) {
        return of(mark, said, chosen);
    }

    /** The mark without its reason. */
    public Mark mark() {
        if (state == null) {
            return Mark.BLANK;
        }
        if (credit.isZero()) {
            return NOTHING.getOrDefault(state, Mark.BLANK);
        }
        return state == State.SCORED && credit.equals(Fraction.ONE) ? FULL : new Mark(state, credit, UNTOLD);
    }
}
