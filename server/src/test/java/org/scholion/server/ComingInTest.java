package org.scholion.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.OutputStream;
import java.net.Socket;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Visitor;
import tools.jackson.databind.node.ObjectNode;

/** What comes in is looked at before it is parsed: too much, or what cannot be kept, is refused in words. */
@ExtendWith(Scholion.class)
class ComingInTest {
    private static final byte[] NUL = "{\"title\": \"a\\u0000b\"}".getBytes(StandardCharsets.UTF_8);

    private static byte[] json(int bytes) {
        byte[] body = new byte[bytes];
        Arrays.fill(body, (byte) 'x');
        byte[] head = "{\"answer\": \"".getBytes(StandardCharsets.UTF_8);
        byte[] tail = "\", \"flagged\": false}".getBytes(StandardCharsets.UTF_8);
        System.arraycopy(head, 0, body, 0, head.length);
        System.arraycopy(tail, 0, body, bytes - tail.length, tail.length);
        return body;
    }

    @Test
    void each_place_takes_so_much_and_no_more_and_what_was_there_stays(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "So much and no more", "A");
        Visitor noor = school.as("Noor Haddix");
        String attempt = lesson.begin(noor);
        Lesson.answer(noor, attempt, "q4", "Because the level falls.").ok();
        String answers = "/api/student/attempts/" + attempt + "/answers/q4";
        assertThat(noor.sendRaw("PUT", answers, "application/json", json(500_000))
                        .isRefused(413)
                        .detail())
                .contains("at most 400 kB", "Nothing was changed");
        noor.sendRaw("PUT", answers, "application/json", json(200_000)).isRefused(422);
        Visitor aud = lesson.teacher;
        Map<String, Integer> places = new LinkedHashMap<>();
        places.put("/api/account/password", 5_000);
        places.put("/api/bank/items", 1_100_000);
        places.put("/api/assessments", 300_000);
        places.put("/api/maths", 300_000);
        places.put(lesson.path("/editions"), 5_100_000);
        places.put(lesson.path("/hand-back"), 2_100_000);
        places.forEach((path, bytes) ->
                aud.sendRaw("POST", path, "application/json", json(bytes)).isRefused(413));
        school.anybody()
                .sendRaw("POST", "/api/session", "application/json", json(5_000))
                .isRefused(413);
        assertThat(noor.get("/api/student/attempts/" + attempt)
                        .ok()
                        .get("answers")
                        .get("q4")
                        .stringValue())
                .isEqualTo("Because the level falls.");
    }

    @Test
    void whoever_is_not_signed_in_sends_a_hundred_megabytes_to_nobody(Scholion.Running school) throws IOException {
        URI address = URI.create(school.address());
        try (Socket socket = new Socket(address.getHost(), address.getPort())) {
            socket.setSoTimeout(10_000);
            OutputStream out = socket.getOutputStream();
            out.write(("POST /api/files HTTP/1.1\r\nHost: " + address.getHost()
                            + "\r\nContent-Type: application/json\r\nContent-Length: 100000000\r\n\r\n")
                    .getBytes(StandardCharsets.US_ASCII));
            out.flush();
            byte[] head = socket.getInputStream().readNBytes(12);
            assertThat(new String(head, StandardCharsets.US_ASCII))
                    .as("answered before anything of the body came")
                    .isIn("HTTP/1.1 401", "HTTP/1.1 403");
        }
    }

    @Test
    void a_body_without_a_length_is_counted_as_it_comes(Scholion.Running school) {
        Visitor aud = school.as("Aud Meller");
        aud.sendChunked("/api/assessments", "application/json", json(400_000)).isRefused(413);
    }

    @Test
    void characters_that_cannot_be_kept_are_refused_in_words_wherever_they_come(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Cannot be kept", "A");
        Visitor noor = school.as("Noor Haddix");
        String answers = "/api/student/attempts/" + lesson.begin(noor) + "/answers/q4";
        for (String text : List.of("a\\u0000b", "half \\ud800 of one", "\\udc00")) {
            byte[] body = ("{\"answer\": \"" + text + "\", \"flagged\": false}").getBytes(StandardCharsets.UTF_8);
            assertThat(noor.sendRaw("PUT", answers, "application/json", body)
                            .isRefused(400)
                            .detail())
                    .contains("cannot be kept", "Nothing was changed");
        }
        noor.sendRaw(
                        "PUT",
                        answers,
                        "application/json",
                        "{\"answer\": \"whole \\ud83d\\ude00\", \"flagged\": false}".getBytes(StandardCharsets.UTF_8))
                .ok();
        lesson.teacher
                .sendRaw("POST", "/api/assessments", "application/json", NUL)
                .isRefused(400);
        byte[] notUtf8 = {'{', '"', (byte) 0xff, '"', ':', '1', '}'};
        lesson.teacher
                .sendRaw("POST", "/api/assessments", "application/json", notUtf8)
                .isRefused(400);
        lesson.teacher.get("/api/find?q=%00").isRefused(400);
    }

    @Test
    void fields_that_no_page_sends_missing_ones_and_other_kinds_are_named(Scholion.Running school) {
        Visitor aud = school.as("Aud Meller");
        String course = aud.get("/api/courses").ok().get(0).get("id").stringValue();
        assertThat(aud.post("/api/assessments", Map.of("course", course, "title", "A", "owner", "me"))
                        .isRefused(422)
                        .body())
                .contains("owner");
        assertThat(aud.post("/api/assessments", Map.of("course", course))
                        .isRefused(422)
                        .body())
                .contains("title");
        aud.post("/api/assessments", Map.of("course", "no id", "title", "A")).isRefused(422);
        aud.sendRaw("POST", "/api/assessments", "application/json", "{".getBytes(StandardCharsets.UTF_8))
                .isRefused(400);
        aud.sendRaw("POST", "/api/assessments", "text/csv", "a;b".getBytes(StandardCharsets.UTF_8))
                .isRefused(415);
        aud.get("/api/assessments/not-an-id").isRefused(404);
    }

    @Test
    void names_have_a_length_and_a_key_against_doing_twice_too(Scholion.Running school) {
        Visitor aud = school.as("Aud Meller");
        String course = aud.get("/api/courses").ok().get(0).get("id").stringValue();
        assertThat(aud.post("/api/assessments", Map.of("course", course, "title", "x".repeat(3_000)))
                        .isRefused(422)
                        .body())
                .contains("title");
        aud.postAgain("/api/assessments", Map.of("course", course, "title", "A"), "k".repeat(201))
                .isRefused(400);
    }

    @Test
    void control_characters_and_endless_names_in_a_key_are_refused_by_their_place_and_nothing_is_changed(
            Scholion.Running school) {
        Lesson lesson = Lesson.written(school, "Control characters");
        for (String[] bad : new String[][] {
            {"prompt", "Row\u0007 ashore", "items[0].prompt"},
            {"prompt", "x".repeat(70_000), "items[0].prompt"},
            {"title", "x".repeat(300), "title"}
        }) {
            ObjectNode definition = (ObjectNode) Lesson.definition("Control characters");
            ObjectNode place = bad[0].equals("title")
                    ? definition
                    : definition.get("items").get(0).asObject();
            place.put(bad[0], bad[1]);
            assertThat(lesson.teacher
                            .put(lesson.path("/key"), Map.of("definition", Lesson.plain(definition), "revision", 1))
                            .isRefused(422)
                            .body())
                    .contains(bad[2]);
        }
        assertThat(lesson.title()).isEqualTo("Control characters");
        lesson.giveOut("A").ok();
        ObjectNode definition = (ObjectNode) Lesson.definition("Control characters");
        definition.get("items").get(0).asObject().put("prompt", "Row\u0007 ashore");
        lesson.teacher
                .post(lesson.path("/editions"), lesson.change(definition, "a bell"))
                .isRefused(422);
        lesson.teacher
                .post(
                        "/api/bank/items",
                        Map.of(
                                "definition",
                                Lesson.plain(definition.get("items").get(0))))
                .isRefused(422);
        lesson.teacher
                .post("/api/bank/folders", Map.of("name", "f".repeat(201)))
                .isRefused(422);
    }

    @Test
    void a_character_that_cannot_be_printed_in_a_students_answer_becomes_a_space_and_the_answer_is_kept(
            Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Pasted", "A");
        Visitor noor = school.as("Noor Haddix");
        String attempt = lesson.begin(noor);
        Lesson.answer(noor, attempt, "q4", "Pasted\u000bfrom elsewhere").ok();
        assertThat(noor.get("/api/student/attempts/" + attempt)
                        .ok()
                        .get("answers")
                        .get("q4")
                        .stringValue())
                .isEqualTo("Pasted from elsewhere");
    }
}
