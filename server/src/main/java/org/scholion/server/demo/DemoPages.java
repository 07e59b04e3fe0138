package org.scholion.server.demo;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import java.util.stream.IntStream;
import org.scholion.server.drawn.DrawnMarks;
import org.scholion.server.file.Files;
import org.scholion.server.platform.Ids;
import org.scholion.server.platform.Me;
import org.springframework.stereotype.Component;

/** Some of the demo's students draw how they moor, and photograph the page. */
@Component
class DemoPages {
    private static final List<String> PAGES = List.of("mooring-1.jpg", "mooring-2.jpg");

    private final Files files;
    private final DrawnMarks drawn;
    private final Ids ids;
    private final Map<String, UUID> attempts = new HashMap<>();

    DemoPages(Files files, DrawnMarks drawn, Ids ids) {
        this.files = files;
        this.drawn = drawn;
        this.ids = ids;
    }

    /** The answer with a page, for the first who give one to a question that takes pages. */
    Object with(Me student, UUID attempt, boolean takes, Object given) {
        if (!takes || !(given instanceof String text) || attempts.size() == PAGES.size()) {
            return given;
        }
        String page = PAGES.get(attempts.size());
        String file = files.take(student, page, bytes(page)).id();
        attempts.put(file, attempt);
        return Map.of("text", text, "attachments", List.of(file));
    }

    /** Their teacher draws on them. */
    void draw(Me teacher, UUID assessment, String item) {
        attempts.forEach((file, attempt) -> {
            DrawnMarks.Place place = new DrawnMarks.Place(assessment, attempt, item);
            List.of(
                            new DrawnMarks.NewMark(
                                    file,
                                    1,
                                    DrawnMarks.Kind.HIGHLIGHTER,
                                    List.of(List.of(0.44, 0.41), List.of(0.72, 0.41)),
                                    ""),
                            new DrawnMarks.NewMark(file, 1, DrawnMarks.Kind.PEN, ring(0.22, 0.7), ""),
                            new DrawnMarks.NewMark(
                                    file,
                                    1,
                                    DrawnMarks.Kind.NOTE,
                                    List.of(List.of(0.3, 0.66)),
                                    "How long is this line when the water is three metres lower?"))
                    .forEach(mark -> drawn.put(teacher, place, ids.next(), mark, List.of(file)));
        });
    }

    /** Nearly round, as a hand draws it. */
    private static List<List<Double>> ring(double x, double y) {
        return IntStream.rangeClosed(0, 36)
                .mapToObj(i -> List.of(
                        x + 0.07 * Math.cos(i * Math.PI / 17.5) + i * 0.0002, y + 0.04 * Math.sin(i * Math.PI / 17.5)))
                .toList();
    }

    private static byte[] bytes(String page) {
        try (InputStream in = Objects.requireNonNull(DemoPages.class.getResourceAsStream("/demo/" + page))) {
            return in.readAllBytes();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
