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
import org.scholion.core.text.Letters;
import org.scholion.core.text.Slips;

/** Answers that wait for a person, gathered for deciding: suggestions, never decisions. */
public final class Doubts {
    private static final int SUGGESTED = 3;

    /** Near are texts with at most so many slips between them, and at most one in so many letters. */
    private static final int MOST_SLIPS = 3;

    private static final int LETTERS_A_SLIP = 4;

    /** So many of the largest groups are compared with each other. */
    private static final int COMPARED = 400;

    private Doubts() {}

    /**
     * Equal answers, which one decision settles.
     *
     * @param form what they have in common
     * @param waiting whoever gave them, in the order given
     * @param like listed answers that they are like, the likeliest first
     * @param letters the answer with the letters marked that the group behind which it stands has otherwise; empty where it
     *     stands by itself, or leads others
     */
    public record Group<T>(String form, List<T> waiting, List<Likeness> like, List<Letters.Stretch> letters) {
        Group<T> beside(List<Letters.Stretch> marked) {
            return new Group<>(form, waiting, like, marked);
        }
    }

    /**
     * The groups, the one on which most wait first, then in the order given; short texts that are a few letters apart stand
     * together, behind the largest of them.
     */
    public static <T> List<Group<T>> of(Item item, Scorer scorer, List<T> waiting, Function<T, Answer> answer) {
        Map<String, List<T>> byForm = new LinkedHashMap<>();
        waiting.forEach(w -> byForm.computeIfAbsent(scorer.form(answer.apply(w)), f -> new ArrayList<>())
                .add(w));
        List<Group<T>> bySize = byForm.entrySet().stream()
                .map(e -> new Group<>(
                        e.getKey(),
                        List.copyOf(e.getValue()),
                        item instanceof TextItem text
                                ? Likeness.of(
                                        text, answer.apply(e.getValue().get(0)).shown(), SUGGESTED)
                                : List.<Likeness>of(),
                        List.of()))
                .sorted(Comparator.comparing((Group<T> g) -> -g.waiting().size()))
                .toList();
        return item instanceof TextItem
                ? together(bySize, g -> answer.apply(g.waiting().get(0)).shown().strip())
                : bySize;
    }

    /** Each group that stands alone is followed by those that are near it; of very many only the largest are compared. */
    private static <T> List<Group<T>> together(List<Group<T>> bySize, Function<Group<T>, String> text) {
        List<Group<T>> compared = bySize.subList(0, Math.min(COMPARED, bySize.size()));
        List<int[]> letters =
                compared.stream().map(g -> Slips.codePoints(text.apply(g))).toList();
        boolean[] taken = new boolean[compared.size()];
        List<Group<T>> all = new ArrayList<>(bySize.size());
        for (int i = 0; i < taken.length; i++) {
            if (taken[i]) {
                continue;
            }
            Group<T> leads = compared.get(i);
            all.add(leads);
            for (int j = i + 1; j < taken.length; j++) {
                if (!taken[j] && isNear(letters.get(i), letters.get(j))) {
                    taken[j] = true;
                    Group<T> near = compared.get(j);
                    all.add(near.beside(Letters.marked(text.apply(near), text.apply(leads))));
                }
            }
        }
        all.addAll(bySize.subList(compared.size(), bySize.size()));
        return List.copyOf(all);
    }

    private static boolean isNear(int[] a, int[] b) {
        int most = Math.min(MOST_SLIPS, Math.min(a.length, b.length) / LETTERS_A_SLIP);
        return most > 0 && Slips.between(a, b, most) <= most;
    }
}
