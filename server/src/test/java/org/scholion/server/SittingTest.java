package org.scholion.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.collect.Taking;
import org.scholion.server.platform.SchoolClock;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Visitor;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;

@ExtendWith(Scholion.class)
class SittingTest {
    @Test
    void the_last_saved_answer_of_each_question_is_what_is_handed_in_and_stays_as_it_was(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Autosave", "A");
        Visitor lotte = school.as("Lotte Marrin");
        String attempt = lesson.begin(lotte);
        Lesson.answer(lotte, attempt, "q2", "bow").ok();
        Lesson.answer(lotte, attempt, "q2", "  Bowline ").ok();
        lotte.put("/api/student/attempts/" + attempt + "/answers/q3", Map.of("answer", "9", "flagged", true))
                .ok();
        JsonNode paper = lotte.get("/api/student/attempts/" + attempt).ok();
        assertThat(paper.get("answers").get("q2").stringValue()).isEqualTo("  Bowline ");
        assertThat(paper.get("flagged").get(0).stringValue()).isEqualTo("q3");
        lotte.post("/api/student/attempts/" + attempt + "/hand-in", null).ok();
        Lesson.answer(lotte, attempt, "q2", "too late").isRefused(409);
        lotte.post("/api/student/attempts/" + attempt + "/hand-in", null).ok();

        JsonNode trace =
                lesson.teacher.get("/api/attempts/" + attempt + "/trace").ok();
        assertThat(trace.get("items").get(1).get("answer").stringValue()).isEqualTo("  Bowline ");
        assertThat(trace.get("items").get(1).get("mark").get("because").stringValue())
                .isEqualTo("matches “bowline” (ignoring capitals and spaces)");
        assertThat(trace.get("items").get(0).get("mark").get("state").stringValue())
                .isEqualTo("blank");
    }

    @Test
    void an_answer_that_is_none_of_the_question_is_refused_by_name(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Refusals", "A");
        Visitor student = school.as("Ewan Pryce");
        String attempt = lesson.begin(student);
        assertThat(Lesson.answer(student, attempt, "q1", List.of("z"))
                        .isRefused(422)
                        .detail())
                .contains("'z'");
        Lesson.answer(student, attempt, "q9", "x").isRefused(404);
        Lesson.answer(student, attempt, "q1", "a").isRefused(422);
    }

    @Test
    void begin_is_one_attempt_however_often_it_is_pressed_and_not_before_it_opens(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Begin", "A");
        Visitor student = school.as("Gwen Kyle");
        assertThat(lesson.begin(student)).isEqualTo(lesson.begin(student));
        Instant later = Instant.now().plusSeconds(3_600);
        lesson.teacher
                .post(
                        lesson.path("/sittings"),
                        Map.of("section", lesson.section("B"), "opens", later, "closes", later.plusSeconds(60)))
                .ok();
        Visitor rosa = school.as("Rosa Ellery");
        assertThat(rosa.get("/api/student/todo").body()).contains("COMING");
        String sitting = sittingOf(rosa, "Begin");
        assertThat(rosa.post("/api/student/sittings/" + sitting + "/attempt", null)
                        .isRefused(409)
                        .detail())
                .startsWith("This is not open yet. It opens on ")
                .contains(" at "
                        + DateTimeFormatter.ofPattern("HH:mm")
                                .withZone(ZoneId.of("Europe/London"))
                                .format(later));
    }

    private static String sittingOf(Visitor student, String title) {
        for (JsonNode line : student.get("/api/student/todo").ok()) {
            if (line.get("title").stringValue().equals(title)) {
                return line.get("sitting").stringValue();
            }
        }
        throw new AssertionError(title);
    }

