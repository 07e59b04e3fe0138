package org.scholion.formats.bringin;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.ChoiceItem;
import org.scholion.core.item.Head;
import org.scholion.core.item.Item;
import org.scholion.core.item.OpenItem;
import org.scholion.core.number.Fraction;
import org.scholion.formats.table.Table;

class AnswerTableTest {
    private static final List<Known> ROSTER = List.of(
            new Known("1", "Noor", "Haddix", "40216", "noor@school.example", "A"),
            new Known("2", "Dov", "Kessler", "40220", "dov@school.example", "A"),
            new Known("3", "Kofi", "Sande", "40212", "kofi@school.example", "B"));

    private static Item choice(String id, String prompt, int max, String... texts) {
        List<ChoiceItem.Option> options = java.util.stream.IntStream.range(0, texts.length)
                .mapToObj(i -> new ChoiceItem.Option("" + (char) ('a' + i), texts[i]))
                .toList();
        return new ChoiceItem(
                new Head(id, null, Fraction.ONE, prompt, List.of()),
                options,
                List.of("a"),
                max,
                ChoiceItem.Rule.NET,
                Map.of(),
                Fraction.ZERO,
                false,
                false);
    }

    private static final List<Item> ITEMS = List.of(
            choice("q1", "Who keeps clear?", 1, "The one to port", "Red, right, returning", "Red"),
            choice("q2", "Which slow it? (all)", 2, "Wide", "Wide, deep", "Rough"),
            new OpenItem(new Head("q3", null, Fraction.ONE, "Why?", List.of()), null, null, null, null));

    private static BringIn recognise(String table, Integer... leaveOut) {
        return AnswerTable.recognise(Table.read(table), ITEMS, ROSTER, Set.of(leaveOut));
    }

    @ParameterizedTest
    @CsvSource({"q1", "Q1", "1", "question 1", "Question 1.", "who keeps clear", "Who keeps clear?"})
    void a_question_is_named_by_its_id_its_number_or_its_text(String name) {
        BringIn found = recognise("\"" + name + "\",number\na,40216\n");
        assertThat(found.faults()).isEmpty();
        assertThat(found.columns().get(0).item()).isEqualTo("q1");
        assertThat(found.columns().get(0).because()).contains("its name is");
    }

    @ParameterizedTest
    @CsvSource({
        "40216",
        "noor@school.example",
        "NOOR@SCHOOL.EXAMPLE",
        "Noor Haddix",
        "'Haddix, Noor'",
        "'  noor   haddix '"
    })
    void a_student_is_named_by_number_address_or_name(String cell) {
        BringIn found = recognise("who;q3\n\"" + cell + "\";Because\n");
        assertThat(found.attempts())
                .singleElement()
                .satisfies(a -> assertThat(a.student().id()).isEqualTo("1"));
    }

    @Test
    void columns_stand_in_any_order_and_what_is_no_question_is_left_out_by_name() {
        BringIn found = recognise("Time,q3,Class,number\n18:00,Because,A,40216\n");
        assertThat(found.columns())
                .extracting(Column::use)
                .containsExactly(Column.Use.LEFT_OUT, Column.Use.ITEM, Column.Use.LEFT_OUT, Column.Use.STUDENT);
    }

    @Test
    void options_are_read_by_id_or_text_the_longest_text_first_since_texts_hold_commas() {
        BringIn found =
                recognise("number;q1;q2\n40216;Red, right, returning;Wide, deep, Rough\n40220;red;a;\n40212;B;\n"
                        .replace("a;\n", "a\n"));
        assertThat(found.faults()).isEmpty();
        assertThat(found.attempts().get(0).answers())
                .containsEntry("q1", Answer.Chosen.of("b"))
                .containsEntry("q2", Answer.Chosen.of("b", "c"));
        assertThat(found.attempts().get(1).answers())
                .containsEntry("q1", Answer.Chosen.of("c"))
                .containsEntry("q2", Answer.Chosen.of("a"));
        assertThat(found.attempts().get(2).answers()).containsEntry("q1", Answer.Chosen.of("b"));
        assertThat(found.attempts().get(2).answers().get("q2").isBlank()).isTrue();
    }

    @Test
    void every_cell_that_does_not_fit_is_named_by_line_and_column() {
        BringIn found = recognise("number,q1,q2\n40216,Nowhere,\"a;b;c\"\n99999,a,\n,a,\n40220,a,\n40220,b,\n");
        assertThat(found.faults())
                .extracting(f -> f.line() + " " + f.column() + " " + f.message())
                .containsExactlyInAnyOrder(
                        "2 q1 “Nowhere” is not an option of this question",
                        "2 q2 3 options chosen; at most 2 are allowed",
                        "3 number “99999” is not a student in these sections.",
                        "4 number The cell is empty.",
                        "6 number Dov Kessler is also in row 5. Skip one of the two.");
    }

    @Test
    void lines_that_are_left_out_are_no_fault() {
        BringIn found = recognise("number,q1\n99999,a\n40220,a\n40220,b\n", 2, 4);
        assertThat(found.faults()).isEmpty();
        assertThat(found.attempts()).hasSize(1);
    }

    @Test
    void addresses_say_who_rather_than_names_and_a_stranger_is_told_by_name() {
        BringIn found =
                recognise("mail,name,q1\nnoor@school.example,Noor Haddix,a\nelse@where.example,Dov Kessler,a\n");
        assertThat(found.columns().get(0).use()).isEqualTo(Column.Use.STUDENT);
        assertThat(found.faults())
                .singleElement()
                .satisfies(
                        f -> assertThat(f.message())
                                .isEqualTo(
                                        "“else@where.example” is not a student in these sections. By name it could be Dov Kessler (A)."));
    }

    @Test
    void without_a_student_column_or_a_question_it_says_what_is_needed() {
        assertThat(recognise("x,y\n1,2\n").faults())
                .extracting(BringIn.CellFault::message)
                .anySatisfy(m -> assertThat(m).contains("number, e-mail or name"))
                .anySatisfy(m -> assertThat(m).contains("by its number, its id or its full text"));
        assertThat(recognise("number,q1,1\n40216,a,b\n").faults())
                .singleElement()
                .satisfies(f -> assertThat(f.message()).contains("same question as the column 'q1'"));
    }

    @Test
    void a_roster_is_read_in_any_order_and_its_faults_are_all_named() {
        RosterTable good = RosterTable.read(Table.read("class\tsurname\tnumber\tfirst name\nB\tSande\t40212\tKofi\n"));
        assertThat(good.faults()).isEmpty();
        assertThat(good.students().get(0).student()).isEqualTo(new Known("", "Kofi", "Sande", "40212", "", "B"));
        assertThat(RosterTable.read(Table.read("name,number\nx,1\n")).faults())
                .extracting(BringIn.CellFault::message)
                .hasSize(3)
                .allSatisfy(m -> assertThat(m).startsWith("no column for the"));
        RosterTable bad = RosterTable.read(Table.read("number,first name,surname,section\n1,A,B,C\n1,,D,C\n"));
        assertThat(bad.faults())
                .extracting(f -> f.line() + " " + f.message())
                .containsExactlyInAnyOrder("3 the first name is empty", "3 number 1 stands in line 2 already");
    }
}
