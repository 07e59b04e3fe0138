package org.scholion.core.maths;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.scholion.core.maths.Statement.Relation;
import org.scholion.core.maths.Statement.Value;
import org.scholion.core.number.Fraction;

/** What an unknown number of a line must be, so that the line follows; where it stands linearly and one number will do. */
final class RightNumber {
    private RightNumber() {}

    static Optional<Fraction> of(Statement before, Statement variant, Budget budget) {
        Statement at0 = with(variant, Fraction.ZERO);
        Statement at1 = with(variant, Fraction.ONE);
        Optional<Fraction> k = before instanceof Value b && at0 instanceof Value zero && at1 instanceof Value one
                ? solved(zero.term().minus(b.term()), one.term().minus(b.term()), somewhere(before), budget)
                : solution(before, budget)
                        .flatMap(point -> at0 instanceof Relation zero && at1 instanceof Relation one
                                ? solved(zero.difference(), one.difference(), point, budget)
                                : Optional.empty());
        return k.filter(n -> Solutions.of(before, with(variant, n), budget).isSame());
    }

    private static Map<String, Fraction> somewhere(Statement s) {
        java.util.TreeMap<String, Fraction> point = new java.util.TreeMap<>();
        s.variables().forEach(v -> point.put(v, Fraction.of(3 + 2L * point.size())));
        return point;
    }

    /** One rational solution of the line before. */
    private static Optional<Map<String, Fraction>> solution(Statement before, Budget budget) {
        List<String> variables = before.variables().toList();
        if (variables.size() != 1 || !(before instanceof Relation r)) {
            return Optional.empty();
        }
        Relation edge = new Relation(r.left(), Statement.Sign.EQUAL, r.right());
        return Cells.of(List.of(edge), variables.get(0), budget).points(edge).stream()
                .flatMap(List::stream)
                .filter(Root::isRational)
                .map(root -> Map.of(variables.get(0), root.low()))
                .findFirst();
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
        return in instanceof Term.Fn fn && fn.name().equals(Repairs.UNKNOWN)
                ? new Term.Num(n)
                : in.of(in.parts().stream().map(p -> put(p, n)).toList());
    }
}
