package org.scholion.formats.assessment;

import java.util.List;
import org.scholion.formats.json.Fault;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** One item read by itself, without the paper it may stand in. */
public final class OneItem {
    /** What an item has to do with others only means something on its paper. */
    private static final List<String> TIES = List.of("part", "stem", "reasonFor", "draw");

    private OneItem() {}

    /** The item without its ties to others. */
    public static ObjectNode untied(JsonNode item) {
        ObjectNode alone = item.deepCopy().asObject();
        TIES.forEach(alone::remove);
        return alone;
    }

    /** A paper of this item alone. */
    public static ObjectNode fileOf(JsonNode item) {
        ObjectNode file = JsonNodeFactory.instance
                .objectNode()
                .put("format", AssessmentFile.FORMAT)
                .put("title", "one item");
        file.putArray("items").add(untied(item));
        return file;
    }

    /** What is wrong with it, by places inside it. */
    public static List<Fault> faults(JsonNode item) {
        return AssessmentReader.check(fileOf(item)).stream()
                .map(OneItem::inside)
                .toList();
    }

    public static Fault inside(Fault fault) {
        return new Fault(fault.path().replaceFirst("^items\\[0]\\.?", ""), fault.message());
    }
}
