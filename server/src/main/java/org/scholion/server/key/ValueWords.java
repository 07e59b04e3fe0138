package org.scholion.server.key;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.scholion.core.number.Fraction;
import org.scholion.formats.rich.RichText;
import tools.jackson.databind.JsonNode;

/** Values of an item's fields in words: what has an id is called by what people read. */
final class ValueWords {
    private static final int LONGEST = 300;
    private static final List<String> CALLED = List.of("options", "tokens", "left", "right", "regions", "parts");
    private static final Set<String> AMOUNTS =
            Set.of("points", "penalty", "spellingCredit", "formCredit", "steps", "result");
    private static final Map<String, Map<String, String>> WORDS = Map.of(
            "otherwise", Map.of("settle", "waits in Settle", "wrong", "is wrong"),
            "several", Map.of("settle", "waits in Settle", "wrong", "is wrong"),
            "spelling",
                    Map.of("none", "none allowed", "one", "one allowed", "two", "two allowed", "length", "by length"),
            "form", Map.of("any", "any", "expanded", "expanded", "factored", "factorised", "lowest", "lowest terms"),
            "decimal", Map.of("point", "point", "comma", "comma", "any", "point or comma"),
            "rule",
                    Map.ofEntries(
                            Map.entry("exact", "all or nothing"),
                            Map.entry("each", "each part alone"),
                            Map.entry("net", "right less wrong"),
                            Map.entry("hits", "right ones found"),
                            Map.entry("weights", "credits added up"),
                            Map.entry("places", "each step in its right place"),
                            Map.entry("neighbours", "each step followed by the right next one"),
                            Map.entry("couples", "each pair of steps in the right order"),
                            Map.entry("longest", "the longest sequence in the right order")));

    private final Map<String, String> names = new HashMap<>();
    private final Map<String, String> levels = new HashMap<>();

    /** @param others the other items and parts of the paper, by their ids, as people call them */
    ValueWords(JsonNode item, Map<String, String> others) {
        names.putAll(others);
        for (String list : CALLED) {
            int n = 0;
            for (JsonNode one : item.path(list)) {
                n++;
                String id = one.path("id").asString("");
                String text = one.path("text").asString("");
                String place = list.equals("regions") ? "area " + n : list.equals("parts") ? "blank " + n : id;
                names.put(id, text.isEmpty() ? place : text);
            }
        }
        item.path("rubric")
                .path("criteria")
                .forEach(c -> c.path("levels")
                        .forEach(l -> levels.put(
                                l.path("id").asString(""), l.path("text").asString(""))));
    }

    String of(String field, JsonNode value) {
        String words = switch (field) {
            case "credits" -> credits(value);
            case "unit" -> unit(value);
            case "figures" ->
                value.isObject() ? text(value, "count") + otherwise(value, "otherwise", "; otherwise ") : one(value);
            case "words" -> limits(value);
            case "picture" -> value.isObject() ? quotedAlt(value) : "";
            case "rubricKept" -> value.isObject() ? "version " + text(value, "version") : "";
            case "mastery" -> mastery(value);
            case "hint" -> value.asString("").isBlank() ? "" : Comparison.quoted(RichText.plain(value.asString("")));
            case "anyOrder" -> list(value, group -> list(group, this::called, " and "), "; ");
            case "regions" -> list(value, r -> called(r.path("id")) + " " + outline(r), ", ");
            case "examples" -> list(value, ValueWords::example, ", ");
            case "stem", "part", "reasonFor", "draw" -> value.isString() ? called(value) : "";
            default -> value.isArray() ? list(value, this::one, ", ") : scalar(field, value);
        };
        return words.length() > LONGEST ? words.substring(0, LONGEST) + "…" : words;
    }

    private static String scalar(String field, JsonNode value) {
        String text = AMOUNTS.contains(field) ? amount(value) : plain(value);
        return WORDS.getOrDefault(field, Map.of()).getOrDefault(text, text);
    }

    private static String list(JsonNode list, java.util.function.Function<JsonNode, String> one, String between) {
        return list.valueStream().map(one).collect(Collectors.joining(between));
    }

    private String called(JsonNode id) {
        return names.getOrDefault(id.asString(""), id.asString(""));
    }

