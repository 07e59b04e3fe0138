package org.scholion.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.ledger.Standings;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import tools.jackson.databind.JsonNode;

/** What was decided in Settle stays in view, with who and when, and can be decided differently. */
@ExtendWith(Scholion.class)
class DecidedTest {
    private static Lesson lesson(Scholion.Running school, String title) {
        return Lesson.given(school, title, "A", "B")
                .sits("Tamsin Orrel", null, "rescue knot", "ten", null)
                .sits("Lotte Marrin", null, "bowline", "10 nmi", null)
                .sits("Kofi Sande", null, "rescue knot", "ten", null)
                .sits("Rosa Ellery", null, "rescue knots", "10", null);
    }

    private static void decide(Lesson lesson, Map<String, Object> decision) {
        lesson.teacher.post(lesson.path("/doubts"), decision).ok();
    }

    private static JsonNode decided(Lesson lesson, String item) {
        return lesson.teacher.get(lesson.path("/doubts/decided?item=" + item)).ok();
    }

    private static Map<String, Object> again(JsonNode group, String item, String credit, String reach) {
        Map<String, Object> decision = new HashMap<>();
        decision.put("item", item);
        decision.put("form", group.get("form").stringValue());
        decision.put("credit", credit);
        decision.put("reach", reach);
        decision.put("saw", Lesson.plain(group.get("saw")));
        return decision;
    }

    @Test
    void a_decided_group_stays_in_view_with_who_decided_and_what_the_key_knew_itself_is_not_among_them(
            Scholion.Running school) {
        Lesson lesson = lesson(school, "Stays in view");
        assertThat(decided(lesson, "q2")).isEmpty();
        decide(lesson, lesson.decision("q2", "rescue knot", "1/2", "EXACT"));
        JsonNode groups = decided(lesson, "q2");
        JsonNode group = groups.get(0);
        assertThat(group.get("shown").stringValue()).isEqualTo("rescue knot");
        assertThat(group.get("students").valueStream().map(JsonNode::stringValue))
                .containsExactlyInAnyOrder("Tamsin Orrel", "Kofi Sande");
        assertThat(group.get("credit").stringValue()).isEqualTo("0.5");
        assertThat(group.get("who").stringValue()).isEqualTo("Aud Meller");
        assertThat(group.hasNonNull("at")).isTrue();
        assertThat(groups.valueStream().map(g -> g.get("shown").stringValue()))
                .as("the key had bowline from the beginning")
                .doesNotContain("bowline");
    }

    @Test
    void deciding_differently_replaces_the_decision_in_the_key_instead_of_contradicting_it(
            Scholion.Running school, Standings standings) {
        Lesson lesson = lesson(school, "Differently");
        decide(lesson, lesson.decision("q2", "rescue knot", "1", "EXACT"));
        JsonNode group = decided(lesson, "q2").get(0);
        decide(lesson, again(group, "q2", "0", "EXACT"));
        assertThat(lesson.mark("Kofi Sande", "q2").get("points").stringValue()).isEqualTo("0");
        JsonNode key = lesson.teacher
                .get(lesson.path("/key"))
                .ok()
                .get("definition")
                .get("items")
                .get(1);
        assertThat(key.get("accept")).hasSize(1);
        assertThat(key.get("reject")).hasSize(1);
        assertThat(standings.differences()).isEmpty();
    }

    @Test
    void a_decision_that_the_key_cannot_list_is_seen_in_the_key_and_replaced_by_the_next(
            Scholion.Running school, Standings standings) {
        Lesson lesson = lesson(school, "Not listed");
        decide(lesson, lesson.decision("q3", "ten", "1", "EXACT"));
        JsonNode group = decided(lesson, "q3").get(0);
        assertThat(group.get("shown").stringValue()).isEqualTo("ten");
        assertThat(group.get("these").booleanValue()).isFalse();
        decide(lesson, again(group, "q3", "1/4", "EXACT"));
        assertThat(decided(lesson, "q3")).hasSize(1);
        assertThat(lesson.mark("Tamsin Orrel", "q3").get("points").stringValue())
                .isEqualTo("0.5");
        assertThat(standings.differences()).isEmpty();
    }

    @Test
    void a_decision_made_on_marks_that_moved_meanwhile_is_refused_also_when_the_group_was_decided(
            Scholion.Running school) {
        Lesson lesson = lesson(school, "Twice");
        decide(lesson, lesson.decision("q2", "rescue knot", "1", "EXACT"));
        JsonNode group = decided(lesson, "q2").get(0);
        school.as("Halvard Quist")
                .post(lesson.path("/doubts"), again(group, "q2", "1/2", "EXACT"))
                .ok();
        assertThat(lesson.teacher
                        .post(lesson.path("/doubts"), again(group, "q2", "0", "EXACT"))
                        .isRefused(409)
                        .detail())
                .contains("decided meanwhile");
    }

    @Test
    void a_decision_that_reaches_other_answers_names_them_before_it_is_taken(Scholion.Running school) {
        Lesson lesson = lesson(school, "Also");
        JsonNode preview = lesson.teacher
                .post(lesson.path("/doubts/preview"), lesson.decision("q2", "rescue knot", "1", "EXACT"))
                .ok();
        assertThat(preview.get("also")).hasSize(1);
        assertThat(preview.get("also").get(0).get("shown").stringValue()).isEqualTo("rescue knots");
        assertThat(preview.get("also").get(0).get("students").intValue()).isEqualTo(1);
        assertThat(preview.get("also").get(0).get("because").stringValue())
                .isEqualTo("one typing slip away from “rescue knot”");
        assertThat(preview.get("marks").intValue()).isEqualTo(3);
    }

    @Test
    void decisions_of_a_colleague_are_not_taken_back_but_named(Scholion.Running school) {
        Lesson lesson = lesson(school, "Not mine");
        Map<String, Object> these = lesson.decision("q2", "rescue knot", "1", "THESE");
        JsonNode done =
                school.as("Halvard Quist").post(lesson.path("/doubts"), these).ok();
        these.put("saw", Lesson.plain(done.get("saw")));
        assertThat(lesson.teacher
                        .post(lesson.path("/doubts/take-back"), these)
                        .isRefused(409)
                        .detail())
                .contains("Halvard Quist’s");
        assertThat(lesson.mark("Kofi Sande", "q2").get("points").stringValue()).isEqualTo("2");
    }

    @Test
    void what_was_decided_is_for_those_who_work_on_the_assessment_alone(Scholion.Running school) {
        Lesson lesson = lesson(school, "Whose business");
        school.as("Tamsin Orrel").get(lesson.path("/doubts/decided?item=q2")).isRefused(403);
    }
}
