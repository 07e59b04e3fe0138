package org.scholion.formats.questions;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.dhatim.fastexcel.Workbook;
import org.dhatim.fastexcel.Worksheet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.scholion.formats.json.Fault;
import org.scholion.formats.json.Faults;
import org.scholion.formats.table.Grid;
import org.scholion.formats.table.Table;

/** Questions from tables with their columns in any order, and from plain text. */
class QuestionsTest {
    private static final List<List<String>> COLUMNS = List.of(
            List.of(
                    "Question",
                    "What makes a spring tide?",
                    "Which knot makes a fixed loop?",
                    "How long is a mile?",
                    "Describe a spring tide."),
            List.of("A", "the sun", "", "", ""),
            List.of("B", "sun and moon", "", "", ""),
            List.of("Answer", "B", "bowline | bowline knot", "1852", ""),
            List.of("Points", "1", "1", "2", "4"),
            List.of("Standard", "T1", "S1", "T2", "T1"),
            List.of("Tolerance", "", "", "1%", ""));

    private static Table table(List<List<String>> columns) {
        StringBuilder csv = new StringBuilder();
        for (int row = 0; row < columns.get(0).size(); row++) {
            List<String> cells = new ArrayList<>();
            for (List<String> column : columns) {
                cells.add('"' + column.get(row).replace("\"", "\"\"") + '"');
            }
            csv.append(String.join(",", cells)).append('\n');
        }
        return Table.read(csv.toString());
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
    void columns_are_recognised_in_any_order(long seed) {
        List<List<String>> shuffled = new ArrayList<>(COLUMNS);
        // The options keep their own order: their letters are the key's.
        Collections.shuffle(shuffled, new Random(seed));
        shuffled.sort((a, b) -> a.get(0).equals("A") && b.get(0).equals("B") ? -1 : 0);
        if (order(shuffled, "A") > order(shuffled, "B")) {
            Collections.swap(shuffled, order(shuffled, "A"), order(shuffled, "B"));
        }
        QuestionTable read = QuestionTable.of(table(shuffled), Set.of("T1", "T2", "S1"), QuestionTable.Said.NOTHING);
        assertThat(read.items()).flatExtracting(FoundItem::faults).isEmpty();
        assertThat(read.items())
                .extracting(i -> i.item().path("kind").asString(""))
                .containsExactly("choice", "text", "number", "open");
        assertThat(read.items().get(0).item().path("key").get(0).asString("")).isEqualTo("b");
        assertThat(read.items().get(1).item().path("accept")).hasSize(2);
        assertThat(read.items()
                        .get(2)
                        .item()
                        .path("accept")
                        .get(0)
                        .path("within")
                        .asString(""))
                .isEqualTo("1%");
    }

    private static int order(List<List<String>> columns, String name) {
        for (int i = 0; i < columns.size(); i++) {
            if (columns.get(i).get(0).equals(name)) {
                return i;
            }
        }
        return -1;
    }

    @Test
    void columns_without_a_known_name_are_recognised_by_what_is_in_them_and_say_why() {
        Table table = Table.read("x1,x2,x3,x4\nWhat makes a spring tide?,B,2,T1\nWhat makes a neap tide?,A,1,T1\n");
        QuestionTable read = QuestionTable.of(table, Set.of("T1"), QuestionTable.Said.NOTHING);
        assertThat(read.columns())
                .extracting(QuestionTable.Column::role)
                .containsExactly(Role.PROMPT, Role.KEY, Role.POINTS, Role.STANDARD);
        assertThat(read.columns())
                .extracting(QuestionTable.Column::because)
                .containsExactly(
                        "it holds the longest texts",
                        "its cells are letters",
                        "its cells are small numbers",
                        "its cells are codes of your standards");
    }

    @Test
    void what_a_person_says_goes_before_what_was_guessed() {
        Table table = Table.read("question,answer,remark\nWhich knot?,bowline,easy\n");
        QuestionTable read = QuestionTable.of(
                table, Set.of(), new QuestionTable.Said(Map.of(2, Role.TAGS, 1, Role.LEFT_OUT), DecimalMark.UNSURE));
        assertThat(read.items().get(0).item().path("tags").get(0).asString("")).isEqualTo("easy");
        assertThat(read.items().get(0).item().path("kind").asString("")).isEqualTo("open");
    }

    @Test
    void what_is_wrong_in_a_row_is_told_with_its_line() {
        Table table = Table.read("question,a,b,key,points,standard\nWhich?,x,y,C,abc,Z9\n,x,y,A,1,T1\n");
        List<FoundItem> items = QuestionTable.of(table, Set.of("T1"), QuestionTable.Said.NOTHING)
                .items();
        assertThat(items).extracting(FoundItem::line).containsExactly(2, 3);
        assertThat(items.get(0).faults()).extracting(Fault::path).contains("key", "points", "standards");
        assertThat(items.get(1).faults()).extracting(Fault::message).contains("there is no question in this row");
    }

    @Test
    void hundreds_of_questions_come_from_a_workbook() throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (Workbook book = new Workbook(out, "test", "1.0")) {
            Worksheet sheet = book.newWorksheet("questions");
            List.of("Points", "Question", "Correct answer")
                    .forEach(name -> sheet.value(
                            0, List.of("Points", "Question", "Correct answer").indexOf(name), name));
            for (int i = 1; i <= 500; i++) {
                sheet.value(i, 0, 2);
                sheet.value(i, 1, "What is " + i + " + 1?");
                sheet.value(i, 2, i + 1);
            }
        }
        List<FoundItem> items = QuestionTable.of(
                        Grid.read(out.toByteArray(), Grid.Reading.NOTHING), Set.of(), QuestionTable.Said.NOTHING)
                .items();
        assertThat(items).hasSize(500).flatExtracting(FoundItem::faults).isEmpty();
        assertThat(items.get(499).item().path("accept").get(0).path("value").asString(""))
                .isEqualTo("501");
    }

