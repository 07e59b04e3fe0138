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
            case "frameworks" -> list(value, f -> text(f, "title") + " " + text(f, "version"));
            case "parts" -> list(value, PaperWords::part);
            case "shuffle" -> shuffle(value);
            case "draws" -> list(value, PaperWords::draw);
            case "trials" -> list(value, s -> text(s, "name"));
            case "awards" -> list(value, a -> text(a, "title") + from(a) + message(text(a, "words")));
            case "questions" -> list(value, q -> text(q, "name"));
            case "bands" -> list(value, b -> text(b, "label") + from(b) + message(text(b, "message")));
            case "late" -> late(value);
            case "curve" -> list(value, PaperWords::step);
            case "attempts" -> ATTEMPTS.getOrDefault(value.asString(""), value.asString(""));
            default -> value.isBoolean() ? yes(value) : value.isValueNode() ? value.asString("") : "";
        };
    }

    private static String list(JsonNode list, Function<JsonNode, String> one) {
        return list.valueStream().map(one).collect(Collectors.joining(", "));
    }

    private static String part(JsonNode part) {
        List<String> about = new ArrayList<>();
        if (part.hasNonNull("weight")) {
            about.add("weight " + text(part, "weight"));
        }
        if (part.hasNonNull("best")) {
            about.add("best " + text(part, "best") + " count");
        }
        String instructions = RichText.plain(text(part, "instructions"));
        if (!instructions.isBlank()) {
            about.add("instructions " + Comparison.quoted(instructions));
        }
        String title = text(part, "title");
        return (title.isBlank() ? "part " + text(part, "id") : title)
                + (about.isEmpty() ? "" : " (" + String.join(", ", about) + ")");
    }

    private static String shuffle(JsonNode shuffle) {
        boolean items = shuffle.path("items").asBoolean(false);
        boolean options = shuffle.path("options").asBoolean(false);
        return items && options ? "questions and options" : items ? "questions" : options ? "options" : "";
    }

    private static String draw(JsonNode draw) {
        String quotas = list(draw.path("quotas"), q -> text(q, "take") + " on " + text(q, "code"));
        return text(draw, "take") + " questions" + (quotas.isEmpty() ? "" : " (" + quotas + ")")
                + (draw.hasNonNull("difficulty") ? " with an expected mean around " + text(draw, "difficulty") : "")
                + (text(draw, "each").equals("student") ? " for each student" : " when given out");
    }

    private static String from(JsonNode bound) {
        return " from " + text(bound, "from") + "%";
    }

    private static String message(String words) {
        return words.isBlank() ? "" : " with the message " + Comparison.quoted(words);
    }

    private static String late(JsonNode late) {
        if (!late.isObject()) {
            return "";
        }
        return text(late, "perDay") + " a day" + (late.hasNonNull("cap") ? ", at most " + text(late, "cap") : "");
    }

    private static String step(JsonNode step) {
        if (step.has("add")) {
            return "add " + text(step, "add") + " percentage points";
        }
        if (step.has("scaleTo")) {
            return "the highest becomes " + text(step, "scaleTo") + "%";
        }
        return step.has("line")
                ? "a line through "
                        + step.path("line")
                                .valueStream()
                                .map(x -> x.isArray() ? list(x, c -> c.asString("")) : x.asString(""))
                                .collect(Collectors.joining(", "))
                : "10 × the square root of the percentage";
    }

    private static String yes(JsonNode value) {
        return value.asBoolean() ? "yes" : "no";
    }

    private static String text(JsonNode node, String field) {
        return node.path(field).isValueNode() ? node.path(field).asString("") : "";
    }
}
