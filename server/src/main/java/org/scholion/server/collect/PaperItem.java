package org.scholion.server.collect;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.scholion.core.item.ChoiceItem;
import org.scholion.core.item.Item;
import org.scholion.core.item.NumberItem;
import org.scholion.core.item.OpenItem;
import org.scholion.core.item.PassageItem;
import org.scholion.core.total.Assessment;

/**
 * An item as a student sees it: what is asked and how to answer, and nothing of the key.
 *
 * @param number its number on the paper; 0 for a passage
 * @param max how many options may be chosen; 0 where there are none
 * @param withUnit whether a number is asked for with its unit
 */
public record PaperItem(
        String id,
        int number,
        String kind,
        String prompt,
        String points,
        List<PaperOption> options,
        int max,
        boolean withUnit,
        @Nullable Integer maxWords) {

    public record PaperOption(String id, String text) {}

    public static List<PaperItem> of(Assessment assessment) {
        List<PaperItem> all = new ArrayList<>();
        int number = 0;
        for (Item item : assessment.items()) {
            number += item instanceof PassageItem ? 0 : 1;
            all.add(of(item, item instanceof PassageItem ? 0 : number));
        }
        return all;
    }

    public static PaperItem of(Item item, int number) {
        List<PaperOption> options = item instanceof ChoiceItem c
                ? c.options().stream()
                        .map(o -> new PaperOption(o.id(), o.text()))
                        .toList()
                : List.of();
        return new PaperItem(
                item.id(),
                number,
                item.kind(),
                item.head().prompt(),
                item.points().toExact(),
                options,
                item instanceof ChoiceItem c ? c.max() : 0,
                item instanceof NumberItem n && n.unit() != null,
                item instanceof OpenItem o ? o.maxWords() : null);
    }
}
