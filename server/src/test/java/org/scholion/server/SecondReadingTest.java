package org.scholion.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
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

/** Two read the same answers, neither seeing the other's reading before the own is made. */
@ExtendWith(Scholion.class)
class SecondReadingTest {
    private static Lesson lesson(Scholion.Running school, String title, int share, String way, String apart) {
        Lesson lesson = Lesson.given(school, title, "A")
                .sits("Noor Haddix", null, null, null, "The level falls.")
                .sits("Lotte Marrin", null, null, null, "Because of the moon.");
        plan(lesson, share, way, apart).ok();
        return lesson;
    }

    private static Visitor.Reply plan(Lesson lesson, int share, String way, String apart) {
        Map<String, Object> plan = new HashMap<>();
        plan.put("share", share);
        plan.put("way", way);
        plan.put("apart", apart);
        return lesson.teacher.put(lesson.path("/readings/q4/second"), plan);
    }

    private static Visitor reader(Scholion.Running school, Lesson lesson) {
        Colleague reader = Colleague.called(school, "Second");
        String course = lesson.teacher.get(lesson.path("")).ok().get("course").stringValue();
        lesson.teacher
                .put("/api/courses/" + course + "/readers/" + reader.id(), null)
                .ok();
        return reader.visitor();
    }

    private static JsonNode view(Lesson lesson, Visitor who, String more) {
        return who.get(lesson.path("/readings?item=q4" + more)).ok();
    }

    private static JsonNode answer(Lesson lesson, Visitor who, String text) {
        return view(lesson, who, "")
                .get("answers")
                .valueStream()
                .filter(a -> a.get("text").stringValue().equals(text))
                .findFirst()
                .orElseThrow();
    }

    private static Visitor.Reply reads(
            Lesson lesson, Visitor who, JsonNode answer, String c1, String c2, boolean third) {
        Map<String, Object> reading = new HashMap<>();
        reading.put("levels", c2 == null ? Map.of("c1", c1) : Map.of("c1", c1, "c2", c2));
        reading.put("comment", third ? "Decided between both." : "Read.");
        reading.put("note", "");
        reading.put("hold", false);
        reading.put("third", third);
        reading.put("saw", answer.get("saw").stringValue());
        return who.put(lesson.path("/readings/q4/" + answer.get("answer").stringValue()), reading);
    }

    private static void reads(Lesson lesson, Visitor who, String text, String c1, String c2) {
        reads(lesson, who, answer(lesson, who, text), c1, c2, false).ok();
    }

    private static String points(Lesson lesson) {
        JsonNode mark = lesson.mark("Noor Haddix", "q4");
        return mark.get("state").stringValue().equals("scored")
                ? mark.get("points").stringValue()
                : mark.get("state").stringValue();
    }

    @Test
    void the_second_reader_is_told_nothing_of_the_first_reading_and_the_mean_of_both_counts(
            Scholion.Running school, Standings standings) {
        Lesson lesson = lesson(school, "Mean of two", 100, "MEAN", null);
        Visitor second = reader(school, lesson);
        reads(lesson, lesson.teacher, "The level falls.", "1", "1");
        assertThat(points(lesson)).as("one reading of two").isEqualTo("read");

        JsonNode blind = answer(lesson, second, "The level falls.");
        assertThat(blind.get("levels")).isEmpty();
        assertThat(blind.get("comment").stringValue()).isEmpty();
        assertThat(blind.get("mark").get("state").stringValue()).isEqualTo("read");
        assertThat(blind.get("mark").get("who").isNull()).isTrue();
        assertThat(blind.get("second").get("blind").booleanValue()).isTrue();
        assertThat(blind.get("second").get("others")).isEmpty();
        assertThat(blind.toString()).doesNotContain("Aud Meller").doesNotContain("Read.");

        reads(lesson, second, "The level falls.", "1", "0");
        assertThat(points(lesson)).isEqualTo("3.5");
        assertThat(lesson.mark("Noor Haddix", "q4").get("because").stringValue())
                .isEqualTo("mean of two readings: 5 and 2 of 5 points");
        assertThat(lesson.mark("Noor Haddix", "q4").get("who").stringValue())
                .as("both decided")
                .startsWith("Aud Meller, Second ");
        JsonNode seen = answer(lesson, second, "The level falls.");
        assertThat(seen.get("levels").get("c2").stringValue()).isEqualTo("0");
        assertThat(seen.get("second").get("others").get(0).get("name").stringValue())
                .isEqualTo("Aud Meller");
        assertThat(seen.get("second")
                        .get("others")
                        .get(0)
                        .get("levels")
                        .get("c2")
                        .stringValue())
                .isEqualTo("1");
        assertThat(standings.differences()).isEmpty();
    }

