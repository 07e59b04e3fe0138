package org.scholion.core.measure;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * Everything that the answers to one paper tell.
 *
 * @param flags for each item, what should be looked at
 * @param sections empty when no sections are given, as are {@code differences} and {@code byItem}
 */
public record Analysis(
        TestMeasures test,
        List<ItemMeasures> items,
        List<List<Flag.Raised>> flags,
        List<Standing> students,
        List<SectionMeasures> sections,
        List<SectionDifference> differences,
        List<ItemDifference> byItem) {

    /**
     * Computes all of it.
     *
     * @param sections each attempt's section, or null
     */
    public static Analysis of(Scores scores, List<@Nullable String> sections) {
        Paper paper = Paper.of(scores);
        List<ItemMeasures> items = ItemMeasures.of(scores, paper);
        List<ItemDifference> byItem = ItemDifference.of(scores, sections);
        Map<String, Moments> totals = SectionMeasures.moments(scores, sections);
        int each = items.isEmpty() ? 0 : byItem.size() / items.size();
        List<List<Flag.Raised>> flags = new ArrayList<>();
        for (int j = 0; j < items.size(); j++) {
            flags.add(Flag.of(items.get(j), scores.item(j).ofOne(), byItem.subList(j * each, (j + 1) * each)));
        }
        return new Analysis(
                TestMeasures.of(paper),
                items,
                flags,
                Standing.of(scores, paper.groups().ranks()),
                SectionMeasures.of(totals, scores.scale()),
                SectionDifference.of(totals, scores.scale()),
                byItem);
    }
}
