package org.scholion.core.measure;

import org.scholion.core.answer.Answer;
import org.scholion.core.item.BlanksItem;
import org.scholion.core.item.Item;
import org.scholion.core.item.OrderItem;
import org.scholion.core.item.PairsItem;

/** Whether an answer was begun and not finished: some blanks filled, some rows matched, some steps put in order. */
public final class Unfinished {
    private Unfinished() {}

    /** Whether answers of this kind have parts, of which some can be missing. */
    public static boolean canTell(Item item) {
        return item instanceof BlanksItem || item instanceof PairsItem || item instanceof OrderItem;
    }

    /** False for kinds of which a part cannot be told. */
    public static boolean is(Item item, Answer answer) {
        if (answer.isBlank()) {
            return false;
        }
        if (item instanceof BlanksItem blanks && answer instanceof Answer.Parts given) {
            return blanks.parts().stream()
                    .anyMatch(
                            p -> given.parts().getOrDefault(p.id(), Answer.NONE).isBlank());
        }
        if (item instanceof PairsItem pairs && answer instanceof Answer.Paired given) {
            long rows =
                    given.pairs().stream().map(PairsItem.Pair::left).distinct().count();
            long asked =
                    pairs.key().stream().map(PairsItem.Pair::left).distinct().count();
            return rows < asked;
        }
        return item instanceof OrderItem order
                && answer instanceof Answer.Ordered given
                && given.ids().size() < order.key().size();
    }
}
