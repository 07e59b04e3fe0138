package org.scholion.core.measure;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.ChoiceItem;
import org.scholion.core.item.Item;
import org.scholion.core.number.Fraction;
import org.scholion.core.score.Mark;
import org.scholion.core.score.State;
import org.scholion.core.total.Adjustment;
import org.scholion.core.total.Assessment;

/** Gathers marks and answers, attempt by attempt, into {@link Scores}. Not safe for threads. */
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

    /**
     * Adds one attempt, as scored before adjustments.
     *
     * @param marks one for each scorable item, in the order of the paper
     * @param answers the same; what was chosen is read from them
     */
    public void add(List<Mark> marks, List<Answer> answers) {
        for (int j = 0; j < items.size(); j++) {
            items.get(j).add(attempts, marks.get(j), answers.get(j));
        }
        attempts++;
    }

    public Scores build() {
        return Scores.of(items.stream().map(g -> g.column(attempts)).toList());
    }

    private static final class Gathering {
        private final Item item;
        private final boolean counts;
        private final List<String> options;
        private final Map<Column.Kind, Integer> codeOf = new HashMap<>();
        private final List<Column.Kind> kinds = new ArrayList<>();
        private final Map<Seen, Integer> seen = new HashMap<>();
        private int[] codes = new int[64];

        /** Enough to know the kind again without building it: most answers are one of a few. */
        private record Seen(Fraction credit, State state, Answer chosen) {}

        Gathering(Item item, boolean counts) {
            this.item = item;
            this.counts = counts;
            this.options = item instanceof ChoiceItem c
                    ? c.options().stream().map(ChoiceItem.Option::id).toList()
                    : List.of();
        }

        void add(int at, Mark mark, Answer answer) {
            if (at == codes.length) {
                codes = Arrays.copyOf(codes, at * 2);
            }
            Answer chosen = answer instanceof Answer.Chosen ? answer : Answer.NONE;
            codes[at] = seen.computeIfAbsent(new Seen(mark.credit(), mark.state(), chosen), this::code);
        }

        private int code(Seen s) {
            boolean excused = s.state() == State.EXCUSED;
            boolean blank = s.state() == State.BLANK;
            Fraction credit = s.state() == State.SCORED ? s.credit() : Fraction.ZERO;
            List<Integer> chosen = s.chosen() instanceof Answer.Chosen c && !excused
                    ? c.options().stream().map(options::indexOf).sorted().toList()
                    : List.of();
            Column.Kind kind = new Column.Kind(
                    credit.times(item.points()), blank, blank || excused, credit.equals(Fraction.ONE), chosen);
            return codeOf.computeIfAbsent(kind, k -> {
                kinds.add(k);
                return kinds.size() - 1;
            });
        }

        Column column(int attempts) {
            ChoiceItem choice = item instanceof ChoiceItem c ? c : null;
            return new Column(
                    item.id(),
                    Arrays.copyOf(codes, attempts),
                    kinds,
                    item.points(),
                    counts,
                    options,
                    choice == null ? List.of() : choice.key(),
                    choice != null && choice.max() == 1);
        }
    }
}
