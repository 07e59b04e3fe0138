package org.scholion.core.maths;

import java.util.Map;
import java.util.Optional;
import org.scholion.core.maths.Statement.Relation;
import org.scholion.core.maths.Statement.Value;
import org.scholion.core.number.Fraction;

/** What an unknown number of a line must be, so that the line follows; where it stands linearly and one number will do. */
final class RightNumber {
    private RightNumber() {}

    static Optional<Fraction> of(Statement before, Edge edge, Statement variant, Budget budget) {
        if (edge.point().isEmpty()) {
            return Optional.empty();
        }
        Optional<Fraction> k = solved(
                difference(before, with(variant, Fraction.ZERO)),
                difference(before, with(variant, Fraction.ONE)),
                edge.point().get(),
                budget);
        return k.filter(n -> Solutions.of(before, with(variant, n), budget).isSame());
    }

    private static Term difference(Statement before, Statement line) {
        return line instanceof Relation r
                ? r.difference()
                : ((Value) line).term().minus(((Value) before).term());
    }

    /** f(0) + k (f(1) − f(0)) = 0. */
    private static Optional<Fraction> solved(Term f0, Term f1, Map<String, Fraction> point, Budget budget) {
        Rational zero = new Normal(budget).of(Critical.along(f0, point));
        Rational one = new Normal(budget).of(Critical.along(f1, point));
        if (!zero.isConstant() || !one.isConstant()) {
            return Optional.empty();
        }
        Fraction a = zero.num().constant();
        Fraction slope = one.num().constant().minus(a);
        return slope.isZero() ? Optional.empty() : Optional.of(a.negate().over(slope));
    }

    private static Statement with(Statement variant, Fraction n) {
        return variant instanceof Relation r
                ? new Relation(put(r.left(), n), r.sign(), put(r.right(), n))
                : new Value(put(((Value) variant).term(), n));
    }

    private static Term put(Term in, Fraction n) {
        return in.replaced(t -> t instanceof Term.Fn fn && fn.name().equals(Repairs.UNKNOWN) ? new Term.Num(n) : null);
    }
}
