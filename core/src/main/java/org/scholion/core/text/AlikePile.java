package org.scholion.core.text;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.IntPredicate;

/** A pile of texts in which those with much the same words as one of them are found; made once, asked often. */
public final class AlikePile {
    private final List<long[]> words;

    public AlikePile(List<String> texts) {
        this.words = texts.stream().map(Alike::words).toList();
    }

    /**
     * A text of the pile that is like another.
     *
     * @param text its place in the pile
     * @param likeness the part of the words of both that they share (Jaccard), from 0 to 1
     */
    public record Near(int text, double likeness) {}

    /**
     * Those most like one of them, the most alike first; of equally alike ones the earlier place.
     *
     * @param least how like they have to be, from 0 to 1
     * @param among which places come into question; its own never does
     */
    public List<Near> nearest(int text, double least, IntPredicate among, int most) {
        List<Near> near = new ArrayList<>();
        for (int i = 0; i < words.size(); i++) {
            if (i != text && among.test(i)) {
                double likeness = Alike.likeness(words.get(text), words.get(i));
                if (likeness >= least) {
                    near.add(new Near(i, likeness));
                }
            }
        }
        near.sort(Comparator.comparingDouble(Near::likeness).reversed().thenComparingInt(Near::text));
        return List.copyOf(near.subList(0, Math.min(most, near.size())));
    }
}
