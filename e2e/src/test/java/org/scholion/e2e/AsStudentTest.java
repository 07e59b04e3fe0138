package org.scholion.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;

/** The whole way as a student has it, for the teacher who looks. */
@ExtendWith(Scholion.class)
class AsStudentTest {
    @Test
    void a_teacher_goes_the_whole_way_as_a_student_and_nothing_of_it_counts(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "The whole way", "A");
        try (Browser aud = new Browser(school.address(), 1280, 900)) {
            aud.signIn("Aud Meller").open("/a/" + lesson.id + "/sittings/" + lesson.sitting());
            aud.clickLink("See it as a student").sees("Nothing of it counts").sees("It closes");
            aud.isAccessible("Seen as a student, before").clickButton("Begin").sees("When is the range greatest?");
            aud.isAccessible("Seen as a student, at work").clickButton("Next").type("Your answer", "bowline");
            aud.clickButton("Next").clickButton("Next").clickButton("Check and hand in");
            aud.sees("3 questions have no answer").clickButton("Hand in").sees("Here it is handed in");
            aud.sees("When you hand back: score and band").isAccessible("Seen as a student, handed in");
            aud.sees("matches an accepted answer")
                    .select("What they see", "at hand-in")
                    .sees("Nothing is seen at this moment.");
            aud.select("What they see", "when you hand back").isAccessible("Seen as a student, the result");
            aud.clickButton("On a desk")
                    .clickButton("From the beginning")
                    .sees("It closes")
                    .hasNoErrors();
            aud.open("/a/" + lesson.id + "/collect").sees("not started");
            assertThat(lesson.teacher
                            .get(lesson.path("/collect"))
                            .ok()
                            .get("working")
                            .intValue())
                    .isZero();
        }
    }

    @Test
    void what_was_tried_is_kept_as_an_answer_set_once(Scholion.Running school) {
        Lesson lesson = Lesson.written(school, "Tried and kept");
        try (Browser aud = new Browser(school.address(), 1280, 900)) {
            aud.signIn("Aud Meller")
                    .open("/a/" + lesson.id + "/as-student")
                    .clickButton("Begin")
                    .clickButton("Next");
            aud.type("Your answer", "bowline").clickButton("Next").clickButton("Next");
            aud.clickButton("Check and hand in").clickButton("Hand in");
            aud.clickButton("Keep these answers as an answer set").sees("Tried as a student");
            aud.sees("2 / 10").hasNoErrors();
            assertThat(aud.count("tbody tr")).isEqualTo(1);
            aud.sees("Saved").open("/a/" + lesson.id + "/key?view=sets").sees("Tried as a student");
            assertThat(aud.count("tbody tr")).isEqualTo(1);
        }
    }
}
