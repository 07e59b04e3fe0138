package org.scholion.core.maths;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class MathReaderTest {
    static final MathNames XY = new MathNames(List.of("x", "y"));

    static Statement read(String line) {
        try {
            return MathReader.read(line, XY);
        } catch (Unreadable e) {
            throw new AssertionError(line + ": " + e.why(), e);
        }
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(
            delimiter = ';',
            value = {
                "2x(x+3); 2*x*(x + 3)",
                "x²; x^2",
                "x^-2; x^(-2)",
                "-x^2; -x^2",
                "|x|; abs(x)",
                "|x-1| + |y|; abs(x - 1) + abs(y)",
                "2|x|; 2*abs(x)",
                "√2; sqrt(2)",
                "√(x+1); sqrt(x + 1)",
                "√2x; sqrt(2)*x",
                "½; 1/2",
                "3½; 7/2",
                "3 1/2; 7/2",
                "x 1/2; x*1/2",
                "sin x; sin(x)",
                "sin 2x cos x; sin(2*x)*cos(x)",
                "sin²x; sin(x)^2",
                "sin^-1 x; asin(x)",
                "Sin(x); sin(x)",
                "xy; x*y",
                "X + 1; x + 1",
                "1/2x; 1/2*x",
                "2 · -3; 2*(-3)",
                "2 : 4; 2/4",
                "x**2; x^2",
                "50%; 50/100",
                "2,5; 25/10",
                "[x + 1](x - 1); (x + 1)*(x - 1)",
                "x^(1/2); x^(1/2)",
                "e^(2x); e^(2*x)",
                "log_2(8); ln(8)/(ln(2))",
                "x ≤ 3; x ≤ 3",
                "x <= 3; x ≤ 3",
                "1 < x < 3; 1 < x and x < 3",
                "x = 2 or x = 3; x = 2 or x = 3",
                "x = 2, x = 3; x = 2 or x = 3",
                "x = 2; x = 2",
                "x = ±2; x = 2 or x = -2",
                "x_1 = 2, x_2 = 3; x = 2 or x = 3",
                "x ∈ {2, 3}; x = 2 or x = 3",
                "⇒ 2x = 4.; 2*x = 4",
                "therefore x = 2; x = 2",
                "= 2x + 4; 2*x + 4",
                "no solution; no solution",
            })
    void school_notation_is_read_as_students_type_it(String typed, String shown) {
        assertThat(read(typed).shown()).isEqualTo(shown);
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(
            delimiter = ';',
            value = {
                "\\frac{x+1}{2}; (x + 1)/2",
                "\\frac12; 1/2",
                "\\sqrt{x}; sqrt(x)",
                "\\sqrt[3]{x}; x^(1/3)",
                "x^{2}; x^2",
                "2\\cdot x; 2*x",
                "\\left(x+1\\right)^2; (x + 1)^2",
                "\\left|x\\right|; abs(x)",
                "\\sin\\left(x\\right); sin(x)",
                "x\\le3; x ≤ 3",
                "\\pi; π",
                "x=\\pm2; x = 2 or x = -2",
                "2{,}5x; 25/10*x",
            })
    void latex_is_read_as_a_maths_keyboard_writes_it(String typed, String shown) {
        assertThat(read(typed).shown()).isEqualTo(shown);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "x +",
                "(x",
                "x)",
                "2 3",
                "^2",
                "|x",
                "√",
                "x ± 2",
                "#",
                "3 1/0",
                "1..2",
                "x <",
                "or",
                "x or 2",
                "x < 1, x > 3",
                "\\frac{1}",
                "\\blorp",
                "∞ + 1",
                "{1; 2",
                "{"
            })
    void what_is_no_mathematics_is_refused_with_the_reason(String typed) {
        assertThatThrownBy(() -> MathReader.read(typed, XY))
                .isInstanceOfSatisfying(
                        Unreadable.class, e -> assertThat(e.why()).isNotBlank());
    }

    @Test
    void long_lines_and_deep_nesting_are_refused() {
        assertThatThrownBy(() -> MathReader.read("x".repeat(1001), XY)).hasMessageContaining("longer");
        for (String deep : List.of("(", "√", "sin ", "|", "-(", "x^", "2^-")) {
            assertThatThrownBy(() -> MathReader.read(deep.repeat(400), XY)).isInstanceOf(Unreadable.class);
        }
    }

    @Test
    void declared_names_go_before_products_of_letters() throws Unreadable {
        MathNames names = new MathNames(List.of("speed", "v_0", "alpha"), List.of("f"));
        assertThat(MathReader.read("2speed + v_0 t", names).shown()).isEqualTo("2*speed + v0*t");
        assertThat(MathReader.read("v0 + α", names).shown()).isEqualTo("v0 + α");
        assertThat(MathReader.read("f(2t)", names).shown()).isEqualTo("f(2*t)");
    }
}
