package org.scholion.server.key;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import tools.jackson.databind.JsonNode;

/** Two versions of a rubric compared, in words. */
public final class RubricWords {
    private final List<String> words = new ArrayList<>();

    private RubricWords() {}

    /** One sentence for each thing that changed; empty when nothing did. */
    public static List<String> changes(JsonNode was, JsonNode now) {
        RubricWords comparison = new RubricWords();
        if (now.isMissingNode()) {
            return List.of("scored with points, no rubric");
        }
        if (was.isMissingNode()) {
            return List.of("scored with a rubric (was points, no rubric)");
        }
        comparison.criteria(byId(was.path("criteria")), byId(now.path("criteria")));
        return comparison.words.isEmpty() ? List.of("the order in the rubric changed") : comparison.words;
    }

    private static Map<String, JsonNode> byId(JsonNode list) {
        Map<String, JsonNode> all = new LinkedHashMap<>();
        list.forEach(x -> all.put(x.path("id").asString(""), x));
        return all;
    }

    private void criteria(Map<String, JsonNode> was, Map<String, JsonNode> now) {
        now.forEach((id, criterion) -> {
            if (was.containsKey(id)) {
                criterion(was.get(id), criterion);
            } else {
                words.add("new criterion " + name(criterion));
            }
        });
        was.forEach((id, criterion) -> {
            if (!now.containsKey(id)) {
                words.add("criterion " + name(criterion) + " removed");
            }
        });
    }

    private void criterion(JsonNode was, JsonNode now) {
        String of = name(now);
        if (!text(was, "title", "").equals(text(now, "title", ""))) {
            words.add("criterion " + of + " (was " + name(was) + ")");
        }
        if (!text(was, "weight", "1").equals(text(now, "weight", "1"))) {
            words.add(of + ", weight: " + amount(now, "weight", "1") + " (was " + amount(was, "weight", "1") + ")");
        }
        if (!codes(was).equals(codes(now))) {
            words.add(of + ", standards: " + orNone(codes(now)) + " (was " + orNone(codes(was)) + ")");
        }
        levels(of, byId(was.path("levels")), byId(now.path("levels")));
    }

    private void levels(String of, Map<String, JsonNode> was, Map<String, JsonNode> now) {
        now.forEach((id, level) -> {
            JsonNode old = was.get(id);
            if (old == null) {
                words.add(of + " has a new level, " + level(level));
            } else if (!old.equals(level)) {
                words.add(of + ": " + level(level) + " (was " + level(old) + ")");
            }
        });
        was.forEach((id, level) -> {
            if (!now.containsKey(id)) {
                words.add(of + ", level removed: " + level(level));
            }
        });
    }

    private static String level(JsonNode level) {
        return Comparison.quoted(text(level, "text", "")) + " for " + amount(level, "points", "0");
    }

    private static String name(JsonNode criterion) {
        String title = text(criterion, "title", "");
        return title.isBlank() ? "the scale" : Comparison.quoted(title);
    }

    private static Set<String> codes(JsonNode criterion) {
        Set<String> codes = new TreeSet<>();
        criterion.path("standards").forEach(s -> codes.add(text(s, "code", "")));
        return codes;
    }

    private static String orNone(Set<String> codes) {
        return codes.isEmpty() ? "none" : String.join(", ", codes);
    }

    private static String amount(JsonNode node, String field, String otherwise) {
        return node.has(field) ? ValueWords.amount(node, field) : otherwise;
    }

    private static String text(JsonNode node, String field, String otherwise) {
        return node.path(field).asString(otherwise);
    }
}
