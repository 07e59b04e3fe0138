package org.scholion.server.collect;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Together;
import org.scholion.server.testing.Visitor;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Each setting of a sitting acts, and nothing that a page does not send goes past it. */
@ExtendWith(Scholion.class)
public class SittingSettingsTest {
    static Map<String, Object> usual() {
        Map<String, Object> settings = new HashMap<>();
        settings.put("asking", "ONE");
        settings.put("goingBack", true);
        settings.put("mustAnswer", false);
        settings.put("leavingCounted", false);
        settings.put("wordsBefore", "");
        settings.put("wordsAfter", "");
        settings.put("code", "");
        settings.put("practice", "NONE");
        settings.put("attempts", 1);
        settings.put("changes", false);
        settings.put("fullScreen", false);
        return settings;
    }

    public static Visitor.Reply set(Lesson lesson, String what, Object value) {
        Map<String, Object> settings = usual();
        settings.put(what, value);
        return lesson.teacher.put("/api/sittings/" + lesson.sitting() + "/settings", settings);
    }

    private static Visitor.Reply times(Lesson lesson, Integer minutes, Instant lateUntil) {
        Instant now = Instant.now();
        Map<String, Object> times = new HashMap<>();
        times.put("opens", now.minusSeconds(600).toString());
        times.put("closes", now.plusSeconds(3_600).toString());
        times.put("minutes", minutes);
        times.put("lateUntil", lateUntil == null ? null : lateUntil.toString());
        return lesson.teacher.put("/api/sittings/" + lesson.sitting() + "/times", times);
    }

    private static Visitor.Reply handIn(Visitor student, String attempt) {
        return student.post("/api/student/attempts/" + attempt + "/hand-in", null);
    }

    private static Visitor.Reply reaches(Visitor student, String attempt, String item) {
        return student.post("/api/student/attempts/" + attempt + "/reached", Map.of("item", item));
    }

    @Test
    void where_there_is_no_way_back_the_answer_to_a_question_that_was_left_stays(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Only onwards", "A");
        set(lesson, "goingBack", false).ok();
        Visitor lotte = school.as("Lotte Marrin");
        String attempt = lesson.begin(lotte);
        Lesson.say(lotte, attempt, "q2", "bowline").ok();
        reaches(lotte, attempt, "q3").ok();
        Visitor.Reply refused = Lesson.say(lotte, attempt, "q2", "sheet bend");
        refused.isRefused(409);
        assertThat(refused.code()).isEqualTo("no-way-back");
        reaches(lotte, attempt, "q1").ok();
        Lesson.say(lotte, attempt, "q2", "sheet bend").isRefused(409);
        Lesson.say(lotte, attempt, "q3", "10").ok();
        JsonNode paper = lotte.get("/api/student/attempts/" + attempt).ok();
        assertThat(paper.get("rules").get("reached").intValue()).isEqualTo(2);
        assertThat(paper.get("answers").get("q2").stringValue()).isEqualTo("bowline");
        set(lesson, "goingBack", true).ok();
        Lesson.say(lotte, attempt, "q2", "sheet bend").ok();
    }

