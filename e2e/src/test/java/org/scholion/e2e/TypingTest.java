package org.scholion.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Visitor;

/** Answers and points from paper: typed in the grid with and without a connection, or brought in from a file. */
@ExtendWith(Scholion.class)
class TypingTest {
    @TempDir
    Path dir;

    @Test
    void a_sheet_is_typed_by_letters_and_kept_without_a_connection_until_it_comes_in(Scholion.Running school) {
        Lesson lesson = Lesson.written(school, "From paper by keyboard");
        try (Browser aud = new Browser(school.address(), 1280, 800)) {
            aud.signIn("Aud Meller").open("/a/" + lesson.id + "/collect").clickLink("Typed from paper");
            aud.sees("A letter fills its cell and goes on.").isAccessible("Typing, empty");
            String first = String.valueOf(aud.evaluate("return document.activeElement.getAttribute('aria-label')"));
            assertThat(first).endsWith("question 1");
            aud.keys("x").sees("Question 1 has the letters A–B");
            // The letter goes on to question 2; Enter does after a text.
            aud.keys("abowline\n10 nmi\n4\n").sees("Everything typed is saved.");
            assertThat(String.valueOf(aud.evaluate("return document.activeElement.getAttribute('aria-label')")))
                    .as("the next student’s first question")
                    .endsWith("question 1")
                    .isNotEqualTo(first);
            aud.offline(true).keys("b").sees("One sheet is only on this device so far");
            // The page is left before the line is back: what was typed is still on the device.
            aud.offline(false).open("/desk").open("/a/" + lesson.id + "/type-in");
            aud.sees("2 of ").sees("Everything typed is saved.").isAccessible("Typing");
            aud.focus("Avery, Moss, question 2");
            aud.keys("-\n9\n").sees("2 of ");
            aud.sees("Everything typed is saved.")
                    .clickLink("See what comes in")
                    .sees("2 students");
            aud.sees("you chose this").isAccessible("Typed, before it comes in");
            aud.hasNoErrors();
        }
    }

    @Test
    void an_oral_comes_in_from_a_file_of_names_and_points(Scholion.Running school) throws IOException {
        Path file = dir.resolve("oral.csv");
        Files.writeString(file, "Name;Points\nLotte Marrin;17,5\nTamsin Orrel;12\n");
        Visitor teacher = school.as("Aud Meller");
        String course = teacher.get("/api/courses").ok().get(0).get("id").stringValue();
        String oral = teacher.post("/api/assessments", Map.of("course", course, "title", "Oral"))
                .ok()
                .get("id")
                .stringValue();
        try (Browser aud = new Browser(school.address(), 1280, 800)) {
            aud.signIn("Aud Meller").open("/a/" + oral + "/bring-in").choose(file);
            aud.sees("points only").isAccessible("Questions of points");
            aud.type("Points of Points", "20\t").clickButton("Make one question");
            aud.sees("its cells are points, not answers").clickButton("Bring in answers from 2 students");
            aud.sees("Answers from 2 students are in.").open("/a/" + oral + "/hand-back");
            aud.sees("Lotte Marrin").sees("Tamsin Orrel").hasNoErrors();
        }
    }
}
