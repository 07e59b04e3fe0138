package org.scholion.core.maths;

import java.math.BigDecimal;

/**
 * A real number as far as it is known.
 *
 * @param value the number
 * @param error the power of ten that its error does not exceed
 */
record Approx(BigDecimal value, double error) {
    /** The error of an exact 0, and of everything below all bounds. */
    static final double NONE = -9_999;

    /** The power of ten below the first digit, so that the size is less than ten times ten to it. */
    static double magnitude(BigDecimal value) {
        return value.signum() == 0 ? NONE : (double) value.precision() - value.scale() - 1;
    }

    double magnitude() {
        return magnitude(value);
    }

    /** Its sign; 0 where its error reaches 0. */
    int sign() {
        return magnitude() < error ? 0 : value.signum();
    }

    /** Whether the two can be the same number. */
    boolean agrees(Approx other) {
        BigDecimal apart = value.subtract(other.value);
        return magnitude(apart) <= Math.max(error, other.error) + 1;
    }
}
