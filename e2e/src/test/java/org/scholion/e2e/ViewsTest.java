package org.scholion.e2e;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.Keys;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.TestDatabase;
import tools.jackson.databind.JsonNode;

/** Every main view on the demo's data, at the sizes that people have, with axe; and the pictures of the README. */
@ExtendWith(Scholion.class)
class ViewsTest {
    private static String section(Scholion.Running school, String assessment, String letter) {
        for (JsonNode s : school.as("Aud Meller")
                .get("/api/assessments/" + assessment.substring(3))
                .ok()
                .get("sections")) {
            if (s.get("name").stringValue().endsWith(letter)) {
                return "?section=" + s.get("id").stringValue();
            }
        }
        throw new AssertionError(letter);
    }

    @Test
    void the_teachers_views_are_whole_and_accessible(Scholion.Running school) {
        String tides = Papers.demo(school, "Tides and tidal streams");
        String b = section(school, tides, "B");
        try (Browser aud = new Browser(school.address(), 1280, 800)) {
            aud.open("/").sees("made-up school").isAccessible("Sign in");
            aud.signIn("Aud Meller")
                    .sees("piles are waiting")
                    .isAccessible("Desk")
                    .picture("desk");
            aud.open("/courses").sees("Collision rules").isAccessible("Course").picture("course");
            aud.open(tides + "/key?item=q3").sees("How this scores").sees("Known wrong answers");
            aud.field("Your answer").sendKeys("the Bow line");
            aud.sees("matches the pattern").isAccessible("Key").picture("key");
            aud.open(Papers.demo(school, "Passage planning") + "/collect")
                    .sees("closes in")
                    .isAccessible("Collect")
                    .picture("collect");
            aud.clickLink("The sitting of Section A").sees("half as long again");
            aud.isAccessible("The sitting").picture("sitting");
            aud.open(tides + "/collect" + b).sees("Late answers").isAccessible("Collect with a late answer");
            aud.picture("late-answers");
            aud.open(tides + "/settle" + b)
                    .sees("a bow line hitch")
                    .sees("Nobody goes down.")
                    .isAccessible("Settle")
                    .picture("settle");
            aud.open(tides + "/read" + b)
                    .sees("Show names")
                    .press("2", "1")
                    .isAccessible("Read")
                    .picture("read");
            aud.open(Papers.demo(school, "Lights and shapes") + "/examine")
                    .sees("stronger students do worse")
                    .isAccessible("Examine")
                    .picture("examine");
            aud.clickLink("Students × questions")
                    .sees("Coyle, Yorick")
                    .click("td[@role='gridcell']", "○")
                    .sees("The whole copy");
            aud.isAccessible("Students by questions").picture("students-questions");
            aud.open(Papers.demo(school, "Buoyage") + "/hand-back")
                    .sees("What they see")
                    .sees("Decided by the answer key");
            aud.isAccessible("Hand back").picture("hand-back");
            aud.open("/queries").sees("Noor Haddix").isAccessible("Queries").picture("queries");
            aud.open("/standards").sees("Coastal Skills").isAccessible("Standards");
            aud.clickButton("Edit the tree").sees("Add below").isAccessible("Standards, changed");
            aud.open("/gradebook")
                    .sees("Ambler, Wanda")
                    .click("td/button", "36.4")
                    .sees("Question by question");
            aud.isAccessible("Gradebook").picture("gradebook");
            aud.hasNoErrors();
        }
    }

    @Test
    void the_views_of_a_key_and_the_bank_are_whole_and_accessible(Scholion.Running school) {
        String letters = Papers.demo(school, "Collision rules, printed paper");
        String approach = Papers.demo(school, "Harbour approach");
        try (Browser aud = new Browser(school.address(), 1280, 800)) {
            aud.signIn("Aud Meller").open(letters + "/key?view=letters").sees("25 of 25");
            aud.sees("25 questions, 29 points").isAccessible("Letter key").picture("letter-key");
            aud.open(approach + "/key?view=paper")
                    .sees("200 draws compared")
                    .isAccessible("Paper")
                    .picture("paper");
            aud.open(letters + "/key?view=sets")
                    .clickButton("Suggest sets for every threshold")
                    .sees("exactly 75%")
                    .sees("29 / 29");
            aud.isAccessible("Answer sets");
            aud.open(letters + "/key?view=in")
                    .sees("Or type or paste questions")
                    .isAccessible("Bring in questions");
            aud.open(approach + "/key?item=q5").sees("Drag on the picture").isAccessible("Key, on a picture");
            aud.open(approach + "/key?item=q4").sees("Examples, checked again").isAccessible("Key, blanks");
            aud.open("/bank").sees("How often is high water").isAccessible("Bank");
            aud.type("words in the item", "spring tide").sees("mean score");
            aud.open("/bank")
                    .type("words in the item", "compass course")
                    .sees("0.")
                    .picture("bank");
            aud.open("/bank?view=rubrics").sees("new criterion “Source”").isAccessible("Rubrics");
            aud.open("/standards").clickLink("from Coastal Skills 1").sees("Items that still use older standards");
            aud.sees("Update").isAccessible("Crosswalk").picture("crosswalk").hasNoErrors();
        }
    }

