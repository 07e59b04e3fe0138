package org.scholion.e2e;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.Keys;
import org.openqa.selenium.support.ui.Select;
import org.scholion.server.testing.Scholion;

/** A paper of other kinds, from a file, answered on a phone. */
@ExtendWith(Scholion.class)
class KindsTest {
    @TempDir
    Path dir;

    @Test
    void a_key_comes_in_from_a_file_and_its_matching_ordering_blanks_and_mathematics_are_answered_on_a_phone(
            Scholion.Running school) throws IOException {
        Path demo = Path.of(System.getProperty("scholion.root"), "server/src/main/resources/demo/reckoning.json");
        Path file = dir.resolve("worked.json");
        Files.writeString(file, Files.readString(demo).replace("Dead reckoning by hand", "Worked on a phone"));
        try (Browser aud = new Browser(school.address(), 1280, 800);
                Browser lotte = new Browser(school.address(), 360, 740)) {
            aud.signIn("Aud Meller").sees("piles are waiting").open("/courses").sees("Collision rules");
            aud.field("An assessment file").sendKeys(file.toString());
            aud.sees("Worked on a phone").sees("Save the key as a file");
            aud.clickButton("Give out to Section A").sees("not started");
            answer(lotte);
            aud.open("/courses").sees("Worked on a phone").hasNoErrors();
            lotte.hasNoErrors();
        }
    }

    private static void answer(Browser lotte) {
        lotte.signIn("Lotte Marrin").click("li[contains(., 'Worked on a phone')]//button", "Begin");
        lotte.sees("Question 1 of 7");
        new Select(lotte.field("port goes with")).selectByVisibleText("red");
        new Select(lotte.field("starboard goes with")).selectByVisibleText("green");
        lotte.sees("Saved").isAccessible("Sitting, matching").clickButton("Next");
        lotte.sees("Which comes first?").clickButton("plot them").clickButton("take the bearings");
        lotte.clickLabelled("Move take the bearings up").sees("Saved").isAccessible("Sitting, order");
        lotte.clickButton("Next").sees("A knot is one");
        lotte.field("Blank 1").sendKeys("nautical mile");
        lotte.sees("Saved")
                .clickButton("Next")
                .clickButton("Copy the sentence here")
                .sees("Saved");
        lotte.isAccessible("Sitting, correction").clickButton("Next");
        lotte.field("Your answer").sendKeys("2 + vt");
        lotte.sees("Saved").clickButton("Next");
        lotte.field("Your working, one line for each step").sendKeys("3t + 6 = 21", Keys.ENTER, "t = 5");
        lotte.sees("Saved").isAccessible("Sitting, working").clickButton("Next");
        lotte.field("Your answer").sendKeys("15 NM");
        lotte.sees("Saved").clickButton("Check and hand in").sees("Every question has an answer.");
        lotte.clickButton("Hand in").sees("You have handed this in.");
    }
}