    /** One of a list: an option, an accepted answer, a pair, a standard. */
    private String one(JsonNode one) {
        if (one.isArray()) {
            return list(one, this::called, " → ");
        }
        if (!one.isObject()) {
            return called(one);
        }
        String said = one.has("value")
                ? text(one, "value") + (one.hasNonNull("within") ? " ± " + text(one, "within") : "")
                : one.has("from")
                        ? text(one, "from") + " to " + text(one, "to")
                        : one.has("words") ? wordRule(one.path("words")) : firstText(one);
        String credit = one.hasNonNull("credit") ? " (" + amount(one, "credit") + ")" : "";
        String weight = one.hasNonNull("weight") && !text(one, "weight").equals("1")
                ? " (weight " + amount(one, "weight") + ")"
                : "";
        String note = text(one, "note").isBlank() ? "" : ", comment " + Comparison.quoted(text(one, "note"));
        return said + credit + weight + note;
    }

    private static String firstText(JsonNode one) {
        if (one.hasNonNull("pattern")) {
            return "pattern " + text(one, "pattern");
        }
        return one.hasNonNull("text") ? text(one, "text") : text(one, "code");
    }

    private static String wordRule(JsonNode words) {
        List<String> parts = new ArrayList<>();
        Map.of("all", "contains ", "any", "contains one of ", "none", "contains none of ").entrySet().stream()
                .sorted(Map.Entry.comparingByKey())
                .filter(e -> !words.path(e.getKey()).isEmpty())
                .forEach(e -> parts.add(
                        e.getValue() + list(words.path(e.getKey()), w -> Comparison.quoted(w.asString("")), ", ")));
        return String.join("; ", parts);
    }

    private String credits(JsonNode credits) {
        return credits.propertyStream()
                .map(e -> names.getOrDefault(e.getKey(), e.getKey()) + " " + amount(e.getValue()))
                .collect(Collectors.joining(", "));
    }

    private static String unit(JsonNode unit) {
        if (!unit.isObject()) {
            return unit.asString("");
        }
        return text(unit, "expect")
                + (unit.path("convert").asBoolean(true) ? "" : ", no other unit")
                + otherwise(unit, "missing", "; without a unit ")
                + otherwise(unit, "wrong", "; with a wrong unit ");
    }

    private static String otherwise(JsonNode value, String field, String words) {
        return value.hasNonNull(field) ? words + amount(value, field) + " of the credit" : "";
    }

    private static String limits(JsonNode words) {
        List<String> parts = new ArrayList<>();
        if (words.hasNonNull("min")) {
            parts.add("at least " + text(words, "min"));
        }
        if (words.hasNonNull("max")) {
            parts.add("at most " + text(words, "max"));
        }
        return String.join(", ", parts);
    }

    private static String quotedAlt(JsonNode picture) {
        String alt = text(picture, "alt");
        return alt.isBlank() ? "a picture without a description" : Comparison.quoted(alt);
    }

    private String mastery(JsonNode value) {
        String text = value.isValueNode() ? value.asString("") : text(value, "level");
        String level = levels.getOrDefault(text, "");
        return level.isBlank() ? text : Comparison.quoted(level);
    }

    private static String outline(JsonNode region) {
        for (String shape : List.of("circle", "rect", "polygon")) {
            if (region.has(shape)) {
                String at = region.path(shape)
                        .valueStream()
                        .map(x -> x.isArray() ? list(x, c -> c.asString(""), "/") : x.asString(""))
                        .collect(Collectors.joining(" "));
                return (shape.equals("rect") ? "rectangle" : shape) + " " + at;
            }
        }
        return "";
    }

    private static String example(JsonNode example) {
        JsonNode answer = example.path("answer");
        String said = answer.isString() ? Comparison.quoted(answer.asString("")) : "an answer";
        return said + (example.hasNonNull("credit") ? " gets " + amount(example, "credit") : " waits");
    }

    /** A single value as it is; yes or no for a switch, nothing for a list. */
    static String plain(JsonNode value) {
        return value.isBoolean() ? value.asBoolean() ? "yes" : "no" : value.isValueNode() ? value.asString("") : "";
    }

    /** Points or a credit as everywhere on the pages: ½, not 0.5. */
    static String amount(JsonNode value) {
        String written = value.asString("");
        return Fraction.parse(written).map(Fraction::toPoints).orElse(written);
    }

    static String amount(JsonNode node, String field) {
        return amount(node.path(field));
    }

    static String text(JsonNode node, String field) {
        return node.path(field).isValueNode() ? node.path(field).asString("") : "";
    }
}
