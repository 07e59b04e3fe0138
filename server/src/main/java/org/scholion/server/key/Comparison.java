package org.scholion.server.key;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;
import org.scholion.core.text.Slips;
import org.scholion.formats.rich.RichText;
import tools.jackson.databind.JsonNode;

/** Two versions of a key compared, in words: what a colleague or a student would ask. */
public final class Comparison {
    /** Changes of so few letters, and of so small a share, are taken for a typing mistake put right. */
    private static final int FEW_LETTERS = 3;

    private static final int TENTH = 10;
    private static final Pattern SOURCE = Pattern.compile("src=\"([^\"]*)\"");

    private final List<Difference> differences = new ArrayList<>();

    private Comparison() {}

    /**
     * One difference.
     *
     * @param item the item's id; empty for the paper as a whole
     * @param number its number on the paper after the change; 0 where it has none
     * @param asksOtherwise whether other words are asked than those that were answered, by more than a typing mistake
     */
    public record Difference(String item, int number, String words, boolean asksOtherwise) {}

    public static List<Difference> of(JsonNode before, JsonNode after) {
        Comparison comparison = new Comparison();
        comparison.items(before, after);
        comparison.paper(before, after);
        return comparison.differences;
    }

    private void items(JsonNode before, JsonNode after) {
        Map<String, JsonNode> old = byId(before);
        Map<String, JsonNode> now = byId(after);
        int number = 0;
        for (Map.Entry<String, JsonNode> entry : now.entrySet()) {
            number += entry.getValue().path("kind").asString("").equals("passage") ? 0 : 1;
            JsonNode was = old.get(entry.getKey());
            if (was == null) {
                add(
                        entry.getKey(),
                        number,
                        "is new: " + quoted(entry.getValue().path("prompt").asString("")),
                        false);
            } else if (!was.equals(entry.getValue())) {
                item(entry.getKey(), number, was, entry.getValue());
            }
        }
        Map<String, Integer> places = numbers(before);
        old.forEach((id, item) -> {
            if (!now.containsKey(id)) {
                add(id, 0, "is taken out (was question " + places.getOrDefault(id, 0) + ")", false);
            }
        });
        if (List.copyOf(retained(old, now)).equals(List.copyOf(retained(now, old)))) {
            return;
        }
        add("", 0, "the items stand in another order", false);
    }

    private static Set<String> retained(Map<String, JsonNode> of, Map<String, JsonNode> others) {
        Set<String> ids = new LinkedHashSet<>(of.keySet());
        ids.retainAll(others.keySet());
        return ids;
    }

    private static Map<String, JsonNode> byId(JsonNode definition) {
        Map<String, JsonNode> items = new LinkedHashMap<>();
        definition.path("items").forEach(i -> items.put(i.path("id").asString(""), i));
        return items;
    }

    private static Map<String, Integer> numbers(JsonNode definition) {
        Map<String, Integer> numbers = new LinkedHashMap<>();
        definition.path("items").forEach(i -> {
            if (!i.path("kind").asString("").equals("passage")) {
                numbers.put(i.path("id").asString(""), numbers.size() + 1);
            }
        });
        return numbers;
    }

    private void item(String id, int number, JsonNode was, JsonNode now) {
        for (String field : fields(was, now)) {
            JsonNode a = was.path(field);
            JsonNode b = now.path(field);
            if (a.equals(b)) {
                continue;
            }
            if (field.equals("prompt")) {
                texts(id, number, "asks ", a.asString(""), b.asString(""));
            } else if (field.equals("body")) {
                body(id, number, a.asString(""), b.asString(""));
            } else if (field.equals("options")) {
                options(id, number, a, b);
            } else if (field.equals("rubric")) {
                RubricWords.changes(a, b).forEach(words -> add(id, number, words, false));
            } else {
                add(id, number, KeyWords.change(field, a, b, was, now), false);
            }
        }
    }

    /** What formatting says is compared by its words; the rest of it is how it looks. */
    private void body(String id, int number, String was, String now) {
        String before = RichText.plain(was);
        String after = RichText.plain(now);
        if (before.equals(after)) {
            add(
                    id,
                    number,
                    "looks otherwise (formatting, a picture or a sound)",
                    !sources(was).equals(sources(now)));
        }
    }

    private static Set<String> sources(String html) {
        Set<String> sources = new TreeSet<>();
        SOURCE.matcher(html).results().forEach(m -> sources.add(m.group(1)));
        return sources;
    }

    private void texts(String id, int number, String what, String was, String now) {
        int few = Math.min(FEW_LETTERS, Math.max(was.length(), now.length()) / TENTH);
        boolean otherwise = Slips.between(was, now, few) > few;
        add(id, number, what + quoted(now) + " instead of " + quoted(was), otherwise);
    }

    private void options(String id, int number, JsonNode was, JsonNode now) {
        Map<String, String> before = new LinkedHashMap<>();
        Map<String, String> after = new LinkedHashMap<>();
        was.forEach(o -> before.put(o.path("id").asString(""), o.path("text").asString("")));
        now.forEach(o -> after.put(o.path("id").asString(""), o.path("text").asString("")));
        after.forEach((option, text) -> {
            String old = before.get(option);
            if (old == null) {
                add(id, number, "has another option, " + quoted(text), true);
            } else if (!old.equals(text)) {
                texts(id, number, "has the option ", old, text);
            }
        });
        before.forEach((option, text) -> {
            if (!after.containsKey(option)) {
                add(id, number, "no longer has the option " + quoted(text), true);
            }
        });
    }

    private static Set<String> fields(JsonNode was, JsonNode now) {
        Set<String> fields = new LinkedHashSet<>(was.propertyNames());
        fields.addAll(now.propertyNames());
        return fields;
    }

    private void paper(JsonNode before, JsonNode after) {
        for (String field : List.of("title", "parts", "shuffle", "draws", "awards", "questions")) {
            if (!before.path(field).equals(after.path(field))) {
                add("", 0, KeyWords.paper(field, before.path(field), after.path(field)), false);
            }
        }
        adjustments(before, after);
        JsonNode was = before.path("grading");
        JsonNode now = after.path("grading");
        for (String field : fields(was, now)) {
            if (!was.path(field).equals(now.path(field))) {
                add("", 0, KeyWords.grading(field, was.path(field), now.path(field)), false);
            }
        }
    }

    private void adjustments(JsonNode before, JsonNode after) {
        Map<String, String> was = adjusted(before);
        Map<String, String> now = adjusted(after);
        Map<String, Integer> numbers = numbers(after);
        now.forEach((item, what) -> {
            if (!what.equals(was.get(item))) {
                add(item, numbers.getOrDefault(item, 0), KeyWords.adjusted(what), false);
            }
        });
        was.forEach((item, what) -> {
            if (!now.containsKey(item)) {
                add(item, numbers.getOrDefault(item, 0), "no longer " + KeyWords.adjusted(what), false);
            }
        });
    }

    private static Map<String, String> adjusted(JsonNode definition) {
        Map<String, String> adjusted = new LinkedHashMap<>();
        definition
                .path("adjustments")
                .forEach(a ->
                        adjusted.put(a.path("item").asString(""), a.path("do").asString("")));
        return adjusted;
    }

    private void add(String item, int number, String words, boolean asksOtherwise) {
        differences.add(new Difference(item, number, words, asksOtherwise));
    }

    static String quoted(String text) {
        return "“" + text + "”";
    }
}
