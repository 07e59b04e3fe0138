package org.scholion.core.score;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.Item;
import org.scholion.core.item.TextItem;

/** Answers that wait for a person, gathered for deciding: suggestions, never decisions. */
public final class Doubts {
    private static final int SUGGESTED = 3;

    private Doubts() {}

    /**
     * Equal answers, which one decision settles.
     *
     * @param form what they have in common
     * @param waiting whoever gave them, in the order given
     * @param like listed answers that they are like, the likeliest first
     */
    public record Group<T>(String form, List<T> waiting, List<Likeness> like) {}

    /** The groups, the one on which most wait first, then in the order given. */
    public static <T> List<Group<T>> of(Item item, Scorer scorer, List<T> waiting, Function<T, Answer> answer) {
        Map<String, List<T>> byForm = new LinkedHashMap<>();
        waiting.forEach(w -> byForm.computeIfAbsent(scorer.form(answer.apply(w)), f -> new ArrayList<>())
                .add(w));
        return byForm.entrySet().stream()
                .map(e -> new Group<>(
                        e.getKey(),
                        List.copyOf(e.getValue()),
                        item instanceof TextItem text
                                ? Likeness.of(
                                        text, answer.apply(e.getValue().get(0)).shown(), SUGGESTED)
                                : List.<Likeness>of()))
                .sorted(Comparator.comparing((Group<T> g) -> -g.waiting().size()))
                .toList();
    }
}
