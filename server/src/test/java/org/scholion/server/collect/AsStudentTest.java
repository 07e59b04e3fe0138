package org.scholion.server.collect;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.formats.json.Json;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** A teacher sees a sitting as its students do: nothing of it counts, nothing of the key is in it. */
@ExtendWith(Scholion.class)
class AsStudentTest {
    private static long attempts(Scholion.Running school) {
        return school.bean(JdbcClient.class)
                .sql("select count(*) from attempt")
                .query(Long.class)
                .single();
    }

    @Test
    void a_paper_that_is_not_given_out_is_seen_without_its_key_and_leaves_nothing_behind(Scholion.Running school) {
        Lesson lesson = Lesson.written(school, "Looked at");
        long before = attempts(school);
        JsonNode view = lesson.teacher.get(lesson.path("/as-student")).ok();
        assertThat(view.get("paper").get("items")).hasSize(4);
        assertThat(view.toString()).doesNotContain("bowline", "\"key\":", "accept");
        assertThat(view.get("wrong")).isEmpty();
        assertThat(attempts(school)).isEqualTo(before);
        assertThat(lesson.teacher.get(lesson.path("/key")).ok().get("edition").isNull())
                .as("looking freezes nothing")
                .isTrue();
        school.as("Lotte Marrin").get(lesson.path("/as-student")).isRefused(403);
    }

    @Test
    void a_chosen_student_has_what_is_different_for_them(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Looked at for one", "A");
        String sitting = "/api/sittings/" + lesson.sitting();
        String student = lesson.teacher
                .get(sitting)
                .ok()
                .get("students")
                .get(0)
                .get("id")
                .stringValue();
        Map<String, Object> times = new HashMap<>();
        times.put("opens", "2026-01-01T08:00:00Z");
        times.put("closes", "2099-01-01T08:00:00Z");
        times.put("minutes", 40);
        lesson.teacher.put(sitting + "/times", times).ok();
        Map<String, Object> longer = new HashMap<>(Map.of("percent", 150, "more", 0, "note", ""));
        longer.put("students", List.of(student));
        longer.put("opens", null);
        longer.put("closes", null);
        longer.put("attempts", 2);
        lesson.teacher.put(sitting + "/different", longer).ok();
        String path = lesson.path("/as-student?sitting=" + lesson.sitting());
        assertThat(lesson.teacher.get(path).ok().get("line").get("minutes").intValue())
                .isEqualTo(40);
        JsonNode own = lesson.teacher.get(path + "&student=" + student).ok();
        assertThat(own.get("line").get("minutes").intValue()).isEqualTo(60);
        assertThat(own.get("different").booleanValue()).isTrue();
        assertThat(own.get("line").get("rules").get("attempts").intValue()).isEqualTo(3);
    }

    @Test
    void what_is_wrong_is_named_before_it_is_given_out(Scholion.Running school) {
        Lesson lesson = Lesson.written(school, "Something is wrong");
        ObjectNode definition = (ObjectNode) Lesson.definition("Something is wrong");
        ((ObjectNode) definition.get("items").get(0))
                .set(
                        "options",
                        Json.read(
                                "[{\"id\": \"a\", \"text\": \"At springs\"}, {\"id\": \"b\", \"text\": \"at springs \"}]"));
        lesson.holds(definition);
        JsonNode wrong = lesson.teacher.get(lesson.path("/as-student")).ok().get("wrong");
        assertThat(wrong.toString()).contains("Question 1 has two options with the same words.");
    }
}
