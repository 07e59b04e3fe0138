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
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Rubrics kept for many papers, and what becomes of readings when a paper's rubric changes. */
@ExtendWith(Scholion.class)
class RubricTest {
    private static Map<String, Object> level(String id, String points, String text) {
        return Map.of("id", id, "points", points, "text", text);
    }

    private static Map<String, Object> rubric(String title, String weight, String best) {
        return Map.of(
                "criteria",
                List.of(Map.of(
                        "id",
                        "c1",
                        "title",
                        title,
                        "weight",
                        weight,
                        "levels",
                        List.of(level("0", "0", "none"), level("1", best, "a cause")))));
    }

    private static String keep(Visitor who, String title, Object rubric) {
        return who.post("/api/rubrics", Map.of("title", title, "definition", rubric))
                .ok()
                .get("id")
                .stringValue();
    }

    private static Visitor.Reply change(Visitor who, String id, Object rubric, int version) {
        return who.put("/api/rubrics/" + id, Map.of("title", "Tide words", "definition", rubric, "version", version));
    }

    private static List<String> titles(Visitor who) {
        return who.get("/api/rubrics")
                .ok()
                .valueStream()
                .map(r -> r.get("title").stringValue())
                .toList();
    }

    @Test
    void a_kept_rubric_has_every_version_with_what_it_changed_in_words(Scholion.Running school) {
        Visitor aud = school.as("Aud Meller");
        String id = keep(aud, "Tide words", rubric("Reasoning", "1", "2"));
        assertThat(change(aud, id, rubric("Reasoning", "2", "3"), 1)
                        .ok()
                        .get("version")
                        .intValue())
                .isEqualTo(2);
        assertThat(change(aud, id, rubric("Reasoning", "1", "9"), 1).status()).isEqualTo(409);
        JsonNode versions = aud.get("/api/rubrics/" + id).ok().get("versions");
        assertThat(versions).hasSize(2);
        assertThat(versions.get(0).get("changes").valueStream().map(JsonNode::stringValue))
                .containsExactly(
                        "“Reasoning”, weight: 2 (was 1)", "“Reasoning”: “a cause” for 3 (was “a cause” for 2)");
        assertThat(versions.get(1).get("definition").toString()).contains("\"weight\":\"1\"");
        aud.send("DELETE", "/api/rubrics/" + id, null);
        assertThat(aud.get("/api/rubrics/" + id).status()).isEqualTo(404);
    }

    @Test
    void what_is_no_rubric_is_refused_at_its_place(Scholion.Running school) {
        Visitor aud = school.as("Aud Meller");
        assertThat(aud.post("/api/rubrics", Map.of("title", " ", "definition", rubric("x", "1", "2")))
                        .status())
                .isEqualTo(422);
        assertThat(aud.post("/api/rubrics", Map.of("title", "x", "definition", rubric("x", "abc", "2")))
                        .body())
                .contains("criteria[0].weight", "'abc'");
        assertThat(aud.post("/api/rubrics", Map.of("title", "x", "definition", Map.of()))
                        .status())
                .isEqualTo(422);
    }

    @Test
    void it_is_shared_to_use_or_to_edit_and_tells_where_it_is_used(Scholion.Running school) {
        Visitor aud = school.as("Aud Meller");
        Visitor halvard = school.as("Halvard Quist");
        String id = keep(aud, "For colleagues", rubric("Reasoning", "1", "2"));
        assertThat(titles(halvard)).doesNotContain("For colleagues");
        String person = "";
        for (JsonNode c : aud.get("/api/colleagues").ok()) {
            person = c.get("name").stringValue().equals("Halvard Quist")
                    ? c.get("id").stringValue()
                    : person;
        }
        String share = "/api/shares/RUBRIC/" + id + "/" + person;
        assertThat(aud.put(share, Map.of("mayEdit", false)).status()).isEqualTo(204);
        assertThat(titles(halvard)).contains("For colleagues");
        assertThat(change(halvard, id, rubric("Reasoning", "3", "2"), 1).status())
                .as("to use only")
                .isEqualTo(404);
        aud.put(share, Map.of("mayEdit", true));
        assertThat(change(halvard, id, rubric("Reasoning", "3", "2"), 1).status())
                .isEqualTo(200);

        Lesson lesson = Lesson.written(school, "Uses a rubric");
        ObjectNode definition = Lesson.definition("Uses a rubric").asObject();
        definition
                .get("items")
                .get(3)
                .asObject()
                .putObject("rubricKept")
                .put("id", id)
                .put("version", 1);
        aud.put(lesson.path("/key"), Map.of("definition", Lesson.plain(definition), "revision", 1))
                .ok();
        JsonNode uses = aud.get("/api/rubrics/" + id).ok().get("uses");
        assertThat(uses).hasSize(1);
        assertThat(uses.get(0).get("title").stringValue()).isEqualTo("Uses a rubric");
        assertThat(uses.get(0).get("version").intValue()).isEqualTo(1);
    }

