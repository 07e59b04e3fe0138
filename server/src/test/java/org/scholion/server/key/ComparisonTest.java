package org.scholion.server.key;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.scholion.formats.json.Json;
import tools.jackson.databind.JsonNode;

/** Two versions of a key, in the words that a colleague would use. */
class ComparisonTest {
    private static final String KEY = """
            {"title": "Tides", "items": [
              {"id": "p", "kind": "passage", "prompt": "The ledge dries."},
              {"id": "q1", "kind": "choice", "points": "1", "prompt": "When is the range of the tide greatest?",
               "options": [{"id": "a", "text": "at springs"}, {"id": "b", "text": "at neaps"}], "key": ["a"],
               "standards": [{"code": "T1"}]},
              {"id": "q2", "kind": "text", "points": "2", "prompt": "Which knot?", "accept": [{"text": "bowline"}],
               "body": "<p>Which <em>knot</em>?</p>"},
              {"id": "q3", "kind": "pairs", "points": "2", "prompt": "Match.", "left": [{"id": "l1", "text": "port"}],
               "right": [{"id": "r1", "text": "red"}], "key": [["l1", "r1"]]}],
             "parts": [{"id": "A", "title": "One"}],
             "grading": {"pass": "60", "bands": [{"from": "70", "label": "Secure"}], "percentDigits": 1}}
            """;

    private static List<String> words(String from, String to) {
        assertThat(KEY).contains(from);
        return Comparison.of(Json.read(KEY), Json.read(KEY.replace(from, to))).stream()
                .map(d -> (d.number() > 0 ? d.number() + " " : "") + d.words() + (d.asksOtherwise() ? " (!)" : ""))
                .toList();
    }

    @Test
    void the_same_is_no_difference_whatever_the_order_of_its_fields() {
        assertThat(Comparison.of(Json.read(KEY), Json.read(KEY))).isEmpty();
        JsonNode one = Json.read("{\"items\": [{\"id\": \"a\", \"kind\": \"text\"}]}");
        JsonNode other = Json.read("{\"items\": [{\"kind\": \"text\", \"id\": \"a\"}]}");
        assertThat(Comparison.of(one, other)).isEmpty();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '§',
            value = {
                "\"points\": \"2\", \"prompt\": \"Which knot?\"§\"points\": \"3\", \"prompt\": \"Which knot?\"§2 points: 3 instead of 2",
                "\"key\": [\"a\"]§\"key\": [\"b\"]§1 key: at neaps instead of at springs",
                "[{\"text\": \"bowline\"}]§[{\"text\": \"bowline\"}, {\"pattern\": \"bow.*\", \"credit\": \"1/2\"}]"
                        + "§2 accepted: bowline, bow.* (1/2) instead of bowline",
                "\"standards\": [{\"code\": \"T1\"}]§\"standards\": [{\"code\": \"T2\"}]§1 standards: T2 instead of T1",
                "\"standards\": [{\"code\": \"T1\"}]§\"standards\": []§1 standards: none instead of T1",
                "[[\"l1\", \"r1\"]]§[]§3 key: none instead of l1 → r1",
                "<em>knot</em>§<strong>knot</strong>§2 looks otherwise (formatting, a picture or a sound)",
                "\"title\": \"Tides\"§\"title\": \"Streams\"§the title is “Streams” instead of “Tides”",
                "\"title\": \"One\"§\"title\": \"Two\"§the parts changed",
                "\"pass\": \"60\"§\"pass\": \"50\"§the pass mark is 50 instead of 60",
                "\"pass\": \"60\", §§the pass mark is none instead of 60",
                "\"from\": \"70\"§\"from\": \"75\"§the bands are Secure from 75 instead of Secure from 70",
                "\"percentDigits\": 1§\"percentDigits\": 0§the decimals of the percent is 0 instead of 1",
            })
    void each_change_has_its_words(String from, String to, String expected) {
        assertThat(words(from, to == null ? "" : to)).containsExactly(expected);
    }

    @Test
    void a_typing_mistake_put_right_asks_the_same_and_other_words_ask_otherwise() {
        assertThat(words("range of the tide greatest?", "range of the tides greatest?"))
                .containsExactly(
                        "1 asks “When is the range of the tides greatest?” instead of “When is the range of the tide greatest?”");
        assertThat(words("tide greatest?", "tide smallest?").get(0)).endsWith("(!)");
        assertThat(words("\"Which knot?\"", "\"Which hitch?\"").get(0))
                .as("a short question has little room for mistakes")
                .endsWith("(!)");
    }

    @Test
    void options_that_come_go_or_say_something_else_are_told_by_their_words() {
        assertThat(words("{\"id\": \"b\", \"text\": \"at neaps\"}", "{\"id\": \"b\", \"text\": \"in winter\"}"))
                .containsExactly("1 has the option “in winter” instead of “at neaps” (!)");
        assertThat(words(", {\"id\": \"b\", \"text\": \"at neaps\"}", ""))
                .containsExactly("1 no longer has the option “at neaps” (!)");
        assertThat(words("\"at neaps\"}]", "\"at neaps\"}, {\"id\": \"c\", \"text\": \"never\"}]"))
                .containsExactly("1 has another option, “never” (!)");
    }

    @Test
    void items_that_come_go_or_change_places_are_told_once() {
        String q2 = KEY.substring(KEY.indexOf("{\"id\": \"q2\""), KEY.indexOf("{\"id\": \"q3\""));
        assertThat(words(q2, "")).containsExactly("is taken out (was question 2)");
        assertThat(words("\"id\": \"q3\"", "\"id\": \"q9\""))
                .contains("3 is new: “Match.”", "is taken out (was question 3)");
        String turned = KEY.replace(q2, "").replace("{\"id\": \"p\"", q2 + "{\"id\": \"p\"");
        assertThat(Comparison.of(Json.read(KEY), Json.read(turned)))
                .extracting(Comparison.Difference::words)
                .containsExactly("the items stand in another order");
    }

    @Test
    void a_picture_that_is_exchanged_asks_otherwise() {
        String image = "<p>Which <em>knot</em>?</p><img src=\\\"/api/files/%s\\\" alt=\\\"x\\\">";
        String with = KEY.replace("<p>Which <em>knot</em>?</p>", image.formatted("a"));
        String other = KEY.replace("<p>Which <em>knot</em>?</p>", image.formatted("b"));
        assertThat(Comparison.of(Json.read(with), Json.read(other)).get(0).asksOtherwise())
                .isTrue();
    }

    @Test
    void adjustments_are_told_with_what_they_do() {
        String adjusted = "\"adjustments\": [{\"item\": \"q1\", \"do\": \"%s\"}], \"parts\"";
        assertThat(words("\"parts\"", adjusted.formatted("drop"))).containsExactly("1 dropped from score and possible");
        assertThat(words("\"parts\"", adjusted.formatted("creditAll"))).containsExactly("1 credited to everybody");
        assertThat(words("\"parts\"", adjusted.formatted("creditAnswered")))
                .containsExactly("1 credited to whoever answered it");
        assertThat(words("\"parts\"", adjusted.formatted("bonus")))
                .containsExactly("1 a bonus, in the score and not in the possible");
        JsonNode before = Json.read(KEY.replace("\"parts\"", adjusted.formatted("drop")));
        assertThat(Comparison.of(before, Json.read(KEY)))
                .extracting(Comparison.Difference::words)
                .containsExactly("no longer dropped from score and possible");
    }
}
