package org.scholion.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.ledger.Standings;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

@ExtendWith(Scholion.class)
class SettleTest {
    private static Lesson lesson(Scholion.Running school, String title) {
        return Lesson.given(school, title, "A", "B")
                .sits("Tamsin Orrel", List.of("a"), "rescue knot", "ten", null)
                .sits("Lotte Marrin", List.of("a"), "Rescue  Knot", "10 nmi", null)
                .sits("Kofi Sande", List.of("b"), "rescue knot", "ten", null)
                .sits("Rosa Ellery", List.of("b"), "double bowline", "10", null);
    }

    @Test
    void equal_answers_are_one_group_across_sections_and_one_decision_settles_them_all(
            Scholion.Running school, Standings standings) {
        Lesson lesson = lesson(school, "One decision");
        JsonNode doubts = lesson.teacher.get(lesson.path("/doubts")).ok();
        JsonNode group = doubts.get("questions").get(0).get("groups").get(0);
        assertThat(group.get("students").valueStream().map(JsonNode::stringValue))
                .containsExactly("Lotte Marrin", "Tamsin Orrel", "Kofi Sande");
        assertThat(lesson.teacher
                        .get(lesson.path("/doubts?section=" + lesson.section("B")))
                        .ok()
                        .get("questions")
                        .get(0)
                        .get("groups")
                        .get(1)
                        .get("students"))
                .hasSize(1);

        Map<String, Object> half = lesson.decision("q2", group.get("form").stringValue(), "1/2", "EXACT");
        half.put("note", "It has a better name.");
        JsonNode preview =
                lesson.teacher.post(lesson.path("/doubts/preview"), half).ok();
        assertThat(preview.get("marks").intValue()).isEqualTo(3);
        assertThat(preview.get("up").intValue()).isEqualTo(3);
        assertThat(lesson.mark("Kofi Sande", "q2").get("state").stringValue())
                .as("a preview changes nothing")
                .isEqualTo("settle");
        JsonNode decided = lesson.teacher.post(lesson.path("/doubts"), half).ok();
        assertThat(decided.get("effect")).isEqualTo(preview);
        assertThat(decided.get("edition").intValue()).isEqualTo(2);

        JsonNode mark = lesson.mark("Kofi Sande", "q2");
        assertThat(mark.get("points").stringValue()).isEqualTo("1");
        assertThat(mark.get("because").stringValue())
                .containsIgnoringCase("rescue  knot")
                .contains("It has a better name.");
        assertThat(lesson.teacher.get(lesson.path("/key")).body())
                .as("the key has learned it")
                .containsIgnoringCase("rescue  knot");
        lesson.sits("Ewan Pryce", null, "RESCUE KNOT", null, null);

        assertThat(lesson.mark("Ewan Pryce", "q2").get("points").stringValue())
                .as("and never asks again")
                .isEqualTo("1");
        assertThat(standings.differences()).isEmpty();
    }

    @Test
    void a_decision_can_be_undone_and_the_ledger_keeps_both(Scholion.Running school, Standings standings) {
        Lesson lesson = lesson(school, "Undone");
        lesson.teacher
                .post(lesson.path("/doubts"), lesson.decision("q2", "rescue knot", "1", "EXACT"))
                .ok();
        lesson.undo().ok();
        assertThat(lesson.mark("Tamsin Orrel", "q2").get("state").stringValue()).isEqualTo("settle");
        assertThat(lesson.trace("Tamsin Orrel").get("items").get(1).get("earlier"))
                .hasSize(2);
        assertThat(standings.differences()).isEmpty();
    }

    @Test
    void no_marks_put_the_answer_among_the_known_wrong_ones(Scholion.Running school) {
        Lesson lesson = lesson(school, "Wrong now");
        lesson.teacher
                .post(lesson.path("/doubts"), lesson.decision("q2", "rescue knot", "0", "EXACT"))
                .ok();
        assertThat(lesson.mark("Tamsin Orrel", "q2").get("because").stringValue())
                .contains("listed as a wrong answer");
    }

    @Test
    void any_answer_with_the_words_in_it_can_be_taken_at_once(Scholion.Running school) {
        Lesson lesson = lesson(school, "Holds");
        Map<String, Object> holds = lesson.decision("q2", "double bowline", "1/2", "HOLDS");
        holds.put("phrase", "bowline");
        lesson.teacher.post(lesson.path("/doubts"), holds).ok();
        lesson.sits("Zofia Lund", null, "a running bowline", null, null);
        assertThat(lesson.mark("Zofia Lund", "q2").get("points").stringValue()).isEqualTo("1");
        assertThat(lesson.mark("Rosa Ellery", "q2").get("points").stringValue()).isEqualTo("1");
    }

    @Test
    void a_number_that_cannot_be_read_is_ruled_on_for_all_who_wrote_it(Scholion.Running school) {
        Lesson lesson = lesson(school, "Ten");
        lesson.teacher
                .post(lesson.path("/doubts"), lesson.decision("q3", "ten", "1/2", "EXACT"))
                .ok();
        assertThat(lesson.mark("Tamsin Orrel", "q3").get("points").stringValue())
                .isEqualTo("1");
        assertThat(lesson.mark("Kofi Sande", "q3").get("by").stringValue()).isEqualTo("PERSON");
    }

