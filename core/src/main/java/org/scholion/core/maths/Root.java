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

    /** The only root in the interval, whose ends are no roots; equal ends are the root itself. */
    Root(Uni of, Fraction low, Fraction high, Budget budget) {
        this.of = of;
        this.low = low;
        this.high = high;
        this.budget = budget;
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
        Fraction lead = of.lead().abs();
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
            if (candidate.compareTo(low) > 0
                    && candidate.compareTo(high) < 0
                    && of.at(candidate).isZero()) {
                low = candidate;
                high = candidate;
            }
        }
    }

    void halve() {
        budget.spend(of.degree() + 1L);
        Fraction middle = low.plus(high).over(2);
        int sign = of.at(middle).signum();
        if (sign == 0) {
            low = middle;
            high = middle;
        } else if (sign == of.at(low).signum()) {
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
            return p.at(low).signum();
        }
        if (isRootOf(p)) {
            return 0;
        }
        // No root of p lies here, so that it lies outside of a narrow enough interval.
        while (Sturm.of(p.squareFree(budget), budget).count(low, high) > 0
                || p.at(low).isZero()
                || p.at(high).isZero()) {
            halve();
            if (isRational()) {
                return p.at(low).signum();
            }
        }
        return p.at(low).signum();
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
