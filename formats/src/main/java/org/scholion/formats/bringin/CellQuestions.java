package org.scholion.formats.bringin;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.scholion.formats.bringin.BringIn.CellQuestion;

/** What is asked about cells, once for all that say the same of one item, and what a person has decided. */
final class CellQuestions {
    private final Map<String, String> decisions;
    private final boolean points;
    private final Map<String, CellQuestion> asked = new LinkedHashMap<>();

    /** @param points whether the cells should be points */
    CellQuestions(Map<String, String> decisions, boolean points) {
        this.decisions = decisions;
        this.points = points;
    }

    List<CellQuestion> asked() {
        return List.copyOf(asked.values());
    }

    /** What was decided about such a cell; null while it is not. */
    @Nullable
    String ask(String item, String column, String cell, List<BringIn.Option> options) {
        String place = item + "\t" + cell;
        String decided = decisions.get(place);
        asked.merge(
                place,
                new CellQuestion(item, column, cell, 1, options, points, decided),
                (a, b) -> new CellQuestion(item, column, cell, a.count() + 1, options, points, decided));
        return decided;
    }
}
