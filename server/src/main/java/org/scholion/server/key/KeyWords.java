package org.scholion.server.key;

import java.util.List;
import java.util.Map;
import tools.jackson.databind.JsonNode;

/** What is said of a changed field of a key: its name, what it is now and what it was. */
final class KeyWords {
    private static final Map<String, String> FIELDS = Map.ofEntries(
            Map.entry("kind", "kind"),
            Map.entry("part", "part"),
            Map.entry("points", "points"),
            Map.entry("standards", "standards"),
            Map.entry("key", "key"),
            Map.entry("max", "how many may be chosen"),
            Map.entry("rule", "how it is counted"),
            Map.entry("credits", "credit of other options"),
            Map.entry("penalty", "penalty"),
            Map.entry("several", "more than one choice"),
            Map.entry("negative", "credit below 0"),
            Map.entry("accept", "accepted"),
            Map.entry("reject", "known wrong answers"),
            Map.entry("ignore", "ignored"),
            Map.entry("spelling", "typing slips"),
            Map.entry("spellingCredit", "credit with a typing slip"),
            Map.entry("otherwise", "any other answer"),
            Map.entry("decimal", "decimal mark"),
            Map.entry("unit", "unit"),
            Map.entry("figures", "significant figures"),
            Map.entry("anyOrder", "accepted in any order"),
            Map.entry("perLeft", "labels on a row, at most"),
            Map.entry("perRight", "rows for a label, at most"),
            Map.entry("regions", "areas"),
            Map.entry("aspect", "shape of the picture"),
            Map.entry("variables", "variables"),
            Map.entry("constants", "constants"),
            Map.entry("functions", "functions"),
            Map.entry("form", "form"),
            Map.entry("formCredit", "credit in another form"),
            Map.entry("steps", "credit for the steps"),
            Map.entry("result", "credit for the final line"),
            Map.entry("followThrough", "follow through after a wrong line"),
            Map.entry("words", "word limit"),
            Map.entry("mastery", "mastered from"),
            Map.entry("attachments", "attachments"),
            Map.entry("picture", "picture"),
            Map.entry("hint", "hint"),
            Map.entry("tags", "tags"),
            Map.entry("difficulty", "expected mean"),
            Map.entry("minutes", "expected minutes"),
            Map.entry("stem", "reading passage"),
            Map.entry("reasonFor", "asks for the reason behind"),
            Map.entry("last", "options kept last"),
            Map.entry("rubricShown", "rubric shown while answering"),
            Map.entry("rubricKept", "rubric from the bank"),
            Map.entry("examples", "examples"),
            Map.entry("draw", "draw"),
            Map.entry("weight", "weight"));
    private static final Map<String, String> FEEDBACK = Map.of(
            "right", "feedback when right",
            "partial", "feedback when partly right",
            "wrong", "feedback when wrong");
    private static final Map<String, String> PAPER = Map.ofEntries(
            Map.entry("title", "title"),
            Map.entry("language", "language"),
            Map.entry("frameworks", "frameworks"),
            Map.entry("parts", "parts"),
            Map.entry("shuffle", "shuffling"),
            Map.entry("draws", "draws"),
            Map.entry("trials", "answer sets"),
            Map.entry("awards", "awards"),
            Map.entry("questions", "question paper"),
            Map.entry("pass", "pass mark"),
            Map.entry("bands", "bands"),
            Map.entry("late", "late penalty"),
            Map.entry("curve", "curve"),
            Map.entry("attempts", "attempt that counts"),
            Map.entry("percentDigits", "decimal places"),
            Map.entry("negativeTotals", "scores below 0 allowed"));

    private KeyWords() {}

    /** A changed field of an item. */
    static String change(String field, JsonNode was, JsonNode now, ValueWords before, ValueWords after) {
        return said(FIELDS.getOrDefault(field, field), before.of(field, was), after.of(field, now));
    }

    /** A changed text of an item's feedback. */
    static String feedback(String when, String was, String now) {
        return said(FEEDBACK.getOrDefault(when, when), quotedOrNone(was), quotedOrNone(now));
    }

    /** A changed field of the paper or of its rules. */
    static String paper(String field, JsonNode was, JsonNode now) {
        return said(PAPER.getOrDefault(field, field), PaperWords.of(field, was), PaperWords.of(field, now));
    }

    static String adjusted(String what) {
        return switch (what) {
            case "drop" -> "dropped: counts neither in the score nor in the maximum";
            case "creditAll" -> "full credit for everyone";
            case "creditAnswered" -> "full credit for everyone who answered it";
            default -> "bonus: adds to the score, not to the maximum";
        };
    }

    static String said(String name, String was, String now) {
        if (now.equals(was)) {
            return name + " changed";
        }
        return name + ": " + (now.isEmpty() ? "removed" : now) + " (was " + (was.isEmpty() ? "none" : was) + ")";
    }

    private static String quotedOrNone(String text) {
        return text.isBlank() ? "" : Comparison.quoted(text);
    }

    /** The names of all fields that have words: of items, and of the paper. */
    static List<String> known() {
        return java.util.stream.Stream.concat(FIELDS.keySet().stream(), PAPER.keySet().stream())
                .sorted()
                .toList();
    }
}
