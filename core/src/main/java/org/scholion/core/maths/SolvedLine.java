package org.scholion.core.maths;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.scholion.core.maths.Statement.Relation;
import org.scholion.core.maths.Statement.Sign;

/**
 * Statements that name their solutions: every relation has the variable alone on one side and a number, of whatever
 * kind, on the other. The numbers are put in order, and both statements are looked at on each of them and between.
 */
final class SolvedLine {
    private final String variable;
    private final List<Term> ends = new ArrayList<>();
    private final List<Approx> values = new ArrayList<>();
    private final Budget budget;

    private SolvedLine(String variable, Budget budget) {
        this.variable = variable;
        this.budget = budget;
    }

    static boolean isSolved(Statement s, String variable) {
        return s.relations().allMatch(r -> end(r, variable) != null) && !(s instanceof Statement.Value);
    }

    /** The single numbers that a solved statement names. */
    static List<Term> points(Statement s, String variable) {
        List<Term> points = new ArrayList<>();
        for (Relation r : s.relations().toList()) {
            Term end = end(r, variable);
            if (end != null && r.sign() == Sign.EQUAL) {
                points.add(end);
            }
        }
        return points;
    }

    /** The number on the far side; null when the relation is not solved. */
    private static @Nullable Term end(Relation r, String variable) {
        Term alone = new Term.Sym(variable);
        Term other = r.left().equals(alone) ? r.right() : r.right().equals(alone) ? r.left() : null;
        return other == null || other.variables().findAny().isPresent() ? null : other;
    }

    /** The number on the far side of a solved relation. */
    static Term endOf(Relation r, String variable) {
        return Objects.requireNonNull(end(r, variable));
    }

    /** Empty when one of the two is not solved. */
    static Optional<Verdict> compare(Statement a, Statement b, String variable, Budget budget) {
        if (!isSolved(a, variable) || !isSolved(b, variable)) {
            return Optional.empty();
        }
        SolvedLine line = new SolvedLine(variable, budget);
        line.put(a);
        line.put(b);
        for (int cell = 0; cell <= 2 * line.ends.size(); cell++) {
            boolean first = line.holds(a, cell);
            if (first != line.holds(b, cell)) {
                return Optional.of(Verdict.different(
                        variable + line.shown(cell),
                        first ? "a solution" : "no solution",
                        first ? "no solution" : "a solution"));
            }
        }
        return Optional.of(Verdict.SAME);
    }

    private void put(Statement s) {
        for (Relation r : s.relations().toList()) {
            Term end = endOf(r, variable);
            Optional<Approx> value = Numeric.approx(end, Map.of(), Numeric.DIGITS, budget);
            if (value.isEmpty()) {
                throw new Undecided("a number is not defined");
            }
            place(end, value.get());
        }
    }

    private void place(Term end, Approx value) {
        int i = 0;
        while (i < ends.size() && values.get(i).value().compareTo(value.value()) < 0 && !isSame(i, end, value)) {
            i++;
        }
        if (i == ends.size() || !isSame(i, end, value)) {
            ends.add(i, end);
            values.add(i, value);
        }
    }

    private boolean isSame(int i, Term end, Approx value) {
        if (!values.get(i).agrees(value)) {
            return false;
        }
        Verdict verdict = Equality.of(ends.get(i), end, budget);
        if (verdict.isUndecided()) {
            throw new Undecided(String.valueOf(verdict.why()));
        }
        return verdict.isSame();
    }

    /** Even cells lie between the numbers, odd ones are a number each. */
    private boolean holds(Statement s, int cell) {
        return s.holds(r -> signOf(r, variable).holds(Integer.compare(cell, 2 * indexOf(endOf(r, variable)) + 1)));
    }

    /** The sign of a solved relation, read from the variable on. */
    static Sign signOf(Relation r, String variable) {
        return r.left().equals(new Term.Sym(variable)) ? r.sign() : r.sign().turned();
    }

    private int indexOf(Term end) {
        int exact = ends.indexOf(end);
        if (exact >= 0) {
            return exact;
        }
        Approx value = Numeric.approx(end, Map.of(), Numeric.DIGITS, budget).orElseThrow();
        for (int i = 0; i < ends.size(); i++) {
            if (isSame(i, end, value)) {
                return i;
            }
        }
        throw new Undecided("two numbers are not told apart");
    }

    private String shown(int cell) {
        if (cell % 2 == 1) {
            return " = " + ends.get(cell / 2).shown();
        }
        int i = cell / 2;
        if (ends.isEmpty()) {
            return " = 0";
        }
        return i == 0
                ? " < " + ends.get(0).shown()
                : i == ends.size()
                        ? " > " + ends.get(i - 1).shown()
                        : " between " + ends.get(i - 1).shown() + " and "
                                + ends.get(i).shown();
    }
}
