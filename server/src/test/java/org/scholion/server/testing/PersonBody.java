package org.scholion.server.testing;

import java.util.HashMap;
import java.util.Map;
import tools.jackson.databind.JsonNode;

/** A person as the page of people sends one. */
public final class PersonBody {
    private final Map<String, Object> fields = new HashMap<>();

    /** Somebody new, without number and address. */
    public PersonBody(String role, String given, String family) {
        fields.put("role", role);
        fields.put("given", given);
        fields.put("family", family);
        for (String none : new String[] {"number", "email", "username", "revision"}) {
            fields.put(none, null);
        }
    }

    public PersonBody with(String field, Object value) {
        fields.put(field, value);
        return this;
    }

    public Map<String, Object> fields() {
        return fields;
    }

    /** Adds them to the school. */
    public JsonNode add(Visitor administrator) {
        return administrator.post("/api/people", fields).ok();
    }
}
