package org.scholion.server.key;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.scholion.formats.assessment.AssessmentReader;
import org.scholion.formats.json.Json;
import tools.jackson.databind.JsonNode;

/** Draws made once when a paper is given out, and for each attempt. */
class DrawnTest {
    private static JsonNode paper(String each) {
        StringBuilder items = new StringBuilder();
        for (int i = 0; i < 8; i++) {
            items.append(i == 0 ? "" : ",")
                    .append("{\"id\": \"q" + i + "\", \"kind\": \"choice\", \"points\": \"1\", \"draw\": \"d\","
                            + " \"options\": [{\"id\": \"a\"}], \"key\": [\"a\"]}");
        }
        return Json.read("{\"format\": \"scholion-assessment/1\", \"title\": \"t\", \"items\": [" + items
                + ", {\"id\": \"all\", \"kind\": \"open\", \"points\": \"1\"}],"
                + " \"draws\": [{\"id\": \"d\", \"take\": 3, \"each\": \"" + each + "\"}]}");
    }

    private static List<String> ids(JsonNode paper) {
        List<String> ids = new ArrayList<>();
        paper.path("items").forEach(i -> ids.add(i.path("id").asString("")));
        return ids;
    }

    @Test
    void what_is_drawn_once_is_all_that_is_left_and_the_draw_is_gone() {
        JsonNode drawn = Drawn.once(paper("sitting"), 5);
        assertThat(ids(drawn)).hasSize(4).contains("all");
        assertThat(drawn.path("draws")).isEmpty();
        assertThat(drawn.path("items").get(0).has("draw")).isFalse();
        assertThat(AssessmentReader.check(drawn)).isEmpty();
        assertThat(Drawn.once(paper("sitting"), 5)).isEqualTo(drawn);
    }

    @Test
    void a_draw_for_each_student_leaves_the_paper_whole() {
        JsonNode paper = paper("student");
        assertThat(Drawn.once(paper, 5)).isSameAs(paper);
    }

    @Test
    void each_attempt_leaves_out_its_own_and_always_the_same() {
        Edition edition = Edition.compile(new UUID(0, 1), 1, paper("student"), List.of());
        Random random = new Random(2);
        Set<Set<String>> different = new HashSet<>();
        for (int i = 0; i < 30; i++) {
            UUID attempt = new UUID(random.nextLong(), random.nextLong());
            Set<String> out = Drawn.leftOut(edition, attempt);
            assertThat(out).hasSize(5).doesNotContain("all").isEqualTo(Drawn.leftOut(edition, attempt));
            different.add(out);
        }
        assertThat(different).hasSizeGreaterThan(10);
    }

    @Test
    void what_is_printed_is_drawn_and_another_version_draws_another() {
        for (String each : List.of("sitting", "student")) {
            assertThat(ids(Drawn.printed(paper(each), 5, 0))).hasSize(4).contains("all");
            assertThat(Drawn.printed(paper(each), 5, 2)).isEqualTo(Drawn.printed(paper(each), 5, 2));
            assertThat(AssessmentReader.check(Drawn.printed(paper(each), 5, 1))).isEmpty();
        }
        assertThat(ids(Drawn.printed(paper("sitting"), 5, 3)))
                .as("what is printed is what is given out")
                .isEqualTo(ids(Drawn.once(paper("sitting"), 5)));
        Set<List<String>> different = new HashSet<>();
        for (int version = 0; version <= 8; version++) {
            different.add(ids(Drawn.printed(paper("student"), 5, version)));
        }
        assertThat(different).hasSizeGreaterThan(3);
    }
}
