package org.scholion.server.handback;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import tools.jackson.databind.JsonNode;

/** Students see how their class did where the sitting says so, of eight and more, and of nobody who is not decided. */
@ExtendWith(Scholion.class)
class ClassFiguresTest {
    private static List<String> ofSection(Lesson lesson) {
        List<String> names = new ArrayList<>();
        for (JsonNode row : lesson.teacher.get(lesson.path("/collect")).ok().get("rows")) {
            names.add(row.get("given").stringValue() + " " + row.get("family").stringValue());
        }
        return names;
    }

    private static void seen(Lesson lesson, String ofClass) {
        Map<String, Object> seen = new HashMap<>();
        List.of("score", "marks", "answers", "notes", "keys").forEach(kind -> seen.put(kind, "NEVER"));
        seen.put("classFigures", ofClass);
        seen.put("from", null);
        lesson.teacher.put("/api/sittings/" + lesson.sitting() + "/seen", seen).ok();
    }

    /** 10% for some, 30% for the others. */
    private static void sit(Lesson lesson, List<String> low, List<String> high) {
        low.forEach(name -> lesson.sits(name, List.of("a"), null, null, null));
        high.forEach(name -> lesson.sits(name, List.of("a"), "bowline", null, null));
    }

    private static JsonNode early(Scholion.Running school, Lesson lesson, String name) {
        return school.as(name)
                .get("/api/student/attempts/" + lesson.attempt(name) + "/result")
                .ok()
                .get("result");
    }

    @Test
    void the_class_is_seen_from_eight_on_and_only_where_it_is_to_be_seen(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "How the class did", "A");
        List<String> names = ofSection(lesson);
        sit(lesson, names.subList(0, 4), names.subList(4, 7));
        lesson.sits(names.get(7), List.of("a"), null, null, "It falls.");
        seen(lesson, "AT_HAND_IN");
        assertThat(early(school, lesson, names.get(0)).has("ofClass"))
                .as("seven are decided, and one waits for a reader")
                .isFalse();
        sit(lesson, List.of(), names.subList(8, 9));
        school.bean(ClassFigures.class).readAnew(UUID.fromString(lesson.id));
        JsonNode now = early(school, lesson, names.get(0));
        assertThat(now.get("ofClass").toString())
                .isEqualTo("{\"students\":8,\"mean\":\"20.0\",\"low\":\"10.0\",\"high\":\"30.0\"}");
        assertThat(now.get("score").isNull()).isTrue();
        seen(lesson, "NEVER");
        assertThat(early(school, lesson, names.get(0)).isNull()).isTrue();
    }

    @Test
    void what_is_handed_back_has_the_class_as_it_is_then_and_is_no_other_result_when_it_moves(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Class handed back", "A");
        List<String> names = ofSection(lesson);
        sit(lesson, names.subList(0, 5), names.subList(5, 8));
        lesson.isOver("A");
        Map<String, Object> wanted = new HashMap<>();
        wanted.put("attempts", List.of(lesson.attempt(names.get(0))));
        wanted.put("messages", List.of());
        wanted.put(
                "sees",
                Map.of(
                        "score",
                        true,
                        "marks",
                        false,
                        "answers",
                        false,
                        "notes",
                        false,
                        "keys",
                        false,
                        "classFigures",
                        true));
        lesson.teacher.post(lesson.path("/hand-back"), wanted).ok();
        JsonNode result = result(school, lesson, names.get(0));
        assertThat(result.at("/ofClass/mean").stringValue()).isEqualTo("17.5");
        assertThat(result.at("/ofClass/students").intValue()).isEqualTo(8);
        lesson.teacher
                .post("/api/attempts/" + lesson.attempt(names.get(7)) + "/set-aside", null)
                .ok();
        JsonNode view = lesson.teacher.get(lesson.path("/hand-back")).ok();
        assertThat(view.findValues("changed")).noneMatch(JsonNode::booleanValue);
    }

    private static JsonNode result(Scholion.Running school, Lesson lesson, String name) {
        for (JsonNode line : school.as(name).get("/api/student/results").ok()) {
            if (line.get("title").stringValue().equals(lesson.title())) {
                return school.as(name)
                        .get("/api/student/results/" + line.get("id").stringValue())
                        .ok()
                        .get("result");
            }
        }
        throw new AssertionError("nothing was handed back to " + name);
    }
}
