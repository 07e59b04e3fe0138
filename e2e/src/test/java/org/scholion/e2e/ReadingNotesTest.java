package org.scholion.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.Keys;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;

/** What a reader points at, what is pointed out to them, and the ways in which a pile is gone through. */
@ExtendWith(Scholion.class)
class ReadingNotesTest {
    private static final String SAID = "The stream turns when the narow gate fills , and then it runs.";

    @Test
    void words_take_a_comment_and_a_short_mark_by_the_keyboard_and_the_student_reads_them_at_their_place(
            Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Words pointed at", "A").sits("Noor Haddix", null, null, null, SAID);
        try (Browser aud = new Browser(school.address(), 1280, 1400);
                Browser noor = new Browser(school.address(), 360, 740)) {
            aud.signIn("Aud Meller").open("/a/" + lesson.id + "/read").sees("Private note");
            aud.press("1", "1").sees("Saved.");
            aud.press("w").press(Keys.ARROW_RIGHT).sees("On these words").isAccessible("Read, words chosen");
            aud.press(Keys.ENTER).keys("Which stream, {given name}?").keys(Keys.ENTER);
            aud.sees("Which stream, {given name}?").sees("Saved.");
            aud.press("w").press(Keys.ARROW_RIGHT, Keys.ARROW_RIGHT).press("c").sees("Saved.");
            aud.open("/a/" + lesson.id + "/read")
                    .sees("Which stream, {given name}?")
                    .sees("clear");
            lesson.handsBack("Noor Haddix").ok200();
            noor.signIn("Noor Haddix").open("/results").clickLink("Words pointed at");
            noor.sees("Which stream, Noor?").sees("clear").isAccessible("A result with comments on words");
            aud.press("u").seesNot("clear").hasNoErrors();
            noor.hasNoErrors();
        }
    }

    @Test
    void hints_point_out_slips_and_words_that_are_looked_for_and_each_can_be_turned_off(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Pointed out", "A").sits("Noor Haddix", null, null, null, SAID);
        try (Browser aud = new Browser(school.address(), 1280, 1400)) {
            aud.signIn("Aud Meller").open("/a/" + lesson.id + "/read").sees("1 spelling (narrow?)");
            aud.sees("1 blank at a sign").clickSummary("Hints for this question");
            aud.type("Words that are looked for, one on each line", "gates\nebb")
                    .clickButton("Look for these words");
            aud.sees("gates (in another form)").sees("not found: ebb").isAccessible("Read with hints");
            aud.click("label", "spelling, capitals and signs of English").seesNot("1 spelling (narrow?)");
            aud.hasNoErrors();
            assertThat(lesson.answerOf("Noor Haddix", "q4")
                            .get("mark")
                            .get("state")
                            .stringValue())
                    .isEqualTo("read");
        }
    }

    @Test
    void a_pile_is_read_by_student_typed_in_quickly_and_looked_at_when_it_is_read(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Ways through a pile", "A")
                .sits("Noor Haddix", null, null, null, SAID)
                .sits("Asa Quayle", null, null, null, SAID)
                .sits("Lotte Marrin", null, null, null, "No idea.");
        try (Browser aud = new Browser(school.address(), 1280, 1400)) {
            aud.signIn("Aud Meller").open("/a/" + lesson.id + "/read").sees("Private note");
            aud.clickLink("By student").sees("student 1").isAccessible("Read by student");
            aud.press("1", "1", Keys.ENTER).sees("2 of 3 unread").sees("student 2");
            aud.clickLink("Quick entry")
                    .clickButton("Show names")
                    .sees("Asa Quayle")
                    .isAccessible("Quick entry");
            aud.clickButton("Go to the next unread").keys("12").keys(Keys.ENTER).sees("2 digits, up to 11");
            aud.keys(Keys.BACK_SPACE).keys("0").keys(Keys.ENTER).sees("1 of 3 unread");
            aud.keys("00").keys(Keys.ENTER).sees("Nothing here is unread.");
            aud.clickLink("How it was read").sees("All 3 answers are read.").sees("points on average, of 5");
            aud.isAccessible("How it was read");
            // The last one: the first answer of the pile would be there without an address as well.
            String link = (String) aud.evaluate("const last = [...document.querySelectorAll('main a')]"
                    + ".filter(a => a.textContent === 'Read it again').pop(); last.click(); return last.search");
            aud.sees("Private note").sees(SAID);
            assertThat(aud.evaluate("const all = [...document.querySelectorAll('main button[aria-current]')];"
                            + "return String(1 + all.findIndex(b => b.ariaCurrent === 'true'))"))
                    .isEqualTo(link.replaceAll(".*answer=(\\d+).*", "$1"));
            aud.hasNoErrors();
        }
        int points = 0;
        for (String name : List.of("Noor Haddix", "Asa Quayle", "Lotte Marrin")) {
            points += Integer.parseInt(lesson.mark(name, "q4").get("points").stringValue());
        }
        assertThat(points).as("1 1, 1 0 and 0 0").isEqualTo(5 + 2);
    }

