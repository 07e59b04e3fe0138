package org.scholion.formats.assessment;

import org.scholion.core.standard.Framework;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Writes a framework as the assessment file has it. */
public final class FrameworkWriter {
    private FrameworkWriter() {}

    public static ObjectNode write(Framework framework) {
        ObjectNode node = JsonNodeFactory.instance
                .objectNode()
                .put("id", framework.id())
                .put("title", framework.title())
                .put("version", framework.version());
        ArrayNode standards = node.putArray("standards");
        for (Framework.Standard s : framework.standards()) {
            ObjectNode standard = standards.addObject().put("code", s.code());
            ParticularsWriter.text(standard, "parent", s.parent());
            standard.put("text", s.text());
        }
        return node;
    }
}
