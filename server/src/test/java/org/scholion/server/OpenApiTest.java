package org.scholion.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.formats.json.Json;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.TestDatabase;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** The pages' types are made from web/openapi.json, so that it must say what the code says. {@code bin/openapi} renews it. */
@ExtendWith(Scholion.class)
class OpenApiTest {
    @Test
    void the_description_that_the_pages_are_built_from_is_that_of_the_code(Scholion.Running school) throws IOException {
        ObjectNode described = school.as("Aud Meller").get("/v3/api-docs").ok().asObject();
        described.remove("servers");
        described.putObject("info").put("title", "Scholion").put("version", "1");
        String now =
                Json.MAPPER.writer().with(SerializationFeature.INDENT_OUTPUT).writeValueAsString(sorted(described))
                        + "\n";
        Path file = TestDatabase.root().resolve("web/openapi.json");
        if (Boolean.getBoolean("scholion.openapi.write")) {
            Files.writeString(file, now);
        }
        assertThat(now.equals(Files.readString(file)))
                .as("web/openapi.json differs from the code: run bin/openapi and build the pages again")
                .isTrue();
    }

    private static JsonNode sorted(JsonNode node) {
        if (node.isObject()) {
            ObjectNode out = JsonNodeFactory.instance.objectNode();
            node.propertyNames().stream().sorted().forEach(name -> out.set(name, sorted(node.get(name))));
            return out;
        }
        if (node.isArray()) {
            ArrayNode out = JsonNodeFactory.instance.arrayNode();
            node.forEach(one -> out.add(sorted(one)));
            return out;
        }
        return node;
    }
}
