package org.scholion.core.maths;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.function.Supplier;

/** Why a line does not follow from the one before, as far as that can be told. */
public final class Misstep {
    private Misstep() {}

    /** A guess in words; empty where there is none. Never a decision. */
    public static Optional<String> of(Statement before, Statement line) {
        return guess(() -> dividedByZero(before, line))
                .or(() -> guess(() -> lost(before, line)))
                .or(() -> guess(() -> changedSign(before, line)))
                .or(() -> guess(() -> turned(before, line)));
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

    /** The line before is this one times a factor that can be 0. */
    private static Optional<String> dividedByZero(Statement before, Statement line) {
        if (!(before instanceof Statement.Relation b) || !(line instanceof Statement.Relation l)) {
            return Optional.empty();
        }
        return variable(before, line).flatMap(x -> {
            Budget budget = Budget.usual();
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
    private static Optional<String> lost(Statement before, Statement line) {
        if (before instanceof Statement.Value || line instanceof Statement.Value) {
            return Optional.empty();
        }
        return variable(before, line).flatMap(x -> {
            Cells cells = Cells.of(List.of(before, line), x, Budget.usual());
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

    /** One sign other than it is, and the line would follow. */
    private static Optional<String> changedSign(Statement before, Statement line) {
        return changed(before, line, Misstep::withOneSignChanged)
                .map(t -> "a sign has changed: right would be " + t.shown());
    }

    /** Multiplied by a negative number, and the sign was kept. */
    private static Optional<String> turned(Statement before, Statement line) {
        if (!(line instanceof Statement.Relation r)
                || r.sign() == Statement.Sign.EQUAL
                || r.sign() == Statement.Sign.NOT_EQUAL) {
            return Optional.empty();
        }
        Statement turned = new Statement.Relation(r.left(), r.sign().turned(), r.right());
        return Solutions.of(before, turned).isSame()
                ? Optional.of("the inequality sign must be reversed")
                : Optional.empty();
    }

    private static Optional<Statement> changed(Statement before, Statement line, Function<Term, List<Term>> variants) {
        if (line instanceof Statement.Value v) {
            return variants.apply(v.term()).stream()
                    .<Statement>map(Statement.Value::new)
                    .filter(s -> Solutions.of(before, s).isSame())
                    .findFirst();
        }
        if (!(line instanceof Statement.Relation r)) {
            return Optional.empty();
        }
        List<Statement> all = new ArrayList<>();
        variants.apply(r.left()).forEach(t -> all.add(new Statement.Relation(t, r.sign(), r.right())));
        variants.apply(r.right()).forEach(t -> all.add(new Statement.Relation(r.left(), r.sign(), t)));
        return all.stream().filter(s -> Solutions.of(before, s).isSame()).findFirst();
    }

    /** The term with the sign of one summand turned, each in its turn; few of them, since each is compared. */
    private static List<Term> withOneSignChanged(Term term) {
        List<Term> all = new ArrayList<>();
        if (term instanceof Term.Add add) {
            withOneSignChanged(add.left()).forEach(t -> all.add(new Term.Add(t, add.right())));
            withOneSignChanged(add.right()).forEach(t -> all.add(new Term.Add(add.left(), t)));
            return all.size() > 6 ? all.subList(0, 6) : all;
        }
        all.add(term instanceof Term.Neg neg ? neg.inner() : new Term.Neg(term));
        return all;
    }
}
