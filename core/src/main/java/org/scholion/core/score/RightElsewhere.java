package org.scholion.core.score;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.Item;
import org.scholion.core.item.NumberItem;
import org.scholion.core.item.TextItem;
import org.scholion.core.number.Fraction;

/** Questions of a paper in which a typed answer would be right: it may stand beside the wrong number. */
public final class RightElsewhere {
    private final Map<Item, Scorer> typed = new LinkedHashMap<>();

    /** @param scorer the scorer of an item, with its decisions */
    public RightElsewhere(Collection<Item> paper, Function<Item, Scorer> scorer) {
        // Formulas are left out: a student who mixes two of these up is rare, and reading them is slow.
        paper.stream()
                .filter(item -> item instanceof TextItem || item instanceof NumberItem)
                .forEach(item -> typed.put(item, scorer.apply(item)));
    }

    /** The other questions that give full credit for it, in the paper's order. */
    public List<Item> of(Item asked, Answer answer) {
        if (!(answer instanceof Answer.Typed) || answer.isBlank()) {
            return List.of();
        }
        List<Item> right = new ArrayList<>();
        typed.forEach((item, scorer) -> {
            if (!item.id().equals(asked.id())) {
                Mark mark = scorer.score(answer);
                if (mark.state() == State.SCORED && mark.credit().compareTo(Fraction.ONE) >= 0) {
                    right.add(item);
                }
            }
        });
        return List.copyOf(right);
    }
}
