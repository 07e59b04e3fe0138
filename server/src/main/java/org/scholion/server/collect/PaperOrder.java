package org.scholion.server.collect;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Random;
import java.util.Set;
import org.scholion.core.item.ChoiceItem;
import org.scholion.core.item.Item;
import org.scholion.formats.assessment.AssessmentFile;
import org.scholion.formats.assessment.Layout;
import org.scholion.formats.assessment.Particulars;
import org.scholion.server.collect.PaperItem.PaperOption;

/**
 * In which order one student gets the items and their options: as written, or shuffled within the parts so that what
 * shares a passage, and a choice with the reason that is asked for, stay together. The same seed gives the same order.
 */
record PaperOrder(AssessmentFile file, long seed, Set<String> leftOut) {

    List<Item> items() {
        Layout layout = file.layout();
        Map<String, List<List<Item>>> byPart = new LinkedHashMap<>();
        groups().forEach(group ->
                byPart.computeIfAbsent(part(group), p -> new ArrayList<>()).add(group));
        List<Item> ordered = new ArrayList<>();
        Random random = new Random(seed);
        for (List<List<Item>> groups : byPart.values()) {
            if (layout.shuffleItems()) {
                Collections.shuffle(groups, random);
            }
            groups.forEach(ordered::addAll);
        }
        return ordered;
    }

    /** Items that stay together: those of one passage behind it, and a reason behind its choice. */
    private List<List<Item>> groups() {
        Map<String, List<Item>> groups = new LinkedHashMap<>();
        for (Item item : file.assessment().items()) {
            if (!leftOut.contains(item.id())) {
                groups.computeIfAbsent(leader(item), id -> new ArrayList<>()).add(item);
            }
        }
        return new ArrayList<>(groups.values());
    }

    private String leader(Item item) {
        Particulars p = file.particulars(item.id());
        if (p.stem() != null) {
            return p.stem();
        }
        return p.reasonFor() == null
                ? item.id()
                : file.assessment().item(p.reasonFor()).map(this::leader).orElse(item.id());
    }

    private static String part(List<Item> group) {
        return group.stream()
                .map(i -> i.head().part())
                .filter(Objects::nonNull)
                .findFirst()
                .orElse("");
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
        Collections.shuffle(mixed, new Random(seed ^ item.id().hashCode()));
        options.stream().filter(o -> last.contains(o.id())).forEach(mixed::add);
        return mixed;
    }
}
