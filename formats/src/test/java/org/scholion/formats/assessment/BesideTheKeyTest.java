package org.scholion.formats.assessment;

import static org.assertj.core.api.Assertions.assertThat;

import com.networknt.schema.InputFormat;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.nio.file.Files;
import java.util.List;
import java.util.Objects;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.scholion.core.draw.Draw;
import org.scholion.core.item.Item;
import org.scholion.core.number.Fraction;
import org.scholion.formats.json.Fault;
import org.scholion.formats.json.Json;
import tools.jackson.databind.node.ObjectNode;

/** What stands beside a key, and how a paper is laid out: read, written again, and refused at its place. */
class BesideTheKeyTest {
    private static final String HASH = "0123456789abcdef".repeat(4);

    private static final String FILE = """
            {"format": "scholion-assessment/1", "title": "Approach",
             "frameworks": [{"id": "f", "title": "F", "version": "1", "standards": [
               {"code": "T", "text": "Tides"}, {"code": "T1", "parent": "T", "text": "Causes"}]}],
             "parts": [{"id": "P", "title": "One", "instructions": "Read first."}],
             "items": [
              {"id": "p", "part": "P", "kind": "passage", "prompt": "The ledge dries.", "body": "<p>The <strong>ledge</strong> dries.</p>"},
              {"id": "c", "part": "P", "kind": "choice", "points": "1", "prompt": "Whence?", "stem": "p", "draw": "d", "last": ["b"],
               "options": [{"id": "a", "text": "south"}, {"id": "b", "text": "none"}], "key": ["a"], "difficulty": "0.8",
               "minutes": "1.5", "tags": ["ledge"], "hint": "Look again.", "standards": [{"code": "T1"}],
               "feedback": {"right": "<p>Yes.</p>", "wrong": "<p>No.</p>"}, "examples": [{"answer": ["a"], "credit": "1"}]},
              {"id": "o", "part": "P", "kind": "open", "points": "2", "prompt": "Why?", "reasonFor": "c", "rubricShown": true,
               "rubricKept": {"id": "r", "version": 2}},
              {"id": "t", "part": "P", "kind": "text", "points": "1", "accept": [{"text": "ebb"}],
               "examples": [{"answer": "flood", "state": "waits"}], "picture": {"file": "HASH", "alt": "a sketch"}}],
             "shuffle": {"items": true, "options": true},
             "draws": [{"id": "d", "take": 1, "quotas": [{"code": "T", "take": 1}], "difficulty": "0.6", "each": "student"}],
             "awards": [{"id": "w", "title": "Deckhand", "from": "60", "words": "Well steered."}],
             "trials": [{"name": "one", "answers": {"t": "ebb"}}],
             "questions": [{"file": "HASH", "name": "paper.pdf", "type": "application/pdf"}]}
            """.replace("HASH", HASH);

    private static List<String> faults(String from, String to) {
        assertThat(FILE).contains(from);
        return AssessmentReader.check(Json.read(FILE.replace(from, to))).stream()
                .map(Fault::toString)
                .toList();
    }

    @Test
    void all_of_it_is_read_and_written_again_as_it_was() {
        AssessmentFile file = AssessmentReader.read(FILE);
        Particulars choice = file.particulars("c");
        assertThat(choice.stem()).isEqualTo("p");
        assertThat(choice.difficulty()).isEqualTo(Fraction.parse("0.8").orElseThrow());
        assertThat(choice.feedback().at(Fraction.ONE)).isEqualTo("<p>Yes.</p>");
        assertThat(choice.feedback().at(Fraction.HALF)).isNull();
        assertThat(choice.feedback().at(Fraction.ZERO)).isEqualTo("<p>No.</p>");
        assertThat(file.layout().draws().get(0).each()).isEqualTo(Draw.Each.STUDENT);
        ObjectNode written = AssessmentWriter.write(file);
        assertThat(AssessmentReader.read(written)).isEqualTo(file);
    }

