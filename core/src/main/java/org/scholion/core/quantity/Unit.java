package org.scholion.core.quantity;

import java.util.Arrays;
import java.util.Collections;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.scholion.core.number.Fraction;

/**
 * A unit of measure with its exact relation to the base units of its dimension.
 *
 * <p>A value v in this unit is {@code v × factor + offset} in base units. The dimension holds the powers of metre,
 * gram, second, ampere, kelvin, degree of arc and hundredth.
 */
public final class Unit {
    private final String shown;
    private final int[] dimension;
    private final Fraction factor;
    private final Fraction offset;

    Unit(String shown, int[] dimension, Fraction factor, Fraction offset) {
        this.shown = shown;
        this.dimension = dimension;
        this.factor = factor;
        this.offset = offset;
    }

    /** Reads {@code km/h}, {@code m s⁻¹}, {@code kWh}, {@code °C}, {@code metres per second}; empty when it is not known. */
    public static Optional<Unit> parse(String text) {
        return UnitReader.read(text, null);
    }

    /** The same where a unit is expected: what can be read as that one is, so that {@code ms^-2} is m·s⁻² for m/s². */
    public static Optional<Unit> parse(String text, Unit expected) {
        return UnitReader.read(text, expected);
    }

    /** The first part of a text that is not known, where the text is built like a unit; empty where all of it is known. */
    public static Optional<String> unknownPart(String text) {
        return UnitReader.unknown(text);
    }

    /** Every unit by its sign and by its names. */
    public static Map<String, Unit> known() {
        return Collections.unmodifiableMap(UnitNames.known());
    }

    /** The names of units beside their signs, for teachers. */
    public static Map<String, String> names() {
        return UnitNames.told();
    }

    public boolean sameDimension(Unit other) {
        return Arrays.equals(dimension, other.dimension);
    }

    public boolean sameUnit(Unit other) {
        return sameDimension(other) && factor.equals(other.factor) && offset.equals(other.offset);
    }

    /** A value of this unit in another unit of the same dimension, exactly. */
    public Fraction convert(Fraction value, Unit to) {
        return value.times(factor).plus(offset).minus(to.offset).over(to.factor);
    }

    Unit times(Unit other) {
        int[] sum = new int[dimension.length];
        for (int i = 0; i < sum.length; i++) {
            sum[i] = dimension[i] + other.dimension[i];
        }
        return new Unit(shown + "·" + other.shown, sum, factor.times(other.factor), Fraction.ZERO);
    }

    /** This unit to a whole power; a temperature becomes a difference of temperatures. */
    Unit power(int n) {
        int[] powers = new int[dimension.length];
        Fraction f = Fraction.ONE;
        for (int i = 0; i < Math.abs(n); i++) {
            f = f.times(factor);
        }
        for (int i = 0; i < powers.length; i++) {
            powers[i] = dimension[i] * n;
        }
        return new Unit(shown + "^" + n, powers, n < 0 ? Fraction.ONE.over(f) : f, Fraction.ZERO);
    }

    Unit prefixed(String prefix, Fraction by) {
        return new Unit(prefix + shown, dimension, factor.times(by), offset);
    }

    @Override
    public boolean equals(@Nullable Object o) {
        return o instanceof Unit other && sameUnit(other);
    }

    @Override
    public int hashCode() {
        return Arrays.hashCode(dimension) * 31 + factor.hashCode();
    }

    @Override
    public String toString() {
        return shown;
    }
}
