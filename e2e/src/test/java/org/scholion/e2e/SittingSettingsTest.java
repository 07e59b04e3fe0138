package org.scholion.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.Keys;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;

/** Each setting of a sitting, from the page on which it is set to the page of the student. */
@ExtendWith(Scholion.class)
class SittingSettingsTest {
    @Test
    void a_sitting_without_a_way_back_with_a_code_and_answers_required_is_taken_by_keyboard(Scholion.Running school) {
        Lesson lesson = Lesson.written(school, "Straight on");
        try (Browser aud = new Browser(school.address(), 1280, 900);
                Browser lotte = new Browser(school.address(), 360, 740)) {
            aud.signIn("Aud Meller").open("/a/" + lesson.id + "/collect").clickLink("Set how it is taken first");
            aud.sees("How it is taken").isAccessible("Giving out with settings");
            aud.select("going back", "no, what was left is closed")
                    .select("an answer is", "required before handing in");
            aud.select("leaving the page is", "counted; students are told");
            aud.type("Code for the board", "tide 4821").sees("TIDE 4821");
            aud.type("On the page before the questions", "Dividers on the table.");
            aud.type("On the page after handing in", "Put the charts back.").clickButton("Give out to Section A");
            aud.sees("The sitting of Section A").isAccessible("A sitting with settings");

            String todo = "/todo/" + lesson.sitting();
            lotte.signIn("Lotte Marrin")
                    .open("/todo")
                    .sees("Straight on")
                    .open(todo)
                    .sees("Dividers on the table.");
            lotte.sees("You cannot go back to a question that you have left.").sees("Every question needs an answer.");
            lotte.sees("Your teacher sees how often you leave the page.").isAccessible("Before a sitting");
            lotte.type("The code from the board", "TIDE 1111")
                    .clickButton("Begin")
                    .sees("This is not the code.");
            lotte.type("The code from the board", "tide4821").keys(Keys.ENTER).sees("When is the range greatest?");
            lotte.sees("Answer this to go on.").press(Keys.ARROW_RIGHT).sees("When is the range greatest?");
            lotte.click("label", "At springs").sees("You cannot come back to this once you go on.");
            lotte.press(Keys.ARROW_RIGHT).sees("Which knot makes a fixed loop?").isAccessible("No way back");
            lotte.press(Keys.ARROW_LEFT).sees("Which knot makes a fixed loop?");
            lotte.type("Your answer", "bowline")
                    .sees("Saved")
                    .press(Keys.ARROW_RIGHT)
                    .sees("How far in 2 h");
            lotte.open(lotte.path().replaceAll("\\?.*", "") + "?page=1").sees("How far in 2 h");
            lotte.evaluate("Object.defineProperty(document, 'visibilityState', {value: 'hidden', configurable: true});"
                    + "document.dispatchEvent(new Event('visibilitychange'));"
                    + "delete document.visibilityState; return 1");
            lotte.sees("You left this page. Your teacher sees how often.");
            lotte.type("Your answer", "10 nmi")
                    .sees("Saved")
                    .press(Keys.ARROW_RIGHT)
                    .sees("Why does the stream run?");
            lotte.type("Your answer", "The moon.").sees("Saved").press(Keys.ARROW_RIGHT);
            lotte.sees("Every question has an answer.").clickButton("Hand in").sees("Put the charts back.");
            lotte.isAccessible("Handed in, with words").hasNoErrors();
            aud.open("/a/" + lesson.id + "/collect")
                    .sees("Left the page")
                    .sees("once")
                    .hasNoErrors();
        }
    }

