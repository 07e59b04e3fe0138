package org.scholion.core.maths;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.scholion.core.number.Fraction;

/** What a typed line comes to: proposals for a key, never a mark. */
public final class Worked {
    private static final int SHOWN_DIGITS = 6;

    private Worked() {}

    /**
     * Results in the order of their use: an exact number and its decimal, an expression multiplied out, the solutions
     * of an equation. Empty when nothing can be said, or nothing that the line does not say itself.
     *
     * @throws Unreadable saying what stands in the way
     */
    public static List<String> of(String line, MathNames names) throws Unreadable {
        Statement statement = MathReader.read(line, names);
        try {
            List<String> results = statement instanceof Statement.Value value
                    ? value(value.term(), Budget.usual())
                    : solutions(statement, Budget.usual());
            return results.stream().filter(r -> !r.equals(line.strip())).toList();
        } catch (Undecided | ArithmeticException e) {
            return List.of();
        }
    }

    private static List<String> value(Term term, Budget budget) {
        List<String> results = new ArrayList<>();
        Rational r = new Normal(budget).of(term);
        if (r.isConstant()) {
            results.add(r.num().constant().toExact());
            if (r.num().constant().toExact().contains("/")) {
                results.add(rounded(Numeric.of(r.num().constant())));
            }
            return results;
        }
        if (term.variables().findAny().isEmpty()) {
            Numeric.of(term, Map.of(), budget).map(Worked::rounded).ifPresent(results::add);
        } else if (r.isPlain() && r.den().isConstant()) {
            results.add(shown(r.num()));
        }
        return results;
    }

    /** A number in its shortest writing: exact where it is rational. */
    static String plain(Term number, Budget budget) {
        Rational r = new Normal(budget).of(number);
        return r.isConstant() ? r.num().constant().toExact() : number.shown();
    }

    private static String rounded(BigDecimal value) {
        return value.round(new MathContext(SHOWN_DIGITS)).stripTrailingZeros().toPlainString();
    }

    private static List<String> solutions(Statement statement, Budget budget) {
        List<String> variables = statement.variables().toList();
        if (variables.size() != 1) {
            return List.of();
        }
        String variable = variables.get(0);
        Optional<List<Root>> points =
                Cells.of(List.of(statement), variable, budget).points(statement);
        if (points.isEmpty() || !points.get().stream().allMatch(Root::isRational)) {
            return List.of();
        }
        return List.of(
                points.get().isEmpty()
                        ? "no solution"
                        : points.get().stream()
                                .map(p -> variable + " = " + p.low().toExact())
                                .collect(Collectors.joining(" or ")));
    }

    /** As it is written in school: the highest power first, no signs of multiplication. */
    private static String shown(Polynomial p) {
        Map<Monomial, Fraction> terms = new TreeMap<>(
                Comparator.comparingInt(Monomial::degree).reversed().thenComparing(Monomial::compareTo));
        terms.putAll(p.terms());
        StringBuilder shown = new StringBuilder();
        terms.forEach((m, c) -> {
            boolean first = shown.isEmpty();
            shown.append(c.signum() < 0 ? first ? "-" : " - " : first ? "" : " + ");
            boolean one = c.abs().equals(Fraction.ONE) && m.degree() > 0;
            shown.append(one ? "" : c.abs().toExact());
            m.powers().forEach((atom, power) -> shown.append(atom).append(power == 1 ? "" : "^" + power));
        });
        return shown.isEmpty() ? "0" : shown.toString();
    }
}
