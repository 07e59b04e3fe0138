package org.scholion.formats.assessment;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.scholion.formats.json.Faults;
import org.scholion.formats.json.Json;

/** The published example, schema, reader and writer say the same. */
public class FileTest {
    public static final Path FORMAT = Path.of(System.getProperty("scholion.root"), "docs/format");

    /** More than the example has: every field that it leaves at its default. */
    private static final String REST = """
            {"format": "scholion-assessment/1", "title": "Rest", "language": "de", "parts": [
               {"id": "A", "title": "", "weight": "1/3"}, {"id": "B", "title": "b", "weight": "2.5", "best": 1}],
             "items": [
              {"id": "w", "part": "A", "kind": "choice", "points": 3, "max": 2, "rule": "weights", "negative": true,
               "options": [{"id": "a"}, {"id": "b"}], "key": ["a"], "credits": {"a": "1/3", "b": "-1/7"}},
              {"id": "o", "part": "A", "kind": "choice", "points": "1", "several": "wrong", "options": [{"id": "a"}], "key": ["a"]},
              {"id": "t", "part": "A", "kind": "text", "points": "1", "accept": [{"text": "Ebbe", "note": "good"},
               {"words": {"any": ["a"], "none": ["b c"]}}], "ignore": [], "spelling": "two", "spellingCredit": "1/2", "penalty": "1/9"},
              {"id": "n", "part": "A", "kind": "number", "points": "1", "accept": [{"from": "-1", "to": "1/3", "credit": "-1"},
               {"value": "0.1234567"}], "decimal": ",", "unit": {"expect": "kn", "convert": false, "wrong": "1/2"}, "otherwise": "wrong"},
              {"id": "x", "part": "A", "kind": "blanks", "points": "1", "rule": "exact", "parts": [
               {"id": "1", "kind": "number", "accept": [{"value": "2"}], "standards": [{"code": "Z"}]},
               {"id": "2", "kind": "number", "accept": [{"value": "3"}], "prompt": "second"}], "anyOrder": [["1", "2"]]},
              {"id": "p", "part": "A", "kind": "pairs", "points": "1", "left": [{"id": "l"}], "right": [{"id": "r"}, {"id": "s"}],
               "key": [["l", "r"], ["l", "s"]], "rule": "exact", "perLeft": 2, "perRight": 1},
              {"id": "s", "part": "A", "kind": "spot", "points": "1", "aspect": "9/16", "rule": "net", "regions": [
               {"id": "g", "polygon": [["0", "0"], ["1", "0"], ["1/3", "1"]]}], "key": ["g"]},
              {"id": "f", "part": "B", "kind": "formula", "points": "1", "accept": ["k f(x)"], "variables": ["x"], "constants": ["k"],
               "functions": ["f"], "form": "factored"},
              {"id": "g", "part": "B", "kind": "working", "points": "1", "start": "x + 1 = 2", "accept": ["x = 1"], "steps": "1",
               "followThrough": true},
              {"id": "e", "kind": "open", "part": "B", "points": "1", "words": {"min": 3}, "mastery": "2"}],
             "adjustments": [{"item": "w", "do": "bonus"}, {"item": "o", "do": "creditAll"}],
             "grading": {"percentDigits": 0, "negativeTotals": true, "late": {"perDay": "1/3"}, "attempts": "mean", "pass": "0",
              "curve": [{"add": "-1/2"}, {"scaleTo": 90}, {"root": true}, {"line": [["0", "10"], ["100", "1/3"]]}],
              "bands": [{"from": "-5", "label": "low", "message": "…"}]}}
            """;

