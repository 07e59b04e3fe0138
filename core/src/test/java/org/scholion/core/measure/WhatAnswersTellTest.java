package org.scholion.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.BlanksItem;
import org.scholion.core.item.Head;
import org.scholion.core.item.Named;
import org.scholion.core.item.NumberItem;
import org.scholion.core.item.OrderItem;
import org.scholion.core.item.PairsItem;
import org.scholion.core.number.Fraction;

/** Thirds, intervals, what does not fit, and what was taken for what: worked by hand. */
class WhatAnswersTellTest {
    private static final double BLANK = Double.NaN;

    @Test
    void thirds_share_the_students_who_are_tied_at_their_borders() {
        // Totals 2 1 1 0 with item 2; thirds of 4/3 places: the first whole, the two in the middle share a third of
        // one.
        Scores four = Given.scores(new double[][] {{1, 1, 0, 0}, {1, 0, 1, 0}}, 1, 1);
        Thirds thirds = ItemMeasures.of(four).get(0).thirds();
        assertThat(thirds.upper().value()).isCloseTo((1 + 1 / 6.0) / (4 / 3.0), within(1e-12));
        assertThat(thirds.lower().value()).isCloseTo((1 / 6.0) / (4 / 3.0), within(1e-12));
        assertThat(thirds.middle().value()).isCloseTo((2 - 1 - 2 / 6.0) / (4 / 3.0), within(1e-12));
    }

    @Test
    void the_interval_of_a_difficulty_is_wilsons_with_the_attempts_as_trials() {
        ItemMeasures m = ItemMeasures.of(Given.scores(new double[][] {{1, 1, 0, 0}, {1, 0, 1, 0}}, 1, 1))
                .get(0);
        double zz = 1.959963984540054 * 1.959963984540054;
        double half = Math.sqrt(zz) * Math.sqrt(0.25 / 4 + zz / 64) / (1 + zz / 4);
        assertThat(m.low().value()).isCloseTo(0.5 - half, within(1e-12));
        assertThat(m.high().value()).isCloseTo(0.5 + half, within(1e-12));
    }

    @Test
    void nobody_answered_is_said_of_thirds_and_intervals_too() {
        ItemMeasures m =
                ItemMeasures.of(Given.scores(new double[][] {{}, {}}, 1, 1)).get(0);
        assertThat(m.low().value()).isNull();
        assertThat(m.low().missing()).isEqualTo("nobody has answered yet");
        assertThat(m.thirds().upper().missing()).isEqualTo("needs at least 3 attempts");
    }

    @Test
    void a_sections_mean_has_students_interval() {
        // 4 and 2: mean 3, sd √2, t(0.975; 1) = 12.7062: 3 ± 12.7062 × √2 / √2.
        Scores two = Given.scores(new double[][] {{4, 2, 3}}, 4);
        SectionMeasures a =
                SectionMeasures.of(two, Arrays.asList("A", "A", "B")).get(0);
        assertThat(a.range().low().value()).isCloseTo(3 - 12.706204736, within(1e-6));
        assertThat(a.range().high().value()).isCloseTo(3 + 12.706204736, within(1e-6));
        SectionMeasures b =
                SectionMeasures.of(two, Arrays.asList("A", "A", "B")).get(1);
        assertThat(b.range().low().missing()).isEqualTo("needs at least 2 attempts");
    }

    @Test
    void a_score_could_as_well_be_one_standard_error_lower_or_higher() {
        // Of MeasuresTest: mean 2.6 and error √3.8 × √(1 - α), α = 4/3 × (1 - 1.5/3.8), of 5 points.
        Scores five = Given.scores(
                new double[][] {{1, 1, 1, 0, 0}, {1, 1, 0, 1, 0}, {1, 0, 0, BLANK, BLANK}, {2, 2, 1, 1, 0}},
                1,
                1,
                1,
                2);
        ScoreRange range = ScoreRange.of(TestMeasures.of(five), Fraction.of(5)).orElseThrow();
        assertThat(range).isEqualTo(new ScoreRange(35, 52, 69));
        assertThat(ScoreRange.of(TestMeasures.of(five), Fraction.ZERO)).isEmpty();
        assertThat(ScoreRange.of(TestMeasures.of(Given.scores(new double[][] {{1, 0}}, 1)), Fraction.ONE))
                .as("one item has no reliability")
                .isEmpty();
    }

