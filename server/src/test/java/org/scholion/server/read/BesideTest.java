package org.scholion.server.read;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.testing.Colleague;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Visitor;
import tools.jackson.databind.JsonNode;

/** What stands beside an answer in Read: earlier attempts, what is said of the whole paper, who else has it open. */
@ExtendWith(Scholion.class)
class BesideTest {
    private static final Map<String, Object> READ =
            Map.of("levels", Map.of("c1", "1", "c2", "1"), "comment", "", "note", "", "hold", false);

    private static String beside(Lesson lesson, JsonNode answer, String what, boolean names) {
        return lesson.path("/readings/q4/" + answer.get("answer").stringValue() + "/" + what + "?names=" + names);
    }

    private static JsonNode first(Visitor visitor, Lesson lesson) {
        return visitor.get(lesson.path("/readings")).ok().get("answers").get(0);
    }

    private static Visitor reader(Scholion.Running school, Lesson lesson, String name) {
        Colleague reader = Colleague.called(school, name);
        lesson.teacher
                .put("/api/courses/" + course(lesson) + "/readers/" + reader.id(), null)
                .ok();
        return reader.visitor();
    }

    private static String course(Lesson lesson) {
        return lesson.teacher.get(lesson.path("")).ok().get("course").stringValue();
    }

    @Test
    void what_a_student_said_in_an_earlier_attempt_stands_beside_what_they_say_now(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Said before", "A")
                .sits("Asa Quayle", List.of("a"), null, null, "The moon pulls.")
                .sits("Wanda Ambler", List.of("a"), null, null, "The level falls.");
        assertThat(lesson.teacher
                        .get(lesson.path("/readings"))
                        .ok()
                        .get("retaken")
                        .booleanValue())
                .isFalse();
        lesson.reads("Asa Quayle", "q4", READ).ok();
        lesson.oneMoreFor("Quayle").ok();
        Visitor asa = school.as("Asa Quayle");
        String second = asa.post("/api/student/sittings/" + lesson.sitting() + "/attempt", Map.of("another", true))
                .ok()
                .get("attempt")
                .stringValue();
        Lesson.answer(asa, second, "q4", "The moon and the sun pull.").ok();
        asa.post("/api/student/attempts/" + second + "/hand-in", null).ok();

        JsonNode view = lesson.teacher.get(lesson.path("/readings?names=true")).ok();
        assertThat(view.get("retaken").booleanValue()).isTrue();
        for (JsonNode answer : view.get("answers")) {
            JsonNode earlier =
                    lesson.teacher.get(beside(lesson, answer, "earlier", true)).ok();
            if (answer.get("text").stringValue().contains("sun")) {
                assertThat(earlier).hasSize(1);
                assertThat(earlier.at("/0/attempt").intValue()).isEqualTo(1);
                assertThat(earlier.at("/0/text").stringValue()).isEqualTo("The moon pulls.");
                assertThat(earlier.at("/0/mark/points").stringValue()).isEqualTo("5");
            } else {
                assertThat(earlier).as(answer.get("text").stringValue()).isEmpty();
            }
        }
        asa.get(beside(lesson, view.get("answers").get(0), "earlier", true)).isRefused(403);
    }

