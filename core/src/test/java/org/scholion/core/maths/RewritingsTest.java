package org.scholion.core.maths;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.function.Function;
import java.util.stream.LongStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.scholion.core.number.Fraction;

/** Formulas written otherwise, and formulas broken, against values that are worked out here on their own. */
class RewritingsTest {
    private static final MathNames XY = new MathNames(List.of("x", "y"));

    static LongStream seeds() {
        return LongStream.range(1, 120);
    }

    private static Term term(Random random, int depth) {
        if (depth == 0) {
            return random.nextInt(3) == 0
                    ? Term.num(1 + random.nextInt(9))
                    : new Term.Sym(random.nextInt(3) == 0 ? "y" : "x");
        }
        Term a = term(random, depth - 1);
        Term b = term(random, depth - 1);
        return switch (random.nextInt(10)) {
            case 0, 1 -> new Term.Add(a, b);
            case 2 -> a.minus(b);
            case 3, 4 -> new Term.Mul(a, b);
            case 5 -> new Term.Div(a, b);
            case 6 -> new Term.Pow(a, Term.num(2));
            case 7 -> new Term.Fn("abs", a);
            case 8 -> new Term.Fn("sqrt", new Term.Add(new Term.Pow(a, Term.num(2)), Term.num(random.nextInt(2))));
            default -> new Term.Fn(List.of("sin", "cos", "ln", "atan").get(random.nextInt(4)), a);
        };
    }

    /** The value in the plainest way; NaN where it is none. */
    private static double value(Term t, Map<String, Double> at) {
        if (t instanceof Term.Num n) {
            return n.value().toDouble();
        }
        if (t instanceof Term.Sym s) {
            return at.getOrDefault(s.name(), Double.NaN);
        }
        if (t instanceof Term.Neg n) {
            return -value(n.inner(), at);
        }
        if (t instanceof Term.Fn f) {
            double x = value(f.argument(), at);
            return switch (f.name()) {
                case "abs" -> Math.abs(x);
                case "sqrt" -> Math.sqrt(x);
                case "sin" -> Math.sin(x);
                case "cos" -> Math.cos(x);
                case "ln" -> x > 0 ? Math.log(x) : Double.NaN;
                default -> Math.atan(x);
            };
        }
        double a = value(t.parts().get(0), at);
        double b = value(t.parts().get(1), at);
        return t instanceof Term.Add
                ? a + b
                : t instanceof Term.Mul ? a * b : t instanceof Term.Div ? a / b : Math.pow(a, b);
    }

    /** Whether any of two hundred points, of both signs and seven magnitudes, tells them apart. */
    private static boolean refuted(Term a, Term b) {
        Random random = new Random(99);
        for (int i = 0; i < 200; i++) {
            Map<String, Double> at = new HashMap<>();
            for (String name : List.of("x", "y")) {
                double size = (0.1 + random.nextDouble()) * Math.pow(10, random.nextInt(7) - 3);
                at.put(name, random.nextBoolean() ? size : -size);
            }
            double u = value(a, at);
            double v = value(b, at);
            double scale = Math.max(1, Math.max(greatest(a, at), greatest(b, at)));
            if (Double.isFinite(u) && Double.isFinite(v) && Double.isFinite(scale) && Math.abs(u - v) > 1e-6 * scale) {
                return true;
            }
        }
        return false;
    }

    /** The greatest value on the way, by which rounding is measured. */
    private static double greatest(Term t, Map<String, Double> at) {
        return t.all()
                .mapToDouble(p -> Math.abs(value(p, at)))
                .filter(Double::isFinite)
                .max()
                .orElse(1);
    }

    /** Ways of writing that keep the value, each for one kind of term; null where it does not apply. */
    private static final List<Function<Term, Term>> KEEPING = List.of(
            t -> t instanceof Term.Add a ? new Term.Add(a.right(), a.left()) : null,
            t -> t instanceof Term.Mul m ? new Term.Mul(m.right(), m.left()) : null,
            t -> t instanceof Term.Mul m && m.right() instanceof Term.Add s
                    ? new Term.Add(new Term.Mul(m.left(), s.left()), new Term.Mul(m.left(), s.right()))
                    : null,
            t -> t instanceof Term.Pow p && p.exponent().equals(Term.num(2)) ? new Term.Mul(p.base(), p.base()) : null,
            t -> t instanceof Term.Div d ? new Term.Mul(d.left(), new Term.Pow(d.right(), Term.num(-1))) : null,
            t -> t instanceof Term.Fn f && f.name().equals("abs")
                    ? new Term.Fn("sqrt", new Term.Pow(f.argument(), Term.num(2)))
                    : null,
            t -> t instanceof Term.Fn f && f.name().equals("abs")
                    ? new Term.Fn("abs", new Term.Neg(f.argument()))
                    : null,
            t -> t instanceof Term.Fn f && f.name().equals("sin")
                    ? new Term.Neg(new Term.Fn("sin", new Term.Neg(f.argument())))
                    : null,
            t -> t instanceof Term.Fn f && f.name().equals("sqrt")
                    ? new Term.Pow(f.argument(), new Term.Div(Term.num(1), Term.num(2)))
                    : null,
            t -> t instanceof Term.Sym ? new Term.Div(new Term.Mul(Term.num(6), t), Term.num(6)) : null,
            t -> t instanceof Term.Num n ? new Term.Div(new Term.Num(n.value().times(10)), Term.num(10)) : null,
            t -> new Term.Add(t, new Term.Add(Term.num(3), Term.num(-3))),
            t -> new Term.Neg(new Term.Neg(t)));

