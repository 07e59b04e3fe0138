package org.scholion.core.maths;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import org.scholion.core.number.Fraction;

/**
 * Whether two statements have the same solutions. First their shape; then what both say is solved; then, for quotients
 * of polynomials with absolute values and square roots, all solutions exactly; then what can be solved by undoing one
 * step after the other, systems of linear equations, and several letters. What remains is left open.
 */
public final class Solutions {
    private Solutions() {}

    public static Verdict of(Statement a, Statement b) {
        return of(a, b, Budget.usual());
    }

    /** The same within what is left of a budget. */
    public static Verdict of(Statement a, Statement b, Budget budget) {
        try {
            return Shape.same(a, b, budget) ? Verdict.SAME : decided(a, b, budget);
        } catch (Undecided e) {
            return Verdict.undecided(String.valueOf(e.getMessage()));
        } catch (StackOverflowError e) {
            return Verdict.undecided("it has too many brackets inside brackets");
        }
    }

    private static Verdict decided(Statement a, Statement b, Budget budget) {
        if (a instanceof Statement.Value left && b instanceof Statement.Value right) {
            return Equality.of(left.term(), right.term(), budget);
        }
        if (a instanceof Statement.Value || b instanceof Statement.Value) {
            return Verdict.DIFFERENT;
        }
        Set<String> variables = new TreeSet<>();
        a.variables().forEach(variables::add);
        b.variables().forEach(variables::add);
        return variables.size() <= 1
                ? inOne(a, b, variables.isEmpty() ? "x" : variables.iterator().next(), budget)
                : Letters.compare(a, b, budget);
    }

    private static Verdict inOne(Statement a, Statement b, String variable, Budget budget) {
        Optional<Verdict> solved = SolvedLine.compare(a, b, variable, budget);
        if (solved.isPresent()) {
            return solved.get();
        }
        if (isRational(a) && isRational(b)) {
            return byCells(a, b, variable, budget);
        }
        Optional<Verdict> merged = MergedLine.compare(a, b, variable, budget);
        if (merged.isPresent()) {
            return merged.get();
        }
        Optional<Verdict> alike = Rearranged.inOne(a, b, budget);
        if (alike.isPresent()) {
            return alike.get();
        }
        Optional<Statement> one = simpler(a, variable, budget);
        Optional<Statement> other = simpler(b, variable, budget);
        if (one.isEmpty() || other.isEmpty()) {
            return byTrying(a, b, variable, budget);
        }
        return SolvedLine.compare(one.get(), other.get(), variable, budget)
                .orElseThrow(() -> new Undecided("statements of this kind are not compared"));
    }

    /** The statement with its solutions named one by one; empty where that is not known. */
    private static Optional<Statement> simpler(Statement s, String variable, Budget budget) {
        if (SolvedLine.isSolved(s, variable)) {
            return Optional.of(s);
        }
        Optional<Statement> undone = Undone.of(s, variable, budget);
        if (undone.isPresent()) {
            return undone;
        }
        return isRational(s) ? byRoots(s, variable, budget) : Radicals.solved(s, variable, budget);
    }

    /** Where all solutions are single rational numbers. */
    private static Optional<Statement> byRoots(Statement s, String variable, Budget budget) {
        return Cells.of(List.of(s), variable, budget)
                .points(s)
                .filter(points -> points.stream().allMatch(Root::isRational))
                .map(points -> new Statement.Or(points.stream()
                        .<Statement>map(p -> new Statement.Relation(
                                new Term.Sym(variable), Statement.Sign.EQUAL, new Term.Num(p.low())))
                        .toList()));
    }

    /**
     * Whether a line follows from the one before: the same solutions, or more, or some lost.
     *
     * @return SAME, MORE, LOST; OPEN where it is not decided
     */
    public static Follows follows(Statement before, Statement line, Budget budget) {
        try {
            Verdict verdict = of(before, line, budget);
            return verdict.isSame()
                    ? Follows.SAME
                    : before instanceof Statement.Value || line instanceof Statement.Value
                            ? verdict.isUndecided() ? Follows.OPEN : Follows.LOST
                            : contained(before, line, verdict, budget);
        } catch (Undecided | StackOverflowError e) {
            return Follows.OPEN;
        }
    }

