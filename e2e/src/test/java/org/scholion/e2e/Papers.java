package org.scholion.e2e;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Map;
import javax.imageio.ImageIO;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Visitor;
import tools.jackson.databind.JsonNode;

/** Keys that a test begins with, and what they came to. */
final class Papers {
    private Papers() {}

    /** A paper of Aud Meller's without an item; its way in the pages, such as {@code /a/…}. */
    static String empty(Scholion.Running school, String title) {
        Visitor aud = school.as("Aud Meller");
        String course = aud.get("/api/courses").ok().get(0).get("id").stringValue();
        return "/a/"
                + aud.post("/api/assessments", Map.of("course", course, "title", title))
                        .ok()
                        .get("id")
                        .stringValue();
    }

    /** The way to an assessment of the made-up school, found by its title. */
    static String demo(Scholion.Running school, String title) {
        for (JsonNode found : school.as("Aud Meller")
                .get("/api/find?words=" + title.replace(" ", "+"))
                .ok()) {
            if (found.get("kind").stringValue().equals("assessment")) {
                return "/a/" + found.get("id").stringValue();
            }
        }
        throw new AssertionError(title);
    }

    /** The items that a paper has now. */
    static JsonNode items(Scholion.Running school, String paper) {
        return school.as("Aud Meller")
                .get("/api/assessments/" + paper.substring(3) + "/key")
                .ok()
                .get("definition")
                .get("items");
    }

    /** A small picture in a folder. */
    static Path sketch(Path folder) throws IOException {
        Path file = folder.resolve("ledge.png");
        ImageIO.write(new BufferedImage(200, 120, BufferedImage.TYPE_INT_RGB), "png", file.toFile());
        return file;
    }
}
