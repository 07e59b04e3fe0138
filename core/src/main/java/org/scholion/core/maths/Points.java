package org.scholion.core.maths;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SortedSet;
import org.scholion.core.number.Fraction;

/**
 * Points at which two terms are compared: small whole numbers first, since they explain best; then every pattern of
 * signs at seven magnitudes; and points on both sides of every place where a term can bend or end.
 */
final class Points {
    private static final int MOST_CRITICAL = 48;
    /** Where a critical term that is no polynomial is looked at for a change of sign, on both sides of 0. */
    private static final double[] GRID = {
        0, 0.001, 0.01, 0.1, 0.3, 0.7, 1, 1.5, 2, 2.5, 3, 4, 5, 6, 8, 10, 13, 17, 22, 30, 45, 70, 110, 200, 400, 900,
        3e3, 1e4, 1e6
    };

    private final List<String> variables;
    private final Budget budget;
    private final Set<Map<String, Fraction>> points = new LinkedHashSet<>();

    private Points(SortedSet<String> variables, Budget budget) {
        this.variables = List.copyOf(variables);
        this.budget = budget;
    }

    /** The points for some terms; one that says nothing where there are no variables. */
    static List<Map<String, Fraction>> of(SortedSet<String> variables, List<Term> critical, Budget budget) {
        if (variables.isEmpty()) {
            return List.of(Map.of());
        }
        Points points = new Points(variables, budget);
        points.small();
        points.critical(critical);
        points.scattered();
        return List.copyOf(points.points);
    }

    private void small() {
        for (int i = 0; i < 4; i++) {
            Map<String, Fraction> point = new LinkedHashMap<>();
            for (int v = 0; v < variables.size(); v++) {
                point.put(variables.get(v), Fraction.of(2 + i + 3L * v));
            }
            points.add(point);
        }
    }

    /** Sizes from a thousandth to thousands, the signs of all variables independent of one another. */
    private void scattered() {
        int enough = variables.size() == 1 ? 24 : variables.size() == 2 ? 32 : 40;
        for (int i = 0; i < enough; i++) {
            points.add(scattered(i));
        }
    }

    private Map<String, Fraction> scattered(int i) {
        Map<String, Fraction> point = new LinkedHashMap<>();
        for (int v = 0; v < variables.size(); v++) {
            long mixed = (i + 1L) * 0x9E3779B97F4A7C15L ^ (v + 1L) * 0xC2B2AE3D27D4EB4FL;
            mixed ^= mixed >>> 29;
            int magnitude = i % 7 == 0 ? 0 : Math.floorMod(i + v, 7) - 3;
            Fraction value = Fraction.of(1 + Math.floorMod(mixed, 4999), i % 3 == 0 ? 997 : 1009);
            for (int m = 0; m < Math.abs(magnitude); m++) {
                value = magnitude < 0 ? value.over(10) : value.times(10);
            }
            // The signs count in binary, so that with few variables every pattern comes early.
            boolean minus = (i >> Math.min(v, 4) & 1) == 1;
            point.put(variables.get(v), minus ? value.negate() : value);
        }
        return point;
    }

    private void critical(List<Term> terms) {
        int before = points.size();
        for (int i = 0; i < 5; i++) {
            for (String along : variables) {
                Map<String, Fraction> others = scattered(7 * i + 1);
                others.remove(along);
                if (i == 1) {
                    others.replaceAll((name, value) -> Fraction.ZERO);
                }
                for (Term term : terms) {
                    if (points.size() - before >= MOST_CRITICAL) {
                        return;
                    }
                    if (term.variables().anyMatch(along::equals)) {
                        beside(term, along, others);
                    }
                }
            }
            if (variables.size() == 1) {
                return;
            }
        }
    }

    /** A point in each of the intervals between the zeros along a line. */
    private void beside(Term term, String along, Map<String, Fraction> others) {
        Term line = Critical.along(term, others);
        List<Fraction[]> zeros = zeros(line, along);
        for (int i = 0; i <= zeros.size() && !zeros.isEmpty() && i < 12; i++) {
            Fraction low = i == 0 ? null : zeros.get(i - 1)[1];
            Fraction high = i == zeros.size() ? null : zeros.get(i)[0];
            if (low == null && high != null) {
                add(along, high.minus(near(high)), others);
                add(along, high.minus(far(high)), others);
            } else if (high == null && low != null) {
                add(along, low.plus(near(low)), others);
                add(along, low.plus(far(low)), others);
            } else if (low != null && high != null) {
                add(along, low.plus(high).over(2), others);
            }
        }
    }

    private static Fraction near(Fraction zero) {
        return zero.abs().plus(Fraction.ONE).over(64);
    }

    private static Fraction far(Fraction zero) {
        return zero.abs().plus(Fraction.ONE).times(3);
    }

    private void add(String along, Fraction value, Map<String, Fraction> others) {
        Map<String, Fraction> point = new LinkedHashMap<>(others);
        point.put(along, value);
        points.add(point);
    }

    /** Intervals that hold a zero each, from left to right. */
    private List<Fraction[]> zeros(Term line, String along) {
        try {
            Rational r = new Normal(budget).of(line);
            if (r.isPlain() && r.num().atoms().equals(Set.of(along))) {
                Uni polynomial = Uni.of(r.num(), along).squareFree(budget);
                return Sturm.of(polynomial, budget).roots().stream()
                        .map(root -> new Fraction[] {root.low(), root.high()})
                        .toList();
            }
        } catch (Undecided e) {
            // Then it is looked for by its values.
            budget.spend(100);
        }
        return byValues(line, along);
    }

    private List<Fraction[]> byValues(Term line, String along) {
        List<Fraction[]> found = new ArrayList<>();
        Fraction before = null;
        int signBefore = 0;
        for (int i = -GRID.length + 1; i < GRID.length; i++) {
            Fraction x = Fraction.of(java.math.BigDecimal.valueOf(Math.signum(i) * GRID[Math.abs(i)]));
            budget.spend(10);
            Quick.Value value = Quick.at(line, Map.of(along, x));
            int sign = value.sign();
            if (before != null && sign != 0 && signBefore != 0 && sign != signBefore) {
                found.add(narrowed(line, along, before, x, signBefore));
            } else if (value.known() == Quick.Known.YES && sign == 0) {
                found.add(new Fraction[] {x, x});
            }
            before = x;
            signBefore = sign;
        }
        return found;
    }

    private Fraction[] narrowed(Term line, String along, Fraction low, Fraction high, int signLow) {
        Fraction from = low;
        Fraction to = high;
        for (int i = 0; i < 12; i++) {
            Fraction middle = from.plus(to).over(2);
            budget.spend(10);
            int sign = Quick.at(line, Map.of(along, middle)).sign();
            if (sign == signLow) {
                from = middle;
            } else {
                to = middle;
            }
        }
        return new Fraction[] {from, to};
    }
}
