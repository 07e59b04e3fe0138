package org.scholion.server.handback;

import java.util.List;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * What of a result is a fact: points, marks, band, what was reached and shown of standards, and what the teacher says. How the application words
 * it, and what course and questions are called, is none: a reworded reason makes no other result.
 */
final class ResultFacts {
    private static final List<String> OF_ALL = List.of("score", "possible", "percent", "band", "passed", "provisional");
    private static final List<String> OF_A_MARK = List.of("state", "points", "of", "note", "mastered");

    private static final List<String> OF_A_STANDARD = List.of("code", "score", "possible");

    /** The teacher's own words; of the rest only whether it is shown at all. */
    private static final List<String> SAID = List.of("comment", "feedback");

    private static final List<String> SHOWN = List.of("answer", "key");

    private ResultFacts() {}

    /** @param result a result's page, as it is stored or would be now */
    static JsonNode of(JsonNode result) {
        ObjectNode facts = picked(result, OF_ALL);
        facts.put("message", result.path("message").asString(""));
        ArrayNode said = facts.putArray("said");
        result.path("said").forEach(s -> said.add(s.path("text").asString("")));
        ArrayNode awards = facts.putArray("awards");
        result.path("awards").forEach(a -> awards.add(a.path("title").asString("")));
        ArrayNode standards = facts.putArray("standards");
        result.path("standards").forEach(s -> standards.add(picked(s, OF_A_STANDARD)));
        ArrayNode items = facts.putArray("items");
        result.path("items").forEach(i -> items.add(item(i)));
        return facts;
    }

    private static ObjectNode item(JsonNode item) {
        ObjectNode facts = picked(item, List.of("item", "remarks", "drawn"));
        SAID.forEach(name -> facts.put(name, item.path(name).asString("")));
        SHOWN.forEach(name -> facts.put(name, item.hasNonNull(name)));
        if (item.path("mark").isObject()) {
            facts.set("mark", picked(item.path("mark"), OF_A_MARK));
        }
        return facts;
    }

    /** What is missing is as what is null: older results have fewer fields. */
    private static ObjectNode picked(JsonNode from, List<String> names) {
        ObjectNode picked = JsonNodeFactory.instance.objectNode();
        names.stream().filter(from::hasNonNull).forEach(name -> picked.set(name, from.get(name)));
        return picked;
    }
}
