package org.scholion.server.collect;

import static org.assertj.core.api.Assertions.assertThat;

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

/** After handing in: another attempt, other answers, and what of it stands. */
@ExtendWith(Scholion.class)
class TakingAgainTest {
    private static Visitor.Reply another(Visitor student, Lesson lesson) {
        return student.post("/api/student/sittings/" + lesson.sitting() + "/attempt", Map.of("another", true));
    }

    private static String begun(Visitor.Reply reply) {
        return reply.ok().get("attempt").stringValue();
    }

    private static Visitor.Reply change(Visitor student, String attempt) {
        return student.post("/api/student/attempts/" + attempt + "/change", null);
    }

    private static void handIn(Visitor student, String attempt, String knot) {
        Lesson.say(student, attempt, "q2", knot).ok();
        student.post("/api/student/attempts/" + attempt + "/hand-in", null).ok();
    }

    private static JsonNode next(Visitor student, String attempt) {
        return student.get("/api/student/attempts/" + attempt).ok().get("next");
    }

    private static JsonNode toDo(Visitor student, Lesson lesson) {
        for (JsonNode line : student.get("/api/student/todo").ok()) {
            if (line.get("title").stringValue().equals(lesson.title())) {
                return line;
            }
        }
        throw new AssertionError("nothing to do is called " + lesson.title());
    }

    private static Map<String, Object> attemptsMore(Lesson lesson, String student, int attempts) {
        return Map.of("students", List.of(student), "percent", 100, "more", 0, "note", "", "attempts", attempts);
    }

    @Test
    void it_is_taken_as_often_as_its_sitting_says_and_the_best_counts(Scholion.Running school, Standings standings) {
        Lesson lesson = Lesson.given(school, "Twice at most", "A");
        SittingSettingsTest.set(lesson, "attempts", 2).ok();
        Visitor lotte = school.as("Lotte Marrin");
        String first = lesson.begin(lotte);
        assertThat(begun(another(lotte, lesson))).as("the open one goes on").isEqualTo(first);
        handIn(lotte, first, "bowline");
        assertThat(begun(lotte.post("/api/student/sittings/" + lesson.sitting() + "/attempt", null)))
                .isEqualTo(first);
        assertThat(next(lotte, first).get("attemptsLeft").intValue()).isEqualTo(1);
        assertThat(toDo(lotte, lesson).get("attemptsLeft").intValue()).isEqualTo(1);
        String second = begun(another(lotte, lesson));
        assertThat(second).isNotEqualTo(first);
        assertThat(toDo(lotte, lesson).get("attempt").stringValue()).isEqualTo(second);
        handIn(lotte, second, "granny");
        assertThat(next(lotte, second).get("attemptsLeft").intValue()).isZero();
        assertThat(another(lotte, lesson).code()).isEqualTo("no-more");
        assertThat(counting(school, lesson)).containsExactly(first);
        JsonNode row = row(lesson);
        assertThat(row.get("attempt").stringValue()).isEqualTo(second);
        assertThat(row.get("taken").intValue()).isEqualTo(2);
        assertThat(standings.differences()).isEmpty();
    }

    private static JsonNode row(Lesson lesson) {
        for (JsonNode row : lesson.teacher.get(lesson.path("/collect")).ok().get("rows")) {
            if (row.get("family").stringValue().equals("Marrin")) {
                return row;
            }
        }
        throw new AssertionError("no row");
    }

    private static List<String> counting(Scholion.Running school, Lesson lesson) {
        return school.bean(JdbcClient.class)
                .sql("select s.attempt_id::text from standing s join attempt a on a.id = s.attempt_id"
                        + " where a.assessment_id = ? and s.counts")
                .param(UUID.fromString(lesson.id))
                .query(String.class)
                .list();
    }

    @Test
    void one_student_may_take_it_more_often_than_the_others(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Once more for one", "A");
        Visitor lotte = school.as("Lotte Marrin");
        Visitor tamsin = school.as("Tamsin Orrel");
        handIn(lotte, lesson.begin(lotte), "bowline");
        handIn(tamsin, lesson.begin(tamsin), "bowline");
        assertThat(another(lotte, lesson).code()).isEqualTo("no-more");
        String different = "/api/sittings/" + lesson.sitting() + "/different";
        String id = row(lesson).get("student").stringValue();
        lesson.teacher.put(different, attemptsMore(lesson, id, 21)).isRefused(422);
        lesson.teacher.put(different, attemptsMore(lesson, id, 1)).ok();
        another(lotte, lesson).ok();
        assertThat(another(tamsin, lesson).code()).isEqualTo("no-more");
    }

    @Test
    void who_takes_it_once_more_in_three_windows_at_once_has_one_more_attempt(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Three windows", "A");
        SittingSettingsTest.set(lesson, "attempts", 5).ok();
        Visitor lotte = school.as("Lotte Marrin");
        handIn(lotte, lesson.begin(lotte), "bowline");
        List<Visitor> windows = List.of(lotte, school.as("Lotte Marrin"), school.as("Lotte Marrin"));
        Together.times(windows.size(), i -> another(windows.get(i), lesson));
        assertThat(row(lesson).get("taken").intValue()).isEqualTo(2);
    }

