package org.scholion.server.collect;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Together;
import org.scholion.server.testing.Visitor;
import tools.jackson.databind.JsonNode;

/** A sitting for some of a section is there for them and for nobody else. */
@ExtendWith(Scholion.class)
class ChosenStudentsTest {
    private static Visitor.Reply choose(Lesson lesson, @Nullable List<String> students) {
        Map<String, Object> body = new HashMap<>();
        body.put("students", students);
        return lesson.teacher.put("/api/sittings/" + lesson.sitting() + "/students", body);
    }

    private static String id(Lesson lesson, String family) {
        for (JsonNode s :
                lesson.teacher.get("/api/sittings/" + lesson.sitting()).ok().get("section")) {
            if (s.get("family").stringValue().equals(family)) {
                return s.get("id").stringValue();
            }
        }
        throw new AssertionError(family);
    }

    private static boolean hasToDo(Visitor student, Lesson lesson) {
        return student.get("/api/student/todo").ok().findValues("title").stream()
                .anyMatch(t -> t.stringValue().equals(lesson.title()));
    }

    private static int rows(Lesson lesson) {
        return lesson.teacher.get(lesson.path("/collect")).ok().get("rows").size();
    }

    @Test
    void only_who_is_chosen_has_it_and_everybody_else_of_the_section_does_not(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "For two", "A");
        int all = rows(lesson);
        Visitor lotte = school.as("Lotte Marrin");
        Visitor tamsin = school.as("Tamsin Orrel");
        choose(lesson, List.of(id(lesson, "Marrin"))).ok();
        assertThat(hasToDo(lotte, lesson)).isTrue();
        assertThat(hasToDo(tamsin, lesson)).isFalse();
        tamsin.post("/api/student/sittings/" + lesson.sitting() + "/attempt", null)
                .isRefused(404);
        assertThat(rows(lesson)).isEqualTo(1);
        JsonNode line = lesson.teacher.get(lesson.path("")).ok().get("line");
        assertThat(line.toString()).contains("\"expected\":1").doesNotContain("\"expected\":" + all);
        lesson.teacher
                .put(
                        "/api/sittings/" + lesson.sitting() + "/different",
                        Map.of("students", List.of(id(lesson, "Orrel")), "percent", 150, "more", 0, "note", ""))
                .isRefused(422);
        choose(lesson, null).ok();
        assertThat(hasToDo(tamsin, lesson)).isTrue();
        assertThat(rows(lesson)).isEqualTo(all);
    }

    @Test
    void it_is_not_taken_from_who_has_begun_and_not_given_to_who_is_not_of_the_section(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Begun and kept", "A");
        Visitor lotte = school.as("Lotte Marrin");
        lesson.begin(lotte);
        Visitor.Reply refused = choose(lesson, List.of(id(lesson, "Orrel")));
        assertThat(refused.code()).isEqualTo("begun");
        assertThat(refused.detail()).contains("Lotte Marrin has begun already");
        choose(lesson, List.of()).isRefused(422);
        choose(lesson, List.of(UUID.randomUUID().toString())).isRefused(422);
        choose(lesson, List.of(id(lesson, "Orrel"), id(lesson, "Marrin"))).ok();
        Map<String, Object> all = new HashMap<>();
        all.put("students", null);
        lotte.put("/api/sittings/" + lesson.sitting() + "/students", all).isRefused(403);
    }

    @Test
    void two_who_choose_at_once_leave_what_one_of_them_chose(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Chosen twice", "A");
        List<String> both = List.of(id(lesson, "Marrin"), id(lesson, "Orrel"));
        Together.times(6, i -> choose(lesson, both.subList(0, 1 + i % 2)).ok());
        assertThat(rows(lesson)).isIn(1, 2);
    }

    @Test
    void it_is_given_out_to_chosen_students_before_anybody_else_could_begin(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Chosen at once", "B");
        String tamsin = id(Lesson.given(school, "To know the ids", "A"), "Orrel");
        Map<String, Object> body = new HashMap<>();
        body.put("section", lesson.section("A"));
        body.put("opens", Instant.now().minusSeconds(60).toString());
        body.put("closes", Instant.now().plusSeconds(3_600).toString());
        body.put("students", List.of(tamsin));
        lesson.teacher.post(lesson.path("/sittings"), body).ok();
        assertThat(hasToDo(school.as("Tamsin Orrel"), lesson)).isTrue();
        assertThat(hasToDo(school.as("Lotte Marrin"), lesson)).isFalse();
    }
}
