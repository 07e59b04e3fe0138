package org.scholion.server.key;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.scholion.formats.assessment.OneItem;
import org.scholion.formats.json.Json;
import org.scholion.server.platform.JsonColumn;
import tools.jackson.databind.JsonNode;

/** An answer as the key, by the kind of its item; what comes out is a key that scores it in full. */
class KeyFromAnswersTest {
    private static JsonNode taken(String item, String answer) {
        JsonNode definition = Json.read("{\"items\": [" + item + "]}");
        KeyFromAnswers.TakenKey taken = KeyFromAnswers.of(definition, Map.of("q", Json.read(answer)));
        return JsonColumn.node(taken.definition()).path("items").get(0);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '§',
            value = {
                "{\"id\": \"q\", \"kind\": \"choice\", \"points\": \"1\", \"options\": [{\"id\": \"a\"}, {\"id\": \"b\"}], \"key\": []}§[\"b\"]",
                "{\"id\": \"q\", \"kind\": \"choice\", \"points\": \"1\", \"options\": [{\"id\": \"a\"}, {\"id\": \"b\"}], \"key\": []}§[\"a\", \"b\"]",
                "{\"id\": \"q\", \"kind\": \"text\", \"points\": \"1\", \"accept\": []}§\" bowline \"",
                "{\"id\": \"q\", \"kind\": \"number\", \"points\": \"1\", \"accept\": []}§\"12.5 km/h\"",
                "{\"id\": \"q\", \"kind\": \"number\", \"points\": \"1\", \"decimal\": \",\", \"accept\": []}§\"12,5\"",
                "{\"id\": \"q\", \"kind\": \"order\", \"points\": \"1\", \"tokens\": [{\"id\": \"x\"}, {\"id\": \"y\"}], \"key\": []}§[\"y\", \"x\"]",
                "{\"id\": \"q\", \"kind\": \"pairs\", \"points\": \"1\", \"left\": [{\"id\": \"l\"}], \"right\": [{\"id\": \"r\"}], \"key\": []}§[[\"l\", \"r\"]]",
                "{\"id\": \"q\", \"kind\": \"correction\", \"points\": \"1\", \"source\": \"We was.\", \"accept\": []}§\"We were.\"",
                "{\"id\": \"q\", \"kind\": \"formula\", \"points\": \"1\", \"accept\": []}§\"x^2 + 1\"",
                "{\"id\": \"q\", \"kind\": \"working\", \"points\": \"1\", \"start\": \"2x = 4\", \"accept\": []}§[\"x = 2\"]",
                "{\"id\": \"q\", \"kind\": \"spot\", \"points\": \"1\", \"regions\": [], \"key\": []}§[[\"0.4\", \"0.5\"], [\"0.8\", \"0.1\"]]",
                "{\"id\": \"q\", \"kind\": \"blanks\", \"points\": \"1\", \"parts\": [{\"id\": \"b\", \"kind\": \"text\", \"accept\": []},"
                        + " {\"id\": \"c\", \"kind\": \"number\", \"accept\": []}]}§{\"b\": \"ebb\", \"c\": \"2\"}",
            })
    void the_answer_earns_everything_under_the_key_that_it_became(String item, String answer) {
        JsonNode keyed = taken(item, answer);
        assertThat(OneItem.faults(keyed)).isEmpty();
        ItemCheck check = ItemCheck.of(JsonColumn.plain(keyed), java.util.List.of(JsonColumn.plain(Json.read(answer))));
        assertThat(check.tried().get(0).credit()).as("%s", check.tried()).isEqualTo("1");
    }

    @Test
    void what_was_accepted_before_stays_behind_and_a_tolerance_stays_too() {
        JsonNode text = taken(
                "{\"id\": \"q\", \"kind\": \"text\", \"points\": \"1\", \"accept\": [{\"text\": \"a\"}, {\"text\": \"b\"}]}",
                "\"b\"");
        assertThat(text.path("accept").toString()).isEqualTo("[{\"text\":\"b\"},{\"text\":\"a\"}]");
        JsonNode number = taken(
                "{\"id\": \"q\", \"kind\": \"number\", \"points\": \"1\", \"accept\": [{\"value\": \"1\", \"within\": \"2%\"}]}",
                "\"3\"");
        assertThat(number.path("accept").get(0).toString()).contains("\"within\":\"2%\"", "\"value\":\"3\"");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '§',
            value = {
                "{\"id\": \"q\", \"kind\": \"number\", \"points\": \"1\", \"accept\": [{\"value\": \"1\"}]}§\"about ten\"",
                "{\"id\": \"q\", \"kind\": \"open\", \"points\": \"1\"}§\"because\"",
                "{\"id\": \"q\", \"kind\": \"text\", \"points\": \"1\", \"accept\": [{\"text\": \"a\"}]}§\"  \"",
                "{\"id\": \"q\", \"kind\": \"choice\", \"points\": \"1\", \"options\": [{\"id\": \"a\"}], \"key\": [\"a\"]}§[]",
            })
    void what_says_nothing_leaves_the_key_as_it_is_and_is_named(String item, String answer) {
        JsonNode definition = Json.read("{\"items\": [{\"id\": \"p\", \"kind\": \"passage\"}, " + item + "]}");
        KeyFromAnswers.TakenKey taken = KeyFromAnswers.of(definition, Map.of("q", Json.read(answer)));
        assertThat(taken.changes()).isEmpty();
        assertThat(taken.kept()).as("passages are not counted").containsExactly(1);
    }
}
