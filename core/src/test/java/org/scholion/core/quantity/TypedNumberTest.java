package org.scholion.core.quantity;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.scholion.core.number.Fraction;

class TypedNumberTest {
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "12|12|",
                "  12.5  |12.5|",
                "+3|3|",
                "−3|-3|",
                "-.5|-0.5|",
                "12.|12|",
                "3/4|3/4|",
                "1 3/4|7/4|",
                "-1 1/2|-3/2|",
                "1 234|1234|",
                "12,345.6|12345.6|",
                "1'234'567|1234567|",
                "1\u00A0234|1234|",
                "1e3|1000|",
                "2.5E-3|0.0025|",
                "3×10^2|300|",
                "3 x 10^-2|0.03|",
                "3·10⁻³|0.003|",
                "3 * 10³|3000|",
                "50%|0.5|",
                "5 km/h|5|km/h",
                "5km|5|km",
                "312°|312|°",
                "5 µm|5|µm",
                "5' 3|X|",
                "1e5 m|100000|m",
                "5 e|5|e",
                "3 x|3|x",
                "1½|1.5|",
                "1 ½|1.5|",
                "½|0.5|",
                "- 5|-5|",
                "–5|-5|",
                "7 / 4|7/4|",
                "1 3 / 4|7/4|",
                "3⁄4|3/4|",
                "10^3|1000|",
                "10⁻³ m|0.001|m",
                "-10^2|-100|",
                "3 \\times 10^3|3000|",
                "3 \\times 10^{-3}|0.003|",
                "50 %|0.5|",
                "５|5|",
                "１．５|1.5|",
                "\u200B12\uFEFF|12|",
                "2e–3|0.002|",
                "3×10⁺²|300|",
                "30″|30|\""
            })
    void numbers_are_read_as_people_type_them(String typed, String value, String unit) {
        Optional<TypedNumber> read = TypedNumber.read(typed, '.', false);
        if (value.equals("X")) {
            assertThat(read).map(TypedNumber::unit).hasValue("' 3");
            return;
        }
        assertThat(read).isPresent();
        assertThat(read.get().value()).isEqualTo(Fraction.exactly(value));
        assertThat(read.get().unit()).isEqualTo(unit == null ? "" : unit);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "m",
                "12,34",
                "1,2345",
                "12 34",
                "1234 567",
                "1/0",
                "1 2 3",
                "1.2.3",
                "3/",
                "--3",
                "12 (m)",
                "1,234,5",
                "50 % %",
                "10^",
                "½½",
                "..",
                "1'23",
                "12,5"
            })
    void what_is_not_one_number_with_at_most_a_unit_is_not_read(String typed) {
        assertThat(TypedNumber.read(typed, '.', false)).isEmpty();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {"12,5|12.5", "1.234,5|1234.5", "1 234,5|1234.5", ",5|0.5"})
    void the_decimal_mark_can_be_a_comma(String typed, String value) {
        assertThat(TypedNumber.read(typed, ',', false)).map(TypedNumber::value).hasValue(Fraction.exactly(value));
    }

    @Test
    void the_longest_beginning_is_the_number() {
        assertThat(TypedNumber.read("1 234/5", '.', false))
                .map(TypedNumber::value)
                .hasValue(Fraction.of(239, 5));
    }

    @ParameterizedTest
    @CsvSource({
        "m/s, km/h",
        "m s-1, m/s",
        "m s^-1, m·s⁻¹",
        "L, dm3",
        "l, L",
        "NM, nmi",
        "ohm, Ω",
        "N, kg·m/s2",
        "kn, nmi/h",
        "ha, m2",
        "hPa, mbar",
        "deg, °",
        "µm, um",
        "metres per second, m/s",
        "metre/sec, m/s",
        "m per s, m/s",
        "kph, km/h",
        "km/hr, km/h",
        "mph, km/h",
        "Kilometres per hour, km/h",
        "square metres, m2",
        "sq m, m²",
        "metres squared, m²",
        "cubic centimetres, mL",
        "litres, dm³",
        "kWh, J",
        "kW h, J",
        "Nm, J",
        "metres per second squared, m/s/s",
        "degrees Celsius, °C",
        "deg C, °C",
        "º C, K",
        "℃, °C",
        "degrees, °",
        "knots, m/s",
        "nautical miles, km",
        "hours, min",
        "grammes, kg",
        "ohms, Ω",
        "per cent, %"
    })
    void units_of_one_dimension_are_recognised(String a, String b) {
        assertThat(Unit.parse(a)).isPresent();
        assertThat(Unit.parse(b)).isPresent();
        assertThat(Unit.parse(a).get().sameDimension(Unit.parse(b).get())).isTrue();
    }

    @ParameterizedTest
    @CsvSource({
        "1, mi, m, 1609.344",
        "1, nmi, km, 1.852",
        "1, kn, m/s, 463/900",
        "1, bar, Pa, 100000",
        "1, ft, in, 12",
        "32, °F, °C, 0",
        "1, m/s/s, km/h2, 12960",
        "1, J, g m2 s-2, 1000"
    })
    void conversion_is_exact(String value, String from, String to, String expected) {
        Unit source = Unit.parse(from).orElseThrow();
        assertThat(source.convert(Fraction.exactly(value), Unit.parse(to).orElseThrow()))
                .isEqualTo(Fraction.exactly(expected));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "", "x", "m//s", "m^", "m^999", "/s", "m s-", "furlong", "per", "m per", "square", "blorps", "m^0"
            })
    void what_is_no_unit_is_not_taken_for_one(String text) {
        assertThat(Unit.parse(text)).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "ms^-2, m/s², 1",
        "ms⁻¹, m/s, 1",
        "ms, s, 1/1000",
        "kmh⁻¹, km/h, 1",
        "kgms-2, N, 1",
        "Nm, J, 1",
        "mm, m, 1/1000",
        "min, h, 1/60"
    })
    void letters_without_a_sign_are_read_as_the_unit_that_is_asked_for(String typed, String asked, String factor) {
        Unit expected = Unit.parse(asked).orElseThrow();
        Unit unit = Unit.parse(typed, expected).orElseThrow();
        assertThat(unit.convert(Fraction.ONE, expected)).isEqualTo(Fraction.exactly(factor));
    }

    @Test
    void a_unit_that_can_be_taken_apart_in_very_many_ways_takes_little() {
        Unit expected = Unit.parse("kg").orElseThrow();
        assertThat(Unit.parse("msms ".repeat(12).strip(), expected)).isEmpty();
        assertThat(Unit.parse("msms ".repeat(12).strip())).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "12 min 30 s, min, 12.5, 12 min 30 s",
        "1 h 30 min, min, 90, 1 h 30 min",
        "1h30min, h, 1.5, 1 h 30 min",
        "1 hour 30 mins, h, 1.5, 1 h 30 min",
        "2 h 0 min 36 s, h, 2.01, 2 h 0 min 36 s",
        "1:02:03, s, 3723, 1 h 2 min 3 s",
        "12°30'30\", °, 1501/120, 12 ° 30 ' 30 \"",
        "12° 30.5', °, 1501/120, 12 ° 30.5 '",
        "−12º30′, °, -12.5, −12 ° 30 '",
        "5 ft 3 in, in, 63, 5 ft 3 in",
        "5' 3\", ft, 5.25, 5 ft 3 in",
        "5′3″, ft, 5.25, 5 ft 3 in",
        "30', °, 0.5, 30 '"
    })
    void several_units_are_one_reading(String typed, String asked, String value, String shown) {
        assertThat(Compound.of(typed, '.', Unit.parse(asked).orElseThrow()))
                .singleElement()
                .satisfies(c -> {
                    assertThat(c.value()).isEqualTo(Fraction.exactly(value));
                    assertThat(c.shown()).isEqualTo(shown);
                });
    }

    @ParameterizedTest
    @CsvSource({
        "12 min 75 s, min",
        "30 s 12 min, min",
        "1.5 h 20 min, h",
        "12 min 30 m, min",
        "12°75', °",
        "5 ft 13 in, ft",
        "12:75, h",
        "12 min, min",
        "12 min 30 s, m",
        "5 ft and a bit, ft"
    })
    void what_is_no_reading_in_several_units_is_not_taken_for_one(String typed, String asked) {
        assertThat(Compound.of(typed, '.', Unit.parse(asked).orElseThrow())).isEmpty();
    }

    @Test
    void a_clock_without_hours_or_seconds_has_two_readings() {
        assertThat(Compound.of("12:30", '.', Unit.parse("min").orElseThrow()))
                .extracting(Compound::shown)
                .containsExactly("12 h 30 min", "12 min 30 s");
    }

    @Test
    void nothing_that_is_typed_makes_it_throw() {
        Random random = new Random(9);
        String letters = "0123456789.,:eE+-−×x10^{}⁻³/ %'’\"°mkshinµΩ\u00A0\u202F½٣";
        int[] all = letters.codePoints().toArray();
        for (int i = 0; i < 50_000; i++) {
            StringBuilder typed = new StringBuilder();
            for (int n = random.nextInt(14); n > 0; n--) {
                typed.appendCodePoint(all[random.nextInt(all.length)]);
            }
            TypedNumber.read(typed.toString(), random.nextBoolean() ? '.' : ',', random.nextBoolean())
                    .ifPresent(n -> {
                        assertThat(n.fewest()).isLessThanOrEqualTo(n.most());
                        Unit.parse(n.unit());
                    });
            Compound.of(
                    typed.toString(), '.', Unit.parse(i % 2 == 0 ? "s" : "m").orElseThrow());
        }
    }
}
