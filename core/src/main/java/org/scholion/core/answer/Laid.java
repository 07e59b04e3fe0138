package org.scholion.core.answer;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.scholion.core.item.BlanksItem;
import org.scholion.core.item.FormulaItem;
import org.scholion.core.item.Item;
import org.scholion.core.item.OrderItem;
import org.scholion.core.item.PairsItem;

/**
 * An answer laid out as the student gave it: blanks in their sentence, pairs as pairs, a working line by line.
 *
 * @param pieces what it is made of, in order
 */
public record Laid(Shape shape, List<Piece> pieces) {
    /** How the pieces stand to each other. */
    public enum Shape {
        /** One piece, as it was typed or chosen. */
        PLAIN,
        /** One formula. */
        FORMULA,
        /** Stretches of the sentence, each with what fills the blank after it; the last may have none after it. */
        SENTENCE,
        /** What was put to what. */
        PAIRS,
        /** One after the other, as they were put. */
        IN_TURN,
        /** Lines of a working, one below another. */
        LINES,
        /** Places on the picture: shares of its width and of its height. */
        PLACES
    }

    /**
     * @param at what it stands at: the sentence before the blank, the left side of a pair, a share of the width; else empty
     * @param said what the student gave; empty for a blank left empty
     * @param filled whether the student had something to give here
     */
    public record Piece(String at, String said, boolean filled) {}

    public static Laid out(Item item, Answer answer) {
        if (item instanceof BlanksItem blanks && answer instanceof Answer.Parts parts && blanks.hasPlaces()) {
            return new Laid(Shape.SENTENCE, sentence(blanks, parts));
        }
        if (item instanceof PairsItem pairs && answer instanceof Answer.Paired paired) {
            return new Laid(
                    Shape.PAIRS,
                    paired.pairs().stream()
                            .map(p -> new Piece(
                                    Told.name(pairs.left(), p.left()), Told.name(pairs.right(), p.right()), true))
                            .toList());
        }
        if (item instanceof OrderItem order && answer instanceof Answer.Ordered ordered) {
            return new Laid(
                    Shape.IN_TURN,
                    ordered.ids().stream()
                            .map(id -> new Piece("", Told.name(order.tokens(), id), true))
                            .toList());
        }
        if (answer instanceof Answer.Lines working) {
            return new Laid(
                    Shape.LINES,
                    working.lines().stream()
                            .map(line -> new Piece("", line, true))
                            .toList());
        }
        if (answer instanceof Answer.Pointed pointed) {
            return new Laid(
                    Shape.PLACES,
                    pointed.points().stream()
                            .map(p -> new Piece(p.x().toDecimal(4), p.y().toDecimal(4), true))
                            .toList());
        }
        Shape shape = item instanceof FormulaItem ? Shape.FORMULA : Shape.PLAIN;
        return new Laid(shape, List.of(new Piece("", Told.in(item, answer), true)));
    }

    private static List<Piece> sentence(BlanksItem item, Answer.Parts answer) {
        Map<String, String> left = new LinkedHashMap<>();
        item.parts()
                .forEach(p -> left.put(p.id(), Told.in(p.item(), answer.parts().getOrDefault(p.id(), Answer.NONE))));
        List<Piece> pieces = new ArrayList<>();
        // A sign that stands in no sentence takes the blanks' places, so that what stood between them is found.
        List<String> filled = new ArrayList<>();
        String cut = item.sentence(item.head().prompt().replace("\0", ""), id -> {
            filled.add(left.getOrDefault(id, ""));
            left.remove(id);
            return "\0";
        });
        String[] between = cut.split("\0", -1);
        for (int i = 0; i < filled.size(); i++) {
            pieces.add(new Piece(between[i], filled.get(i), true));
        }
        if (!between[filled.size()].isEmpty()) {
            pieces.add(new Piece(between[filled.size()], "", false));
        }
        // A blank whose place was taken out of the sentence stands after it.
        left.forEach((id, said) -> pieces.add(new Piece(" ", said, true)));
        return List.copyOf(pieces);
    }
}
