package org.scholion.server.collect;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.HashMap;
import java.util.Map;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.testing.Colleague;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Visitor;
import tools.jackson.databind.JsonNode;

/** The picture on the page before the questions is seen by those who have the sitting before them, and by nobody else. */
@ExtendWith(Scholion.class)
class TitlePictureTest {
    private static byte[] png(int colour) throws IOException {
        BufferedImage image = new BufferedImage(4, 3, BufferedImage.TYPE_INT_RGB);
        image.setRGB(1, 1, colour);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(image, "png", out);
        return out.toByteArray();
    }

    private static String upload(Visitor teacher, byte[] picture) {
        return teacher.sendBytes("/api/files", "harbour.png", picture)
                .ok()
                .get("id")
                .stringValue();
    }

    private static Visitor.Reply set(Visitor teacher, Lesson lesson, String picture, String words) {
        String path = "/api/sittings/" + lesson.sitting();
        Map<String, Object> settings = new HashMap<>();
        lesson.teacher
                .get(path)
                .ok()
                .at("/sitting/settings")
                .properties()
                .forEach(p -> settings.put(p.getKey(), Lesson.plain(p.getValue())));
        settings.put("picture", picture);
        settings.put("pictureWords", words);
        return teacher.put(path + "/settings", settings);
    }

    private static JsonNode rules(Visitor student, Lesson lesson) {
        for (JsonNode line : student.get("/api/student/todo").ok()) {
            if (line.get("title").stringValue().equals(lesson.title())) {
                return line.get("rules");
            }
        }
        throw new AssertionError("nothing to do");
    }

    @Test
    void those_who_have_it_before_them_see_the_picture_before_they_begin_and_others_do_not(Scholion.Running school)
            throws IOException {
        Lesson lesson = Lesson.given(school, "With a picture", "A");
        String picture = upload(lesson.teacher, png(0x123456));
        Visitor lotte = school.as("Lotte Marrin");
        lotte.get("/api/files/" + picture).isRefused(404);
        set(lesson.teacher, lesson, picture, " The harbour at low water ").ok();
        assertThat(rules(lotte, lesson).get("picture").stringValue()).isEqualTo(picture);
        assertThat(rules(lotte, lesson).get("pictureWords").stringValue()).isEqualTo("The harbour at low water");
        assertThat(lotte.bytes("/api/files/" + picture)).isEqualTo(png(0x123456));
        school.as("Ibrahim Vane").get("/api/files/" + picture).isRefused(404);
        set(lesson.teacher, lesson, null, "gone").ok();
        lotte.get("/api/files/" + picture).isRefused(404);
    }

    @Test
    void nobody_shows_students_a_picture_that_they_may_not_see_themselves(Scholion.Running school) throws IOException {
        Lesson lesson = Lesson.given(school, "Somebody else's picture", "A");
        Visitor other = Colleague.called(school, "Ragna").visitor();
        String picture = upload(other, png(0x654321));
        set(lesson.teacher, lesson, picture, "").isRefused(404);
        upload(lesson.teacher, png(0x654321));
        // Whoever has put in the same has it, too.
        set(lesson.teacher, lesson, picture, "").ok();
    }
}
