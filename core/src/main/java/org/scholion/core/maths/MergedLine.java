package org.scholion.core.maths;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.scholion.core.maths.Statement.Relation;
import org.scholion.core.number.Fraction;

/**
 * A statement that names its solutions beside one of quotients of polynomials: the numbers of the first are put among
 * the exact roots of the second, each shown to be a root or to lie between two.
 */
final class MergedLine {
    private static final Fraction FINE = Fraction.of(java.math.BigInteger.ONE, java.math.BigInteger.TEN.pow(45));

    private final Statement solved;
    private final Statement rational;
    private final String variable;
    private final Budget budget;
    private final List<Break> breaks = new ArrayList<>();

    /** A place of the line: a root of the second statement, an end of the first, or both. */
    private static final class Break {
        private final BigDecimal value;
        private final boolean root;
        private final List<Term> ends = new ArrayList<>();

        Break(BigDecimal value, boolean root) {
            this.value = value;
            this.root = root;
        }
    }

    private MergedLine(Statement solved, Statement rational, String variable, Budget budget) {
        this.solved = solved;
        this.rational = rational;
        this.variable = variable;
        this.budget = budget;
    }

    /** Empty when neither is the one and the other. */
    static Optional<Verdict> compare(Statement a, Statement b, String variable, Budget budget) {
        if (SolvedLine.isSolved(a, variable) && Solutions.isRational(b)) {
            return Optional.of(new MergedLine(a, b, variable, budget).compared(true));
        }
        return SolvedLine.isSolved(b, variable) && Solutions.isRational(a)
                ? Optional.of(new MergedLine(b, a, variable, budget).compared(false))
                : Optional.empty();
    }

    private Verdict compared(boolean solvedFirst) {
        Cells cells = Cells.of(List.of(rational), variable, budget);
        for (Root root : cells.roots()) {
            while (root.high().minus(root.low()).compareTo(FINE) > 0) {
                root.halve();
            }
            breaks.add(new Break(Numeric.of(root.low().plus(root.high()).over(2)), true));
        }
        for (Relation r : solved.relations().toList()) {
            place(SolvedLine.endOf(r, variable), cells);
        }
        breaks.sort(Comparator.comparing((Break b) -> b.value));
        int roots = 0;
        for (int cell = 0; cell <= 2 * breaks.size(); cell++) {
            boolean at = cell % 2 == 1;
            boolean isRoot = at && breaks.get(cell / 2).root;
            boolean second = cells.holds(rational, isRoot ? 2 * roots + 1 : 2 * roots);
            boolean first = holds(solved, cell);
            if (first != second) {
                return Verdict.different(
                        shown(cell),
                        first == solvedFirst ? "a solution" : "no solution",
                        first == solvedFirst ? "no solution" : "a solution");
            }
            roots += isRoot ? 1 : 0;
        }
        return Verdict.SAME;
    }

    private void place(Term end, Cells cells) {
        Approx value = Numeric.approx(end, Map.of(), Numeric.DIGITS, budget)
                .orElseThrow(() -> new Undecided("a number is not defined"));
        for (Break b : breaks) {
            boolean near = Approx.magnitude(b.value.subtract(value.value())) < -40 + Math.max(0, value.magnitude());
            if (near
                    && (b.root
                            ? isRoot(end, cells)
                            : Equality.of(end, b.ends.get(0), budget).isSame())) {
                b.ends.add(end);
                return;
            }
            if (near) {
                throw new Undecided("two numbers are not told apart");
            }
        }
        Break own = new Break(value.value(), false);
        own.ends.add(end);
        breaks.add(own);
    }

    /** Whether the polynomial of all roots is 0 there, exactly. */
    private boolean isRoot(Term end, Cells cells) {
        Term sum = Term.num(0);
        Uni p = cells.polynomial();
        for (int i = p.degree(); i >= 0; i--) {
            Fraction c = Fraction.of(p.coefficient(i), java.math.BigInteger.ONE);
            sum = new Term.Add(new Term.Mul(sum, end), new Term.Num(c));
        }
        return Equality.of(sum, Term.num(0), budget).isSame();
    }

    private boolean holds(Statement s, int cell) {
        return s.holds(r -> SolvedLine.signOf(r, variable)
                .holds(Integer.compare(cell, 2 * indexOf(SolvedLine.endOf(r, variable)) + 1)));
    }

    private int indexOf(Term end) {
        for (int i = 0; i < breaks.size(); i++) {
            if (breaks.get(i).ends.contains(end)) {
                return i;
            }
        }
        throw new Undecided("two numbers are not told apart");
    }

    private String shown(int cell) {
        @Nullable Break at = breaks.isEmpty() ? null : breaks.get(Math.min(cell / 2, breaks.size() - 1));
        if (at == null) {
            return variable + " = 0";
        }
        String value = at.ends.isEmpty()
                ? "about " + Equality.shown(at.value)
                : at.ends.get(0).shown();
        return variable + (cell % 2 == 1 ? " = " : cell / 2 == breaks.size() ? " > " : " < ") + value;
    }
}