    @Test
    void what_is_said_of_the_whole_paper_is_seen_with_the_result_and_is_something_that_changed(
            Scholion.Running school) {
        Lesson lesson =
                Lesson.given(school, "The whole of it", "A").sits("Noor Haddix", List.of("a"), null, null, "So.");
        lesson.reads("Noor Haddix", "q4", READ).ok();
        JsonNode answer = lesson.answerOf("Noor Haddix", "q4");
        String paper = beside(lesson, answer, "paper", true);
        JsonNode said = lesson.teacher
                .put(paper, Map.of("text", "A calm passage, {given name}.", "saw", ""))
                .ok();
        assertThat(said.get("saw").stringValue()).isNotEmpty();
        lesson.handsBack("Noor Haddix").ok();
        Visitor noor = school.as("Noor Haddix");
        String result = "/api/student/results/"
                + noor.get("/api/student/results").ok().get(0).get("id").stringValue();
        JsonNode shown = noor.get(result).ok().get("result").get("said");
        assertThat(shown.at("/0/text").stringValue()).isEqualTo("A calm passage, Noor.");
        assertThat(shown.at("/0/name").stringValue()).isEqualTo("Aud Meller");

        lesson.teacher.put(paper, Map.of("text", "Another window.", "saw", "")).isRefused(409);
        assertThat(changed(lesson)).isFalse();
        JsonNode next = lesson.teacher
                .put(paper, Map.of("text", "Look again.", "saw", said.get("saw").stringValue()))
                .ok();
        assertThat(changed(lesson)).isTrue();
        assertThat(noor.get(result).ok().at("/result/said"))
                .as("what was handed back stays")
                .isEqualTo(shown);
        lesson.teacher
                .put(paper, Map.of("text", "", "saw", next.get("saw").stringValue()))
                .ok();
        assertThat(lesson.teacher.get(paper).ok().at("/own/text").stringValue()).isEmpty();
        lesson.teacher.put(paper, Map.of("text", "x".repeat(5_001))).isRefused(422);
        noor.put(paper, Map.of("text", "Full marks.")).isRefused(403);
    }

    private static boolean changed(Lesson lesson) {
        return lesson.teacher
                .get(lesson.path("/hand-back"))
                .ok()
                .get("students")
                .get(0)
                .get("changed")
                .booleanValue();
    }

    @Test
    void readers_of_one_paper_see_what_each_says_unless_it_is_read_twice(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Said by two", "A").sits("Alby Eddis", null, null, null, "So it runs.");
        Visitor reader = reader(school, lesson, "Paper reader");
        JsonNode theirs = first(reader, lesson);
        reader.put(beside(lesson, theirs, "paper", false), Map.of("text", "Mind the units."))
                .ok();
        String own = beside(lesson, first(lesson.teacher, lesson), "paper", false);
        JsonNode seen = lesson.teacher.get(own).ok();
        assertThat(seen.at("/own/text").stringValue()).isEmpty();
        assertThat(seen.at("/others/0/text").stringValue()).isEqualTo("Mind the units.");
        lesson.teacher
                .put(lesson.path("/readings/q4/second"), Map.of("share", 100, "way", "MEAN"))
                .ok();
        assertThat(lesson.teacher.get(own).ok().get("others")).isEmpty();
    }

    @Test
    void two_who_have_one_answer_before_them_are_told_of_each_other(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Both at it", "A")
                .sits("Alby Eddis", null, null, null, "It runs.")
                .sits("Asa Quayle", null, null, null, "It ebbs.");
        Visitor reader = reader(school, lesson, "Present reader");
        JsonNode view = lesson.teacher.get(lesson.path("/readings")).ok();
        JsonNode mine = view.get("answers").get(0);
        JsonNode theirs = null;
        for (JsonNode a : reader.get(lesson.path("/readings")).ok().get("answers")) {
            theirs = a.get("text").equals(mine.get("text")) ? a : theirs;
        }
        assertThat(lesson.teacher
                        .post(beside(lesson, mine, "here", false), null)
                        .ok())
                .isEmpty();
        JsonNode told = reader.post(beside(lesson, theirs, "here", false), null).ok();
        assertThat(told.get(0).stringValue()).isEqualTo("Aud Meller");
        lesson.teacher
                .post(beside(lesson, view.get("answers").get(1), "here", false), null)
                .ok();
        assertThat(reader.post(beside(lesson, theirs, "here", false), null).ok())
                .as("who has gone on is not told")
                .isEmpty();
        school.as("Alby Eddis").post(beside(lesson, mine, "here", false), null).isRefused(403);
    }
}
