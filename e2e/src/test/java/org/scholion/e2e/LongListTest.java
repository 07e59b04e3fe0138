package org.scholion.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Visitor;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Apart from the other views, whose pictures are to show the demo alone. */
@ExtendWith(Scholion.class)
class LongListTest {
    @Test
    void a_long_list_scrolls_with_only_the_rows_near_the_screen_in_the_page(Scholion.Running school) {
        Visitor admin = school.as("Berit Straum");
        String course = admin.post("/api/courses", Map.of("title", "Long list", "term", ""))
                .ok()
                .get("id")
                .stringValue();
        StringBuilder roster = new StringBuilder("number,first name,surname,section\n");
        for (int i = 0; i < 400; i++) {
            roster.append("%d,Given%d,Zz%03d,Section Long\n".formatted(70_000 + i, i, i));
        }
        admin.sendFile("/api/courses/" + course + "/roster", roster.toString()).ok();
        try (Browser berit = new Browser(school.address(), 1280, 800)) {
            berit.signIn("Berit Straum").sees("Ambler, Wanda");
            assertThat(berit.count("tbody tr")).isLessThan(120);
            berit.scrollToEnd().sees("Zz399, Given399").isAccessible("A long list");
            berit.type("Part of a name, number or e-mail", "Zz123")
                    .sees("Zz123, Given123")
                    .seesNot("Zz399");
            berit.open("/courses/" + course + "/roster").sees("Zz000, Given0");
            assertThat(berit.count("tbody tr")).isLessThan(120);
            berit.type("Part of a name or number", "70321")
                    .sees("Zz321, Given321")
                    .seesNot("Zz000");
            berit.type("Part of a name or number", "Orrel")
                    .sees("Nobody on this roster has “Orrel”")
                    .hasNoErrors();
        }
    }

    @Test
    void a_key_of_three_hundred_items_has_only_the_rows_near_the_screen_in_the_page_and_is_typed_with_a_slow_server(
            Scholion.Running school) {
        String paper = Papers.empty(school, "Three hundred");
        ObjectNode definition = Lesson.definition("Three hundred").asObject();
        JsonNode choice = definition.get("items").get(0);
        ArrayNode all = definition.putArray("items");
        for (int i = 1; i <= 300; i++) {
            all.add(choice.deepCopy().asObject().put("id", "q" + i).put("points", String.valueOf(i)));
        }
        school.as("Aud Meller")
                .put(
                        "/api/assessments/" + paper.substring(3) + "/key",
                        Map.of("definition", Lesson.plain(definition), "revision", 0))
                .ok();
        try (Browser aud = new Browser(school.address(), 1280, 800)) {
            aud.signIn("Aud Meller").open(paper + "/key?item=q300").sees("Question 300");
            assertThat(aud.count("tbody tr")).isLessThan(80);
            aud.latency(3_000).type("text of option A", "At springs, after full moon");
            assertThat(aud.field("text of option A").getAttribute("value")).isEqualTo("At springs, after full moon");
            aud.sees("Saving").latency(0).sees("Saved").hasNoErrors();
        }
        assertThat(Papers.items(school, paper)
                        .get(299)
                        .get("options")
                        .get(0)
                        .get("text")
                        .stringValue())
                .isEqualTo("At springs, after full moon");
    }
}
