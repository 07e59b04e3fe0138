package org.scholion.server.platform;

import org.scholion.formats.json.Json;
import tools.jackson.databind.JsonNode;

/** JSON to and from jsonb columns. */
public final class JsonColumn {
    private JsonColumn() {}

    public static JsonNode read(String column) {
        return Json.read(column);
    }

    /** A document as the API carries it: plain maps and lists. */
    public static Object plain(JsonNode node) {
        return Json.MAPPER.convertValue(node, Object.class);
    }

    public static JsonNode node(Object plain) {
        return Json.MAPPER.valueToTree(plain);
    }
}
