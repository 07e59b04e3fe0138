package org.scholion.core.maths;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import org.scholion.core.maths.Statement.Relation;
import org.scholion.core.maths.Statement.Sign;
import org.scholion.core.number.Fraction;

/** Two relations of which one is the other times a number. */
final class Rearranged {
    private Rearranged() {}

    static Optional<Verdict> inOne(Statement a, Statement b, Budget budget) {
        if (!(a instanceof Relation left) || !(b instanceof Relation right)) {
            return Optional.empty();
        }
        return areMultiples(left, right, budget) ? Optional.of(Verdict.SAME) : Optional.empty();
    }

    /** Whether the differences of their sides are multiples of one another, the signs fitting. */
    static boolean areMultiples(Relation a, Relation b, Budget budget) {
        Term f = a.difference();
        Term g = b.difference();
        int sign = factorSign(f, g, budget);
        boolean fits = sign > 0 && a.sign() == b.sign() || sign < 0 && a.sign().turned() == b.sign();
        return fits && isConstant(f, g, budget);
    }

    /** The sign of g/f at the first point where both have a value. */
    private static int factorSign(Term f, Term g, Budget budget) {
        for (Map<String, Fraction> point : Points.of(variables(f, g), List.of(), budget)) {
            Optional<Approx> u = Numeric.at(f, point, Numeric.DIGITS, budget);
            Optional<Approx> v = Numeric.at(g, point, Numeric.DIGITS, budget);
            if (u.isPresent() && v.isPresent() && u.get().sign() != 0 && v.get().sign() != 0) {
                return u.get().sign() * v.get().sign();
            }
        }
        return 0;
    }

    /** f(p)·g is g(p)·f at one point p: then g is a multiple of f. The point's values are exact where both are. */
    private static boolean isConstant(Term f, Term g, Budget budget) {
        for (Map<String, Fraction> point : Points.of(variables(f, g), List.of(), budget)) {
            Term u = Critical.along(f, point);
            Term v = Critical.along(g, point);
            Optional<Approx> value = Numeric.approx(u, Map.of(), Numeric.DIGITS, budget);
            Optional<Approx> other = Numeric.approx(v, Map.of(), Numeric.DIGITS, budget);
            if (value.isPresent()
                    && other.isPresent()
                    && value.get().sign() != 0
                    && other.get().sign() != 0) {
                return Equality.of(new Term.Mul(u, g), new Term.Mul(v, f), budget)
                        .isSame();
            }
        }
        return false;
    }

    private static TreeSet<String> variables(Term f, Term g) {
        TreeSet<String> variables = new TreeSet<>();
        f.variables().forEach(variables::add);
        g.variables().forEach(variables::add);
        return variables;
    }

    static boolean isEquation(Statement s) {
        return s instanceof Relation r && r.sign() == Sign.EQUAL;
    }
}
