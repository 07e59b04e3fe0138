package org.scholion.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import org.springframework.jdbc.core.simple.JdbcClient;

/** The time of a sitting as its student has it: more of it, its end, and the receipt. */
@ExtendWith(Scholion.class)
class SittingClockTest {
    /** As when one looks at the page again. */
    private static void looksUp(Browser student) {
        student.evaluate("document.dispatchEvent(new Event('visibilitychange', {bubbles: true})); return 1");
    }

    private static void endsIn(Scholion.Running school, Lesson lesson, int seconds) {
        for (String change : new String[] {
            "update sitting set closes_at = now() + :s * interval '1 second', ends_at = now() + :s * interval '1 second'"
                    + " where assessment_id = :id",
            "update attempt set due_at = now() + :s * interval '1 second' where assessment_id = :id"
        }) {
            school.bean(JdbcClient.class)
                    .sql(change)
                    .param("s", seconds)
                    .param("id", UUID.fromString(lesson.id))
                    .update();
        }
    }

    @Test
    void at_the_end_the_fields_close_and_more_time_opens_them_again(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Until the bell", "A");
        String attempt = lesson.begin(school.as("Tamsin Orrel"));
        endsIn(school, lesson, 595);
        try (Browser tamsin = new Browser(school.address(), 360, 740)) {
            tamsin.signIn("Tamsin Orrel").open("/sit/" + attempt + "?page=2").sees("9:");
            tamsin.announces("10 minutes left").type("Your answer", "bowline").sees("Saved");
            endsIn(school, lesson, 4);
            looksUp(tamsin);
            tamsin.sees("Time is up. Everything that was saved counts").isAccessible("Time is up");
            assertThat(tamsin.field("Your answer").isEnabled()).isFalse();
            endsIn(school, lesson, 1_200);
            looksUp(tamsin);
            tamsin.seesNot("Time is up.").announces("You have more time: until");
            assertThat(tamsin.field("Your answer").isEnabled()).isTrue();
            tamsin.hasValue("Your answer", "bowline").hasNoErrors();
        }
    }

    @Test
    void handing_in_gives_a_receipt_that_student_and_teacher_check(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Proved afterwards", "A");
        String attempt = lesson.begin(school.as("Tamsin Orrel"));
        try (Browser tamsin = new Browser(school.address(), 360, 740);
                Browser aud = new Browser(school.address(), 1280, 800)) {
            tamsin.signIn("Tamsin Orrel").open("/sit/" + attempt + "?page=2");
            tamsin.type("Your answer", "bowline").sees("Saved").open("/sit/" + attempt + "?page=9");
            tamsin.clickButton("Hand in").sees("Your receipt:").isAccessible("Handed in, with a receipt");
            String code = tamsin.text().replaceFirst("(?s).*Your receipt: ([A-Z2-7-]{14}).*", "$1");
            tamsin.clickLink("Check it").sees("What is kept is what was handed in then.");
            tamsin.isAccessible("A receipt").hasNoErrors();
            aud.signIn("Aud Meller").open("/a/" + lesson.id + "/collect").clickLink("Check a student’s receipt");
            aud.type("The code, twelve letters and digits", code).clickButton("Check");
            aud.sees("Handed in by Tamsin Orrel").sees("with 1 answer.").hasNoErrors();
            aud.type("The code, twelve letters and digits", "AAAA BBBB CCCC").clickButton("Check");
            aud.sees("No receipt of yours or of your courses has this code.");
        }
    }
}
