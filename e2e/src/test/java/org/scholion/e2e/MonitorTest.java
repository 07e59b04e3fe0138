package org.scholion.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.Keys;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;

/** What a teacher does while a sitting runs, with the page of a student open beside it. */
@ExtendWith(Scholion.class)
class MonitorTest {
    private static Browser looksUp(Browser student) {
        student.evaluate("document.dispatchEvent(new Event('visibilitychange', {bubbles: true})); return 1");
        return student;
    }

    @Test
    void a_line_a_pause_and_more_time_reach_the_students_page_and_are_undone_by_keys(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Watched closely", "A");
        String attempt = lesson.begin(school.as("Tamsin Orrel"));
        String todo = "/todo/" + lesson.sitting();
        try (Browser tamsin = new Browser(school.address(), 360, 740);
                Browser aud = new Browser(school.address(), 1280, 900)) {
            tamsin.signIn("Tamsin Orrel").open("/sit/" + attempt + "?page=2").sees("Which knot");
            aud.signIn("Aud Meller").open("/a/" + lesson.id + "/collect").sees("not started");
            aud.isAccessible("Collect, for all").clickButton("Orrel, Tamsin").sees("A line to Tamsin");
            aud.type("A line to Tamsin", "Mind the spelling.")
                    .clickButton("Say it")
                    .sees("Done: a line to Tamsin Orrel.");
            looksUp(tamsin).sees("Mind the spelling.").isAccessible("A line from the teacher");
            aud.press("u").seesNot("Done: a line");
            looksUp(tamsin).seesNot("Mind the spelling.");

            aud.press("p").sees("Done: a pause for Tamsin Orrel.").isAccessible("Collect, one is paused");
            looksUp(tamsin).sees("Your teacher has paused this.").isAccessible("Paused");
            assertThat(tamsin.field("Your answer").isEnabled()).isFalse();
            aud.press("p").sees("Done: going on.");
            tamsin.seesNot("Your teacher has paused this.");
            assertThat(tamsin.field("Your answer").isEnabled()).isTrue();

            aud.press("+").sees("Done: 5 minutes more for Tamsin Orrel.");
            looksUp(tamsin).announces("You have more time: until");
            tamsin.type("Your answer", "bowline").sees("Saved");

            aud.press("h").sees("Done: handing in for Tamsin Orrel.");
            looksUp(tamsin).sees("You have handed this in.");
            aud.press("u").seesNot("Done: handing in").sees("in progress");
            tamsin.open(todo).clickButton("Continue").sees("When is the range greatest?");
            tamsin.open(tamsin.path() + "?page=2").hasValue("Your answer", "bowline");

            aud.clickButton("Set aside, to begin anew").sees("Done: setting the attempt of Tamsin Orrel aside.");
            looksUp(tamsin).sees("Your teacher has set this attempt aside.").isAccessible("Set aside");
            tamsin.clickLink("Back to To do").open(todo).clickButton("Begin").sees("When is the range greatest?");
            aud.press("u").sees("Tamsin Orrel has begun anew meanwhile.");
            aud.press(Keys.ESCAPE).sees("For all who are at work").hasNoErrors();
        }
    }

    @Test
    void who_has_handed_in_is_opened_again_with_the_answers_and_who_has_not_begun_is_reminded(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Opened by key", "A").sits("Ivo Lomas", null, "bowlin", null, null);
        try (Browser aud = new Browser(school.address(), 1280, 900);
                Browser ivo = new Browser(school.address(), 360, 740)) {
            aud.signIn("Aud Meller").open("/a/" + lesson.id + "/collect").sees("not started");
            aud.press("r").sees("letters are on their way.");
            aud.clickButton("Lomas, Ivo").sees("Open again for 10 minutes").press("o");
            aud.sees("Done: opening again for Ivo Lomas.").isAccessible("Collect, opened again");
            ivo.signIn("Ivo Lomas")
                    .open("/todo/" + lesson.sitting())
                    .clickButton("Continue")
                    .sees("When is the range greatest?");
            ivo.open(ivo.path() + "?page=2").hasValue("Your answer", "bowlin").type("Your answer", "bowline");
            ivo.sees("Saved")
                    .open(ivo.path().replaceAll("\\?.*", "") + "?page=9")
                    .clickButton("Hand in");
            ivo.sees("Your receipt:").hasNoErrors();
            aud.press("u").sees("Ivo Lomas has handed in again meanwhile.");
        }
    }

    @Test
    void answers_are_shown_to_the_class_as_they_come_large_and_without_names(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "On the wall", "A").sits("Ivo Lomas", null, "bowline", null, null);
        try (Browser aud = new Browser(school.address(), 1280, 900)) {
            aud.signIn("Aud Meller").open("/a/" + lesson.id + "/collect").sees("As it comes in");
            aud.select("Question", "2 · Which knot makes a fixed loop?")
                    .sees("2 of 2")
                    .isAccessible("As it comes in");
            aud.clickButton("large, without names and marks").sees("1 student has answered");
            aud.isAccessible("Answers on the wall").keys(Keys.ESCAPE).seesNot("1 student has answered");
            aud.hasNoErrors();
        }
    }

    @Test
    void a_line_that_could_not_be_said_stays_until_it_is(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "A broken line", "A");
        lesson.begin(school.as("Tamsin Orrel"));
        try (Browser aud = new Browser(school.address(), 1280, 900)) {
            aud.signIn("Aud Meller").open("/a/" + lesson.id + "/collect").type("A line to all", "Mind the time.");
            aud.offline(true).clickButton("Say it").pause().hasValue("A line to all", "Mind the time.");
            aud.offline(false).open("/desk").open("/a/" + lesson.id + "/collect");
            aud.hasValue("A line to all", "Mind the time.")
                    .clickButton("Say it")
                    .sees("Done: a line to all.");
            aud.hasValue("A line to all", "");
        }
    }
}
