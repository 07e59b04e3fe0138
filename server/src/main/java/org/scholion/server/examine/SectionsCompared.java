package org.scholion.server.examine;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.core.item.Item;
import org.scholion.core.measure.Figure;
import org.scholion.core.measure.Figures;
import org.scholion.core.measure.ItemDifference;
import org.scholion.core.measure.ItemMeasures;
import org.scholion.core.measure.Scores;
import org.scholion.core.measure.SectionDifference;
import org.scholion.core.measure.SectionMeasures;
import org.scholion.server.key.Edition;
import org.scholion.server.key.Editions;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The sections that took a paper, side by side: in their totals, and question by question at equal ability. */
@Service
class SectionsCompared {
    private final Editions editions;
    private final ExaminedPapers examined;

    SectionsCompared(Editions editions, ExaminedPapers examined) {
        this.editions = editions;
        this.examined = examined;
    }

    /** How one section did on one question, as a share of its points. */
    record InSection(int n, Figure mean, Figure low, Figure high) {}

    /**
     * A question in every section.
     *
     * @param inSections in the order of the sections
     * @param differences at equal ability, the first section against each other one
     */
    record QuestionInSections(
            String item,
            int number,
            String prompt,
            List<InSection> inSections,
            List<ItemDifference> differences,
            List<String> flags) {}

    /** @param possible the points that means are out of */
    record SectionsView(
            String possible,
            List<SectionMeasures> sections,
            List<SectionDifference> differences,
            List<QuestionInSections> questions) {}

    @Transactional(readOnly = true)
    SectionsView of(UUID assessment) {
        Edition latest = editions.latest(assessment).orElse(null);
        if (latest == null) {
            return new SectionsView("0", List.of(), List.of(), List.of());
        }
        Examined paper = examined.read(latest, null);
        Codes codes = new Codes(paper);
        Scores scores = codes.all();
        List<@Nullable String> sectionOfEach = paper.sectionOfEach();
        List<ItemDifference> byItem = ItemDifference.of(scores, sectionOfEach);
        List<List<ItemMeasures>> inSections = new ArrayList<>();
        for (Map.Entry<UUID, String> section : paper.sections().entrySet()) {
            inSections.add(
                    Figures.of(codes.some(paper.ofSection(section.getKey()))).items());
        }
        List<QuestionInSections> questions = new ArrayList<>();
        int each = paper.items().isEmpty() ? 0 : byItem.size() / paper.items().size();
        for (int j = 0; j < paper.items().size(); j++) {
            Item item = paper.items().get(j);
            if (!paper.isDropped(item)) {
                questions.add(question(item, j, inSections, byItem.subList(j * each, (j + 1) * each)));
            }
        }
        return new SectionsView(
                paper.possible().toExact(),
                SectionMeasures.of(scores, sectionOfEach),
                SectionDifference.of(scores, sectionOfEach),
                questions);
    }

    private static QuestionInSections question(
            Item item, int place, List<List<ItemMeasures>> inSections, List<ItemDifference> differences) {
        return new QuestionInSections(
                item.id(),
                place + 1,
                item.asked(),
                inSections.stream()
                        .map(s -> s.get(place))
                        .map(m -> new InSection(m.n(), m.difficulty(), m.low(), m.high()))
                        .toList(),
                differences,
                differences.stream().map(SectionsCompared::flag).toList());
    }

    private static String flag(ItemDifference d) {
        return d.isLarge() ? "large" : d.isModerate() ? "moderate" : "";
    }
}
