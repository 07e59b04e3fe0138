package org.scholion.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Path;
import java.util.UUID;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.Keys;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** A student's page is added to an answer, drawn on by its reader, and seen with the drawing by the student. */
@ExtendWith(Scholion.class)
class AttachmentsTest {
    private static final String PAGE = "main svg[role=img]";
    private static final String LINES = PAGE + " path[fill=none]";

    @TempDir
    Path folder;

    private static Lesson given(Scholion.Running school, String title) {
        Lesson lesson = Lesson.written(school, title);
        JsonNode definition = Lesson.definition(title);
        ((ObjectNode) definition.get("items").get(3)).put("attachments", 2);
        lesson.holds(definition).giveOut("A").ok();
        return lesson;
    }

    /** A photograph of a page, unlike every other. */
    private Path photo() throws IOException {
        BufferedImage image = new BufferedImage(600, 800, BufferedImage.TYPE_INT_RGB);
        Graphics2D pen = image.createGraphics();
        pen.setColor(Color.WHITE);
        pen.fillRect(0, 0, 600, 800);
        pen.setColor(Color.DARK_GRAY);
        pen.drawString("The tide turns " + UUID.randomUUID(), 60, 120);
        pen.dispose();
        Path file = folder.resolve("page.png");
        ImageIO.write(image, "png", file.toFile());
        return file;
    }

    @Test
    void a_photo_is_added_on_the_telephone_drawn_on_by_the_reader_and_seen_so_by_the_student(Scholion.Running school)
            throws IOException {
        Lesson lesson = given(school, "Photographed");
        try (Browser noor = new Browser(school.address(), 360, 740);
                Browser aud = new Browser(school.address(), 1280, 1400)) {
            noor.signIn("Noor Haddix").open("/sit/" + lesson.attempt("Noor Haddix") + "?page=4");
            noor.choose(photo()).sees("Remove").sees("Saved").isAccessible("A question that takes pictures");
            noor.open("/sit/" + lesson.attempt("Noor Haddix") + "?page=4").sees("Remove");
            school.as("Noor Haddix")
                    .post("/api/student/attempts/" + lesson.attempt("Noor Haddix") + "/hand-in", null)
                    .ok();

            aud.signIn("Aud Meller").open("/a/" + lesson.id + "/read").sees("Highlighter");
            aud.press("1", "1").sees("Saved.").press("p");
            aud.drag(aud.one(PAGE), -100, -60, 100, 40).counts(LINES, 1);
            aud.press("t").focusFirst(PAGE).keys(Keys.ARROW_DOWN, Keys.ARROW_DOWN, Keys.ENTER);
            aud.keys("Say why.").keys(Keys.ENTER).sees("Say why.").counts(LINES, 1);
            aud.isAccessible("Read, an attachment drawn on").picture("read-attachment");
            aud.open("/a/" + lesson.id + "/read").sees("Say why.").counts(LINES, 1);

            lesson.handsBack("Noor Haddix").ok();
            noor.open("/results").clickLink("Photographed");
            noor.sees("Say why.").counts(LINES, 1).isAccessible("A result with a page that was drawn on");
            aud.press("u").seesNot("Say why.").press("u").counts(LINES, 0).hasNoErrors();
            noor.open("/results").clickLink("Photographed").sees("Say why.").hasNoErrors();
        }
    }

    @Test
    void what_is_drawn_without_a_line_stays_on_the_device_and_goes_when_it_is_there_again(Scholion.Running school)
            throws IOException {
        Lesson lesson = given(school, "Drawn without a line");
        try (Browser noor = new Browser(school.address(), 1280, 900);
                Browser aud = new Browser(school.address(), 1280, 1400)) {
            noor.signIn("Noor Haddix").open("/sit/" + lesson.attempt("Noor Haddix") + "?page=4");
            noor.choose(photo()).sees("Remove").sees("Saved");
            school.as("Noor Haddix")
                    .post("/api/student/attempts/" + lesson.attempt("Noor Haddix") + "/hand-in", null)
                    .ok();
            String read = "/a/" + lesson.id + "/read?names=shown";
            aud.signIn("Aud Meller")
                    .open(read)
                    .sees("Highlighter")
                    .counts(PAGE, 1)
                    .offline(true);
            aud.press("m").drag(aud.one(PAGE), -100, -60, 100, 40).counts(LINES, 1);
            aud.sees("Kept on this device until it is saved.");
            JsonNode answer = lesson.answerOf("Noor Haddix", "q4");
            String drawn = lesson.reading(answer, "q4", "/drawn");
            assertThat(lesson.teacher.get(drawn).ok()).isEmpty();
            aud.offline(false).seesNot("Kept on this device until it is saved.");
            assertThat(lesson.teacher.get(drawn).ok()).hasSize(1);
            aud.hasNoErrors();
        }
    }
}
