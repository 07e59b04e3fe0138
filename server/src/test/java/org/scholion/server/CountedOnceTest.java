package org.scholion.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.ledger.Standings;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Visitor;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** One place, one number: what no longer waits is in no pile, and one student is one student. */
@ExtendWith(Scholion.class)
class CountedOnceTest {
    private static Lesson lesson(Scholion.Running school, String title) {
        return Lesson.given(school, title, "A")
                .sits("Tamsin Orrel", List.of("a"), "rescue knot", "ten", "Because.")
                .sits("Lotte Marrin", List.of("b"), "bowline", "10 nmi", "Moon.");
    }

    private static void adjust(Lesson lesson, String item, String what) {
        ObjectNode changed = Lesson.definition(lesson.title()).deepCopy().asObject();
        changed.putArray("adjustments").addObject().put("item", item).put("do", what);
        lesson.teacher
                .post(lesson.path("/editions"), lesson.change(changed, "adjusted"))
                .ok();
    }

    private static JsonNode line(Lesson lesson) {
        return lesson.teacher.get(lesson.path("")).ok().get("line");
    }

    private static boolean waitsOnTheDesk(Lesson lesson, String work) {
        return lesson.teacher
                .get("/api/desk")
                .ok()
                .get("piles")
                .valueStream()
                .anyMatch(p -> p.get("title").stringValue().equals(lesson.title())
                        && p.get("work").stringValue().equals(work));
    }

    @Test
    void a_doubt_about_a_question_that_is_dropped_or_credited_waits_nowhere(Scholion.Running school) {
        for (String what : List.of("drop", "creditAll", "creditAnswered")) {
            Lesson lesson = lesson(school, "No doubt left " + what);
            assertThat(line(lesson).get("doubts").intValue()).isEqualTo(2);
            adjust(lesson, "q2", what);
            assertThat(line(lesson).get("doubts").intValue()).isEqualTo(1);
            JsonNode doubts = lesson.teacher.get(lesson.path("/doubts")).ok();
            assertThat(doubts.get("doubts").intValue()).isEqualTo(1);
            assertThat(doubts.get("questions")).hasSize(1);
        }
    }

    @Test
    void an_open_question_that_is_dropped_leaves_read_the_line_and_the_desk_and_comes_back_when_it_counts_again(
            Scholion.Running school) {
        Lesson lesson = lesson(school, "Nothing to read");
        assertThat(waitsOnTheDesk(lesson, "READ")).isTrue();
        adjust(lesson, "q4", "drop");
        assertThat(line(lesson).get("unread").intValue()).isZero();
        assertThat(lesson.teacher.get(lesson.path("/readings")).ok().get("questions"))
                .isEmpty();
        assertThat(waitsOnTheDesk(lesson, "READ")).isFalse();
        lesson.undo().ok();
        assertThat(line(lesson).get("unread").intValue()).isEqualTo(2);
        assertThat(waitsOnTheDesk(lesson, "READ")).isTrue();
    }

    @Test
    void a_bonus_still_waits_since_it_can_add_to_the_score(Scholion.Running school) {
        Lesson lesson = lesson(school, "Bonus waits");
        adjust(lesson, "q4", "bonus");
        assertThat(line(lesson).get("unread").intValue()).isEqualTo(2);
    }

    private static final List<Object> ONE_POINT = List.of(List.of("a"), "hitch", "9 nmi");
    private static final List<Object> FIVE_POINTS = List.of(List.of("a"), "bowline", "10 nmi");

    /** The same student in two sections, with an attempt in each, of ten points. */
    private static Lesson twice(Scholion.Running school, String title, String rule, List<List<Object>> said) {
        Lesson lesson = Lesson.written(school, title);
        ObjectNode definition = Lesson.definition(title).deepCopy().asObject();
        definition.get("grading").asObject().put("attempts", rule);
        lesson.holds(definition);
        lesson.giveOut("A").ok();
        lesson.giveOut("B").ok();
        JdbcClient db = school.bean(JdbcClient.class);
        UUID tamsin = db.sql("select id from person where given = 'Tamsin' and family = 'Orrel'")
                .query(UUID.class)
                .single();
        db.sql("insert into enrolment (section_id, student_id) values (?, ?)")
                .params(UUID.fromString(lesson.section("B")), tamsin)
                .update();
        try {
            Visitor student = school.as("Tamsin Orrel");
            List<String> sittings = student.get("/api/student/todo")
                    .ok()
                    .valueStream()
                    .filter(l -> l.get("title").stringValue().equals(title))
                    .map(l -> l.get("sitting").stringValue())
                    .toList();
            for (int i = 0; i < 2; i++) {
                String attempt = student.post("/api/student/sittings/" + sittings.get(i) + "/attempt", null)
                        .ok()
                        .get("attempt")
                        .stringValue();
                for (int q = 0; q < 3; q++) {
                    Lesson.answer(student, attempt, "q" + (q + 1), said.get(i).get(q))
                            .ok();
                }
                student.post("/api/student/attempts/" + attempt + "/hand-in", null)
                        .ok();
            }
        } finally {
            db.sql("delete from enrolment where section_id = ? and student_id = ?")
                    .params(UUID.fromString(lesson.section("B")), tamsin)
                    .update();
        }
        return lesson;
    }

