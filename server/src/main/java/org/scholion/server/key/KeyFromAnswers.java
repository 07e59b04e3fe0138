package org.scholion.server.key;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.scholion.core.quantity.TypedNumber;
import org.scholion.server.platform.JsonColumn;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * A filled-in attempt taken as the key. It works on items as they are written, since they may have no key yet; what an
 * answer adds to is kept (other accepted texts stay behind the new first one).
 */
public final class KeyFromAnswers {
    private KeyFromAnswers() {}

    /**
     * The key that answers make.
     *
     * @param changes what becomes of each item, in words
     * @param kept the numbers of the items that keep their key: not answered, or read by hand
     */
    public record TakenKey(Object definition, List<Comparison.Difference> changes, List<Integer> kept) {}

    public static TakenKey of(JsonNode definition, Map<String, JsonNode> answers) {
        ObjectNode taken = definition.deepCopy().asObject();
        List<Integer> kept = new ArrayList<>();
        int number = 0;
        for (JsonNode one : taken.path("items")) {
            ObjectNode item = one.asObject();
            if (item.path("kind").asString("").equals("passage")) {
                continue;
            }
            number++;
            JsonNode answer = answers.get(item.path("id").asString(""));
            if (answer == null || !take(item, answer)) {
                kept.add(number);
            }
        }
        return new TakenKey(JsonColumn.plain(taken), Comparison.of(definition, taken), kept);
    }

    /** Whether the answer became the item's key. */
    private static boolean take(ObjectNode item, JsonNode answer) {
        return switch (item.path("kind").asString("")) {
            case "choice" -> chosen(item, answer);
            case "pairs", "order" -> listed(item, "key", answer);
            case "text" -> first(item, text(answer).map(KeyFromAnswers::entry));
            case "number" -> number(item, answer);
            case "correction", "formula" -> first(item, text(answer).map(JsonNodeFactory.instance::stringNode));
            case "working" -> first(item, last(answer).map(JsonNodeFactory.instance::stringNode));
            case "blanks" -> blanks(item, answer);
            case "spot" -> spot(item, answer);
            default -> false;
        };
    }

    /** A choice for which two are chosen lets several be chosen. */
    private static boolean chosen(ObjectNode item, JsonNode answer) {
        if (!listed(item, "key", answer)) {
            return false;
        }
        if (answer.size() > item.path("max").asInt(1)) {
            item.put("max", answer.size());
        }
        return true;
    }

    private static boolean listed(ObjectNode item, String field, JsonNode answer) {
        if (!answer.isArray() || answer.isEmpty()) {
            return false;
        }
        item.set(field, answer.deepCopy());
        return true;
    }

    private static Optional<String> text(JsonNode answer) {
        return answer.isString() && !answer.stringValue().isBlank()
                ? Optional.of(answer.stringValue().strip())
                : Optional.empty();
    }

    private static Optional<String> last(JsonNode lines) {
        return lines.isArray() && !lines.isEmpty() ? text(lines.get(lines.size() - 1)) : Optional.empty();
    }

    private static JsonNode entry(String text) {
        return JsonNodeFactory.instance.objectNode().put("text", text);
    }

    /** The first of the accepted; the same one further down moves up. */
    private static boolean first(ObjectNode item, Optional<? extends JsonNode> entry) {
        if (entry.isEmpty()) {
            return false;
        }
        ArrayNode accept = JsonNodeFactory.instance.arrayNode().add(entry.get());
        item.path("accept").forEach(old -> {
            if (!old.equals(entry.get())) {
                accept.add(old);
            }
        });
        item.set("accept", accept);
        return true;
    }

    /** Its tolerance stays; a unit that was typed is expected from now on. */
    private static boolean number(ObjectNode item, JsonNode answer) {
        String decimal = item.path("decimal").asString(".");
        boolean percent = item.path("unit").path("expect").asString("").equals("%");
        Optional<TypedNumber> typed = text(answer).flatMap(t -> TypedNumber.read(t, decimal.charAt(0), percent));
        if (typed.isEmpty()) {
            return false;
        }
        ObjectNode entry = item.path("accept").isEmpty()
                ? JsonNodeFactory.instance.objectNode()
                : item.path("accept").get(0).deepCopy().asObject();
        entry.remove(List.of("from", "to"));
        entry.put("value", typed.get().value().toExact());
        item.putArray("accept").add(entry);
        if (!typed.get().unit().isEmpty() && !item.has("unit")) {
            item.putObject("unit").put("expect", typed.get().unit());
        }
        return true;
    }

    private static boolean blanks(ObjectNode item, JsonNode answer) {
        boolean any = false;
        for (JsonNode part : item.path("parts")) {
            JsonNode said = answer.path(part.path("id").asString(""));
            any |= !said.isMissingNode() && take(part.asObject(), said);
        }
        return any;
    }

    /** Around each place a circle of a twentieth of the picture's width. */
    private static boolean spot(ObjectNode item, JsonNode answer) {
        if (!answer.isArray() || answer.isEmpty()) {
            return false;
        }
        ArrayNode regions = item.putArray("regions");
        ArrayNode key = item.putArray("key");
        for (JsonNode point : answer) {
            String id = "g" + (regions.size() + 1);
            ArrayNode circle = regions.addObject().put("id", id).putArray("circle");
            circle.add(point.path(0).asString(""))
                    .add(point.path(1).asString(""))
                    .add("0.05");
            key.add(id);
        }
        return true;
    }
}
