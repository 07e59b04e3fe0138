package org.scholion.core.maths;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.scholion.core.maths.Statement.Relation;
import org.scholion.core.maths.Statement.Sign;
import org.scholion.core.number.Fraction;

/** Equations in which the variable stands once are solved by undoing one step after the other, exactly. */
final class Undone {
    private final String variable;
    private final Budget budget;

    private Undone(String variable, Budget budget) {
        this.variable = variable;
        this.budget = budget;
    }

    /** The solutions of an equation, or of several of which one has to hold; empty where they are not found so. */
    static Optional<Statement> of(Statement s, String variable, Budget budget) {
        try {
            List<Statement> any = s instanceof Statement.Or or ? or.any() : List.of(s);
            List<Statement> solved = new ArrayList<>();
            for (Statement one : any) {
                if (SolvedLine.isSolved(one, variable)) {
                    solved.add(one);
                } else if (one instanceof Relation r && r.sign() == Sign.EQUAL) {
                    solved.add(new Undone(variable, budget).relation(r));
                } else {
                    return Optional.empty();
                }
            }
            return Optional.of(solved.size() == 1 ? solved.get(0) : new Statement.Or(solved));
        } catch (Undecided e) {
            return Optional.empty();
        }
    }

    private Statement relation(Relation r) {
        boolean left = holds(r.left());
        if (left == holds(r.right())) {
            throw new Undecided("the variable stands more than once");
        }
        return left ? solve(r.left(), r.right()) : solve(r.right(), r.left());
    }

    private boolean holds(Term term) {
        return term.variables().anyMatch(variable::equals);
    }

    /** Where a term that holds the variable once is a number. */
    private Statement solve(Term term, Term number) {
        budget.spend(10);
        if (term instanceof Term.Sym) {
            return new Relation(term, Sign.EQUAL, number);
        }
        if (term instanceof Term.Neg neg) {
            return solve(neg.inner(), new Term.Neg(number));
        }
        if (term instanceof Term.Fn fn) {
            return function(fn, number);
        }
        Term first = term.parts().get(0);
        Term second = term.parts().get(1);
        boolean left = holds(first);
        if (left == holds(second)) {
            throw new Undecided("the variable stands more than once");
        }
        Term inner = left ? first : second;
        Term other = left ? second : first;
        if (term instanceof Term.Add) {
            return solve(inner, number.minus(other));
        }
        if (term instanceof Term.Mul) {
            return sign(other) == 0 ? unknown() : solve(inner, new Term.Div(number, other));
        }
        if (term instanceof Term.Div) {
            return left ? solve(inner, new Term.Mul(number, other)) : below(inner, other, number);
        }
        return left ? base(inner, other, number) : exponent(inner, other, number);
    }

    private Statement below(Term inner, Term above, Term number) {
        if (sign(above) == 0) {
            return unknown();
        }
        return sign(number) == 0 ? Statement.NONE : solve(inner, new Term.Div(above, number));
    }

    private Statement base(Term inner, Term exponent, Term number) {
        if (!(exponent instanceof Term.Num n)
                || !n.value().isWhole()
                || n.value().signum() <= 0) {
            return isHalf(exponent) ? solve(new Term.Fn("sqrt", inner), number) : unknown();
        }
        Term root = n.value().equals(Fraction.of(2))
                ? new Term.Fn("sqrt", number)
                : new Term.Pow(number, new Term.Div(Term.num(1), exponent));
        if (n.value().numerator().testBit(0)) {
            return solve(inner, root);
        }
        return sign(number) < 0 ? Statement.NONE : bothSigns(inner, root, number);
    }

    private static boolean isHalf(Term exponent) {
        return exponent instanceof Term.Num n && n.value().equals(Fraction.HALF)
                || exponent.equals(new Term.Div(Term.num(1), Term.num(2)));
    }

    private Statement bothSigns(Term inner, Term size, Term squared) {
        return sign(squared) == 0
                ? solve(inner, Term.num(0))
                : new Statement.Or(List.of(solve(inner, size), solve(inner, new Term.Neg(size))));
    }

    /** b^x = c: the logarithm of c over that of b. */
    private Statement exponent(Term inner, Term base, Term number) {
        if (sign(base) <= 0 || sign(base.minus(Term.num(1))) == 0) {
            return unknown();
        }
        return sign(number) <= 0 ? Statement.NONE : solve(inner, new Term.Div(ln(number), ln(base)));
    }

    private static Term ln(Term of) {
        return of.equals(new Term.Sym("ℯ")) ? Term.num(1) : new Term.Fn("ln", of);
    }

    private Statement function(Term.Fn fn, Term number) {
        return switch (fn.name()) {
            case "ln" -> solve(fn.argument(), new Term.Pow(new Term.Sym("ℯ"), number));
            case "sqrt" -> sign(number) < 0 ? Statement.NONE : solve(fn.argument(), new Term.Pow(number, Term.num(2)));
            case "cbrt" -> solve(fn.argument(), new Term.Pow(number, Term.num(3)));
            case "abs" -> sign(number) < 0 ? Statement.NONE : bothSigns(fn.argument(), number, number);
            default -> unknown();
        };
    }

    private static Statement unknown() {
        throw new Undecided("statements of this kind are not compared");
    }

    private int sign(Term number) {
        Approx value = Numeric.approx(number, Map.of(), Numeric.DIGITS, budget)
                .orElseThrow(() -> new Undecided("a number is not defined"));
        if (value.sign() == 0 && !Equality.of(number, Term.num(0), budget).isSame()) {
            throw new Undecided("a number is not told from 0");
        }
        return value.sign();
    }
}
