package org.scholion.e2e;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.Keys;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;

/** What was done is taken back where it was done: by reading, by edit, by decision, by sitting. */
@ExtendWith(Scholion.class)
class UndoTest {

    @Test
    void reads_u_takes_back_press_after_press_and_goes_to_its_answer_also_after_a_reload(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Undone readings", "A")
                .sits("Noor Haddix", null, null, null, "Because one.")
                .sits("Lotte Marrin", null, null, null, "Because two.");
        try (Browser aud = new Browser(school.address(), 1280, 800)) {
            aud.signIn("Aud Meller")
                    .open("/a/" + lesson.id + "/read?names=shown")
                    .sees("2 of 2 unread");
            aud.sees("Because one.")
                    .press("1", "1", Keys.ENTER)
                    .sees("Because two.")
                    .sees("1 of 2 unread");
            aud.press("1", "1", Keys.ENTER).sees("all read");
            aud.press("u").sees("1 of 2 unread").sees("Because two.");
            aud.open("/a/" + lesson.id + "/read?names=shown").sees("Because two.");
            // Each level was a press of its own.
            aud.press("u").press("u").sees("2 of 2 unread").sees("Because one.").hasNoErrors();
        }
    }

    @Test
    void keys_undo_goes_by_edit_and_redo_brings_it_back(Scholion.Running school) {
        String paper = Papers.empty(school, "Undone edits");
        try (Browser aud = new Browser(school.address(), 1280, 900)) {
            aud.signIn("Aud Meller").open(paper + "/key").sees("Your items will appear here.");
            aud.press("o").asks("Why does it ebb?").sees("Saved");
            aud.press("u").seesNot("Why does it ebb?").pause();
            aud.hasValue("Question text", "");
            aud.evaluate(
                    "document.body.dispatchEvent(new KeyboardEvent('keydown', {key: 'U', shiftKey: true, bubbles: true}));"
                            + "return 1");
            aud.hasValue("Question text", "Why does it ebb?");
            aud.clickButton("Undo").hasValue("Question text", "").clickButton("Redo");
            aud.hasValue("Question text", "Why does it ebb?").sees("Saved");
        }
    }

    @Test
    void what_was_decided_stays_in_view_and_is_decided_differently_after_it_says_so(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Decided twice", "A")
                .sits("Noor Haddix", List.of("a"), "rescue knot", null, null)
                .sits("Lotte Marrin", List.of("a"), "rescue knot", null, null);
        try (Browser aud = new Browser(school.address(), 1280, 900)) {
            aud.signIn("Aud Meller").open("/a/" + lesson.id + "/settle").sees("rescue knot");
            aud.sees("2 students go up").press(Keys.ENTER).sees("No doubts are left here.");
            aud.sees("Decided").sees("1 credit").sees("Aud Meller").isAccessible("Settle, all decided");
            aud.clickButton("Decide differently").sees("Already decided: 1 credit.");
            aud.sees("A new decision takes its place.").press("0").sees("2 students go down");
            aud.isAccessible("Settle, decided differently").press(Keys.ENTER).sees("0 credit");
            aud.open("/a/" + lesson.id + "/key?item=q2")
                    .sees("Decided since it was given out")
                    .sees("0 credit");
            aud.isAccessible("Key with a decision").hasNoErrors();
        }
    }

    @Test
    void a_sittings_times_are_changed_and_giving_out_is_withdrawn_until_somebody_begins(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Other times on screen", "A");
        try (Browser aud = new Browser(school.address(), 1280, 1000)) {
            aud.signIn("Aud Meller").open("/a/" + lesson.id + "/collect").clickLink("The sitting of Section A");
            aud.sees("in the school’s time, Europe/").type("working time", "45").sees("Nobody is at work just now.");
            aud.isAccessible("The sitting").clickButton("Save for Section A").sees("Nothing is changed.");
            aud.clickButton("Withdraw it from Section A");
            aud.sees("Nobody has begun.").clickButton("Keep it").clickButton("Withdraw it from Section A");
            aud.clickButton("Withdraw").sees("Not given out yet.");
            aud.open("/a/" + lesson.id + "/key").sees("not given out").hasNoErrors();
        }
    }
}
