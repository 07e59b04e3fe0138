package org.scholion.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.ledger.Standings;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Several groups decided at once, and rules that reach further than the answers they were made for. */
@ExtendWith(Scholion.class)
class SettleTogetherTest {
    private static Lesson lesson(Scholion.Running school, String title) {
        ObjectNode definition = Lesson.definition(title).asObject();
        definition.get("items").get(1).asObject().put("spelling", "none");
        Lesson lesson = Lesson.written(school, title).holds(definition);
        lesson.giveOut("A").ok();
        lesson.giveOut("B").ok();
        return lesson.sits("Tamsin Orrel", null, "bow line", "ten", null)
                .sits("Lotte Marrin", null, "bow-line", "10 nmi", null)
                .sits("Kofi Sande", null, "bow line", "a dozen", null)
                .sits("Rosa Ellery", null, "double bow line", "10", null)
                .sits("Noor Haddix", null, "clove hitch", "ten", null);
    }

    private static Map<String, Object> together(
            Lesson lesson, String item, String credit, String reach, String... forms) {
        Map<String, Object> decision = lesson.decision(item, forms[0], credit, reach);
        List<Map<String, Object>> more = new ArrayList<>();
        for (int i = 1; i < forms.length; i++) {
            more.add(Map.of("form", forms[i], "saw", lesson.saw(item, forms[i], "")));
        }
        decision.put("more", more);
        return decision;
    }

    private static String points(Lesson lesson, String name, String item) {
        return lesson.mark(name, item).get("points").stringValue();
    }

    private static String state(Lesson lesson, String name, String item) {
        return lesson.mark(name, item).get("state").stringValue();
    }

    private static int waiting(Lesson lesson) {
        return lesson.teacher.get(lesson.path("/doubts")).ok().get("doubts").intValue();
    }

    @Test
    void several_groups_are_decided_in_one_edition_that_is_undone_in_one_go(
            Scholion.Running school, Standings standings) {
        Lesson lesson = lesson(school, "Together");
        Map<String, Object> both = together(lesson, "q2", "1", "EXACT", "bow line", "bow-line");
        JsonNode preview =
                lesson.teacher.post(lesson.path("/doubts/preview"), both).ok();
        assertThat(preview.get("marks").intValue()).isEqualTo(3);
        JsonNode decided = lesson.teacher.post(lesson.path("/doubts"), both).ok();
        assertThat(decided.get("effect")).isEqualTo(preview);
        assertThat(points(lesson, "Kofi Sande", "q2")).isEqualTo("2");
        assertThat(points(lesson, "Lotte Marrin", "q2")).isEqualTo("2");
        assertThat(state(lesson, "Rosa Ellery", "q2")).isEqualTo("settle");
        assertThat(lesson.teacher.get(lesson.path("/editions")).ok()).hasSize(2);
        lesson.undo().ok();
        assertThat(state(lesson, "Kofi Sande", "q2")).isEqualTo("settle");
        assertThat(state(lesson, "Lotte Marrin", "q2")).isEqualTo("settle");
        assertThat(standings.differences()).isEmpty();
    }

    @Test
    void a_question_that_is_closed_leaves_no_doubt_and_opens_again_when_that_is_taken_back(
            Scholion.Running school, Standings standings) {
        Lesson lesson = lesson(school, "Closed");
        int before = waiting(lesson);
        Map<String, Object> rest = together(lesson, "q3", "0", "EXACT", "ten", "a dozen");
        lesson.teacher.post(lesson.path("/doubts"), rest).ok();
        assertThat(waiting(lesson)).isEqualTo(before - 3);
        assertThat(points(lesson, "Kofi Sande", "q3")).isEqualTo("0");
        lesson.undo().ok();
        assertThat(waiting(lesson)).isEqualTo(before);
        assertThat(standings.differences()).isEmpty();
    }

    @Test
    void several_groups_of_these_students_are_decided_by_hand_and_taken_back_together(
            Scholion.Running school, Standings standings) {
        Lesson lesson = lesson(school, "Together by hand");
        Map<String, Object> these = together(lesson, "q2", "1/2", "THESE", "bow line", "clove hitch");
        JsonNode decided = lesson.teacher.post(lesson.path("/doubts"), these).ok();
        assertThat(points(lesson, "Noor Haddix", "q2")).isEqualTo("1");
        assertThat(points(lesson, "Tamsin Orrel", "q2")).isEqualTo("1");
        assertThat(lesson.teacher.get(lesson.path("/editions")).ok()).hasSize(1);
        these.put("saw", Lesson.plain(decided.get("saw")));
        these.put("more", Lesson.plain(decided.get("more")));
        lesson.teacher.post(lesson.path("/doubts/take-back"), these).ok();
        assertThat(state(lesson, "Noor Haddix", "q2")).isEqualTo("settle");
        assertThat(state(lesson, "Kofi Sande", "q2")).isEqualTo("settle");
        assertThat(standings.differences()).isEmpty();
    }