    @Test
    void of_several_attempts_one_is_worked_on_and_what_was_set_aside_comes_back_beside_the_others(
            Scholion.Running school, Standings standings) {
        Lesson lesson = Lesson.given(school, "Aside of two", "A");
        SittingSettingsTest.set(lesson, "attempts", 2).ok();
        Visitor lotte = school.as("Lotte Marrin");
        String first = lesson.begin(lotte);
        handIn(lotte, first, "granny");
        String second = begun(another(lotte, lesson));
        Visitor.Reply both = lesson.teacher.post("/api/attempts/" + first + "/reopen", Map.of("minutes", 5));
        assertThat(both.code()).isEqualTo("at-work");
        lesson.teacher.post("/api/attempts/" + first + "/set-aside", null).ok();
        handIn(lotte, second, "bowline");
        assertThat(next(lotte, second).get("attemptsLeft").intValue())
                .as("what was set aside does not count")
                .isEqualTo(1);
        lesson.teacher.post("/api/attempts/" + first + "/put-back", null).ok();
        assertThat(row(lesson).get("taken").intValue()).isEqualTo(2);
        assertThat(counting(school, lesson)).containsExactly(second);
        assertThat(standings.differences()).isEmpty();
    }

    @Test
    void answers_are_changed_after_handing_in_where_that_is_allowed_and_each_hand_in_is_kept(
            Scholion.Running school, Standings standings) {
        Lesson lesson = Lesson.given(school, "Changed and handed in again", "A");
        SittingSettingsTest.set(lesson, "changes", true).ok();
        Visitor lotte = school.as("Lotte Marrin");
        String first = lesson.begin(lotte);
        handIn(lotte, first, "granny");
        JsonNode handedIn = lotte.get("/api/student/attempts/" + first).ok();
        String receipt = handedIn.get("receipt").stringValue();
        assertThat(handedIn.get("next").get("changeUntil").isNull())
                .as(
                        "%s %s",
                        handedIn,
                        lesson.teacher.get("/api/sittings/" + lesson.sitting()).body())
                .isFalse();
        change(school.as("Tamsin Orrel"), first).isRefused(404);
        change(lesson.teacher, first).isRefused(403);
        String again = begun(change(lotte, first));
        JsonNode paper = lotte.get("/api/student/attempts/" + again).ok();
        assertThat(paper.get("answers").get("q2").stringValue()).isEqualTo("granny");
        assertThat(paper.get("handedIn").booleanValue()).isFalse();
        handIn(lotte, again, "bowline");
        assertThat(lesson.mark("Lotte Marrin", "q2").get("points").stringValue())
                .isNotEqualTo("0");
        lotte.get("/api/student/receipts/" + receipt).ok();
        assertThat(row(lesson).get("taken").intValue()).isEqualTo(1);
        assertThat(standings.differences()).isEmpty();
    }

    @Test
    void answers_stay_as_they_were_handed_in_where_the_sitting_says_nothing_else(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Not to be changed", "A");
        Visitor lotte = school.as("Lotte Marrin");
        String attempt = lesson.begin(lotte);
        handIn(lotte, attempt, "granny");
        assertThat(next(lotte, attempt).get("changeUntil").isNull()).isTrue();
        assertThat(change(lotte, attempt).code()).isEqualTo("no-changes");
    }

    @Test
    void who_changes_answers_in_three_windows_at_once_goes_on_in_one(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Changed in three", "A");
        SittingSettingsTest.set(lesson, "changes", true).ok();
        Visitor lotte = school.as("Lotte Marrin");
        String first = lesson.begin(lotte);
        handIn(lotte, first, "granny");
        List<Visitor> windows = List.of(lotte, school.as("Lotte Marrin"), school.as("Lotte Marrin"));
        List<String> begun = Together.times(windows.size(), i -> begun(change(windows.get(i), first)));
        assertThat(begun).containsOnly(begun.get(0)).doesNotContain(first);
        assertThat(lotte.get("/api/student/attempts/" + first + "/time")
                        .ok()
                        .get("asideByStudent")
                        .booleanValue())
                .isTrue();
        assertThat(Lesson.say(lotte, first, "q2", "bowline").code()).isEqualTo("changing");
        assertThat(row(lesson).get("taken").intValue()).isEqualTo(1);
    }

    @Test
    void answers_are_not_changed_once_the_time_is_over_or_the_marks_are_seen(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Not changed", "A");
        SittingSettingsTest.set(lesson, "changes", true).ok();
        Visitor lotte = school.as("Lotte Marrin");
        String attempt = lesson.begin(lotte);
        handIn(lotte, attempt, "granny");
        String seen = "/api/sittings/" + lesson.sitting() + "/seen";
        for (String kind : List.of("score", "marks", "notes", "keys")) {
            lesson.teacher.put(seen, seen(kind)).ok();
            assertThat(change(lotte, attempt).code()).as(kind).isEqualTo("seen");
            assertThat(next(lotte, attempt).get("changeUntil").isNull()).isTrue();
        }
        lesson.teacher.put(seen, seen("answers")).ok();
        lesson.isOver("A");
        assertThat(change(lotte, attempt).code()).isEqualTo("closed");
        assertThat(next(lotte, attempt).get("changeUntil").isNull()).isTrue();
    }

    private static Map<String, Object> seen(String atHandIn) {
        Map<String, Object> seen = new java.util.HashMap<>();
        for (String kind : List.of("score", "marks", "answers", "notes", "keys")) {
            seen.put(kind, kind.equals(atHandIn) ? "AT_HAND_IN" : "NEVER");
        }
        return seen;
    }

    @Test
    void settings_that_would_undo_each_other_are_refused(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Undoing each other", "A");
        SittingSettingsTest.set(lesson, "attempts", 0).isRefused(422);
        SittingSettingsTest.set(lesson, "attempts", 21).isRefused(422);
        for (Map.Entry<String, Object> with : Map.<String, Object>of(
                        "attempts", 2, "goingBack", false, "practice", "AGAIN")
                .entrySet()) {
            Map<String, Object> settings = SittingSettingsTest.usual();
            settings.put("changes", true);
            settings.put(with.getKey(), with.getValue());
            lesson.teacher
                    .put("/api/sittings/" + lesson.sitting() + "/settings", settings)
                    .isRefused(422);
        }
    }
}
