package org.scholion.core.score;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.scholion.core.item.TextItem;
import org.scholion.core.text.Letters;
import org.scholion.core.text.Normaliser;
import org.scholion.core.text.Slips;
import org.scholion.core.text.WordRuns;

/**
 * What a doubt is like: the listed text that it holds, or the nearest one. A help for deciding, never a decision.
 *
 * @param holds whether the answer holds the listed text's words, in that order
 * @param apart whether it holds the listed text's letters when spaces are left aside
 * @param distance typing slips between the two; 5 where there are more
 * @param letters the listed text, with the letters that the answer has otherwise marked
 */
public record Likeness(
        String listed, boolean accepted, boolean holds, boolean apart, int distance, List<Letters.Stretch> letters) {
    private static final int FAR = 5;

    /** The best likeness of an answer to the item's listed texts; empty when nothing is near. */
    public static Optional<Likeness> of(TextItem item, String answer) {
        return of(item, answer, 1).stream().findFirst();
    }

    /** The listed texts that an answer holds or is near, the likeliest first, at most so many. */
    public static List<Likeness> of(TextItem item, String answer, int most) {
        Normaliser normaliser = TextScorer.normaliser(item, item.ignore());
        String said = normaliser.apply(answer);
        return listed(item).stream()
                .map(listed -> compare(normaliser, said, listed))
                .filter(l -> l.holds || l.apart || l.distance < FAR && l.distance * 2 < said.length())
                .sorted(Comparator.comparing(Likeness::rank))
                .limit(most)
                .toList();
    }

    private record Listed(String text, boolean accepted) {}

    private static List<Listed> listed(TextItem item) {
        List<Listed> all = new ArrayList<>();
        item.accept().stream()
                .filter(TextItem.SameText.class::isInstance)
                .forEach(a -> all.add(new Listed(a.shown(), true)));
        item.reject().forEach(r -> all.add(new Listed(r.text(), false)));
        return all;
    }

    private static Likeness compare(Normaliser normaliser, String said, Listed listed) {
        String text = normaliser.apply(listed.text());
        boolean holds = WordRuns.hold(WordRuns.of(said), WordRuns.of(text));
        boolean apart = text.length() > 3 && said.replace(" ", "").contains(text.replace(" ", ""));
        return new Likeness(
                listed.text(),
                listed.accepted(),
                holds,
                apart,
                Slips.between(said, text, FAR - 1),
                Letters.marked(text, said));
    }

    private int rank() {
        return holds ? distance - 100 : apart ? distance - 50 : distance;
    }
}
