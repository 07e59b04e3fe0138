package org.scholion.core.score;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.scholion.core.number.Fraction;
import org.scholion.core.text.AlikePile;

/**
 * An answer that was given something else than those with much the same words.
 *
 * @param answer its place in the pile
 * @param others the places of those that are like it, the most alike first
 * @param theirs the mean credit that these were given
 */
public record ReadOtherwise(int answer, List<Integer> others, Fraction theirs) {
    /** So large a part of the words of both is in both. */
    private static final double ALIKE = 0.6;

    private static final int NEAREST = 3;

    /** So far apart in credit. */
    private static final Fraction APART = Fraction.of(1, 3);

    public ReadOtherwise {
        others = List.copyOf(others);
    }

    /**
     * Those that another look may be given, the furthest apart first.
     *
     * @param credits what each text of the pile was given
     */
    public static List<ReadOtherwise> in(List<String> texts, List<Fraction> credits, int most) {
        AlikePile pile = new AlikePile(texts);
        List<ReadOtherwise> all = new ArrayList<>();
        for (int i = 0; i < texts.size(); i++) {
            List<Integer> others = pile.nearest(i, ALIKE, other -> true, NEAREST).stream()
                    .map(AlikePile.Near::text)
                    .toList();
            if (!others.isEmpty()) {
                Fraction theirs =
                        Fraction.mean(others.stream().map(credits::get).toList());
                if (apart(credits.get(i), theirs).compareTo(APART) >= 0) {
                    all.add(new ReadOtherwise(i, others, theirs));
                }
            }
        }
        all.sort(Comparator.comparing((ReadOtherwise one) -> apart(credits.get(one.answer), one.theirs))
                .reversed()
                .thenComparingInt(ReadOtherwise::answer));
        return List.copyOf(all.subList(0, Math.min(most, all.size())));
    }

    private static Fraction apart(Fraction a, Fraction b) {
        return a.minus(b).abs();
    }
}
