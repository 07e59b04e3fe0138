package org.scholion.core.measure;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.ChoiceItem;
import org.scholion.core.item.Item;
import org.scholion.core.number.Fraction;
import org.scholion.core.score.Mark;
import org.scholion.core.score.State;
import org.scholion.core.total.Adjustment;
import org.scholion.core.total.Assessment;

/** Gathers marks and answers, attempt by attempt, into {@link Scores}; four bytes are kept of each. */
public final class ScoresBuilder {
    private final List<Gathering> items;
    private int attempts;

    public ScoresBuilder(Assessment assessment) {
        this.items = assessment.scorable().stream()
                .map(item -> new Gathering(
                        item,
                        assessment
                                .adjustment(item.id())
                                .filter(k -> k == Adjustment.Kind.DROP)
                                .isEmpty()))
                .toList();
    }

    /** The code of a response to the item at this place. Safe for threads. */
    public int kind(int place, Mark mark, Answer answer) {
        return items.get(place).code(mark, answer);
    }

    /** Adds one attempt by the codes of its responses, in the order of the paper. Not safe for threads. */
    public void add(int[] kinds) {
        for (int j = 0; j < kinds.length; j++) {
            items.get(j).add(attempts, kinds[j]);
        }
        attempts++;
    }

    /**
     * Adds one attempt, as scored before adjustments.
     *
     * @param marks one for each scorable item, in the order of the paper
     * @param answers the same; what was chosen is read from them
     */
    public void add(List<Mark> marks, List<Answer> answers) {
        int[] kinds = new int[items.size()];
        Arrays.setAll(kinds, j -> kind(j, marks.get(j), answers.get(j)));
        add(kinds);
    }

    public Scores build() {
        return build(IntStream.range(0, attempts).toArray());
    }

    /** Only the attempts at these places, in this order. */
    public Scores build(int[] places) {
        return Scores.of(items.stream().map(g -> g.column(places)).toList());
    }

    private static final class Gathering {
        private final Item item;
        private final boolean counts;
        private final List<String> options;
        private final Map<Column.Kind, Integer> codeOf = new HashMap<>();
        private final List<Column.Kind> kinds = new ArrayList<>();
        private int[] codes = new int[64];

        Gathering(Item item, boolean counts) {
            this.item = item;
            this.counts = counts;
            this.options = item instanceof ChoiceItem c
                    ? c.options().stream().map(ChoiceItem.Option::id).toList()
                    : List.of();
        }

        void add(int at, int kind) {
            if (at == codes.length) {
                codes = Arrays.copyOf(codes, at * 2);
            }
            codes[at] = kind;
        }

        synchronized int code(Mark mark, Answer answer) {
            boolean excused = mark.state() == State.EXCUSED;
            boolean blank = mark.state() == State.BLANK;
            Fraction credit = mark.state() == State.SCORED ? mark.credit() : Fraction.ZERO;
            List<Integer> chosen = answer instanceof Answer.Chosen c && !excused
                    ? c.options().stream().map(options::indexOf).sorted().toList()
                    : List.of();
            Column.Kind kind = new Column.Kind(
                    credit.times(item.points()), blank, blank || excused, credit.equals(Fraction.ONE), chosen);
            return codeOf.computeIfAbsent(kind, k -> {
                kinds.add(k);
                return kinds.size() - 1;
            });
        }

        Column column(int[] places) {
            ChoiceItem choice = item instanceof ChoiceItem c ? c : null;
            return new Column(
                    item.id(),
                    Arrays.stream(places).map(p -> codes[p]).toArray(),
                    kinds,
                    item.points(),
                    counts,
                    options,
                    choice == null ? List.of() : choice.key(),
                    choice != null && choice.max() == 1);
        }
    }
}