    @Test
    void what_waits_could_raise_the_mean_by_its_points_over_the_students() {
        assertThat(Undecided.of(List.of(Fraction.of(3), Fraction.of(2)), 4))
                .isEqualTo(new Undecided(2, Fraction.of(5, 4)));
        assertThat(Undecided.of(List.of(), 0)).isEqualTo(new Undecided(0, Fraction.ZERO));
    }

    /** Ten students on five items; all have item 1 but student 2, and only student 10 has item 5. */
    private static double[][] ten() {
        double[][] x = new double[5][10];
        for (int j = 0; j < 4; j++) {
            for (int i = 0; i < 10; i++) {
                x[j][i] = i < 10 - 2 * j ? 1 : 0;
            }
        }
        x[0][1] = 0;
        x[4][9] = 1;
        return x;
    }

    @Test
    void missing_what_nearly_all_have_and_having_what_few_have_does_not_fit() {
        List<List<Unexpected>> all = Unexpected.of(Given.scores(ten(), 1, 1, 1, 1, 1));
        assertThat(all.get(1)).as("solved three of five").containsExactly(new Unexpected(0, false));
        assertThat(all.get(9)).as("solved two of five").containsExactly(new Unexpected(4, true));
        assertThat(IntStream.of(0, 2, 3, 4, 5, 6, 7, 8).mapToObj(all::get)).allMatch(List::isEmpty);
    }

    @Test
    void part_of_the_points_is_neither_missed_nor_solved_and_few_students_say_nothing() {
        double[][] x = ten();
        x[0][1] = 0.5;
        assertThat(Unexpected.of(Given.scores(x, 1, 1, 1, 1, 1)).get(1)).isEmpty();
        double[][] nine =
                Arrays.stream(ten()).map(r -> Arrays.copyOfRange(r, 1, 10)).toArray(double[][]::new);
        assertThat(Unexpected.of(Given.scores(nine, 1, 1, 1, 1, 1))).allMatch(List::isEmpty);
    }

    @Test
    void a_weak_student_who_misses_an_easy_question_and_a_strong_one_who_solves_a_hard_one_fit() {
        double[][] x = new double[5][10];
        for (int i = 0; i < 10; i++) {
            x[0][i] = i == 9 ? 0 : 1;
            x[1][i] = 1;
            x[2][i] = i < 9 ? 1 : 0;
            x[3][i] = i < 9 ? 1 : 0;
            x[4][i] = i == 0 ? 1 : 0;
        }
        assertThat(Unexpected.of(Given.scores(x, 1, 1, 1, 1, 1))).allMatch(List::isEmpty);
    }

    @Test
    void answers_that_are_grouped_have_the_figures_of_options() {
        Scores scores = Given.scores(new double[][] {{1, 1, 0, 0, 0, BLANK}, {1, 1, 1, 0, 0, 0}}, 1, 1);
        Scores grouped = scores.grouped(0, new int[] {0, 0, 1, 1, 2, -1}, List.of("x", "y", "z"), List.of("x"));
        List<OptionFigures> options = ItemMeasures.of(grouped).get(0).options();
        assertThat(options).extracting(OptionFigures::count).containsExactly(2, 2, 1);
        assertThat(options).extracting(OptionFigures::keyed).containsExactly(true, false, false);
        assertThat(options.get(0).upper().value()).as("both of the upper third").isEqualTo(1.0);
        assertThat(options.get(1).middle().value()).isCloseTo(0.5 + 1 / 6.0, within(1e-12));
        assertThat(ItemMeasures.of(grouped).get(0).difficulty())
                .as("what was answered moves no figure of the item")
                .isEqualTo(ItemMeasures.of(scores).get(0).difficulty());
        assertThat(ItemMeasures.of(grouped).get(0).itemRest())
                .isEqualTo(ItemMeasures.of(scores).get(0).itemRest());
    }

