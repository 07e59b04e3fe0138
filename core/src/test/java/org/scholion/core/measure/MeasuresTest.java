package org.scholion.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.scholion.core.number.Fraction;

/** Worked by hand: five students, three items of 1 point and one of 2. */
class MeasuresTest {
    private static final double BLANK = Double.NaN;
    private static final Scores FIVE = Given.scores(
            new double[][] {{1, 1, 1, 0, 0}, {1, 1, 0, 1, 0}, {1, 0, 0, BLANK, BLANK}, {2, 2, 1, 1, 0}}, 1, 1, 1, 2);

    @Test
    void difficulty_is_the_mean_share_of_the_points_and_a_blank_counts_zero() {
        List<ItemMeasures> m = ItemMeasures.of(FIVE);
        assertThat(m.get(0).difficulty().value()).isEqualTo(0.6);
        assertThat(m.get(2).difficulty().value()).isEqualTo(0.2);
        assertThat(m.get(3).difficulty().value()).isEqualTo(0.6);
        assertThat(m.get(2).blank().value()).isEqualTo(0.4);
    }

    @Test
    void the_item_rest_correlation_leaves_the_item_out_of_the_rest() {
        // Item 1: x = 1 1 1 0 0, rest = 4 3 1 2 0: sums of deviations 2, 1.2 and 10, so r = 2 / √12.
        assertThat(ItemMeasures.of(FIVE).get(0).itemRest().value()).isCloseTo(2 / Math.sqrt(12), within(1e-12));
    }

    @Test
    void test_figures_follow_the_textbook() {
        // Totals 5 4 2 2 0: mean 2.6, sample variance 3.8; item variances 0.3 0.3 0.2 0.7.
        TestMeasures t = TestMeasures.of(FIVE);
        assertThat(t.mean().value()).isEqualTo(2.6);
        assertThat(t.sd().value()).isCloseTo(Math.sqrt(3.8), within(1e-12));
        double alpha = 4.0 / 3 * (1 - 1.5 / 3.8);
        assertThat(t.alpha().value()).isCloseTo(alpha, within(1e-12));
        assertThat(t.sem().value()).isCloseTo(Math.sqrt(3.8) * Math.sqrt(1 - alpha), within(1e-12));
        assertThat(t.median().value()).isEqualTo(2.0);
        assertThat(t.q3().value()).isEqualTo(4.0);
    }

    @Test
    void alpha_without_an_item_is_the_reliability_of_the_others() {
        // Without item 4: totals 3 2 1 1 0, variance 1.3; item variances 0.3 0.3 0.2.
        assertThat(ItemMeasures.of(FIVE).get(3).alphaWithout().value()).isCloseTo(1.5 * (1 - 0.8 / 1.3), within(1e-12));
    }

    @Test
    void students_tied_at_the_border_of_the_upper_group_share_the_places_left() {
        // Totals 4 2 2 2 0: 1.35 places; the first has one whole, the three in the middle share 0.35.
        Scores tied = Given.scores(
                new double[][] {{1, 1, 0, 0, 0}, {1, 1, 1, 0, 0}, {1, 0, 1, 1, 0}, {1, 0, 0, 1, 0}}, 1, 1, 1, 1);
        // Item 1: upper (1 + 0.35 × 1/3) / 1.35, lower (0 + 0.35 × 1/3) / 1.35.
        assertThat(ItemMeasures.of(tied).get(0).upperLower().value()).isCloseTo(1 / 1.35, within(1e-12));
    }

    @Test
    void an_answer_is_not_reached_when_it_and_all_after_it_are_blank() {
        Scores s = Given.scores(
                new double[][] {{1, 1, BLANK}, {BLANK, 1, BLANK}, {BLANK, BLANK, 0}, {BLANK, BLANK, BLANK}},
                1,
                1,
                1,
                1);
        assertThat(ItemMeasures.of(s).stream().map(m -> m.notReached().value()).toList())
                .containsExactly(0.0, 1.0 / 3, 2.0 / 3, 1.0);
        assertThat(ItemMeasures.of(s).get(1).blank().value()).isEqualTo(2.0 / 3);
    }

    @Test
    void quartiles_interpolate_between_order_statistics() {
        TestMeasures four = TestMeasures.of(Given.scores(new double[][] {{1, 2, 3, 4}}, 4));
        assertThat(four.q1().value()).isEqualTo(1.75);
        assertThat(TestMeasures.of(Given.scores(new double[][] {{7}}, 7)).q3().value())
                .isEqualTo(7.0);
    }

