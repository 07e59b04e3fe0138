package org.scholion.formats.bringin;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.scholion.core.answer.Answer;
import org.scholion.formats.bringin.BringInChoices.Missing;
import org.scholion.formats.bringin.BringInChoices.RowChoice;
import org.scholion.formats.bringin.BringInChoices.Twice;
import org.scholion.formats.bringin.Column.Use;
import org.scholion.formats.table.Table;

class AnswerTableTest {
    private static BringInChoices choices(Map<String, String> cells, Map<Integer, RowChoice> rows) {
        return new BringInChoices(null, Map.of(), rows, cells, Map.of(), null, null, null);
    }

    private static BringIn recognise(String table) {
        return recognise(table, BringInChoices.NONE);
    }

    private static BringIn recognise(String table, BringInChoices choices) {
        return AnswerTable.recognise(Table.read(table), Class4.ITEMS, Class4.ROSTER, choices);
    }

    @ParameterizedTest
    @CsvSource({
        "q1",
        "Q1",
        "1",
        "1.",
        "1)",
        "(1)",
        "Q 1",
        "Q.1",
        "Item 1",
        "Question 1.",
        "Question no. 1",
        "#1",
        "No. 1",
        "who keeps clear of the other",
        "Who keeps clear of the other?",
        "1. Who keeps clear of the other?",
        "Q1: Who keeps clear of…",
        "Who keeps clear of...",
        "Evening test: Who keeps clear of the other? [1 point]"
    })
    void a_question_is_named_by_its_id_its_number_or_its_text_also_cut_off(String name) {
        BringIn found = recognise("\"" + name + "\",number\na,40216\n");
        assertThat(found.columns().get(0).item()).isEqualTo("q1");
        assertThat(found.columns().get(0).sure()).isTrue();
    }

    @Test
    void a_header_that_differs_by_a_word_is_proposed_and_said_to_be_so() {
        Column column = recognise("Who keeps clear of any other?,number\na,40216\n")
                .columns()
                .get(0);
        assertThat(column.item()).isEqualTo("q1");
        assertThat(column.sure()).isFalse();
        assertThat(column.because()).isEqualTo("71% of its words are those of question 1: look at it");
    }

    @ParameterizedTest
    @CsvSource({"12", "2024", "Q17", "Section 4", "Clear"})
    void a_number_or_word_that_is_no_question_is_none(String name) {
        assertThat(recognise("q2," + name + ",number\na,x,40216\n")
                        .columns()
                        .get(1)
                        .use())
                .isEqualTo(Use.LEFT_OUT);
    }

    @ParameterizedTest
    @CsvSource({
        "40216",
        "40216.0",
        "'40 216'",
        "040216",
        "noor@school.example",
        "NOOR@SCHOOL.EXAMPLE",
        "Noor Haddix",
        "'Haddix, Noor'",
        "'Haddix Noor'",
        "'  noor   haddix '",
        "Nöor Haddíx"
    })
    void a_student_is_named_by_number_address_or_name_however_it_was_spoiled(String cell) {
        BringIn found = recognise("who;q3\n\"" + cell + "\";Because\n");
        assertThat(found.attempts())
                .singleElement()
                .satisfies(a -> assertThat(a.student().id()).isEqualTo("1"));
    }

    @Test
    void names_in_two_columns_are_one_name() {
        BringIn found = recognise("First name,Surname,q1\nDov,Kessler,a\nKofi,Sande,b\n");
        assertThat(found.columns()).extracting(Column::use).startsWith(Use.GIVEN, Use.FAMILY);
        assertThat(found.attempts()).extracting(a -> a.student().id()).containsExactly("2", "3");
    }

    @Test
    void a_number_of_one_beside_the_name_of_another_waits_and_names_both() {
        BringIn found = recognise("number,name,q1\n40216,Dov Kessler,a\n40212,Kofi Sande,a\n");
        assertThat(found.attempts())
                .singleElement()
                .satisfies(a -> assertThat(a.line()).isEqualTo(3));
        assertThat(found.rows()).singleElement().satisfies(r -> {
            assertThat(r.why()).isEqualTo("the number is Noor Haddix’s, the name is Dov Kessler’s");
            assertThat(r.near()).extracting(Known::id).containsExactly("1", "2");
        });
        BringIn said = recognise(
                "number,name,q1\n40216,Dov Kessler,a\n40212,Kofi Sande,a\n",
                choices(Map.of(), Map.of(2, new RowChoice("2", false, false, null))));
        assertThat(said.attempts()).extracting(a -> a.student().id()).containsExactlyInAnyOrder("2", "3");
    }

