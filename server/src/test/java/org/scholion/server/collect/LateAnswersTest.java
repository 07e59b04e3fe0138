package org.scholion.server.collect;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.ledger.Standings;
import org.scholion.server.testing.Colleague;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Together;
import org.scholion.server.testing.Visitor;
import tools.jackson.databind.JsonNode;

/** Answers that were written in time and came when the time was over. */
@ExtendWith(Scholion.class)
class LateAnswersTest {
    private static Visitor.Reply send(Visitor student, String attempt, String item, Object answer, int secondsAgo) {
        return student.put(
                "/api/student/attempts/" + attempt + "/answers/" + item,
                Map.of("answer", answer, "flagged", false, "secondsAgo", secondsAgo));
    }

    private static JsonNode late(Lesson lesson) {
        return lesson.teacher.get(lesson.path("/late")).ok();
    }

    private static Visitor.Reply decide(Lesson lesson, JsonNode late, String how) {
        return decide(lesson.teacher, late, how);
    }

    private static Visitor.Reply decide(Visitor who, JsonNode late, String how) {
        return who.post("/api/late/" + late.get("id").stringValue() + how, null);
    }

    /** Lotte said “bowlin’” to the second question and her time is over since five minutes. */
    private static Lesson over(Scholion.Running school, String title) {
        Lesson lesson = Lesson.given(school, title, "A");
        Visitor lotte = school.as("Lotte Marrin");
        String attempt = lesson.attempt("Lotte Marrin");
        Lesson.say(lotte, attempt, "q2", "sheet bend").ok();
        lesson.isOver();
        school.bean(ClosingTime.class).takeIn();
        return lesson;
    }

    @Test
    void what_was_written_in_time_is_kept_shown_with_what_it_would_change_and_counts_when_it_is_taken(
            Scholion.Running school, Standings standings) {
        Lesson lesson = over(school, "Late and taken");
        String attempt = lesson.attempt("Lotte Marrin");
        Visitor lotte = school.as("Lotte Marrin");
        assertThat(send(lotte, attempt, "q2", "bowline", 400).ok().get("late").booleanValue())
                .isTrue();
        assertThat(lesson.mark("Lotte Marrin", "q2").get("points").stringValue())
                .as("nothing counts by itself")
                .isEqualTo("0");
        JsonNode one = late(lesson).get(0);
        assertThat(one.get("student").stringValue()).isEqualTo("Lotte Marrin");
        assertThat(one.get("answer").stringValue()).isEqualTo("bowline");
        assertThat(one.get("instead").stringValue()).isEqualTo("sheet bend");
        assertThat(one.get("then").get("points").stringValue()).isEqualTo("2");
        decide(lesson, one, "/take").ok();
        assertThat(lesson.mark("Lotte Marrin", "q2").get("points").stringValue())
                .isEqualTo("2");
        assertThat(lesson.trace("Lotte Marrin").get("standing").get("score").stringValue())
                .isEqualTo("2");
        assertThat(lesson.trace("Lotte Marrin")
                        .get("items")
                        .get(1)
                        .get("answer")
                        .stringValue())
                .isEqualTo("bowline");
        assertThat(standings.differences()).isEmpty();
        decide(lesson, one, "/take-back").ok();
        assertThat(lesson.mark("Lotte Marrin", "q2").get("points").stringValue())
                .isEqualTo("0");
        assertThat(lesson.trace("Lotte Marrin")
                        .get("items")
                        .get(1)
                        .get("answer")
                        .stringValue())
                .isEqualTo("sheet bend");
        decide(lesson, one, "/leave").ok();
        assertThat(late(lesson)).isEmpty();
        assertThat(standings.differences()).isEmpty();
    }

    @Test
    void what_was_written_after_the_end_is_refused_in_words(Scholion.Running school) {
        Lesson lesson = over(school, "Late and refused");
        String attempt = lesson.attempt("Lotte Marrin");
        Visitor lotte = school.as("Lotte Marrin");
        assertThat(send(lotte, attempt, "q2", "bowline", 60).isRefused(409).detail())
                .contains("Time is up");
        send(lotte, attempt, "q2", "bowline", -900).isRefused(409);
        assertThat(late(lesson)).isEmpty();
        Lesson early = Lesson.given(school, "Handed in early", "A");
        String own = early.sits("Tamsin Orrel", null, "bowline", null, null).attempt("Tamsin Orrel");
        assertThat(send(school.as("Tamsin Orrel"), own, "q2", "later", 0)
                        .isRefused(409)
                        .detail())
                .contains("already handed this in");
    }

    @Test
    void what_no_page_sends_is_refused_in_words(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Late and odd", "A");
        Visitor lotte = school.as("Lotte Marrin");
        String answers = "/api/student/attempts/" + lesson.attempt("Lotte Marrin") + "/answers/q2";
        Map<String, Object> plain = Map.of("answer", "bowline", "flagged", false);
        for (Map<String, Object> odd : List.<Map<String, Object>>of(
                Map.of("counts", true),
                Map.of("decision", "COUNTS"),
                Map.of("secondsAgo", "long"),
                Map.of("secondsAgo", 3_000_000_000L),
                Map.of("seen", "all"))) {
            Map<String, Object> sent = new HashMap<>(plain);
            sent.putAll(odd);
            assertThat(lotte.put(answers, sent).status()).as(odd.toString()).isBetween(400, 422);
        }
        Map<String, Object> sent = new HashMap<>(plain);
        sent.put("window", "w".repeat(61));
        lotte.put(answers, sent).isRefused(422);
        sent.put("window", "w".repeat(60));
        sent.put("seen", Long.MAX_VALUE);
        sent.put("secondsAgo", Integer.MIN_VALUE);
        lotte.put(answers, sent).ok();
    }

