package org.scholion.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.Keys;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;

/** What the answers tell, and what is done about a question that did not work. */
@ExtendWith(Scholion.class)
class ExamineTest {
    @Test
    void a_wrong_key_is_found_mended_after_a_look_and_undone_by_keyboard(Scholion.Running school) {
        Lesson lesson = Lesson.withAWrongKey(school, "A key to mend", "A");
        try (Browser aud = new Browser(school.address(), 1280, 1600)) {
            aud.signIn("Aud Meller")
                    .open("/a/" + lesson.id + "/examine")
                    .sees("the key may be wrong")
                    .sees("2 marks are not decided yet and count as 0 here")
                    .sees("they could raise the mean by up to 1¾.");
            aud.press("1").sees("3 students go up. Nobody goes down.").sees("Correlation with the rest:");
            assertThat(lesson.edition()).as("only looked at").isEqualTo(1);
            aud.isAccessible("Examine, what can be done").clickButton("Make edition 2");
            aud.sees("Done: question 1 accepts “At neaps” too.");
            assertThat(lesson.mark("Noor Haddix", "q1").get("points").stringValue())
                    .isEqualTo("1");
            aud.open("/a/" + lesson.id + "/examine")
                    .sees("Done: question 1")
                    .press("u")
                    .seesNot("Done: question 1");
            assertThat(lesson.mark("Noor Haddix", "q1").get("points").stringValue())
                    .isEqualTo("0");
            aud.type("Percentage points to add for everyone", "5").sees("4 students go up.");
            aud.clickButton("Make edition").sees("Done: +5 percentage points for everyone.");
            aud.press("u").seesNot("Done: +5").hasNoErrors();
        }
    }

    @Test
    void each_kind_of_question_opens_with_its_answers(Scholion.Running school) {
        Lesson lesson = Lesson.withAWrongKey(school, "Opened", "A");
        String examine = "/a/" + lesson.id + "/examine?answers=1&item=";
        try (Browser aud = new Browser(school.address(), 1280, 1400)) {
            aud.signIn("Aud Meller").open(examine + "q1").sees("middle third").isAccessible("Examine, a choice");
            aud.open(examine + "q2")
                    .sees("3 of 4 answered. 2 different answers.")
                    .sees("clove hitch")
                    .isAccessible("Examine, typed answers");
            aud.open(examine + "q3").sees("Accepted: 10 ± 0.1.").isAccessible("Examine, numbers on a line");
            aud.open(examine + "q4").sees("Reasoning").sees("a cause").isAccessible("Examine, levels");
            aud.press(Keys.ENTER)
                    .seesNot("a cause")
                    .press(Keys.ENTER)
                    .sees("a cause")
                    .hasNoErrors();
        }
    }

    @Test
    void a_cell_opens_its_answer_arrows_move_and_a_mark_is_overruled_from_the_table(Scholion.Running school) {
        Lesson lesson = Lesson.withAWrongKey(school, "Cells", "A");
        try (Browser aud = new Browser(school.address(), 1280, 1400)) {
            aud.signIn("Aud Meller")
                    .open("/a/" + lesson.id + "/examine/students")
                    .sees("Orrel, Tamsin")
                    .sees("How to read this");
            aud.isAccessible("Examine, students by questions");
            aud.focusFirst("[role=gridcell]").keys(Keys.ENTER).sees("The whole copy");
            aud.keys(Keys.ARROW_RIGHT).sees("When is the range greatest?").sees("No points for 1");
            aud.clickLabelled("Question 1: When is the range greatest?").sees("3 students have no points for 1.");
            aud.isAccessible("Examine, who missed what").clickButton("Make a group of 3 students");
            aud.sees("The group “Missed 1” is made.");
            aud.clickButton("Hide names").sees("Student 1").seesNot("Orrel, Tamsin");
            aud.clickButton("Hide names").sees("Orrel, Tamsin").hasNoErrors();
        }
    }

    @Test
    void sections_stand_side_by_side_and_one_alone_says_so(Scholion.Running school) {
        Lesson lesson = Lesson.withAWrongKey(school, "Two sections", "A", "B");
        try (Browser aud = new Browser(school.address(), 1280, 900)) {
            String sections = "/a/" + lesson.id + "/examine/sections";
            aud.signIn("Aud Meller").open(sections).sees("There is only one section to look at.");
            lesson.sits("Kofi Sande", List.of("a"), "bowline", "10 nmi", null)
                    .sits("Rosa Ellery", List.of("a"), "bowline", "10", null);
            aud.open(sections).sees("Section A less Section B").sees("at equal ability");
            aud.press("j")
                    .sees("Which knot makes a fixed loop?")
                    .isAccessible("Examine, sections")
                    .hasNoErrors();
        }
    }

    @Test
    void reports_and_tables_are_offered_and_say_what_they_hold(Scholion.Running school) {
        Lesson lesson = Lesson.withAWrongKey(school, "To print", "A");
        try (Browser aud = new Browser(school.address(), 1280, 900)) {
            aud.signIn("Aud Meller").open("/a/" + lesson.id + "/examine").clickLink("Reports");
            aud.sees("Report of this paper (PDF)").sees("A report for each student (PDF)");
            aud.click("label", "With students’ names").sees("in no order that tells who they are");
            aud.seesNot("A report for each student (PDF)")
                    .isAccessible("Examine, reports")
                    .hasNoErrors();
        }
    }
}
