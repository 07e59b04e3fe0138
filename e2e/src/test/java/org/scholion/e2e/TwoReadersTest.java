package org.scholion.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.Keys;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;

/** Two read the same pile in two browsers; a mark is settled, read and overruled, and told in words to its student. */
@ExtendWith(Scholion.class)
class TwoReadersTest {
    @Test
    void two_readers_each_read_blind_see_each_other_afterwards_and_a_third_reading_decides_between_them(
            Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Two readers", "A").sits("Noor Haddix", null, null, null, "Because.");
        String read = "/a/" + lesson.id + "/read";
        try (Browser aud = new Browser(school.address(), 1280, 1400);
                Browser halvard = new Browser(school.address(), 1280, 1400)) {
            aud.signIn("Aud Meller").open(read).sees("Because.").clickSummary("Read by one");
            aud.type("Of 100 answers read by two", "100");
            aud.select("What counts", "the mean, a third reading where they lie apart");
            aud.type("Points by which two may differ", "1").clickButton("Save for this question");
            aud.sees("100 of 100 answers are read by two").isAccessible("Read, what is read twice");
            aud.press("1", "1").sees("Nobody else has read it yet.").sees("Saved.");

            halvard.signIn("Halvard Quist").open(read).sees("Because.");
            halvard.sees("You see the other reading when yours is complete.").seesNot("decides");
            halvard.sees("Aud Meller has this answer open too.");
            halvard.press("1", "0").sees("Aud Meller").sees("a third reading decides");
            halvard.isAccessible("Read, two lie apart");

            aud.open(read).sees("a third reading decides").sees("How far readers agree");
            aud.sees("1 of 1").clickButton("Decide between both");
            aud.sees("What you choose now decides between both.")
                    .press("0", "1")
                    .sees("Saved.");
            aud.pause();
            assertThat(lesson.mark("Noor Haddix", "q4").get("points").stringValue())
                    .isEqualTo("3");
            aud.hasNoErrors();
            halvard.hasNoErrors();
        }
    }

    @Test
    void a_mark_is_overruled_from_the_gradebook_and_from_hand_back_and_its_student_is_told_why(
            Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Overruled on screen", "A")
                .sits("Noor Haddix", List.of("b"), "bowline", "10 nmi", null);
        try (Browser aud = new Browser(school.address(), 1280, 1000)) {
            aud.signIn("Aud Meller").open("/a/" + lesson.id + "/hand-back").sees("Noor Haddix");
            aud.clickLabelled("Overrule the mark of question 1").sees("At neaps");
            aud.type("Points from 0 to 1", "0.5").sees("1 student goes up");
            aud.type("Why, also for the student where comments are seen", "You drew it right.");
            aud.open("/a/" + lesson.id + "/hand-back").clickLabelled("Overrule the mark of question 1");
            aud.hasValue("Why, also for the student where comments are seen", "You drew it right.");
            aud.sees("1 student goes up");
            aud.isAccessible("Overrule").clickButton("Overrule this mark").sees("You drew it right.");
            assertThat(lesson.mark("Noor Haddix", "q1").get("points").stringValue())
                    .isEqualTo("0.5");
            aud.clickLabelled("Overrule the mark of question 1").clickButton("Take your decision back");
            aud.seesNot("You drew it right.").press(Keys.ESCAPE).hasNoErrors();
            assertThat(lesson.mark("Noor Haddix", "q1").get("points").stringValue())
                    .isEqualTo("0");
        }
    }

    @Test
    void a_comment_is_kept_found_by_a_slash_and_names_the_student_only_to_the_student(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Kept by slash", "A")
                .sits("Noor Haddix", null, null, null, "Because.")
                .sits("Lotte Marrin", null, null, null, "Because not.");
        try (Browser aud = new Browser(school.address(), 1280, 1000)) {
            aud.signIn("Aud Meller").open("/a/" + lesson.id + "/read").sees("Private note");
            aud.press("/").keys("Quite so, {given name}: read on.").clickButton("Keep this comment");
            aud.sees("This comment is kept.").press("1", "1", Keys.ENTER).sees("1 of 2 unread");
            aud.press("/").keys("/quite re").sees("Quite so, {given name}: read on.");
            aud.isAccessible("Read, comments found").keys(Keys.ENTER);
            aud.hasValue("Comment for the student /", "Quite so, {given name}: read on.");
            aud.press("1", "0").sees("Saved.").open("/a/" + lesson.id + "/hand-back");
            aud.sees("Quite so, Noor: read on.")
                    .press("]")
                    .sees("Quite so, Lotte: read on.")
                    .hasNoErrors();
        }
    }
}
