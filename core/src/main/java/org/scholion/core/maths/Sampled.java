package org.scholion.core.maths;

import java.math.MathContext;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedSet;
import org.jspecify.annotations.Nullable;
import org.scholion.core.number.Fraction;

/**
 * Two terms compared by their values: in sixteen digits at all points, in fifty at one point of every stretch and
 * wherever sixteen leave something open, in a hundred and forty where very large or small numbers are about.
 */
final class Sampled {
    /** So many points must agree, and so many of them in fifty digits. */
    private static final int FEWEST = 8;

    private static final int PRECISE = 3;
    private static final int STRETCHES = 12;

    private final Term a;
    private final Term b;
    private final List<Term> critical;
    private final List<Map<String, Fraction>> points;
    private final Sides sides;
    private final Budget budget;
    private final boolean constant;
    private int agreed;
    private int ended;
    private final Map<String, Map<String, Fraction>> stretches = new LinkedHashMap<>();

    Sampled(Term a, Term b, SortedSet<String> variables, Budget budget) {
        this.a = a;
        this.b = b;
        this.budget = budget;
        this.constant = variables.isEmpty();
        this.critical = Critical.of(a, b);
        this.points = Points.of(variables, critical, budget);
        this.sides = new Sides(critical, budget);
    }

    Verdict verdict() {
        for (Map<String, Fraction> point : points) {
            budget.spend(20);
            Verdict different = look(point);
            if (different != null) {
                return different;
            }
        }
        Verdict different = lookClosely();
        if (different != null) {
            return different;
        }
        if (agreed < (constant ? 1 : FEWEST)) {
            return Verdict.undecided("it is defined at too few points");
        }
        if (ended > 0) {
            return Verdict.undecided("one of the two is defined where the other is not");
        }
        return sides.all() ? Verdict.SAME : Verdict.undecided("it may change where no value was tried");
    }

    private @Nullable Verdict look(Map<String, Fraction> point) {
        Quick.Value left = Quick.at(a, point);
        Quick.Value right = Quick.at(b, point);
        String stretch = sides.see(point);
        if (left.known() == Quick.Known.UNDEFINED || right.known() == Quick.Known.UNDEFINED) {
            boolean one = left.known() != right.known()
                    && left.known() != Quick.Known.OPEN
                    && right.known() != Quick.Known.OPEN;
            ended += one && Domain.endsAt(left.known() == Quick.Known.UNDEFINED ? a : b, point, budget) ? 1 : 0;
            return null;
        }
        boolean open = left.known() == Quick.Known.OPEN || right.known() == Quick.Known.OPEN;
        if (open || left.differs(right)) {
            return precise(point, Numeric.DIGITS);
        }
        agreed++;
        stretches.putIfAbsent(stretch, point);
        return null;
    }

    /** One point of every stretch, and some more, in fifty digits; two in very many where that can matter. */
    private @Nullable Verdict lookClosely() {
        Set<Map<String, Fraction>> close = new HashSet<>();
        int n = 0;
        for (Map<String, Fraction> point : stretches.values()) {
            if (n++ < STRETCHES) {
                close.add(point);
            }
        }
        for (int i = 0; i < points.size() && close.size() < PRECISE; i++) {
            close.add(points.get(points.size() - 1 - i));
        }
        int many = isExtreme(a) || isExtreme(b) ? 2 : 0;
        for (Map<String, Fraction> point : close) {
            Verdict different = precise(point, many-- > 0 ? Numeric.MANY : Numeric.DIGITS);
            if (different != null) {
                return different;
            }
        }
        return null;
    }

    /** Whether very large or very small numbers stand in it, beside which something could vanish in fifty digits. */
    private static boolean isExtreme(Term term) {
        return term.all()
                .anyMatch(t -> t instanceof Term.Num n && isLong(n.value())
                        || t instanceof Term.Pow pow
                                && pow.exponent()
                                        .all()
                                        .anyMatch(e -> e instanceof Term.Num n
                                                && n.value().abs().compareTo(HIGH) > 0));
    }

    private static final Fraction HIGH = Fraction.of(8);

    private static boolean isLong(Fraction value) {
        return value.numerator().bitLength() > 30 || value.denominator().bitLength() > 30;
    }

    private @Nullable Verdict precise(Map<String, Fraction> point, MathContext digits) {
        Optional<Approx> left = Numeric.at(a, point, digits, budget);
        Optional<Approx> right = Numeric.at(b, point, digits, budget);
        if (left.isEmpty() || right.isEmpty()) {
            return null;
        }
        if (!left.get().agrees(right.get())) {
            return Equality.different(point, left.get().value(), right.get().value());
        }
        agreed++;
        return null;
    }
}
