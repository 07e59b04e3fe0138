package org.scholion.server.platform;

import org.scholion.formats.json.Json;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.ObjectMapper;

/** What a page says beside a file: JSON in a part of its own. */
public final class Said {
    private static final ObjectMapper STRICT = Json.MAPPER
            .rebuild()
            .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
            .build();

    private Said() {}

    /** @throws Refused when it is not of this form */
    public static <T> T read(String json, Class<T> form) {
        T said = null;
        try {
            said = STRICT.readValue(json, form);
        } catch (JacksonException e) {
            // Told below, as nothing at all is.
        }
        if (said == null) {
            throw Refused.invalid("asked", "what was said about the file cannot be read; load the page anew");
        }
        return said;
    }
}
