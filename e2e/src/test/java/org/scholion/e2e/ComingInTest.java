package org.scholion.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.PersonBody;
import org.scholion.server.testing.Scholion;

/** People who are invited by mail, frameworks from a paste, and files of answers that are taken back. */
@ExtendWith(Scholion.class)
class ComingInTest {
    @TempDir
    Path dir;

    @Test
    void a_colleague_is_invited_by_mail_and_chooses_a_password_from_the_letter(Scholion.Running school) {
        try (Browser berit = new Browser(school.address(), 1280, 800);
                Browser sanna = new Browser(school.address(), 1280, 800)) {
            sanna.open("/mail").sees("Letters of the demo");
            berit.signIn("Berit Straum").open("/people?person=new").sees("A new person");
            berit.type("First name", "Sanna")
                    .type("Surname", "Vik")
                    .type("E-mail", "sanna.vik@harbour.example")
                    .clickButton("Add this person");
            berit.sees("sanna.vik").clickButton("Invite by mail").sees("Invited by mail, ");
            berit.sees("· invited ").isAccessible("Invited");
            sanna.sees("sanna.vik@harbour.example").isAccessible("Letters");
            sanna.clickButton("Your password for Scholion at")
                    .sees("Dear Sanna Vik,")
                    .isAccessible("A letter");
            String link = String.valueOf(sanna.evaluate(
                    "return [...document.querySelectorAll('a')].find(a => a.href.includes('/enter')).href"));
            sanna.open(link.substring(link.indexOf("/enter"))).sees("Welcome to");
            sanna.type("New password (at least 8 characters)", "the cook is ashore")
                    .type("New password again", "the cook is ashore")
                    .clickButton("Save password and sign in");
            sanna.sees("Desk").hasNoErrors();
            berit.open("/record").sees("invited by mail: Sanna Vik").hasNoErrors();
        }
    }

    @Test
    void a_framework_is_pasted_as_an_outline_and_its_tree_is_seen_before_it_is_stored(Scholion.Running school) {
        try (Browser aud = new Browser(school.address(), 1280, 800)) {
            aud.signIn("Aud Meller").open("/standards").clickLink("Bring one in from a file");
            aud.sees("You see the tree before anything is stored.").isAccessible("A framework, before");
            aud.clickSummary("Or paste from a spreadsheet")
                    .type(
                            "The pasted rows, with their headings",
                            "code,text\nK,Knots\nK1,Loops\nK1,Loops\nK2.1,Bends\n,Hitches\n")
                    .clickButton("Read the pasted rows");
            aud.sees("4 standards")
                    .sees("K1 is there twice with the same words; it comes in once")
                    .sees("'Hitches' has no code; it comes in as N1")
                    .isAccessible("A framework, found");
            aud.type("Title", "Knots of the harbour").clickButton("Take 4 standards");
            aud.sees("Knots of the harbour 1").sees("Loops").isAccessible("Standards, three frameworks");
            aud.hasNoErrors();
            String page = String.valueOf(aud.evaluate("return location.pathname"));
            school.as("Aud Meller")
                    .delete("/api" + page.replace("/standards/", "/frameworks/"))
                    .ok();
        }
    }

    @Test
    void a_file_of_answers_is_taken_back_with_what_goes_said_before(Scholion.Running school) throws IOException {
        Lesson lesson = Lesson.written(school, "Brought in and back");
        Path file = dir.resolve("two.csv");
        Files.writeString(
                file,
                "student,q1,q2,q3,q4\nLotte Marrin,a,bowline,10 nmi,because\nTamsin Orrel,b,reef knot,9 nmi,so\n");
        String page = lesson.path("").replace("/api/assessments", "/a");
        try (Browser aud = new Browser(school.address(), 1280, 800)) {
            aud.signIn("Aud Meller").open(page + "/bring-in").choose(file).sees("2 students");
            aud.clickButton("Bring in").sees("Answers from 2 students are in.");
            aud.open(page + "/collect").sees("two.csv").sees("handed in").clickButton("Take back");
            aud.sees("Answers and marks of 2 students go.").isAccessible("Taking a file back");
            aud.clickButton("Keep it").seesNot("Answers and marks of 2 students go.");
            aud.clickButton("Take back")
                    .clickButton("Take it back")
                    .sees("Not given out yet.")
                    .sees("taken back");
            aud.hasNoErrors();
        }
        assertThat(lesson.teacher.get(lesson.path("/collect")).ok().get("in").intValue())
                .isZero();
    }

    @Test
    void two_people_who_are_one_are_made_one_and_who_is_erased_has_no_name(Scholion.Running school) {
        try (Browser berit = new Browser(school.address(), 1280, 800)) {
            berit.signIn("Berit Straum");
            String last = "";
            for (String number : List.of("0880123", "880123")) {
                last = new PersonBody("STUDENT", "Oddny", "Brekke")
                        .with("number", number)
                        .add(school.as("Berit Straum"))
                        .get("id")
                        .stringValue();
            }
            berit.open("/people?person=" + last);
            berit.sees("Perhaps the same person").clickButton("They are the same");
            berit.sees("become those of this person.").isAccessible("Perhaps the same person");
            berit.clickButton("Make them one").seesNot("Perhaps the same person");
            berit.clickButton("Erase who this is").sees("Answers and marks stay without a name.");
            berit.type("Type the name to erase it", "oddny brekke").isAccessible("Erasing");
            berit.clickButton("Erase").sees("Former").seesNot("Brekke, Oddny").hasNoErrors();
        }
    }
}
