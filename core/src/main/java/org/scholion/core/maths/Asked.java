package org.scholion.core.maths;

import java.util.ArrayList;
import java.util.List;
import org.scholion.core.maths.Statement.Relation;
import org.scholion.core.maths.Statement.Sign;
import org.scholion.core.maths.Statement.Value;

/** An answer against what was asked for: an expression may come with its name, a solution without it. */
public final class Asked {
    private Asked() {}

    /**
     * What an answer comes to.
     *
     * @param taken what of the answer was compared: {@code 2x} of {@code y = 2x} where an expression is asked
     */
    public record Answered(Verdict verdict, Statement taken) {}

    public static Answered compare(Statement said, Statement key, MathNames names, Budget budget) {
        if (key instanceof Value && !(said instanceof Value)) {
            return expression(said, key, names, budget);
        }
        if (said instanceof Value value && !(key instanceof Value)) {
            return value(value, key, names, budget);
        }
        return new Answered(Solutions.of(said, key, budget), said);
    }

    /** A relation where an expression is asked: its name aside, or all sides of a chain of equal ones. */
    private static Answered expression(Statement said, Statement key, MathNames names, Budget budget) {
        List<Term> sides = sides(said);
        if (sides.isEmpty()) {
            return new Answered(Verdict.undecided("an expression is asked for"), said);
        }
        Verdict all = Verdict.SAME;
        Statement last = said;
        for (int i = 0; i < sides.size(); i++) {
            boolean name = sides.size() > 1 && isName(sides.get(i), key, names);
            if (!name) {
                last = new Value(sides.get(i));
                Verdict verdict = Solutions.of(last, key, budget);
                all = verdict.isSame() ? all : verdict;
            }
        }
        boolean named = sides.size() == 2 && sides.stream().anyMatch(s -> isName(s, key, names));
        return all.isSame() || named
                ? new Answered(all, last)
                : new Answered(Verdict.undecided("an expression is asked for"), said);
    }

    private static List<Term> sides(Statement said) {
        List<Term> sides = new ArrayList<>();
        for (Relation r : said.relations().toList()) {
            if (r.sign() != Sign.EQUAL || said instanceof Statement.Or) {
                return List.of();
            }
            if (sides.isEmpty() || !sides.get(sides.size() - 1).equals(r.left())) {
                sides.add(r.left());
            }
            sides.add(r.right());
        }
        return sides;
    }

    /** y, A or f(x): a letter that the expression does not hold, alone or before a bracket. */
    private static boolean isName(Term side, Statement key, MathNames names) {
        if (side instanceof Term.Mul mul && mul.right() instanceof Term.Sym) {
            return isName(mul.left(), key, names) && !names.isOwn(mul.left().shown());
        }
        return side instanceof Term.Fn fn && names.isFunctionOfItsOwn(fn.name())
                || side instanceof Term.Sym sym
                        && !sym.isConstant()
                        && key.variables().noneMatch(sym.name()::equals);
    }

    /** A number where a solution is asked is one of the variable; an expression without its name is left to a person. */
    private static Answered value(Value said, Statement key, MathNames names, Budget budget) {
        Statement named = new Solved(names).statement(said);
        if (said.term().variables().findAny().isEmpty()) {
            return new Answered(Solutions.of(named, key, budget), named);
        }
        boolean right = key instanceof Relation r
                && r.sign() == Sign.EQUAL
                && r.left() instanceof Term.Sym
                && Equality.of(said.term(), r.right(), budget).isSame();
        return new Answered(right ? Verdict.undecided("an equation is asked for") : Verdict.DIFFERENT, said);
    }
}
