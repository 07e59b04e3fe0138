package org.scholion.server.read;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Collections;
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
class RemarksTest {
    private static final Map<String, Object> ALL =
            Map.of("score", true, "marks", true, "answers", true, "notes", true, "keys", false);
    private static final String SAID = "The stream turns, then it runs.";

    private static Lesson given(Scholion.Running school, String title) {
        return Lesson.given(school, title, "A").sits("Noor Haddix", null, null, null, SAID);
    }

    private static Map<String, Object> remark(int from, int to, String text, boolean brief) {
        return Map.of("from", from, "to", to, "text", text, "brief", brief);
    }

    private static Map<String, Object> reading(JsonNode answer, List<Map<String, Object>> remarks) {
        Map<String, Object> reading = new HashMap<>();
        reading.put("levels", Map.of("c1", "1", "c2", "1"));
        reading.put("comment", "");
        reading.put("note", "");
        reading.put("hold", false);
        reading.put("saw", answer.get("saw").stringValue());
        reading.put("remarks", remarks);
        return reading;
    }

    private static Visitor.Reply save(Lesson lesson, List<Map<String, Object>> remarks) {
        JsonNode answer = lesson.answerOf("Noor Haddix", "q4");
        return lesson.teacher.put(lesson.reading(answer, "q4", ""), reading(answer, remarks));
    }

    private static List<String> texts(JsonNode remarks) {
        return remarks.valueStream()
                .map(r -> r.get("from").intValue() + " " + r.get("text").stringValue())
                .toList();
    }

    private static JsonNode preview(Lesson lesson) {
        return lesson.teacher
                .post(
                        "/api/attempts/" + lesson.attempt("Noor Haddix") + "/result/preview",
                        Map.of("sees", ALL, "messages", List.of()))
                .ok()
                .get("items")
                .get(3);
    }

    @Test
    void a_comment_on_words_stays_with_its_words_and_reaches_the_student_with_their_name_in_it(
            Scholion.Running school) {
        Lesson lesson = given(school, "Words of an answer");
        save(lesson, List.of(remark(18, 30, "Where, {given name}?", false), remark(4, 10, " clear ", true)))
                .ok();
        assertThat(texts(lesson.answerOf("Noor Haddix", "q4").get("remarks")))
                .containsExactly("4 clear", "18 Where, {given name}?");
        JsonNode seen = preview(lesson);
        assertThat(texts(seen.get("remarks"))).containsExactly("4 clear", "18 Where, Noor?");
        assertThat(SAID.substring(4, 10)).isEqualTo("stream");
        assertThat(seen.get("remarks").get(0).get("brief").booleanValue()).isTrue();
    }

    @Test
    void a_comment_points_at_words_that_are_there_and_says_something_and_there_are_not_endlessly_many(
            Scholion.Running school) {
        Lesson lesson = given(school, "Words that are not there");
        int end = SAID.length();
        for (Map<String, Object> wrong : List.of(
                remark(-1, 3, "x", false),
                remark(3, 3, "x", false),
                remark(3, end + 1, "x", false),
                remark(0, 3, "  ", false),
                remark(0, 3, "x".repeat(2_001), false))) {
            assertThat(save(lesson, List.of(wrong)).isRefused(422).body()).contains("remarks");
        }
        save(lesson, Collections.nCopies(201, remark(0, 3, "x", true))).isRefused(422);
        assertThat(lesson.answerOf("Noor Haddix", "q4").get("remarks").size()).isZero();
        save(lesson, List.of(remark(0, end, "all of it", false))).ok();
        assertThat(lesson.answerOf("Noor Haddix", "q4").get("remarks").size()).isOne();
    }

