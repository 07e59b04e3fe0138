package org.scholion.server.handback;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Visitor;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** What a teacher tries as a student comes to the result that a student would have, and counts nowhere. */
@ExtendWith(Scholion.class)
class DryRunTest {
    private static Visitor.Reply tried(
            Lesson lesson,
            Visitor who,
            String attempt,
            @Nullable String sitting,
            String moment,
            Map<String, Object> said) {
        Map<String, Object> body = new HashMap<>();
        body.put("attempt", attempt);
        body.put("sitting", sitting);
        body.put("answers", said);
        body.put("moment", moment);
        return who.post(lesson.path("/as-student/result"), body);
    }

    /** The answers of the paper as it was shown: the option is named by the id that this paper gave to it. */
    private static Map<String, Object> right(JsonNode paper) {
        Map<String, Object> said = new HashMap<>();
        for (JsonNode item : paper.get("items")) {
            if (item.get("id").stringValue().equals("q1")) {
                for (JsonNode option : item.get("options")) {
                    if (option.get("text").stringValue().startsWith("At springs")) {
                        said.put("q1", List.of(option.get("id").stringValue()));
                    }
                }
            }
        }
        said.put("q2", "bowline");
        said.put("q4", "The moon.");
        return said;
    }

    @Test
    void what_is_tried_before_giving_out_has_the_result_of_the_rules_and_waits_where_a_person_reads(
            Scholion.Running school) {
        Lesson lesson = Lesson.written(school, "Tried dry");
        JsonNode paper = lesson.teacher.get(lesson.path("/as-student")).ok().get("paper");
        String attempt = paper.get("attempt").stringValue();
        JsonNode tried = tried(lesson, lesson.teacher, attempt, null, "HANDED_BACK", right(paper))
                .ok();
        JsonNode result = tried.get("result");
        assertThat(result.get("provisional").booleanValue()).isTrue();
        assertThat(result.get("items").get(0).get("mark").get("points").stringValue())
                .isEqualTo(result.get("items").get(0).get("mark").get("of").stringValue());
        assertThat(result.get("items").get(0).get("answer").stringValue()).isEqualTo("At springs");
        assertThat(result.get("items").get(2).get("mark").get("state").stringValue())
                .isEqualTo("blank");
        assertThat(result.get("items").get(3).get("mark").get("state").stringValue())
                .isEqualTo("read");
        assertThat(tried.get("kept").get("q1").toString())
                .as("under the ids of the key")
                .isEqualTo("[\"a\"]");
        assertThat(lesson.teacher.get(lesson.path("/key")).ok().get("edition").isNull())
                .isTrue();
    }

