package org.scholion.e2e;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;

/** After handing in: other answers until the time is over, another attempt, and full screen while one works. */
@ExtendWith(Scholion.class)
class TakingAgainTest {
    @Test
    void a_student_changes_what_is_handed_in_and_takes_another_paper_once_more(Scholion.Running school) {
        Lesson changed = Lesson.given(school, "Changed on screen", "A");
        Lesson twice = Lesson.given(school, "Twice on screen", "A");
        try (Browser aud = new Browser(school.address(), 1280, 900);
                Browser lotte = new Browser(school.address(), 360, 740)) {
            aud.signIn("Aud Meller").open("/a/" + changed.id + "/sittings/" + changed.sitting());
            aud.select("after handing in, answers", "can be changed until the time is over")
                    .sees("What was handed in before is kept each time")
                    .clickButton("Save for Section A")
                    .sees("Nothing is changed.");
            aud.open("/a/" + twice.id + "/sittings/" + twice.sitting());
            aud.select("each student can take it", "twice")
                    .sees("Which attempt counts is a rule of the paper")
                    .seesNot("after handing in, answers")
                    .select("A page shows", "all questions")
                    .clickButton("Save for Section A")
                    .sees("Nothing is changed.")
                    .isAccessible("Taken again, set");

            lotte.signIn("Lotte Marrin");
            String attempt = changed.begin(school.as("Lotte Marrin"));
            Lesson.say(school.as("Lotte Marrin"), attempt, "q2", "granny").ok();
            lotte.open("/sit/" + attempt + "?page=5").clickButton("Hand in").sees("You can still change your answers.");
            lotte.isAccessible("Handed in, may be changed")
                    .clickButton("Change my answers")
                    .sees("When is the range greatest?");
            lotte.open(lotte.path().replaceAll("\\?.*", "") + "?page=2").hasValue("Your answer", "granny");
            lotte.type("Your answer", "bowline").sees("Saved");
            lotte.open(lotte.path().replaceAll("\\?.*", "") + "?page=5")
                    .clickButton("Hand in")
                    .sees("You can still change your answers.");

            lotte.open("/todo/" + twice.sitting()).sees("You can take it 2 times in all.");
            lotte.clickButton("Begin").sees("Which knot makes a fixed loop?");
            handIn(lotte);
            lotte.clickLink("Take it once more")
                    .sees("You can take it once more.")
                    .isAccessible("Taken once more");
            lotte.clickButton("Take it once more").sees("Which knot makes a fixed loop?");
            handIn(lotte);
            lotte.seesNot("Take it once more").hasNoErrors();

            aud.open("/a/" + twice.id + "/collect").sees("attempt 2").hasNoErrors();
        }
    }

    private static void handIn(Browser student) {
        student.clickButton("Check and hand in").clickButton("Hand in").sees("Your receipt:");
    }

    @Test
    void full_screen_is_offered_where_it_is_asked_for_and_leaving_it_is_leaving_the_page(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "The whole screen", "A");
        String attempt = lesson.begin(school.as("Tamsin Orrel"));
        try (Browser aud = new Browser(school.address(), 1280, 900);
                Browser tamsin = new Browser(school.address(), 1000, 740)) {
            aud.signIn("Aud Meller").open("/a/" + lesson.id + "/sittings/" + lesson.sitting());
            aud.select("full screen is", "asked for; students are told")
                    .select("leaving the page is", "counted; students are told")
                    .clickButton("Save for Section A")
                    .sees("Nothing is changed.");
            tamsin.signIn("Tamsin Orrel").open("/sit/" + attempt).sees("Your teacher asks for full screen.");
            tamsin.isAccessible("Full screen, asked for")
                    .clickButton("Go to full screen")
                    .seesNot("Your teacher asks for full screen.");
            tamsin.evaluate("document.exitFullscreen(); return 1");
            tamsin.sees("You left this page. Your teacher sees how often.")
                    .sees("Your teacher asks for full screen.")
                    .hasNoErrors();
            aud.open("/a/" + lesson.id + "/collect").sees("once").hasNoErrors();
        }
    }
}