    static String example() {
        try {
            return Files.readString(FORMAT.resolve("example/tides.json"));
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }

    private static Schema schema(String name) throws IOException {
        return SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                .getSchema(Files.readString(FORMAT.resolve(name)), InputFormat.JSON);
    }

    @Test
    void what_is_written_reads_back_as_the_same_and_is_written_the_same_again() {
        for (String text : List.of(example(), REST)) {
            AssessmentFile file = AssessmentReader.read(text);
            String written = Json.write(AssessmentWriter.write(file));
            AssessmentFile again = AssessmentReader.read(written);
            assertThat(again).isEqualTo(file);
            assertThat(Json.write(AssessmentWriter.write(again))).isEqualTo(written);
        }
    }

    @Test
    void what_is_read_and_what_is_written_keep_to_the_published_schema() throws IOException {
        Schema schema = schema("assessment.schema.json");
        for (String text : List.of(example(), REST)) {
            assertThat(schema.validate(text, InputFormat.JSON)).isEmpty();
            String written = Json.write(AssessmentWriter.write(AssessmentReader.read(text)));
            assertThat(schema.validate(written, InputFormat.JSON)).isEmpty();
        }
        Schema line = schema("response.schema.json");
        for (String response : Files.readAllLines(FORMAT.resolve("example/tides.jsonl"))) {
            assertThat(line.validate(response, InputFormat.JSON)).isEmpty();
        }
    }

    @ParameterizedTest(name = "{2}")
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '\0',
            value = {
                "\"points\": \"1\" | \"points\": \"one\" | items[0].points",
                "\"points\": \"1\" | \"points\": 1.5 | items[0].points",
                "\"key\": [\"b\"] | \"key\": [] | items[0].key",
                "\"max\": 3 | \"most\": 3 | items[1].most",
                "\"rule\": \"net\" | \"rule\": \"gross\" | items[1].rule",
                "\"spelling\": \"length\" | \"spelling\": \"some\" | items[2].spelling",
                "\"perDay\": \"10%\" | \"perDay\": \"ten\" | grading.late.perDay",
                "\"attempts\": \"best\" | \"attempts\": \"worst\" | grading.attempts",
                "\"kind\": \"order\" | \"kind\": \"ordered\" | items[6].kind",
                "\"circle\": [\"0.4\", \"0.5\", \"0.05\"] | \"circle\": [\"0.4\"] | items[7].regions[0].circle",
                "\"form\": \"expanded\" | \"form\": \"long\" | items[10].form",
                "\"format\": \"scholion-assessment/1\" | \"format\": \"scholion-assessment/2\" | format",
            })
    void the_reader_and_the_schema_refuse_the_same_and_the_reader_names_the_path(
            String right, String wrong, String path) throws IOException {
        String broken = example()
                .replaceFirst(java.util.regex.Pattern.quote(right), java.util.regex.Matcher.quoteReplacement(wrong));
        assertThat(broken).isNotEqualTo(example());
        assertThat(schema("assessment.schema.json").validate(broken, InputFormat.JSON))
                .isNotEmpty();
        assertThatThrownBy(() -> AssessmentReader.read(broken))
                .isInstanceOfSatisfying(
                        Faults.class,
                        e -> assertThat(e.all())
                                .anySatisfy(f -> assertThat(f.path()).isEqualTo(path)));
    }

    @ParameterizedTest(name = "{2}")
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '\0',
            value = {
                "\"part\": \"A\", \"kind\": \"choice\" | \"part\": \"Z\", \"kind\": \"choice\" | items[0].part",
                "\"code\": \"T1\", \"weight\" | \"code\": \"T9\", \"weight\" | items[0].standards[0].code",
                "\"pattern\": \"bow | \"pattern\": \"(bow | items[2].accept[1].pattern",
                "\"expect\": \"km/h\" | \"expect\": \"furlong\" | items[3].unit.expect",
                "\"item\": \"q2\" | \"item\": \"q99\" | adjustments[0].item",
                "\"accept\": [\"x^2 + 2x + 1\"] | \"accept\": [\"x^2 +\"] | items[10].accept[0]",
                "\"start\": \"2(x + 3) = 10\" | \"start\": \"2(x + 3 = 10\" | items[11].start",
                "\"parent\": \"T\" | \"parent\": \"U\" | frameworks[0].standards[1].parent",
            })
    void references_and_what_has_to_compile_are_refused_with_their_path(String right, String wrong, String path) {
        String broken = example()
                .replaceFirst(java.util.regex.Pattern.quote(right), java.util.regex.Matcher.quoteReplacement(wrong));
        assertThatThrownBy(() -> AssessmentReader.read(broken))
                .isInstanceOfSatisfying(
                        Faults.class,
                        e -> assertThat(e.all())
                                .anySatisfy(f -> assertThat(f.path()).isEqualTo(path)));
    }
}
