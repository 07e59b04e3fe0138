package org.scholion.core.measure;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class FlagTest {
    private static ItemMeasures measures(double p, Double r, double blank, double unreached, OptionFigures... options) {
        return new ItemMeasures(
                "q1",
                60,
                Figure.of(p),
                Figure.of(p),
                Figure.of(p),
                Thirds.missing("none"),
                r == null ? Figure.undefined("none") : Figure.of(r),
                Figure.of(0),
                Figure.of(0),
                Figure.of(blank),
                Figure.of(unreached),
                List.of(options));
    }

    private static OptionFigures option(String id, boolean keyed, int count, double upper, double rest) {
        return new OptionFigures(
                id, keyed, count, Figure.of(0), Figure.of(upper), Figure.of(0), Figure.of(0), Figure.of(rest));
    }

    private static List<Flag> flags(ItemMeasures m, boolean ofOne) {
        return Flag.of(m, ofOne, List.of()).stream().map(Flag.Raised::flag).toList();
    }

    @Test
    void bounds_are_strict_where_the_rule_says_so() {
        assertThat(flags(measures(0.95, 0.15, 0.10, 0.10), false)).isEmpty();
        assertThat(flags(measures(0.951, 0.149, 0.11, 0.11), false))
                .containsExactly(Flag.WEAK, Flag.EASY, Flag.BLANK, Flag.UNREACHED);
        assertThat(flags(measures(0.25, 0.0, 0, 0), false)).containsExactly(Flag.WEAK);
        assertThat(flags(measures(0.24, -0.01, 0, 0), false)).containsExactly(Flag.NEGATIVE, Flag.HARD);
        assertThat(flags(measures(0.5, null, 0, 0), false)).isEmpty();
    }

    @Test
    void a_choice_of_one_is_hard_below_what_guessing_gives() {
        OptionFigures[] three = {
            option("a", true, 20, 0.5, 0.2), option("b", false, 20, 0.2, 0), option("c", false, 20, 0.2, 0)
        };
        assertThat(flags(measures(0.33, 0.2, 0, 0, three), true)).containsExactly(Flag.HARD);
        assertThat(flags(measures(1.0 / 3, 0.2, 0, 0, three), true)).isEmpty();
        assertThat(flags(measures(0.33, 0.2, 0, 0, three), false)).isEmpty();
    }

    @Test
    void the_key_is_doubted_when_the_best_prefer_an_option_outside_it() {
        OptionFigures keyed = option("a", true, 20, 0.4, 0.2);
        assertThat(flags(measures(0.5, 0.2, 0, 0, keyed, option("b", false, 40, 0.5, 0.1)), true))
                .containsExactly(Flag.KEY);
        assertThat(flags(measures(0.5, 0.2, 0, 0, keyed, option("b", false, 40, 0.4, 0.2)), true))
                .isEmpty();
        Flag.Raised raised = Flag.of(measures(0.5, 0.2, 0, 0, keyed, option("b", false, 40, 0.3, 0.3)), true, List.of())
                .get(0);
        assertThat(raised.because())
                .isEqualTo(
                        "“b”, which is not in the key, is chosen by 30% of the upper third and goes with the rest at r = 0.30");
        assertThat(Flag.of(
                                measures(0.5, 0.2, 0, 0, keyed, option("b", false, 40, 0.3, 0.3)),
                                true,
                                List.of(),
                                id -> "to starboard")
                        .get(0)
                        .because())
                .startsWith("“to starboard”, which is not in the key");
        assertThat(raised.flag().remedies()).contains(Flag.Remedy.CHANGE_KEY, Flag.Remedy.ACCEPT_ALSO);
    }

    @Test
    void an_option_is_unused_below_two_percent_of_fifty_or_more() {
        OptionFigures keyed = option("a", true, 59, 1, 0.2);
        assertThat(flags(measures(0.9, 0.2, 0, 0, keyed, option("b", false, 1, 0, -1)), true))
                .containsExactly(Flag.UNUSED);
        assertThat(flags(measures(0.9, 0.2, 0, 0, keyed, option("b", false, 2, 0, -1)), true))
                .isEmpty();
    }

    @Test
    void a_large_difference_between_sections_is_flagged_and_says_whom_it_favours() {
        ItemDifference large =
                new ItemDifference("q1", "9A", "9B", Figure.of(3), Figure.of(9), Figure.of(0.003), Figure.of(-2.58));
        ItemDifference moderate =
                new ItemDifference("q1", "9A", "9C", Figure.of(1.6), Figure.of(9), Figure.of(0.003), Figure.of(-1.1));
        assertThat(Flag.of(measures(0.5, 0.2, 0, 0), false, List.of(moderate))).isEmpty();
        assertThat(moderate.isModerate()).isTrue();
        assertThat(Flag.of(measures(0.5, 0.2, 0, 0), false, List.of(moderate, large)))
                .containsExactly(
                        new Flag.Raised(Flag.DIFFERS, "among equally able students it favours 9A: delta −2.58"));
    }

    @Test
    void rounding_never_makes_an_unrelated_item_look_negative() {
        // x and the rest are exactly unrelated; sums in floating point would leave a last digit.
        double[] x = IntStream.range(0, 12).mapToDouble(i -> i % 2).toArray();
        double[] rest =
                IntStream.range(0, 12).mapToDouble(i -> (i / 2) % 3 * 0.1).toArray();
        ItemMeasures m =
                ItemMeasures.of(Given.scores(new double[][] {x, rest}, 1, 1)).get(0);
        assertThat(m.itemRest().value()).isEqualTo(0.0);
        assertThat(flags(m, false)).containsExactly(Flag.WEAK);
    }
}
