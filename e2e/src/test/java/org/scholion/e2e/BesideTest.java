package org.scholion.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Visitor;

/** What stands beside an answer in Read, and decisions that are taken back from Key. */
@ExtendWith(Scholion.class)
class BesideTest {
    @Test
    void a_comment_on_the_whole_paper_is_kept_while_the_line_is_cut_and_seen_by_the_student(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "The whole paper", "A")
                .sits("Noor Haddix", List.of("a"), "bowline", "10 nmi", "Because.");
        try (Browser aud = new Browser(school.address(), 1280, 1400);
                Browser noor = new Browser(school.address(), 360, 740)) {
            String read = "/a/" + lesson.id + "/read";
            aud.signIn("Aud Meller")
                    .open(read)
                    .sees("The whole paper")
                    .press("1", "1")
                    .sees("Saved.");
            aud.offline(true).type("Comment on the whole paper, for the student", "A calm passage, {given name}.");
            aud.sees("Kept on this device until it is saved.").offline(false).open(read);
            aud.sees("Shown above all questions when it is handed back.");
            aud.isAccessible("Read, the whole paper");
            aud.open(read).hasValue("Comment on the whole paper, for the student", "A calm passage, {given name}.");
            aud.hasNoErrors();
            lesson.handsBack("Noor Haddix").ok();
            noor.signIn("Noor Haddix").open("/results").click("a", "The whole paper");
            noor.sees("A calm passage, Noor.").isAccessible("A result with a comment on the paper");
            noor.hasNoErrors();
        }
    }

    @Test
    void two_who_have_one_answer_open_see_that_and_a_reader_is_given_some_answers_only(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Open twice", "A").sits("Noor Haddix", null, null, null, "Because.");
        String read = "/a/" + lesson.id + "/read";
        try (Browser aud = new Browser(school.address(), 1280, 1400);
                Browser halvard = new Browser(school.address(), 1280, 1400)) {
            halvard.signIn("Halvard Quist").open(read).sees("Because.");
            aud.signIn("Aud Meller").open(read).sees("Halvard Quist has this answer open too.");
            aud.clickSummary("One colleague reads as well").sees("Reads all questions, all answers.");
            aud.isAccessible("Read, who reads").hasNoErrors();
        }
    }

    @Test
    void what_was_said_in_an_earlier_attempt_stands_below_with_what_is_different_now(Scholion.Running school) {
        Lesson lesson =
                Lesson.given(school, "Said otherwise", "A").sits("Asa Quayle", null, null, null, "The moon pulls.");
        lesson.oneMoreFor("Quayle").ok();
        Visitor asa = school.as("Asa Quayle");
        String second = asa.post("/api/student/sittings/" + lesson.sitting() + "/attempt", Map.of("another", true))
                .ok()
                .get("attempt")
                .stringValue();
        Lesson.answer(asa, second, "q4", "The moon and the sun pull.").ok();
        asa.post("/api/student/attempts/" + second + "/hand-in", null).ok();
        try (Browser aud = new Browser(school.address(), 1280, 1400)) {
            aud.signIn("Aud Meller")
                    .open("/a/" + lesson.id + "/read?names=shown")
                    .sees("Asa Quayle");
            aud.press("]").sees("Attempt 1").sees("Struck through: left out since. Underlined: added since.");
            aud.isAccessible("Read, an earlier attempt").hasNoErrors();
        }
    }

    @Test
    void a_decision_stands_in_key_and_is_taken_back_there_alone_and_that_is_undone(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Decided and not", "A")
                .sits("Noor Haddix", null, "rescue knot", "ten", null)
                .sits("Lotte Marrin", null, "rescue loop", null, null);
        for (String form : List.of("rescue knot", "rescue loop")) {
            lesson.teacher
                    .post(lesson.path("/doubts"), lesson.decision("q2", form, "1/2", "EXACT"))
                    .ok();
        }
        try (Browser aud = new Browser(school.address(), 1280, 1400)) {
            aud.signIn("Aud Meller").open("/a/" + lesson.id + "/key?item=q2").sees("Which knot makes a fixed loop?");
            aud.sees("Decided since it was given out").sees("rescue loop").clickLabelled("Take back: rescue knot");
            aud.sees("1 student goes down").isAccessible("Key, taking a decision back");
            aud.clickButton("Take this decision back").sees("Taken back. The other decisions stay.");
            assertThat(lesson.mark("Noor Haddix", "q2").get("state").stringValue())
                    .isEqualTo("settle");
            assertThat(lesson.mark("Lotte Marrin", "q2").get("state").stringValue())
                    .isEqualTo("scored");
            aud.clickLabelled("Undo taking it back");
            aud.sees("Take back…").pause();
            assertThat(lesson.mark("Noor Haddix", "q2").get("state").stringValue())
                    .isEqualTo("scored");
            aud.hasNoErrors();
        }
    }

    @Test
    void a_kept_comment_is_changed_in_the_answers_in_which_it_was_said_and_that_is_undone(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Said and changed", "A").sits("Noor Haddix", null, null, null, "Because.");
        String read = "/a/" + lesson.id + "/read?names=shown";
        try (Browser aud = new Browser(school.address(), 1280, 1600)) {
            aud.signIn("Aud Meller").open(read).sees("Because.").press("/");
            aud.keys("Name the harbour at https://sea.example/harbours.").clickButton("Keep this comment");
            aud.press("1", "1").sees("Saved.").clickSummary("kept comment");
            aud.clickButton("Change").type("The kept comment", "Say which harbour.");
            aud.click("label", "Also in the one answer in which you have said it");
            aud.sees("What was handed back stays until you hand it back again.");
            aud.isAccessible("Read, a kept comment changed").clickButton("Save");
            aud.sees("Changed in one answer.");
            assertThat(lesson.answerOf("Noor Haddix", "q4").get("comment").stringValue())
                    .isEqualTo("Say which harbour.");
            aud.clickLabelled("Undo the change everywhere").pause();
            aud.open("/a/" + lesson.id + "/hand-back").sees("Name the harbour at");
            aud.counts("a[href='https://sea.example/harbours']", 1).hasNoErrors();
        }
    }
}
