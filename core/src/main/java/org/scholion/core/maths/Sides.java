package org.scholion.core.maths;

import java.util.List;
import java.util.Map;
import org.scholion.core.number.Fraction;

/** Whether every critical term was seen on both of its sides. */
final class Sides {
    private final List<Term> critical;
    private final boolean[] above;
    private final boolean[] below;
    private final Budget budget;

    Sides(List<Term> critical, Budget budget) {
        this.critical = critical;
        this.above = new boolean[critical.size()];
        this.below = new boolean[critical.size()];
        this.budget = budget;
    }

    /** Looks at a point; returns on which side of every critical term it lies, the same for points of one stretch. */
    String see(Map<String, Fraction> point) {
        StringBuilder pattern = new StringBuilder();
        for (int i = 0; i < above.length; i++) {
            int sign = sign(critical.get(i), point);
            above[i] |= sign > 0;
            below[i] |= sign < 0;
            pattern.append(sign).append(' ');
        }
        return pattern.toString();
    }

    private int sign(Term term, Map<String, Fraction> point) {
        budget.spend(5);
        return Quick.at(term, point).sign();
    }

    /** Seen on both, or shown to have but one. */
    boolean all() {
        for (int i = 0; i < above.length; i++) {
            if (!(above[i] && below[i]) && !Critical.hasOneSign(critical.get(i)) && !hasNoZero(critical.get(i))) {
                return false;
            }
        }
        return true;
    }

    /** A polynomial in one variable without real roots, or with roots of even order alone, whose sides are all seen. */
    private boolean hasNoZero(Term term) {
        try {
            Rational r = new Normal(budget).of(term);
            List<String> variables = term.variables().toList();
            if (!r.isPlain() || variables.size() != 1 || r.num().atoms().size() > 1) {
                return false;
            }
            Uni p = Uni.of(r.num(), variables.get(0));
            for (Root root : Sturm.of(p.squareFree(budget), budget).roots()) {
                Uni derivative = p.derivative();
                if (root.signOf(derivative) != 0) {
                    return false;
                }
            }
            return true;
        } catch (Undecided e) {
            return false;
        }
    }
}
