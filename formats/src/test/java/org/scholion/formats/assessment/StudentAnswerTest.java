package org.scholion.formats.assessment;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.Head;
import org.scholion.core.item.Item;
import org.scholion.core.item.OpenItem;
import org.scholion.core.number.Fraction;
import org.scholion.core.score.Scorer;
import org.scholion.core.score.State;
import org.scholion.formats.json.Cursor;
import org.scholion.formats.json.Faults;
import org.scholion.formats.json.Json;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** The example paper has a question of every kind. */
class StudentAnswerTest {
    private static final AssessmentFile FILE = AssessmentReader.read(Json.read(read("docs/format/example/tides.json")));

    private static String read(String path) {
        try {
            return Files.readString(
                    Path.of(System.getProperty("scholion.root", "..")).resolve(path));
        } catch (java.io.IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }

    private static Map<Item, JsonNode> said() {
        Map<Item, JsonNode> said = new LinkedHashMap<>();
        JsonNode answers = Json.read(read("docs/format/example/tides.jsonl")
                        .lines()
                        .findFirst()
                        .orElseThrow())
                .get("responses");
        FILE.assessment().scorable().forEach(i -> {
            JsonNode answer = answers.path(i.id());
            said.put(i, answer.isObject() && answer.has("text") ? answer.get("text") : answer);
        });
        return said;
    }

    private static Item item(String kind) {
        return FILE.assessment().scorable().stream()
                .filter(i -> i.kind().equals(kind))
                .findFirst()
                .orElseThrow(() -> new AssertionError("the example has no " + kind));
    }

    @Test
    void what_can_be_said_is_taken_for_every_kind() {
        Map<Item, JsonNode> said = said();
        assertThat(said.keySet().stream().map(Item::kind))
                .contains(
                        "choice",
                        "text",
                        "number",
                        "blanks",
                        "pairs",
                        "order",
                        "spot",
                        "correction",
                        "open",
                        "formula",
                        "working");
        said.forEach(
                (item, answer) -> assertThat(StudentAnswer.read(item, answer).isBlank())
                        .as(item.id())
                        .isFalse());
    }

    @Test
    void a_reading_beside_an_answer_is_refused_for_every_kind() {
        List<String> readings = List.of(
                "{\"text\": \"\", \"points\": \"5\"}",
                "{\"text\": \"x\", \"levels\": {\"c1\": \"1\"}}",
                "{\"levels\": {}}",
                "{\"points\": \"1\"}",
                "{\"text\": \"x\"}",
                "{\"text\": \"x\", \"reading\": {\"points\": \"1\"}, \"comment\": \"x\", \"held\": false}",
                "{\"credit\": \"1\", \"state\": \"scored\"}");
        for (Item item : FILE.assessment().scorable()) {
            for (String reading : readings) {
                assertThatThrownBy(() -> StudentAnswer.read(item, Json.read(reading)))
                        .as("%s takes %s", item.kind(), reading)
                        .isInstanceOf(Faults.class);
            }
        }
    }

    @Test
    void an_open_answer_has_attachments_only_where_the_question_takes_them_and_not_more_than_it_takes() {
        OpenItem with = new OpenItem(Head.of("q", Fraction.ONE), null, null, null, null, 1);
        String hash = "0a".repeat(32);
        String one = "{\"text\": \" \", \"attachments\": [\"" + hash + "\"]}";
        Answer answer = StudentAnswer.read(with, Json.read(one));
        assertThat(answer).isEqualTo(new Answer.Written(" ", null, null, List.of(hash)));
        assertThat(AnswerJson.read(with, Cursor.at(AnswerJson.write(answer))))
                .as("it is kept as it was given")
                .isEqualTo(answer);
        assertThat(StudentAnswer.read(with, Json.read("\"only words\""))).isEqualTo(Answer.Written.of("only words"));
        Map.of("at most 1", "[\"" + hash + "\", \"" + hash + "\"]", "no name of an attachment", "[\"../../etc\"]")
                .forEach((fault, attachments) -> assertThatThrownBy(
                                () -> StudentAnswer.read(with, Json.read("{\"attachments\": " + attachments + "}")))
                        .hasMessageContaining(fault));
        assertThatThrownBy(() -> StudentAnswer.read(
                        with, Json.read("{\"text\": \"x\", \"attachments\": [], \"points\": \"1\"}")))
                .as("a reading beside it is refused")
                .hasMessageContaining("points");
        assertThatThrownBy(() -> StudentAnswer.read(item("open"), Json.read(one)))
                .as("a question without attachments takes a text")
                .isInstanceOf(Faults.class);
    }

    @Test
    void whatever_a_student_says_an_open_answer_waits_for_a_reader() {
        Item open = item("open");
        JsonNode typed = Json.MAPPER.valueToTree("{\"text\": \"\", \"points\": \"5\"}");
        assertThat(Scorer.of(open).score(StudentAnswer.read(open, typed)).state())
                .as("what looks like a reading is a text")
                .isEqualTo(State.READ);
    }

    @Test
    void a_field_inside_a_blank_is_refused_by_its_name() {
        ObjectNode answer =
                Json.read("{\"b1\": {\"text\": \"ebb\", \"credit\": \"1\"}}").asObject();
        assertThatThrownBy(() -> StudentAnswer.read(item("blanks"), answer)).hasMessageContaining("b1");
        ObjectNode unknown = Json.read("{\"points\": \"3\"}").asObject();
        assertThatThrownBy(() -> StudentAnswer.read(item("blanks"), unknown)).hasMessageContaining("points");
    }

    @ParameterizedTest
    @ValueSource(strings = {"text", "number", "correction", "formula", "open"})
    void a_text_that_is_too_long_is_refused_with_its_length(String kind) {
        JsonNode endless = Json.MAPPER.valueToTree("x".repeat(60_001));
        assertThatThrownBy(() -> StudentAnswer.read(item(kind), endless))
                .isInstanceOf(Faults.class)
                .hasMessageContaining("60001");
    }

    @Test
    void more_lines_places_or_choices_than_can_be_given_are_refused() {
        Map<String, Object> much = Map.of(
                "working", java.util.Collections.nCopies(201, "x = 1"),
                "spot", java.util.Collections.nCopies(201, List.of("0.1", "0.2")),
                "choice", List.of("a", "b"));
        much.forEach((kind, answer) -> assertThatThrownBy(
                        () -> StudentAnswer.read(item(kind), Json.MAPPER.valueToTree(answer)))
                .as(kind)
                .hasMessageContaining("at most"));
    }
}