    @Test
    void when_one_of_several_was_decided_meanwhile_none_is(Scholion.Running school) {
        Lesson lesson = lesson(school, "Overtaken together");
        Map<String, Object> both = together(lesson, "q2", "1", "EXACT", "bow line", "clove hitch");
        lesson.teacher
                .post(lesson.path("/doubts"), lesson.decision("q2", "clove hitch", "0", "THESE"))
                .ok();
        lesson.teacher.post(lesson.path("/doubts"), both).isRefused(409);
        assertThat(state(lesson, "Kofi Sande", "q2")).isEqualTo("settle");
    }

    @Test
    void a_wider_rule_says_what_it_settles_besides_and_is_refused_while_it_contradicts_a_decision(
            Scholion.Running school, Standings standings) {
        Lesson lesson = lesson(school, "Contradicted");
        lesson.teacher
                .post(lesson.path("/doubts"), lesson.decision("q2", "double bow line", "0", "THESE"))
                .ok();
        Map<String, Object> holds = lesson.decision("q2", "bow line", "1", "HOLDS");
        holds.put("phrase", "line");
        JsonNode also =
                lesson.teacher.post(lesson.path("/doubts/preview"), holds).ok().get("also");
        assertThat(also).hasSize(2);
        assertThat(also.get(0).get("shown").stringValue()).isEqualTo("double bow line");
        assertThat(also.get(0).get("contradicts").get("was").stringValue()).isEqualTo("0");
        assertThat(also.get(0).get("contradicts").get("would").stringValue()).isEqualTo("1");
        assertThat(also.get(0).get("contradicts").get("stays").booleanValue()).isTrue();
        assertThat(also.get(1).get("shown").stringValue()).isEqualTo("bow-line");
        assertThat(also.get(1).get("contradicts").isNull()).isTrue();
        assertThat(lesson.teacher
                        .post(lesson.path("/doubts"), holds)
                        .isRefused(409)
                        .body())
                .contains("“double bow line”");
        assertThat(state(lesson, "Kofi Sande", "q2")).as("nothing was changed").isEqualTo("settle");
        holds.put("despite", true);
        lesson.teacher.post(lesson.path("/doubts"), holds).ok();
        assertThat(points(lesson, "Kofi Sande", "q2")).isEqualTo("2");
        assertThat(points(lesson, "Rosa Ellery", "q2"))
                .as("what was decided by hand stays, as it says")
                .isEqualTo("0");
        assertThat(standings.differences()).isEmpty();
    }

    @Test
    void a_rule_that_contradicts_what_the_key_has_learned_says_that_these_marks_move(Scholion.Running school) {
        Lesson lesson = lesson(school, "Contradicts the key");
        lesson.teacher
                .post(lesson.path("/doubts"), lesson.decision("q2", "double bow line", "1/2", "EXACT"))
                .ok();
        Map<String, Object> pattern = lesson.decision("q2", "bow line", "1", "PATTERN");
        pattern.put("phrase", "(double )?bow[ -]?line");
        JsonNode also = lesson.teacher
                .post(lesson.path("/doubts/preview"), pattern)
                .ok()
                .get("also");
        assertThat(also.get(0).get("contradicts").get("stays").booleanValue()).isFalse();
        assertThat(also.get(0).get("contradicts").get("was").stringValue()).isEqualTo("0.5");
    }

    @Test
    void a_pattern_proposed_from_the_chosen_answers_settles_them_all_and_later_ones(Scholion.Running school) {
        Lesson lesson = lesson(school, "Pattern");
        JsonNode rule = lesson.teacher
                .post(lesson.path("/doubts/rule"), Map.of("forms", List.of("bow line", "bow-line")))
                .ok();
        assertThat(rule.get("pattern").stringValue()).isEqualTo("bow( |\\-)line");
        Map<String, Object> pattern = together(lesson, "q2", "1", "PATTERN", "bow line", "bow-line");
        pattern.put("phrase", rule.get("pattern").stringValue());
        lesson.teacher.post(lesson.path("/doubts"), pattern).ok();
        assertThat(points(lesson, "Lotte Marrin", "q2")).isEqualTo("2");
        lesson.sits("Zofia Lund", null, "BOW-LINE", null, null);
        assertThat(points(lesson, "Zofia Lund", "q2")).isEqualTo("2");
    }

