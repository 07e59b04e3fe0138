package org.scholion.formats.assessment;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.scholion.core.item.ChoiceItem;
import org.scholion.core.item.NumberItem;
import org.scholion.core.item.OpenItem;
import org.scholion.core.item.TextItem;
import org.scholion.core.number.Fraction;
import org.scholion.core.total.Assessment;
import org.scholion.core.total.Curve;
import org.scholion.core.total.Grading;
import org.scholion.formats.json.Fault;
import org.scholion.formats.json.Faults;

class AssessmentReaderTest {
    private static final String WHOLE = """
            {"format": "scholion-assessment/1", "title": "Tides", "language": "en",
             "frameworks": [{"id": "csf", "title": "Coastal Skills", "version": "2", "standards": [
               {"code": "T1", "text": "Causes"}, {"code": "T1.2", "parent": "T1", "text": "Springs"}]}],
             "parts": [{"id": "A", "title": "Part A", "weight": "40", "best": null}],
             "items": [
              {"id": "q1", "part": "A", "kind": "choice", "points": "1", "prompt": "?", "options": [{"id": "a", "text": "x"},
               {"id": "b", "text": "y"}, {"id": "c", "text": "z"}], "key": ["b"], "credits": {"c": "1/2"}, "penalty": "1/4",
               "standards": [{"code": "T1", "weight": "1"}]},
              {"id": "q2", "part": "A", "kind": "text", "points": 2, "accept": [{"text": "bowline"}, {"pattern": "bow ?line"},
               {"words": {"all": ["bowline"], "none": ["double"]}, "credit": "1/2"}], "reject": [{"text": "reef knot", "note": "no"}],
               "ignore": ["case", "marks"], "spelling": "length", "spellingCredit": "1/2", "otherwise": "wrong"},
              {"id": "q3", "part": "A", "kind": "number", "points": "2", "accept": [{"value": "12.5", "within": "1%"},
               {"from": "1", "to": 3, "credit": "1/2"}], "unit": {"expect": "km/h", "missing": "1/2"}, "figures": {"count": 3}},
              {"id": "q4", "part": "A", "kind": "open", "points": "6", "rubric": {"criteria": [{"id": "c1", "title": "R", "levels":
               [{"id": "0", "points": "0", "text": "no"}, {"id": "1", "points": "2", "text": "yes"}], "standards": [{"code": "T1.2"}]}]},
               "words": {"max": 150}},
              {"id": "q5", "kind": "passage", "prompt": "Read this."}],
             "adjustments": [{"item": "q1", "do": "creditAll"}],
             "grading": {"percentDigits": 2, "negativeTotals": true, "late": {"perDay": "10%", "cap": "1/2"},
              "curve": [{"add": "5"}, {"scaleTo": "90"}, {"root": true}, {"line": [["0", "10"], ["100", "100"]]}],
              "attempts": "mean", "bands": [{"from": "70", "label": "Secure", "message": "Good."}], "pass": "60"}}
            """;

