package org.scholion.core.maths;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Supplier;
import org.scholion.core.maths.Statement.Relation;
import org.scholion.core.maths.Statement.Sign;

/** Why a line does not follow from the one before, as far as that can be told. */
public final class Misstep {
    private final Budget budget;

    private Misstep(Budget budget) {
        this.budget = budget;
    }

    /** A guess in words; empty where there is none. Never a decision. */
    public static Optional<String> of(Statement before, Statement line) {
        return of(before, line, Budget.usual());
    }

    /** The same within what is left of a budget. */
    public static Optional<String> of(Statement before, Statement line, Budget budget) {
        Misstep misstep = new Misstep(budget);
        return guess(() -> misstep.rootLost(before, line))
                .or(() -> guess(() -> misstep.dividedByZero(before, line)))
                .or(() -> guess(() -> misstep.lost(before, line)))
                .or(() -> guess(() -> misstep.turned(before, line)))
                .or(() -> guess(() -> Repairs.of(before, line, budget)));
    }

    /** Whether a statement names its solutions. */
    public static boolean isSolved(Statement s) {
        List<String> variables = s.variables().toList();
        return variables.size() == 1 && SolvedLine.isSolved(s, variables.get(0));
    }

    private static Optional<String> guess(Supplier<Optional<String>> why) {
        try {
            return why.get();
        } catch (Undecided | ArithmeticException | StackOverflowError e) {
            return Optional.empty();
        }
    }

    private static Optional<String> variable(Statement a, Statement b) {
        Set<String> names = new TreeSet<>();
        a.variables().forEach(names::add);
        b.variables().forEach(names::add);
        return names.size() == 1 ? names.stream().findFirst() : Optional.empty();
    }

    /** A square is a number, and only one of its two roots is taken. */
    private Optional<String> rootLost(Statement before, Statement line) {
        if (!(before instanceof Relation b) || b.sign() != Sign.EQUAL || line instanceof Statement.Value) {
            return Optional.empty();
        }
        boolean square = isEvenPower(b.left())
                        && b.right().variables().findAny().isEmpty()
                || isEvenPower(b.right()) && b.left().variables().findAny().isEmpty();
        return !square
                ? Optional.empty()
                : variable(before, line)
                        .flatMap(x -> Undone.of(before, x, budget)
                                .flatMap(solved -> SolvedLine.points(solved, x).stream()
                                        .filter(p -> Substituted.holds(line, x, p, budget) == Substituted.Holds.NO)
                                        .findFirst()
                                        .filter(p -> SolvedLine.points(solved, x).stream()
                                                .anyMatch(q ->
                                                        Substituted.holds(line, x, q, budget) == Substituted.Holds.YES))
                                        .map(p -> "a root is lost: " + x + " = " + shown(p))));
    }

    private String shown(Term number) {
        return Worked.plain(number, budget);
    }

    private static boolean isEvenPower(Term term) {
        return term instanceof Term.Pow pow
                && pow.exponent() instanceof Term.Num n
                && n.value().isWhole()
                && !n.value().numerator().testBit(0)
                && term.variables().findAny().isPresent();
    }

    /** The line before is this one times a factor that can be 0. */
    private Optional<String> dividedByZero(Statement before, Statement line) {
        if (!(before instanceof Relation b) || !(line instanceof Relation l)) {
            return Optional.empty();
        }
        return variable(before, line).flatMap(x -> {
            Normal normal = new Normal(budget);
            Uni old = Uni.of(normal.of(b.difference()).num(), x);
            Uni now = Uni.of(normal.of(l.difference()).num(), x);
            if (now.degree() < 1 || old.degree() <= now.degree() || !old.divide(now, budget)[1].isZero()) {
                return Optional.empty();
            }
            Uni factor = old.divide(now, budget)[0];
            return Sturm.of(factor.squareFree(budget), budget).roots().stream()
                    .filter(r -> r.signOf(now) != 0)
                    .findFirst()
                    .map(r -> "divided by what is 0 for " + x + " = " + r.shown() + ", so that this solution is lost");
        });
    }

    /** Solutions that are gone or have been added. */
    private Optional<String> lost(Statement before, Statement line) {
        if (before instanceof Statement.Value || line instanceof Statement.Value) {
            return Optional.empty();
        }
        return variable(before, line).flatMap(x -> {
            Cells cells = Cells.of(List.of(before, line), x, budget);
            if (cells.points(before).isEmpty() || cells.points(line).isEmpty()) {
                return Optional.empty();
            }
            List<String> gone = cells.pointsOnlyIn(before, line);
            List<String> added = cells.pointsOnlyIn(line, before);
            boolean some = cells.points(before).get().size() > gone.size();
            if (!gone.isEmpty() && added.isEmpty() && some) {
                String what = before instanceof Statement.Or ? "a case is dropped: " : "a solution is lost: ";
                return Optional.of(what + x + " = " + String.join(", ", gone));
            }
            return gone.isEmpty() && !added.isEmpty()
                    ? Optional.of("a solution is added: " + x + " = " + String.join(", ", added))
                    : Optional.empty();
        });
    }

    /** Multiplied by a negative number, and the sign was kept. */
    private Optional<String> turned(Statement before, Statement line) {
        if (!(line instanceof Relation r) || r.sign() == Sign.EQUAL || r.sign() == Sign.NOT_EQUAL) {
            return Optional.empty();
        }
        Statement turned = new Relation(r.left(), r.sign().turned(), r.right());
        return Solutions.of(before, turned, budget).isSame()
                ? Optional.of("the inequality sign must be reversed")
                : Optional.empty();
    }
}
