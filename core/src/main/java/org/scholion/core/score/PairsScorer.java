package org.scholion.core.score;

import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.Named;
import org.scholion.core.item.PairsItem;
import org.scholion.core.number.Fraction;
import org.scholion.core.reason.Reason;
import org.scholion.core.reason.Reason.Code;

/** Matching under one of three rules; K is the set of keyed pairs, S the answered ones. */
final class PairsScorer implements Scorer {
    private final PairsItem item;
    private final Set<PairsItem.Pair> keyed;

    PairsScorer(PairsItem item) {
        this.item = item;
        this.keyed = Set.copyOf(item.key());
    }

    @Override
    public Mark score(Answer answer) {
        Set<PairsItem.Pair> said = Expect.pairs(item, answer);
        if (said.isEmpty()) {
            return Mark.BLANK;
        }
        item.over(said).ifPresent(what -> {
            throw new IllegalArgumentException("item " + item.id() + ": " + what);
        });
        int right = (int) said.stream().filter(keyed::contains).count();
        List<String> wrong = said.stream()
                .filter(p -> !keyed.contains(p))
                .map(this::shown)
                .sorted()
                .toList();
        return switch (item.rule()) {
            case EACH -> Mark.scored(Fraction.of(right, keyed.size()), told(Code.PAIRS_EACH, right, wrong));
            case NET ->
                Mark.scored(
                        Fraction.of(right - wrong.size(), keyed.size()).max(Fraction.ZERO),
                        told(Code.PAIRS_NET, right, wrong));
            case EXACT ->
                Mark.scored(said.equals(keyed) ? Fraction.ONE : Fraction.ZERO, told(Code.PAIRS_EXACT, right, wrong));
        };
    }

    private Reason told(Code code, int right, List<String> wrong) {
        return Reason.of(code).with("right", right).with("keyed", keyed.size()).with("wrong", wrong);
    }

    private String shown(PairsItem.Pair pair) {
        return text(item.left(), pair.left()) + " – " + text(item.right(), pair.right());
    }

    private static String text(List<Named> side, String id) {
        return side.stream()
                .filter(n -> n.id().equals(id) && !n.text().isBlank())
                .map(Named::text)
                .findFirst()
                .orElse(id);
    }

    @Override
    public String form(Answer answer) {
        Set<String> sorted = new TreeSet<>();
        Expect.pairs(item, answer).forEach(p -> sorted.add(p.toString()));
        return String.join(";", sorted);
    }
}
