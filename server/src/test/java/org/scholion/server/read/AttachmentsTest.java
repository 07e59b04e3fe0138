package org.scholion.server.read;

import static java.nio.charset.StandardCharsets.UTF_8;
import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.testing.Colleague;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Visitor;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Pictures and PDFs of an answer, and what its readers draw on them. */
@ExtendWith(Scholion.class)
class AttachmentsTest {
    private static final Map<String, Object> ALL =
            Map.of("score", true, "marks", true, "answers", true, "notes", true, "keys", false);

    /** A lesson whose open question takes two attachments. */
    private static Lesson given(Scholion.Running school, String title) {
        Lesson lesson = Lesson.written(school, title);
        JsonNode definition = Lesson.definition(title);
        ((ObjectNode) definition.get("items").get(3)).put("attachments", 2);
        lesson.holds(definition).giveOut("A").ok();
        return lesson;
    }

    private static String put(Visitor student, String attempt, String begin) {
        byte[] bytes = (begin + UUID.randomUUID()).getBytes(StandardCharsets.ISO_8859_1);
        return student.sendBytes("/api/student/attempts/" + attempt + "/files", "page.pdf", bytes)
                .ok()
                .get("id")
                .stringValue();
    }

    /** Noor begins, adds a page to the answer and hands in. */
    private static String sits(Lesson lesson, Visitor noor, String text) {
        String attempt = lesson.begin(noor);
        String file = put(noor, attempt, "%PDF-1.7 a page");
        Lesson.say(noor, attempt, "q4", written(text, file)).ok();
        noor.post("/api/student/attempts/" + attempt + "/hand-in", null).ok();
        lesson.goesOn("Noor Haddix", attempt);
        return file;
    }

    private static Object written(String text, String... files) {
        return Map.of("text", text, "attachments", List.of(files));
    }

    private static Map<String, Object> line(String file) {
        return Map.of("file", file, "page", 1, "kind", "PEN", "points", List.of(List.of(0.1, 0.2), List.of(0.3, 0.4)));
    }

    private static Map<String, Object> note(String file, String words) {
        return Map.of("file", file, "page", 2, "kind", "NOTE", "points", List.of(List.of(0.5, 0.5)), "words", words);
    }

    private static String drawn(Lesson lesson, String way) {
        return lesson.reading(lesson.answerOf("Noor Haddix", "q4"), "q4", "/drawn" + way);
    }

    private static String reads(Lesson lesson) {
        lesson.reads("Noor Haddix", "q4", Map.of("levels", Map.of("c1", "1", "c2", "1"), "hold", false))
                .ok();
        return lesson.attempt("Noor Haddix");
    }

    private static List<String> words(JsonNode marks) {
        return marks.valueStream()
                .map(m -> m.get("kind").stringValue() + m.get("words").stringValue())
                .toList();
    }

    @Test
    void an_answer_of_a_picture_alone_waits_for_its_reader_who_may_see_it_and_nobody_else(Scholion.Running school) {
        Lesson lesson = given(school, "A photo alone");
        Visitor noor = school.as("Noor Haddix");
        String other = put(noor, lesson.begin(noor), "%PDF-1.7 not named");
        String file = sits(lesson, noor, " ");
        lesson.teacher.get("/api/files/" + other).isRefused(404);
        assertThat(lesson.mark("Noor Haddix", "q4").get("state").stringValue()).isEqualTo("read");
        assertThat(lesson.answerOf("Noor Haddix", "q4")
                        .get("attachments")
                        .get(0)
                        .stringValue())
                .isEqualTo(file);
        lesson.teacher.get("/api/files/" + file).ok200();
        noor.get("/api/files/" + file).ok200();
        school.as("Lotte Marrin").get("/api/files/" + file).isRefused(404);
        Colleague.called(school, "Ottilie").visitor().get("/api/files/" + file).isRefused(404);
    }

