package org.scholion.e2e;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;

/** What was learned: for a teacher over a course, for a student of what was handed back. */
@ExtendWith(Scholion.class)
class CanDoTest {
    @Test
    void attainment_leads_from_a_standard_to_a_student_and_down_to_the_marks(Scholion.Running school) {
        Lesson.given(school, "Knots for evidence", "A").sits("Noor Haddix", List.of("a"), "bowline", null, null);
        try (Browser aud = new Browser(school.address(), 1280, 1400)) {
            aud.signIn("Aud Meller").open("/standards").clickLink("Coastal Navigation");
            aud.sees("What students of Coastal Navigation can do").sees("each student a dot");
            aud.isAccessible("Attainment as a tree").click("button", "Ropework").sees("What it rests on");
            aud.sees("Knots for evidence").select("View", "student by student").sees("Haddix, Noor");
            aud.isAccessible("Attainment, student by student").select("View", "standards as a tree");
            aud.select("Below the level", "surely").click("li/button", "").sees("Back to all students");
            aud.isAccessible("Attainment, one student").press("j").seesNot("Back to all students");
            aud.hasNoErrors();
        }
    }

    @Test
    void the_school_says_in_its_own_words_what_levels_are_called_and_they_are_seen_at_once(Scholion.Running school) {
        try (Browser aud = new Browser(school.address(), 1280, 1400)) {
            aud.signIn("Aud Meller").open("/standards").sees("How attainment is decided");
            aud.clickButton("Change how attainment is decided").isAccessible("How attainment is decided");
            aud.type("Level 1: from which percentage", "much")
                    .clickButton("Save")
                    .sees("is not a number");
            aud.type("Level 1: from which percentage", "0").type("Level 1: its name", "still adrift");
            aud.clickButton("Save")
                    .sees("still adrift from 0%")
                    .clickLink("Coastal Navigation")
                    .sees("still adrift");
            aud.open("/standards").clickButton("Change how attainment is decided");
            aud.type("Level 1: its name", "not there yet").clickButton("Save").sees("not there yet from 0%");
            aud.hasNoErrors();
        }
    }

    @Test
    void a_student_sees_on_a_phone_what_they_can_do_and_what_would_show_more(Scholion.Running school) {
        Lesson.given(school, "Knots to show", "A")
                .sits("Tamsin Orrel", List.of("a"), "bowline", null, null)
                .handsBackWithStandards("Tamsin Orrel")
                .ok();
        try (Browser tamsin = new Browser(school.address(), 360, 740)) {
            tamsin.signIn("Tamsin Orrel")
                    .clickLink("What I can do")
                    .sees("Ropework")
                    .sees("What would show more");
            tamsin.isAccessible("What I can do").hasNoErrors();
        }
    }
}
