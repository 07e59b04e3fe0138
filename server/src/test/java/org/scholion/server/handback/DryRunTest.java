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
