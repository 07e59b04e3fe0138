package org.scholion.server.key;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.scholion.formats.rich.RichText;
import tools.jackson.databind.JsonNode;

/** Values of a paper's fields and of its rules in words. */
final class PaperWords {
    private static final Map<String, String> ATTEMPTS =
            Map.of("best", "the best", "last", "the latest", "first", "the first", "mean", "the mean of all");

    private PaperWords() {}

    static String of(String field, JsonNode value) {
        return switch (field) {
            case "title" -> Comparison.quoted(value.asString(""));
            case "frameworks" -> list(value, f -> ValueWords.text(f, "title") + " " + ValueWords.text(f, "version"));
            case "parts" -> list(value, PaperWords::part);
            case "shuffle" -> shuffle(value);
            case "draws" -> list(value, PaperWords::draw);
            case "trials" -> list(value, s -> ValueWords.text(s, "name"));
            case "awards" ->
                list(value, a -> ValueWords.text(a, "title") + from(a) + message(ValueWords.text(a, "words")));
            case "questions" -> list(value, q -> ValueWords.text(q, "name"));
            case "bands" ->
                list(value, b -> ValueWords.text(b, "label") + from(b) + message(ValueWords.text(b, "message")));
            case "late" -> late(value);
            case "curve" -> list(value, PaperWords::step);
            case "attempts" -> ATTEMPTS.getOrDefault(value.asString(""), value.asString(""));
            default -> ValueWords.plain(value);
        };
    }

    private static String list(JsonNode list, Function<JsonNode, String> one) {
        return list.valueStream().map(one).collect(Collectors.joining(", "));
    }

    private static String part(JsonNode part) {
        List<String> about = new ArrayList<>();
        if (part.hasNonNull("weight")) {
            about.add("weight " + ValueWords.amount(part, "weight"));
        }
        if (part.hasNonNull("best")) {
            about.add("best " + ValueWords.text(part, "best") + " count");
        }
        String instructions = RichText.plain(ValueWords.text(part, "instructions"));
        if (!instructions.isBlank()) {
            about.add("instructions " + Comparison.quoted(instructions));
        }
        String title = ValueWords.text(part, "title");
        return (title.isBlank() ? "part " + ValueWords.text(part, "id") : title)
                + (about.isEmpty() ? "" : " (" + String.join(", ", about) + ")");
    }

    private static String shuffle(JsonNode shuffle) {
        boolean items = shuffle.path("items").asBoolean(false);
        boolean options = shuffle.path("options").asBoolean(false);
        return items && options ? "questions and options" : items ? "questions" : options ? "options" : "";
    }

    private static String draw(JsonNode draw) {
        String quotas =
                list(draw.path("quotas"), q -> ValueWords.text(q, "take") + " on " + ValueWords.text(q, "code"));
        return ValueWords.text(draw, "take") + " questions" + (quotas.isEmpty() ? "" : " (" + quotas + ")")
                + (draw.hasNonNull("difficulty")
                        ? " with an expected mean around " + ValueWords.text(draw, "difficulty")
                        : "")
                + (ValueWords.text(draw, "each").equals("student") ? " for each student" : " when given out");
    }

    private static String from(JsonNode bound) {
        return " from " + ValueWords.text(bound, "from") + "%";
    }

    private static String message(String words) {
        return words.isBlank() ? "" : " with the message " + Comparison.quoted(words);
    }

    private static String late(JsonNode late) {
        if (!late.isObject()) {
            return "";
        }
        return ValueWords.text(late, "perDay") + " a day"
                + (late.hasNonNull("cap") ? ", at most " + ValueWords.text(late, "cap") : "");
    }

    private static String step(JsonNode step) {
        if (step.has("add")) {
            return "add " + ValueWords.text(step, "add") + " percentage points";
        }
        if (step.has("scaleTo")) {
            return "the highest becomes " + ValueWords.text(step, "scaleTo") + "%";
        }
        return step.has("line")
                ? "a line through "
                        + step.path("line")
                                .valueStream()
                                .map(x -> x.isArray() ? list(x, c -> c.asString("")) : x.asString(""))
                                .collect(Collectors.joining(", "))
                : "10 × the square root of the percentage";
    }
}
