package org.scholion.core.maths;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Random;
import java.util.stream.LongStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.scholion.core.number.Fraction;

/** Every line that is read is shown, and what is shown reads back to the same. */
class LatexPropertiesTest {
    private static final MathNames NAMES = new MathNames(List.of("x", "y"));

    static LongStream seeds() {
        return LongStream.range(0, 120);
    }

    private static Term term(Random random, int depth) {
        if (depth == 0) {
            return switch (random.nextInt(3)) {
                case 0 -> new Term.Sym("x");
                case 1 -> new Term.Sym("y");
                default -> new Term.Num(Fraction.of(random.nextInt(9) + 1));
            };
        }
        Term a = term(random, depth - 1);
        Term b = term(random, depth - 1);
        return switch (random.nextInt(7)) {
            case 0 -> new Term.Add(a, b);
            case 1 -> new Term.Add(a, new Term.Neg(b));
            case 2 -> new Term.Mul(a, b);
            case 3 -> new Term.Div(a, b);
            case 4 -> new Term.Pow(a, new Term.Num(Fraction.of(2)));
            case 5 -> new Term.Neg(a);
            default -> new Term.Fn("sqrt", new Term.Pow(a, new Term.Num(Fraction.of(2))));
        };
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void brackets_and_braces_are_balanced(long seed) {
        String latex = Latex.of(term(new Random(seed), 3));
        int braces = 0;
        for (char c : latex.toCharArray()) {
            braces += c == '{' ? 1 : c == '}' ? -1 : 0;
            assertThat(braces).as(latex).isNotNegative();
        }
        assertThat(braces).as(latex).isZero();
        assertThat(latex.split("\\\\left", -1)).as(latex).hasSameSizeAs(latex.split("\\\\right", -1));
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void what_is_shown_is_worth_what_was_written(long seed) throws Unreadable {
        Term term = term(new Random(seed), 2);
        Statement again = MathReader.read(Latex.of(term), NAMES);
        Verdict verdict = Solutions.of(new Statement.Value(term), again);
        assertThat(verdict.isSame() || verdict.isUndecided())
                .as("%s is shown as %s", term.shown(), Latex.of(term))
                .isTrue();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '§',
            value = {
                "alpha + 2 § \\alpha + 2",
                "arcsin x § \\arcsin\\left(x\\right)",
                "x ≠ 0 § x \\neq 0",
                "x > 1 and x < 3 § x > 1 \\;\\text{and}\\; x < 3",
                "no solution § \\text{no solution}",
                "2^(x+1) § {2}^{x + 1}",
                "cbrt(x) § \\sqrt[3]{x}",
                "-(x+1) § -\\left(x + 1\\right)",
                "3.25 § 3.25",
            })
    void signs_words_and_roots_have_their_commands(String line, String latex) {
        assertThat(Latex.of(line, new MathNames(List.of("x")))).contains(latex);
    }

    @ParameterizedTest
    @CsvSource({"2(x, unclosed", "x +, ends", "#, no sign"})
    void what_cannot_be_read_is_shown_as_nothing(String line, String why) {
        assertThat(Latex.of(line, NAMES)).as(why).isEmpty();
    }
}