    @Test
    void a_late_answer_that_counts_is_regraded_like_any_other_and_the_same_is_kept_once(
            Scholion.Running school, Standings standings) {
        Lesson lesson = over(school, "Late and regraded");
        String attempt = lesson.attempt("Lotte Marrin");
        Visitor lotte = school.as("Lotte Marrin");
        Together.times(1, i -> send(lotte, attempt, "q2", "rescue knot", 400));
        send(lotte, attempt, "q2", "rescue knot", 400).ok();
        assertThat(late(lesson)).hasSize(1);
        decide(lesson, late(lesson).get(0), "/take").ok();
        assertThat(lesson.mark("Lotte Marrin", "q2").get("state").stringValue()).isEqualTo("settle");
        lesson.teacher
                .post(lesson.path("/doubts"), lesson.decision("q2", "rescue knot", "1", "EXACT"))
                .ok();
        assertThat(lesson.mark("Lotte Marrin", "q2").get("points").stringValue())
                .isEqualTo("2");
        assertThat(standings.differences()).isEmpty();
    }

    @Test
    void a_reading_that_stood_before_stands_again_when_a_late_answer_is_taken_back(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Late and read", "A")
                .sits("Lotte Marrin", null, null, null, "Because the level falls.");
        String attempt = lesson.attempt("Lotte Marrin");
        Visitor lotte = school.as("Lotte Marrin");
        lesson.reads(
                        "Lotte Marrin",
                        "q4",
                        new HashMap<>(Map.of(
                                "levels", Map.of("c1", "1", "c2", "1"), "comment", "", "note", "", "hold", false)))
                .ok();
        send(lotte, attempt, "q4", "Because.", 3_000).ok();
        JsonNode one = late(lesson).get(0);
        assertThat(one.get("then").get("state").stringValue()).isEqualTo("read");
        decide(lesson, one, "/take").ok();
        assertThat(lesson.mark("Lotte Marrin", "q4").get("state").stringValue()).isEqualTo("read");
        decide(lesson, one, "/take-back").ok();
        assertThat(lesson.mark("Lotte Marrin", "q4").get("points").stringValue())
                .isEqualTo("5");
    }

    @Test
    void only_teachers_of_the_course_decide_and_of_two_at_once_one(Scholion.Running school) {
        Lesson lesson = over(school, "Late and two");
        String attempt = lesson.attempt("Lotte Marrin");
        Visitor lotte = school.as("Lotte Marrin");
        send(lotte, attempt, "q2", "bowline", 400).ok();
        JsonNode one = late(lesson).get(0);
        String take = "/api/late/" + one.get("id").stringValue() + "/take";
        lotte.post(take, null).isRefused(403);
        school.as("Noor Haddix").get(lesson.path("/late")).isRefused(403);
        Visitor elsewhere = Colleague.called(school, "Late").visitor();
        elsewhere.get(lesson.path("/late")).isRefused(404);
        Visitor berit = school.as("Berit Straum");
        berit.get(lesson.path("/late")).isRefused(404);
        for (String how : List.of("/take", "/leave", "/take-back")) {
            decide(elsewhere, one, how).isRefused(404);
            decide(berit, one, how).isRefused(404);
        }
        List<Integer> statuses =
                Together.times(4, i -> school.as("Aud Meller").post(take, null).status());
        assertThat(statuses).containsOnly(204, 409).containsOnlyOnce(204);
    }

    @Test
    void of_two_late_answers_to_one_question_the_one_that_was_taken_last_counts(
            Scholion.Running school, Standings standings) {
        Lesson lesson = over(school, "Late and twice");
        String attempt = lesson.attempt("Lotte Marrin");
        Visitor lotte = school.as("Lotte Marrin");
        send(lotte, attempt, "q2", "bowline", 500).ok();
        send(lotte, attempt, "q2", "sheet", 400).ok();
        JsonNode both = late(lesson);
        decide(lesson, both.get(0), "/take").ok();
        decide(lesson, both.get(1), "/take").ok();
        assertThat(late(lesson)).hasSize(1);
        assertThat(lesson.trace("Lotte Marrin")
                        .get("items")
                        .get(1)
                        .get("answer")
                        .stringValue())
                .isEqualTo(both.get(1).get("answer").stringValue());
        decide(lesson, both.get(0), "/take").isRefused(409);
        assertThat(standings.differences()).isEmpty();
    }

    @Test
    void an_answer_that_is_not_kept_is_never_acknowledged(Scholion.Running school) {
        Lesson lesson = over(school, "Late and many");
        String attempt = lesson.attempt("Lotte Marrin");
        Visitor lotte = school.as("Lotte Marrin");
        for (int i = 0; i < 20; i++) {
            send(lotte, attempt, "q2", "knot " + i, 400).ok();
        }
        send(lotte, attempt, "q2", "knot 20", 400).isRefused(409);
        send(lotte, attempt, "q2", "knot 3", 400).ok();
        assertThat(late(lesson)).hasSize(20);
    }

    @Test
    void an_answer_that_was_taken_back_in_time_is_blank_when_it_counts(Scholion.Running school, Standings standings) {
        Lesson lesson = Lesson.given(school, "Late and taken back", "A")
                .sits("Lotte Marrin", List.of("a"), null, "10 nmi", null);
        String attempt = lesson.attempt("Lotte Marrin");
        send(school.as("Lotte Marrin"), attempt, "q1", "", 3_000).ok();
        JsonNode one = late(lesson).get(0);
        assertThat(one.get("then").get("state").stringValue()).isEqualTo("blank");
        decide(lesson, one, "/take").ok();
        assertThat(lesson.mark("Lotte Marrin", "q1").get("state").stringValue()).isEqualTo("blank");
        assertThat(standings.differences()).isEmpty();
    }
}
