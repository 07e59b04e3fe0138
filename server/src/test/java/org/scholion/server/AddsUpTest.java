package org.scholion.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.ledger.Standings;
import org.scholion.server.testing.Colleague;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Visitor;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** A result adds up in the student's eyes, and every rule that can be set acts. */
@ExtendWith(Scholion.class)
class AddsUpTest {
    private static void changes(Lesson lesson, Consumer<ObjectNode> how) {
        ObjectNode changed = lesson.teacher
                .get(lesson.path("/key"))
                .ok()
                .get("definition")
                .deepCopy()
                .asObject();
        how.accept(changed);
        lesson.teacher
                .post(lesson.path("/editions"), lesson.change(changed, "changed"))
                .ok();
    }

    private static JsonNode result(Scholion.Running school, String name) {
        Visitor student = school.as(name);
        String id = student.get("/api/student/results").ok().get(0).get("id").stringValue();
        return student.get("/api/student/results/" + id).ok().get("result");
    }

    @Test
    void dropped_credited_and_bonus_questions_say_how_they_counted_and_the_total_says_it_in_one_sentence(
            Scholion.Running school) {
        Lesson lesson =
                Lesson.given(school, "Adds up", "A").sits("Tamsin Orrel", List.of("b"), "bowline", "10 nmi", null);
        changes(lesson, d -> {
            d.putArray("adjustments").addObject().put("item", "q1").put("do", "drop");
            d.get("adjustments").asArray().addObject().put("item", "q3").put("do", "bonus");
            d.get("adjustments").asArray().addObject().put("item", "q4").put("do", "creditAll");
        });
        lesson.handsBack("Tamsin Orrel").ok();
        JsonNode result = result(school, "Tamsin Orrel");
        assertThat(result.get("because").stringValue())
                .isEqualTo("9 of 7 points; question 1 dropped; question 4 gives full credit; question 3 is a bonus;"
                        + " 128.6%");
        JsonNode items = result.get("items");
        assertThat(items.get(0).get("counts").stringValue()).startsWith("dropped for everyone");
        assertThat(items.get(1).hasNonNull("counts")).isFalse();
        assertThat(items.get(2).get("counts").stringValue()).startsWith("a bonus");
        assertThat(items.get(3).get("counts").stringValue()).isEqualTo("counts as full credit for everyone");
    }

    @Test
    void a_plain_result_has_no_more_to_say(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Plain", "A").sits("Lotte Marrin", List.of("a"), null, null, null);
        lesson.handsBack("Lotte Marrin").ok();
        assertThat(result(school, "Lotte Marrin").hasNonNull("because")).isFalse();
    }

    @Test
    void days_late_cost_what_the_paper_says_after_a_look_and_the_trace_says_why(
            Scholion.Running school, Standings standings) {
        Lesson lesson = Lesson.given(school, "Late penalty", "A")
                .sits("Tamsin Orrel", List.of("a"), "bowline", "10 nmi", null)
                .sits("Lotte Marrin", List.of("a"), "bowline", "10 nmi", null);
        changes(
                lesson,
                d -> d.get("grading")
                        .asObject()
                        .putObject("late")
                        .put("perDay", "10%")
                        .put("cap", "50%"));
        String path = "/api/attempts/" + lesson.attempt("Tamsin Orrel") + "/late";
        JsonNode look =
                lesson.teacher.post(path + "/preview", Map.of("days", "1.5")).ok();
        assertThat(look.get("now").get("score").stringValue()).isEqualTo("5");
        assertThat(look.get("then").get("score").stringValue()).isEqualTo("4");
        assertThat(lesson.trace("Tamsin Orrel").get("standing").get("score").stringValue())
                .as("a look changes nothing")
                .isEqualTo("5");
        lesson.teacher.put(path, Map.of("days", "1.5")).ok();
        JsonNode trace = lesson.trace("Tamsin Orrel");
        assertThat(trace.get("standing")).isEqualTo(look.get("then"));
        assertThat(trace.get("because").stringValue()).contains("2 days late: × 0.8");
        assertThat(lesson.trace("Lotte Marrin").get("standing").get("score").stringValue())
                .isEqualTo("5");
        assertThat(standings.differences()).isEmpty();
        lesson.teacher.put(path, Map.of("days", "0")).ok();
        assertThat(lesson.trace("Tamsin Orrel").get("standing").get("score").stringValue())
                .isEqualTo("5");
    }

    @Test
    void days_late_are_the_teachers_to_say_and_a_number(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Whose lateness", "A").sits("Ewan Pryce", List.of("a"), null, null, null);
        String path = "/api/attempts/" + lesson.attempt("Ewan Pryce") + "/late";
        for (String days : List.of("-1", "soon", "", "1e9", "367")) {
            lesson.teacher.put(path, Map.of("days", days)).isRefused(422);
        }
        assertThat(school.as("Ewan Pryce").put(path, Map.of("days", "0")).status())
                .isIn(403, 404);
    }

