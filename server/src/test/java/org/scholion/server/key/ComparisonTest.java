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
                "\"points\": \"2\", \"prompt\": \"Which knot?\"§\"points\": \"3\", \"prompt\": \"Which knot?\"§2 points: 3 (was 2)",
                "\"key\": [\"a\"]§\"key\": [\"b\"]§1 key: at neaps (was at springs)",
                "[{\"text\": \"bowline\"}]§[{\"text\": \"bowline\"}, {\"pattern\": \"bow.*\", \"credit\": \"1/2\"}]"
                        + "§2 accepted: bowline, pattern bow.* (½) (was bowline)",
                "\"standards\": [{\"code\": \"T1\"}]§\"standards\": [{\"code\": \"T2\"}]§1 standards: T2 (was T1)",
                "\"standards\": [{\"code\": \"T1\"}]§\"standards\": []§1 standards: removed (was T1)",
                "[[\"l1\", \"r1\"]]§[]§3 key: removed (was port → red)",
                "<em>knot</em>§<strong>knot</strong>§2 formatting, a picture or a sound changed",
                "\"title\": \"Tides\"§\"title\": \"Streams\"§title: “Streams” (was “Tides”)",
                "\"title\": \"One\"§\"title\": \"Two\"§parts: Two (was One)",
                "\"pass\": \"60\"§\"pass\": \"50\"§pass mark: 50 (was 60)",
                "\"pass\": \"60\", §§pass mark: removed (was 60)",
                "\"from\": \"70\"§\"from\": \"75\"§bands: Secure from 75% (was Secure from 70%)",
                "\"percentDigits\": 1§\"percentDigits\": 0§decimal places: 0 (was 1)",
            })
    void each_change_has_its_words(String from, String to, String expected) {
        assertThat(words(from, to == null ? "" : to)).containsExactly(expected);
    }

    @Test
    void a_typing_mistake_put_right_asks_the_same_and_other_words_ask_otherwise() {
        assertThat(words("range of the tide greatest?", "range of the tides greatest?"))
                .containsExactly(
                        "1 now asks “When is the range of the tides greatest?” (was “When is the range of the tide greatest?”)");
        assertThat(words("tide greatest?", "tide smallest?").get(0)).endsWith("(!)");
        assertThat(words("\"Which knot?\"", "\"Which hitch?\"").get(0))
                .as("a short question has little room for mistakes")
                .endsWith("(!)");
    }

    @Test
    void options_that_come_go_or_say_something_else_are_told_by_their_words() {
        assertThat(words("{\"id\": \"b\", \"text\": \"at neaps\"}", "{\"id\": \"b\", \"text\": \"in winter\"}"))
                .containsExactly("1 option “in winter” (was “at neaps”) (!)");
        assertThat(words(", {\"id\": \"b\", \"text\": \"at neaps\"}", ""))
                .containsExactly("1 option “at neaps” removed (!)");
        assertThat(words("\"at neaps\"}]", "\"at neaps\"}, {\"id\": \"c\", \"text\": \"never\"}]"))
                .containsExactly("1 new option “never” (!)");
    }

    @Test
    void items_that_come_go_or_change_places_are_told_once() {
        String q2 = KEY.substring(KEY.indexOf("{\"id\": \"q2\""), KEY.indexOf("{\"id\": \"q3\""));
        assertThat(words(q2, "")).containsExactly("removed (was question 2)");
        assertThat(words("\"id\": \"q3\"", "\"id\": \"q9\""))
                .contains("3 is new: “Match.”", "removed (was question 3)");
        String turned = KEY.replace(q2, "").replace("{\"id\": \"p\"", q2 + "{\"id\": \"p\"");
        assertThat(Comparison.of(Json.read(KEY), Json.read(turned)))
                .extracting(Comparison.Difference::words)
                .containsExactly("the order of the items changed");
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
        assertThat(words("\"parts\"", adjusted.formatted("drop")))
                .containsExactly("1 dropped: counts neither in the score nor in the maximum");
        assertThat(words("\"parts\"", adjusted.formatted("creditAll"))).containsExactly("1 full credit for everyone");
        assertThat(words("\"parts\"", adjusted.formatted("creditAnswered")))
                .containsExactly("1 full credit for everyone who answered it");
        assertThat(words("\"parts\"", adjusted.formatted("bonus")))
                .containsExactly("1 bonus: adds to the score, not to the maximum");
        JsonNode before = Json.read(KEY.replace("\"parts\"", adjusted.formatted("drop")));
        assertThat(Comparison.of(before, Json.read(KEY)))
                .extracting(Comparison.Difference::words)
                .containsExactly("no longer dropped: counts neither in the score nor in the maximum");
    }

    /** Two values for each field that a key can have, and what of the second is to be read. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '§',
            value = {
                "choice§credits§{\"b\": \"1/2\"}§{\"b\": \"1/4\"}§credit of other options: at neaps ¼ (was at neaps ½)",
                "choice§penalty§\"1/4\"§\"0\"§penalty: 0 (was ¼)",
                "choice§rule§\"net\"§\"hits\"§how it is counted: right ones found (was right less wrong)",
                "choice§several§\"settle\"§\"wrong\"§more than one choice: is wrong (was waits in Settle)",
                "choice§last§[\"b\"]§[]§options kept last: removed (was at neaps)",
                "choice§max§1§2§how many may be chosen: 2 (was 1)",
                "text§accept§[{\"words\": {\"all\": [\"ebb\"], \"none\": [\"not\"]}}]§[{\"words\": {\"any\": [\"ebb\"]}}]"
                        + "§accepted: contains one of “ebb” (was contains “ebb”; contains none of “not”)",
                "text§reject§[{\"text\": \"reef knot\", \"note\": \"joins\"}]§[{\"text\": \"reef knot\"}]"
                        + "§known wrong answers: reef knot (was reef knot, comment “joins”)",
                "text§spelling§\"one\"§\"length\"§typing slips: by length (was one allowed)",
                "text§otherwise§\"settle\"§\"wrong\"§any other answer: is wrong (was waits in Settle)",
                "number§accept§[{\"value\": \"10\", \"within\": \"2\"}]§[{\"from\": \"9\", \"to\": \"11\"}]§accepted: 9 to 11 (was 10 ± 2)",
                "number§unit§{\"expect\": \"kn\"}§{\"expect\": \"kn\", \"missing\": \"1/2\"}"
                        + "§unit: kn; without a unit ½ of the credit (was kn)",
                "number§unit§{\"expect\": \"kn\"}§null§unit: removed (was kn)",
                "number§figures§{\"count\": 3}§{\"count\": 3, \"otherwise\": \"1/2\"}"
                        + "§significant figures: 3; otherwise ½ of the credit (was 3)",
                "open§words§{\"max\": 150}§{\"min\": 20, \"max\": 100}§word limit: at least 20, at most 100 (was at most 150)",
                "open§feedback§{\"right\": \"Well seen.\"}§{\"wrong\": \"Look again.\"}§feedback when wrong: “Look again.” (was none)",
                "open§hint§\"Think of the moon.\"§null§hint: removed (was “Think of the moon.”)",
                "open§rubricShown§false§true§rubric shown while answering: yes (was no)",
                "open§minutes§\"5\"§\"8\"§expected minutes: 8 (was 5)",
                "open§part§null§\"A\"§part: One (was none)",
                "spot§regions§[{\"id\": \"g1\", \"circle\": [\"0.4\", \"0.5\", \"0.1\"]}]§[{\"id\": \"g1\", \"rect\": [\"0\", \"0\", \"1\", \"1\"]}]"
                        + "§areas: area 1 rectangle 0 0 1 1 (was area 1 circle 0.4 0.5 0.1)",
                "formula§form§\"expanded\"§\"factored\"§form: factorised (was expanded)",
                "working§followThrough§false§true§follow through after a wrong line: yes (was no)",
            })
    void every_field_is_told_in_words_with_what_it_was(
            String kind, String field, String was, String now, String expected) {
        assertThat(changed(kind, field, was, now))
                .extracting(Comparison.Difference::words)
                .contains(expected);
    }

    private static List<Comparison.Difference> changed(String kind, String field, String was, String now) {
        String key = """
                {"title": "T", "parts": [{"id": "A", "title": "One"}], "items": [{"id": "q1", "kind": "%s", "prompt": "P",
                 "options": [{"id": "a", "text": "at springs"}, {"id": "b", "text": "at neaps"}]%s}]}""";
        return Comparison.of(
                Json.read(key.formatted(kind, with(field, was))), Json.read(key.formatted(kind, with(field, now))));
    }

    private static String with(String field, String value) {
        return value.equals("null") ? "" : ", \"" + field + "\": " + value;
    }

    @Test
    void no_field_of_the_published_schema_is_without_a_name() throws java.io.IOException {
        JsonNode schema = Json.read(java.nio.file.Files.readString(java.nio.file.Path.of(
                System.getProperty("scholion.root", ".."), "docs/format/assessment.schema.json")));
        java.util.Set<String> fields =
                new java.util.TreeSet<>(schema.path("properties").propertyNames());
        fields.addAll(schema.path("$defs").path("grading").path("properties").propertyNames());
        for (JsonNode kind : schema.path("$defs").path("item").path("oneOf")) {
            fields.addAll(kind.path("properties").propertyNames());
        }
        for (JsonNode blank : schema.path("$defs").path("blank").path("oneOf")) {
            fields.addAll(blank.path("properties").propertyNames());
        }
        fields.removeAll(List.of(
                // What is told by a sentence of its own, and what is not told, being no part of what is said.
                "id",
                "prompt",
                "body",
                "options",
                "tokens",
                "left",
                "right",
                "source",
                "start",
                "feedback",
                "rubric",
                "items",
                "adjustments",
                "grading",
                "format",
                "files"));
        assertThat(KeyWords.known()).containsAll(fields);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '§',
            value = {
                "correction§source§\"The tide are out.\"§\"The boats is in harbour.\"",
                "working§start§\"2x = 4\"§\"3x + 7 = 90\"",
                "pairs§left§[{\"id\": \"l1\", \"text\": \"port\"}]§[{\"id\": \"l1\", \"text\": \"starboard\"}]",
                "pairs§right§[{\"id\": \"r1\", \"text\": \"red\"}]§[{\"id\": \"r1\", \"text\": \"green\"}]",
                "order§tokens§[{\"id\": \"s1\", \"text\": \"ebb\"}]§[{\"id\": \"s1\", \"text\": \"slack water\"}]",
                "blanks§parts§[{\"id\": \"b1\", \"kind\": \"text\", \"prompt\": \"First\"}]§[{\"id\": \"b1\", \"kind\": \"text\", \"prompt\": \"After high water\"}]",
            })
    void whether_it_is_still_fair_is_asked_for_every_kind_whose_wording_can_change(
            String kind, String field, String was, String now) {
        assertThat(changed(kind, field, was, now)).anyMatch(Comparison.Difference::asksOtherwise);
    }

    @Test
    void a_passage_that_says_something_else_is_asked_about_at_each_of_its_questions() {
        String key = KEY.replace("\"prompt\": \"Which knot?\"", "\"stem\": \"p\", \"prompt\": \"Which knot?\"");
        String now = key.replace("The ledge dries.", "The ledge never dries at all.");
        assertThat(Comparison.of(Json.read(key), Json.read(now)))
                .filteredOn(Comparison.Difference::asksOtherwise)
                .extracting(Comparison.Difference::item)
                .contains("q2")
                .doesNotContain("q1");
    }
}
