package org.scholion.server.platform;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Visitor;
import tools.jackson.databind.JsonNode;

/** Whatever is not said is told as that, at every door. */
@ExtendWith(Scholion.class)
class NothingSaidTest {
    @Test
    void a_body_that_says_nothing_is_refused_at_every_address(Scholion.Running school) {
        List<String> tried = new ArrayList<>();
        for (String who : List.of("Aud Meller", "Berit Straum", "Noor Haddix")) {
            Visitor visitor = school.as(who);
            JsonNode paths = school.as("Aud Meller").get("/v3/api-docs").ok().get("paths");
            paths.propertyStream()
                    .forEach(path -> path.getValue()
                            .propertyStream()
                            .filter(m -> m.getValue()
                                    .at("/requestBody/content/application~1json")
                                    .isObject())
                            .forEach(m -> {
                                String address = path.getKey()
                                        .replaceAll(
                                                "\\{[^}]*}", UUID.randomUUID().toString());
                                int status = visitor.sendRaw(
                                                m.getKey().toUpperCase(java.util.Locale.ROOT),
                                                address,
                                                "application/json",
                                                "null".getBytes(StandardCharsets.UTF_8))
                                        .status();
                                tried.add(address);
                                assertThat(status)
                                        .as("%s %s", who, path.getKey())
                                        .isBetween(400, 499);
                            }));
        }
        assertThat(tried).hasSizeGreaterThan(100);
    }
}
