package org.scholion.server.key;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.core.item.Item;
import org.scholion.core.number.Fraction;
import org.scholion.core.score.Ruling;
import org.scholion.core.score.Scorer;
import org.scholion.core.total.Adjustment;
import org.scholion.core.total.Assessment;
import org.scholion.core.total.Award;
import org.scholion.core.total.Totals;
import org.scholion.formats.assessment.AssessmentFile;
import org.scholion.formats.assessment.AssessmentReader;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.MissingNode;

/**
 * A frozen version of an assessment, compiled: its scorers and its totals are ready and safe for threads.
 *
 * @param definition the assessment file that it was frozen from
 * @param rulings decisions on single answers that the key itself cannot list
 */
public record Edition(
        UUID assessmentId,
        int number,
        JsonNode definition,
        List<Ruling> rulings,
        AssessmentFile file,
        List<Item> items,
        Map<String, Scorer> scorers,
        Totals totals) {

    /** Compiles a definition; what is wrong with it is thrown with its paths. */
    public static Edition compile(UUID assessmentId, int number, JsonNode definition, List<Ruling> rulings) {
        AssessmentFile file = AssessmentReader.read(definition);
        Assessment assessment = file.assessment();
        Map<String, Scorer> scorers = new HashMap<>();
        assessment.scorable().forEach(i -> scorers.put(i.id(), Scorer.of(i, rulings)));
        return new Edition(
                assessmentId,
                number,
                definition,
                List.copyOf(rulings),
                file,
                assessment.scorable(),
                Map.copyOf(scorers),
                new Totals(assessment));
    }

    public Assessment assessment() {
        return file.assessment();
    }

    /** An item as a definition writes it; a missing node where there is none. */
    public static JsonNode itemIn(JsonNode definition, String id) {
        for (JsonNode node : definition.path("items")) {
            if (node.path("id").asString("").equals(id)) {
                return node;
            }
        }
        return MissingNode.getInstance();
    }

    /** The picture of an item as its key writes it; a missing node where there is none. */
    public JsonNode pictureOf(Item item) {
        return itemIn(definition, item.id()).path("picture");
    }

    public Scorer scorer(Item item) {
        Scorer scorer = scorers.get(item.id());
        if (scorer == null) {
            throw new IllegalArgumentException("item " + item.id() + " is not in edition " + number);
        }
        return scorer;
    }

    /** Whether an undecided mark of this item waits for somebody: not where it is dropped or credited to all. */
    public boolean waits(Item item) {
        Adjustment.Kind kind = assessment().adjustment(item.id()).orElse(null);
        return kind == null || kind == Adjustment.Kind.BONUS;
    }

    /** What is given for a result; nothing before the last mark is made. */
    public List<Award> awards(@Nullable Fraction percent, boolean provisional) {
        return provisional ? List.of() : Award.reached(file.layout().awards(), percent);
    }

    /** The item's number on the paper of an attempt that was not drawn these; 0 for one of them. */
    public int numberOf(String itemId, Set<String> leftOut) {
        int number = 0;
        for (Item item : items) {
            number += leftOut.contains(item.id()) ? 0 : 1;
            if (item.id().equals(itemId)) {
                return leftOut.contains(itemId) ? 0 : number;
            }
        }
        return 0;
    }

    /** The item's number on the paper, from 1. */
    public int numberOf(String itemId) {
        for (int i = 0; i < items.size(); i++) {
            if (items.get(i).id().equals(itemId)) {
                return i + 1;
            }
        }
        return 0;
    }
}
