package org.scholion.server.collect;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.ledger.Standings;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Together;
import org.scholion.server.testing.Visitor;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;

/** What a teacher does about single attempts while a sitting runs, and how it is undone. */
@ExtendWith(Scholion.class)
class WhileItRunsTest {
    private static Instant end(Visitor student, String attempt) {
        return Instant.parse(time(student, attempt).get("deadline").stringValue());
    }

    private static JsonNode time(Visitor student, String attempt) {
        return student.get("/api/student/attempts/" + attempt + "/time").ok();
    }

    private static JsonNode row(Lesson lesson, String family) {
        for (JsonNode row : lesson.teacher.get(lesson.path("/collect")).ok().get("rows")) {
            if (row.get("family").stringValue().equals(family)) {
                return row;
            }
        }
        throw new AssertionError(family);
    }

    private static Visitor.Reply act(Lesson lesson, String attempt, String what) {
        return lesson.teacher.post("/api/attempts/" + attempt + what, null);
    }

    private static Visitor.Reply minutes(Lesson lesson, String attempt, String what, int minutes) {
        return lesson.teacher.post("/api/attempts/" + attempt + what, Map.of("minutes", minutes));
    }

    private static Map<String, Object> levels(String reasoning, String terms) {
        return Map.of("levels", Map.of("c1", reasoning, "c2", terms), "comment", "", "note", "", "hold", false);
    }

    @Test
    void minutes_more_reach_one_student_and_are_taken_back_as_they_were_given(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Five more", "A");
        Visitor lotte = school.as("Lotte Marrin");
        String attempt = lesson.begin(lotte);
        Visitor tamsin = school.as("Tamsin Orrel");
        String other = lesson.begin(tamsin);
        Instant before = end(lotte, attempt);
        minutes(lesson, attempt, "/more", 5).ok();
        minutes(lesson, attempt, "/more", 10).ok();
        assertThat(end(lotte, attempt)).isEqualTo(before.plus(Duration.ofMinutes(15)));
        assertThat(end(tamsin, other)).isEqualTo(before);
        minutes(lesson, attempt, "/more", -5).ok();
        minutes(lesson, attempt, "/more", -10).ok();
        assertThat(end(lotte, attempt)).isEqualTo(before);
        minutes(lesson, attempt, "/more", -10).ok();
        assertThat(end(lotte, attempt))
                .as("nobody loses time that is their own")
                .isEqualTo(before);
        minutes(lesson, attempt, "/more", 0).isRefused(422);
    }

    @Test
    void a_pause_stops_the_time_and_what_is_written_meanwhile_is_refused_in_words(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Fire drill", "A");
        Visitor lotte = school.as("Lotte Marrin");
        String attempt = lesson.begin(lotte);
        Instant before = end(lotte, attempt);
        lesson.teacher
                .post("/api/sittings/" + lesson.sitting() + "/pause", Map.of("attempts", List.of(attempt)))
                .ok();
        assertThat(time(lotte, attempt).get("paused").booleanValue()).isTrue();
        assertThat(row(lesson, "Marrin").get("paused").booleanValue()).isTrue();
        JdbcClient db = school.bean(JdbcClient.class);
        db.sql(
                        "update attempt set paused_at = paused_at - interval '40 minutes', due_at = due_at - interval '70 minutes'"
                                + " where id = ?")
                .param(UUID.fromString(attempt))
                .update();
        Visitor.Reply refused = Lesson.say(lotte, attempt, "q2", "bowline");
        refused.isRefused(409);
        assertThat(refused.code()).isEqualTo("paused");
        assertThat(refused.detail()).contains("Your teacher has paused this");
        assertThat(school.bean(ClosingTime.class).takeIn())
                .as("a pause does not end")
                .isZero();
        db.sql("update attempt set due_at = due_at + interval '70 minutes' where id = ?")
                .param(UUID.fromString(attempt))
                .update();
        lesson.teacher
                .post("/api/sittings/" + lesson.sitting() + "/go-on", Map.of("attempts", List.of(attempt)))
                .ok();
        assertThat(Duration.between(before, end(lotte, attempt)))
                .as("the pause is added")
                .isBetween(Duration.ofMinutes(40), Duration.ofMinutes(41));
        Instant after = end(lotte, attempt);
        lesson.teacher
                .post("/api/sittings/" + lesson.sitting() + "/time", Map.of("minutes", 100))
                .ok();
        assertThat(Duration.between(after, end(lotte, attempt)))
                .as("and stays in whatever is given to all")
                .isEqualTo(Duration.ofMinutes(100));
        Lesson.say(lotte, attempt, "q2", "bowline").ok();
    }

    @Test
    void nobody_pauses_attempts_of_another_sitting_than_the_one_they_may_work_on(Scholion.Running school) {
        Lesson own = Lesson.given(school, "One's own", "A");
        Lesson other = Lesson.given(school, "Another's", "A");
        Visitor lotte = school.as("Lotte Marrin");
        String attempt = other.begin(lotte);
        for (String way : List.of("/pause", "/go-on")) {
            own.teacher
                    .post("/api/sittings/" + own.sitting() + way, Map.of("attempts", List.of(attempt)))
                    .ok();
        }
        own.teacher
                .post("/api/sittings/" + own.sitting() + "/pause", Map.of("attempts", List.of(attempt)))
                .ok();
        assertThat(time(lotte, attempt).get("paused").booleanValue()).isFalse();
    }

