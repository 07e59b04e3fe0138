package org.scholion.e2e;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.Keys;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;

/** Who is on no roster comes in by the short link, after the form that the teacher made. */
@ExtendWith(Scholion.class)
class GuestsTest {
    @Test
    void a_guest_fills_in_the_form_takes_the_sitting_and_comes_back_while_the_teacher_sees_who_they_are(
            Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Open day", "A");
        String sitting = "/a/" + lesson.id + "/sittings/" + lesson.sitting();
        try (Browser aud = new Browser(school.address(), 1280, 900);
                Browser phone = new Browser(school.address(), 360, 740)) {
            aud.signIn("Aud Meller").open(sitting);
            aud.select("Beside its students, by the short link:", "whoever has the link");
            aud.select("Asked for their class:", "yes, it has to be given");
            aud.select("Asked for an e-mail address:", "yes, it can be left empty");
            aud.clickButton("Add a field of your own").type("Field 1", "Name of your boat");
            aud.select("a calculator on the page:", "one with angles and logarithms");
            aud.isAccessible("Who comes beside the roster")
                    .clickButton("Save for Section A")
                    .sees("Nothing is changed.");

            String way = lesson.teacher
                    .get("/api/sittings/" + lesson.sitting())
                    .ok()
                    .at("/sitting/way")
                    .stringValue();
            phone.open("/s/" + way).sees("No slip, and no password?").isAccessible("Coming in as a guest");
            phone.type("Your first name", "Sunniva").type("Your surname", "Berg");
            phone.type("Your class", "9b");
            phone.type("Your e-mail address (may be left empty)", "sunniva" + Keys.TAB)
                    .sees("This is not an e-mail address yet");
            phone.type("Your e-mail address (may be left empty)", "sunniva@far.example");
            phone.type("Name of your boat (may be left empty)", "Kittiwake").clickButton("Come in as a guest");
            phone.sees("You are in, Sunniva Berg.").isAccessible("With what a guest comes back");
            String told = phone.text();
            String name = told.replaceFirst("(?s).*Name: (\\S+).*", "$1");
            String code = told.replaceFirst("(?s).*Code: (\\S+).*", "$1");
            phone.clickLink("Go on").sees("There is no time limit").clickButton("Begin");
            phone.sees("When is the range greatest?").clickButton("Calculator");
            phone.type("What to work out", "10×sin(30)+").clickButton("π").sees("= 8.14159265359");
            phone.isAccessible("Calculator").clickButton("Close the calculator");

            aud.open("/a/" + lesson.id + "/collect").sees("guest").clickButton("Berg, Sunniva");
            aud.sees("A guest, who came by the short link").sees("Kittiwake").sees("9b");

            try (Browser other = new Browser(school.address(), 360, 740)) {
                other.open("/s/" + way)
                        .type("Your number, or sign-in name", name)
                        .type("The code on your slip", code);
                other.clickButton("Come in").sees("Continue");
            }
        }
    }

    @Test
    void a_group_is_made_on_the_roster_and_chosen_in_one_go_for_a_sitting(Scholion.Running school) {
        Lesson lesson = Lesson.written(school, "For a group");
        try (Browser aud = new Browser(school.address(), 1280, 900)) {
            aud.signIn("Aud Meller").open("/courses").clickLink("Rosters and teachers");
            aud.clickButton("Make a group").type("Name of the group", "Bridge watch");
            aud.click("label", "Ambler, Wanda").click("label", "Fisk, Celeste");
            aud.isAccessible("A group").clickButton("Save the group").sees("2 students");
            aud.clickLabelled("Remove the group Bridge watch").sees("The group Bridge watch is removed.");
            aud.clickButton("Undo").seesNot("is removed").sees("Bridge watch");
            aud.open("/a/" + lesson.id + "/give-out").select("for", "chosen students");
            aud.clickButton("Add Bridge watch (2)").sees("2 of 26 have it");
        }
    }
}