    @Test
    void all_questions_stand_on_one_page_and_what_is_changed_reaches_who_is_at_work(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "One long page", "A");
        String attempt = lesson.begin(school.as("Tamsin Orrel"));
        try (Browser aud = new Browser(school.address(), 1280, 900);
                Browser tamsin = new Browser(school.address(), 360, 740)) {
            tamsin.signIn("Tamsin Orrel")
                    .open("/sit/" + attempt)
                    .sees("When is the range")
                    .seesNot("Which knot");
            aud.signIn("Aud Meller").open("/a/" + lesson.id + "/collect").clickLink("The sitting of Section A");
            aud.select("A page shows", "all questions").sees("1 student is at work.");
            aud.clickButton("Save for Section A").sees("Nothing is changed.");
            tamsin.evaluate("document.dispatchEvent(new Event('visibilitychange', {bubbles: true})); return 1");
            tamsin.sees("When is the range greatest?")
                    .sees("Which knot makes a fixed loop?")
                    .sees("Why does the stream");
            tamsin.isAccessible("All on one page");
            aud.type("working time", "1").sees("1 of them has less time.");
            aud.isAccessible("A sitting that would be shorter").clickButton("Leave it as it is");
            aud.sees("Nothing is changed.").hasNoErrors();
            tamsin.hasNoErrors();
        }
    }

    @Test
    void half_as_long_again_is_set_for_one_drawn_to_scale_and_seen_by_that_student(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Longer for one", "A");
        try (Browser aud = new Browser(school.address(), 1280, 1000);
                Browser lotte = new Browser(school.address(), 360, 740)) {
            aud.signIn("Aud Meller").open("/a/" + lesson.id + "/sittings/" + lesson.sitting());
            aud.type("working time", "40").clickButton("Save for Section A").sees("Nothing is changed.");
            aud.clickButton("Make something different for a student").click("label", "Marrin, Lotte");
            aud.isAccessible("Different for some").clickButton("Make it different for 1 student");
            aud.sees("Lotte Marrin: half as long again")
                    .sees("60 minutes, until")
                    .isAccessible("The sitting to scale");
            lotte.signIn("Lotte Marrin").open("/todo").sees("60 minutes").hasNoErrors();
            aud.open("/a/" + lesson.id + "/collect").sees("different for this student");
            aud.open("/a/" + lesson.id + "/sittings/" + lesson.sitting()).clickButton("Same as the others");
            aud.seesNot("half as long again");
            lotte.open("/todo").sees("40 minutes");
            assertThat(lotte.text()).doesNotContain("60 minutes");
            aud.hasNoErrors();
        }
    }

    @Test
    void who_practises_looks_at_each_answer_and_goes_on_when_it_is_right(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Until it is right", "A");
        try (Browser aud = new Browser(school.address(), 1280, 900);
                Browser tamsin = new Browser(school.address(), 360, 740)) {
            aud.signIn("Aud Meller").open("/a/" + lesson.id + "/sittings/" + lesson.sitting());
            aud.select("an answer is looked at", "until it is right (practice)").clickButton("Save for Section A");
            aud.sees("Nothing is changed.").hasNoErrors();
            tamsin.signIn("Tamsin Orrel").open("/todo/" + lesson.sitting()).sees("This is a practice");
            tamsin.clickButton("Begin")
                    .click("label", "At neaps")
                    .clickButton("Look at my answer")
                    .sees("0 of 1");
            tamsin.sees("Change your answer to try again.").isAccessible("Practice, not right");
            tamsin.press(Keys.ARROW_RIGHT).sees("You go on when it is right.");
            tamsin.click("label", "At springs").clickButton("Look at my answer").sees("1 of 1");
            tamsin.press(Keys.ARROW_RIGHT).sees("Which knot makes a fixed loop?");
            tamsin.open(tamsin.path().replaceAll("\\?.*", "") + "?page=1")
                    .sees("1 of 1")
                    .hasNoErrors();
        }
    }

    @Test
    void what_students_see_comes_when_the_sitting_says(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Seen in time", "A");
        try (Browser aud = new Browser(school.address(), 1280, 1000);
                Browser ivo = new Browser(school.address(), 360, 740)) {
            aud.signIn("Aud Meller").open("/a/" + lesson.id + "/sittings/" + lesson.sitting());
            aud.click("label", "how far on each standard: when every time is over");
            aud.click("label", "score and band: at hand-in").click("label", "right answers: when every time is over");
            aud.isAccessible("What students see, and when")
                    .clickButton("Save for Section A")
                    .sees("Nothing is changed.");
            lesson.sits("Ivo Lomas", List.of("a"), "bowline", null, null);
            ivo.signIn("Ivo Lomas").open("/sit/" + lesson.attempt("Ivo Lomas")).sees("You have handed this in.");
            ivo.sees("3 of 10")
                    .seesNot("Right answer:")
                    .seesNot("How far on each standard")
                    .isAccessible("Handed in, with the score");
            lesson.isOver();
            ivo.open("/sit/" + lesson.attempt("Ivo Lomas"))
                    .sees("Right answer: At springs")
                    .sees("How far on each standard")
                    .sees("2 of 2 points")
                    .isAccessible("Handed in, with standards")
                    .hasNoErrors();
            aud.open("/a/" + lesson.id + "/hand-back")
                    .sees("What Ivo Lomas will see")
                    .sees("Right answer:");
            aud.hasNoErrors();
        }
    }

    @Test
    void settings_are_kept_under_a_name_and_the_next_sitting_begins_with_them(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Kept once", "A");
        try (Browser aud = new Browser(school.address(), 1280, 1000)) {
            aud.signIn("Aud Meller").open("/a/" + lesson.id + "/sittings/" + lesson.sitting());
            aud.select("A page shows", "all questions").type("working time", "15");
            aud.type("Keep these settings as", "Quick check")
                    .clickButton("Keep")
                    .sees("As in Quick check");
            aud.open("/a/" + lesson.id + "/give-out").sees("Given to").clickButton("As in Quick check");
            aud.hasValue("working time", "15").hasValue("A page shows", "ALL").isAccessible("Giving out as kept");
            aud.clickLabelled("Remove Quick check").seesNot("As in Quick check").hasNoErrors();
        }
    }

    @Test
    void what_is_typed_of_a_sitting_stays_until_it_is_saved_and_lies_over_what_a_colleague_changes(
            Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Typed and left", "A");
        String page = "/a/" + lesson.id + "/sittings/" + lesson.sitting();
        try (Browser aud = new Browser(school.address(), 1280, 1000);
                Browser ines = new Browser(school.address(), 1280, 1000)) {
            aud.signIn("Aud Meller").open(page).type("On the page before the questions", "Charts on the table.");
            aud.open("/desk").sees("Desk").open(page);
            aud.hasValue("On the page before the questions", "Charts on the table.");
            ines.signIn("Ines Calder").open(page).select("an answer is", "required before handing in");
            ines.clickButton("Save for Section A").sees("Nothing is changed.").hasNoErrors();
            aud.hasValue("an answer is", "yes")
                    .offline(true)
                    .clickButton("Save for Section A")
                    .pause();
            aud.hasValue("On the page before the questions", "Charts on the table.")
                    .offline(false);
            aud.sees("Nothing is changed.");
            aud.open(page).hasValue("an answer is", "yes");
            aud.hasValue("On the page before the questions", "Charts on the table.");
        }
    }
}