    @Test
    void when_the_time_is_over_what_was_saved_is_taken_in(
            Scholion.Running school, SchoolClock clock, JdbcClient db, Taking taking) throws Exception {
        Lesson lesson = Lesson.given(school, "Closing time", "A");
        Visitor student = school.as("Alby Eddis");
        String attempt = lesson.begin(student);
        Lesson.answer(student, attempt, "q2", "bowline").ok();
        Object closing = school.bean(Class.forName("org.scholion.server.collect.ClosingTime"));
        var takeIn = closing.getClass().getSuperclass().getDeclaredMethod("takeIn");
        takeIn.setAccessible(true);
        clock.at(Instant.now().plus(Duration.ofHours(2)), () -> {
            try {
                takeIn.invoke(closing);
            } catch (ReflectiveOperationException e) {
                throw new IllegalStateException(e);
            }
        });
        assertThat(db.sql("select handed_in_at is not null from attempt where id = ?")
                        .param(UUID.fromString(attempt))
                        .query(Boolean.class)
                        .single())
                .isTrue();
        assertThat(lesson.teacher
                        .get("/api/attempts/" + attempt + "/trace")
                        .ok()
                        .get("standing")
                        .get("score")
                        .stringValue())
                .isEqualTo("2");
        lesson.isOver();
        Lesson.answer(student, attempt, "q2", "x").isRefused(409);
    }

    @Test
    void the_monitor_shows_a_row_a_student_with_what_is_answered(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Watched", "B").sits("Kofi Sande", List.of("a"), null, "10 nmi", null);
        Visitor mina = school.as("Mina Strand");
        Lesson.answer(mina, lesson.begin(mina), "q2", "bowline").ok();
        JsonNode view = lesson.teacher.get(lesson.path("/collect")).ok();
        assertThat(view.get("in").intValue()).isEqualTo(1);
        assertThat(view.get("working").intValue()).isEqualTo(1);
        assertThat(view.get("notStarted").intValue()).isEqualTo(26);
        JsonNode sande = row(view, "Sande");
        assertThat(sande.get("cells").valueStream().map(JsonNode::booleanValue))
                .containsExactly(true, false, true, false);
        assertThat(row(view, "Strand").get("stage").stringValue()).isEqualTo("WORKING");
        assertThat(row(view, "Strand").get("at").intValue()).isEqualTo(1);
    }

    private static JsonNode row(JsonNode view, String family) {
        return view.get("rows")
                .valueStream()
                .filter(r -> r.get("family").stringValue().equals(family))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void more_time_moves_the_close_and_lets_a_student_go_on(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "More time", "C");
        JsonNode sitting =
                lesson.teacher.get(lesson.path("/collect")).ok().get("sittings").get(0);
        JsonNode after = lesson.teacher
                .post("/api/sittings/" + sitting.get("id").stringValue() + "/time", Map.of("minutes", 10))
                .ok();
        assertThat(Duration.between(
                        Instant.parse(sitting.get("closes").stringValue()),
                        Instant.parse(after.get("closes").stringValue())))
                .isEqualTo(Duration.ofMinutes(10));
    }

    @Test
    void two_windows_of_one_student_do_not_overwrite_each_other_unseen(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Two windows", "A");
        Visitor student = school.as("Dov Kessler");
        String attempt = lesson.begin(student);
        JsonNode first = said(student, attempt, "ebb", "one", 0).ok();
        said(student, attempt, "ebb tide", "one", first.get("place").longValue())
                .ok();
        JsonNode told = said(
                        student, attempt, "flood", "two", first.get("place").longValue())
                .isRefused(409)
                .json();
        assertThat(told.get("code").stringValue()).isEqualTo("changed-meanwhile");
        assertThat(told.get("theirs").get("answer").stringValue()).isEqualTo("ebb tide");
        said(student, attempt, "ebb tide", "two", 0).ok().get("place");
        JsonNode paper = student.get("/api/student/attempts/" + attempt).ok();
        assertThat(paper.get("answers").get("q2").stringValue())
                .as("nothing went over it")
                .isEqualTo("ebb tide");
        said(student, attempt, "flood", "two", paper.get("places").get("q2").longValue())
                .ok();
        said(student, attempt, "slack", "one", first.get("place").longValue()).isRefused(409);
    }

    private static Visitor.Reply said(Visitor student, String attempt, String answer, String window, long seen) {
        return student.put(
                "/api/student/attempts/" + attempt + "/answers/q2",
                Map.of("answer", answer, "flagged", false, "window", window, "seen", seen));
    }
}