    @Test
    void while_comments_are_not_shown_no_word_of_them_is_and_while_a_reading_is_held_back_neither(
            Scholion.Running school) {
        Lesson lesson = given(school, "Words kept back");
        save(lesson, List.of(remark(4, 10, "seen later", false))).ok();
        Map<String, Object> sees = new HashMap<>(ALL);
        sees.put("notes", false);
        assertThat(lesson.teacher
                        .post(
                                "/api/attempts/" + lesson.attempt("Noor Haddix") + "/result/preview",
                                Map.of("sees", sees, "messages", List.of()))
                        .body())
                .doesNotContain("seen later");
        JsonNode answer = lesson.answerOf("Noor Haddix", "q4");
        Map<String, Object> held = reading(answer, List.of(remark(4, 10, "seen later", false)));
        held.put("hold", true);
        lesson.teacher.put(lesson.reading(answer, "q4", ""), held).ok();
        assertThat(preview(lesson).has("remarks")).isFalse();
        assertThat(lesson.answerOf("Noor Haddix", "q4").get("remarks").size())
                .as("to the reader it stays")
                .isOne();
    }

    @Test
    void another_comment_on_words_makes_another_result_and_is_taken_back_with_its_reading(Scholion.Running school) {
        Lesson lesson = given(school, "Words changed");
        save(lesson, List.of(remark(4, 10, "first", false))).ok();
        save(lesson, List.of(remark(4, 10, "second", false))).ok();
        JsonNode answer = lesson.answerOf("Noor Haddix", "q4");
        lesson.teacher
                .post(
                        lesson.reading(answer, "q4", "/undo"),
                        Map.of("saw", answer.get("saw").stringValue()))
                .ok();
        assertThat(texts(lesson.answerOf("Noor Haddix", "q4").get("remarks"))).containsExactly("4 first");
    }

    @Test
    void a_short_mark_has_a_letter_of_its_own_and_its_reader_is_told_which_mark_has_it(Scholion.Running school) {
        Visitor reader = Colleague.called(school, "Letters").visitor();
        JsonNode clear = reader.post("/api/comments", Map.of("text", "clear", "letter", "C"))
                .ok();
        assertThat(clear.get("letter").stringValue()).isEqualTo("c");
        assertThat(reader.post("/api/comments", Map.of("text", "cut it", "letter", "c"))
                        .isRefused(422)
                        .body())
                .contains("C already sets", "clear");
        reader.post("/api/comments", Map.of("text", "x", "letter", "7")).isRefused(422);
        reader.post("/api/comments", Map.of("text", "x".repeat(31), "letter", "x"))
                .isRefused(422);
        String id = clear.get("id").stringValue();
        reader.put("/api/comments/" + id, Map.of("text", "clear", "letter", "k"))
                .ok();
        reader.post("/api/comments", Map.of("text", "cut it", "letter", "c")).ok();
        reader.delete("/api/comments/" + id).ok();
        reader.post("/api/comments", Map.of("text", "keep", "letter", "k")).ok();
        assertThat(reader.post("/api/comments", Map.of("text", "clear")).ok().hasNonNull("letter"))
                .as("its letter is another mark's by now")
                .isFalse();
    }

    @Test
    void what_is_left_out_or_null_is_told_and_is_no_fault_of_the_server(Scholion.Running school) {
        Lesson lesson = given(school, "Words left out");
        JsonNode answer = lesson.answerOf("Noor Haddix", "q4");
        String path = lesson.reading(answer, "q4", "");
        assertThat(lesson.teacher.put(path, Map.of("hold", false)).status()).isBetween(400, 422);
        assertThat(lesson.teacher.put(path, Map.of()).status()).isBetween(400, 422);
        Map<String, Object> reading = reading(answer, Collections.singletonList(null));
        assertThat(lesson.teacher.put(path, reading).isRefused(422).body()).contains("remarks");
        assertThat(lesson.teacher
                        .put(lesson.path("/readings/q4/hint-plan"), Map.of())
                        .status())
                .isLessThan(500);
        assertThat(lesson.teacher
                        .put(lesson.reading(answer, "q4", "/example"), Map.of())
                        .status())
                .isEqualTo(422);
        assertThat(lesson.answerOf("Noor Haddix", "q4").get("mark").get("state").stringValue())
                .isEqualTo("read");
    }
}
