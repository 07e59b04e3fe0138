package org.scholion.core.score;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.scholion.core.score.Marks.around;
import static org.scholion.core.score.Marks.f;
import static org.scholion.core.score.Marks.head;
import static org.scholion.core.score.Marks.number;
import static org.scholion.core.score.Marks.scoring;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.scholion.core.item.Faulty;
import org.scholion.core.item.NumberItem;
import org.scholion.core.number.Fraction;

class NumberTest {
    private static NumberItem withUnit(String value, String unit, boolean convert, String missing, String wrong) {
        return new NumberItem(
                head(),
                List.of(around(value, null, "1")),
                '.',
                new NumberItem.UnitRule(unit, convert, f(missing), f(wrong)),
                null,
                Fraction.ZERO,
                false);
    }

    @Test
    void a_tolerance_includes_its_ends() {
        NumberItem item = number(around("12.5", "2%", "1"));
        scoring(item, "12.25").isScored("1").because("12.25 is within 12.5 ± 2%");
        scoring(item, "12.75").isScored("1");
        scoring(item, "12.7500001").isScored("0").because("12.7500001 is not accepted; accepted: 12.5 ± 2%");
        scoring(number(around("-10", "0.1", "1")), "-10.1").isScored("1");
    }

    @Test
    void the_highest_credit_among_bands_wins() {
        NumberItem item = number(around("12.5", "5%", "1/2"), around("12.5", "1%", "1"));
        scoring(item, "12.5").isScored("1");
        scoring(item, "12").isScored("1/2");
        scoring(item, "11").isScored("0");
    }

    @Test
    void a_range_includes_both_ends() {
        NumberItem item = number(NumberItem.Accepted.between(f("2"), f("3"), Fraction.ONE));
        scoring(item, "2").isScored("1");
        scoring(item, "3.0").isScored("1");
        scoring(item, "3.01").isScored("0");
    }

    @Test
    void what_cannot_be_read_is_a_doubt_and_a_blank_is_blank() {
        NumberItem item = number(around("3", null, "1"));
        scoring(item, "three").isLeftToSettle().because("cannot be read as a number; a teacher decides");
        scoring(item, "3 m").isLeftToSettle();
        scoring(item, "\u2009").isBlank();
    }

    @ParameterizedTest
    @CsvSource({
        "km/h, 45 km/h, 1",
        "km/h, 12.5 m/s, 1",
        "km/h, 12.5 m s⁻¹, 1",
        "km/h, 45, 1/2",
        "km/h, 45 kg, 1/4",
        "km/h, 45 kph, 1",
        "km/h, 45 kilometres per hour, 1",
        "m/s², 45 ms^-2, 1",
        "min, 0 h 45 min, 1",
        "km/h, 45km/h, 1",
        "km/h, 45000 m/h, 1"
    })
    void units_convert_exactly_and_missing_or_wrong_ones_cost_their_share(String unit, String said, String credit) {
        scoring(withUnit("45", unit, true, "1/2", "1/4"), said).isScored(credit);
    }

    @Test
    void without_conversion_only_the_same_unit_will_do() {
        NumberItem item = withUnit("1", "km", false, "0", "0");
        scoring(item, "1 km").isScored("1");
        scoring(item, "1000 m").isScored("0");
    }

    @Test
    void an_unknown_unit_is_as_what_cannot_be_read_and_names_the_nearest() {
        scoring(withUnit("45", "m", true, "1/2", "1/4"), "45 metrs")
                .isLeftToSettle()
                .because("“metrs” is not a unit that is known here (nearest: “metre”)" + "; a teacher decides");
        NumberItem strict = new NumberItem(
                head(),
                List.of(around("45", null, "1")),
                '.',
                new NumberItem.UnitRule("m", true, f("1"), f("1")),
                null,
                f("1/2"),
                true);
        scoring(strict, "45 zzzz").isScored("-1/2");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {"1.5|.|1,5", "1234|.|1.234", "1.234|,|1.234", "1234|,|1,234", "1.5|.|- 1,5"})
    void the_other_decimal_mark_waits_with_what_it_could_mean(String value, char decimal, String said) {
        NumberItem item = new NumberItem(
                head(),
                List.of(around(said.startsWith("-") ? "-" + value : value, null, "1")),
                decimal,
                null,
                null,
                f("1/2"),
                true);
        scoring(item, said).isLeftToSettle();
        scoring(item, said.replace('5', '7').replace('4', '9')).isScored("-1/2");
    }

