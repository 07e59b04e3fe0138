package org.scholion.core.number;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigInteger;
import java.util.Random;
import org.apache.commons.numbers.fraction.BigFraction;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class FractionTest {
    @Test
    void three_thirds_make_one() {
        Fraction third = Fraction.of(1, 3);
        assertThat(third.plus(third).plus(third)).isEqualTo(Fraction.ONE);
    }

    @ParameterizedTest
    @CsvSource({
        "1/3, 0.333333",
        "2/3, 0.666667",
        "-2/3, -0.666667",
        "0.0000005, 0.000001",
        "-0.0000005, -0.000001",
        "0.00000049, 0",
        "-0.0000001, 0",
        "2.50, 2.5",
        "3, 3",
        "100, 100",
        "1e, "
    })
    void files_get_at_most_six_decimals_half_up_and_no_trailing_zeros(String written, String expected) {
        if (expected == null) {
            assertThat(Fraction.parse(written)).isEmpty();
        } else {
            assertThat(Fraction.exactly(written).toDecimal(6)).isEqualTo(expected);
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"", " 1", "1/0", "1.2/3", "1e3", "--1", "½", "1,5", "0x1", "NaN"})
    void what_is_no_exact_number_is_not_read(String written) {
        assertThat(Fraction.parse(written)).isEmpty();
    }

    @Test
    void a_zero_denominator_is_refused_by_name() {
        assertThatThrownBy(() -> Fraction.of(BigInteger.ONE, BigInteger.ZERO))
                .isInstanceOf(ArithmeticException.class)
                .hasMessageContaining("1/0");
    }

    @ParameterizedTest
    @CsvSource({"66.65, 1, 66.7", "66.649999, 1, 66.6", "-0.05, 1, -0.1", "12.5, 0, 13", "99.95, 1, 100.0"})
    void percents_round_half_up_away_from_zero(String exact, int digits, String shown) {
        assertThat(Fraction.exactly(exact).toFixed(digits)).isEqualTo(shown);
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4})
    void arithmetic_agrees_with_an_independent_implementation_also_beyond_longs(long seed) {
        Random random = new Random(seed);
        for (int i = 0; i < 3_000; i++) {
            BigInteger[] n = {
                some(random),
                some(random),
                some(random).abs().add(BigInteger.ONE),
                some(random).abs().add(BigInteger.ONE)
            };
            Fraction a = Fraction.of(n[0], n[2]);
            Fraction b = Fraction.of(n[1], n[3]);
            BigFraction x = BigFraction.of(n[0], n[2]);
            BigFraction y = BigFraction.of(n[1], n[3]);
            same(a.plus(b), x.add(y));
            same(a.minus(b), x.subtract(y));
            same(a.times(b), x.multiply(y));
            assertThat(Integer.signum(a.compareTo(b))).isEqualTo(Integer.signum(x.compareTo(y)));
            if (!b.isZero()) {
                same(a.over(b), x.divide(y));
            }
            assertThat(a.plus(b).minus(b)).isEqualTo(a).hasSameHashCodeAs(a);
        }
    }

    private static BigInteger some(Random random) {
        int bits = new int[] {4, 20, 62, 63, 64, 90}[random.nextInt(6)];
        BigInteger value = new BigInteger(bits, random);
        return random.nextBoolean() ? value : value.negate();
    }

    private static void same(Fraction ours, BigFraction theirs) {
        // The judge may carry the sign in its denominator; ours never does.
        int sign = theirs.getDenominator().signum();
        assertThat(ours.numerator()).isEqualTo(theirs.getNumerator().multiply(BigInteger.valueOf(sign)));
        assertThat(ours.denominator()).isEqualTo(theirs.getDenominator().abs());
    }

    @Test
    void the_exact_writing_reads_back_as_the_same_number() {
        Random random = new Random(7);
        for (int i = 0; i < 2_000; i++) {
            Fraction f = Fraction.of(random.nextInt(2_000) - 1_000, 1 + random.nextInt(400));
            assertThat(Fraction.exactly(f.toExact())).isEqualTo(f);
        }
    }

    @ParameterizedTest
    @CsvSource({
        "12.5, 12.5",
        "12.7500001, 12.7500001",
        "-1/3, −1/3",
        "0.12345678901234567891, 0.12345678901234567891",
        "100000001/300000000, ≈ 0.333333",
        "123456789012345678901234567890, ≈ 1.234568 × 10^29",
        "-99999999999999999999999999999999, ≈ −1 × 10^32",
    })
    void a_number_reads_as_people_read_it_and_says_so_when_it_is_rounded(String exact, String read) {
        assertThat(Fraction.exactly(exact).toReadable()).isEqualTo(read);
    }

    @ParameterizedTest
    @CsvSource({
        "1/2, ½",
        "-0.25, −¼",
        "22.75, 22¾",
        "1/3, ⅓",
        "-5/3, −1⅔",
        "3, 3",
        "0, 0",
        "-2, −2",
        "0.2, 0.2",
        "1/7, 1/7",
        "-1.2, −1.2"
    })
    void points_read_the_same_in_a_reason_as_in_a_table(String exact, String read) {
        assertThat(Fraction.exactly(exact).toPoints()).isEqualTo(read);
    }

    @Test
    void a_small_number_with_a_long_fraction_is_named_by_its_power_of_ten() {
        assertThat(Fraction.ONE
                        .over(Fraction.of(3).times(Fraction.exactly("1000000000000000000000000000000")))
                        .toReadable())
                .isEqualTo("≈ 3.333333 × 10^−31");
    }
}
