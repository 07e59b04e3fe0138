package org.scholion.core.maths;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.FormulaItem;
import org.scholion.core.item.Head;
import org.scholion.core.number.Fraction;
import org.scholion.core.score.Mark;
import org.scholion.core.score.Scorer;
import org.scholion.core.score.State;

class TypedFormulasTest {
    private static Mark mark(String key, String typed, String variables) {
        List<String> names = variables.isEmpty() ? List.of() : List.of(variables.split(" "));
        FormulaItem item = new FormulaItem(
                Head.of("q", Fraction.ONE),
                List.of(key),
                names,
                List.of(),
                List.of(),
                FormulaItem.Form.ANY,
                Fraction.HALF);
        return Scorer.of(item).score(new Answer.Typed(typed.replace("↵", "\n")));
    }

    private static String said(Mark mark) {
        return mark.state() == State.SETTLE
                ? "waits"
                : mark.credit().equals(Fraction.ONE) ? "right" : mark.credit().isZero() ? "wrong" : "other";
    }

    @ParameterizedTest(name = "{1} for {0}")
    @CsvSource(
            delimiter = '§',
            value = {
                "xy § |xy| § x y",
                "|xy| § xy § x y",
                "xy § √(x²y²) § x y",
                "2ln(xy) § ln(x²y²) § x y",
                "ln(x²y²) § 2ln(xy) § x y",
                "|x|+|y| § |x+y| § x y",
                "6-x § |x-6| § x",
                "8-x § √((x-8)²) § x",
                "x-8 § √(x²-16x+64) § x",
                "y=8-x § y=|x-8| § x y",
                "6.64*10^-34*sqrt(x) § 6.63*10^-34*sqrt(x) § x",
                "10^-60 sin x + x § x + sin(x)/10^61 § x",
                "|x-1000| § x-1000 § x",
                "|x-1000000| § 1000000-x § x",
                "|x+5|-|x-5| § 2x § x",
                "√(x^4) § x*|x| § x",
                "|x|^3 § x^3 § x",
                "x^(2/3) § (|x|)^(2/3)+|x|-x § x",
                "x^(1/3)*x^(1/3) § -x^(2/3) § x",
                "ln|x| § ln(x²) § x",
                "ln(x^4) § 4 ln(x) § x",
                "|sin x| § sin x § x",
                "|xyz| § xyz § x y z",
                "|x||y|z § |x|y|z| § x y z",
                "√(x²+2xy+y²) § x+y § x y",
                "|e^x-5| § e^x-5 § x",
                "|e^x-5| § 5-e^x § x",
                "x § sqrt(x^2) § x",
                "|x|+x § 2x § x",
                "(x+|x|)/2 § x § x",
                "abs(x-1)+abs(x-2) § 2x-3 § x",
                "x=2 or x=3 § x=2 § x",
                "x=2 § x=2 or x=3 § x",
                "2<x≤5 § [2,5) § x",
                "x>2 § x≥2 § x",
                "x=√3 § x=±√3 § x",
                "x=π § x=3.14159265358979 § x",
                "cos x = 1 § x = 0 § x",
                "y=2x+1 § y=2x-1 § x y",
                "x=2 and y=3 § x=3 and y=2 § x y",
                "0 § e^(-100) § x",
            })
    void what_is_wrong_is_never_accepted(String key, String typed, String variables) {
        assertThat(said(mark(key, typed, variables))).isIn("wrong", "waits");
    }