    @Test
    void a_doubt_about_a_number_says_what_it_could_mean() {
        scoring(number(around("1.5", null, "1")), "1,5")
                .isLeftToSettle()
                .because("“1,5” could mean 1.5, with “,” as the decimal mark; a teacher decides");
        scoring(withUnit("12.5", "min", true, "1", "0"), "12:30")
                .isLeftToSettle()
                .because("“12:30” could mean 12 h 30 min or 12 min 30 s; a teacher decides");
    }

    @Test
    void a_reading_in_several_units_counts_where_its_largest_is_asked_for_or_units_convert() {
        scoring(withUnit("12.5", "min", false, "0", "1/4"), "12 min 30 s").isScored("1");
        scoring(withUnit("750", "s", true, "0", "1/4"), "12 min 30 s").isScored("1");
        scoring(withUnit("750", "s", false, "0", "1/4"), "12 min 30 s").isScored("1/4");
        scoring(withUnit("12.5", "min", false, "0", "1/4"), "12 min 31 s").isScored("0");
    }

    @ParameterizedTest
    @CsvSource({"metrs, m, metre", "KM, km, km", "knts, kn, kts", "minuts, h, minute", "m/seg, m/s, sec"})
    void an_unknown_unit_comes_with_the_nearest_known_ones(String typed, String asked, String near) {
        assertThat(NearUnits.to(
                        typed, org.scholion.core.quantity.Unit.parse(asked).orElseThrow()))
                .contains(near);
    }

    @Test
    void a_temperature_converts_with_its_offset() {
        NumberItem item = withUnit("25", "°C", true, "0", "0");
        scoring(item, "77 °F").isScored("1");
        scoring(item, "298.15 K").isScored("1");
    }

    @Test
    void percent_is_a_unit_where_the_item_says_so_and_a_hundredth_elsewhere() {
        scoring(withUnit("50", "%", true, "1/2", "0"), "50%").isScored("1");
        scoring(withUnit("50", "%", true, "1/2", "0"), "50").isScored("1/2");
        scoring(number(around("0.5", null, "1")), "50%").isScored("1");
    }

    @ParameterizedTest
    @CsvSource({
        "1200, 2, 1",
        "1200, 4, 1",
        "1200., 4, 1",
        "1200., 2, 1/2",
        "1.20e3, 3, 1",
        "0001200, 2, 1",
        "1200, 3, 1",
        "1200, 5, 1/2",
        "2400/2, 3, 1/2"
    })
    void significant_figures_are_those_that_were_typed(String said, int count, String credit) {
        NumberItem item = new NumberItem(
                head(),
                List.of(around("1200", null, "1")),
                '.',
                null,
                new NumberItem.Figures(count, f("1/2")),
                Fraction.ZERO,
                false);
        scoring(item, said).isScored(credit);
    }

    @Test
    void a_zero_always_has_enough_significant_figures() {
        NumberItem item = new NumberItem(
                head(),
                List.of(around("0", null, "1")),
                '.',
                null,
                new NumberItem.Figures(3, Fraction.ZERO),
                Fraction.ZERO,
                false);
        scoring(item, "0").isScored("1");
    }

    @Test
    void unit_and_figures_multiply_the_credit_of_the_band() {
        NumberItem item = new NumberItem(
                head(),
                List.of(around("12.5", "5%", "1/2")),
                '.',
                new NumberItem.UnitRule("km", true, f("1/2"), Fraction.ZERO),
                new NumberItem.Figures(3, f("1/2")),
                Fraction.ZERO,
                false);
        scoring(item, "12").isScored("1/8");
    }

    @Test
    void a_wrong_number_costs_the_penalty() {
        NumberItem item = new NumberItem(head(), List.of(around("1", null, "1")), '.', null, null, f("1/3"), false);
        scoring(item, "2").isScored("-1/3");
    }

    @ParameterizedTest
    @ValueSource(strings = {"1e999999", "1e-999999", "9e9999999999999999999"})
    void huge_exponents_are_compared_without_huge_numbers(String said) {
        NumberItem item = number(NumberItem.Accepted.between(f("0"), f("5"), Fraction.ONE));
        scoring(item, said).isScored(said.contains("-") ? "1" : "0");
    }

    @Test
    void an_endless_answer_is_a_doubt() {
        scoring(number(around("1", null, "1")), "1".repeat(1_000_000)).isLeftToSettle();
    }

    @Test
    void an_unknown_unit_in_the_key_is_refused_at_its_place() {
        assertThatThrownBy(() -> Scorer.of(withUnit("1", "furlongs", true, "0", "0")))
                .isInstanceOfSatisfying(Faulty.class, e -> assertThat(e.place()).isEqualTo("unit.expect"));
    }
}
