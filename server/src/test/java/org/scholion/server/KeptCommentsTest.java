package org.scholion.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.testing.Colleague;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Visitor;
import tools.jackson.databind.JsonNode;

@ExtendWith(Scholion.class)
class KeptCommentsTest {
    private static final Map<String, Object> ALL =
            Map.of("score", true, "marks", true, "answers", true, "notes", true, "keys", false);

    private static List<String> texts(Visitor who) {
        return who.get("/api/comments")
                .ok()
                .valueStream()
                .map(c -> c.get("text").stringValue())
                .toList();
    }

    private static String keep(Visitor who, String text) {
        return who.post("/api/comments", Map.of("text", text)).ok().get("id").stringValue();
    }

    @Test
    void comments_are_kept_once_those_used_most_come_first_and_they_are_changed_removed_and_brought_back(
            Scholion.Running school) {
        Visitor reader = Colleague.called(school, "Keeps").visitor();
        keep(reader, "Say why.");
        String order = keep(reader, "Good order.");
        assertThat(keep(reader, " Good order. ")).isEqualTo(order);
        String why = keep(reader, "Say why.");
        reader.post("/api/comments/" + why + "/used", null).ok();
        assertThat(texts(reader)).containsExactly("Say why.", "Good order.");
        reader.put("/api/comments/" + order, Map.of("text", "Well ordered.")).ok();
        reader.delete("/api/comments/" + why).ok();
        assertThat(texts(reader)).containsExactly("Well ordered.");
        assertThat(keep(reader, "Say why.")).isEqualTo(why);
        assertThat(texts(reader)).hasSize(2);
    }

    @Test
    void a_kept_comment_is_changed_in_every_answer_in_which_its_reader_has_said_it_where_wanted(
            Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Said otherwise everywhere", "A")
                .sits("Noor Haddix", null, null, null, "So.")
                .sits("Lotte Marrin", null, null, null, "Thus.")
                .sits("Asa Quayle", null, null, null, "Hence.");
        String kept = keep(lesson.teacher, "Name the stream.");
        for (String name : List.of("Noor Haddix", "Lotte Marrin", "Asa Quayle")) {
            lesson.reads(
                            name,
                            "q4",
                            Map.of(
                                    "levels",
                                    Map.of("c1", "1", "c2", "1"),
                                    "comment",
                                    name.startsWith("Asa")
                                            ? "Rename the stream. Name the stream.s"
                                            : "Good. Name the stream. Go on.",
                                    "note",
                                    "mine",
                                    "hold",
                                    false))
                    .ok();
        }
        String path = "/api/comments/" + kept;
        assertThat(lesson.teacher.get(path + "/said").ok().get("answers").intValue())
                .isEqualTo(2);
        JsonNode changed = lesson.teacher
                .put(path + "/everywhere", Map.of("text", "Say “which” stream."))
                .ok();
        assertThat(changed.get("answers").intValue()).isEqualTo(2);
        assertThat(changed.get("left").intValue()).isZero();
        JsonNode noor = lesson.answerOf("Noor Haddix", "q4");
        assertThat(noor.get("comment").stringValue()).isEqualTo("Good. Say “which” stream. Go on.");
        assertThat(noor.get("note").stringValue()).isEqualTo("mine");
        assertThat(noor.at("/mark/points").stringValue()).as("the mark stays").isEqualTo("5");
        assertThat(lesson.answerOf("Asa Quayle", "q4").get("comment").stringValue())
                .as("within other words it is not said")
                .isEqualTo("Rename the stream. Name the stream.s");
        assertThat(lesson.teacher.get(path + "/said").ok().get("answers").intValue())
                .isEqualTo(2);
        Visitor other = Colleague.called(school, "Said nothing").visitor();
        other.get(path + "/said").isRefused(404);
        other.put(path + "/everywhere", Map.of("text", "x")).isRefused(404);
        school.as("Noor Haddix").put(path + "/everywhere", Map.of("text", "x")).isRefused(403);
    }

    @Test
    void what_was_overruled_or_read_again_by_a_colleague_stays_as_it_is(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Theirs stays theirs", "A")
                .sits("Noor Haddix", null, null, null, "So.")
                .sits("Lotte Marrin", null, null, null, "Thus.");
        String kept = keep(lesson.teacher, "Which harbour?");
        Map<String, Object> reading =
                Map.of("levels", Map.of("c1", "1", "c2", "1"), "comment", "Which harbour?", "note", "", "hold", false);
        lesson.reads("Noor Haddix", "q4", reading).ok();
        lesson.reads("Lotte Marrin", "q4", reading).ok();
        Visitor halvard = school.as("Halvard Quist");
        JsonNode seen = lesson.answerOf("Noor Haddix", "q4");
        Map<String, Object> theirs = new HashMap<>(reading);
        theirs.put("saw", seen.get("saw").stringValue());
        halvard.put(lesson.reading(seen, "q4", ""), theirs).ok();
        JsonNode changed = lesson.teacher
                .put("/api/comments/" + kept + "/everywhere", Map.of("text", "Name the harbour."))
                .ok();
        assertThat(changed.get("answers").intValue()).isEqualTo(1);
        assertThat(lesson.answerOf("Noor Haddix", "q4").get("comment").stringValue())
                .isEqualTo("Which harbour?");
        assertThat(lesson.answerOf("Lotte Marrin", "q4").get("comment").stringValue())
                .isEqualTo("Name the harbour.");
    }

    @Test
    void nobody_comes_to_a_colleagues_comments_and_none_is_empty_or_endless(Scholion.Running school) {
        Visitor reader = Colleague.called(school, "Owns").visitor();
        Visitor other = Colleague.called(school, "Looks").visitor();
        String own = keep(reader, "Mine.");
        assertThat(texts(other)).isEmpty();
        other.put("/api/comments/" + own, Map.of("text", "Theirs.")).isRefused(404);
        other.delete("/api/comments/" + own).isRefused(404);
        other.post("/api/comments/" + own + "/used", null).isRefused(404);
        reader.post("/api/comments", Map.of("text", "  ")).isRefused(422);
        reader.post("/api/comments", Map.of("text", "x".repeat(2_001))).isRefused(422);
        school.as("Noor Haddix").get("/api/comments").isRefused(403);
        assertThat(texts(reader)).containsExactly("Mine.");
    }

    @Test
    void the_students_name_stands_in_the_place_kept_for_it_when_the_comment_is_handed_back(Scholion.Running school) {
        Lesson lesson =
                Lesson.given(school, "Named in a comment", "A").sits("Noor Haddix", null, null, null, "Because.");
        JsonNode answer = lesson.answerOf("Noor Haddix", "q4");
        Map<String, Object> reading = new HashMap<>();
        reading.put("levels", Map.of("c1", "1", "c2", "1"));
        reading.put("comment", "Well ordered, {given name}.");
        reading.put("note", "");
        reading.put("hold", false);
        reading.put("saw", answer.get("saw").stringValue());
        lesson.teacher.put(lesson.reading(answer, "q4", ""), reading).ok();
        assertThat(lesson.answerOf("Noor Haddix", "q4").get("comment").stringValue())
                .as("to the reader it stays what it was")
                .isEqualTo("Well ordered, {given name}.");
        String preview = lesson.teacher
                .post(
                        "/api/attempts/" + lesson.attempt("Noor Haddix") + "/result/preview",
                        Map.of("sees", ALL, "messages", List.of()))
                .body();
        assertThat(preview).contains("Well ordered, Noor.").doesNotContain("{given name}");
    }
}
