package org.scholion.core.maths;

import java.util.Map;
import java.util.Optional;

/** Whether a statement holds where its variable is a number of whatever kind. */
final class Substituted {
    private Substituted() {}

    enum Holds {
        YES,
        NO,
        /** The values agree as far as they are known, without a proof; or they are not defined. */
        OPEN
    }

    static Holds holds(Statement s, String variable, Term value, Budget budget) {
        if (s instanceof Statement.And and) {
            return and.all().stream()
                    .map(p -> holds(p, variable, value, budget))
                    .reduce(Holds.YES, (x, y) -> x == Holds.NO || y == Holds.NO ? Holds.NO : x == Holds.YES ? y : x);
        }
        if (s instanceof Statement.Or or) {
            return or.any().stream()
                    .map(p -> holds(p, variable, value, budget))
                    .reduce(Holds.NO, (x, y) -> x == Holds.YES || y == Holds.YES ? Holds.YES : x == Holds.NO ? y : x);
        }
        Statement.Relation r = (Statement.Relation) s;
        Term difference = put(r.difference(), variable, value);
        Optional<Approx> d = Numeric.approx(difference, Map.of(), Numeric.DIGITS, budget);
        if (d.isEmpty()) {
            return Holds.NO;
        }
        if (d.get().sign() != 0) {
            return r.sign().holds(d.get().sign()) ? Holds.YES : Holds.NO;
        }
        Verdict zero = Equality.of(difference, Term.num(0), budget);
        return zero.isUndecided() ? Holds.OPEN : r.sign().holds(0) ? Holds.YES : Holds.NO;
    }

    static Term put(Term in, String variable, Term value) {
        return in.replaced(t -> t instanceof Term.Sym sym && sym.name().equals(variable) ? value : null);
    }
}
