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
        Map<String, Integer> numbers = numbers(after);
        now.forEach((id, item) -> {
            JsonNode was = old.get(id);
            int number = numbers.getOrDefault(id, 0);
            if (was == null) {
                add(id, number, "is new: " + quoted(item.path("prompt").asString("")), false);
            } else if (!was.equals(item)) {
                item(new Place(id, number), new Side(before, was), new Side(after, item));
            }
        });
        passages(old, now, numbers);
        Map<String, Integer> places = numbers(before);
        old.forEach((id, item) -> {
            if (!now.containsKey(id)) {
                boolean numbered = places.containsKey(id);
                add(
                        id,
                        0,
                        numbered ? "removed (was question " + places.get(id) + ")" : "a reading passage was removed",
                        false);
            }
        });
        if (!List.copyOf(retained(old, now)).equals(List.copyOf(retained(now, old)))) {
            add("", 0, "the order of the items changed", false);
        }
    }

    /** A passage that says something else asks something else in each question that is asked about it. */
    private void passages(Map<String, JsonNode> old, Map<String, JsonNode> now, Map<String, Integer> numbers) {
        now.forEach((id, item) -> {
            JsonNode was = old.get(item.path("stem").asString(""));
            JsonNode is = now.get(item.path("stem").asString(""));
            if (was != null && is != null && old.containsKey(id) && readsOtherwise(was, is)) {
                add(id, numbers.getOrDefault(id, 0), "its reading passage now says something else", true);
            }
        });
    }

    private static boolean readsOtherwise(JsonNode was, JsonNode now) {
        String before = words(was);
        String after = words(now);
        return otherWords(before, after)
                || !sources(was.path("body").asString(""))
                        .equals(sources(now.path("body").asString("")));
    }

    private static String words(JsonNode item) {
        String body = RichText.plain(item.path("body").asString(""));
        return body.isBlank() ? item.path("prompt").asString("") : body;
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
            if (!isPassage(i)) {
                numbers.put(i.path("id").asString(""), numbers.size() + 1);
            }
        });
        return numbers;
    }

    private record Place(String id, int number) {}

    /** One of the two versions of an item, and how its values are called. */
    private record Side(JsonNode item, ValueWords words) {
        Side(JsonNode definition, JsonNode item) {
            this(item, new ValueWords(item, called(definition)));
        }

        JsonNode at(String field) {
            return item.path(field);
        }
    }

    /** Parts, questions and draws of a paper as people call them. */
    private static Map<String, String> called(JsonNode definition) {
        Map<String, String> names = new LinkedHashMap<>();
        definition.path("parts").forEach(p -> {
            String title = p.path("title").asString("");
            names.put(
                    p.path("id").asString(""),
                    title.isBlank() ? "part " + p.path("id").asString("") : title);
        });
        numbers(definition).forEach((id, n) -> names.put(id, "question " + n));
        definition.path("items").forEach(i -> {
            if (isPassage(i)) {
                names.put(i.path("id").asString(""), quoted(i.path("prompt").asString("")));
            }
        });
        int n = 0;
        for (JsonNode draw : definition.path("draws")) {
            n++;
            names.put(draw.path("id").asString(""), "draw " + n);
        }
        return names;
    }

    private void item(Place at, Side was, Side now) {
        for (String field : fields(was.item(), now.item())) {
            if (!was.at(field).equals(now.at(field))) {
                field(at, field, was, now);
            }
        }
    }

    private void field(Place at, String field, Side was, Side now) {
        JsonNode a = was.at(field);
        JsonNode b = now.at(field);
        switch (field) {
            case "prompt" -> texts(at, "now asks ", a.asString(""), b.asString(""));
            case "source" -> texts(at, "faulty sentence: ", a.asString(""), b.asString(""));
            case "start" -> texts(at, "first line: ", a.asString(""), b.asString(""));
            case "body" -> body(at, a.asString(""), b.asString(""));
            case "options" -> named(at, "option", a, b);
            case "tokens" -> named(at, "step", a, b);
            case "left" -> named(at, "row", a, b);
            case "right" -> named(at, "label", a, b);
            case "parts" -> blanks(at, a, b);
            case "feedback" -> feedback(at, a, b);
            case "rubric" -> RubricWords.changes(a, b).forEach(words -> add(at, words, false));
            default -> add(at, KeyWords.change(field, a, b, was.words(), now.words()), false);
        }
    }

    private void feedback(Place at, JsonNode was, JsonNode now) {
        for (String when : List.of("right", "partial", "wrong")) {
            String before = RichText.plain(was.path(when).asString(""));
            String after = RichText.plain(now.path(when).asString(""));
            if (!was.path(when).equals(now.path(when))) {
                add(at, KeyWords.feedback(when, before, after), false);
            }
        }
    }

    /** The blanks of a sentence, each like a question of its own. */
    private void blanks(Place at, JsonNode was, JsonNode now) {
        Map<String, JsonNode> before = listed(was);
        Map<String, JsonNode> after = listed(now);
        int n = 0;
        for (Map.Entry<String, JsonNode> blank : after.entrySet()) {
            n++;
            JsonNode old = before.get(blank.getKey());
            if (old == null) {
                add(at, "new blank " + n, true);
            } else if (!old.equals(blank.getValue())) {
                Comparison inside = new Comparison();
                inside.item(
                        at,
                        new Side(old, new ValueWords(old, Map.of())),
                        new Side(blank.getValue(), new ValueWords(blank.getValue(), Map.of())));
                for (Difference d : inside.differences) {
                    add(at, "blank " + n + ", " + d.words(), d.asksOtherwise());
                }
            }
        }
        before.keySet().stream()
                .filter(id -> !after.containsKey(id))
                .forEach(id -> add(at, "a blank was removed", true));
    }

    /** What formatting says is compared by its words; the rest of it is how it looks. */
    private void body(Place at, String was, String now) {
        String before = RichText.plain(was);
        String after = RichText.plain(now);
        if (before.equals(after)) {
            add(at, "formatting, a picture or a sound changed", !sources(was).equals(sources(now)));
        }
    }

    private static Set<String> sources(String html) {
        Set<String> sources = new TreeSet<>();
        SOURCE.matcher(html).results().forEach(m -> sources.add(m.group(1)));
        return sources;
    }

    private void texts(Place at, String what, String was, String now) {
        add(at, what + quoted(now) + " (was " + quoted(was) + ")", otherWords(was, now));
    }

    private static boolean otherWords(String was, String now) {
        int few = Math.min(FEW_LETTERS, Math.max(was.length(), now.length()) / TENTH);
        return Slips.between(was, now, few) > few;
    }

    private static Map<String, JsonNode> listed(JsonNode list) {
        Map<String, JsonNode> byId = new LinkedHashMap<>();
        list.forEach(x -> byId.put(x.path("id").asString(""), x));
        return byId;
    }

    /** Options, steps, rows and labels: by what they say. */
    private void named(Place at, String what, JsonNode was, JsonNode now) {
        Map<String, JsonNode> before = listed(was);
        Map<String, JsonNode> after = listed(now);
        after.forEach((id, one) -> {
            JsonNode old = before.get(id);
            String text = one.path("text").asString("");
            if (old == null) {
                add(at, "new " + what + " " + quoted(text), true);
            } else if (!old.equals(one)) {
                texts(at, what + " ", old.path("text").asString(""), text);
            }
        });
        before.forEach((id, one) -> {
            if (!after.containsKey(id)) {
                add(at, what + " " + quoted(one.path("text").asString("")) + " removed", true);
            }
        });
        if (before.keySet().equals(after.keySet())
                && !List.copyOf(before.keySet()).equals(List.copyOf(after.keySet()))) {
            add(at, "the " + what + "s are listed in a different order", false);
        }
    }

    private static Set<String> fields(JsonNode was, JsonNode now) {
        Set<String> fields = new LinkedHashSet<>(was.propertyNames());
        fields.addAll(now.propertyNames());
        return fields;
    }

    private void paper(JsonNode before, JsonNode after) {
        for (String field : List.of(
                "title", "language", "frameworks", "parts", "shuffle", "draws", "trials", "awards", "questions")) {
            if (!before.path(field).equals(after.path(field))) {
                add("", 0, KeyWords.paper(field, before.path(field), after.path(field)), false);
            }
        }
        adjustments(before, after);
        JsonNode was = before.path("grading");
        JsonNode now = after.path("grading");
        for (String field : fields(was, now)) {
            if (!was.path(field).equals(now.path(field))) {
                add("", 0, KeyWords.paper(field, was.path(field), now.path(field)), false);
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

    private static boolean isPassage(JsonNode item) {
        return item.path("kind").asString("").equals("passage");
    }

    private void add(Place at, String words, boolean asksOtherwise) {
        add(at.id(), at.number(), words, asksOtherwise);
    }

    private void add(String item, int number, String words, boolean asksOtherwise) {
        differences.add(new Difference(item, number, words, asksOtherwise));
    }

    static String quoted(String text) {
        return "“" + text + "”";
    }
}
