package org.scholion.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Visitor;

/** Nobody's page shows ours within it, but for those of the school's own that an administrator has named. */
@ExtendWith(Scholion.class)
class FramingTest {
    private static Visitor.Reply framedBy(Visitor berit, List<String> pages) {
        Map<String, Object> settings = new HashMap<>();
        berit.get("/api/school").ok().properties().forEach(p -> settings.put(p.getKey(), Lesson.plain(p.getValue())));
        settings.put("framedBy", pages);
        return berit.put("/api/school", settings);
    }

    private static String policy(Scholion.Running school, String path) {
        return school.anybody()
                .headers("GET", path, null)
                .firstValue("Content-Security-Policy")
                .orElse("");
    }

    private static boolean isDenied(Scholion.Running school, String path) {
        return school.anybody()
                .headers("GET", path, null)
                .firstValue("X-Frame-Options")
                .isPresent();
    }

    @Test
    void the_pages_of_a_sitting_are_shown_within_the_pages_that_are_named_and_no_others_are(Scholion.Running school) {
        assertThat(policy(school, "/s/22222222")).contains("frame-ancestors 'none'", "default-src 'self'");
        Visitor berit = school.as("Berit Straum");
        try {
            assertThat(framedBy(
                                    berit,
                                    List.of(" https://WWW.harbour.example/learn ", "http://intra.harbour.example:8080"))
                            .ok()
                            .get("framedBy")
                            .toString())
                    .isEqualTo("[\"https://www.harbour.example\",\"http://intra.harbour.example:8080\"]");
            for (String path : List.of("/s/22222222", "/todo/x", "/sit/x")) {
                assertThat(policy(school, path))
                        .endsWith("frame-ancestors https://www.harbour.example http://intra.harbour.example:8080");
                assertThat(isDenied(school, path)).isFalse();
            }
            for (String path : List.of("/", "/desk", "/results", "/api/session", "/school")) {
                assertThat(policy(school, path)).endsWith("frame-ancestors 'none'");
                assertThat(isDenied(school, path)).isTrue();
            }
        } finally {
            framedBy(berit, List.of()).ok();
        }
    }

    @Test
    void what_is_no_address_of_a_page_is_refused_and_only_an_administrator_names_pages(Scholion.Running school) {
        Visitor berit = school.as("Berit Straum");
        for (String odd :
                List.of("harbour", "javascript:alert(1)", "https://a.example;script-src *", "*", "ftp://a.example")) {
            framedBy(berit, List.of(odd)).isRefused(422);
        }
        school.as("Aud Meller").get("/api/school").isRefused(404);
    }
}
