package org.scholion.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.TestDatabase;

/** A school begins on an empty database and has a scored assessment, as new users would do it. */
class FromNothingTest {
    private static Path example(String name) {
        return TestDatabase.root().resolve("docs/examples").resolve(name);
    }

    @Test
    void from_an_empty_database_to_a_class_that_has_signed_in_and_an_assessment_scored_from_a_spreadsheet()
            throws IOException {
        try (Scholion.Running school = Scholion.Running.empty();
                Browser berit = new Browser(school.address(), 1280, 800);
                Browser aud = new Browser(school.address(), 1280, 800);
                Browser tamsin = new Browser(school.address(), 360, 740)) {
            berit.open("/").sees("There is no school here yet.").isAccessible("No school yet");
            begins(berit, school.wordToBegin());
            enters(aud, invites(berit));
            makesACourse(aud);
            String code = bringsInARoster(aud);
            signsIn(tamsin, code);
            looksLikeItself(berit, tamsin);
            scores(aud);
            berit.open("/record").sees("Berit Straum").sees("made the course “Coastal Navigation”");
            berit.isAccessible("Who did what").hasNoErrors();
            aud.hasNoErrors();
        }
    }

    /** What is chosen as the school's own look is what its students see. */
    private static void looksLikeItself(Browser berit, Browser tamsin) {
        berit.open("/school")
                .type("A sign of one to three letters (may be left empty)", "HB")
                .type("A colour, such as #1f4e5f (may be left empty)", "#5a2a6b")
                .clickButton("Save the school")
                .sees("Saved.")
                .seesNot("HB ");
        tamsin.open("/").sees("HB");
        assertThat(tamsin.evaluate("return getComputedStyle(document.querySelector("
                        + "'[title=\"Saltmarsh Harbour School\"]')).backgroundColor"))
                .isEqualTo("rgb(90, 42, 107)");
    }

    private static void begins(Browser berit, String word) {
        berit.open("/begin#" + word).sees("Begin your school").isAccessible("Begin");
        berit.type("Name of the school", "Saltmarsh Harbour School")
                .type("First name", "Berit")
                .type("Surname", "Straum")
                .type("Sign-in name", "berit.straum")
                .type("New password (at least 8 characters)", "a ledge at low water")
                .type("New password again", "a ledge at low water")
                .clickButton("Begin the school")
                .sees("Straum, Berit");
        berit.open("/begin#" + word).sees("People");
    }

    private static String invites(Browser berit) {
        berit.open("/people").clickButton("Add a person").isAccessible("A new person");
        berit.type("First name", "Aud").type("Surname", "Meller").clickButton("Add this person");
        berit.sees("aud.meller").clickButton("Make a link").sees("Give this link to Aud");
        berit.isAccessible("Person");
        return berit.valueOf("The link");
    }

    private static void enters(Browser aud, String link) {
        aud.open(link.substring(link.indexOf("/enter"))).sees("Welcome to Saltmarsh Harbour School, Aud Meller.");
        aud.isAccessible("Enter");
        aud.type("New password (at least 8 characters)", "buoys and no bells")
                .type("New password again", "buoys and no bells")
                .clickButton("Save password and sign in")
                .sees("Desk");
        aud.open("/courses").sees("No course yet.").isAccessible("Courses, none");
    }

    private static void makesACourse(Browser aud) {
        aud.type("Title of the course", "Coastal Navigation").clickButton("Make the course");
        aud.sees("Nobody is on this roster yet.").isAccessible("Roster, empty");
    }

    private static String bringsInARoster(Browser aud) throws IOException {
        aud.clickLink("Bring in a roster").sees("Bring in a roster from a file");
        aud.clickSummary("Or paste from a spreadsheet")
                .type("The pasted rows, with their headings", Files.readString(example("roster.csv")))
                .clickButton("Read the pasted rows");
        aud.sees("52 new").isAccessible("Bring in a roster").clickButton("Bring in 52 students");
        aud.sees("52 students of the file are now on the rosters.").clickButton("See the rosters");
        aud.sees("Orrel, Tamsin").isAccessible("Roster");
        aud.clickButton("Print codes for 52 students without a password").sees("52 slips to print and cut");
        aud.isAccessible("Slips");
        String slips = aud.text();
        String slip = slips.substring(slips.indexOf("Tamsin Orrel"));
        String code = slip.substring(slip.indexOf("Code: ") + 6).substring(0, 9);
        assertThat(code).matches("[2-9A-Z]{4}-[2-9A-Z]{4}");
        aud.clickButton("Done").sees("Orrel, Tamsin");
        return code;
    }

    private static void signsIn(Browser tamsin, String code) {
        tamsin.open("/").type("Sign-in name", "tamsin.orrel");
        tamsin.type("Password, or the code on your slip", code.toLowerCase(java.util.Locale.ROOT))
                .clickButton("Sign in")
                .sees("This code lets you in once.")
                .isAccessible("Choose a password");
        tamsin.type("New password (at least 8 characters)", "red right returning")
                .type("New password again", "red right returning")
                .clickButton("Save password and sign in")
                .sees("To do");
    }

    private static void scores(Browser aud) {
        aud.open("/courses").sees("Coastal Navigation");
        aud.clickButton("Write a key")
                .type("Title of the assessment", "Evening test")
                .clickButton("Write its key");
        aud.sees("Evening test");
        String assessment = aud.path().replaceFirst("/key.*", "");
        aud.open(assessment + "/bring-in").choose(example("evening-test.csv")).sees("Make 11 questions");
        aud.isAccessible("Questions from a file").clickButton("Make 11 questions");
        aud.sees("What will be brought in").isAccessible("Bring in");
        aud.clickButton("The last counts");
        aud.sees("Decided").clickButton("Bring in answers from");
        aud.sees("are in.").clickLink("See them in Collect").sees("from a file");
        aud.open(assessment + "/hand-back").sees("What Wanda Ambler will see").sees("of 11");
    }
}
