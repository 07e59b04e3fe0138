package org.scholion.core.maths;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import org.scholion.core.number.Fraction;

/**
 * Whether two expressions have the same value. Polynomials, quotients of them and square roots of numbers are decided
 * by their normal form; everything else by values of fifty digits at many points.
 */
public final class Equality {
    /** So many points must agree. */
    private static final int POINTS = 16;

    private static final int TRIES = 60;

    private Equality() {}

    public static Verdict of(Term a, Term b) {
        Budget budget = Budget.usual();
        try {
            Optional<Verdict> exact = exact(a, b, budget);
            return exact.isPresent() ? exact.get() : sampled(a, b, budget);
        } catch (Undecided e) {
            return retry(a, b, e);
        } catch (StackOverflowError e) {
            return Verdict.undecided("it has too many brackets inside brackets");
        }
    }

    /** What is too large for a normal form may still be told apart by its values; that it is equal is then not claimed. */
    private static Verdict retry(Term a, Term b, Undecided reason) {
        try {
            Verdict sampled = sampled(a, b, Budget.usual());
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
        Set<String> variables = new TreeSet<>();
        a.variables().forEach(variables::add);
        b.variables().forEach(variables::add);
        int agreed = 0;
        for (int i = 0; i < TRIES && agreed < (variables.isEmpty() ? 1 : POINTS); i++) {
            Map<String, Fraction> point = point(variables, i);
            Optional<BigDecimal> left = Numeric.of(a, numbers(point), budget);
            Optional<BigDecimal> right = Numeric.of(b, numbers(point), budget);
            if (left.isEmpty() || right.isEmpty()) {
                continue;
            }
            if (!Numeric.agree(left.get(), right.get())) {
                return Verdict.different(shown(point), shown(left.get()), shown(right.get()));
            }
            agreed++;
        }
        return agreed >= (variables.isEmpty() ? 1 : POINTS / 2)
                ? Verdict.SAME
                : Verdict.undecided("it is defined at too few points");
    }

    /** Small whole numbers first, since they explain best; then scattered fractions of both signs, and positive ones. */
    static Map<String, Fraction> point(Set<String> variables, int i) {
        Map<String, Fraction> point = new LinkedHashMap<>();
        int v = 0;
        for (String variable : variables) {
            long mixed = (i + 1L) * 0x9E3779B97F4A7C15L ^ (v + 1L) * 0xC2B2AE3D27D4EB4FL;
            mixed ^= mixed >>> 29;
            Fraction value = i < 4
                    ? Fraction.of(2 + i + 3L * v)
                    : Fraction.of(1 + Math.floorMod(mixed, 4999), i % 3 == 0 ? 997 : 1009);
            point.put(variable, i % 2 == 1 && i > 3 ? value.negate() : value);
            v++;
        }
        return point;
    }

    static Map<String, BigDecimal> numbers(Map<String, Fraction> point) {
        Map<String, BigDecimal> numbers = new LinkedHashMap<>();
        point.forEach((name, value) -> numbers.put(name, Numeric.of(value)));
        return numbers;
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
