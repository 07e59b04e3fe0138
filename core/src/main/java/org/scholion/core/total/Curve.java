package org.scholion.core.total;

import java.math.BigDecimal;
import java.math.BigInteger;
import java.math.MathContext;
import java.math.RoundingMode;
import org.scholion.core.item.Faulty;
import org.scholion.core.number.Fraction;

/** One step of a curve, on percents before rounding; its outcome is clipped to 0…100. */
public sealed interface Curve {
    /** The percent after this step. {@code highest} is the highest of all attempts of the sitting before it. */
    Fraction raw(Fraction percent, Fraction highest);

    default Fraction apply(Fraction percent, Fraction highest) {
        return raw(percent, highest).clamp(Fraction.ZERO, Fraction.HUNDRED);
    }

    /** Whether it depends on what the other attempts of the sitting came to. */
    default boolean needsHighest() {
        return false;
    }

    /** Adds so many percent points. */
    record Add(Fraction amount) implements Curve {
        @Override
        public Fraction raw(Fraction percent, Fraction highest) {
            return percent.plus(amount);
        }
    }

    /** The highest percent becomes this; all are multiplied by the same factor. */
    record ScaleTo(Fraction top) implements Curve {
        @Override
        public Fraction raw(Fraction percent, Fraction highest) {
            return highest.isZero() ? percent : percent.times(top).over(highest);
        }

        @Override
        public boolean needsHighest() {
            return true;
        }
    }

    /** Ten times the square root, to 12 decimals: the only step that is not exact. */
    record Root() implements Curve {
        private static final MathContext FINE = new MathContext(40, RoundingMode.HALF_UP);

        @Override
        public Fraction raw(Fraction percent, Fraction highest) {
            if (percent.signum() <= 0) {
                return Fraction.ZERO;
            }
            // 10√(n/d) = √(100·n·d) / d keeps the root of a whole number.
            BigInteger inside =
                    percent.numerator().multiply(percent.denominator()).multiply(BigInteger.valueOf(100));
            BigDecimal root = new BigDecimal(inside).sqrt(FINE);
            return Fraction.of(root.divide(new BigDecimal(percent.denominator()), 12, RoundingMode.HALF_UP));
        }
    }

    /** The straight line through two points. */
    record Line(Fraction x1, Fraction y1, Fraction x2, Fraction y2) implements Curve {
        public Line {
            Faulty.unless(!x1.equals(x2), "line", "the line's two points have the same x");
        }

        @Override
        public Fraction raw(Fraction percent, Fraction highest) {
            return y1.plus(percent.minus(x1).times(y2.minus(y1)).over(x2.minus(x1)));
        }
    }
}