    /** How the solutions of a line are to those of the one before. */
    public enum Follows {
        SAME,
        MORE,
        LOST,
        OPEN
    }

    private static Follows contained(Statement before, Statement line, Verdict verdict, Budget budget) {
        Set<String> variables = new TreeSet<>();
        before.variables().forEach(variables::add);
        line.variables().forEach(variables::add);
        if (variables.size() > 1) {
            Verdict both = LinearSystem.compare(new Statement.And(flat(before, line)), before, budget)
                    .orElse(verdict);
            return both.isSame() ? Follows.MORE : both.isUndecided() ? Follows.OPEN : Follows.LOST;
        }
        String variable = variables.isEmpty() ? "x" : variables.iterator().next();
        if (isRational(before) && isRational(line)) {
            Cells cells = Cells.of(List.of(before, line), variable, budget);
            for (int cell = 0; cell < cells.count(); cell++) {
                if (cells.holds(before, cell) && !cells.holds(line, cell)) {
                    return Follows.LOST;
                }
            }
            return Follows.MORE;
        }
        Optional<Statement> solved = simpler(before, variable, budget);
        if (solved.isEmpty() || solved.get().relations().anyMatch(r -> r.sign() != Statement.Sign.EQUAL)) {
            return verdict.isUndecided() ? Follows.OPEN : Follows.LOST;
        }
        boolean open = false;
        for (Term point : SolvedLine.points(solved.get(), variable)) {
            Substituted.Holds holds = Substituted.holds(line, variable, point, budget);
            if (holds == Substituted.Holds.NO) {
                return Follows.LOST;
            }
            open |= holds == Substituted.Holds.OPEN;
        }
        return open ? Follows.OPEN : Follows.MORE;
    }

    private static List<Statement> flat(Statement a, Statement b) {
        List<Statement> all = new ArrayList<>();
        for (Statement s : List.of(a, b)) {
            if (s instanceof Statement.And and) {
                all.addAll(and.all());
            } else {
                all.add(s);
            }
        }
        return all;
    }

    /** Where one side is solved: a solution that the other has not is told; that there are no others is not known. */
    private static Verdict byTrying(Statement a, Statement b, String variable, Budget budget) {
        boolean first = SolvedLine.isSolved(a, variable);
        if (first || SolvedLine.isSolved(b, variable)) {
            Statement other = first ? b : a;
            for (Term point : SolvedLine.points(first ? a : b, variable)) {
                if (Substituted.holds(other, variable, point, budget) == Substituted.Holds.NO) {
                    return Verdict.different(
                            variable + " = " + point.shown(),
                            first ? "a solution" : "no solution",
                            first ? "no solution" : "a solution");
                }
            }
        }
        throw new Undecided("statements of this kind are not compared");
    }

    /** Made of numbers, variables, the four operations, whole powers and absolute values. */
    static boolean isRational(Statement s) {
        return s.terms().flatMap(Term::all).allMatch(t -> {
            if (t instanceof Term.Sym sym) {
                return !sym.isConstant();
            }
            if (t instanceof Term.Pow pow) {
                return Exact.at(pow.exponent(), Fraction.ZERO)
                                .filter(Fraction::isWhole)
                                .isPresent()
                        && pow.exponent().variables().findAny().isEmpty();
            }
            return !(t instanceof Term.Fn fn) || fn.name().equals("abs");
        });
    }

    private static Verdict byCells(Statement a, Statement b, String variable, Budget budget) {
        Cells cells = Cells.of(List.of(a, b), variable, budget);
        for (int cell = 0; cell < cells.count(); cell++) {
            boolean first = cells.holds(a, cell);
            if (first != cells.holds(b, cell)) {
                return Verdict.different(
                        variable + " = " + cells.shown(cell),
                        first ? "a solution" : "no solution",
                        first ? "no solution" : "a solution");
            }
        }
        return Verdict.SAME;
    }
}