    @Test
    void a_file_that_only_looks_like_a_workbook_is_refused_in_words() {
        assertThatThrownBy(() -> Grid.read(new byte[] {'P', 'K', 3, 4, 0, 0}, Grid.Reading.NOTHING))
                .isInstanceOf(Faults.class)
                .hasMessageContaining("no workbook that can be read");
    }

    private static final String TEXT = """
            | The harbour lies behind the ledge.
            It dries 1.2 m.

            ? Whence is it approached?
            . north
            ! south-west
            : 2 points, P1, #pilot book, 1 min, expect 0.8, hint: read on, slowly

            ?? Which knot makes a fixed loop?
            ! bowline; bowline knot
            x reef knot; It joins two lines.

            ? How long is a nautical mile?
            ! = 1852 ± 1% m

            ? After high water the stream [ebbs|ebb] at [=2] knots, [*out/in].

            ? Match the lights.
            ! port -> red
            ! starboard -> green

            ? Put them in order.
            > anchor
            > chain

            ? Put it right.
            % We was off the harbour.
            ! We were off the harbour.

            ? Multiply out.
            ! $ x^2 + 2x + 1

            ? Solve.
            $ 2x = 4
            ! $ x = 2

            ? Describe a spring tide.
            : 6 points, T1 × 2
            """;

    @Test
    void plain_text_makes_an_item_of_every_kind_that_can_be_typed() {
        List<FoundItem> items = QuestionText.read(TEXT, Set.of());
        assertThat(items).flatExtracting(FoundItem::faults).isEmpty();
        assertThat(items)
                .extracting(i -> i.item().path("kind").asString(""))
                .containsExactly(
                        "passage",
                        "choice",
                        "text",
                        "number",
                        "blanks",
                        "pairs",
                        "order",
                        "correction",
                        "formula",
                        "working",
                        "open");
        assertThat(items.get(0).item().path("prompt").asString(""))
                .isEqualTo("The harbour lies behind the ledge.\nIt dries 1.2 m.");
        assertThat(items.get(1).item().toString())
                .contains(
                        "\"stem\":\"q1\"",
                        "\"points\":\"2\"",
                        "\"difficulty\":\"0.8\"",
                        "\"hint\":\"read on, slowly\"",
                        "pilot book");
        assertThat(items.get(2).item().has("stem")).as("?? leaves the passage").isFalse();
        assertThat(items.get(4).item().path("prompt").asString(""))
                .isEqualTo("After high water the stream {b1} at {b2} knots, {b3}.");
        assertThat(items.get(10).item().path("standards").get(0).path("weight").asString(""))
                .isEqualTo("2");
    }

    @Test
    void a_line_that_belongs_to_nothing_is_told_with_its_number() {
        List<FoundItem> items = QuestionText.read("? Which?\n! bowline\nreef knot\n: nonsense here\n", Set.of());
        assertThat(items.get(0).faults()).extracting(Fault::path).containsExactly("line 3", "line 4");
    }

    @Test
    void an_unknown_standard_and_an_option_that_stands_twice_are_told_and_the_right_one_stays_the_right_one() {
        List<FoundItem> items = QuestionText.read(
                "? Which?\n! ebb\n. Ebb\n. flood\n: T, Z9\n\n? Whither?\n. out\n! in\n: T\n", Set.of("T", "T1"));
        assertThat(items.get(0).faults().stream().map(Fault::toString))
                .containsExactlyInAnyOrder(
                        "standards: no standard has the code 'Z9'", "options: the option 'Ebb' is there twice");
        assertThat(items.get(0).item().get("key").toString()).isEqualTo("[\"a\"]");
        assertThat(items.get(1).faults()).isEmpty();
        assertThat(items.get(1).item().get("standards").toString()).isEqualTo("[{\"code\":\"T\"}]");
    }

    @Test
    void nothing_makes_nothing() {
        assertThat(QuestionText.read(" \n\n", Set.of())).isEmpty();
    }
}
