package org.scholion.server.read;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.testing.Colleague;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import tools.jackson.databind.JsonNode;

@ExtendWith(Scholion.class)
class HintsTest {
    private static final String NOOR =
            "The water leaves through the narow mouth of the harbour. Then it stops , and fenders help";
    private static final String ASA = "First I looked. The water leaves through the narow mouth of the harbour!";
    private static final String LOTTE = "Then the water stops, and it leaves through the narow mouth of the harbour.";

    private static Lesson three(Scholion.Running school, String title) {
        return Lesson.given(school, title, "A")
                .sits("Noor Haddix", null, null, null, NOOR)
                .sits("Asa Quayle", null, null, null, ASA)
                .sits("Lotte Marrin", null, null, null, LOTTE);
    }

    private static JsonNode hints(Lesson lesson, String name) {
        return lesson.teacher
                .get(lesson.reading(lesson.answerOf(name, "q4"), "q4", "/hints"))
                .ok();
    }

    private static Map<String, Object> plan(List<String> words, boolean on) {
        Map<String, Object> plan = new HashMap<>();
        plan.put("words", words);
        for (String one : List.of("language", "likeness", "sentences")) {
            plan.put(one, on);
        }
        return plan;
    }

    private static List<String> of(JsonNode slips) {
        return slips.valueStream()
                .map(s -> s.get("kind").stringValue() + " "
                        + NOOR.substring(s.get("from").intValue(), s.get("to").intValue()) + " "
                        + (s.hasNonNull("meant") ? s.get("meant").stringValue() : "–"))
                .toList();
    }

    @Test
    void the_language_of_an_answer_is_looked_at_with_the_word_that_was_meant(Scholion.Running school) {
        Lesson lesson = three(school, "Hints of language");
        assertThat(of(hints(lesson, "Noor Haddix").get("slips")))
                .containsExactly("SPELLING narow narrow", "SPACE  , –", "END help –");
        JsonNode answer = lesson.answerOf("Noor Haddix", "q4");
        assertThat(answer.get("mark").get("state").stringValue())
                .as("a hint decides nothing")
                .isEqualTo("read");
    }

    @Test
    void words_that_are_looked_for_are_found_in_every_form_and_those_missing_are_named(Scholion.Running school) {
        Lesson lesson = three(school, "Hints of words");
        lesson.teacher
                .put(
                        lesson.path("/readings/q4/hint-plan"),
                        plan(List.of(" fender ", "fender", "spring", "leaving"), false))
                .ok();
        JsonNode hints = hints(lesson, "Noor Haddix");
        assertThat(hints.get("words")
                        .valueStream()
                        .map(w -> w.get("word").stringValue() + " "
                                + w.get("places")
                                        .valueStream()
                                        .map(p -> NOOR.substring(
                                                p.get("from").intValue(),
                                                p.get("to").intValue()))
                                        .toList())
                        .toList())
                .containsExactly("fender [fenders]", "spring []", "leaving [leaves]");
        for (String off : List.of("slips", "like", "same")) {
            assertThat(hints.hasNonNull(off)).as(off + " is off").isFalse();
        }
    }

    @Test
    void a_sentence_that_another_has_word_for_word_is_shown_with_the_other_answer(Scholion.Running school) {
        Lesson lesson = three(school, "Hints of sentences");
        JsonNode same = hints(lesson, "Noor Haddix").get("same");
        assertThat(same.size()).isOne();
        assertThat(NOOR.substring(
                        same.get(0).get("from").intValue(),
                        same.get(0).get("to").intValue()))
                .isEqualTo("The water leaves through the narow mouth of the harbour.");
        assertThat(same.get(0).get("text").stringValue()).isEqualTo(ASA);
        assertThat(same.get(0).get("name").stringValue()).isEqualTo("Asa Quayle");
        assertThat(hints(lesson, "Lotte Marrin").get("same").size()).isZero();
    }

    @Test
    void an_answer_like_it_is_shown_once_one_has_read_it_and_never_what_a_colleague_gave(Scholion.Running school) {
        Lesson lesson = three(school, "Hints of likeness");
        assertThat(hints(lesson, "Noor Haddix").get("like").size())
                .as("nothing read yet")
                .isZero();
        Map<String, Object> reading =
                Map.of("levels", Map.of("c1", "1", "c2", "1"), "comment", "", "note", "", "hold", false);
        lesson.reads("Lotte Marrin", "q4", reading).ok();
        JsonNode like = hints(lesson, "Noor Haddix").get("like");
        assertThat(like.size()).isOne();
        assertThat(like.get(0).get("text").stringValue()).isEqualTo(LOTTE);
        assertThat(like.get(0).get("levels").get("c1").stringValue()).isEqualTo("1");
        assertThat(like.get(0).get("likeness").intValue()).isBetween(50, 99);
        var halvard = school.as("Halvard Quist");
        JsonNode theirs = halvard.get(lesson.reading(lesson.answerOf("Noor Haddix", "q4"), "q4", "/hints"))
                .ok();
        assertThat(theirs.get("like").size()).as("a colleague has read nothing").isZero();
    }

    @Test
    void with_names_hidden_no_hint_tells_a_name(Scholion.Running school) {
        Lesson lesson = three(school, "Hints without names");
        JsonNode hidden =
                lesson.teacher.get(lesson.path("/readings?item=q4")).ok().get("answers");
        int same = 0;
        for (JsonNode answer : hidden) {
            String path = lesson.path("/readings/q4/" + answer.get("answer").stringValue() + "/hints");
            var reply = lesson.teacher.get(path);
            assertThat(reply.body()).doesNotContain("Haddix", "Quayle", "Marrin");
            same += reply.ok().get("same").size();
        }
        assertThat(same).as("both who have the sentence are told").isEqualTo(2);
    }

    @Test
    void only_who_works_on_the_assessment_changes_its_hints_and_nobody_asks_for_what_cannot_be_found(
            Scholion.Running school) {
        Lesson lesson = three(school, "Hints of a colleague");
        String path = lesson.path("/readings/q4/hint-plan");
        var other = Colleague.called(school, "Hints").visitor();
        other.get(path).isRefused(404);
        other.put(path, plan(List.of("x"), true)).isRefused(404);
        other.get(lesson.reading(lesson.answerOf("Noor Haddix", "q4"), "q4", "/hints"))
                .isRefused(404);
        school.as("Noor Haddix").get(path).isRefused(403);
        lesson.teacher.put(path, plan(List.of("…"), true)).isRefused(422);
        lesson.teacher.put(path, plan(List.of("x".repeat(81)), true)).isRefused(422);
        lesson.teacher
                .put(lesson.path("/readings/q1/hint-plan"), plan(List.of(), true))
                .isRefused(404);
        assertThat(lesson.teacher.get(path).ok().get("words").size()).isZero();
        lesson.teacher.put(path, plan(List.of("ebb"), false)).ok();
        assertThat(lesson.teacher.get(path).ok().get("words").get(0).stringValue())
                .isEqualTo("ebb");
    }
}