    @Test
    void where_every_question_must_be_answered_handing_in_waits_and_the_clock_does_not(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "All of them", "A");
        set(lesson, "mustAnswer", true).ok();
        Visitor lotte = school.as("Lotte Marrin");
        String attempt = lesson.attempt("Lotte Marrin");
        Lesson.say(lotte, attempt, "q2", "bowline").ok();
        Lesson.say(lotte, attempt, "q3", "10").ok();
        Lesson.say(lotte, attempt, "q4", "The moon.").ok();
        Visitor.Reply refused = handIn(lotte, attempt);
        refused.isRefused(409);
        assertThat(refused.detail()).isEqualTo("One question still needs an answer. Nothing was handed in.");
        lesson.isOver();
        assertThat(school.bean(ClosingTime.class).takeIn()).isEqualTo(1);
        assertThat(lesson.mark("Lotte Marrin", "q2").get("points").stringValue())
                .isEqualTo("2");
    }

    @Test
    void a_code_from_the_board_is_needed_to_begin_and_is_not_found_by_trying(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "From the board", "A");
        set(lesson, "code", "tide-4821").ok();
        String sitting = "/api/student/sittings/" + lesson.sitting() + "/attempt";
        Visitor lotte = school.as("Lotte Marrin");
        assertThat(lotte.post(sitting, null).code()).isEqualTo("code");
        lotte.post(sitting, Map.of("code", "TIDE 4822")).isRefused(409);
        lotte.post(sitting, Map.of("code", "Tide 4821")).ok();
        lotte.post(sitting, null).ok();
        Visitor tamsin = school.as("Tamsin Orrel");
        for (int i = 0; i < 10; i++) {
            tamsin.post(sitting, Map.of("code", "TIDE 10" + i)).isRefused(409);
        }
        assertThat(tamsin.post(sitting, Map.of("code", "TIDE 4821")).code()).isEqualTo("code-tries");
        assertThat(lotte.get("/api/student/todo").body()).doesNotContain("TIDE4821");
        set(lesson, "code", "abc").isRefused(422);
    }

    @Test
    void leaving_the_page_is_counted_only_where_the_sitting_says_so(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Who leaves", "A");
        Visitor lotte = school.as("Lotte Marrin");
        String attempt = lesson.begin(lotte);
        String left = "/api/student/attempts/" + attempt + "/left";
        lotte.post(left, null).ok();
        set(lesson, "leavingCounted", true).ok();
        lotte.post(left, null).ok();
        lotte.post(left, null).ok();
        school.as("Tamsin Orrel").post(left, null).isRefused(404);
        assertThat(lesson.teacher.get(lesson.path("/collect")).ok().get("rows").findValues("leftPage").stream()
                        .mapToInt(JsonNode::intValue)
                        .sum())
                .isEqualTo(2);
    }

    private static Visitor.Reply look(Visitor student, String attempt, String item) {
        return student.post("/api/student/attempts/" + attempt + "/answers/" + item + "/look", null);
    }

    @Test
    void who_practises_looks_at_an_answer_at_once_and_the_right_one_is_not_told(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Practice", "A");
        Visitor lotte = school.as("Lotte Marrin");
        String attempt = lesson.begin(lotte);
        Lesson.say(lotte, attempt, "q3", "12 nmi").ok();
        look(lotte, attempt, "q3").isRefused(404);
        set(lesson, "practice", "AGAIN").ok();
        look(school.as("Tamsin Orrel"), attempt, "q3").isRefused(404);
        assertThat(look(lotte, attempt, "q1").code()).isEqualTo("unanswered");
        JsonNode looked = look(lotte, attempt, "q3").ok();
        assertThat(looked.get("points").stringValue()).isEqualTo("0");
        assertThat(looked.get("passed").booleanValue()).isFalse();
        assertThat(looked.toString()).doesNotContain("10");
        Lesson.say(lotte, attempt, "q3", "10 nmi").ok();
        JsonNode again = look(lotte, attempt, "q3").ok();
        assertThat(again.get("points").stringValue()).isEqualTo("2");
        assertThat(again.get("tries").intValue()).isEqualTo(2);
        JsonNode paper = lotte.get("/api/student/attempts/" + attempt).ok();
        assertThat(paper.get("looked").get("q3").get("passed").booleanValue()).isTrue();
        handIn(lotte, attempt).ok();
        assertThat(look(lotte, attempt, "q3").code()).isEqualTo("closed");
    }

    @Test
    void who_looks_in_several_windows_at_once_is_told_the_same_in_each_and_every_look_is_counted(
            Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Looks at once", "A");
        set(lesson, "practice", "AGAIN").ok();
        Visitor lotte = school.as("Lotte Marrin");
        String attempt = lesson.begin(lotte);
        Lesson.say(lotte, attempt, "q3", "10 nmi").ok();
        List<Visitor> windows = List.of(lotte, school.as("Lotte Marrin"), school.as("Lotte Marrin"));
        Together.times(windows.size(), i -> look(windows.get(i), attempt, "q3").ok());
        assertThat(look(lotte, attempt, "q3").ok().get("tries").intValue()).isEqualTo(4);
    }

    @Test
    void where_one_looks_once_the_answer_stays_and_where_it_must_be_right_handing_in_waits(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Look once", "A");
        set(lesson, "practice", "ONCE").ok();
        Visitor lotte = school.as("Lotte Marrin");
        String attempt = lesson.begin(lotte);
        Lesson.say(lotte, attempt, "q2", "sheet bend").ok();
        look(lotte, attempt, "q2").ok();
        assertThat(Lesson.say(lotte, attempt, "q2", "bowline").code()).isEqualTo("looked-at");
        Lesson.say(lotte, attempt, "q3", "10 nmi").ok();
        set(lesson, "practice", "UNTIL_RIGHT").ok();
        Lesson.say(lotte, attempt, "q2", "bowline").ok();
        assertThat(handIn(lotte, attempt).code()).isEqualTo("not-right");
        Lesson.answer(lotte, attempt, "q1", List.of("a")).ok();
        Lesson.say(lotte, attempt, "q4", "A person reads this.").ok();
        for (String item : List.of("q1", "q2", "q3", "q4")) {
            assertThat(look(lotte, attempt, item).ok().get("passed").booleanValue())
                    .as(item)
                    .isTrue();
        }
        handIn(lotte, attempt).ok();
    }

    @Test
    void what_cannot_be_is_refused_in_words(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Cannot be", "A");
        Map<String, Object> settings = usual();
        settings.put("asking", "ALL");
        settings.put("goingBack", false);
        assertThat(lesson.teacher
                        .put("/api/sittings/" + lesson.sitting() + "/settings", settings)
                        .detail())
                .contains("With all questions on one page there is no way back to close.");
        assertThat(times(lesson, null, Instant.now()).detail())
                .contains("Handing in late has to end after the closing time.");
        Instant never = Instant.parse("+999999999-12-31T23:59:59Z");
        assertThat(times(lesson, null, never).isRefused(422).detail()).contains("between the years 1970 and 2200");
        different(lesson, "Marrin", 100, 0, never).isRefused(422);
        lesson.teacher
                .post("/api/sittings/" + lesson.sitting() + "/time", Map.of("minutes", Integer.MIN_VALUE))
                .isRefused(422);
    }

    @Test
    void settings_are_kept_under_a_name_of_ones_own_without_code_and_date(Scholion.Running school) {
        Visitor aud = school.as("Aud Meller");
        Map<String, Object> settings = usual();
        settings.put("mustAnswer", true);
        settings.put("code", "TIDE4821");
        Map<String, Object> seen = new HashMap<>(Map.of(
                "score", "AT_HAND_IN", "marks", "FROM_DATE", "answers", "NEVER", "notes", "NEVER", "keys", "NEVER"));
        seen.put("from", Instant.now().toString());
        Map<String, Object> wanted = new HashMap<>(Map.of("name", " Quick check ", "settings", settings, "seen", seen));
        wanted.put("minutes", -5);
        aud.put("/api/kept-settings", wanted).isRefused(422);
        wanted.put("minutes", 15);
        aud.put("/api/kept-settings", wanted).ok();
        wanted.put("name", "quick CHECK");
        wanted.put("minutes", 20);
        JsonNode kept = aud.put("/api/kept-settings", wanted).ok();
        assertThat(kept.size()).isEqualTo(1);
        assertThat(kept.get(0).get("minutes").intValue()).isEqualTo(20);
        assertThat(kept.get(0).get("settings").get("mustAnswer").booleanValue()).isTrue();
        assertThat(kept.get(0).get("settings").get("code").stringValue()).isEmpty();
        assertThat(kept.get(0).get("seen").get("marks").stringValue()).isEqualTo("HANDED_BACK");
        Visitor halvard = school.as("Halvard Quist");
        assertThat(halvard.get("/api/kept-settings").ok().isEmpty()).isTrue();
        String id = kept.get(0).get("id").stringValue();
        halvard.delete("/api/kept-settings/" + id).isRefused(404);
        assertThat(aud.delete("/api/kept-settings/" + id).ok().isEmpty()).isTrue();
    }

    @Test
    void half_as_long_again_moves_the_end_of_one_student_and_only_teachers_see_it(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Half as long again", "A");
        times(lesson, 40, null).ok();
        Visitor lotte = school.as("Lotte Marrin");
        String attempt = lesson.begin(lotte);
        Visitor tamsin = school.as("Tamsin Orrel");
        String other = lesson.begin(tamsin);
        Instant before = deadline(lotte, attempt);
        JsonNode view = different(lesson, "Marrin", 150, 0, null).ok();
        JsonNode own = view.get("different").get(0);
        assertThat(own.get("ownMinutes").intValue()).isEqualTo(60);
        assertThat(deadline(lotte, attempt)).isEqualTo(before.plusSeconds(1_200));
        assertThat(line(lotte, lesson).get("minutes").intValue()).isEqualTo(60);
        assertThat(line(tamsin, lesson).get("minutes").intValue()).isEqualTo(40);
        assertThat(deadline(tamsin, other)).isBefore(deadline(lotte, attempt));
        assertThat(tamsin.get("/api/student/attempts/" + other).body()).doesNotContain("Marrin");
        lotte.get("/api/sittings/" + lesson.sitting()).isRefused(403);
        lesson.teacher
                .delete("/api/sittings/" + lesson.sitting() + "/different/"
                        + own.get("student").stringValue())
                .ok();
        assertThat(deadline(lotte, attempt)).isEqualTo(before);
    }

    @Test
    void who_sits_later_keeps_the_questions_closed_for_the_others(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Sails until ten", "A");
        String attempt = lesson.attempt("Tamsin Orrel");
        handIn(school.as("Tamsin Orrel"), attempt).ok();
        different(lesson, "Marrin", 100, 0, Instant.now().plusSeconds(90_000)).ok();
        JdbcClient db = school.bean(JdbcClient.class);
        db.sql("update sitting set closes_at = now() - interval '1 minute' where id = ?")
                .param(UUID.fromString(lesson.sitting()))
                .update();
        Visitor tamsin = school.as("Tamsin Orrel");
        assertThat(tamsin.get("/api/student/attempts/" + attempt)
                        .ok()
                        .get("open")
                        .booleanValue())
                .isFalse();
        assertThat(line(school.as("Lotte Marrin"), lesson).get("stage").stringValue())
                .isEqualTo("OPEN");
    }

    @Test
    void what_is_handed_in_late_costs_what_the_paper_says_and_what_was_written_in_time_does_not(
            Scholion.Running school) {
        Lesson lesson = Lesson.written(school, "Late with less");
        ObjectNode definition = (ObjectNode) Lesson.definition("Late with less");
        definition.withObject("grading").putObject("late").put("perDay", "10%").put("cap", "50%");
        lesson.holds(definition).giveOut("A").ok();
        times(lesson, null, Instant.now().plusSeconds(90_000)).ok();
        for (String name : List.of("Lotte Marrin", "Tamsin Orrel")) {
            Lesson.say(school.as(name), lesson.attempt(name), "q2", "bowline").ok();
        }
        JdbcClient db = school.bean(JdbcClient.class);
        db.sql("update sitting set closes_at = now() - interval '1 hour' where id = ?")
                .param(UUID.fromString(lesson.sitting()))
                .update();
        db.sql("update draft_answer set at = now() - interval '2 hours' where attempt_id = ?")
                .param(UUID.fromString(lesson.attempt("Tamsin Orrel")))
                .update();
        assertThat(school.as("Lotte Marrin")
                        .get("/api/student/attempts/" + lesson.attempt("Lotte Marrin"))
                        .ok()
                        .get("rules")
                        .get("lateFrom")
                        .isNull())
                .isFalse();
        handIn(school.as("Lotte Marrin"), lesson.attempt("Lotte Marrin")).ok();
        lesson.teacher
                .post("/api/attempts/" + lesson.attempt("Tamsin Orrel") + "/take-in", null)
                .ok();
        assertThat(lesson.trace("Lotte Marrin").get("standing").get("score").stringValue())
                .isEqualTo("1.8");
        assertThat(lesson.trace("Tamsin Orrel").get("standing").get("score").stringValue())
                .isEqualTo("2");
    }

    private static Visitor.Reply different(Lesson lesson, String family, int percent, int more, Instant closes) {
        String sitting = "/api/sittings/" + lesson.sitting();
        for (JsonNode student : lesson.teacher.get(sitting).ok().get("students")) {
            if (student.get("family").stringValue().equals(family)) {
                Map<String, Object> wanted = new HashMap<>();
                wanted.put("students", List.of(student.get("id").stringValue()));
                wanted.put("percent", percent);
                wanted.put("more", more);
                wanted.put("opens", null);
                wanted.put("closes", closes == null ? null : closes.toString());
                wanted.put("note", "");
                return lesson.teacher.put(sitting + "/different", wanted);
            }
        }
        throw new AssertionError(family);
    }

    private static JsonNode line(Visitor student, Lesson lesson) {
        for (JsonNode line : student.get("/api/student/todo").ok()) {
            if (line.get("title").stringValue().equals(lesson.title())) {
                return line;
            }
        }
        throw new AssertionError("nothing to do");
    }

    private static Instant deadline(Visitor student, String attempt) {
        return Instant.parse(student.get("/api/student/attempts/" + attempt + "/time")
                .ok()
                .get("deadline")
                .stringValue());
    }
}