    @Test
    void two_of_one_name_are_asked_and_never_guessed() {
        BringIn found = recognise("name,q1\nAda Twin,a\nKofi Sande,a\nNoor Haddix,b\n");
        assertThat(found.rows()).singleElement().satisfies(r -> {
            assertThat(r.why()).isEqualTo("2 students are called “Ada Twin”");
            assertThat(r.near()).extracting(Known::number).containsExactly("50001", "50002");
        });
    }

    @Test
    void whoever_is_not_found_waits_with_the_nearest_and_stops_nobody() {
        BringIn found = recognise("name,q1\nNor Hadix,a\nKofi Sande,a\nDov Kessler,b\n");
        assertThat(found.faults()).isEmpty();
        assertThat(found.attempts()).hasSize(2);
        assertThat(found.rows()).singleElement().satisfies(r -> {
            assertThat(r.why()).isEqualTo("“Nor Hadix” is nobody of these sections");
            assertThat(r.near()).extracting(Known::name).containsExactly("Noor Haddix");
        });
    }

    @Test
    void a_row_that_is_skipped_is_listed_as_skipped() {
        BringIn found = recognise(
                "number,q1\n40216,a\n40220,b\n", choices(Map.of(), Map.of(3, new RowChoice("", true, false, null))));
        assertThat(found.attempts()).hasSize(1);
        assertThat(found.rows())
                .singleElement()
                .satisfies(r -> assertThat(r.skipped()).isTrue());
    }

    @Test
    void of_a_student_who_is_there_twice_the_first_or_the_last_counts_as_it_was_said_once_for_all() {
        String table = "number,q1\n40216,a\n40220,b\n40216,c\n";
        BringIn asked = recognise(table);
        assertThat(asked.twice()).isEqualTo(1);
        assertThat(asked.undecided(BringInChoices.NONE)).isEqualTo(3).as("two questions without a column, and this");
        for (Twice which : Twice.values()) {
            BringInChoices said = new BringInChoices(null, Map.of(), Map.of(), Map.of(), Map.of(), which, null, null);
            assertThat(recognise(table, said).attempts().stream()
                            .filter(a -> a.student().id().equals("1"))
                            .map(a -> a.answers().get("q1")))
                    .containsExactly(Answer.Chosen.of(which == Twice.FIRST ? "a" : "c"));
        }
    }

    @Test
    void the_key_row_is_recognised_wherever_it_stands_and_is_nobodys_answer() {
        BringIn found = recognise("number,name,q1\n40216,Noor Haddix,a\n,KEY (do not mark),b\n40220,Dov Kessler,c\n");
        assertThat(found.keyLine()).isEqualTo(3);
        assertThat(found.attempts()).hasSize(2);
        assertThat(found.rows()).isEmpty();
        Table file = Table.read("number,q1\n40216,a\nKEY,b\n");
        assertThat(PaperFromAnswers.of(file, Class4.ROSTER, BringInChoices.NONE, PaperFromAnswers.Asked.NOTHING))
                .as("and it is the key of the questions that are made of the file")
                .extracting(PaperFromAnswers.MadeQuestion::key)
                .containsExactly("b");
    }

    @Test
    void a_student_called_key_is_a_student() {
        BringIn found = recognise("number,name,q1\n50003,Alicia Key,a\n40216,Noor Haddix,a\n");
        assertThat(found.keyLine()).isNull();
        assertThat(found.attempts()).hasSize(2);
    }