    @Test
    void a_percentile_counts_half_of_those_equal_and_oneself_among_them() {
        List<Standing> all = Standing.of(FIVE);
        assertThat(all.stream().map(Standing::percentile).toList()).containsExactly(90.0, 70.0, 40.0, 40.0, 10.0);
        assertThat(all.stream().map(Standing::solved).toList()).containsExactly(4, 3, 1, 1, 0);
    }

    @Test
    void option_shares_are_counted_in_thirds_with_ties_shared() {
        // Totals 2 1 1 0 0 0: the upper third holds the first and half of each of the two tied at 1.
        Scores s = Scores.of(List.of(
                Given.choice("q1", 3, 0, 0, 0, 1, 1, 2, -1),
                Given.column("q2", new double[] {1, 0, 1, 0, 0, 0}, 1, true)));
        List<OptionFigures> options = ItemMeasures.of(s).get(0).options();
        assertThat(options.get(0).upper().value()).isEqualTo(0.75);
        assertThat(options.get(1).upper().value()).isEqualTo(0.25);
        assertThat(options.get(1).lower().value()).isCloseTo(1.0 / 3, within(1e-15));
        assertThat(options.get(2).lower().value()).isCloseTo(1.0 / 3, within(1e-15));
        assertThat(options.get(0).middle().value()).isEqualTo(0.25);
        assertThat(options.get(0).share().value()).isEqualTo(1.0 / 3);
        // Option b: 0 0 1 1 0 0 against the rest 1 0 1 0 0 0.
        assertThat(options.get(1).optionRest().value()).isCloseTo(0.25, within(1e-12));
    }

    @Test
    void totals_of_thirds_are_tied_exactly() {
        double third = 1.0 / 3;
        Column one = new Column(
                "a",
                new int[] {0, 0},
                List.of(Column.Kind.worth(Fraction.ONE, true)),
                Fraction.ONE,
                true,
                List.of(),
                List.of(),
                false);
        assertThat(third + third + third).isEqualTo(1.0);
        List<Column> columns = new java.util.ArrayList<>();
        for (int i = 0; i < 6; i++) {
            columns.add(new Column(
                    "q" + i,
                    new int[] {0, i < 2 ? 1 : 2},
                    List.of(
                            Column.Kind.worth(Fraction.of(1, 6), false),
                            Column.Kind.worth(Fraction.HALF, false),
                            Column.Kind.worth(Fraction.ZERO, false)),
                    Fraction.ONE,
                    true,
                    List.of(),
                    List.of(),
                    false));
        }
        columns.add(one);
        assertThat(TestMeasures.of(Scores.of(columns)).sd().value()).isEqualTo(0.0);
    }

    @Test
    void what_is_undefined_says_why_and_is_never_zero() {
        Scores nobody = Given.scores(new double[2][0], 1, 1);
        assertThat(ItemMeasures.of(nobody).get(0).difficulty().missing()).isEqualTo("nobody has answered yet");
        Scores same = Given.scores(new double[][] {{1, 1, 1}, {1, 0, 1}}, 1, 1);
        assertThat(ItemMeasures.of(same).get(0).itemRest().missing()).isEqualTo("all have the same score on it");
        assertThat(ItemMeasures.of(same).get(1).itemRest().missing()).isEqualTo("all have the same score on the rest");
        assertThat(ItemMeasures.of(same).get(1).upperLower().missing()).isEqualTo("needs at least 4 attempts");
        assertThat(ItemMeasures.of(same).get(1).alphaWithout().missing()).isEqualTo("needs at least 3 items");
        Scores flat = Given.scores(new double[][] {{1, 0}, {0, 1}}, 1, 1);
        assertThat(TestMeasures.of(flat).alpha()).isEqualTo(Figure.undefined("all have the same total"));
        assertThat(TestMeasures.of(flat).sem().value()).isNull();
    }

    @Test
    void a_histogram_puts_a_bound_into_the_tenth_that_begins_there_and_a_hundred_into_the_last() {
        List<Fraction> percents =
                List.of(Fraction.of(0), Fraction.of(10), Fraction.exactly("9.9"), Fraction.of(100), Fraction.of(120));
        assertThat(Histogram.of(percents).tenths()).containsExactly(2, 1, 0, 0, 0, 0, 0, 0, 0, 2);
    }
}
