package org.scholion.server.collect;

import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import org.scholion.core.draw.Chance;
import org.scholion.core.item.ChoiceItem;
import org.scholion.core.item.Item;
import org.scholion.core.item.Named;
import org.scholion.core.item.OrderItem;
import org.scholion.core.item.PairsItem;
import org.scholion.formats.assessment.AssessmentFile;
import org.scholion.formats.assessment.PaperOrder;
import org.scholion.server.key.Edition;

/** In which order one student gets the items, their options, steps and what is matched. The same seed, the same order. */
record OwnOrder(AssessmentFile file, long seed, Set<String> leftOut) {

    /** @param order the attempt whose order it is: its own, or of the one that it goes on from */
    static OwnOrder of(Edition edition, UUID order, Set<String> leftOut) {
        return new OwnOrder(edition.file(), order.getLeastSignificantBits(), leftOut);
    }

    List<Item> items() {
        return PaperOrder.shuffled(file, Chance.of(seed), file.layout().shuffleItems()).stream()
                .filter(i -> !leftOut.contains(i.id()))
                .toList();
    }

    List<ChoiceItem.Option> options(ChoiceItem item) {
        return file.layout().shuffleOptions() ? PaperOrder.shuffled(file, item, chance(item)) : item.options();
    }

    List<Named> steps(OrderItem item) {
        return PaperOrder.steps(item, chance(item));
    }

    List<Named> rights(PairsItem item) {
        return PaperOrder.rights(item, chance(item));
    }

    private Random chance(Item item) {
        return Chance.of(seed ^ item.id().hashCode());
    }
}