    @Test
    void each_reader_has_a_pile_of_their_own_and_both_read_at_the_same_time(Scholion.Running school) {
        Lesson lesson = lesson(school, "Own piles", 100, "MEAN", null);
        Visitor second = reader(school, lesson);
        JsonNode mine = answer(lesson, lesson.teacher, "The level falls.");
        JsonNode theirs = answer(lesson, second, "The level falls.");
        reads(lesson, lesson.teacher, mine, "1", "1", false).ok();
        reads(lesson, second, theirs, "1", "1", false).ok();
        assertThat(points(lesson)).isEqualTo("5");
        reads(lesson, lesson.teacher, mine, "0", "1", false).isRefused(409);
        JsonNode question = view(lesson, second, "").get("questions").get(0);
        assertThat(question.get("mine").intValue()).isEqualTo(1);
        assertThat(question.get("unread").intValue()).isEqualTo(1);
        reads(lesson, lesson.teacher, "Because of the moon.", "0", "0");
        JsonNode left = view(lesson, lesson.teacher, "").get("questions").get(0);
        assertThat(left.get("mine").intValue()).isZero();
        assertThat(left.get("unread").intValue())
                .as("it waits for the second reader, as the Desk says")
                .isEqualTo(1);
        assertThat(view(lesson, second, "&show=UNREAD").get("found").intValue()).isEqualTo(1);
    }

    @Test
    void two_that_lie_too_far_apart_wait_for_a_third_which_may_be_the_teachers_who_sees_both(
            Scholion.Running school, Standings standings) {
        Lesson lesson = lesson(school, "Third decides", 100, "THIRD", "2");
        Visitor second = reader(school, lesson);
        reads(lesson, lesson.teacher, "The level falls.", "1", "1");
        reads(lesson, second, "The level falls.", "1", "0");
        assertThat(points(lesson)).isEqualTo("read");
        assertThat(lesson.mark("Noor Haddix", "q4").get("because").stringValue())
                .contains("differ by 3 points, more than the 2 allowed");
        assertThat(view(lesson, lesson.teacher, "&show=DIFFER").get("found").intValue())
                .isEqualTo(1);
        JsonNode apart = answer(lesson, lesson.teacher, "The level falls.");
        assertThat(apart.get("second").get("apart").booleanValue()).isTrue();
        reads(lesson, lesson.teacher, apart, "0", "1", true).ok();
        assertThat(points(lesson)).isEqualTo("3");
        JsonNode decided = answer(lesson, lesson.teacher, "The level falls.");
        assertThat(decided.get("second").get("third").booleanValue()).isTrue();
        assertThat(decided.get("levels").get("c1").stringValue()).isEqualTo("0");
        assertThat(answer(lesson, second, "The level falls.").get("second").get("others"))
                .as("the second reader sees the first reading and the third")
                .hasSize(2);
        assertThat(standings.differences()).isEmpty();
    }

    @Test
    void how_far_the_readers_agree_is_told_by_criterion(Scholion.Running school) {
        Lesson lesson = lesson(school, "Agreement", 100, "MEAN", null);
        Visitor second = reader(school, lesson);
        String path = lesson.path("/readings/q4/agreement");
        assertThat(lesson.teacher.get(path).ok()).isEmpty();
        reads(lesson, lesson.teacher, "The level falls.", "1", "1");
        assertThat(lesson.teacher.get(path).ok()).as("one reading says nothing").isEmpty();
        reads(lesson, second, "The level falls.", "1", "0");
        reads(lesson, second, "Because of the moon.", "0", "0");
        reads(lesson, lesson.teacher, "Because of the moon.", "0", "1");
        JsonNode terms = second.get(path).ok().get(1);
        assertThat(terms.get("criterion").stringValue()).isEqualTo("Terms");
        assertThat(terms.get("n").intValue()).isEqualTo(2);
        assertThat(terms.get("same").intValue()).isZero();
        assertThat(terms.get("near").intValue()).isEqualTo(2);
        assertThat(terms.get("stricter").stringValue()).doesNotContain("Aud");
        assertThat(terms.get("by").stringValue()).isEqualTo("3");
        JsonNode reasoning = second.get(path).ok().get(0);
        assertThat(reasoning.get("same").intValue()).isEqualTo(2);
        assertThat(reasoning.get("kappa").stringValue()).isEqualTo("1.00");
        assertThat(reasoning.get("stricter").isNull()).isTrue();
    }

    @Test
    void a_changed_rubric_moves_what_two_readings_come_to_and_nothing_is_read_twice(
            Scholion.Running school, Standings standings) {
        Lesson lesson = lesson(school, "Rubric moves two", 100, "MEAN", null);
        Visitor second = reader(school, lesson);
        reads(lesson, lesson.teacher, "The level falls.", "1", "1");
        reads(lesson, second, "The level falls.", "0", "1");
        assertThat(points(lesson)).isEqualTo("4");
        ObjectNode changed = Lesson.definition("Rubric moves two").asObject();
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
        // 10 of 10 and 3 of 10 now: half of them on average, of 5 points.
        assertThat(points(lesson)).isEqualTo("3.25");
        assertThat(standings.differences()).isEmpty();
    }