    @Test
    void a_roster_file_shows_who_is_new_moved_renamed_or_in_doubt_before_anything_changes(Scholion.Running school) {
        try (Browser aud = new Browser(school.address(), 1280, 800)) {
            aud.signIn("Aud Meller")
                    .open("/courses")
                    .sees("Rosters and teachers")
                    .isAccessible("Course, teacher");
            aud.clickLink("Rosters and teachers").sees("Orrel, Tamsin").isAccessible("Rosters");
            aud.clickLink("Bring in a roster").choose(TestDatabase.root().resolve("docs/examples/roster-autumn.csv"));
            aud.sees("possible twin")
                    .sees("has lost digits")
                    .isAccessible("Roster from a file")
                    .picture("roster-in");
            aud.clickButton("The same person").sees("renamed").hasNoErrors();
        }
    }

    @Test
    void a_file_is_shown_with_what_each_column_is_taken_for_before_anything_comes_in(Scholion.Running school) {
        var file = TestDatabase.root().resolve("docs/examples/evening-test.csv");
        try (Browser aud = new Browser(school.address(), 1280, 800)) {
            aud.signIn("Aud Meller")
                    .open(Papers.demo(school, "Evening test") + "/bring-in")
                    .choose(file);
            aud.sees("is taken for the key")
                    .sees("to decide")
                    .isAccessible("Bring in")
                    .picture("bring-in");
            aud.clickButton("The last counts").sees("Decided");
            aud.clickButton("Bring in answers from").sees("are in.").clickLink("See them in Collect");
            aud.sees("from a file");
            aud.hasNoErrors();
        }
    }

    @Test
    void the_students_pages_fit_a_phone(Scholion.Running school) {
        try (Browser yuki = new Browser(school.address(), 360, 740)) {
            yuki.signIn("Yuki Tarn")
                    .sees("Passage planning")
                    .isAccessible("To do")
                    .picture("student-to-do");
            yuki.clickButton("Continue").sees("Question 1 of 7").isAccessible("Sitting");
            yuki.clickButton("Next").isAccessible("Sitting, number").picture("student-sitting");
        }
        try (Browser noor = new Browser(school.address(), 360, 740)) {
            noor.signIn("Noor Haddix")
                    .open("/results")
                    .clickLink("Chartwork check 4")
                    .sees("Decided by the answer key");
            noor.isAccessible("Result").picture("student-result");
        }
    }

    @Test
    void the_administrator_sees_the_people(Scholion.Running school) {
        try (Browser berit = new Browser(school.address(), 1280, 800)) {
            berit.signIn("Berit Straum")
                    .type("Part of a name, number or e-mail", "ambler")
                    .sees("Ambler, Wanda")
                    .isAccessible("People");
        }
    }

    @Test
    void keys_and_the_finder_are_at_hand_everywhere(Scholion.Running school) {
        try (Browser aud = new Browser(school.address(), 1280, 800)) {
            aud.signIn("Aud Meller")
                    .sees("piles are waiting")
                    .press("?")
                    .sees("Shortcuts are off while you type in a field.");
            aud.press(Keys.ESCAPE).pressCtrl("k");
            aud.field("Find").sendKeys("Haddix");
            aud.sees("Noor Haddix").isAccessible("Finder");
        }
    }

    @Test
    void the_teachers_margin_slides_up_on_a_narrow_screen(Scholion.Running school) {
        try (Browser aud = new Browser(school.address(), 390, 780)) {
            aud.signIn("Aud Meller").sees("piles are waiting").clickButton("Show the margin");
            aud.sees("Coming up").isAccessible("Desk on a narrow screen");
        }
    }
}