    @Test
    void who_begins_twice_at_once_has_one_attempt(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Begun twice", "A");
        String begin = "/api/student/sittings/" + lesson.sitting() + "/attempt";
        List<Visitor> windows =
                List.of(school.as("Lotte Marrin"), school.as("Lotte Marrin"), school.as("Lotte Marrin"));
        Together.times(windows.size(), i -> windows.get(i).post(begin, null));
        assertThat(school.bean(JdbcClient.class)
                        .sql("select count(*) from attempt where sitting_id = ?")
                        .param(UUID.fromString(lesson.sitting()))
                        .query(Long.class)
                        .single())
                .isEqualTo(1);
    }

    @Test
    void what_is_set_aside_counts_nowhere_is_kept_and_comes_back_with_its_marks(
            Scholion.Running school, Standings standings) {
        Lesson lesson =
                Lesson.given(school, "Set aside", "A").sits("Lotte Marrin", List.of("a"), "bowline", null, "Tide.");
        String attempt = row(lesson, "Marrin").get("attempt").stringValue();
        lesson.reads("Lotte Marrin", "q4", levels("1", "1")).ok();
        act(lesson, attempt, "/set-aside").ok();
        assertThat(row(lesson, "Marrin").get("stage").stringValue()).isEqualTo("NOT_STARTED");
        for (String stop : List.of("/hand-back", "/examine", "/readings?names=true&item=q4")) {
            assertThat(lesson.teacher.get(lesson.path(stop)).body()).doesNotContain("Marrin", attempt);
        }
        Visitor lotte = school.as("Lotte Marrin");
        assertThat(time(lotte, attempt).get("aside").booleanValue()).isTrue();
        lotte.get("/api/student/attempts/" + attempt).isRefused(404);
        act(lesson, attempt, "/put-back").ok();
        assertThat(row(lesson, "Marrin").get("stage").stringValue()).isEqualTo("IN");
        assertThat(lesson.mark("Lotte Marrin", "q4").get("points").stringValue())
                .isEqualTo("5");
        assertThat(standings.differences()).isEmpty();
    }

    @Test
    void who_is_begun_anew_has_an_empty_paper_and_the_first_comes_back_only_when_that_is_set_aside(
            Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Begun anew", "A");
        Visitor lotte = school.as("Lotte Marrin");
        String first = lesson.begin(lotte);
        Lesson.say(lotte, first, "q2", "bowline").ok();
        act(lesson, first, "/set-aside").ok();
        String second = lesson.begin(lotte);
        assertThat(second).isNotEqualTo(first);
        assertThat(lotte.get("/api/student/attempts/" + second)
                        .ok()
                        .get("answers")
                        .isEmpty())
                .isTrue();
        assertThat(time(lotte, first).get("goesOnIn").stringValue()).isEqualTo(second);
        assertThat(Lesson.say(lotte, first, "q2", "clove hitch").code()).isEqualTo("set-aside");
        Visitor.Reply refused = act(lesson, first, "/put-back");
        refused.isRefused(409);
        assertThat(refused.detail()).contains("Lotte Marrin has begun anew meanwhile");
        act(lesson, second, "/set-aside").ok();
        act(lesson, first, "/put-back").ok();
        assertThat(lotte.get("/api/student/attempts/" + first)
                        .ok()
                        .get("answers")
                        .get("q2")
                        .stringValue())
                .isEqualTo("bowline");
    }

    @Test
    void what_is_opened_again_goes_on_with_its_answers_and_a_reading_of_the_same_answer_stands(
            Scholion.Running school, Standings standings) {
        Lesson lesson =
                Lesson.given(school, "Opened again", "A").sits("Lotte Marrin", List.of("a"), "bowlin", null, "Tide.");
        String first = row(lesson, "Marrin").get("attempt").stringValue();
        Visitor student = school.as("Lotte Marrin");
        String receipt = student.get("/api/student/attempts/" + first)
                .ok()
                .get("receipt")
                .stringValue();
        lesson.reads("Lotte Marrin", "q4", levels("1", "0")).ok();
        String again = minutes(lesson, first, "/reopen", 10).ok().get("attempt").stringValue();
        Visitor lotte = school.as("Lotte Marrin");
        JsonNode proof = lotte.get("/api/student/receipts/" + receipt).ok();
        assertThat(proof.get("unchanged").booleanValue())
                .as("it still proves what was handed in")
                .isTrue();
        assertThat(proof.get("aside").booleanValue()).isTrue();
        JsonNode paper = lotte.get("/api/student/attempts/" + again).ok();
        assertThat(paper.get("answers").get("q2").stringValue()).isEqualTo("bowlin");
        assertThat(paper.get("answers").get("q4").stringValue()).isEqualTo("Tide.");
        Lesson.say(lotte, again, "q2", "sheet bend").ok();
        lotte.post("/api/student/attempts/" + again + "/hand-in", null).ok();
        lesson.goesOn("Lotte Marrin", again);
        assertThat(lesson.mark("Lotte Marrin", "q1").get("points").stringValue())
                .isEqualTo("1");
        assertThat(lesson.mark("Lotte Marrin", "q2").get("points").stringValue())
                .isEqualTo("0");
        assertThat(lesson.mark("Lotte Marrin", "q4").get("points").stringValue())
                .as("nothing is decided twice")
                .isEqualTo("2");
        Visitor.Reply refused = act(lesson, first, "/put-back");
        refused.isRefused(409);
        assertThat(refused.detail()).contains("Lotte Marrin has handed in again meanwhile");
        act(lesson, again, "/set-aside").ok();
        act(lesson, first, "/put-back").ok();
        assertThat(row(lesson, "Marrin").get("attempt").stringValue()).isEqualTo(first);
        assertThat(standings.differences()).isEmpty();
    }

