package org.scholion.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.Keys;
import org.scholion.server.testing.Scholion;

/** From sign-in to the student's result and the gradebook, through the real interface. */
@ExtendWith(Scholion.class)
class SliceTest {
    @Test
    void a_teacher_writes_gives_out_settles_reads_and_hands_back_and_the_student_sees_why(Scholion.Running school) {
        try (Browser aud = new Browser(school.address(), 1280, 800);
                Browser tamsin = new Browser(school.address(), 360, 740)) {
            aud.signIn("Aud Meller").sees("piles are waiting");
            writeKey(aud);
            giveOut(aud);
            takeIt(aud, tamsin);
            settle(aud);
            read(aud);
            examine(aud);
            handBack(aud);
            result(tamsin);
            gradebook(aud);
            aud.hasNoErrors();
            tamsin.hasNoErrors();
        }
    }

    private static void writeKey(Browser aud) {
        aud.press("k").type("Title of the assessment", "Knots at night").clickButton("Write its key");
        aud.sees("Your items will appear here.");
        aud.press("c");
        aud.asks("When is the range of the tide greatest?");
        aud.type("text of option A", "At springs").type("text of option B", "At neaps");
        aud.type("text of option C", "At slack water").type("text of option D", "Never");
        aud.clickLabelled("option A is right").sees("“At springs” earns full credit");
        aud.click("label", "At neaps").sees("chose “At neaps”; the right answer is “At springs”");

        aud.press("t");
        aud.asks("Name the knot that makes a fixed loop.");
        aud.field("Add an accepted answer").sendKeys("bowline", Keys.ENTER);
        aud.type("Points", "2").field("Your answer").sendKeys("the Bowlin");
        aud.sees("one typing slip away from “bowline”");
        aud.field("Your answer").sendKeys(Keys.ENTER);
        aud.sees("Examples, checked again");

        aud.press("n");
        aud.asks("How far is 2 h at 5 kn?").clickButton("Type the value");
        aud.type("value", "10")
                .type("tolerance, such as 0.1 or 2%", "0.1")
                .type("Unit (leave empty for a number alone)", "nmi");
        aud.field("Your answer").sendKeys("18.52 km");
        aud.sees("10 is within 10 ± 0.1 (typed as 18.52 km)");

        aud.press("o");
        aud.asks("Why does the stream run?").type("Criterion", "Reasoning");
        aud.type("what level 0 means", "no cause")
                .type("what level 1 means", "a cause")
                .type("what level 2 means", "a chain");
        aud.field("Standards").sendKeys("T3", Keys.ENTER);
        aud.sees("Judges tidal streams").sees("Saved");
        aud.isAccessible("Key");
    }

    private static void giveOut(Browser aud) {
        aud.clickButton("Give out to Section A").sees("not started").sees("Orrel, Tamsin");
        aud.isAccessible("Collect");
    }

    private static void takeIt(Browser aud, Browser tamsin) {
        tamsin.signIn("Tamsin Orrel").sees("Knots at night").isAccessible("To do");
        tamsin.click("li[contains(., 'Knots at night')]//button", "Begin");
        tamsin.sees("Question 1 of 4").isAccessible("Sitting, choice");
        tamsin.click("label", "At springs").sees("Saved").clickButton("Next");
        tamsin.sees("Question 2 of 4").field("Your answer").sendKeys("rescue knot");
        tamsin.clickButton("Come back to this").sees("Saved").clickButton("Next");
        aud.sees("in progress");
        tamsin.field("Your answer").sendKeys("10 nmi");
        tamsin.offline(true).field("Your answer").sendKeys(" ");
        tamsin.sees("No connection. You can keep working.").offline(false).sees("Saved");
        tamsin.clickButton("Next").field("Your answer").sendKeys("Because the level falls fastest in the middle.");
        tamsin.isAccessible("Sitting, open").clickButton("Check and hand in");
        tamsin.sees("Every question has an answer.")
                .sees("You wanted to come back to these:")
                .isAccessible("Check");
        tamsin.clickButton("Hand in").sees("You have handed this in.");
        // The monitor has heard of it without being loaded again.
        aud.sees("1 handed in").sees("0 in progress");
    }

    private static void settle(Browser aud) {
        aud.clickLink("Settle")
                .sees("rescue knot")
                .sees("1 student goes up. Nobody goes down.")
                .isAccessible("Settle");
        aud.press("2").sees("If you give half credit").press(Keys.ENTER).sees("No doubts are left here.");
        aud.press("u")
                .sees("rescue knot")
                .press("2")
                .sees("If you give half credit")
                .press(Keys.ENTER);
        aud.sees("No doubts are left here.");
    }

    private static void read(Browser aud) {
        aud.clickLink("Read")
                .sees("Because the level falls fastest")
                .seesNot("Tamsin")
                .isAccessible("Read");
        aud.press("/").field("Comment for the student").sendKeys("Why does that make a stream?");
        aud.press("2", Keys.ENTER).sees("all read").sees("4 of 4");
    }

    private static void examine(Browser aud) {
        aud.clickLink("Examine")
                .sees("1 of 26 students")
                .sees("reliability (α)")
                .sees("–")
                .isAccessible("Examine");
    }

    private static void handBack(Browser aud) {
        aud.clickLink("Hand back")
                .sees("What Tamsin Orrel will see")
                .sees("7 of 8")
                .sees("87.5%")
                .isAccessible("Hand back");
        aud.clickButton("Hand back to 1").sees("Handed back to 1.").sees("handed back, unchanged");
    }

    private static void result(Browser tamsin) {
        tamsin.open("/results").sees("Knots at night").isAccessible("Results").clickLink("Knots at night");
        tamsin.sees("7 of 8 · 87.5% Secure").sees("rescue knot").sees("1 of 2").sees("matches an accepted answer");
        tamsin.sees("Why does that make a stream?")
                .sees("decided by Aud Meller")
                .sees("Decided by the answer key");
        tamsin.isAccessible("Result");
        tamsin.clickButton("Ask about a mark").type("What would you like to ask?", "Is a rescue knot not a bowline?");
        tamsin.clickButton("Send to my teacher").sees("Waiting for your teacher's reply");
    }

    private static void gradebook(Browser aud) {
        aud.clickLink("Gradebook").sees("Knots at night");
        aud.click("tr[contains(., 'Orrel, Tamsin')]//button[contains(., '87.5')]/self::*", "87.5");
        aud.sees("How this score was worked out")
                .sees("7 of 8 · 87.5% Secure")
                .sees("matches “rescue knot”")
                .isAccessible("Gradebook");
        aud.clickLink("Desk").sees("Is a rescue knot not a bowline?").isAccessible("Desk");
        assertThat(aud.text()).contains("query from a student");
    }
}
