package org.scholion.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.ledger.Standings;
import org.scholion.server.testing.Colleague;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Visitor;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

@ExtendWith(Scholion.class)
class OverruleTest {
    private static String path(Lesson lesson, String student, String item, String way) {
        return "/api/attempts/" + lesson.attempt(student) + "/marks/" + item + way;
    }

    private static JsonNode seen(Lesson lesson, String student, String item) {
        return lesson.teacher.get(path(lesson, student, item, "")).ok();
    }

    private static Map<String, Object> overrule(Lesson lesson, String student, String item, String points, String why) {
        return Map.of(
                "points",
                points,
                "why",
                why,
                "saw",
                seen(lesson, student, item).get("saw").stringValue());
    }

    @Test
    void a_single_mark_is_overruled_with_a_reason_after_its_effect_was_seen_and_the_key_stays_as_it_is(
            Scholion.Running school, Standings standings) {
        Lesson lesson = Lesson.given(school, "Overruled", "A")
                .sits("Tamsin Orrel", List.of("b"), "reef knot", "10 nmi", null)
                .sits("Lotte Marrin", List.of("b"), "reef knot", "10 nmi", null);
        assertThat(seen(lesson, "Tamsin Orrel", "q1").get("answer").stringValue())
                .isEqualTo("At neaps");
        Map<String, Object> why = overrule(lesson, "Tamsin Orrel", "q1", "0.5", "She asked me in the room.");
        JsonNode preview = lesson.teacher
                .post(path(lesson, "Tamsin Orrel", "q1", "/preview"), why)
                .ok();
        assertThat(preview.get("students").intValue()).isEqualTo(1);
        assertThat(lesson.mark("Tamsin Orrel", "q1").get("points").stringValue())
                .as("a preview changes nothing")
                .isEqualTo("0");
        assertThat(lesson.teacher
                        .post(path(lesson, "Tamsin Orrel", "q1", "/overrule"), why)
                        .ok())
                .isEqualTo(preview);
        JsonNode mark = lesson.mark("Tamsin Orrel", "q1");
        assertThat(mark.get("points").stringValue()).isEqualTo("0.5");
        assertThat(mark.get("because").stringValue()).contains("She asked me in the room.");
        assertThat(mark.get("who").stringValue()).isEqualTo("Aud Meller");
        assertThat(lesson.mark("Lotte Marrin", "q1").get("points").stringValue())
                .isEqualTo("0");
        assertThat(lesson.teacher.get(lesson.path("/editions")).ok()).hasSize(1);
        assertThat(standings.differences()).isEmpty();
    }

    @Test
    void it_is_taken_back_by_whoever_decided_and_by_nobody_else(Scholion.Running school, Standings standings) {
        Lesson lesson = Lesson.given(school, "Overruled and back", "A")
                .sits("Tamsin Orrel", List.of("b"), "bowline", "10 nmi", null);
        lesson.teacher
                .post(
                        path(lesson, "Tamsin Orrel", "q2", "/overrule"),
                        overrule(lesson, "Tamsin Orrel", "q2", "0", "Copied."))
                .ok();
        JsonNode now = seen(lesson, "Tamsin Orrel", "q2");
        assertThat(now.get("mayTakeBack").booleanValue()).isTrue();
        Map<String, Object> undo = Map.of("saw", now.get("saw").stringValue());
        lesson.teacher
                .post(path(lesson, "Tamsin Orrel", "q2", "/take-back"), undo)
                .ok();
        assertThat(lesson.mark("Tamsin Orrel", "q2").get("points").stringValue())
                .isEqualTo("2");
        assertThat(seen(lesson, "Tamsin Orrel", "q2").get("mayTakeBack").booleanValue())
                .isFalse();
        Map<String, Object> again =
                Map.of("saw", seen(lesson, "Tamsin Orrel", "q2").get("saw").stringValue());
        lesson.teacher
                .post(path(lesson, "Tamsin Orrel", "q2", "/take-back"), again)
                .isRefused(409);
        assertThat(standings.differences()).isEmpty();
    }

    @Test
    void nothing_is_overruled_without_a_reason_on_an_old_mark_or_by_somebody_else(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Not overruled", "A")
                .sits("Tamsin Orrel", List.of("b"), "bowline", "10 nmi", null);
        String way = path(lesson, "Tamsin Orrel", "q1", "/overrule");
        Map<String, Object> first = overrule(lesson, "Tamsin Orrel", "q1", "1", "Right.");
        lesson.teacher
                .post(way, overrule(lesson, "Tamsin Orrel", "q1", "1", " "))
                .isRefused(422);
        lesson.teacher
                .post(way, overrule(lesson, "Tamsin Orrel", "q1", "2", "Too much."))
                .isRefused(422);
        Visitor student = school.as("Tamsin Orrel");
        student.post(way, first).isRefused(403);
        student.get(path(lesson, "Tamsin Orrel", "q1", "")).isRefused(403);
        Colleague.called(school, "Elsewhere").visitor().post(way, first).isRefused(404);
        lesson.teacher.post(way, first).ok();
        lesson.teacher.post(way, first).isRefused(409);
        lesson.teacher.get(path(lesson, "Tamsin Orrel", "q9", "")).isRefused(404);
    }

    @Test
    void an_open_answer_that_is_overruled_keeps_its_levels_and_its_comment_and_does_not_follow_the_rubric(
            Scholion.Running school, Standings standings) {
        Lesson lesson =
                Lesson.given(school, "Overruled reading", "A").sits("Tamsin Orrel", null, null, null, "Because.");
        lesson.reads(
                        "Tamsin Orrel",
                        "q4",
                        Map.of(
                                "levels",
                                Map.of("c1", "1", "c2", "1"),
                                "comment",
                                "Well told.",
                                "note",
                                "",
                                "hold",
                                false))
                .ok();
        lesson.teacher
                .post(
                        path(lesson, "Tamsin Orrel", "q4", "/overrule"),
                        overrule(lesson, "Tamsin Orrel", "q4", "2", "Not her own words."))
                .ok();
        JsonNode read = lesson.answerOf("Tamsin Orrel", "q4");
        assertThat(read.get("comment").stringValue()).isEqualTo("Well told.");
        assertThat(read.get("levels")).hasSize(2);
        assertThat(read.get("points").stringValue()).isEqualTo("2");
        assertThat(read.get("why").stringValue()).isEqualTo("Not her own words.");
        ObjectNode changed = Lesson.definition("Overruled reading").asObject();
        changed.get("items")
                .get(3)
                .get("rubric")
                .get("criteria")
                .get(0)
                .get("levels")
                .get(1)
                .asObject()
                .put("points", "7");
        lesson.teacher
                .post(lesson.path("/editions"), lesson.change(changed, "a cause is worth more"))
                .ok();
        assertThat(lesson.mark("Tamsin Orrel", "q4").get("points").stringValue())
                .isEqualTo("2");
        assertThat(standings.differences()).isEmpty();
    }
}
