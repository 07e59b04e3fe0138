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
import tools.jackson.databind.node.ObjectNode;

/** Each decision that a key was taught stands by itself, and is taken back while those after it stay. */
@ExtendWith(Scholion.class)
class UnlearnTest {
    private static Lesson lesson(Scholion.Running school, String title) {
        return Lesson.given(school, title, "A", "B")
                .sits("Tamsin Orrel", null, "rescue knot", "ten", null)
                .sits("Lotte Marrin", null, "loop of a rescuer", "10 nmi", null)
                .sits("Kofi Sande", null, "rescue knot", "ten", null);
    }

    private static void decide(Lesson lesson, String item, String form, String credit, Map<String, Object> more) {
        Map<String, Object> decision = new HashMap<>(lesson.decision(item, form, credit, "EXACT"));
        decision.putAll(more);
        lesson.teacher.post(lesson.path("/doubts"), decision).ok();
    }

    private static JsonNode learned(Lesson lesson, String item) {
        return lesson.teacher.get(lesson.path("/doubts/learned?item=" + item)).ok();
    }

    private static Map<String, Object> unlearn(JsonNode learned, String item) {
        return Map.of("item", item, "lesson", learned.at("/lesson/id").stringValue());
    }

    private static String state(Lesson lesson, String name, String item) {
        return lesson.mark(name, item).get("state").stringValue();
    }

    @Test
    void an_older_decision_is_taken_back_alone_with_its_effect_and_the_later_one_stays(
            Scholion.Running school, Standings standings) {
        Lesson lesson = lesson(school, "Taken back alone");
        assertThat(learned(lesson, "q2"))
                .as("what was given out was taught by nobody")
                .isEmpty();
        decide(lesson, "q2", "rescue knot", "1/2", Map.of("note", "Say which knot."));
        decide(lesson, "q2", "loop of a rescuer", "1", Map.of("reach", "HOLDS", "phrase", "loop"));
        JsonNode learned = learned(lesson, "q2");
        assertThat(learned).hasSize(2);
        assertThat(learned.at("/0/lesson/what").stringValue()).isEqualTo("WORDS");
        assertThat(learned.at("/0/lesson/shown").stringValue()).isEqualTo("loop");
        JsonNode first = learned.get(1);
        assertThat(first.at("/lesson/shown").stringValue()).isEqualTo("rescue knot");
        assertThat(first.at("/lesson/credit").stringValue()).isEqualTo("0.5");
        assertThat(first.at("/lesson/note").stringValue()).isEqualTo("Say which knot.");
        assertThat(first.at("/lesson/who").stringValue()).isEqualTo("Aud Meller");
        assertThat(first.at("/lesson/edition").intValue()).isEqualTo(2);
        assertThat(first.get("form").stringValue()).isEqualTo("rescue knot");

        JsonNode preview = lesson.teacher
                .post(lesson.path("/doubts/unlearn/preview"), unlearn(first, "q2"))
                .ok();
        assertThat(preview.get("marks").intValue()).isEqualTo(2);
        assertThat(state(lesson, "Tamsin Orrel", "q2"))
                .as("a look changes nothing")
                .isEqualTo("scored");
        JsonNode done = lesson.teacher
                .post(lesson.path("/doubts/unlearn"), unlearn(first, "q2"))
                .ok();
        assertThat(done.get("effect")).isEqualTo(preview);
        assertThat(state(lesson, "Tamsin Orrel", "q2")).isEqualTo("settle");
        assertThat(state(lesson, "Kofi Sande", "q2")).isEqualTo("settle");
        assertThat(state(lesson, "Lotte Marrin", "q2")).isEqualTo("scored");
        assertThat(learned(lesson, "q2")).hasSize(1);
        assertThat(standings.differences()).isEmpty();
    }