    @Test
    void a_whole_file_is_read_with_every_field_and_default() {
        AssessmentFile file = AssessmentReader.read(WHOLE);
        Assessment a = file.assessment();
        assertThat(file.frameworks().get(0).find("T1.2")).isPresent();
        ChoiceItem choice = (ChoiceItem) a.items().get(0);
        assertThat(choice.credits()).containsEntry("c", Fraction.HALF);
        assertThat(choice.max()).isEqualTo(1);
        assertThat(choice.rule()).isEqualTo(ChoiceItem.Rule.EXACT);
        TextItem text = (TextItem) a.items().get(1);
        assertThat(text.points()).isEqualTo(Fraction.of(2));
        assertThat(text.accept()).hasSize(3);
        assertThat(text.ignore()).containsExactlyInAnyOrder(TextItem.Ignore.CASE, TextItem.Ignore.MARKS);
        assertThat(text.otherwiseWrong()).isTrue();
        NumberItem number = (NumberItem) a.items().get(2);
        assertThat(number.accept().get(0).from()).isEqualTo(Fraction.exactly("12.375"));
        assertThat(number.unit().convert()).isTrue();
        assertThat(number.figures().otherwise()).isEqualTo(Fraction.ZERO);
        OpenItem open = (OpenItem) a.items().get(3);
        assertThat(open.allCodes()).containsExactly("T1.2");
        assertThat(open.maxWords()).isEqualTo(150);
        assertThat(a.scorable()).hasSize(4);
        Grading g = a.grading();
        assertThat(g.late().perDay()).isEqualTo(Fraction.of(1, 10));
        assertThat(g.curve()).hasSize(4).element(3).isInstanceOf(Curve.Line.class);
        assertThat(g.attempts()).isEqualTo(Grading.Attempts.MEAN);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '~',
            value = {
                "\"title\": \"Tides\"|\"titel\": \"Tides\"|titel|not known",
                "\"format\": \"scholion-assessment/1\"|\"format\": \"other/1\"|format|not a scholion-assessment/1",
                "\"key\": [\"b\"]|\"key\": [\"z\"]|items[0].key[0]|no option is called 'z'",
                "\"key\": [\"b\"]|\"key\": []|items[0].key|at least one",
                "\"penalty\": \"1/4\"|\"penalty\": 0.25|items[0].penalty|in quotes",
                "\"penalty\": \"1/4\"|\"penalty\": \"2\"|items[0].penalty|not from 0 to 1",
                "{\"c\": \"1/2\"}|{\"d\": \"1/2\"}|items[0].credits.d|no option is called 'd'",
                "\"kind\": \"choice\"|\"kind\": \"oracle\"|items[0].kind|not a kind",
                "\"pattern\": \"bow ?line\"|\"pattern\": \"(bow\"|items[1].accept[1].pattern|cannot be read",
                "\"spelling\": \"length\"|\"spelling\": \"lots\"|items[1].spelling|none, one, two, length",
                "\"otherwise\": \"wrong\"|\"otherwise\": \"maybe\"|items[1].otherwise|settle, wrong",
                "[\"case\", \"marks\"]|[\"case\", \"colour\"]|items[1].ignore[1]|not one of",
                "\"within\": \"1%\"|\"within\": \"some\"|items[2].accept[0].within|not a tolerance",
                "\"expect\": \"km/h\"|\"expect\": \"furlong\"|items[2].unit.expect|not a unit",
                "\"from\": \"1\", \"to\": 3|\"from\": \"9\", \"to\": 3|items[2].accept[1].from|above",
                "\"part\": \"A\", \"kind\": \"open\"|\"part\": \"B\", \"kind\": \"open\"|items[3].part|no part is called 'B'",
                "\"code\": \"T1.2\"}]}]}|\"code\": \"Z9\"}]}]}|items[3].rubric.criteria[0].standards[0].code|'Z9'",
                "\"parent\": \"T1\"|\"parent\": \"T9\"|frameworks[0].standards[1].parent|no standard has the code 'T9'",
                "\"item\": \"q1\"|\"item\": \"q5\"|adjustments[0].item|no scored item",
                "\"do\": \"creditAll\"|\"do\": \"shred\"|adjustments[0].do|creditAll",
                "\"percentDigits\": 2|\"percentDigits\": 9|grading.percentDigits|0 to 6",
                "{\"root\": true}|{\"magic\": 1}|grading.curve[2]|add, scaleTo, root, line",
                "\"perDay\": \"10%\"|\"perDay\": \"much%\"|grading.late.perDay|a percent",
                "\"pass\": \"60\"|\"pass\": \"sixty\"|grading.pass|is not a number such as"
            })
    void what_is_wrong_is_refused_with_its_path(String right, String wrong, String path, String words) {
        assertThat(WHOLE).contains(right);
        String file = WHOLE.replace(right, wrong);
        assertThatThrownBy(() -> AssessmentReader.read(file))
                .isInstanceOfSatisfying(
                        Faults.class,
                        e -> assertThat(e.all()).anySatisfy(f -> {
                            assertThat(f.path()).isEqualTo(path);
                            assertThat(f.message()).contains(words);
                        }));
    }

    @Test
    void all_faults_come_at_once() {
        String file = WHOLE.replace("\"penalty\": \"1/4\"", "\"penalty\": \"x\"")
                .replace("\"count\": 3", "\"count\": 0")
                .replace("\"pass\": \"60\"", "\"pass\": \"\"");
        assertThatThrownBy(() -> AssessmentReader.read(file))
                .isInstanceOfSatisfying(
                        Faults.class,
                        e -> assertThat(e.all())
                                .extracting(Fault::path)
                                .containsExactlyInAnyOrder(
                                        "items[0].penalty", "items[2].figures.count", "grading.pass"));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {"{\"a\": 1,}|line 1", "[1, 2|line 1", "''|''", "{\"a\": 1, \"a\": 2}|line 1"})
    void what_is_not_json_says_where(String text, String where) {
        assertThatThrownBy(() -> AssessmentReader.read(text))
                .isInstanceOf(Faults.class)
                .hasMessageContaining(where);
    }

    @Test
    void a_file_that_is_no_object_is_refused_in_words() {
        assertThat(AssessmentReader.check(org.scholion.formats.json.Json.read("[]")))
                .isNotEmpty();
        assertThat(AssessmentReader.check(org.scholion.formats.json.Json.read("{}")))
                .extracting(Fault::path)
                .containsExactlyInAnyOrder("format", "title");
    }

    @Test
    void very_deep_json_is_an_error_and_not_a_crash() {
        String deep = "[".repeat(100_000) + "]".repeat(100_000);
        assertThatThrownBy(() -> AssessmentReader.read(deep)).isInstanceOf(Faults.class);
    }

    @Test
    void a_draft_may_lack_frameworks_and_then_any_code_is_taken() {
        String bare =
                "{\"format\": \"scholion-assessment/1\", \"title\": \"x\", \"items\": [{\"id\": \"q\", \"kind\": \"open\","
                        + " \"points\": \"1\", \"standards\": [{\"code\": \"any\"}]}]}";
        assertThat(AssessmentReader.read(bare).assessment().items()).hasSize(1);
        assertThat(AssessmentReader.read(bare).frameworks()).isEqualTo(List.of());
    }
}