    private static void read(Lesson lesson, String c1, String c2) {
        Map<String, Object> reading = new HashMap<>(
                Map.of("levels", Map.of("c1", c1, "c2", c2), "comment", "well put", "note", "", "hold", false));
        reading.put("points", null);
        lesson.reads("Tamsin Orrel", "q4", reading).ok();
    }

    private static JsonNode edition(Lesson lesson, JsonNode definition, String way) {
        return lesson.teacher
                .post(lesson.path("/editions" + way), lesson.change(definition, "rubric"))
                .ok();
    }

    @Test
    void levels_that_were_chosen_are_worth_what_the_rubric_says_now_and_wait_only_for_what_is_new(
            Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Rubric changes", "A")
                .sits("Tamsin Orrel", List.of("a"), "bowline", "10 nmi", "Because the water drops.");
        read(lesson, "1", "0");
        assertThat(lesson.mark("Tamsin Orrel", "q4").get("points").stringValue())
                .as("2 of 5 on the rubric, of 5 points")
                .isEqualTo("2");

        JsonNode definition = Lesson.definition("Rubric changes");
        ObjectNode reasoning = definition
                .get("items")
                .get(3)
                .get("rubric")
                .get("criteria")
                .get(0)
                .asObject();
        reasoning.put("weight", "6");
        JsonNode effect = edition(lesson, definition, "/preview");
        assertThat(effect.get("differences").toString()).contains("“Reasoning”, weight: 6 (was 1)");
        assertThat(effect.toString()).contains("Tamsin Orrel");
        edition(lesson, definition, "");
        JsonNode mark = lesson.mark("Tamsin Orrel", "q4");
        assertThat(mark.get("points").stringValue()).as("12 of 15, of 5 points").isEqualTo("4");
        assertThat(mark.get("who").stringValue()).isEqualTo("Aud Meller");

        ObjectNode third = reasoning.deepCopy();
        third.put("id", "c3").put("title", "Example");
        definition.get("items").get(3).get("rubric").get("criteria").asArray().add(third);
        edition(lesson, definition, "");
        assertThat(lesson.mark("Tamsin Orrel", "q4").get("state").stringValue()).isEqualTo("read");
        JsonNode answer = lesson.teacher
                .get(lesson.path("/readings?item=q4&names=true"))
                .ok()
                .get("answers")
                .get(0);
        assertThat(answer.get("levels").get("c1").stringValue()).isEqualTo("1");
        assertThat(answer.get("levels").get("c2").stringValue()).isEqualTo("0");
        assertThat(answer.get("levels").has("c3")).isFalse();
        assertThat(answer.get("comment").stringValue()).isEqualTo("well put");
    }

    @Test
    void an_answer_says_whether_it_counts_as_mastered(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Mastered here", "A")
                .sits("Tamsin Orrel", List.of("a"), "bowline", "10 nmi", "Because the water drops.");
        JsonNode definition = Lesson.definition("Mastered here");
        definition.get("items").get(3).asObject().put("mastery", "1");
        edition(lesson, definition, "");
        assertThat(lesson.mark("Tamsin Orrel", "q4").get("mastered").isNull()).isTrue();
        read(lesson, "1", "0");
        assertThat(lesson.mark("Tamsin Orrel", "q4").get("mastered").booleanValue())
                .isFalse();
        read(lesson, "1", "1");
        assertThat(lesson.mark("Tamsin Orrel", "q4").get("mastered").booleanValue())
                .isTrue();
        assertThat(lesson.mark("Tamsin Orrel", "q1").get("mastered").isNull()).isTrue();
    }
}