    @Test
    void when_the_attempt_that_counts_is_set_aside_the_other_one_counts_and_back(
            Scholion.Running school, Standings standings) {
        Lesson lesson = twice(school, "The better one aside", "best", List.of(ONE_POINT, FIVE_POINTS));
        String better = school.bean(JdbcClient.class)
                .sql("select id from attempt where assessment_id = ? order by started_at desc limit 1")
                .param(UUID.fromString(lesson.id))
                .query(String.class)
                .single();
        lesson.teacher.post("/api/attempts/" + better + "/set-aside", null).ok();
        assertThat(percent(lesson)).isEqualTo("10.0");
        assertThat(mean(lesson)).isEqualTo(1.0);
        assertThat(standings.differences()).isEmpty();
        lesson.teacher.post("/api/attempts/" + better + "/put-back", null).ok();
        assertThat(percent(lesson)).isEqualTo("50.0");
        assertThat(mean(lesson)).isEqualTo(5.0);
        assertThat(standings.differences()).isEmpty();
    }

    private static String percent(Lesson lesson) {
        return cell(lesson).get("standing").get("percent").stringValue();
    }

    private static JsonNode cell(Lesson lesson) {
        String course = lesson.teacher.get(lesson.path("")).ok().get("course").stringValue();
        JsonNode book =
                lesson.teacher.get("/api/courses/" + course + "/gradebook").ok();
        int column = -1;
        for (int i = 0; i < book.get("columns").size(); i++) {
            column = book.get("columns").get(i).get("title").stringValue().equals(lesson.title()) ? i : column;
        }
        for (JsonNode row : book.get("rows")) {
            if (row.get("family").stringValue().equals("Orrel")) {
                return row.get("cells").get(column);
            }
        }
        throw new AssertionError("no row");
    }

    @Test
    void of_two_attempts_the_one_counts_that_the_rule_of_the_paper_names(Scholion.Running school, Standings standings) {
        Map<String, String> expected = Map.of("best", "50.0", "last", "50.0", "first", "10.0", "mean", "30.0");
        expected.forEach((rule, percent) -> {
            Lesson lesson = twice(school, "Two attempts " + rule, rule, List.of(ONE_POINT, FIVE_POINTS));
            JsonNode cell = cell(lesson);
            assertThat(cell.get("standing").get("percent").stringValue()).isEqualTo(percent);
            assertThat(cell.get("attempts").intValue()).isEqualTo(2);
            assertThat(lesson.teacher
                            .get(lesson.path("/examine"))
                            .ok()
                            .get("test")
                            .get("n")
                            .intValue())
                    .as("one student is one in the figures")
                    .isEqualTo(1);
            assertThat(line(lesson).get("in").intValue())
                    .as("and one on the line")
                    .isEqualTo(1);
            assertThat(lesson.teacher
                            .get(lesson.path("/collect"))
                            .ok()
                            .get("in")
                            .intValue())
                    .as("and one in Collect")
                    .isEqualTo(1);
            assertThat(standings.differences()).isEmpty();
        });
    }

    @Test
    void the_figures_are_of_the_attempt_that_counts_whichever_was_the_better(Scholion.Running school) {
        Map<String, List<Double>> points =
                Map.of("best", List.of(5.0, 5.0), "last", List.of(5.0, 1.0), "first", List.of(1.0, 5.0));
        points.forEach((rule, means) -> {
            Lesson worseFirst = twice(school, "Worse first, " + rule, rule, List.of(ONE_POINT, FIVE_POINTS));
            assertThat(mean(worseFirst)).as(rule + " of 1 and 5").isEqualTo(means.get(0));
            Lesson betterFirst = twice(school, "Better first, " + rule, rule, List.of(FIVE_POINTS, ONE_POINT));
            assertThat(mean(betterFirst)).as(rule + " of 5 and 1").isEqualTo(means.get(1));
        });
    }

    private static double mean(Lesson lesson) {
        return lesson.teacher
                .get(lesson.path("/examine"))
                .ok()
                .get("test")
                .get("mean")
                .get("value")
                .doubleValue();
    }

    @Test
    void a_gradebook_cell_that_changed_after_handing_back_says_so_with_what_was_handed_back(Scholion.Running school) {
        Lesson lesson =
                Lesson.given(school, "Changed after", "A").sits("Tamsin Orrel", List.of("b"), "bowline", null, null);
        lesson.handsBack("Tamsin Orrel").ok();
        assertThat(cell(lesson).hasNonNull("changedFrom")).isFalse();
        adjust(lesson, "q1", "creditAll");
        assertThat(cell(lesson).get("changedFrom").stringValue()).isEqualTo("20.0");
        assertThat(cell(lesson).get("standing").get("percent").stringValue()).isEqualTo("30.0");
        lesson.handsBack("Tamsin Orrel").ok();
        assertThat(cell(lesson).hasNonNull("changedFrom")).isFalse();
    }
}
