package org.scholion.formats.bringin;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.Item;
import org.scholion.formats.bringin.BringInChoices.RowChoice;
import org.scholion.formats.table.Grid;
import org.scholion.formats.table.Table;

class TableShapeTest {
    private static BringIn recognise(String text, List<Item> items, BringInChoices choices) {
        Grid grid = Grid.read(text.getBytes(java.nio.charset.StandardCharsets.UTF_8), Grid.Reading.NOTHING);
        Table table = AnswerTable.headed(grid, Class4.ROSTER, choices);
        return AnswerTable.recognise(table, items, Class4.ROSTER, choices);
    }

    private static BringIn recognise(String text, List<Item> items) {
        return recognise(text, items, BringInChoices.NONE);
    }

    private static final String LETTERS =
            "number;section;answers\nKEY;;ABCDAB\n40216;A;ABCD-*\n40220;A;abcda\n40212;B;DCBADC\n";

    @Test
    void a_string_of_letters_is_one_answer_a_letter_in_the_order_of_the_paper() {
        BringIn found = recognise(LETTERS, Class4.letters(6));
        assertThat(found.shape()).isEqualTo(BringIn.Shape.LETTERS);
        assertThat(found.keyLine()).isEqualTo(2);
        assertThat(found.attempts().get(0).answers())
                .containsEntry("q1", Answer.Chosen.of("a"))
                .containsEntry("q4", Answer.Chosen.of("d"))
                .doesNotContainKeys("q5", "q6");
        assertThat(found.cells()).extracting(BringIn.CellQuestion::cell).containsExactlyInAnyOrder("-", "*");
    }

    @Test
    void a_string_that_is_too_short_waits_since_nobody_knows_which_letter_is_missing() {
        BringIn found = recognise(LETTERS, Class4.letters(6));
        assertThat(found.rows()).singleElement().satisfies(r -> {
            assertThat(r.line()).isEqualTo(4);
            assertThat(r.why()).startsWith("its string has 5 signs, the others have 6");
        });
        BringIn asIs = recognise(
                LETTERS,
                Class4.letters(6),
                new BringInChoices(
                        null,
                        Map.of(),
                        Map.of(4, new RowChoice("", false, true, null)),
                        Map.of(),
                        Map.of(),
                        null,
                        null,
                        null));
        assertThat(asIs.attempts()).hasSize(3);
    }

    @Test
    void letters_with_nothing_but_blanks_between_number_and_string_and_without_a_heading_come_in() {
        BringIn found = recognise("40216  ABCDAB\n40220  DCBADC\n40212  AAAAAA\n", Class4.letters(6));
        assertThat(found.shape()).isEqualTo(BringIn.Shape.LETTERS);
        assertThat(found.attempts()).hasSize(3);
        assertThat(found.attempts().get(1).answers()).containsEntry("q6", Answer.Chosen.of("c"));
    }

    @Test
    void a_row_a_student_and_question_becomes_a_row_a_student_with_its_scores_left_aside() {
        String table = "user\tsurname\tquestion_no\tquestion\tanswer_given\tscore\tmax\n"
                + "40216\tHaddix\t1\tWho keeps clear of the other?\tRed\t0\t1\n"
                + "40216\tHaddix\t2\tWhich slow it? (all)\tWide; Rough\t1\t1\n"
                + "40220\tKessler\t2\tWhich slow it? (all)\tRough\t1\t1\n"
                + "40220\tKessler\t1\tWho keeps clear of the other?\tThe one to port\t1\t1\n";
        BringIn found = recognise(table, Class4.ITEMS);
        assertThat(found.shape()).isEqualTo(BringIn.Shape.LONG);
        assertThat(found.attempts()).hasSize(2);
        assertThat(found.attempts().get(0).answers())
                .containsEntry("q1", Answer.Chosen.of("c"))
                .containsEntry("q2", Answer.Chosen.of("a", "c"));
        assertThat(found.attempts().get(1).answers()).containsEntry("q2", Answer.Chosen.of("c"));
    }

    @Test
    void titles_above_the_heading_and_a_line_that_names_the_separator_are_passed_over() {
        String table = "sep=;\nEvening test;;\nautumn;;\nnumber;name;q1\n40216;Noor Haddix;a\n40220;Dov Kessler;b\n";
        BringIn found = recognise(table, Class4.ITEMS);
        assertThat(found.attempts())
                .extracting(a -> a.line() + a.student().id())
                .containsExactly("51", "62");
    }

    @Test
    void two_rows_of_headings_are_one() {
        String table = "number,Question 1,,Question 2,\n,answer,points,answer,points\n40216,a,1,c,0\n40220,b,0,a,1\n";
        BringIn found = recognise(table, Class4.ITEMS);
        assertThat(found.columns()).extracting(Column::name).startsWith("number", "Question 1 answer");
        assertThat(found.attempts()).hasSize(2);
    }

    @org.junit.jupiter.params.ParameterizedTest
    @org.junit.jupiter.params.provider.ValueSource(
            strings = {
                "number,1a,1b,1c,1d,2a,2b,2c,2d\n40216,x,,,,,x,,\n40220,,,,x,,,,\n",
                "number,Q1: A,Q1: B,Q1: C,Q1: D,Q2: A,Q2: B,Q2: C,Q2: D\n40216,1,0,0,0,0,1,0,0\n40220,0,0,0,1,0,0,0,0\n",
                "number,Q1 [A],Q1 [B],Q1 [C],Q1 [D],Q2 [A],Q2 [B],Q2 [C],Q2 [D]\n40216,A,,,,,B,,\n40220,,,,D,,,,\n",
            })
    void a_column_an_option_is_one_answer_a_question(String csv) {
        BringIn found = recognise(csv, Class4.letters(2));
        assertThat(found.shape()).isEqualTo(BringIn.Shape.OPTIONS);
        assertThat(found.faults()).isEmpty();
        assertThat(found.attempts().get(0).answers())
                .containsEntry("q1", Answer.Chosen.of("a"))
                .containsEntry("q2", Answer.Chosen.of("b"));
        assertThat(found.attempts().get(1).answers()).containsEntry("q1", Answer.Chosen.of("d"));
        assertThat(found.attempts().get(1).answers().get("q2"))
                .satisfiesAnyOf(
                        a -> assertThat(a).isNull(),
                        a -> assertThat(a.isBlank()).isTrue());
    }

    @Test
    void columns_with_words_in_them_are_no_marks_of_options() {
        BringIn found = recognise("number,1a,1b\n40216,because,x\n40220,so,\n", Class4.letters(2));
        assertThat(found.shape()).isNotEqualTo(BringIn.Shape.OPTIONS);
    }
}