    @Test
    void these_students_only_leaves_the_key_as_it_is_and_can_be_taken_back(
            Scholion.Running school, Standings standings) {
        Lesson lesson = lesson(school, "These only");
        Map<String, Object> these = lesson.decision("q2", "rescue knot", "1", "THESE");
        these.put("section", lesson.section("A"));
        these.put("saw", lesson.saw("q2", "rescue knot", "?section=" + lesson.section("A")));
        JsonNode decided = lesson.teacher.post(lesson.path("/doubts"), these).ok();
        assertThat(lesson.mark("Tamsin Orrel", "q2").get("who").stringValue()).isEqualTo("Aud Meller");
        assertThat(lesson.mark("Kofi Sande", "q2").get("state").stringValue()).isEqualTo("settle");
        assertThat(lesson.teacher.get(lesson.path("/editions")).ok()).hasSize(1);
        these.put("saw", Lesson.plain(decided.get("saw")));
        lesson.teacher.post(lesson.path("/doubts/take-back"), these).ok();
        assertThat(lesson.mark("Tamsin Orrel", "q2").get("state").stringValue()).isEqualTo("settle");
        assertThat(standings.differences()).isEmpty();
    }

    @Test
    void a_persons_decision_about_one_student_survives_a_new_edition(Scholion.Running school) {
        Lesson lesson = lesson(school, "Survives");
        Map<String, Object> these = lesson.decision("q2", "rescue knot", "1", "THESE");
        these.put("section", lesson.section("A"));
        these.put("saw", lesson.saw("q2", "rescue knot", "?section=" + lesson.section("A")));
        lesson.teacher.post(lesson.path("/doubts"), these).ok();
        lesson.teacher
                .post(lesson.path("/doubts"), lesson.decision("q2", "rescue knot", "0", "EXACT"))
                .ok();
        assertThat(lesson.mark("Tamsin Orrel", "q2").get("points").stringValue())
                .isEqualTo("2");
        assertThat(lesson.mark("Kofi Sande", "q2").get("points").stringValue()).isEqualTo("0");
    }

    @Test
    void a_share_that_is_none_is_refused(Scholion.Running school) {
        Lesson lesson = lesson(school, "No share");
        lesson.teacher
                .post(lesson.path("/doubts"), lesson.decision("q2", "rescue knot", "3", "EXACT"))
                .isRefused(422);
        lesson.teacher
                .post(lesson.path("/doubts"), lesson.decision("q2", "nobody said this", "1", "EXACT"))
                .isRefused(409);
    }

    @Test
    void an_answer_that_the_changed_question_no_longer_has_waits_for_a_person_and_is_never_zero_by_itself(
            Scholion.Running school, Standings standings) {
        Lesson lesson = Lesson.given(school, "Outgrown", "A")
                .sits("Tamsin Orrel", List.of("b"), "bowline", "10 nmi", null)
                .sits("Noor Haddix", List.of("a"), "bowline", "10 nmi", null);
        ObjectNode changed = Lesson.definition("Outgrown").asObject();
        changed.get("items")
                .get(0)
                .get("options")
                .get(1)
                .asObject()
                .put("id", "c")
                .put("text", "Never");
        lesson.teacher
                .post(lesson.path("/editions"), lesson.change(changed, "another option"))
                .ok();
        assertThat(lesson.mark("Tamsin Orrel", "q1").get("state").stringValue()).isEqualTo("settle");
        assertThat(lesson.mark("Noor Haddix", "q1").get("points").stringValue()).isEqualTo("1");
        String form = form(lesson, "q1");
        assertThat(form).startsWith("outgrown:").contains("b");
        lesson.teacher
                .post(lesson.path("/doubts"), lesson.decision("q1", form, "1/2", "THESE"))
                .ok();
        assertThat(lesson.mark("Tamsin Orrel", "q1").get("points").stringValue())
                .isEqualTo("0.5");
        assertThat(standings.differences()).isEmpty();
    }

    private static String form(Lesson lesson, String item) {
        return lesson.teacher
                .get(lesson.path("/doubts"))
                .ok()
                .get("questions")
                .valueStream()
                .filter(q -> q.get("item").stringValue().equals(item))
                .findFirst()
                .orElseThrow()
                .get("groups")
                .get(0)
                .get("form")
                .stringValue();
    }

    @Test
    void an_answer_that_would_be_right_in_another_question_says_in_which(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Beside the wrong number", "A")
                .sits("Noor Haddix", null, "10 nmi", "bowline", null)
                .sits("Asa Quayle", null, "rescue knot", null, null);
        JsonNode questions = lesson.teacher.get(lesson.path("/doubts")).ok().get("questions");
        assertThat(questions
                        .valueStream()
                        .flatMap(q -> q.get("groups").valueStream())
                        .map(g -> g.get("shown").stringValue() + " " + g.get("rightIn"))
                        .toList())
                .containsExactlyInAnyOrder("10 nmi [3]", "bowline [2]", "rescue knot []");
    }
}