    @ParameterizedTest(name = "{1} for {0}")
    @CsvSource(
            delimiter = '§',
            value = {
                "3.5 § 3\\frac{1}{2} § ",
                "3.5 § 3\\frac12 § ",
                "x=2 or x=3 § {2,3} § x",
                "x=2 or x=3 § {3;2} § x",
                "x=2 or x=3 § x∈{2,3} § x",
                "x=2 or x=3 § x \\in \\{2,3\\} § x",
                "x=2 or x=3 § x=2,3 § x",
                "x=2 or x=3 § x = 2, 3 § x",
                "x=2 or x=3 § 2, 3 § x",
                "x=2 or x=3 § 2 and 3 § x",
                "x=2 or x=3 § x=2 and x=3 § x",
                "x=2 or x=3 § x=2↵x=3 § x",
                "x=2 or x=3 § x=2 \\text{ or } x=3 § x",
                "x=2 or x=3 § x1=2, x2=3 § x",
                "x=2 or x=3 § x₁=2, x₂=3 § x",
                "x=2 or x=3 § x_1=2; x_2=3 § x",
                "x=2 or x=3 § x_{1}=3\\quad x_{2}=2 § x",
                "x=2 or x=3 § \\left\\{2,3\\right\\} § x",
                "x=2 or x=3 § L = {2; 3} § x",
                "x=2 or x=3 § x = 2 or 3 § x",
                "2<x≤5 § (2,5] § x",
                "2<x≤5 § ]2;5] § x",
                "2<x≤5 § x ∈ (2, 5] § x",
                "2<x≤5 § x>2 and x≤5 § x",
                "2<x≤5 § x\\in\\left(2,5\\right] § x",
                "2<x<5 § (2,5) § x",
                "2<x<5 § ]2,5[ § x",
                "2.5<x<5 § (2,5;5) § x",
                "x>2 § (2,∞) § x",
                "x>2 § ]2;+∞[ § x",
                "x≥2 § [2,\\infty) § x",
                "x≤2 § (-∞; 2] § x",
                "x<1 or x>2 § (-∞,1) ∪ (2,∞) § x",
                "x<1 or x>2 § (-inf,1)U(2,inf) § x",
                "x<1 or x>2 § x<1 \\text{ or } x>2 § x",
                "x<1 or x>2 § ℝ \\ [1;2] § x",
                "x≠2 § ℝ\\{2} § x",
                "x≠2 § \\mathbb{R}\\setminus\\{2\\} § x",
                "x≠2 § x<2 or x>2 § x",
                "no solution § none § x",
                "no solution § {} § x",
                "no solution § ∅ § x",
                "no solution § \\emptyset § x",
                "no solution § no real solutions § x",
                "no solution § There is no solution. § x",
                "no solution § x ∈ ∅ § x",
                "no solution § x=x+1 § x",
                "x∈ℝ § all real numbers § x",
                "x∈ℝ § \\mathbb{R} § x",
                "x∈ℝ § (-∞,∞) § x",
                "x∈ℝ § x ∈ R § x",
                "x∈ℝ § all reals § x",
                "x∈ℝ § 0=0 § x",
                "all real numbers § -∞<x<∞ § x",
                "1000 § 1e3 § ",
                "1000 § 1,000 § ",
                "1000 § 1 000 § ",
                "2.5 § 2,5 § ",
                "2x² + 6x § y=2x(x+3) § x",
                "2x² + 6x § f(x)=2x(x+3) § x",
                "2x² + 6x § 2x(x+3)= § x",
                "2x² + 6x § 2x(x+3)=2x²+6x § x",
                "πr² § A = πr^2 § r",
                "tan x § tg x § x",
                "sin(2x) § SIN(2x) § x",
                "3 + ln(x)/ln(2) § log2(8x) § x",
                "3 + ln(x)/ln(2) § \\log_{2}(8x) § x",
                "3 + ln(x)/ln(2) § log₂(8x) § x",
                "x/2 § \\cfrac{x}{2} § x",
                "2x § 2\\ast x § x",
                "sin x § \\operatorname{sin}(x) § x",
                "x/2 § x⁄2 § x",
                "2x § 2•x § x",
                "2x § 2∗x § x",
                "0.5 § sin(30°) § ",
                "x+1 § ｘ＋１ § x",
                "x+1 § x\u200B+1 § x",
                "2πr § 2 Pi r § r",
                "2πr § 2 x pi x r § r",
                "2πr § 2×π×r § r",
                "x+1 § x--1 § x",
                "x-1 § x+-1 § x",
                "x=±√3 § x=±√3 § x",
                "x=±√3 § x=√3 or x=-√3 § x",
                "x=±√3 § x = +-√3 § x",
                "x=±√3 § ±√3 § x",
                "x=2 and y=3 § x=2 and y=3 § x y",
                "x=2 and y=3 § (2,3) § x y",
                "x=2 and y=3 § (x,y)=(2,3) § x y",
                "x=2 and y=3 § y=3, x=2 § x y",
                "x=2 and y=3 § x=2↵y=3 § x y",
                "x=2 and y=3 § x+y=5, x-y=-1 § x y",
                "x=2 and y=3 or x=3 and y=2 § (3,2) or (2,3) § x y",
                "x=2 and y=3 or x=3 and y=2 § {(2,3),(3,2)} § x y",
                "x=π/6 § x=\\frac{\\pi}{6} § x",
                "x=π/6 or x=5π/6 § x=5π/6, π/6 § x",
                "x=ln 3/ln 2 § x=log_2(3) § x",
                "x=ln 3/ln 2 § 2^x=3 § x",
                "x=e^2 § ln x = 2 § x",
                "x=(1+√5)/2 or x=(1-√5)/2 § x=½±½√5 § x",
                "x=(1+√5)/2 or x=(1-√5)/2 § x²=x+1 § x",
                "x=8 § √(x+1)=3 § x",
                "x=5 § √(x-1)=x-3 § x",
                "x=5/2 § x=2½ § x",
                "y=2x+1 § 2x-y+1=0 § x y",
                "x=(c-b)/a § ax+b=c § a b c x",
                "x=a or x=-a § x²=a² § a x",
                "x=a or x=-a § x=±a § a x",
                "x>a § a<x § a x",
                "x=2 § 2 § x",
                "2x+1 § Answer: 2x+1 § x",
                "x^4 - 10x^2 + 1 = 0 § x^4 - 10x^2 + 1 = 0 § x",
                "√(x)√(y) § √(xy) § x y",
                "|x-20000| § √((x-20000)²) § x",
                "|x+y-9000| § √((9000-x-y)²) § x y",
                "2ln x § ln(x²) - 0 § x",
            })
    void what_a_person_reads_as_right_is_right(String key, String typed, String variables) {
        String[] late = {"ln(x²) - 0"};
        String expected = List.of(late).contains(typed) ? "waits" : "right";
        Mark mark = mark(key, typed, variables == null ? "" : variables);
        assertThat(said(mark))
                .as(org.scholion.core.reason.Words.english(mark.reason()))
                .isEqualTo(expected);
    }

    @ParameterizedTest(name = "{1} for {0}")
    @CsvSource(
            delimiter = '§',
            value = {
                "2x § 2x cm § x",
                "2x § a+b § x",
                "2x § 2x=7 § x",
                "2x § \\blorp x § x",
                "2x § twice x § x",
                "2x § x=2x § x",
                "y=2x § 2x § x y",
                "x<1 or x>2 § x<1, x>2 § x",
            })
    void what_only_a_person_can_read_waits(String key, String typed, String variables) {
        assertThat(said(mark(key, typed, variables))).isEqualTo("waits");
    }
}
