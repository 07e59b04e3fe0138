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

    /**
     * Whether the differences of their sides are multiples of one another, the signs fitting: f(p)·g is g(p)·f for one
     * point p where both have a value.
     */
    static boolean areMultiples(Relation a, Relation b, Budget budget) {
        Term f = a.difference();
        Term g = b.difference();
        for (Map<String, Fraction> point : Points.of(variables(f, g), List.of(), budget)) {
            Term u = Critical.along(f, point);
            Term v = Critical.along(g, point);
            int sign = sign(u, budget) * sign(v, budget);
            if (sign != 0) {
                Sign fitting = sign > 0 ? a.sign() : a.sign().turned();
                return fitting == b.sign()
                        && Equality.of(new Term.Mul(u, g), new Term.Mul(v, f), budget)
                                .isSame();
            }
        }
        return false;
    }

    private static int sign(Term number, Budget budget) {
        return Numeric.approx(number, Map.of(), Numeric.DIGITS, budget)
                .map(Approx::sign)
                .orElse(0);
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
