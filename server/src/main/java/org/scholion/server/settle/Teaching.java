package org.scholion.server.settle;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.Item;
import org.scholion.core.item.TextItem;
import org.scholion.core.number.Fraction;
import org.scholion.core.score.Ruling;
import org.scholion.core.text.SafePattern;
import org.scholion.server.key.Edition;
import org.scholion.server.platform.Refused;
import org.scholion.server.settle.Settling.Decision;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** What a key learns from a decision: the edition that would follow. */
final class Teaching {
    private static final List<String> SPELLINGS = List.of("none", "one", "two", "length");

    private Teaching() {}

    /**
     * The next edition, not kept.
     *
     * @param shown for each form of the decision the answer as it was given
     */
    static Edition candidate(Edition edition, Decision decision, Map<String, String> shown) {
        Item item = Settling.item(edition, decision);
        JsonNode definition = edition.definition();
        List<Ruling> rulings = new ArrayList<>(edition.rulings());
        if (item instanceof TextItem) {
            definition = taught(edition, decision, shown);
        } else {
            rulings.removeIf(r -> r.item().equals(item.id()) && shown.containsKey(r.form()));
            Fraction credit = Settling.credit(decision);
            shown.keySet().forEach(form -> rulings.add(new Ruling(item.id(), form, credit, Settling.note(decision))));
        }
        return Edition.compile(edition.assessmentId(), edition.number() + 1, definition, rulings);
    }

    private static JsonNode taught(Edition edition, Decision decision, Map<String, String> shown) {
        ObjectNode definition = edition.definition().deepCopy().asObject();
        teach(Edition.itemIn(definition, decision.item()).asObject(), edition, decision, shown);
        return definition;
    }

    private static void teach(ObjectNode item, Edition edition, Decision decision, Map<String, String> shown) {
        forget(item, edition, decision, shown);
        String credit = Settling.credit(decision).toExact();
        switch (decision.reach()) {
            case HOLDS -> {
                ObjectNode entry = list(item, "accept").addObject();
                entry.putObject("words")
                        .putArray("all")
                        .add(said(decision, "Say which words the answer must contain."));
                entry.put("credit", credit);
            }
            case PATTERN ->
                list(item, "accept")
                        .addObject()
                        .put("pattern", pattern(decision))
                        .put("credit", credit);
            case SLIPS -> item.put("spelling", spelling(decision));
            default -> shown.values().forEach(text -> exactly(item, text, decision));
        }
    }

    private static void exactly(ObjectNode item, String text, Decision decision) {
        Fraction credit = Settling.credit(decision);
        ObjectNode entry = list(item, credit.isZero() ? "reject" : "accept").addObject();
        entry.put("text", text);
        if (!credit.isZero()) {
            entry.put("credit", credit.toExact());
        }
        String note = Settling.note(decision);
        if (note != null) {
            entry.put("note", note);
        }
    }

    private static String said(Decision decision, String otherwise) {
        if (decision.phrase() == null || decision.phrase().isBlank()) {
            throw Refused.invalid("phrase", otherwise);
        }
        return decision.phrase();
    }

    private static String pattern(Decision decision) {
        String pattern = said(decision, "Say which pattern the answer must match.");
        try {
            SafePattern.compile(pattern, true);
        } catch (IllegalArgumentException e) {
            throw Refused.invalid("phrase", String.valueOf(e.getMessage()));
        }
        return pattern;
    }

    private static String spelling(Decision decision) {
        String spelling = said(decision, "Say how many typing slips are forgiven.");
        if (!SPELLINGS.contains(spelling)) {
            throw Refused.invalid("phrase", "'" + spelling + "' is none of none, one, two and length");
        }
        return spelling;
    }

    /** What was decided about exactly these answers before is replaced, not contradicted. */
    private static void forget(ObjectNode item, Edition edition, Decision decision, Map<String, String> shown) {
        Item about = Settling.item(edition, decision);
        for (String name : List.of("accept", "reject")) {
            if (item.get(name) instanceof ArrayNode list) {
                for (int i = list.size() - 1; i >= 0; i--) {
                    String text = list.get(i).path("text").asString("");
                    if (!text.isEmpty()
                            && shown.containsKey(edition.scorer(about).form(new Answer.Typed(text)))) {
                        list.remove(i);
                    }
                }
            }
        }
    }

    private static ArrayNode list(ObjectNode item, String name) {
        return item.get(name) instanceof ArrayNode list ? list : item.putArray(name);
    }
}
