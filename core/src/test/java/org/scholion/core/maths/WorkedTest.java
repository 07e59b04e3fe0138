package org.scholion.core.maths;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class WorkedTest {
    private static final MathNames NAMES = new MathNames(List.of("x", "y"));

    @ParameterizedTest
    @CsvSource(
            delimiter = '§',
            value = {
                "3*4/8 + 2 § 3.5",
                "(x+1)^2 § x^2 + 2x + 1",
                "2x(x-3) - x § 2x^2 - 7x",
                "2(x + 3) = 10 § x = 2",
                "x^2 = 9 § x = -3 or x = 3",
                "x = x + 1 § no solution",
                "2x = 1 § x = 0.5",
                "sqrt(2) § 1.41421",
            })
    void what_is_typed_is_worked_out(String line, String result) throws Unreadable {
        assertThat(Worked.of(line, NAMES)).contains(result);
    }

    @Test
    void a_fraction_comes_exactly_and_as_a_decimal() throws Unreadable {
        assertThat(Worked.of("1/3 + 1/3", NAMES)).containsExactly("2/3", "0.666667");
    }

    @ParameterizedTest
    @ValueSource(strings = {"x^2 = 2", "x < 3", "x + y = 2", "1/0", "x^2 + 2x + 1", "12"})
    void nothing_is_proposed_where_nothing_can_be_said_beyond_the_line(String line) throws Unreadable {
        assertThat(Worked.of(line, NAMES)).isEmpty();
    }

    @Test
    void what_cannot_be_read_says_why() {
        assertThatThrownBy(() -> Worked.of("2(x + 3", NAMES)).isInstanceOf(Unreadable.class);
    }

    @Test
    void an_expression_multiplied_out_is_the_same_expression() throws Unreadable {
        Random random = new Random(5);
        for (int i = 0; i < 200; i++) {
            String line = "(" + (random.nextInt(9) + 1) + "x + " + random.nextInt(9) + "y - " + random.nextInt(7) + ")^"
                    + (2 + random.nextInt(2)) + " - " + (1 + random.nextInt(5)) + "x*y";
            String worked = Worked.of(line, NAMES).get(0);
            assertThat(Solutions.of(MathReader.read(line, NAMES), MathReader.read(worked, NAMES))
                            .isSame())
                    .as("%s is %s", line, worked)
                    .isTrue();
        }
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '§',
            value = {
                "3/4 § \\frac{3}{4}",
                "(x+1)/(x-1) § \\frac{x + 1}{x - 1}",
                "2x(x+3) § 2x \\left(x + 3\\right)",
                "x^2 § {x}^{2}",
                "(x+1)^2 § {\\left(x + 1\\right)}^{2}",
                "sqrt(x) § \\sqrt{x}",
                "|x - 1| § \\left|x - 1\\right|",
                "sin 2x § \\sin\\left(2x\\right)",
                "2*3 § 2 \\cdot 3",
                "x <= 3 § x \\le 3",
                "x = 1 or x = 2 § x = 1 \\;\\text{or}\\; x = 2",
                "2pi § 2 \\pi",
                "0.5x § 0.5x",
            })
    void a_line_is_shown_as_it_was_read(String line, String latex) {
        assertThat(Latex.of(line, NAMES)).contains(latex);
    }

    @Test
    void an_unreadable_line_has_no_picture() {
        assertThat(Latex.of("2(x", NAMES)).isEmpty();
    }
}
