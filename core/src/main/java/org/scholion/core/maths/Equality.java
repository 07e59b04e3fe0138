package org.scholion.core.maths;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import org.scholion.core.number.Fraction;

/**
 * Whether two expressions have the same value wherever both are defined. Polynomials, quotients of them and square
 * roots of numbers are decided by their normal form; everything else by values at many points, on both sides of all
 * places where it can bend. What cannot be reached so is left open.
 */
public final class Equality {
    private Equality() {}

    public static Verdict of(Term a, Term b) {
        return of(a, b, Budget.usual());
    }

    static Verdict of(Term a, Term b, Budget budget) {
        if (a.equals(b)) {
            return Verdict.SAME;
        }
        try {
            Optional<Verdict> exact = exact(a, b, budget);
            return exact.isPresent() ? exact.get() : sampled(a, b, budget);
        } catch (Undecided e) {
            return retry(a, b, e, budget);
        } catch (StackOverflowError e) {
            return Verdict.undecided("it has too many brackets inside brackets");
        }
    }

    /** What is too large for a normal form may still be told apart by its values; that it is equal is then not claimed. */
    private static Verdict retry(Term a, Term b, Undecided reason, Budget budget) {
        try {
            Verdict sampled = sampled(a, b, budget.again());
            return sampled.kind() == Verdict.Kind.DIFFERENT ? sampled : Verdict.undecided(why(reason));
        } catch (Undecided | StackOverflowError e) {
            return Verdict.undecided(why(reason));
        }
    }

    private static String why(Undecided e) {
        return String.valueOf(e.getMessage());
    }

    private static Optional<Verdict> exact(Term a, Term b, Budget budget) {
        Normal normal = new Normal(budget);
        Rational left = normal.of(a);
        Rational right = normal.of(b);
        if (left.isSame(right, budget)) {
            return Optional.of(Verdict.SAME);
        }
        if (!left.isPlain() || !right.isPlain()) {
            return Optional.empty();
        }
        // The normal forms differ, so a point where the values do is soon found; it only helps to explain.
        Verdict example = sampled(a, b, budget);
        return Optional.of(example.kind() == Verdict.Kind.DIFFERENT ? example : Verdict.DIFFERENT);
    }

    private static Verdict sampled(Term a, Term b, Budget budget) {
        TreeSet<String> variables = new TreeSet<>();
        a.variables().forEach(variables::add);
        b.variables().forEach(variables::add);
        return new Sampled(a, b, variables, budget).verdict();
    }

    static Verdict different(Map<String, Fraction> point, BigDecimal left, BigDecimal right) {
        String one = shown(left);
        String other = shown(right);
        return one.equals(other) ? Verdict.DIFFERENT : Verdict.different(shown(point), one, other);
    }

    private static String shown(Map<String, Fraction> point) {
        List<String> parts = new ArrayList<>();
        point.forEach((name, value) -> parts.add(name + " = " + value.toExact()));
        return String.join(", ", parts);
    }

    static String shown(BigDecimal value) {
        BigDecimal rounded = value.setScale(4, RoundingMode.HALF_UP);
        return rounded.signum() == 0 && value.signum() != 0
                ? value.round(new java.math.MathContext(3)).toString()
                : rounded.signum() == 0 ? "0" : rounded.stripTrailingZeros().toPlainString();
    }
}
