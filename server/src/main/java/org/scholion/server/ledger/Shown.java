package org.scholion.server.ledger;

import java.util.stream.Collectors;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.ChoiceItem;
import org.scholion.core.item.Item;

/** An answer as a person reads it: chosen options by their text. */
public final class Shown {
    private Shown() {}

    public static String of(Item item, Answer answer) {
        if (item instanceof ChoiceItem choice && answer instanceof Answer.Chosen chosen) {
            return choice.options().stream()
                    .filter(o -> chosen.options().contains(o.id()))
                    .map(o -> o.text().isBlank() ? o.id() : o.text())
                    .collect(Collectors.joining(" + "));
        }
        return answer.shown();
    }
}
