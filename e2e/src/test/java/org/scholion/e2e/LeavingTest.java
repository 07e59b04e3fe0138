package org.scholion.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Visitor;

/** A page is left in the middle of something: what was typed is there when it is opened again. */
@ExtendWith(Scholion.class)
class LeavingTest {
    @Test
    void a_reading_that_was_begun_is_saved_by_itself_and_goes_on_in_another_browser(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Left in Read", "A").sits("Noor Haddix", null, null, null, "Because.");
        String read = "/a/" + lesson.id + "/read";
        try (Browser aud = new Browser(school.address(), 1280, 800)) {
            aud.signIn("Aud Meller").open(read).sees("Because.").press("1");
            aud.type("Comment for the student", "Say why it falls.");
            aud.sees("Kept on this device until it is saved.").sees("Saved.");
        }
        try (Browser aud = new Browser(school.address(), 1280, 800)) {
            aud.signIn("Aud Meller")
                    .open(read)
                    .hasValue("Comment for the student", "Say why it falls.")
                    .press("]", "1", "1");
            aud.press("Enter").pause();
            aud.open(read).hasValue("Comment for the student", "Say why it falls.");
            aud.isAccessible("Read, opened again");
        }
    }

    @Test
    void what_is_pressed_while_a_reading_is_on_its_way_counts_last(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Pressed twice", "A").sits("Noor Haddix", null, null, null, "Because.");
        try (Browser aud = new Browser(school.address(), 1280, 800)) {
            aud.signIn("Aud Meller").open("/a/" + lesson.id + "/read?names=shown");
            aud.sees("Because.").press("1").sees("Undo").sees("Saved.");
            aud.latency(800);
            // Away from what was chosen and back to it, before the first of the two has arrived.
            aud.evaluate("document.querySelectorAll('input[name=c1]')[0].click(); return 1");
            aud.evaluate("document.querySelectorAll('input[name=c1]')[1].click(); return 1");
            aud.sees("Saving…").latency(0).sees("Saved.");
            aud.pause();
            assertThat(lesson.answerOf("Noor Haddix", "q4").get("levels").toString())
                    .isEqualTo("{\"c1\":\"1\"}");
        }
    }

    @Test
    void changes_to_a_key_that_is_given_out_are_there_again_until_they_are_left(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Left in Key", "A").sits("Noor Haddix", List.of("a"), null, null, null);
        String key = "/a/" + lesson.id + "/key?item=q2";
        try (Browser aud = new Browser(school.address(), 1280, 800)) {
            aud.signIn("Aud Meller").open(key).sees("How this scores");
            aud.type("Question text", "Which knot makes a loop?").sees("If you save now");
            aud.open(key).sees("If you save now").sees("Which knot makes a loop?");
            aud.clickButton("Discard changes").seesNot("If you save now");
            aud.open(key).sees("How this scores").pause().seesNot("If you save now");
        }
    }

    @Test
    void a_reply_to_a_query_is_there_again_until_it_is_sent(Scholion.Running school) {
        Lesson lesson =
                Lesson.given(school, "Left in Queries", "A").sits("Noor Haddix", List.of("b"), null, null, null);
        lesson.handsBack("Noor Haddix").ok();
        Visitor noor = school.as("Noor Haddix");
        String result = noor.get("/api/student/results").ok().get(0).get("id").stringValue();
        noor.post("/api/student/results/" + result + "/queries", Map.of("item", "q1", "words", "Why not at neaps?"))
                .ok();
        try (Browser aud = new Browser(school.address(), 1280, 800)) {
            aud.signIn("Aud Meller").open("/queries").click("button", "Why not at neaps?");
            aud.type("Reply to Noor Haddix", "Look at the range.");
            aud.open("/queries").click("button", "Why not at neaps?");
            aud.hasValue("Reply to Noor Haddix", "Look at the range.").clickButton("Reply and keep the mark");
            aud.sees("Look at the range.");
        }
    }
}
