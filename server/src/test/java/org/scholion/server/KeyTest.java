package org.scholion.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.formats.assessment.AssessmentReader;
import org.scholion.formats.json.Json;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

@ExtendWith(Scholion.class)
class KeyTest {
    private static Map<String, Object> change(JsonNode definition, int revision) {
        return Map.of("definition", Lesson.plain(definition), "revision", revision);
    }

    @Test
    void an_unfinished_key_is_saved_and_says_what_is_missing_at_its_place(Scholion.Running school) {
        Lesson lesson = Lesson.written(school, "Unfinished");
        ObjectNode draft = Lesson.definition("Unfinished").asObject();
        draft.get("items").get(1).asObject().putArray("accept");
        draft.get("items").get(2).asObject().put("points", "abc");
        JsonNode faults =
                lesson.teacher.put(lesson.path("/key"), change(draft, 1)).ok().get("faults");
        assertThat(faults.valueStream().map(f -> f.get("path").stringValue()))
                .containsExactlyInAnyOrder("items[1].accept", "items[2].points");
        lesson.giveOut("A").isRefused(422);
        assertThat(lesson.teacher.get(lesson.path("/editions")).ok()).isEmpty();
    }

    @Test
    void an_unknown_standard_and_a_pattern_that_does_not_compile_are_named(Scholion.Running school) {
        Lesson lesson = Lesson.written(school, "Named faults");
        ObjectNode draft = Lesson.definition("Named faults").asObject();
        ObjectNode item = draft.get("items").get(1).asObject();
        item.putArray("standards").addObject().put("code", "Z9");
        item.putArray("accept").addObject().put("pattern", "(unclosed");
        String faults = lesson.teacher
                .put(lesson.path("/key"), change(draft, 1))
                .ok()
                .get("faults")
                .toString();
        assertThat(faults).contains("items[1].accept[0].pattern", "items[1].standards[0].code", "'Z9'");
    }

    @Test
    void a_colleagues_change_in_between_is_a_conflict_and_nothing_is_lost(Scholion.Running school) {
        Lesson lesson = Lesson.written(school, "Two at once");
        ObjectNode first = Lesson.definition("Two at once").asObject();
        first.get("items").get(0).asObject().put("prompt", "Changed by the first");
        school.as("Halvard Quist").put(lesson.path("/key"), change(first, 1)).ok();
        lesson.teacher
                .put(lesson.path("/key"), change(Lesson.definition("Two at once"), 1))
                .isRefused(409);
        assertThat(lesson.teacher.get(lesson.path("/key")).body()).contains("Changed by the first");
    }

    @Test
    void after_giving_out_the_draft_is_closed_and_a_change_makes_an_edition_with_its_effect_first(
            Scholion.Running school) {
        Lesson lesson =
                Lesson.given(school, "Editions", "A").sits("Tamsin Orrel", List.of("b"), "bowline", "10 nmi", null);
        ObjectNode changed = Lesson.definition("Editions").asObject();
        changed.get("items").get(0).asObject().putArray("key").add("b");
        lesson.teacher.put(lesson.path("/key"), change(changed, 2)).isRefused(409);

        Map<String, Object> edition = lesson.change(changed, "springs, not neaps");
        JsonNode preview =
                lesson.teacher.post(lesson.path("/editions/preview"), edition).ok();
        assertThat(lesson.mark("Tamsin Orrel", "q1").get("points").stringValue())
                .as("nothing happens before")
                .isEqualTo("0");
        JsonNode made = lesson.teacher.post(lesson.path("/editions"), edition).ok();
        assertThat(made).isEqualTo(preview);
        assertThat(made.get("moves").get(0).get("scoreBefore").stringValue()).isEqualTo("4");
        assertThat(made.get("moves").get(0).get("scoreAfter").stringValue()).isEqualTo("5");
        assertThat(lesson.mark("Tamsin Orrel", "q1").get("points").stringValue())
                .isEqualTo("1");

        lesson.undo().ok();
        assertThat(lesson.mark("Tamsin Orrel", "q1").get("points").stringValue())
                .isEqualTo("0");
        assertThat(lesson.teacher.get(lesson.path("/editions")).ok()).hasSize(3);
        lesson.undo().isRefused(409);
    }

    @Test
    void a_tried_answer_gets_the_mark_that_the_paper_would_give_with_its_reason(Scholion.Running school) {
        JsonNode item = Lesson.definition("x").get("items").get(1);
        JsonNode check = school.as("Aud Meller")
                .post(
                        "/api/items/check",
                        Map.of("item", Lesson.plain(item), "answers", List.of("Bowlin", "clove hitch", "")))
                .ok();
        assertThat(check.get("words").stringValue()).contains("bowline", "waits for you in Settle");
        assertThat(check.get("tried").valueStream().map(r -> r.get("state").stringValue()))
                .containsExactly("scored", "settle", "blank");
        assertThat(check.get("tried").get(0).get("because").stringValue())
                .isEqualTo("one typing slip away from “bowline”");
    }

    @Test
    void creating_twice_with_one_key_creates_once(Scholion.Running school) {
        var aud = school.as("Aud Meller");
        String course = aud.get("/api/courses").ok().get(0).get("id").stringValue();
        Map<String, Object> body = Map.of("course", course, "title", "Only once");
        JsonNode first = aud.postAgain("/api/assessments", body, "key-1").ok();
        assertThat(aud.postAgain("/api/assessments", body, "key-1").ok()).isEqualTo(first);
        assertThat(aud.postAgain("/api/assessments", body, "key-2").ok()).isNotEqualTo(first);
    }

    @Test
    void a_key_goes_to_a_file_and_comes_back_from_it_the_same(Scholion.Running school) {
        Lesson lesson = Lesson.written(school, "To a file");
        String file = lesson.teacher.get(lesson.path("/file")).body();
        assertThat(AssessmentReader.check(Json.read(file))).isEmpty();
        String course = lesson.teacher.get("/api/courses").ok().get(0).get("id").stringValue();
        String copy = lesson.teacher
                .sendFile("/api/courses/" + course + "/assessment-file", file)
                .ok()
                .get("id")
                .stringValue();
        assertThat(copy).isNotEqualTo(lesson.id);
        assertThat(lesson.teacher.get("/api/assessments/" + copy + "/file").body())
                .isEqualTo(file);
    }

    @Test
    void a_faulty_file_is_refused_with_every_path_and_nothing_is_made(Scholion.Running school) {
        Lesson lesson = Lesson.written(school, "Before a faulty file");
        String course = lesson.teacher.get("/api/courses").ok().get(0).get("id").stringValue();
        String path = "/api/courses/" + course + "/assessment";
        int before = lesson.teacher.get(path + "s").ok().size();
        String faulty = Json.write(Lesson.definition("Faulty")).replace("\"points\":\"1\"", "\"points\":\"one\"");
        assertThat(lesson.teacher
                        .sendFile(path + "-file", faulty)
                        .isRefused(422)
                        .body())
                .contains("items[0].points", "such as");
        assertThat(lesson.teacher.sendFile(path + "-file", "{").isRefused(422).detail())
                .contains("not JSON");
        assertThat(lesson.teacher.get(path + "s").ok()).hasSize(before);
    }
}