    @Test
    void an_answer_becomes_an_agreed_example_and_a_colleague_practises_on_it_before_reading(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Practised on", "A").sits("Noor Haddix", null, null, null, SAID);
        String read = "/a/" + lesson.id + "/read";
        try (Browser aud = new Browser(school.address(), 1280, 1600);
                Browser halvard = new Browser(school.address(), 1280, 1600)) {
            aud.signIn("Aud Meller")
                    .open(read)
                    .sees("Private note")
                    .press("1", "0")
                    .sees("Saved.");
            aud.clickSummary("Agreed examples").type("Why it is worth that, for those who read", "A cause is named.");
            aud.clickButton("Make this answer an example")
                    .sees("1 agreed example")
                    .sees("1 · 0");
            aud.isAccessible("Read, agreed examples").hasNoErrors();
            halvard.signIn("Halvard Quist").open(read).sees("Private note").clickSummary("1 agreed example");
            halvard.clickLink("Practise on them").sees("example 1 of 1").seesNot("A cause is named.");
            halvard.press("1", "1", Keys.ENTER)
                    .sees("Agreed: 1 · 0. Yours: 1 · 1.")
                    .sees("A cause is named.");
            halvard.sees("So far you chose the agreed level on 1 of 2 criteria.")
                    .isAccessible("Practice");
            halvard.press(Keys.ENTER).sees("These were all examples.").hasNoErrors();
            assertThat(lesson.mark("Noor Haddix", "q4").get("points").stringValue())
                    .as("practice moves no mark")
                    .isEqualTo("2");
        }
    }

    @Test
    void a_comment_on_words_and_words_that_are_looked_for_stay_on_the_device_until_they_are_sent(
            Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Half typed", "A").sits("Noor Haddix", null, null, null, SAID);
        String read = "/a/" + lesson.id + "/read";
        try (Browser aud = new Browser(school.address(), 1280, 1400)) {
            aud.signIn("Aud Meller").open(read).sees("Private note").press("w");
            aud.press(Keys.ENTER).keys("Which stre").open(read).sees("On these words");
            aud.hasValue("Comment on these words, for the student", "Which stre");
            aud.clickButton("Leave the words").open(read).seesNot("On these words");
            aud.clickSummary("Hints for this question");
            aud.type("Words that are looked for, one on each line", "ebb").open(read);
            aud.clickSummary("Hints for this question")
                    .hasValue("Words that are looked for, one on each line", "ebb")
                    .hasNoErrors();
        }
    }

    @Test
    void what_two_type_quickly_of_one_answer_is_told_and_the_later_decides(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Typed by two", "A").sits("Noor Haddix", null, null, null, SAID);
        String quick = "/a/" + lesson.id + "/read?way=quick&names=shown";
        try (Browser aud = new Browser(school.address(), 1280, 1000);
                Browser halvard = new Browser(school.address(), 1280, 1000)) {
            aud.signIn("Aud Meller").open(quick).sees("Noor Haddix");
            halvard.signIn("Halvard Quist").open(quick).sees("Noor Haddix");
            aud.clickButton("Go to the next unread").keys("11").keys(Keys.ENTER).sees("Nothing here is unread.");
            halvard.clickButton("Go to the next unread").keys("10").keys(Keys.ENTER);
            halvard.sees("Read meanwhile as 11. Enter saves yours in its place, Esc keeps theirs.");
            halvard.keys(Keys.ENTER).seesNot("Read meanwhile").hasNoErrors();
            assertThat(lesson.mark("Noor Haddix", "q4").get("points").stringValue())
                    .isEqualTo("2");
            aud.hasNoErrors();
        }
    }

    @Test
    void what_is_typed_quickly_stays_on_the_device_while_the_line_is_lost(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Typed without a line", "A").sits("Noor Haddix", null, null, null, SAID);
        try (Browser aud = new Browser(school.address(), 1280, 1000)) {
            aud.signIn("Aud Meller")
                    .open("/a/" + lesson.id + "/read?way=quick&names=shown")
                    .sees("Noor Haddix");
            aud.clickButton("Go to the next unread").offline(true);
            aud.keys("11").keys(Keys.ENTER).sees("It stays on this device.");
            aud.offline(false).sees("Nothing here is unread.");
            assertThat(lesson.mark("Noor Haddix", "q4").get("points").stringValue())
                    .isEqualTo("5");
        }
    }
}