    @Test
    void of_a_matching_it_is_counted_what_was_taken_for_what() {
        PairsItem item = new PairsItem(
                Head.of("m", Fraction.of(2)),
                List.of(new Named("r", "red"), new Named("g", "green")),
                List.of(new Named("p", "port"), new Named("s", "starboard")),
                List.of(new PairsItem.Pair("r", "p"), new PairsItem.Pair("g", "s")),
                PairsItem.Rule.EACH,
                1,
                1);
        Answer right = new Answer.Paired(Set.of(new PairsItem.Pair("r", "p"), new PairsItem.Pair("g", "s")));
        Answer swapped = new Answer.Paired(Set.of(new PairsItem.Pair("r", "s")));
        Crossed crossed = Crossed.of(item, List.of(right, swapped, right));
        assertThat(crossed.rows()).containsExactly("red", "green");
        assertThat(crossed.counts()).containsExactly(List.of(2, 1), List.of(0, 2));
        assertThat(crossed.keyed()).containsExactly(List.of(true, false), List.of(false, true));
        assertThat(Unfinished.is(item, swapped)).isTrue();
        assertThat(Unfinished.is(item, right)).isFalse();
        assertThat(Unfinished.is(item, new Answer.Paired(Set.of())))
                .as("not begun")
                .isFalse();
    }

    @Test
    void of_an_order_it_is_counted_where_each_step_was_put() {
        OrderItem item = new OrderItem(
                Head.of("o", Fraction.ONE),
                List.of(new Named("a", "anchor"), new Named("b", "buoy"), new Named("c", "chain")),
                List.of("c", "a", "b"),
                OrderItem.Rule.EXACT);
        Crossed crossed =
                Crossed.of(item, List.of(new Answer.Ordered(List.of("a", "b", "c")), new Answer.Ordered(List.of("a"))));
        assertThat(crossed.columns()).containsExactly("1", "2", "3");
        assertThat(crossed.counts()).containsExactly(List.of(2, 0, 0), List.of(0, 1, 0), List.of(0, 0, 1));
        assertThat(crossed.keyed())
                .containsExactly(List.of(false, true, false), List.of(false, false, true), List.of(true, false, false));
        assertThat(Unfinished.is(item, new Answer.Ordered(List.of("a")))).isTrue();
        assertThat(Unfinished.canTell(item)).isTrue();
    }

    @Test
    void typed_numbers_lie_on_a_line_with_what_is_accepted() {
        NumberItem item = new NumberItem(
                Head.of("n", Fraction.ONE),
                List.of(NumberItem.Accepted.around(Fraction.of(10), "1", Fraction.ONE)),
                '.',
                new NumberItem.UnitRule("nmi", false, Fraction.ONE, Fraction.ZERO),
                null,
                Fraction.ZERO,
                false);
        List<Answer> typed = List.of("10", "10 nmi", "7", "12 km", "far").stream()
                .map(a -> (Answer) new Answer.Typed(a))
                .toList();
        NumberLine line = NumberLine.of(item, typed);
        assertThat(line).isNotNull();
        assertThat(line.low()).isEqualTo("7");
        assertThat(line.high()).isEqualTo("11");
        assertThat(line.numbers())
                .containsExactly(new NumberLine.NumberAt("7", 1, 0), new NumberLine.NumberAt("10", 2, 0.75));
        assertThat(line.accepted()).containsExactly(new NumberLine.AcceptedStretch("10 ± 1", "1", 0.5, 1));
        assertThat(line.elsewhere())
                .as("a kilometre lies elsewhere, and far is no number")
                .isEqualTo(2);
        assertThat(NumberLine.of(item, List.of(new Answer.Typed("far")))).isNull();
        assertThat(Unfinished.canTell(item)).isFalse();
    }

    @Test
    void blanks_are_unfinished_while_one_is_empty() {
        NumberItem ten = new NumberItem(
                Head.of("b1", Fraction.ONE),
                List.of(NumberItem.Accepted.around(Fraction.of(10), null, Fraction.ONE)),
                '.',
                null,
                null,
                Fraction.ZERO,
                false);
        NumberItem two =
                new NumberItem(Head.of("b2", Fraction.ONE), ten.accept(), '.', null, null, Fraction.ZERO, false);
        BlanksItem item = new BlanksItem(
                Head.of("b", Fraction.ONE),
                List.of(new BlanksItem.Part(ten, Fraction.ONE), new BlanksItem.Part(two, Fraction.ONE)),
                false,
                List.of());
        assertThat(Unfinished.is(item, new Answer.Parts(Map.of("b1", new Answer.Typed("10")))))
                .isTrue();
        assertThat(Unfinished.is(
                        item, new Answer.Parts(Map.of("b1", new Answer.Typed("10"), "b2", new Answer.Typed("4")))))
                .isFalse();
    }
}