    @Test
    void the_schema_knows_every_field_of_it() throws IOException {
        var schema = SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                .getSchema(Files.readString(FileTest.FORMAT.resolve("assessment.schema.json")));
        assertThat(schema.validate(FILE, InputFormat.JSON)).isEmpty();
        assertThat(schema.validate(
                        AssessmentWriter.write(AssessmentReader.read(FILE)).toString(), InputFormat.JSON))
                .isEmpty();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '§',
            value = {
                "\"stem\": \"p\"§\"stem\": \"x\"§items[1].stem: no reading passage of this paper is called 'x'",
                "\"reasonFor\": \"c\"§\"reasonFor\": \"t\"§items[2].reasonFor: an open item asks for the reason of a choice; 't' is none",
                "\"last\": [\"b\"]§\"last\": [\"z\"]§items[1].last: no option is called 'z'",
                "{\"answer\": [\"a\"]§{\"answer\": [\"z\"]§items[1].examples[0].answer[0]: no option is called 'z'",
                "\"difficulty\": \"0.8\"§\"difficulty\": \"8\"§items[1].difficulty: the difficulty is the share that is expected, from 0 to 1",
                "\"minutes\": \"1.5\"§\"minutes\": \"-1\"§items[1].minutes: the time is in minutes and not below 0",
                "\"alt\": \"a sketch\"§\"alt\": \" \"§items[3].picture: this picture has no description yet; say what it shows, for people who cannot see it",
                "\"from\": \"60\"§\"from\": \"high\"§awards[0].from: 'high' is not a number such as 1.5 or 1/3",
                "\"title\": \"Deckhand\"§\"title\": \" \"§awards[0].title: an award has a title",
                "\"version\": 2}§\"version\": 0}§items[2].rubricKept: a kept rubric is named with its version, from 1 on",
                "\"draw\": \"d\"§\"draw\": \"e\"§items[1].draw: no draw is called 'e'",
                "\"take\": 1, \"quotas\"§\"take\": 2, \"quotas\"§draws[0]: 2 are to be drawn, but only 1 items are in the draw",
                "{\"code\": \"T\", \"take\": 1}§{\"code\": \"P\", \"take\": 1}§draws[0]: 1 on P are to be drawn, but only 0 are there",
            })
    void what_leads_nowhere_is_named_at_its_place(String from, String to, String fault) {
        assertThat(faults(from, to)).contains(fault);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "<p>x</p><script>alert(1)</script>",
                "<p onclick='x()'>x</p>",
                "<img src='https://elsewhere.example/x.png' alt='x'>",
                "<a href='javascript:x()'>x</a>",
                "<iframe src='/'></iframe>",
                "<img src='/api/files/" + "0123456789abcdef0123456789abcdef0123456789abcdef0123456789abcdef" + "'>"
            })
    void a_text_that_does_more_than_say_something_is_refused(String body) {
        String quoted = Json.write(Json.MAPPER.getNodeFactory().stringNode(body));
        assertThat(faults("\"<p>The <strong>ledge</strong> dries.</p>\"", quoted))
                .isNotEmpty()
                .allMatch(f -> f.startsWith("items[0].body: "));
    }

    @Test
    void items_of_different_points_are_no_fair_draw() {
        String both = FILE.replace(
                "\"id\": \"t\", \"part\": \"P\", \"kind\": \"text\", \"points\": \"1\"",
                "\"id\": \"t\", \"part\": \"P\", \"kind\": \"text\", \"points\": \"2\", \"draw\": \"d\"");
        assertThat(AssessmentReader.check(Json.read(both)))
                .extracting(Fault::message)
                .contains("the items of a draw must have the same points, or the draws are worth different totals");
    }

    @Test
    void shuffling_keeps_a_passage_before_its_items_and_a_reason_behind_its_choice() {
        AssessmentFile file = AssessmentReader.read(FILE);
        for (int seed = 0; seed < 50; seed++) {
            List<String> ids = PaperOrder.shuffled(file, new Random(seed), true).stream()
                    .map(Item::id)
                    .toList();
            assertThat(ids).hasSize(4).containsSubsequence("p", "c", "o");
            assertThat(ids.indexOf("o") - ids.indexOf("p")).isEqualTo(2);
        }
    }

    @Test
    void an_item_by_itself_is_judged_without_its_ties() {
        ObjectNode item = Json.read(FILE).path("items").get(1).deepCopy().asObject();
        assertThat(OneItem.faults(item)).isEmpty();
        item.remove("key");
        assertThat(OneItem.faults(item)).extracting(Fault::path).containsExactly("key");
        assertThat(Objects.requireNonNull(item.get("stem")).asString()).isEqualTo("p");
    }
}
