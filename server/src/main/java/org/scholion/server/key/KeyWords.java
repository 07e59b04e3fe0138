package org.scholion.server.key;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.JsonNode;

/** Fields of a key and their values, in words. */
final class KeyWords {
    private static final Map<String, String> FIELDS = Map.ofEntries(
            Map.entry("points", "points"),
            Map.entry("key", "key"),
            Map.entry("accept", "accepted"),
            Map.entry("reject", "known to be wrong"),
            Map.entry("credits", "credits of options"),
            Map.entry("penalty", "cost of a wrong answer"),
            Map.entry("ignore", "what does not matter"),
            Map.entry("spelling", "typing slips"),
            Map.entry("spellingCredit", "credit with a slip"),
            Map.entry("otherwise", "anything else"),
            Map.entry("unit", "unit"),
            Map.entry("figures", "significant figures"),
            Map.entry("rule", "how it is counted"),
            Map.entry("max", "how many may be chosen"),
            Map.entry("rubricKept", "where the rubric is from"),
            Map.entry("rubricShown", "rubric shown beforehand"),
            Map.entry("standards", "standards"),
            Map.entry("words", "word limit"),
            Map.entry("mastery", "mastered from"),
            Map.entry("regions", "places on the picture"),
            Map.entry("parts", "blanks"),
            Map.entry("form", "form"),
            Map.entry("formCredit", "credit in another form"),
            Map.entry("part", "part of the paper"),
            Map.entry("feedback", "feedback"),
            Map.entry("hint", "hint"),
            Map.entry("tags", "tags"),
            Map.entry("difficulty", "share expected"),
            Map.entry("minutes", "time expected"),
            Map.entry("examples", "examples"));
    private static final Map<String, String> GRADING = Map.of(
            "pass", "the pass mark",
            "bands", "the bands",
            "late", "what lateness costs",
            "curve", "the curve",
            "attempts", "which attempt counts",
            "percentDigits", "the decimals of the percent",
            "negativeTotals", "whether a total may lie below 0");
    private static final Map<String, String> PAPER = Map.of(
            "title", "the title",
            "parts", "the parts",
            "shuffle", "the shuffling",
            "draws", "the draws",
            "awards", "the awards",
            "questions", "the questions' own paper");
    private static final int LONGEST = 80;

    private KeyWords() {}

    /** A changed field of an item. */
    static String change(String field, JsonNode was, JsonNode now, JsonNode before, JsonNode after) {
        String name = FIELDS.getOrDefault(field, field);
        String old = shown(was, before);
        String fresh = shown(now, after);
        if (fresh.isEmpty()) {
            return name + ": none instead of " + old;
        }
        if (old.isEmpty()) {
            return name + ": " + fresh;
        }
        return old.equals(fresh) ? name + " changed" : name + ": " + fresh + " instead of " + old;
    }

    static String paper(String field, JsonNode was, JsonNode now) {
        String name = PAPER.getOrDefault(field, field);
        return field.equals("title")
                ? name + " is " + Comparison.quoted(now.asString("")) + " instead of "
                        + Comparison.quoted(was.asString(""))
                : name + " changed";
    }

    static String grading(String field, JsonNode was, JsonNode now) {
        String name = GRADING.getOrDefault(field, field);
        if (field.equals("bands")) {
            return name + " are " + bands(now) + " instead of " + bands(was);
        }
        return was.isValueNode() || now.isValueNode()
                ? name + " is " + orNone(text(now)) + " instead of " + orNone(text(was))
                : name + " changed";
    }

    static String adjusted(String what) {
        return switch (what) {
            case "drop" -> "dropped from score and possible";
            case "creditAll" -> "credited to everybody";
            case "creditAnswered" -> "credited to whoever answered it";
            default -> "a bonus, in the score and not in the possible";
        };
    }

    private static String bands(JsonNode bands) {
        List<String> all = new ArrayList<>();
        bands.forEach(b -> all.add(b.path("label").asString("") + " from " + text(b.path("from"))));
        return orNone(String.join(", ", all));
    }

    private static String orNone(String words) {
        return words.isEmpty() ? "none" : words;
    }

    /** A value in short: texts of lists, options by their own words. */
    private static String shown(JsonNode value, JsonNode item) {
        String words;
        if (value.isArray()) {
            List<String> all = new ArrayList<>();
            value.forEach(one -> all.add(one(one, item)));
            words = String.join(", ", all);
        } else {
            words = text(value);
        }
        return words.length() > LONGEST ? words.substring(0, LONGEST) + "…" : words;
    }

    private static String one(JsonNode one, JsonNode item) {
        if (one.isString()) {
            for (String field : List.of("options", "tokens")) {
                for (JsonNode option : item.path(field)) {
                    if (option.path("id").asString("").equals(one.asString(""))) {
                        String text = option.path("text").asString("");
                        return text.isEmpty() ? one.asString("") : text;
                    }
                }
            }
            return one.asString("");
        }
        for (String field : List.of("text", "pattern", "value", "code", "from")) {
            if (one.hasNonNull(field)) {
                return text(one.path(field)) + credit(one);
            }
        }
        return one.isArray() ? String.join(" → ", strings(one)) : "";
    }

    private static String credit(JsonNode entry) {
        String within = entry.hasNonNull("within") ? " ± " + text(entry.path("within")) : "";
        return within + (entry.hasNonNull("credit") ? " (" + text(entry.path("credit")) + ")" : "");
    }

    private static List<String> strings(JsonNode list) {
        List<String> all = new ArrayList<>();
        list.forEach(x -> all.add(text(x)));
        return all;
    }

    private static String text(JsonNode value) {
        return value.isValueNode() ? value.asString("") : "";
    }
}
