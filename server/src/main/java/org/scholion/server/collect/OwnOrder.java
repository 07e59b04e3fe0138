package org.scholion.server.collect;

import java.util.ArrayList;
import java.util.Collections;
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

    /** Options that have to stay last keep their places at the end. */
    List<PaperOption> options(Item item) {
        List<PaperOption> options = PaperItem.options(item);
        if (!file.layout().shuffleOptions() || !(item instanceof ChoiceItem)) {
            return options;
        }
        List<String> last = file.particulars(item.id()).last();
        List<PaperOption> mixed = new ArrayList<>(
                options.stream().filter(o -> !last.contains(o.id())).toList());
        Collections.shuffle(mixed, Chance.of(seed ^ item.id().hashCode()));
        options.stream().filter(o -> last.contains(o.id())).forEach(mixed::add);
        return mixed;
    }
}
