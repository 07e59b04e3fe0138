package org.scholion.formats.assessment;

import java.util.List;
import java.util.Objects;
import org.scholion.core.item.OpenItem;
import org.scholion.core.item.Rubric;
import org.scholion.formats.json.Fault;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** A rubric read by itself, without the item it may stand with. */
public final class OneRubric {
    private static final String BEFORE = "^rubric\\.?";

    private OneRubric() {}

    /** @throws org.scholion.formats.json.Faults when it is none */
    public static Rubric read(JsonNode rubric) {
        OpenItem item = (OpenItem) AssessmentReader.read(OneItem.fileOf(itemOf(rubric)))
                .assessment()
                .items()
                .get(0);
        return Objects.requireNonNull(item.rubric());
    }

    /** What is wrong with it, by places inside it. */
    public static List<Fault> faults(JsonNode rubric) {
        return OneItem.faults(itemOf(rubric)).stream()
                .map(f -> new Fault(f.path().replaceFirst(BEFORE, ""), f.message()))
                .toList();
    }

    private static ObjectNode itemOf(JsonNode rubric) {
        ObjectNode item = JsonNodeFactory.instance
                .objectNode()
                .put("id", "one")
                .put("kind", "open")
                .put("points", "1");
        item.set("rubric", rubric);
        return item;
    }
}
