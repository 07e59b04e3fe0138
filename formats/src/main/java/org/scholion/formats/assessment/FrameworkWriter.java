package org.scholion.formats.assessment;

import java.util.List;
import org.scholion.core.standard.Framework;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Writes a framework as the assessment file has it. */
public final class FrameworkWriter {
    private FrameworkWriter() {}

    public static ObjectNode write(Framework framework) {
        return write(framework.id(), framework.title(), framework.version(), framework.standards());
    }

    /** Also of what is no framework yet, such as two standards with one code. */
    public static ObjectNode write(String id, String title, String version, List<Framework.Standard> all) {
        ObjectNode node = JsonNodeFactory.instance
                .objectNode()
                .put("id", id)
                .put("title", title)
                .put("version", version);
        ArrayNode standards = node.putArray("standards");
        for (Framework.Standard s : all) {
            ObjectNode standard = standards.addObject().put("code", s.code());
            ParticularsWriter.text(standard, "parent", s.parent());
            standard.put("text", s.text());
        }
        return node;
    }
}