    @Test
    void typing_slips_are_forgiven_for_the_whole_question_when_that_is_the_rule(Scholion.Running school) {
        Lesson lesson = lesson(school, "Slips").sits("Ewan Pryce", null, "bowlin", null, null);
        Map<String, Object> slips = lesson.decision("q2", "bow line", "1", "SLIPS");
        slips.put("phrase", "one");
        JsonNode also =
                lesson.teacher.post(lesson.path("/doubts/preview"), slips).ok().get("also");
        assertThat(also.valueStream().map(a -> a.get("shown").stringValue())).contains("bowlin", "bow-line");
        lesson.teacher.post(lesson.path("/doubts"), slips).ok();
        assertThat(points(lesson, "Ewan Pryce", "q2")).isEqualTo("2");
        assertThat(state(lesson, "Rosa Ellery", "q2")).isEqualTo("settle");
    }

    @Test
    void a_rule_that_does_not_reach_the_answer_for_which_it_is_made_is_refused_and_so_is_one_that_cannot_be_read(
            Scholion.Running school) {
        Lesson lesson = lesson(school, "No rule");
        Map<String, Object> rule = lesson.decision("q2", "clove hitch", "1", "HOLDS");
        rule.put("phrase", "bow");
        assertThat(lesson.teacher
                        .post(lesson.path("/doubts/preview"), rule)
                        .isRefused(422)
                        .body())
                .contains("“clove hitch”");
        lesson.teacher.post(lesson.path("/doubts"), rule).isRefused(422);
        rule.put("reach", "PATTERN");
        rule.put("phrase", "hitch(");
        lesson.teacher.post(lesson.path("/doubts"), rule).isRefused(422);
        rule.put("reach", "SLIPS");
        rule.put("phrase", "seven");
        lesson.teacher.post(lesson.path("/doubts"), rule).isRefused(422);
        rule.put("phrase", "");
        lesson.teacher.post(lesson.path("/doubts"), rule).isRefused(422);
        assertThat(lesson.teacher.get(lesson.path("/editions")).ok()).hasSize(1);
    }

    @Test
    void answers_near_each_other_stand_together_and_formulas_are_printed(Scholion.Running school) {
        Lesson lesson = lesson(school, "Near");
        JsonNode groups = lesson.teacher
                .get(lesson.path("/doubts"))
                .ok()
                .get("questions")
                .get(0)
                .get("groups");
        assertThat(groups.get(0).get("form").stringValue()).isEqualTo("bow line");
        assertThat(groups.get(1).get("form").stringValue()).isEqualTo("bow-line");
        assertThat(groups.get(1).get("letters").get(1).get("text").stringValue())
                .isEqualTo("-");
        assertThat(groups.get(0).get("given").get("shape").stringValue()).isEqualTo("PLAIN");
    }

    @Test
    void decisions_are_taken_back_one_after_the_other_the_last_first_until_a_colleague_has_changed_the_key(
            Scholion.Running school, Standings standings) {
        Lesson lesson = lesson(school, "One after the other");
        List<Integer> editions = new ArrayList<>();
        for (String form : List.of("bow line", "bow-line", "clove hitch")) {
            editions.add(lesson.teacher
                    .post(lesson.path("/doubts"), lesson.decision("q2", form, "1", "EXACT"))
                    .ok()
                    .get("edition")
                    .intValue());
        }
        String undo = lesson.path("/editions/undo");
        lesson.teacher.post(undo, Map.of("edition", editions.get(1))).isRefused(409);
        lesson.teacher.post(undo, Map.of("edition", editions.get(2))).ok();
        lesson.teacher.post(undo, Map.of("edition", editions.get(2))).isRefused(409);
        lesson.teacher.post(undo, Map.of("edition", editions.get(1))).ok();
        assertThat(points(lesson, "Tamsin Orrel", "q2")).isEqualTo("2");
        assertThat(state(lesson, "Lotte Marrin", "q2")).isEqualTo("settle");
        lesson.teacher
                .post(lesson.path("/doubts"), lesson.decision("q2", "clove hitch", "0", "EXACT"))
                .ok();
        lesson.teacher.post(undo, Map.of("edition", editions.get(0))).isRefused(409);
        assertThat(points(lesson, "Tamsin Orrel", "q2")).isEqualTo("2");
        assertThat(standings.differences()).isEmpty();
    }
}
