package org.scholion.formats.bringin;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.scholion.core.item.Head;
import org.scholion.core.item.Item;
import org.scholion.core.item.NumberItem;
import org.scholion.core.item.OpenItem;
import org.scholion.core.number.Fraction;
import org.scholion.formats.bringin.BringInChoices.PointsAs;
import org.scholion.formats.bringin.Column.Use;
import org.scholion.formats.bringin.PaperFromAnswers.Kind;
import org.scholion.formats.table.Grid;
import org.scholion.formats.table.Table;

/** Points that were given elsewhere are taken as points, and never as answers. */
class PointsTest {
    private static final List<Item> ORAL = List.of(open("o1", 4), open("o2", 2));

    private static Item open(String id, long points) {
        return new OpenItem(new Head(id, null, Fraction.of(points), "", List.of()), null, null, null, null);
    }

    private static Grid grid(String file) {
        return Grid.read(file.getBytes(StandardCharsets.UTF_8), Grid.Reading.NOTHING);
    }

    private static BringIn recognise(String file, List<Item> items, BringInChoices choices) {
        return AnswerTable.recognise(grid(file), items, Class4.ROSTER, choices).found();
    }

    private static BringIn recognise(String file, List<Item> items) {
        return recognise(file, items, BringInChoices.NONE);
    }

    private static BringInChoices saying(Map<String, String> cells, @Nullable PointsAs as) {
        return new BringInChoices(null, Map.of(), Map.of(), cells, Map.of(), null, null, as);
    }

    private static List<PaperFromAnswers.MadeQuestion> made(String file) {
        Table table = AnswerTable.headed(grid(file), Class4.ROSTER, BringInChoices.NONE);
        return PaperFromAnswers.of(table, Class4.ROSTER, BringInChoices.NONE, PaperFromAnswers.Asked.NOTHING);
    }

    @Test
    void a_matrix_of_0_and_1_says_who_was_right_and_is_no_answer() {
        BringIn found = recognise("number,1,2,q3\n40216,1,0,x\n40220,0,1,x\n40212,1,1,x\n", Class4.ITEMS);
        assertThat(found.faults()).isEmpty();
        assertThat(found.columns())
                .extracting(Column::use)
                .containsExactly(Use.NUMBER, Use.POINTS, Use.POINTS, Use.ITEM);
        assertThat(found.attempts().get(0).points())
                .containsOnly(Map.entry("q1", Fraction.ONE), Map.entry("q2", Fraction.ZERO));
        assertThat(found.attempts().get(0).answers()).containsOnlyKeys("q3");
        assertThat(found.pointsAsk()).isFalse();
    }

    @Test
    void numbers_that_are_places_of_options_stay_answers() {
        BringIn found = recognise("number,1,2\n40216,1,2\n40220,3,1\n", Class4.ITEMS);
        assertThat(found.columns()).filteredOn(c -> c.use() == Use.POINTS).isEmpty();
    }

    @Test
    void a_number_question_among_letters_stays_one_whatever_was_answered() {
        Item number = new NumberItem(
                new Head("n", null, Fraction.of(2), "How many?", List.of()),
                List.of(NumberItem.Accepted.around(Fraction.of(2), null, Fraction.ONE)),
                '.',
                null,
                null,
                Fraction.ZERO,
                true);
        BringIn found = recognise("number,q1,n\n40216,a,1\n40220,b,2\n", List.of(Class4.ITEMS.get(0), number));
        assertThat(found.columns()).extracting(Column::use).containsExactly(Use.NUMBER, Use.ITEM, Use.ITEM);
        BringIn matrix = recognise("number,q1,n\n40216,1,1\n40220,0,2\n", List.of(Class4.ITEMS.get(0), number));
        assertThat(matrix.columns().get(2).use()).isEqualTo(Use.POINTS);
        assertThat(matrix.columns().get(2).sure()).as("a proposal").isFalse();
    }

    @ParameterizedTest
    @CsvSource({"3, 3", "'2,5', 5/2", "2.25, 9/4", "3/4, 3", "3 points, 3", "1 P., 1", "-1, -1", "−1, -1"})
    void points_are_read_as_people_write_them(String cell, String points) {
        BringIn found = recognise("number;o1;o2\n40216;" + cell + ";1\n40220;1;2\n", ORAL);
        assertThat(found.undecided(BringInChoices.NONE)).isZero();
        assertThat(found.attempts().get(0).points().get("o1")).isEqualTo(Fraction.exactly(points));
    }

    @Test
    void more_than_is_possible_is_asked_about_and_never_cut_off_silently() {
        String file = "number,o1,o2\n40216,5,1\n40220,4,2\n";
        BringInChoices columns = new BringInChoices(
                null, Map.of(1, new Column.Choice(Use.POINTS, "o1")), Map.of(), Map.of(), Map.of(), null, null, null);
        BringIn found = recognise(file, ORAL, columns);
        assertThat(found.cells()).singleElement().satisfies(c -> {
            assertThat(c.cell()).isEqualTo("5");
            assertThat(c.points()).isTrue();
            assertThat(c.options()).extracting(BringIn.Option::id).containsExactly("4");
        });
        assertThat(found.attempts().get(0).points()).doesNotContainKey("o1");
        BringIn said = recognise(
                file,
                ORAL,
                new BringInChoices(
                        null, columns.columns(), Map.of(), Map.of("o1\t5", "4"), Map.of(), null, null, null));
        assertThat(said.attempts().get(0).points()).containsEntry("o1", Fraction.of(4));
    }