    @Test
    void a_question_without_a_column_is_named_and_never_blank_by_itself() {
        BringIn found = recognise("number,q1,q2\n40216,a,a\n");
        assertThat(found.without()).singleElement().satisfies(w -> {
            assertThat(w.item()).isEqualTo("q3");
            assertThat(w.decided()).isNull();
        });
        BringInChoices said = new BringInChoices(
                null, Map.of(), Map.of(), Map.of(), Map.of("q3", Missing.NOT_ASKED), null, null, null);
        assertThat(recognise("number,q1,q2\n40216,a,a\n", said).notAsked()).containsExactly("q3");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "a|a",
                "A|a",
                "b|b",
                "Red|c",
                "red|c",
                "'Red, right, returning'|b",
                "The one to port|a",
                "C)|c",
                "c.|c"
            })
    void an_option_is_named_by_id_letter_or_text_the_longest_text_first(String cell, String option) {
        assertThat(answers("number;q1\n40216;\"" + cell + "\"\n").get("q1")).isEqualTo(Answer.Chosen.of(option));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '!',
            value = {
                "'Wide, deep, Rough'!b c",
                "'Wide; Rough'!a c",
                "Wide | Rough!a c",
                "Wide/Rough!a c",
                "AC!a c",
                "'a, c'!a c",
                "B!b",
                "'A;C'!a c"
            })
    void several_options_are_joined_by_whatever_programs_join_them_with(String cell, String options) {
        assertThat(answers("number\tq2\n40216\t\"" + cell + "\"\n").get("q2"))
                .isEqualTo(Answer.Chosen.of(options.split(" ")));
    }

    private static Map<String, Answer> answers(String table) {
        return recognise(table).attempts().get(0).answers();
    }

    @Test
    void a_cell_that_is_no_option_is_asked_about_once_with_its_count_and_comes_in_as_it_was_decided() {
        String table = "number,q1,q2,q3\n40216,Nowhere,a,x\n40220,Nowhere,b,x\n40212,Red,c,x\n";
        BringIn asked = recognise(table);
        assertThat(asked.cells()).singleElement().satisfies(c -> {
            assertThat(c.column() + " " + c.cell() + " " + c.count()).isEqualTo("q1 Nowhere 2");
            assertThat(c.options()).extracting(BringIn.Option::id).containsExactly("a", "b", "c");
        });
        assertThat(asked.undecided(BringInChoices.NONE)).isEqualTo(1);
        BringIn said = recognise(table, choices(Map.of("q1\tNowhere", "b"), Map.of()));
        assertThat(said.attempts().get(1).answers()).containsEntry("q1", Answer.Chosen.of("b"));
        BringIn none = recognise(table, choices(Map.of("q1\tNowhere", ""), Map.of()));
        assertThat(none.attempts().get(1).answers()).doesNotContainKey("q1");
        assertThat(none.undecided(BringInChoices.NONE)).isZero();
    }

    @Test
    void signs_for_no_answer_are_asked_once_for_the_whole_file() {
        String table = "number,q1,q2,q3\n40216,-,-,N/A\n40220,a,-,Because\n";
        assertThat(recognise(table).cells())
                .extracting(c -> c.cell() + " " + c.count() + c.item())
                .containsExactly("- 3", "N/A 1");
        BringIn said = recognise(table, choices(Map.of("\t-", "", "\tN/A", "="), Map.of()));
        assertThat(said.attempts().get(0).answers()).containsOnlyKeys("q3");
    }

    @Test
    void score_and_comment_columns_between_the_answers_are_known_as_such() {
        BringIn found = recognise("number,q1,Score,Comments,q2,Max\n40216,a,1,good,b,1\n");
        assertThat(found.columns().get(2).because()).isEqualTo("it looks like a time, scores or comments, not answers");
        assertThat(found.columns()).filteredOn(c -> c.use() == Use.ITEM).hasSize(2);
    }

    @Test
    void a_person_says_what_a_column_is_and_what_is_not_theirs_follows() {
        String table = "number,notes,q1\n40216,b,a\n";
        BringIn said = recognise(
                table,
                new BringInChoices(
                        null,
                        new HashMap<>(Map.of(1, new Column.Choice(Use.ITEM, "q1"))),
                        Map.of(),
                        Map.of(),
                        Map.of(),
                        null,
                        null,
                        null));
        assertThat(said.columns().get(1).item()).isEqualTo("q1");
        assertThat(said.columns().get(2).use()).isEqualTo(Use.LEFT_OUT);
        assertThat(said.columns().get(2).because()).isEqualTo("“notes” is the same question already");
        assertThat(said.attempts().get(0).answers()).containsEntry("q1", Answer.Chosen.of("b"));
    }

    @Test
    void without_a_student_column_or_a_question_it_says_what_is_needed() {
        assertThat(recognise("x,y\n1,2\n").faults())
                .extracting(BringIn.CellFault::message)
                .anySatisfy(m -> assertThat(m).contains("number, e-mail or name"))
                .anySatisfy(m -> assertThat(m).contains("No column is a question"));
    }
}