    @Test
    void an_effect_measures_mean_and_passing_before_and_after(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Measured", "A")
                .sits("Tamsin Orrel", List.of("a"), "bowline", "10 nmi", null)
                .sits("Lotte Marrin", List.of("b"), null, null, null);
        ObjectNode changed = Lesson.definition("Measured").deepCopy().asObject();
        changed.putArray("adjustments").addObject().put("item", "q4").put("do", "drop");
        JsonNode measures = lesson.teacher
                .post(lesson.path("/editions/preview"), lesson.change(changed, ""))
                .ok()
                .get("measures");
        assertThat(measures.get("meanBefore").stringValue()).isEqualTo("25");
        assertThat(measures.get("meanAfter").stringValue()).isEqualTo("50");
        assertThat(measures.get("passBefore").intValue()).isZero();
        assertThat(measures.get("passAfter").intValue()).isEqualTo(1);
    }

    @Test
    void an_effect_on_one_students_mark_measures_the_whole_assessment_too(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Measured for one", "A")
                .sits("Tamsin Orrel", List.of("a"), "rescue knot", "10 nmi", null)
                .sits("Lotte Marrin", List.of("a"), "bowline", "10 nmi", null)
                .sits("Noor Haddix", List.of("a"), null, null, null);
        JsonNode measures = lesson.teacher
                .post(lesson.path("/doubts/preview"), lesson.decision("q2", "rescue knot", "1", "THESE"))
                .ok()
                .get("measures");
        assertThat(measures.get("meanBefore").stringValue()).isEqualTo("30");
        assertThat(measures.get("meanAfter").stringValue()).isEqualTo("36.67");
        assertThat(measures.get("passAfter").intValue()).isZero();
    }

    @Test
    void examines_mean_says_beside_it_when_the_results_have_another_and_why(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Two means", "A")
                .sits("Tamsin Orrel", List.of("b"), "bowline", null, null)
                .sits("Lotte Marrin", List.of("b"), null, null, null);
        assertThat(lesson.teacher.get(lesson.path("/examine")).ok().hasNonNull("results"))
                .isFalse();
        changes(
                lesson,
                d -> d.putArray("adjustments").addObject().put("item", "q1").put("do", "creditAll"));
        JsonNode results = lesson.teacher.get(lesson.path("/examine")).ok().get("results");
        assertThat(results.get("mean").stringValue()).isEqualTo("2");
        assertThat(results.get("why").valueStream().map(JsonNode::stringValue)).containsExactly("ADJUSTED");
    }

    @Test
    void parts_reach_the_student_with_their_titles_and_instructions(Scholion.Running school) {
        Lesson lesson = Lesson.written(school, "In parts");
        ObjectNode definition = Lesson.definition("In parts").deepCopy().asObject();
        definition
                .putArray("parts")
                .addObject()
                .put("id", "A")
                .put("title", "Knots")
                .put("instructions", "Tie each one first.");
        definition.get("parts").asArray().addObject().put("id", "B").put("title", "Streams");
        definition
                .get("items")
                .forEach(i -> i.asObject()
                        .put("part", List.of("q1", "q2").contains(i.get("id").stringValue()) ? "A" : "B"));
        lesson.holds(definition);
        lesson.giveOut("A").ok();
        Visitor lotte = school.as("Lotte Marrin");
        JsonNode paper =
                lotte.get("/api/student/attempts/" + lesson.begin(lotte)).ok();
        assertThat(paper.get("parts").get(0).get("title").stringValue()).isEqualTo("Knots");
        assertThat(paper.get("parts").get(0).get("instructions").stringValue()).isEqualTo("Tie each one first.");
        assertThat(paper.get("items").valueStream().map(i -> i.get("part").stringValue()))
                .containsExactly("A", "A", "B", "B");
    }

    @Test
    void a_key_that_is_shared_to_edit_opens_for_the_colleague_without_students(Scholion.Running school) {
        Lesson lesson = Lesson.written(school, "Shared to edit");
        Colleague runa = Colleague.called(school, "Runa");
        runa.visitor().get(lesson.path("")).isRefused(404);
        lesson.teacher
                .put("/api/shares/ASSESSMENT/" + lesson.id + "/" + runa.id(), Map.of("mayEdit", true))
                .ok();
        JsonNode header = runa.visitor().get(lesson.path("")).ok();
        assertThat(header.get("share").stringValue()).isEqualTo("KEY");
        assertThat(header.get("sections")).isEmpty();
        runa.visitor().get(lesson.path("/key")).ok();
        assertThat(runa.visitor().get(lesson.path("/collect")).status()).isEqualTo(404);
        assertThat(lesson.teacher.get(lesson.path("")).ok().get("share").stringValue())
                .isEqualTo("ALL");
    }
}
