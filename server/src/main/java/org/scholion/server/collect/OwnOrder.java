package org.scholion.server.collect;

import java.util.List;
import java.util.Set;
import org.scholion.core.draw.Chance;
import org.scholion.core.item.ChoiceItem;
import org.scholion.core.item.Item;
import org.scholion.formats.assessment.AssessmentFile;
import org.scholion.formats.assessment.PaperOrder;
import org.scholion.server.collect.PaperItem.PaperOption;

/** In which order one student gets the items and their options. The same seed gives the same order. */
record OwnOrder(AssessmentFile file, long seed, Set<String> leftOut) {

    List<Item> items() {
        return PaperOrder.shuffled(file, Chance.of(seed), file.layout().shuffleItems()).stream()
                .filter(i -> !leftOut.contains(i.id()))
                .toList();
    }

    List<PaperOption> options(Item item) {
        return file.layout().shuffleOptions() && item instanceof ChoiceItem choice
                ? PaperItem.options(PaperOrder.shuffled(
                        file, choice, Chance.of(seed ^ item.id().hashCode())))
                : PaperItem.options(item);
    }
}