    @Test
    void it_is_the_number_that_a_student_with_the_same_answers_has(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "The same number", "A")
                .sits("Lotte Marrin", List.of("a"), "granny", "10 nmi", null);
        JsonNode paper = lesson.teacher.get(lesson.path("/as-student")).ok().get("paper");
        Map<String, Object> said = right(paper);
        said.put("q2", "granny");
        said.put("q3", "10 nmi");
        said.remove("q4");
        JsonNode dry = tried(lesson, lesson.teacher, paper.get("attempt").stringValue(), null, "HANDED_BACK", said)
                .ok()
                .get("result");
        Map<String, Object> sees = Map.of("score", true, "marks", true, "answers", true, "notes", true, "keys", false);
        String attempt = lesson.attempt("Lotte Marrin");
        JsonNode own = lesson.teacher
                .post("/api/attempts/" + attempt + "/result/preview", Map.of("sees", sees, "messages", List.of()))
                .ok();
        for (String field : List.of("score", "possible", "percent", "band", "passed", "provisional", "items")) {
            assertThat(dry.get(field).toString().replace("\"who\":null", "\"who\":\"\""))
                    .as(field)
                    .isEqualTo(own.get(field).toString());
        }
    }

    @Test
    void at_each_moment_only_that_is_seen_which_the_sitting_says(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Moment by moment", "A");
        String sitting = lesson.sitting();
        lesson.teacher
                .put(
                        "/api/sittings/" + sitting + "/seen",
                        Map.of(
                                "score",
                                "AT_HAND_IN",
                                "marks",
                                "ALL_CLOSED",
                                "answers",
                                "HANDED_BACK",
                                "notes",
                                "NEVER",
                                "keys",
                                "HANDED_BACK"))
                .ok();
        JsonNode paper = lesson.teacher
                .get(lesson.path("/as-student?sitting=" + sitting))
                .ok()
                .get("paper");
        String attempt = paper.get("attempt").stringValue();
        JsonNode first = tried(lesson, lesson.teacher, attempt, sitting, "AT_HAND_IN", right(paper))
                .ok()
                .get("result");
        assertThat(first.get("score").isNull()).isFalse();
        assertThat(first.get("items").get(0).get("mark").isNull()).isTrue();
        assertThat(first.get("items").get(0).get("prompt").stringValue())
                .as("while others have it before them")
                .isEmpty();
        JsonNode closed = tried(lesson, lesson.teacher, attempt, sitting, "ALL_CLOSED", right(paper))
                .ok()
                .get("result");
        assertThat(closed.get("items").get(0).get("mark").isNull()).isFalse();
        assertThat(closed.get("items").get(0).get("answer").isNull()).isTrue();
        assertThat(closed.get("items").get(0).get("prompt").stringValue()).isNotEmpty();
        JsonNode back = tried(lesson, lesson.teacher, attempt, sitting, "HANDED_BACK", right(paper))
                .ok()
                .get("result");
        assertThat(back.get("items").get(0).get("answer").isNull()).isFalse();
        assertThat(back.get("items").get(0).get("key").isNull()).isFalse();
    }

    @Test
    void what_was_shown_of_standards_is_seen_where_the_sitting_says_so_and_goes_into_what_is_handed_back(
            Scholion.Running school) {
        ObjectNode aligned = Lesson.definition("On standards").asObject();
        for (int i = 0; i < 3; i++) {
            aligned.get("items")
                    .get(i)
                    .asObject()
                    .putArray("standards")
                    .addObject()
                    .put("code", "T1")
                    .put("weight", i == 1 ? "2" : "1");
        }
        Lesson lesson = Lesson.written(school, "On standards").holds(aligned);
        lesson.giveOut("A").ok();
        lesson.sits("Lotte Marrin", List.of("a"), "bowline", "99 nmi", null);
        String sitting = "/api/sittings/" + lesson.sitting() + "/seen";
        Map<String, Object> seen = new HashMap<>(
                Map.of("score", "NEVER", "marks", "NEVER", "answers", "AT_HAND_IN", "notes", "NEVER", "keys", "NEVER"));
        lesson.teacher.put(sitting, seen).ok();
        Visitor lotte = school.as("Lotte Marrin");
        String early = "/api/student/attempts/" + lesson.attempt("Lotte Marrin") + "/result";
        assertThat(lotte.get(early).ok().get("result").has("standards"))
                .as("where nothing is said of them")
                .isFalse();
        seen.put("standards", "AT_HAND_IN");
        lesson.teacher.put(sitting, seen).ok();
        JsonNode t1 = standard(lotte.get(early).ok().get("result"), "T1");
        // Worked by hand: 1 of 1, twice 2 of 2, 0 of 2: 5 of 7.
        assertThat(t1.get("score").stringValue()).isEqualTo("5");
        assertThat(t1.get("possible").stringValue()).isEqualTo("7");
        assertThat(t1.get("percent").stringValue()).isEqualTo("71.4");
        assertThat(t1.get("pieces").intValue()).isEqualTo(3);
        assertThat(standard(lotte.get(early).ok().get("result"), "T").get("score"))
                .as("what stands above gathers it")
                .isEqualTo(t1.get("score"));
        assertThat(t1.get("text").stringValue())
                .as("as the course's framework says")
                .isNotEmpty();

        Map<String, Object> sees = new HashMap<>(
                Map.of("score", true, "marks", true, "answers", true, "notes", true, "keys", false, "standards", true));
        Map<String, Object> back =
                Map.of("attempts", List.of(lesson.attempt("Lotte Marrin")), "sees", sees, "messages", List.of());
        lesson.teacher.post(lesson.path("/hand-back"), back).ok();
        String result = lotte.get("/api/student/results").ok().get(0).get("id").stringValue();
        JsonNode kept = lotte.get("/api/student/results/" + result).ok();
        assertThat(standard(kept.has("result") ? kept.get("result") : kept, "T1"))
                .isEqualTo(t1);
    }

    private static JsonNode standard(JsonNode result, String code) {
        for (JsonNode standard : result.get("standards")) {
            if (standard.get("code").stringValue().equals(code)) {
                return standard;
            }
        }
        throw new AssertionError(code + " is not in " + result);
    }

    @Test
    void it_is_for_the_papers_teachers_keeps_nothing_and_refuses_what_is_not_on_it(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "For teachers", "A");
        Lesson other = Lesson.given(school, "Of another paper", "A");
        JdbcClient db = school.bean(JdbcClient.class);
        long before = db.sql("select (select count(*) from attempt) + (select count(*) from mark)")
                .query(Long.class)
                .single();
        JsonNode paper = lesson.teacher.get(lesson.path("/as-student")).ok().get("paper");
        String attempt = paper.get("attempt").stringValue();
        tried(lesson, lesson.teacher, attempt, null, "HANDED_BACK", right(paper))
                .ok();
        tried(lesson, school.as("Lotte Marrin"), attempt, null, "HANDED_BACK", right(paper))
                .isRefused(403);
        tried(lesson, lesson.teacher, attempt, other.sitting(), "HANDED_BACK", right(paper))
                .isRefused(404);
        tried(lesson, lesson.teacher, UUID.randomUUID().toString(), null, "HANDED_BACK", right(paper))
                .isRefused(422);
        assertThat(db.sql("select (select count(*) from attempt) + (select count(*) from mark)")
                        .query(Long.class)
                        .single())
                .isEqualTo(before);
    }
}
