package org.scholion.e2e;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.Keys;
import org.scholion.server.testing.Crowd;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;

/** What comes in windows reads as one list: answers to read, equal answers, students to hand back to. */
@ExtendWith(Scholion.class)
class ManyAttemptsTest {
    @Test
    void one_reads_settles_and_hands_back_among_hundreds_as_among_few(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Among hundreds", "A");
        Crowd.at(school, lesson, "A", 230);
        String paper = "/a/" + lesson.id;
        try (Browser aud = new Browser(school.address(), 1280, 800)) {
            aud.signIn("Aud Meller").open(paper + "/read").sees("0 of 230 read").sees("answer 1");
            for (int i = 0; i < 99; i++) {
                aud.press("]");
            }
            aud.sees("answer 100")
                    .press("]")
                    .sees("answer 101")
                    .sees("answers 101 to 200 are here")
                    .press("[")
                    .sees("answer 100");
            aud.isAccessible("Reading among hundreds");

            aud.open(paper + "/settle").sees("230×").sees("+227");
            aud.press("0")
                    .press(Keys.ENTER)
                    .sees("No doubts are left here.")
                    .press("u")
                    .sees("230×");

            aud.open(paper + "/hand-back")
                    .sees("230 with marks still to decide")
                    .sees("Hand back to 0 students");
            aud.click("label", "with marks still to decide").sees("Hand back to 230 students");
            aud.click("summary", "choose by name")
                    .sees("1 to 200 of 230")
                    .clickButton("Later names")
                    .sees("201 to 230 of 230");
            aud.type("Find a student by name", "nobody of this name").sees("No student has this name.");
            aud.isAccessible("Handing back among hundreds").hasNoErrors();
        }
    }
}
