package org.scholion.sheets.formula;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.Shape;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What LaTeX is drawn on paper, and that nothing else is. */
class FormulaTest {
    private static Formula set(String latex) {
        return Formula.of(latex).orElseThrow(() -> new AssertionError(latex));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "x=\\frac{-b\\pm\\sqrt{b^2-4ac}}{2a}",
                "\\sum_{i=1}^{n} i^2 = \\frac{n(n+1)(2n+1)}{6}",
                "\\int_0^\\infty e^{-x^2}\\,dx",
                "\\sqrt[3]{x^3+y^3}\\ne\\frac12",
                "\\begin{pmatrix}1&2\\\\3&4\\end{pmatrix}",
                "\\begin{cases}x & x\\ge 0\\\\ -x & \\text{otherwise}\\end{cases}",
                "\\begin{aligned}2x&=6\\\\x&=3\\end{aligned}",
                "f''(x)=\\lim_{h\\to 0}\\frac{f(x+h)-f(x)}{h}",
                "\\text{Höhe} = 3{,}5\\text{ m}",
                "\\left.\\frac{a}{b}\\right|_0^1 \\boxed{E} \\overrightarrow{PQ}\\binom{n}{k}",
                "x_1^{2}, \\mathbf{v}\\in\\mathbb{R}, \\operatorname{arcsinh} y"
            })
    void what_teachers_write_is_drawn(String latex) {
        Formula formula = set(latex);
        assertThat(formula.width()).isPositive();
        assertThat(formula.height()).isPositive();
        assertThat(formula.outlines().getBounds2D().getMinY()).isGreaterThan(-0.01);
        assertThat(formula.outlines().getBounds2D().getMaxY()).isLessThan(formula.height() + 0.01);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "\\newcommand{\\a}{b}\\a",
                "\\def\\a{b}",
                "\\includegraphics{/etc/hostname}",
                "\\input{/etc/hostname}",
                "\\href{http://x}{y}",
                "\\url{x}",
                "\\htmlClass{a}{b}",
                "\\fontsize{900}{900}x",
                "\\scalebox{9}{x}",
                "\\rule{90cm}{90cm}",
                "\\hspace{90cm}x",
                "\\text{\\input{x}}",
                "\\begin{figure}x\\end{figure}",
                "x^{2",
                "x^2}",
                "\\frac{1}",
                "\\left(x",
                "\\left x\\right)",
                "x^1^2",
                "^",
                "&",
                "\\",
                "\\begin{matrix}1\\end{pmatrix}",
                ""
            })
    void what_is_not_allowed_or_does_not_fit_is_not_drawn_at_all(String latex) {
        assertThat(Formula.of(latex)).isEmpty();
    }

    @Test
    void one_formula_changes_nothing_for_the_next() {
        Shape before = set("\\alpha+x").outlines();
        Formula.of("\\renewcommand{\\alpha}{x}\\mathbf{");
        Formula.of("\\mathbf{\\mathrm{x");
        assertThat(set("\\alpha+x").outlines().getBounds2D()).isEqualTo(before.getBounds2D());
    }

    @Test
    void a_formula_is_never_wider_than_a_page_nor_deeper_than_two_dozen() {
        Formula wide = set("x+".repeat(500) + "x");
        assertThat(wide.width()).isCloseTo(38, within(0.01));
        assertThat(set("\\begin{matrix}" + "a\\\\".repeat(200) + "a\\end{matrix}")
                        .height())
                .isCloseTo(50, within(0.01));
        assertThat(Formula.of("{".repeat(23) + "x" + "}".repeat(23))).isPresent();
        assertThat(Formula.of("{".repeat(30) + "x" + "}".repeat(30))).isEmpty();
        assertThat(Formula.of("\\sqrt".repeat(100) + "x")).isEmpty();
        assertThat(Formula.of("x".repeat(2_001))).isEmpty();
        assertThat(Formula.of("\\begin{matrix}" + "&".repeat(401) + "\\end{matrix}"))
                .isEmpty();
    }

    @Test
    void a_comma_in_braces_is_part_of_its_number_and_a_minus_after_a_sign_is_a_sign() {
        assertThat(set("3{,}5").width()).isLessThan(set("3,5").width());
        assertThat(set("a=-b").width()).isLessThan(set("a - = b").width());
        assertThat(set("2\\cdot x").width())
                .isGreaterThan(set("2x").width() + set("\\cdot").width());
    }

    @Test
    void brackets_and_roots_grow_with_what_they_hold() {
        double low = set("\\left(x\\right)").height();
        double high = set("\\left(\\frac{\\frac{a}{b}}{\\frac{c}{d}}\\right)").height();
        assertThat(high).isGreaterThan(2 * low);
        assertThat(set("\\sqrt{\\frac{a}{b}}").height())
                .isGreaterThan(set("\\sqrt{a}").height());
        assertThat(set("x^2").height()).isGreaterThan(set("x").height());
        assertThat(set("x_2").descent()).isGreaterThan(set("x").descent());
    }

    @Test
    void every_sign_of_ours_has_a_glyph() {
        List<String> none = Signs.names().stream()
                .filter(n -> Formula.of("a \\" + n + " b").isEmpty())
                .toList();
        assertThat(none).isEmpty();
        assertThat(Signs.names()).hasSizeGreaterThan(150);
    }

    @Test
    void whatever_is_typed_is_drawn_or_not_and_never_breaks() {
        String[] pieces = {
            "\\frac",
            "{",
            "}",
            "x",
            "^",
            "_",
            "\\sqrt",
            "[",
            "]",
            "\\left",
            "(",
            "\\right",
            ")",
            "&",
            "\\\\",
            "\\begin{matrix}",
            "\\end{matrix}",
            "\\text{a b}",
            "'",
            " ",
            "\\sum",
            "|",
            "\\unknown",
            "漢",
            "\u0007",
            "\\",
            "1.5"
        };
        Random random = new Random(20261128);
        int drawn = 0;
        for (int i = 0; i < 20_000; i++) {
            StringBuilder latex = new StringBuilder();
            for (int n = random.nextInt(14); n >= 0; n--) {
                latex.append(pieces[random.nextInt(pieces.length)]);
            }
            drawn += Formula.of(latex.toString()).isPresent() ? 1 : 0;
        }
        assertThat(drawn).isBetween(500, 15_000);
    }
}
