package org.scholion.server.handback;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.scholion.core.item.Item;
import org.scholion.core.number.Fraction;
import org.scholion.core.score.Mark;
import org.scholion.core.standard.Alignments;
import org.scholion.core.standard.Evidence;
import org.scholion.core.standard.Framework;
import org.scholion.formats.assessment.FrameworkReader;
import org.scholion.formats.json.Cursor;
import org.scholion.server.key.Edition;
import org.scholion.server.ledger.LedgerMark;
import tools.jackson.databind.JsonNode;

/** What the marks of one paper show of standards, in the order of the course's frameworks; compiled once for all. */
record OnStandards(Edition edition, Alignments alignments, Map<String, String> texts) {

    static OnStandards of(Edition edition, List<JsonNode> definitions) {
        List<Framework> frameworks = definitions.stream()
                .map(d -> FrameworkReader.read(Cursor.at(d)))
                .toList();
        Map<String, String> texts = new LinkedHashMap<>();
        frameworks.forEach(f -> f.standards().forEach(s -> texts.putIfAbsent(s.code(), s.text())));
        return new OnStandards(edition, new Alignments(edition.assessment(), frameworks), texts);
    }

    /** Those on which there is evidence; what waits for a decision is none. */
    List<StudentResult.ResultStandard> of(Map<String, LedgerMark> marks) {
        if (alignments.isEmpty()) {
            return List.of();
        }
        List<Mark> inOrder = new ArrayList<>();
        for (Item item : edition.assessment().scorable()) {
            LedgerMark mark = marks.get(item.id());
            inOrder.add(mark == null ? Mark.BLANK : mark.mark());
        }
        List<StudentResult.ResultStandard> shown = new ArrayList<>();
        alignments.of(inOrder).forEach((code, evidence) -> shown(code, evidence, shown));
        return shown;
    }

    private void shown(String code, Evidence evidence, List<StudentResult.ResultStandard> shown) {
        Fraction percent = evidence.percent();
        if (percent != null) {
            int digits = edition.assessment().grading().percentDigits();
            shown.add(new StudentResult.ResultStandard(
                    code,
                    texts.getOrDefault(code, ""),
                    evidence.score().toExact(),
                    evidence.possible().toExact(),
                    percent.toFixed(digits),
                    evidence.pieces()));
        }
    }
}
