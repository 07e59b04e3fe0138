package org.scholion.server.collect;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.UnaryOperator;
import org.scholion.core.item.BlanksItem;
import org.scholion.core.item.ChoiceItem;
import org.scholion.core.item.Item;
import org.scholion.core.item.Named;
import org.scholion.core.item.OrderItem;
import org.scholion.core.item.PairsItem;
import org.scholion.formats.assessment.AnswerJson;
import org.scholion.formats.assessment.StudentAnswer;
import org.scholion.server.platform.Refused;
import org.scholion.server.platform.Veil;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;
import tools.jackson.databind.node.StringNode;

/**
 * The ids that one attempt's paper gives to options, to steps and to what is matched: no two attempts and no two places
 * have the same, and neither they nor their order say anything of the key. Answers are kept under the ids of the key.
 */
record OwnIds(Veil veil, UUID attempt) {

    /** @param place the item, or the blank in it, or a side of a matching */
    String of(String place, String id) {
        return veil.name(attempt + "/" + place, id);
    }

    static String left(String item) {
        return item + "/left";
    }

    static String right(String item) {
        return item + "/right";
    }

    static String part(String item, String part) {
        return item + "/part/" + part;
    }

    /** What the student is shown of what is kept. */
    JsonNode shown(Item item, JsonNode kept) {
        return translate(item.id(), item, kept, (place, ids, id) -> of(place, id));
    }

    /**
     * What is kept of what a student said.
     *
     * @throws Refused when something was chosen that is not there
     */
    JsonNode kept(Item item, JsonNode said) {
        return translate(item.id(), item, said, this::ofTheKey);
    }

    /** The same in the form of the answer's kind: nothing that no student can say is in it. */
    JsonNode answer(Item item, JsonNode said) {
        return AnswerJson.write(StudentAnswer.read(item, kept(item, said)));
    }

    private String ofTheKey(String place, List<String> ids, String own) {
        Optional<String> found =
                ids.stream().filter(id -> of(place, id).equals(own)).findFirst();
        return found.orElseThrow(() -> Refused.invalid("answer", "nothing here is called '" + own + "'"));
    }

    private interface Naming {
        String of(String place, List<String> ids, String id);
    }

    private static JsonNode translate(String place, Item item, JsonNode answer, Naming naming) {
        if (item instanceof ChoiceItem choice) {
            List<String> ids =
                    choice.options().stream().map(ChoiceItem.Option::id).toList();
            return each(answer, one -> one(one, place, ids, naming));
        }
        if (item instanceof OrderItem order) {
            return each(answer, one -> one(one, place, ids(order.tokens()), naming));
        }
        if (item instanceof PairsItem pairs) {
            return each(answer, pair -> pair(place, pairs, pair, naming));
        }
        return item instanceof BlanksItem blanks ? parts(place, blanks, answer, naming) : answer;
    }

    /** What has another form than an answer of this kind is left as it is: reading it refuses it. */
    private static JsonNode each(JsonNode answer, UnaryOperator<JsonNode> naming) {
        if (!answer.isArray()) {
            return answer;
        }
        ArrayNode translated = JsonNodeFactory.instance.arrayNode();
        answer.forEach(one -> translated.add(naming.apply(one)));
        return translated;
    }

    private static JsonNode one(JsonNode one, String place, List<String> ids, Naming naming) {
        return one instanceof StringNode id
                ? JsonNodeFactory.instance.stringNode(naming.of(place, ids, id.stringValue()))
                : one;
    }

    private static JsonNode pair(String place, PairsItem item, JsonNode pair, Naming naming) {
        if (pair.size() != 2) {
            return pair;
        }
        return JsonNodeFactory.instance
                .arrayNode()
                .add(one(pair.get(0), left(place), ids(item.left()), naming))
                .add(one(pair.get(1), right(place), ids(item.right()), naming));
    }

    private static JsonNode parts(String place, BlanksItem item, JsonNode answer, Naming naming) {
        if (!answer.isObject()) {
            return answer;
        }
        ObjectNode translated = JsonNodeFactory.instance.objectNode();
        answer.properties()
                .forEach(e -> translated.set(
                        e.getKey(),
                        item.part(e.getKey())
                                .map(p -> translate(part(place, p.id()), p.item(), e.getValue(), naming))
                                .orElse(e.getValue())));
        return translated;
    }

    private static List<String> ids(List<Named> things) {
        return things.stream().map(Named::id).toList();
    }
}
