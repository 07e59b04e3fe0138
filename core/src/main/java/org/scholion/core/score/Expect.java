package org.scholion.core.score;

import java.util.List;
import java.util.Map;
import java.util.Set;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.Item;
import org.scholion.core.item.Named;
import org.scholion.core.item.OrderItem;
import org.scholion.core.item.PairsItem;
import org.scholion.core.item.SpotItem;

/** Answers arrive in the form of their item's kind, or are refused by name. */
final class Expect {
    private Expect() {}

    static Answer.Chosen chosen(Item item, Answer answer) {
        if (answer instanceof Answer.Chosen chosen) {
            return chosen;
        }
        if (answer.isBlank()) {
            return Answer.Chosen.of();
        }
        throw new IllegalArgumentException("item " + item.id() + ": a choice is answered with option ids");
    }

    static Map<String, Answer> parts(Item item, Answer answer) {
        if (answer instanceof Answer.Parts parts) {
            return parts.parts();
        }
        return blankOr(item, answer, Map.of(), "an answer for each part");
    }

    static Set<PairsItem.Pair> pairs(PairsItem item, Answer answer) {
        if (!(answer instanceof Answer.Paired paired)) {
            return blankOr(item, answer, Set.of(), "pairs of ids");
        }
        for (PairsItem.Pair pair : paired.pairs()) {
            known(item, item.left(), pair.left());
            known(item, item.right(), pair.right());
        }
        return paired.pairs();
    }

    static List<String> ordered(OrderItem item, Answer answer) {
        if (!(answer instanceof Answer.Ordered ordered)) {
            return blankOr(item, answer, List.of(), "ids in order");
        }
        for (int i = 0; i < ordered.ids().size(); i++) {
            String id = ordered.ids().get(i);
            known(item, item.tokens(), id);
            if (ordered.ids().indexOf(id) != i) {
                throw new IllegalArgumentException("item " + item.id() + ": '" + id + "' is in the order twice");
            }
        }
        return ordered.ids();
    }

    static List<SpotItem.Point> points(SpotItem item, Answer answer) {
        return answer instanceof Answer.Pointed pointed
                ? pointed.points()
                : blankOr(item, answer, List.of(), "points on the picture");
    }

    static List<String> lines(Item item, Answer answer) {
        return answer instanceof Answer.Lines lines
                ? lines.lines()
                : blankOr(item, answer, List.of(), "lines of working");
    }

    private static void known(Item item, List<Named> things, String id) {
        if (things.stream().noneMatch(n -> n.id().equals(id))) {
            throw new IllegalArgumentException("item " + item.id() + ": nothing is called '" + id + "'");
        }
    }

    private static <T> T blankOr(Item item, Answer answer, T nothing, String form) {
        if (answer.isBlank()) {
            return nothing;
        }
        throw new IllegalArgumentException("item " + item.id() + ": a " + item.kind() + " is answered with " + form);
    }

    static String typed(Item item, Answer answer) {
        if (answer instanceof Answer.Typed typed) {
            return typed.text();
        }
        if (answer.isBlank()) {
            return "";
        }
        throw new IllegalArgumentException("item " + item.id() + ": a " + item.kind() + " is answered with a text");
    }
}
