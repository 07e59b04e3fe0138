package org.scholion.formats.assessment;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.Item;
import org.scholion.core.number.Fraction;
import org.scholion.core.score.Scorer;
import org.scholion.formats.json.Cursor;
import org.scholion.formats.json.Fault;
import org.scholion.formats.json.Faults;
import org.scholion.formats.json.Json;

/** Blanks, matching, ordering, places and corrections in the assessment file and the response file. */
class KindsJsonTest {
    private static final String FILE = """
            {"format": "scholion-assessment/1", "title": "Kinds", "items": [
              {"id": "q1", "kind": "blanks", "points": "3", "parts": [
                {"id": "b1", "kind": "text", "accept": [{"text": "ebb"}], "weight": "2"},
                {"id": "b2", "kind": "number", "accept": [{"value": "6"}]},
                {"id": "b3", "kind": "number", "accept": [{"value": "7"}]},
                {"id": "b4", "kind": "choice", "options": [{"id": "a"}, {"id": "b"}], "key": ["a"]}], "anyOrder": [["b2", "b3"]]},
              {"id": "q2", "kind": "pairs", "points": "4", "left": [{"id": "l1", "text": "N"}, {"id": "l2"}],
               "right": [{"id": "r1"}, {"id": "r2"}], "key": [["l1", "r1"], ["l2", "r2"]], "rule": "net", "perRight": 1},
              {"id": "q3", "kind": "order", "points": "3", "tokens": [{"id": "s1"}, {"id": "s2"}, {"id": "s3"}],
               "key": ["s2", "s1", "s3"], "rule": "couples"},
              {"id": "q4", "kind": "spot", "points": "1", "aspect": "3/4", "regions": [{"id": "g1", "circle": ["0.4", "0.5", "0.05"]},
               {"id": "g2", "rect": ["0.1", "0.1", "0.2", "0.3"]}, {"id": "g3", "polygon": [["0.5", "0.5"], ["0.6", "0.5"], ["0.6", "0.7"]]}],
               "key": ["g1", "g3"]},
              {"id": "q5", "kind": "correction", "points": "2", "source": "the tide fall", "accept": ["The tide falls"]}]}
            """;
    private static final List<Item> ITEMS =
            AssessmentReader.read(FILE).assessment().items();

    private static Item item(String id) {
        return ITEMS.stream().filter(i -> i.id().equals(id)).findFirst().orElseThrow();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '~',
            value = {
                "q1|{\"b1\":\"ebb\",\"b2\":\"7\",\"b3\":\"6\",\"b4\":[\"a\"]}|1",
                "q1|{\"b1\":\"ebb\"}|2/5",
                "q2|[[\"l1\",\"r1\"],[\"l2\",\"r2\"]]|1",
                "q2|[[\"l1\",\"r2\"]]|0",
                "q3|[\"s2\",\"s3\",\"s1\"]|2/3",
                "q4|[[\"0.41\",\"0.5\"],[\"0.59\",\"0.55\"]]|1",
                "q5|\"The tide falls\"|1"
            })
    void answers_are_read_scored_and_written_as_they_came(String id, String json, String credit) {
        Cursor at = Cursor.at(Json.read(json));
        Answer answer = AnswerJson.read(item(id), at);
        assertThat(at.faults()).isEmpty();
        assertThat(Scorer.of(item(id)).score(answer).credit()).isEqualTo(Fraction.exactly(credit));
        assertThat(AnswerJson.write(answer).toString()).isEqualTo(json);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '~',
            value = {
                "q1|{\"b9\":\"x\"}|b9: no part",
                "q1|{\"b4\":[\"z\"]}|b4[0]: no option",
                "q2|[[\"l1\"]]|[0]: a pair is",
                "q2|[[\"l1\",\"r9\"]]|[0]: 'l1=r9'",
                "q2|[[\"l1\",\"r1\"],[\"l1\",\"r2\"]]|'l1' stands in 2",
                "q2|[[\"l1\",\"r1\"],[\"l2\",\"r1\"]]|'r1' stands in 2",
                "q3|[\"s1\",\"s1\"]|[1]: 's1' is in the order twice",
                "q4|[[\"0.1\"]]|[0]: 2 numbers",
                "q4|[[0.1, 0.2]]|in quotes",
                "q5|[\"x\"]|a text in quotes"
            })
    void what_is_no_answer_to_the_kind_is_named_at_its_place(String id, String json, String fault) {
        Cursor at = Cursor.at(Json.read(json));
        AnswerJson.read(item(id), at);
        assertThat(at.faults())
                .extracting(Fault::toString)
                .anySatisfy(f -> assertThat(f).contains(fault));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '~',
            value = {
                "\"weight\": \"2\"|\"weight\": \"0\"|items[0].parts[0].weight",
                "\"kind\": \"text\"|\"kind\": \"open\"|items[0].parts[0].kind",
                "[\"b2\", \"b3\"]|[\"b1\", \"b3\"]|items[0].anyOrder[0][1]",
                "[\"l2\", \"r2\"]|[\"l2\", \"r9\"]|items[1].key[1][1]",
                "\"rule\": \"couples\"|\"rule\": \"luck\"|items[2].rule",
                "[\"s2\", \"s1\", \"s3\"]|[\"s2\"]|items[2].key",
                "[\"0.4\", \"0.5\", \"0.05\"]|[\"0.4\", \"0.5\"]|items[3].regions[0].circle",
                "[\"g1\", \"g3\"]|[\"g1\", \"g9\"]|items[3].key[1]",
                "[\"The tide falls\"]|[\"the  tide fall\"]|items[4].accept[0]"
            })
    void a_wrong_key_is_refused_with_its_path(String right, String wrong, String path) {
        assertThat(FILE).contains(right);
        assertThatThrownBy(() -> AssessmentReader.read(FILE.replace(right, wrong)))
                .isInstanceOfSatisfying(
                        Faults.class,
                        e -> assertThat(e.all()).extracting(Fault::path).contains(path));
    }

    @Test
    void a_missing_answer_of_any_kind_is_blank() {
        ITEMS.forEach(
                i -> assertThat(Scorer.of(i).score(Answer.NONE).state().word()).isEqualTo("blank"));
    }
}
