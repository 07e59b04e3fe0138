package org.scholion.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import tools.jackson.databind.JsonNode;

/** What people do again and again while they write a key. */
@ExtendWith(Scholion.class)
class KeyQuickTest {
    private static JsonNode items(Lesson lesson) {
        return lesson.teacher.get(lesson.path("/key")).ok().at("/definition/items");
    }

    @Test
    void one_more_question_like_this_one_options_from_lines_and_another_kind(Scholion.Running school) {
        Lesson lesson = Lesson.written(school, "Quickly written");
        try (Browser aud = new Browser(school.address(), 1280, 800)) {
            aud.signIn("Aud Meller").open("/a/" + lesson.id + "/key?item=q1").sees("One more like this");
            aud.press("l").sees("Question 2").type("Question text", "Which of these are knots?");
            aud.pasteText("text of option A", "* bowline\n* reef knot\nebb\n");
            aud.sees("Saved").hasValue("text of option C", "ebb").isAccessible("One more like this");
            assertThat(items(lesson).get(1).get("key").toString()).isEqualTo("[\"a\",\"b\"]");
            aud.select("Kind of this question", "short text").sees("it loses the options that are not right");
            aud.isAccessible("Another kind, before").clickButton("Keep it").seesNot("it loses");
            aud.select("Kind of this question", "short text").clickButton("Change the kind");
            aud.sees("Saved").pause();
            assertThat(items(lesson).get(1).get("kind").stringValue()).isEqualTo("text");
            assertThat(items(lesson).get(1).get("accept").toString()).contains("bowline", "reef knot");
            aud.press("u").hasValue("text of option A", "bowline").hasNoErrors();
        }
    }

    @Test
    void other_ways_to_write_an_answer_are_proposed_and_never_taken_by_themselves(Scholion.Running school) {
        Lesson lesson = Lesson.written(school, "Also accepted");
        try (Browser aud = new Browser(school.address(), 1280, 800)) {
            aud.signIn("Aud Meller").open("/a/" + lesson.id + "/key?item=q2").sees("Accepted answers");
            aud.select("Typing slips", "none allowed").type("Add an accepted answer", "tide-table\n");
            aud.sees("Also accept?").sees("tide table").isAccessible("Proposed answers");
            assertThat(items(lesson).get(1).get("accept").toString()).doesNotContain("tide table");
            aud.clickButton("tide table").sees("Saved").pause();
            assertThat(items(lesson).get(1).get("accept").toString()).contains("tide table");
            aud.hasNoErrors();
        }
    }

    @Test
    void points_are_shared_out_and_tags_given_to_several_questions_at_once(Scholion.Running school) {
        Lesson lesson = Lesson.written(school, "Several at once");
        try (Browser aud = new Browser(school.address(), 1280, 800)) {
            aud.signIn("Aud Meller").open("/a/" + lesson.id + "/key").sees("Change several questions at once");
            aud.clickSummary("Change several questions at once").type("Questions, such as 1-5, 8", "9");
            aud.sees("There are no such questions.").type("Questions, such as 1-5, 8", "1-2, 4");
            aud.type("Tags, separated by commas", "term 1, tides").clickButton("Add these tags");
            aud.sees("3 questions changed.")
                    .isAccessible("Several at once")
                    .sees("Saved")
                    .pause();
            assertThat(items(lesson).get(3).get("tags").toString()).isEqualTo("[\"term 1\",\"tides\"]");
            assertThat(items(lesson).get(2).has("tags")).isFalse();
            aud.hasNoErrors();
        }
    }
}
