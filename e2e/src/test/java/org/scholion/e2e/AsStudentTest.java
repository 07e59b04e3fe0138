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
}