    @Test
    void an_undone_taking_back_names_the_one_who_decided_first(Scholion.Running school, Standings standings) {
        Lesson lesson = lesson(school, "Taken back and forth");
        decide(lesson, "q2", "rescue knot", "1/2", Map.of());
        JsonNode learned = learned(lesson, "q2").get(0);
        lesson.teacher
                .post(lesson.path("/doubts/unlearn"), unlearn(learned, "q2"))
                .ok();
        lesson.undo().ok();
        assertThat(state(lesson, "Kofi Sande", "q2")).isEqualTo("scored");
        assertThat(learned(lesson, "q2").get(0)).isEqualTo(learned);
        assertThat(standings.differences()).isEmpty();
    }

    @Test
    void what_a_key_cannot_list_and_forgiven_slips_are_taken_back_as_well(Scholion.Running school) {
        Lesson lesson = lesson(school, "Rulings taken back");
        decide(lesson, "q3", "ten", "1", Map.of());
        JsonNode ruling = learned(lesson, "q3").get(0);
        assertThat(ruling.at("/lesson/what").stringValue()).isEqualTo("RULING");
        lesson.teacher
                .post(lesson.path("/doubts/unlearn"), unlearn(ruling, "q3"))
                .ok();
        assertThat(state(lesson, "Tamsin Orrel", "q3")).isEqualTo("settle");
        assertThat(learned(lesson, "q3")).isEmpty();

        ObjectNode strict = lesson.teacher
                .get(lesson.path("/key"))
                .ok()
                .get("definition")
                .deepCopy()
                .asObject();
        strict.get("items").get(1).asObject().put("spelling", "none");
        lesson.teacher
                .post(lesson.path("/editions"), lesson.change(strict, "no slips"))
                .ok();
        JsonNode slips = learned(lesson, "q2").get(0);
        assertThat(slips.at("/lesson/what").stringValue()).isEqualTo("SLIPS");
        assertThat(slips.at("/lesson/shown").stringValue()).isEqualTo("none");
        lesson.teacher
                .post(lesson.path("/doubts/unlearn"), unlearn(slips, "q2"))
                .ok();
        assertThat(lesson.teacher
                        .get(lesson.path("/key"))
                        .ok()
                        .at("/definition/items/1/spelling")
                        .stringValue())
                .isEqualTo("length");
        assertThat(learned(lesson, "q2"))
                .as("slips as they were at first are no decision")
                .isEmpty();

        JsonNode key =
                lesson.teacher.get(lesson.path("/doubts/learned?item=nothing")).ok();
        assertThat(key).as("no such question").isEmpty();
        lesson.teacher
                .post(lesson.path("/doubts/unlearn"), unlearn(ruling, "q3"))
                .isRefused(409);
        school.as("Tamsin Orrel")
                .post(lesson.path("/doubts/unlearn"), unlearn(ruling, "q3"))
                .isRefused(403);
    }

    @Test
    void what_was_decided_for_some_students_is_taken_back_after_a_look_by_whoever_decided_it(Scholion.Running school) {
        Lesson lesson = lesson(school, "Hand decisions taken back");
        Map<String, Object> these = new HashMap<>(lesson.decision("q2", "rescue knot", "1", "THESE"));
        these.put(
                "saw",
                Lesson.plain(
                        lesson.teacher.post(lesson.path("/doubts"), these).ok().get("saw")));
        JsonNode preview = lesson.teacher
                .post(lesson.path("/doubts/take-back/preview"), these)
                .ok();
        assertThat(preview.get("marks").intValue()).isEqualTo(2);
        assertThat(state(lesson, "Kofi Sande", "q2"))
                .as("a look changes nothing")
                .isEqualTo("scored");
        school.as("Tamsin Orrel")
                .post(lesson.path("/doubts/take-back/preview"), these)
                .isRefused(403);
        assertThat(lesson.teacher.post(lesson.path("/doubts/take-back"), these).ok())
                .isEqualTo(preview);
        assertThat(state(lesson, "Kofi Sande", "q2")).isEqualTo("settle");
    }
}
