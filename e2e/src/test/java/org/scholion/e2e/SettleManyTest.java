package org.scholion.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.Keys;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Visitor;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** An evening of doubts, by keyboard. */
@ExtendWith(Scholion.class)
class SettleManyTest {
    private static final String[] STUDENTS = {
        "Tamsin Orrel", "Lotte Marrin", "Noor Haddix", "Asa Quayle", "Wanda Ambler", "Alby Eddis"
    };

    private static final int QUESTIONS = 10;
    private static final List<String> GIVES =
            List.of("Give no credit to", "Give full credit to", "Give half credit to");

    private static Lesson lesson(Scholion.Running school, String title) {
        ObjectNode definition = Lesson.definition(title).asObject();
        definition.get("items").get(1).asObject().put("spelling", "none");
        Lesson lesson = Lesson.written(school, title).holds(definition);
        lesson.giveOut("A").ok();
        return lesson;
    }

    @Test
    void several_groups_are_decided_together_and_a_question_is_closed_by_one_key_after_a_look_and_opened_again(
            Scholion.Running school) {
        Lesson lesson = lesson(school, "An evening")
                .sits("Noor Haddix", null, "bow line", "ten", null)
                .sits("Lotte Marrin", null, "bow-line", "a dozen", null)
                .sits("Tamsin Orrel", null, "clove hitch", "many", null);
        try (Browser aud = new Browser(school.address(), 1280, 900)) {
            aud.signIn("Aud Meller").open("/a/" + lesson.id + "/settle").sees("3 answers in 3 groups");
            aud.press("t", "j", "t").sees("2 groups are decided together.").sees("2 students go up");
            aud.isAccessible("Settle, several groups").press(Keys.ENTER).sees("1 answers in 1 groups");
            aud.press("u").sees("3 answers in 3 groups");
            aud.press("c").sees("All 3 groups that are left of this question are decided at once.");
            aud.sees("Give no credit to 3 answers").press(Keys.ENTER).sees("Question 3");
            aud.sees("3 answers in 3 groups");
            assertThat(lesson.mark("Lotte Marrin", "q2").get("points").stringValue())
                    .isEqualTo("0");
            aud.press("u").sees("Which knot makes a fixed loop?");
            assertThat(lesson.mark("Lotte Marrin", "q2").get("state").stringValue())
                    .isEqualTo("settle");
            aud.hasNoErrors();
        }
    }

    @Test
    void a_wider_rule_is_held_up_by_what_it_contradicts_until_it_is_wanted_all_the_same(Scholion.Running school) {
        Lesson lesson = lesson(school, "Held up")
                .sits("Noor Haddix", null, "bow line", null, null)
                .sits("Lotte Marrin", null, "running bow line", null, null);
        lesson.teacher
                .post(lesson.path("/doubts"), lesson.decision("q2", "running bow line", "1/2", "EXACT"))
                .ok();
        try (Browser aud = new Browser(school.address(), 1280, 1000)) {
            aud.signIn("Aud Meller").open("/a/" + lesson.id + "/settle").sees("bow line");
            aud.click("label", "any answer with these words in it").sees("This contradicts what was decided:");
            aud.sees("½ credit, by this rule 1").isAccessible("Settle, contradicted");
            aud.press(Keys.ENTER).pause();
            assertThat(lesson.mark("Noor Haddix", "q2").get("state").stringValue())
                    .isEqualTo("settle");
            aud.click("label", "I want this rule all the same").clickButton("Give full credit");
            aud.sees("No doubts are left").hasNoErrors();
        }
    }

    @Test
    void sixty_doubts_are_decided_by_keyboard_the_effect_shown_each_time_and_all_are_taken_back(
            Scholion.Running school) {
        ObjectNode definition = Lesson.definition("Sixty doubts").asObject();
        ObjectNode text = definition.get("items").get(1).asObject().put("spelling", "none");
        ArrayNode items = definition.putArray("items");
        for (int i = 1; i <= QUESTIONS; i++) {
            items.add(text.deepCopy().put("id", "t" + i));
        }
        Lesson lesson = Lesson.written(school, "Sixty doubts").holds(definition);
        lesson.giveOut("A").ok();
        for (String name : STUDENTS) {
            Visitor student = school.as(name);
            String attempt = lesson.begin(student);
            for (int i = 1; i <= QUESTIONS; i++) {
                Lesson.say(student, attempt, "t" + i, "the knot of " + name).ok();
            }
            student.post("/api/student/attempts/" + attempt + "/hand-in", null).ok();
        }
        int all = STUDENTS.length * QUESTIONS;
        try (Browser aud = new Browser(school.address(), 1280, 900)) {
            aud.signIn("Aud Meller").open("/a/" + lesson.id + "/settle").sees(left(all));
            Instant begun = Instant.now();
            for (int left = all; left > 0; left--) {
                String digit = List.of("0", "1", "2").get(left % 3);
                aud.press(digit).offers(GIVES.get(left % 3)).press(Keys.ENTER);
                aud.sees(left == 1 ? "No doubts are left here." : left(left - 1));
            }
            System.out.println("60 doubts by keyboard took "
                    + Duration.between(begun, Instant.now()).toSeconds() + " s");
            for (int back = 1; back <= all; back++) {
                aud.press("u").sees(left(back));
            }
            assertThat(lesson.teacher
                            .get(lesson.path("/doubts"))
                            .ok()
                            .get("doubts")
                            .intValue())
                    .isEqualTo(all);
            aud.hasNoErrors();
        }
    }

    /** How many of the question that is shown wait. */
    private static String left(int all) {
        int here = (all - 1) % STUDENTS.length + 1;
        return here + " answers in " + here + " groups";
    }
}