    @Test
    void a_cell_without_points_is_0_or_not_asked_as_a_person_says_once_for_all() {
        String file = "number,o1,o2\n40216,,1\n40220,4,\n40212,-,2\n";
        BringIn found = recognise(file, ORAL);
        assertThat(found.cells())
                .extracting(BringIn.CellQuestion::item, BringIn.CellQuestion::cell, BringIn.CellQuestion::count)
                .containsExactly(
                        org.assertj.core.groups.Tuple.tuple("*", "", 2),
                        org.assertj.core.groups.Tuple.tuple("*", "-", 1));
        BringIn said = recognise(file, ORAL, saying(Map.of("*\t", "x", "*\t-", ""), null));
        assertThat(said.attempts())
                .extracting(BringIn.Attempt::notAsked)
                .containsExactly(java.util.Set.of("o1"), java.util.Set.of("o2"), java.util.Set.of());
    }

    @Test
    void only_0_and_1_where_questions_are_worth_more_are_asked_about() {
        String file = "number,o1,o2\n40216,1,0\n40220,0,1\n";
        BringIn found = recognise(file, ORAL);
        assertThat(found.undecided(BringInChoices.NONE)).isEqualTo(1);
        BringInChoices shares = saying(Map.of(), PointsAs.SHARES);
        BringIn right = recognise(file, ORAL, shares);
        assertThat(right.undecided(shares)).isZero();
        assertThat(right.attempts().get(0).points()).containsEntry("o1", Fraction.of(4));
        BringIn plain = recognise(file, ORAL, saying(Map.of(), PointsAs.POINTS));
        assertThat(plain.attempts().get(0).points()).containsEntry("o1", Fraction.ONE);
    }

    @Test
    void a_row_of_what_was_possible_is_no_student_and_a_boy_called_max_is() {
        String file = "first name,surname,o1,o2\nMax,,4,2\nNoor,Haddix,3,1\n";
        BringIn found = recognise(file, ORAL);
        assertThat(found.keyLine()).isEqualTo(2);
        assertThat(found.attempts()).hasSize(1);
        assertThat(recognise("first name,surname,o1,o2\nMax,Fell,4,2\nNoor,Haddix,3,1\n", ORAL)
                        .keyLine())
                .isNull();
    }

    @Test
    void a_row_a_student_and_question_can_have_points_too() {
        BringIn found = recognise("number,question,points\n40216,o1,3\n40216,o2,1\n40220,o1,4\n40220,o2,0\n", ORAL);
        assertThat(found.shape()).isEqualTo(BringIn.Shape.LONG);
        assertThat(found.attempts().get(1).points())
                .containsOnly(Map.entry("o1", Fraction.of(4)), Map.entry("o2", Fraction.ZERO));
    }

    @Test
    void answers_and_points_of_one_question_can_stand_in_two_columns() {
        BringIn found = recognise(
                "number,o1,o1 points\n40216,because the tide turns,3\n40220,it ebbs,1\n",
                ORAL.subList(0, 1),
                new BringInChoices(
                        null,
                        Map.of(2, new Column.Choice(Use.POINTS, "o1")),
                        Map.of(),
                        Map.of(),
                        Map.of(),
                        null,
                        null,
                        null));
        assertThat(found.attempts().get(0).points()).containsEntry("o1", Fraction.of(3));
        assertThat(found.attempts().get(0).answers()).containsOnlyKeys("o1");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "number,1 (4),2 / 2;40216,3,1;40220,1,0 | 4 | 2",
                "number,1,2;Max,4,2;40216,3,1;40220,1,0 | 4 | 2",
                "number,1,2;40216,3,1;40220,1.5,0 | 3 | 1",
                "number,1,2;40216,3/5,1/2;40220,1/5,0/2 | 5 | 2",
            })
    void a_file_of_points_makes_questions_that_are_worth_what_it_says(String file, String first, String second) {
        List<PaperFromAnswers.MadeQuestion> made = made(file.replace(';', '\n'));
        assertThat(made).extracting(PaperFromAnswers.MadeQuestion::kind).containsOnly(Kind.POINTS);
        assertThat(made).extracting(PaperFromAnswers.MadeQuestion::points).containsExactly(first, second);
    }

    @Test
    void what_a_question_is_worth_may_stand_behind_its_name() {
        BringIn found = recognise("number,o1 (4),2 [2 points]\n40216,3,1\n40220,1,0\n", ORAL);
        assertThat(found.columns()).extracting(Column::item).containsExactly(null, "o1", "o2");
    }

    @Test
    void an_oral_is_a_file_of_names_and_points() {
        assertThat(made("Name,Points\nNoor Haddix,17\nDov Kessler,12.5\n"))
                .singleElement()
                .satisfies(q -> {
                    assertThat(q.kind()).isEqualTo(Kind.POINTS);
                    assertThat(q.points()).isEqualTo("17");
                });
    }

    @Test
    void numbers_with_a_key_or_beside_words_are_answers() {
        assertThat(made("number,1,2\nkey,12,3\n40216,12,3\n40220,11,4\n"))
                .extracting(PaperFromAnswers.MadeQuestion::kind)
                .doesNotContain(Kind.POINTS);
        assertThat(made("number,1,2\n40216,12,ebb\n40220,11,flood\n"))
                .extracting(PaperFromAnswers.MadeQuestion::kind)
                .doesNotContain(Kind.POINTS);
    }
}
