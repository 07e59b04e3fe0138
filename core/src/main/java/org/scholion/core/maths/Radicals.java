package org.scholion.core.maths;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import org.scholion.core.maths.Statement.Relation;
import org.scholion.core.maths.Statement.Sign;
import org.scholion.core.number.Fraction;

/**
 * Equations with square roots and absolute values of quotients of polynomials. A + B√C is 0 only where A² − B²C is: all
 * solutions are among the roots of a polynomial, and each of them is tried.
 */
final class Radicals {
    private static final int MOST = 3;
    private static final Fraction FINE = Fraction.of(java.math.BigInteger.ONE, java.math.BigInteger.TEN.pow(40));
    private static final BigDecimal NEAR = new BigDecimal("1e-18");

    private final String variable;
    private final Budget budget;

    private Radicals(String variable, Budget budget) {
        this.variable = variable;
        this.budget = budget;
    }

    /** The solutions; empty where some may be no rational numbers, or where it is no such equation. */
    static Optional<Statement> solved(Statement s, String variable, Budget budget) {
        try {
            List<Statement> any = s instanceof Statement.Or or ? or.any() : List.of(s);
            List<Statement> solved = new ArrayList<>();
            for (Statement one : any) {
                if (!(one instanceof Relation r) || r.sign() != Sign.EQUAL) {
                    return Optional.empty();
                }
                solved.addAll(new Radicals(variable, budget).solutions(r));
            }
            return Optional.of(solved.size() == 1 ? solved.get(0) : new Statement.Or(solved));
        } catch (Undecided e) {
            return Optional.empty();
        }
    }

    private List<Statement> solutions(Relation r) {
        List<Statement> found = new ArrayList<>();
        Polynomial p = squaredOut(r.difference());
        for (Root root :
                Sturm.of(Uni.of(p, variable).squareFree(budget), budget).roots()) {
            if (!root.isRational()) {
                refuseSolution(r, root);
                continue;
            }
            Term number = new Term.Num(root.low());
            if (Substituted.holds(r, variable, number, budget) == Substituted.Holds.YES) {
                found.add(new Relation(new Term.Sym(variable), Sign.EQUAL, number));
            }
        }
        return found;
    }

    /** A root that is no rational number must not be a solution, since it could not be named. */
    private void refuseSolution(Relation r, Root root) {
        while (root.high().minus(root.low()).compareTo(FINE) > 0) {
            root.halve();
        }
        Map<String, Fraction> middle =
                Map.of(variable, root.low().plus(root.high()).over(2));
        boolean near = Numeric.at(r.difference(), middle, Numeric.DIGITS, budget)
                .filter(d -> d.value().abs().compareTo(NEAR) < 0)
                .isPresent();
        if (near) {
            throw new Undecided("a solution is no rational number");
        }
    }

    private Polynomial squaredOut(Term difference) {
        Term plain = difference;
        List<Term> squares = new ArrayList<>();
        for (Term.Fn root : roots(difference)) {
            boolean bars = root.name().equals("abs");
            plain = Cells.replaced(plain, root, new Term.Sym(name(squares.size())));
            squares.add(bars ? new Term.Pow(root.argument(), Term.num(2)) : root.argument());
        }
        Normal normal = new Normal(budget);
        Polynomial p = normal.of(plain).num();
        for (int i = 0; i < squares.size(); i++) {
            p = without(p, name(i), normal.of(squares.get(i)));
        }
        return p;
    }

    private static String name(int i) {
        return "root" + i;
    }

    private List<Term.Fn> roots(Term term) {
        TreeSet<String> seen = new TreeSet<>();
        List<Term.Fn> roots = new ArrayList<>();
        term.all().forEach(t -> {
            if (t instanceof Term.Fn fn && fn.argument().variables().findAny().isPresent() && seen.add(fn.shown())) {
                roots.add(fn);
            }
        });
        boolean nested = roots.stream().anyMatch(r -> r.argument().all().anyMatch(t -> t instanceof Term.Fn));
        boolean others = roots.stream()
                .anyMatch(r -> !r.name().equals("sqrt") && !r.name().equals("abs"));
        if (roots.isEmpty() || roots.size() > MOST || nested || others) {
            throw new Undecided("statements of this kind are not compared");
        }
        return roots;
    }

    /** A + B·w, with w² put in, becomes A² − B²·w². */
    private Polynomial without(Polynomial p, String w, Rational square) {
        Rational a = Rational.of(Fraction.ZERO);
        Rational b = Rational.of(Fraction.ZERO);
        for (Map.Entry<Monomial, Fraction> term : p.terms().entrySet()) {
            int power = term.getKey().power(w);
            Rational rest = Rational.of(new Polynomial(Map.of(term.getKey().without(w), term.getValue())))
                    .times(square.power(power / 2, budget), budget);
            if (power % 2 == 0) {
                a = a.plus(rest, budget);
            } else {
                b = b.plus(rest, budget);
            }
        }
        return a.power(2, budget)
                .plus(b.power(2, budget).times(square, budget).negate(), budget)
                .num();
    }
}