    /** Slips that students make. */
    private static final List<Function<Term, Term>> BREAKING = List.of(
            t -> t instanceof Term.Fn f && f.name().equals("abs") ? f.argument() : null,
            t -> t instanceof Term.Fn f && f.name().equals("sqrt") && f.argument() instanceof Term.Add a
                    ? new Term.Add(new Term.Fn("sqrt", a.left()), new Term.Fn("sqrt", a.right()))
                    : null,
            t -> t instanceof Term.Pow p && p.base() instanceof Term.Add a
                    ? new Term.Add(new Term.Pow(a.left(), Term.num(2)), new Term.Pow(a.right(), Term.num(2)))
                    : null,
            t -> t instanceof Term.Add a ? a.left().minus(a.right()) : null,
            t -> t instanceof Term.Num n ? new Term.Num(n.value().plus(Fraction.ONE)) : null,
            t -> t instanceof Term.Sym s && s.name().equals("x") ? new Term.Fn("abs", t) : null,
            t -> t instanceof Term.Mul m && m.right() instanceof Term.Add s
                    ? new Term.Add(new Term.Mul(m.left(), s.left()), s.right())
                    : null,
            t -> new Term.Mul(t, new Term.Num(Fraction.exactly("1.000001"))));

    /** Every place of a term at which a change applies, changed there. */
    private static List<Term> changed(Term term, Function<Term, Term> change) {
        List<Term> all = new ArrayList<>();
        Term here = change.apply(term);
        if (here != null) {
            all.add(here);
        }
        for (int i = 0; i < term.parts().size() && !(term instanceof Term.Pow && i == 1); i++) {
            for (Term part : changed(term.parts().get(i), change)) {
                List<Term> parts = new ArrayList<>(term.parts());
                parts.set(i, part);
                all.add(term.of(parts));
            }
        }
        return all;
    }

    private static Term one(Random random, Term term, List<Function<Term, Term>> changes) {
        List<Term> all = new ArrayList<>();
        changes.forEach(c -> all.addAll(changed(term, c)));
        return all.get(random.nextInt(all.size()));
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void what_keeps_the_value_is_right_or_waits_and_is_never_wrong(long seed) {
        Random random = new Random(seed);
        Term term = term(random, 2);
        Term other = one(random, one(random, term, KEEPING), KEEPING);
        assertThat(Equality.of(other, term).kind())
                .as("%s written as %s", term.shown(), other.shown())
                .isNotEqualTo(Verdict.Kind.DIFFERENT);
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void what_breaks_the_value_is_wrong_or_waits_and_is_never_right(long seed) {
        Random random = new Random(seed);
        Term term = term(random, 2);
        for (int i = 0; i < 4; i++) {
            Term other = one(random, term, BREAKING);
            if (refuted(term, other)) {
                assertThat(Equality.of(other, term).kind())
                        .as("%s broken to %s", term.shown(), other.shown())
                        .isNotEqualTo(Verdict.Kind.SAME);
            }
        }
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void nothing_is_accepted_that_values_worked_out_elsewhere_refute(long seed) {
        Random random = new Random(seed);
        Term a = term(random, 2);
        Term b = term(random, 2);
        if (Equality.of(a, b).isSame()) {
            assertThat(refuted(a, b)).as("%s and %s", a.shown(), b.shown()).isFalse();
        }
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void a_formula_is_itself_in_every_writing_of_it(long seed) throws Unreadable {
        Term term = term(new Random(seed), 2);
        String shown = term.shown();
        List<String> writings = List.of(
                shown,
                Latex.of(term),
                shown.replace("*", "·").replace("-", "−"),
                shown.replace("*", " × ").replace("^2", "²"),
                shown.replace("(", " ( ").replace("sqrt", "SQRT").replace("sin", "Sin"),
                shown.replace("x", "ｘ").replace("1", "\u200B１"));
        for (String writing : writings) {
            Statement again = MathReader.read(writing, XY);
            Verdict verdict = Solutions.of(again, new Statement.Value(term));
            assertThat(verdict.isSame())
                    .as("%s as %s: %s", shown, writing, verdict)
                    .isTrue();
        }
    }
}