    @Test
    void a_student_adds_only_what_they_put_in_themselves_only_pictures_and_pdfs_and_not_too_many(
            Scholion.Running school) {
        Lesson lesson = given(school, "What is no page");
        Visitor noor = school.as("Noor Haddix");
        String attempt = lesson.begin(noor);
        Visitor lotte = school.as("Lotte Marrin");
        lotte.sendBytes("/api/student/attempts/" + attempt + "/files", "page.pdf", "%PDF-1.7 mine".getBytes(UTF_8))
                .isRefused(404);
        String own = put(noor, attempt, "%PDF-1.7 own");
        String others = put(lotte, lesson.begin(lotte), "%PDF-1.7 others");
        String sound = put(noor, attempt, "OggS a sound that is long enough");
        assertThat(Lesson.say(noor, attempt, "q4", written("x", others))
                        .isRefused(422)
                        .body())
                .contains("not among those you added");
        lotte.get("/api/files/" + own).isRefused(404);
        assertThat(Lesson.say(noor, attempt, "q4", written("x", sound))
                        .isRefused(422)
                        .body())
                .contains("Only pictures and PDFs");
        Lesson.say(noor, attempt, "q4", written("x", own, own, own)).isRefused(422);
        Lesson.say(noor, attempt, "q4", written("x", "0".repeat(64))).isRefused(422);
        Lesson.say(noor, attempt, "q4", Map.of("text", "x", "attachments", List.of(own), "levels", Map.of("c1", "1")))
                .isRefused(422);
        Lesson.say(noor, attempt, "q2", written("x", own)).isRefused(422);
        Lesson.say(noor, attempt, "q4", written("x", own)).ok();
    }

    @Test
    void what_a_reader_draws_is_seen_by_the_student_as_it_was_when_it_was_handed_back(Scholion.Running school) {
        Lesson lesson = given(school, "Drawn on");
        Visitor noor = school.as("Noor Haddix");
        String file = sits(lesson, noor, "See it.");
        String attempt = reads(lesson);
        Visitor aud = lesson.teacher;
        String first = UUID.randomUUID().toString();
        aud.put(drawn(lesson, "/" + first), line(file)).ok();
        aud.put(drawn(lesson, "/" + first), line(file)).ok();
        aud.put(drawn(lesson, "/" + UUID.randomUUID()), note(file, "Say why.")).ok();
        assertThat(words(aud.get(drawn(lesson, "")).ok()))
                .as("sent twice, it stands once")
                .containsExactly("PEN", "NOTESay why.");
        lesson.handsBack("Noor Haddix").ok();
        String result = "/api/student/results/"
                + noor.get("/api/student/results").ok().get(0).get("id").stringValue();
        JsonNode item = noor.get(result).ok().get("result").get("items").get(3);
        assertThat(item.get("attachments").get(0).stringValue()).isEqualTo(file);
        assertThat(words(noor.get(result + "/drawn/q4").ok())).containsExactly("PEN", "NOTESay why.");
        assertThat(noor.get(result + "/drawn/q3").ok()).isEmpty();
        school.as("Lotte Marrin").get(result + "/drawn/q4").isRefused(404);
        noor.get(drawn(lesson, "")).isRefused(403);
        noor.put(drawn(lesson, "/" + UUID.randomUUID()), line(file)).isRefused(403);
        noor.get("/api/attempts/" + attempt + "/drawn/q4").isRefused(403);

        assertThat(change(lesson)).isEqualTo("false");
        aud.put(drawn(lesson, "/" + UUID.randomUUID()), note(file, "And when.")).ok();
        aud.delete(drawn(lesson, "/" + first)).ok();
        assertThat(words(aud.get("/api/attempts/" + attempt + "/drawn/q4").ok()))
                .containsExactly("NOTESay why.", "NOTEAnd when.");
        assertThat(words(noor.get(result + "/drawn/q4").ok()))
                .as("what was handed back stays until it is handed back again")
                .containsExactly("PEN", "NOTESay why.");
        assertThat(change(lesson)).as("it is something that changed").isEqualTo("true");
        lesson.handsBack("Noor Haddix").ok();
        assertThat(words(noor.get(result + "/drawn/q4").ok())).containsExactly("NOTESay why.", "NOTEAnd when.");
    }

