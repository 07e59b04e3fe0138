package org.scholion.formats.questions;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.scholion.formats.assessment.OneItem;
import org.scholion.formats.json.Fault;
import org.scholion.formats.table.Table;

/** Whatever is typed or pasted, every question comes out once, complete or with what is wrong with it. */
class QuestionsPropertiesTest {
    private static final List<String> LINES = List.of(
            "? Which knot?",
            "?? Whence?",
            "| The ledge dries.",
            "! bowline",
            "! = 12.5 ± 2% km/h",
            "! = nonsense",
            "! $ x^2",
            "! port -> red",
            ". another",
            "> a step",
            "% We was.",
            "$ 2x = 4",
            "x reef knot; no",
            ": 2 points, T1",
            ": hint: look",
            ": rubbish and more",
            "words that go on",
            "[blank] in a sentence",
            "! [",
            "?",
            "!",
            ":",
            "|",
            "");

    static LongStream seeds() {
        return LongStream.range(0, 150);
    }

    private static String text(long seed) {
        Random random = new Random(seed);
        StringBuilder text = new StringBuilder();
        int lines = 1 + random.nextInt(30);
        for (int i = 0; i < lines; i++) {
            text.append(LINES.get(random.nextInt(LINES.size()))).append(random.nextInt(8) == 0 ? "\r\n" : "\n");
        }
        return text.toString();
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void every_item_has_an_id_of_its_own_and_is_either_complete_or_faulted(long seed) {
        List<FoundItem> items = QuestionText.read(text(seed), Set.of());
        Set<String> ids = new HashSet<>();
        for (FoundItem found : items) {
            assertThat(ids.add(found.item().path("id").asString(""))).isTrue();
            if (found.faults().isEmpty()) {
                assertThat(OneItem.faults(found.item())).isEmpty();
            }
            assertThat(found.line()).isPositive();
        }
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void as_many_questions_come_out_as_begin(long seed) {
        String text = text(seed);
        List<String> lines = text.lines().map(String::strip).toList();
        long begins = lines.stream()
                .filter(l -> l.startsWith("?") || l.startsWith("|"))
                .count();
        String first = lines.stream().filter(l -> !l.isEmpty()).findFirst().orElse("?");
        boolean headless = !first.startsWith("?") && !first.startsWith("|");
        assertThat(QuestionText.read(text, Set.of())).hasSize((int) begins + (headless ? 1 : 0));
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void a_table_of_anything_is_read_row_by_row(long seed) {
        Random random = new Random(seed);
        List<String> names = List.of("question", "kind", "A", "B", "key", "points", "standard", "tolerance", "remark");
        List<String> cells =
                List.of("", "A", "B", "bowline", "12.5", "abc", "T1", "choice", "number", "2%", "A;B", "true");
        StringBuilder csv = new StringBuilder(String.join(",", names)).append('\n');
        int rows = 1 + random.nextInt(8);
        int filled = 0;
        for (int r = 0; r < rows; r++) {
            List<String> row = new ArrayList<>();
            for (int c = 0; c < names.size(); c++) {
                row.add(cells.get(random.nextInt(cells.size())));
            }
            filled += row.stream().allMatch(String::isEmpty) ? 0 : 1;
            csv.append(String.join(",", row)).append('\n');
        }
        QuestionTable read = QuestionTable.of(Table.read(csv.toString()), Set.of("T1"), QuestionTable.Said.NOTHING);
        assertThat(read.items()).hasSize(filled);
        assertThat(read.columns()).hasSize(names.size());
        for (FoundItem found : read.items()) {
            if (found.faults().isEmpty()) {
                assertThat(OneItem.faults(found.item())).isEmpty();
            }
        }
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '§',
            value = {
                "question,a,b,key§Which?,x,y,2§choice§b",
                "question,a,b,key§Which?,x,y,y§choice§b",
                "question,a,b,key§Which?,x,y,b§choice§b",
                "question,key§Springs at full moon?,true§choice§t",
                "question,key§Springs at half moon?,FALSE§choice§f",
            })
    void the_right_option_is_named_by_letter_number_or_its_own_words(String head, String row, String kind, String key) {
        FoundItem found = QuestionTable.of(Table.read(head + "\n" + row + "\n"), Set.of(), QuestionTable.Said.NOTHING)
                .items()
                .get(0);
        assertThat(found.faults()).isEmpty();
        assertThat(found.item().path("kind").asString("")).isEqualTo(kind);
        assertThat(found.item().path("key").get(0).asString("")).isEqualTo(key);
    }

    @ParameterizedTest
    @CsvSource({"AC, 2", "'A, C', 2", "A;C, 2", "1 3, 2", "B, 1"})
    void several_right_options_make_a_choice_of_several(String key, int howMany) {
        Table table = Table.read("question,a,b,c,key\nWhich?,x,y,z,\"" + key + "\"\n");
        FoundItem found = QuestionTable.of(table, Set.of(), QuestionTable.Said.NOTHING)
                .items()
                .get(0);
        assertThat(found.item().path("key")).hasSize(howMany);
        assertThat(found.item().has("max")).isEqualTo(howMany > 1);
    }

    @Test
    void a_kind_that_a_table_cannot_bring_is_named_with_those_that_it_can() {
        Table table = Table.read("question,kind\nWhich?,riddle\n");
        assertThat(QuestionTable.of(table, Set.of(), QuestionTable.Said.NOTHING)
                        .items()
                        .get(0)
                        .faults())
                .extracting(Fault::message)
                .anyMatch(m -> m.startsWith("'riddle' is no kind that a table can bring: choice"));
    }

    @Test
    void feedback_hints_time_and_tags_come_along_and_signs_in_them_stay_words() {
        Table table = Table.read("question,key,feedback right,hint,minutes,tags,difficulty,unit\n"
                + "How far?,\"12,5\",a < b & c,look,1.5,tides; boats,\"0,7\",km\n");
        FoundItem found = QuestionTable.of(table, Set.of(), QuestionTable.Said.NOTHING)
                .items()
                .get(0);
        assertThat(found.faults()).isEmpty();
        assertThat(found.item().path("feedback").path("right").asString("")).isEqualTo("<p>a &lt; b &amp; c</p>");
        assertThat(found.item().path("tags")).hasSize(2);
        assertThat(found.item().path("difficulty").asString("")).isEqualTo("0.7");
        assertThat(found.item().path("accept").get(0).path("value").asString(""))
                .isEqualTo("12.5");
        assertThat(found.item().path("unit").path("expect").asString("")).isEqualTo("km");
    }
}
