package org.scholion.formats.json;

import java.util.List;
import tools.jackson.core.JacksonException;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The one JSON reader and writer: strict, decimals exact, fields never there twice. */
public final class Json {
    public static final JsonMapper MAPPER = JsonMapper.builder()
            .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
            .enable(DeserializationFeature.USE_BIG_DECIMAL_FOR_FLOATS)
            .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
            .build();

    /** For readers that look out for repeated fields themselves: only what is read as a tree is watched. */
    public static final JsonMapper STREAM = JsonMapper.builder()
            .enable(DeserializationFeature.USE_BIG_DECIMAL_FOR_FLOATS)
            .enable(DeserializationFeature.FAIL_ON_READING_DUP_TREE_KEY)
            .build();

    private Json() {}

    /**
     * Reads a document.
     *
     * @throws Faults with line and column when it is not JSON
     */
    public static JsonNode read(String text) {
        try {
            return MAPPER.readTree(text);
        } catch (JacksonException e) {
            String where = e.getLocation() == null
                    ? ""
                    : "line " + e.getLocation().getLineNr() + ", column "
                            + e.getLocation().getColumnNr();
            throw new Faults(List.of(new Fault(where, "this is not JSON: " + e.getOriginalMessage())));
        }
    }

    public static String write(JsonNode node) {
        return MAPPER.writeValueAsString(node);
    }
}
