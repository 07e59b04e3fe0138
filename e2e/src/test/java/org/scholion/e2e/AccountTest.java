package org.scholion.e2e;

import java.util.Map;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.support.ui.Select;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Visitor;

/** One's own account, the administrator's page of the school, and the paper after it was handed in. */
@ExtendWith(Scholion.class)
class AccountTest {
    @Test
    void one_changes_ones_password_and_is_signed_out_everywhere_else_and_everywhere(Scholion.Running school) {
        try (Browser here = new Browser(school.address(), 1280, 800);
                Browser there = new Browser(school.address(), 1280, 800)) {
            there.signIn("Ines Calder");
            here.signIn("Ines Calder")
                    .clickLabelled("IC, Ines Calder")
                    .click("a", "Your account")
                    .sees("Change your password")
                    .isAccessible("Account");
            change(here, "not this one", "a ledge at low water", "a ledge at low");
            here.sees("The two new passwords differ.");
            change(here, "not this one", "a ledge at low water", "a ledge at low water");
            here.sees("this is not your password");
            change(here, "saltmarsh", "Trustno1", "Trustno1");
            here.sees("this one is tried first by whoever guesses");
            change(here, "saltmarsh", "a ledge at low water", "a ledge at low water");
            here.sees("Your password has changed. You are signed out everywhere else.")
                    .picture("account");
            there.open("/courses").sees("made-up school");
            there.signIn("Ines Calder");
            here.open("/account").clickButton("Sign out everywhere").sees("made-up school");
            there.open("/courses").sees("made-up school");
        }
    }

    private static void change(Browser browser, String current, String next, String again) {
        browser.type("Your password now", current)
                .type("New password (at least 8 characters)", next)
                .type("New password again", again)
                .clickButton("Change password");
    }

    @Test
    void an_administrator_sets_how_long_people_stay_signed_in_and_lets_somebody_try_again(Scholion.Running school) {
        ExecutorService guessing = Executors.newFixedThreadPool(12);
        try (Browser berit = new Browser(school.address(), 1280, 800)) {
            for (int i = 0; i < 12; i++) {
                Visitor guesser = school.anybody();
                guessing.execute(() ->
                        guesser.post("/api/session", Map.of("username", "ewan.pryce", "password", "a wrong one")));
            }
            berit.signIn("Berit Straum").sees("Ambler, Wanda").open("/school").sees("Let Ewan Pryce try again now");
            berit.isAccessible("School").picture("school");
            berit.clickButton("Let Ewan Pryce try again now").sees("Nobody has to wait at the moment.");
            berit.type("Minutes without doing anything (5 to 1440)", "3").clickButton("Save limits");
            berit.sees("from 5 to 1440");
            berit.type("Minutes without doing anything (5 to 1440)", "90").clickButton("Save limits");
            berit.sees("Saved. The limits hold now.").open("/school");
            berit.sees("How long people stay signed in").hasValue("Minutes without doing anything (5 to 1440)", "90");
            berit.type("Minutes without doing anything (5 to 1440)", "120").clickButton("Save limits");
            berit.sees("Saved. The limits hold now.");
        } finally {
            guessing.shutdownNow();
        }
    }

    @Test
    void the_paper_closes_when_it_is_handed_in_and_opens_when_the_teacher_says_so(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Closed paper", "A", "B");
        String attempt = lesson.sits("Ivo Lomas", null, "bowline", null, "Because it is low.")
                .attempt("Ivo Lomas");
        try (Browser ivo = new Browser(school.address(), 360, 740);
                Browser aud = new Browser(school.address(), 1280, 800)) {
            ivo.signIn("Ivo Lomas").open("/sit/" + attempt).sees("You have handed this in.");
            ivo.sees("The questions cannot be seen now.").seesNot("Which knot").isAccessible("Handed in");
            aud.signIn("Aud Meller").open("/a/" + lesson.id + "/sittings/" + lesson.sitting());
            aud.sees("How it is taken");
            new Select(aud.field("After handing in, students can see the questions")).selectByVisibleText("At once");
            aud.clickButton("Save for").sees("Nothing is changed.");
            ivo.open("/sit/" + attempt).sees("Which knot makes a fixed loop?").isAccessible("Handed in, open again");
            new Select(aud.field("After handing in, students can see the questions")).selectByVisibleText("Never");
            aud.clickButton("Save for").sees("Nothing is changed.");
            ivo.open("/sit/" + attempt)
                    .sees("The questions cannot be seen now.")
                    .seesNot("Which knot");
        }
    }
}
