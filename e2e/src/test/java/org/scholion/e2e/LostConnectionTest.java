package org.scholion.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import org.springframework.jdbc.core.simple.JdbcClient;

/** The connection is cut, the session ends, the time runs out: nothing that was typed goes away. */
@ExtendWith(Scholion.class)
class LostConnectionTest {
    @Test
    void answers_written_in_time_without_a_connection_reach_the_teacher_who_takes_them_with_one_key(
            Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Cut off", "A");
        String attempt = lesson.attempt("Lotte Marrin");
        try (Browser lotte = new Browser(school.address(), 360, 740);
                Browser aud = new Browser(school.address(), 1280, 800)) {
            lotte.signIn("Lotte Marrin").open("/sit/" + attempt + "?page=2").sees("Which knot");
            lotte.offline(true).sees("No connection. You can keep working.").type("Your answer", "bowline");
            lotte.sees("One answer is saved on this device").pause();
            // Meanwhile the attempt is handed in, as it is when the time is over.
            school.as("Lotte Marrin")
                    .post("/api/student/attempts/" + attempt + "/hand-in", null)
                    .ok();
            lotte.pause().offline(false).sees("your teacher decides whether it counts");
            aud.signIn("Aud Meller").open("/a/" + lesson.id + "/collect").sees("Late answers");
            aud.sees("question 2: bowline")
                    .sees("Nothing was handed in here.")
                    .sees("0 → 2, of 2 points")
                    .isAccessible("Collect with a late answer");
            aud.press("t").sees("It counts.").sees("Every late answer is decided.");
            assertThat(lesson.mark("Lotte Marrin", "q2").get("points").stringValue())
                    .isEqualTo("2");
            aud.clickButton("Take back").sees("came when the time was over");
        }
    }

    @Test
    void what_was_left_on_the_device_is_sent_from_the_list_of_what_there_is_to_do(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Left behind", "A");
        String attempt = lesson.attempt("Ivo Lomas");
        try (Browser ivo = new Browser(school.address(), 360, 740)) {
            ivo.signIn("Ivo Lomas").open("/sit/" + attempt + "?page=2").sees("Which knot");
            ivo.keepsOnDevice(
                    "unsent:" + attempt + ":another", "{\"q2\": {\"answer\": \"bowline\", \"flagged\": false}}");
            ivo.open("/todo").sees("Left behind").pause().pause();
            ivo.open("/sit/" + attempt + "?page=2").hasValue("Your answer", "bowline");
        }
    }

    @Test
    void two_windows_of_one_student_show_both_answers_and_the_student_chooses(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Two windows open", "A");
        String attempt = lesson.attempt("Gwen Kyle");
        try (Browser one = new Browser(school.address(), 360, 740);
                Browser two = new Browser(school.address(), 360, 740)) {
            one.signIn("Gwen Kyle").open("/sit/" + attempt + "?page=2").sees("Which knot");
            two.signIn("Gwen Kyle").open("/sit/" + attempt + "?page=2").sees("Which knot");
            one.type("Your answer", "bowline").pause().sees("Saved");
            two.type("Your answer", "sheet bend").sees("In another window you answered question 2");
            two.sees("Both are kept. Which one counts?").isAccessible("Two windows");
            two.clickButton("What stands here")
                    .seesNot("Both are kept.")
                    .pause()
                    .sees("Saved");
            one.type("Your answer", "reef knot").sees("In another window you answered question 2");
            one.clickButton("What the other window says").seesNot("Both are kept.");
            one.hasValue("Your answer", "sheet bend");
        }
    }

    @Test
    void whoever_is_signed_out_signs_in_again_and_goes_on_exactly_there(Scholion.Running school, JdbcClient db) {
        Lesson lesson = Lesson.given(school, "Signed out", "A");
        String attempt = lesson.attempt("Oona Rusk");
        try (Browser oona = new Browser(school.address(), 360, 740)) {
            oona.signIn("Oona Rusk").open("/sit/" + attempt + "?page=2").sees("Which knot");
            // The connection is lost and comes back after the session has ended.
            oona.offline(true).sees("No connection. You can keep working.");
            db.sql("delete from sign_in where person_id = (select student_id from attempt where id = ?)")
                    .param(UUID.fromString(attempt))
                    .update();
            oona.offline(false).pause().pause();
            oona.type("Your answer", "bowline").sees("Sign in again").isAccessible("Sign in again");
            oona.type("Sign-in name", "oona.rusk").type("Password", "saltmarsh");
            oona.clickButton("Sign in").seesNot("Sign in again").hasValue("Your answer", "bowline");
            oona.sees("Saved");
            oona.open("/sit/" + attempt + "?page=2").hasValue("Your answer", "bowline");
        }
    }

    @Test
    void a_page_whose_session_has_ended_while_there_was_no_connection_stays_as_it_was(
            Scholion.Running school, JdbcClient db) {
        try (Browser halvard = new Browser(school.address(), 1280, 800)) {
            halvard.signIn("Halvard Quist")
                    .sees("piles are waiting")
                    .offline(true)
                    .sees("No connection.");
            db.sql("delete from sign_in where person_id = (select id from person where username = 'halvard.quist')")
                    .update();
            halvard.offline(false).sees("Sign in again");
            halvard.type("Sign-in name", "halvard.quist").type("Password", "saltmarsh");
            halvard.clickButton("Sign in").seesNot("Sign in again").sees("Desk");
        }
    }

    @Test
    void a_page_says_within_two_seconds_that_there_is_no_connection_and_a_wrong_address_says_so_too(
            Scholion.Running school) {
        try (Browser aud = new Browser(school.address(), 1280, 800)) {
            aud.signIn("Aud Meller").sees("piles are waiting").offline(true);
            long from = System.nanoTime();
            aud.sees("No connection.");
            assertThat(System.nanoTime() - from).isLessThan(2_000_000_000L);
            aud.isAccessible("No connection").offline(false).seesNot("No connection.");
            aud.open("/nowhere").sees("There is no page here.").isAccessible("Not here");
            aud.clickLink("To the first page").sees("piles are waiting");
            aud.open("/a/" + UUID.randomUUID() + "/settle").sees("nothing here that you can open");
        }
    }
}
