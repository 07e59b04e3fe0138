package org.scholion.server.key;

import java.util.ArrayList;
import java.util.List;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.Item;
import org.scholion.core.item.PassageItem;
import org.scholion.core.reason.Words;
import org.scholion.core.score.HowItScores;
import org.scholion.core.score.Mark;
import org.scholion.core.score.Scorer;
import org.scholion.formats.assessment.AnswerJson;
import org.scholion.formats.assessment.AssessmentFile;
import org.scholion.formats.assessment.AssessmentReader;
import org.scholion.formats.json.Cursor;
import org.scholion.formats.json.Fault;
import org.scholion.formats.json.Faults;
import org.scholion.server.platform.JsonColumn;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * One item while it is written: what is wrong with it, how it scores in words, and what tried answers would get.
 *
 * @param words how it scores; empty while something is wrong
 * @param tried one for each answer that was tried
 */
public record ItemCheck(List<Fault> faults, String words, List<Tried> tried) {

    /** What a tried answer would get. */
    public record Tried(String state, String points, String of, String because) {}

    static ItemCheck of(Object itemDefinition, List<Object> answers) {
        ObjectNode file = JsonNodeFactory.instance
                .objectNode()
                .put("format", AssessmentFile.FORMAT)
                .put("title", "one item");
        ObjectNode node = JsonColumn.node(itemDefinition).deepCopy().asObject();
        node.remove("part");
        file.putArray("items").add(node);
        try {
            Item item = AssessmentReader.read(file).assessment().items().get(0);
            return new ItemCheck(List.of(), HowItScores.of(item), tried(item, answers));
        } catch (Faults e) {
            return new ItemCheck(e.all().stream().map(ItemCheck::relative).toList(), "", List.of());
        }
    }

    private static Fault relative(Fault fault) {
        return new Fault(fault.path().replaceFirst("^items\\[0]\\.?", ""), fault.message());
    }

    private static List<Tried> tried(Item item, List<Object> answers) {
        List<Tried> tried = new ArrayList<>();
        if (item instanceof PassageItem) {
            return tried;
        }
        Scorer scorer = Scorer.of(item);
        for (Object answer : answers) {
            tried.add(attempt(item, scorer, JsonColumn.node(answer)));
        }
        return tried;
    }

    private static Tried attempt(Item item, Scorer scorer, JsonNode node) {
        Cursor at = Cursor.at(node);
        Answer answer = AnswerJson.read(item, at);
        if (!at.faults().isEmpty()) {
            return new Tried(
                    "fault", "0", item.points().toExact(), at.faults().get(0).toString());
        }
        Mark mark = scorer.score(answer);
        return new Tried(
                mark.state().word(),
                mark.credit().times(item.points()).toExact(),
                item.points().toExact(),
                Words.english(mark.reason()));
    }
}