    @Test
    void a_reading_of_an_answer_that_was_changed_after_opening_again_waits_for_another(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Changed again", "A").sits("Lotte Marrin", null, null, null, "Tide.");
        String first = row(lesson, "Marrin").get("attempt").stringValue();
        lesson.reads("Lotte Marrin", "q4", levels("1", "1")).ok();
        String again = minutes(lesson, first, "/reopen", 10).ok().get("attempt").stringValue();
        Visitor lotte = school.as("Lotte Marrin");
        Lesson.say(lotte, again, "q4", "The moon.").ok();
        lotte.post("/api/student/attempts/" + again + "/hand-in", null).ok();
        lesson.goesOn("Lotte Marrin", again);
        assertThat(lesson.mark("Lotte Marrin", "q4").get("state").stringValue()).isEqualTo("read");
    }

    @Test
    void a_line_reaches_one_or_all_and_can_be_taken_back(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "A line", "A");
        Visitor lotte = school.as("Lotte Marrin");
        String attempt = lesson.begin(lotte);
        Visitor tamsin = school.as("Tamsin Orrel");
        String other = lesson.begin(tamsin);
        String lines = "/api/sittings/" + lesson.sitting() + "/lines";
        lesson.teacher.post(lines, Map.of("words", "Question 3: in knots.")).ok();
        String own = lesson.teacher
                .post(
                        lines,
                        Map.of(
                                "words",
                                "Look at the unit.",
                                "student",
                                row(lesson, "Marrin").get("student").stringValue()))
                .ok()
                .get("line")
                .stringValue();
        assertThat(words(time(lotte, attempt))).containsExactly("Look at the unit.", "Question 3: in knots.");
        assertThat(words(time(tamsin, other))).containsExactly("Question 3: in knots.");
        lesson.teacher.delete(lines + "/" + own).ok();
        assertThat(words(time(lotte, attempt))).containsExactly("Question 3: in knots.");
        lesson.teacher.post(lines, Map.of("words", " ")).isRefused(422);
    }

    private static List<String> words(JsonNode time) {
        return time.get("lines")
                .valueStream()
                .map(l -> l.get("words").stringValue())
                .toList();
    }

    @Test
    void who_has_not_begun_is_reminded_by_mail_and_nobody_else(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Not begun", "A");
        lesson.begin(school.as("Lotte Marrin"));
        int all = lesson.teacher.get(lesson.path("/collect")).ok().get("rows").size();
        int letters = lesson.teacher
                .post("/api/sittings/" + lesson.sitting() + "/remind", null)
                .ok()
                .get("letters")
                .intValue();
        assertThat(letters).isEqualTo(all - 1);
    }

    @Test
    void answers_to_one_question_are_counted_as_they_come_without_names(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "So far", "A").sits("Tamsin Orrel", List.of("a"), "Bowline", null, null);
        for (String name : List.of("Lotte Marrin", "Ivo Lomas")) {
            Visitor student = school.as(name);
            String attempt = lesson.begin(student);
            Lesson.answer(student, attempt, "q1", List.of("a")).ok();
            Lesson.say(student, attempt, "q2", name.startsWith("I") ? "sheet bend" : "bowline")
                    .ok();
        }
        JsonNode knots = lesson.teacher.get(lesson.path("/so-far/q2")).ok();
        assertThat(knots.get("answered").intValue()).isEqualTo(3);
        assertThat(knots.get("groups").get(0).get("students").intValue()).isEqualTo(2);
        assertThat(knots.get("groups").get(1).get("answer").stringValue()).isEqualTo("sheet bend");
        JsonNode options = lesson.teacher.get(lesson.path("/so-far/q1")).ok();
        assertThat(options.get("groups")
                        .valueStream()
                        .map(g -> g.get("students").intValue()))
                .as("an option that nobody chose stands there, too")
                .containsExactly(3, 0);
        assertThat(knots.toString() + options).doesNotContain("Marrin", "Lomas", "Orrel");
        lesson.teacher.get(lesson.path("/so-far/q9")).isRefused(404);
    }
}
