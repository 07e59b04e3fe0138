package org.scholion.core.maths;

import java.math.BigDecimal;
import java.math.BigInteger;
import java.math.RoundingMode;
import org.scholion.core.number.Fraction;

/** A real root of a square-free polynomial: exact where it is rational, else the only one in an open interval. */
final class Root {
    private final Uni of;
    private final Budget budget;
    private Fraction low;
    private Fraction high;
    private int signLow;

    /** The only root in the interval, whose ends are no roots; equal ends are the root itself. */
    Root(Uni of, Fraction low, Fraction high, Budget budget) {
        this.of = of;
        this.low = low;
        this.high = high;
        this.budget = budget;
        this.signLow = low.equals(high) ? 0 : of.signAt(low, budget);
        findRational();
    }

    boolean isRational() {
        return low.equals(high);
    }

    Fraction low() {
        return low;
    }

    Fraction high() {
        return high;
    }

    /** A rational root of a primitive polynomial is a whole number over the leading coefficient. */
    private void findRational() {
        if (isRational()) {
            return;
        }
        Fraction lead = Fraction.of(of.lead().abs(), BigInteger.ONE);
        for (int i = 0; i < 400 && high.minus(low).times(lead).compareTo(Fraction.HALF) > 0; i++) {
            halve();
            if (isRational()) {
                return;
            }
        }
        BigInteger near = low.plus(high).over(2).times(lead).plus(Fraction.HALF).toBigIntegerFloor();
        for (int by = -1; by <= 1; by++) {
            Fraction candidate = Fraction.of(near.add(BigInteger.valueOf(by)), BigInteger.ONE)
                    .over(lead);
            if (candidate.compareTo(low) > 0 && candidate.compareTo(high) < 0 && of.signAt(candidate, budget) == 0) {
                low = candidate;
                high = candidate;
            }
        }
    }

    void halve() {
        Fraction middle = low.plus(high).over(2);
        int sign = of.signAt(middle, budget);
        if (sign == 0) {
            low = middle;
            high = middle;
        } else if (sign == signLow) {
            low = middle;
        } else {
            high = middle;
        }
    }

    /** The sign of another polynomial here. */
    int signOf(Uni p) {
        if (p.isZero()) {
            return 0;
        }
        if (isRational()) {
            return p.signAt(low, budget);
        }
        if (isRootOf(p)) {
            return 0;
        }
        // No root of p lies here, so that it lies outside of a narrow enough interval.
        while (Sturm.of(p.squareFree(budget), budget).count(low, high) > 0
                || p.signAt(low, budget) == 0
                || p.signAt(high, budget) == 0) {
            halve();
            if (isRational()) {
                return p.signAt(low, budget);
            }
        }
        return p.signAt(low, budget);
    }

    private boolean isRootOf(Uni p) {
        Uni common = p.gcd(of, budget);
        return common.degree() >= 1
                && Sturm.of(common.squareFree(budget), budget).count(low, high) > 0;
    }

    /** Exact where it is rational, else to four decimals. */
    String shown() {
        if (isRational()) {
            return low.toExact();
        }
        while (high.minus(low).compareTo(Fraction.of(1, 100_000)) > 0) {
            halve();
        }
        BigDecimal value = Numeric.of(low.plus(high).over(2)).setScale(4, RoundingMode.HALF_UP);
        return "about " + value.stripTrailingZeros().toPlainString();
    }
}