    private static String change(Lesson lesson) {
        return lesson.teacher
                .get(lesson.path("/hand-back"))
                .ok()
                .get("students")
                .valueStream()
                .filter(s -> s.get("name").stringValue().equals("Noor Haddix"))
                .findFirst()
                .orElseThrow()
                .get("changed")
                .toString();
    }

    @Test
    void a_line_is_on_a_page_of_the_answer_and_is_taken_back_by_whoever_drew_it(Scholion.Running school) {
        Lesson lesson = given(school, "Lines that are none");
        Visitor noor = school.as("Noor Haddix");
        String file = sits(lesson, noor, "See it.");
        String mark = drawn(lesson, "/" + UUID.randomUUID());
        Visitor aud = lesson.teacher;
        for (Map<String, Object> wrong : List.of(
                line("0".repeat(64)),
                Map.<String, Object>of(),
                Map.<String, Object>of("page", 1),
                Map.<String, Object>of("file", file, "page", 1, "points", List.of(List.of(0.1, 0.1))),
                Map.<String, Object>of("file", file, "page", 1, "kind", "PEN", "points", Arrays.asList((Object) null)),
                note(file, " "),
                Map.<String, Object>of("file", file, "page", 0, "kind", "PEN", "points", List.of(List.of(0.1, 0.1))),
                Map.<String, Object>of("file", file, "page", 1, "kind", "PEN", "points", List.of()),
                Map.<String, Object>of("file", file, "page", 1, "kind", "PEN", "points", List.of(List.of(0.1, 1.1))),
                Map.<String, Object>of("file", file, "page", 1, "kind", "PEN", "points", List.of(List.of(0.1))),
                Map.<String, Object>of(
                        "file", file, "page", 1, "kind", "PEN", "points", List.of(List.of(0, 0)), "words", "x"))) {
            aud.put(mark, wrong).isRefused(422);
        }
        aud.put(mark, line(file)).ok();
        Visitor halvard = school.as("Halvard Quist");
        halvard.delete(mark).ok();
        assertThat(aud.get(drawn(lesson, "")).ok())
                .as("a colleague takes nothing away")
                .hasSize(1);
        halvard.put(mark, note(file, "Mine.")).isRefused(404);
        Colleague.called(school, "Ysolde").visitor().put(mark, line(file)).isRefused(404);
        aud.delete(mark).ok();
        aud.delete(mark).ok();
        assertThat(aud.get(drawn(lesson, "")).ok()).isEmpty();
    }

    @Test
    void where_two_read_what_the_other_drew_is_seen_when_the_own_reading_is_made(Scholion.Running school) {
        Lesson lesson = given(school, "Drawn by two");
        Visitor noor = school.as("Noor Haddix");
        String file = sits(lesson, noor, "See it.");
        lesson.teacher
                .put(lesson.path("/readings/q4/second"), Map.of("share", 100, "way", "MEAN", "apart", "1"))
                .ok();
        lesson.teacher.put(drawn(lesson, "/" + UUID.randomUUID()), line(file)).ok();
        Visitor halvard = school.as("Halvard Quist");
        Lesson his = Lesson.of(school, halvard, lesson.id);
        assertThat(halvard.get(drawn(his, "")).ok()).isEmpty();
        his.reads("Noor Haddix", "q4", Map.of("levels", Map.of("c1", "1", "c2", "1"), "hold", false))
                .ok();
        assertThat(halvard.get(drawn(his, "")).ok()).hasSize(1);
    }
}
