package org.scholion.server.examine;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.ChoiceItem;
import org.scholion.core.item.Item;
import org.scholion.core.measure.Scores;
import org.scholion.core.measure.ScoresBuilder;
import org.scholion.core.number.Fraction;
import org.scholion.core.score.State;
import org.scholion.server.key.Edition;
import org.scholion.server.ledger.Brief;

/** What the measures are computed of: each response as a small number, equal ones the same. */
final class Codes {
    private final ScoresBuilder builder;

    /** What measures look at. */
    private record Shape(@Nullable State state, Fraction credit, List<Integer> chosen) {}

    Codes(Examined paper) {
        Edition edition = paper.edition();
        this.builder = new ScoresBuilder(edition.assessment());
        List<Item> items = edition.items();
        List<Map<Shape, Integer>> known = new ArrayList<>();
        items.forEach(i -> known.add(new HashMap<>()));
        int[] codes = new int[items.size()];
        for (Examined.Row row : paper.rows()) {
            for (int j = 0; j < codes.length; j++) {
                Brief brief = row.marks().get(j);
                Shape shape = new Shape(brief.state(), brief.credit(), brief.chosen());
                int place = j;
                codes[j] = known.get(j)
                        .computeIfAbsent(
                                shape, s -> builder.kind(place, brief.mark(), answer(items.get(place), brief)));
            }
            builder.add(codes);
        }
    }

    private static Answer answer(Item item, Brief brief) {
        if (!(item instanceof ChoiceItem choice)) {
            return Answer.NONE;
        }
        Set<String> chosen = new LinkedHashSet<>();
        brief.chosen().forEach(at -> chosen.add(choice.options().get(at).id()));
        return new Answer.Chosen(chosen);
    }

    Scores all() {
        return builder.build();
    }

    /** Of the attempts at these places only. */
    Scores some(int[] places) {
        return builder.build(places);
    }
}
