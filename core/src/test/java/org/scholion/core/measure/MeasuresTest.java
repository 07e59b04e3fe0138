package org.scholion.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.scholion.core.number.Fraction;

/** Worked by hand: five students, three items of 1 point and one of 2. */
class MeasuresTest {
    private static final Scores FIVE = new Scores(
            new double[][] {{1, 1, 1, 0, 0}, {1, 1, 0, 1, 0}, {1, 0, 0, 0, 0}, {2, 2, 1, 1, 0}},
            new boolean[][] {new boolean[5], new boolean[5], {false, false, false, true, true}, new boolean[5]},
            new double[] {1, 1, 1, 2});

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
        assertThat(t.mean().value()).isCloseTo(2.6, within(1e-12));
        assertThat(t.sd().value()).isCloseTo(Math.sqrt(3.8), within(1e-12));
        double alpha = 4.0 / 3 * (1 - 1.5 / 3.8);
        assertThat(t.alpha().value()).isCloseTo(alpha, within(1e-12));
        assertThat(t.sem().value()).isCloseTo(Math.sqrt(3.8) * Math.sqrt(1 - alpha), within(1e-12));
        assertThat(t.median().value()).isEqualTo(2.0);
        assertThat(t.q3().value()).isEqualTo(4.0);
    }

    @Test
    void quartiles_interpolate_between_order_statistics() {
        assertThat(TestMeasures.quantile(new double[] {1, 2, 3, 4}, 0.25)).isEqualTo(1.75);
        assertThat(TestMeasures.quantile(new double[] {7}, 0.75)).isEqualTo(7.0);
    }

    @Test
    void what_is_undefined_says_why_and_is_never_zero() {
        Scores nobody = new Scores(new double[2][0], new boolean[2][0], new double[] {1, 1});
        assertThat(ItemMeasures.of(nobody).get(0).difficulty().missing()).isEqualTo("nobody has answered yet");
        Scores same = new Scores(new double[][] {{1, 1, 1}, {1, 0, 1}}, new boolean[2][3], new double[] {1, 1});
        assertThat(ItemMeasures.of(same).get(0).itemRest().missing()).isEqualTo("all have the same score on it");
        assertThat(ItemMeasures.of(same).get(1).itemRest().missing()).isEqualTo("all have the same score on the rest");
        Scores flat = new Scores(new double[][] {{1, 0}, {0, 1}}, new boolean[2][2], new double[] {1, 1});
        assertThat(TestMeasures.of(flat).alpha()).isEqualTo(Figure.undefined("all have the same total"));
        assertThat(TestMeasures.of(flat).sem().value()).isNull();
    }

    @Test
    void the_order_of_students_does_not_matter() {
        Scores turned = new Scores(
                new double[][] {{0, 0, 1, 1, 1}, {0, 1, 0, 1, 1}, {0, 0, 0, 0, 1}, {0, 1, 1, 2, 2}},
                new boolean[4][5],
                FIVE.points());
        assertThat(TestMeasures.of(turned).alpha().value())
                .isCloseTo(TestMeasures.of(FIVE).alpha().value(), within(1e-12));
    }

    @Test
    void flags_follow_their_bounds() {
        assertThat(flags(0.5, -0.01, 0.0, 0)).containsExactly(Flag.NEGATIVE);
        assertThat(flags(0.5, 0.0, 0.0, 0)).containsExactly(Flag.WEAK);
        assertThat(flags(0.5, 0.15, 0.10, 0)).isEmpty();
        assertThat(flags(0.96, 0.3, 0.11, 0)).containsExactly(Flag.EASY, Flag.BLANK);
        assertThat(flags(0.24, 0.3, 0, 0)).containsExactly(Flag.HARD);
        assertThat(flags(0.30, 0.3, 0, 1.0 / 3)).containsExactly(Flag.HARD);
    }

    private static List<Flag> flags(double p, double r, double blank, double guess) {
        return Flag.of(new ItemMeasures(Figure.of(p), Figure.of(r), Figure.of(blank)), guess);
    }

    @Test
    void a_histogram_puts_a_bound_into_the_tenth_that_begins_there_and_a_hundred_into_the_last() {
        List<Fraction> percents =
                List.of(Fraction.of(0), Fraction.of(10), Fraction.exactly("9.9"), Fraction.of(100), Fraction.of(120));
        assertThat(Histogram.of(percents).tenths()).containsExactly(2, 1, 0, 0, 0, 0, 0, 0, 0, 2);
    }
}
