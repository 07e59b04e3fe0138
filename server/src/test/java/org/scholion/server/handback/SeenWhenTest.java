package org.scholion.server.handback;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Visitor;
import tools.jackson.databind.JsonNode;

/** What students see of their work, and from when on: nothing comes earlier, by whichever address. */
@ExtendWith(Scholion.class)
class SeenWhenTest {
    private static final List<String> KINDS = List.of("score", "marks", "answers", "notes", "keys");

    private static Visitor.Reply set(Lesson lesson, Map<String, String> when, Instant from) {
        Map<String, Object> seen = new HashMap<>();
        KINDS.forEach(kind -> seen.put(kind, when.getOrDefault(kind, "HANDED_BACK")));
        seen.put("from", from == null ? null : from.toString());
        return lesson.teacher.put("/api/sittings/" + lesson.sitting() + "/seen", seen);
    }

    private static JsonNode early(Scholion.Running school, Lesson lesson) {
        return school.as("Lotte Marrin")
                .get("/api/student/attempts/" + lesson.attempt("Lotte Marrin") + "/result")
                .ok()
                .get("result");
    }

    /** Section B still has it before it. */
    private static Lesson handedIn(Scholion.Running school, String title) {
        return Lesson.given(school, title, "A", "B").sits("Lotte Marrin", List.of("b"), "bowline", null, null);
    }

    @Test
    void usually_nothing_is_seen_before_it_is_handed_back(Scholion.Running school) {
        Lesson lesson = handedIn(school, "Nothing yet");
        assertThat(early(school, lesson).isNull()).isTrue();
        school.as("Tamsin Orrel")
                .get("/api/student/attempts/" + lesson.attempt("Lotte Marrin") + "/result")
                .isRefused(404);
    }

    @Test
    void each_kind_comes_at_its_own_time_and_no_question_is_told_while_others_have_it_before_them(
            Scholion.Running school) {
        Lesson lesson = handedIn(school, "Bit by bit");
        set(
                        lesson,
                        Map.of("score", "AT_HAND_IN", "answers", "ALL_CLOSED", "keys", "ALL_CLOSED", "marks", "NEVER"),
                        null)
                .ok();
        JsonNode now = early(school, lesson);
        assertThat(now.get("score").stringValue()).isEqualTo("2");
        assertThat(now.get("items").get(1).get("answer").isNull()).isTrue();
        assertThat(now.get("items").get(1).get("mark").isNull()).isTrue();
        assertThat(now.get("items").get(1).get("key").isNull()).isTrue();
        assertThat(now.toString()).doesNotContain("Which knot", "bowline");
        lesson.isOver();
        JsonNode then = early(school, lesson);
        assertThat(then.get("items").get(1).get("answer").stringValue()).isEqualTo("bowline");
        assertThat(then.get("items").get(1).get("key").stringValue()).contains("bowline");
        assertThat(then.get("items").get(1).get("prompt").stringValue()).contains("Which knot");
        assertThat(then.get("items").get(1).get("mark").isNull()).isTrue();
    }

    @Test
    void what_is_said_of_the_whole_paper_is_not_seen_while_marks_are_open(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Still at it", "A")
                .sits("Lotte Marrin", List.of("b"), "bowline", "10", "Because.");
        set(lesson, Map.of("score", "AT_HAND_IN", "notes", "AT_HAND_IN"), null).ok();
        JsonNode answer = lesson.answerOf("Lotte Marrin", "q4");
        lesson.teacher
                .put(
                        lesson.path("/readings/q4/" + answer.get("answer").stringValue() + "/paper?names=true"),
                        Map.of("text", "A calm passage."))
                .ok();
        assertThat(early(school, lesson).toString()).doesNotContain("A calm passage.");
        lesson.reads(
                        "Lotte Marrin",
                        "q4",
                        Map.of("levels", Map.of("c1", "1", "c2", "1"), "comment", "", "note", "", "hold", false))
                .ok();
        assertThat(early(school, lesson).at("/said/0/text").stringValue()).isEqualTo("A calm passage.");
    }

    @Test
    void from_a_date_means_from_that_moment_on(Scholion.Running school) {
        Lesson lesson = handedIn(school, "From a date");
        assertThat(set(lesson, Map.of("marks", "FROM_DATE"), null)
                        .isRefused(422)
                        .detail())
                .contains("Say from which date on it is seen.");
        set(lesson, Map.of("marks", "FROM_DATE"), Instant.now().plusSeconds(600))
                .ok();
        assertThat(early(school, lesson).isNull()).isTrue();
        set(lesson, Map.of("marks", "FROM_DATE"), Instant.now().minusSeconds(5)).ok();
        assertThat(early(school, lesson)
                        .get("items")
                        .get(1)
                        .get("mark")
                        .get("points")
                        .stringValue())
                .isEqualTo("2");
        assertThat(early(school, lesson).get("score").isNull()).isTrue();
    }

    @Test
    void nothing_is_seen_while_one_is_still_at_work(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Still at work", "A");
        set(lesson, Map.of("score", "AT_HAND_IN", "keys", "AT_HAND_IN"), null).ok();
        Lesson.say(school.as("Lotte Marrin"), lesson.attempt("Lotte Marrin"), "q2", "bowline")
                .ok();
        assertThat(early(school, lesson).isNull()).isTrue();
    }

    @Test
    void hand_back_begins_with_what_the_sitting_says(Scholion.Running school) {
        Lesson lesson = handedIn(school, "Same table");
        set(lesson, Map.of("keys", "ALL_CLOSED", "notes", "NEVER"), null).ok();
        JsonNode sees = lesson.teacher.get(lesson.path("/hand-back")).ok().get("sees");
        assertThat(sees.get("keys").booleanValue()).isTrue();
        assertThat(sees.get("notes").booleanValue()).isFalse();
        assertThat(sees.get("marks").booleanValue()).isTrue();
    }
}