    @Test
    void ones_own_reading_is_taken_back_and_a_colleagues_stays(Scholion.Running school) {
        Lesson lesson = lesson(school, "Own taken back", 100, "MEAN", null);
        Visitor second = reader(school, lesson);
        reads(lesson, lesson.teacher, "The level falls.", "1", "1");
        reads(lesson, second, "The level falls.", "1", "0");
        JsonNode theirs = answer(lesson, second, "The level falls.");
        String undo = lesson.path("/readings/q4/" + theirs.get("answer").stringValue() + "/undo");
        second.post(undo, Map.of("saw", theirs.get("saw").stringValue())).ok();
        assertThat(points(lesson)).isEqualTo("read");
        assertThat(answer(lesson, lesson.teacher, "The level falls.").get("levels"))
                .hasSize(2);
        assertThat(answer(lesson, second, "The level falls.").get("levels")).isEmpty();
    }

    @Test
    void what_is_read_twice_is_said_by_its_teacher_alone_and_what_was_read_before_counts_until_it_is_read_again(
            Scholion.Running school) {
        Lesson lesson =
                Lesson.given(school, "Planned late", "A").sits("Noor Haddix", null, null, null, "The level falls.");
        reads(lesson, lesson.teacher, "The level falls.", "1", "1");
        assertThat(points(lesson)).isEqualTo("5");
        plan(lesson, 100, "HIGHER", null).ok();
        assertThat(points(lesson)).isEqualTo("5");
        Visitor second = reader(school, lesson);
        assertThat(view(lesson, second, "").get("questions").get(0).get("mine").intValue())
                .isEqualTo(1);
        reads(lesson, second, "The level falls.", "0", "0");
        assertThat(points(lesson)).as("the higher one").isEqualTo("5");
        second.put(lesson.path("/readings/q4/second"), Map.of("share", 0, "way", "MEAN"))
                .isRefused(404);
        plan(lesson, 101, "MEAN", null).isRefused(422);
        plan(lesson, 50, "THIRD", null).isRefused(422);
        plan(lesson, 50, "THIRD", "9").isRefused(422);
        plan(lesson, 0, "MEAN", null).ok();
        assertThat(view(lesson, lesson.teacher, "")
                        .get("questions")
                        .get(0)
                        .get("second")
                        .isNull())
                .isTrue();
        assertThat(List.of(points(lesson))).containsExactly("5");
    }

    @Test
    void a_pile_narrowed_to_a_level_or_to_what_is_held_back_tells_nothing_of_the_other_reading(
            Scholion.Running school) {
        Lesson lesson = lesson(school, "Narrowed blind", 100, "FIRST", null);
        Visitor second = reader(school, lesson);
        reads(lesson, lesson.teacher, "The level falls.", "1", "0");
        assertThat(view(lesson, lesson.teacher, "&level=c1:1").get("found").intValue())
                .isEqualTo(1);
        assertThat(view(lesson, second, "&level=c1:1").get("found").intValue()).isZero();
        reads(lesson, second, "The level falls.", "0", "1");
        assertThat(view(lesson, second, "&level=c1:1").get("found").intValue()).isZero();
        assertThat(view(lesson, second, "&level=c1:0").get("found").intValue()).isEqualTo(1);
        assertThat(view(lesson, lesson.teacher, "&level=c1:1").get("found").intValue())
                .isEqualTo(1);
        assertThat(lesson.mark("Noor Haddix", "q4").get("who").stringValue())
                .as("whose reading counts, and not who read last")
                .isEqualTo("Aud Meller");
        JsonNode other = answer(lesson, lesson.teacher, "Because of the moon.");
        Map<String, Object> held = new HashMap<>(Map.of("levels", Map.of(), "comment", "", "note", "", "hold", true));
        held.put("saw", other.get("saw").stringValue());
        lesson.teacher
                .put(lesson.path("/readings/q4/" + other.get("answer").stringValue()), held)
                .ok();
        assertThat(view(lesson, lesson.teacher, "&show=HELD").get("found").intValue())
                .isEqualTo(1);
        assertThat(view(lesson, second, "&show=HELD").get("found").intValue()).isZero();
    }

    @Test
    void what_its_teacher_overruled_does_not_move_when_the_second_reader_reads_it(
            Scholion.Running school, Standings standings) {
        Lesson lesson = lesson(school, "Overruled before the second", 100, "MEAN", null);
        Visitor second = reader(school, lesson);
        reads(lesson, lesson.teacher, "The level falls.", "1", "1");
        String mark = "/api/attempts/" + lesson.attempt("Noor Haddix") + "/marks/q4";
        String saw = lesson.teacher.get(mark).ok().get("saw").stringValue();
        lesson.teacher
                .post(mark + "/overrule", Map.of("points", "1.5", "why", "Copied from the book.", "saw", saw))
                .ok();
        assertThat(points(lesson)).isEqualTo("1.5");
        reads(lesson, second, "The level falls.", "1", "1");
        assertThat(points(lesson)).isEqualTo("1.5");
        assertThat(answer(lesson, second, "The level falls.").get("second").get("others"))
                .as("the first reading is still there")
                .hasSize(1);
        assertThat(standings.differences()).isEmpty();
    }
}
