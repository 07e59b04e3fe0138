package org.scholion.core.quantity;

import java.util.HashMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.scholion.core.number.Fraction;

/** The units we know, each by its symbol. Factors are exact by definition (SI brochure; 1 nmi = 1852 m, 1 ft = 0.3048 m). */
final class UnitTable {
    private static final int[] LENGTH = {1, 0, 0, 0, 0, 0, 0};
    private static final int[] MASS = {0, 1, 0, 0, 0, 0, 0};
    private static final int[] TIME = {0, 0, 1, 0, 0, 0, 0};
    private static final int[] CURRENT = {0, 0, 0, 1, 0, 0, 0};
    private static final int[] HEAT = {0, 0, 0, 0, 1, 0, 0};
    private static final int[] ARC = {0, 0, 0, 0, 0, 1, 0};
    private static final int[] SHARE = {0, 0, 0, 0, 0, 0, 1};
    private static final int[] FORCE = {1, 1, -2, 0, 0, 0, 0};
    private static final int[] PRESSURE = {-1, 1, -2, 0, 0, 0, 0};
    private static final int[] ENERGY = {2, 1, -2, 0, 0, 0, 0};
    private static final int[] POWER = {2, 1, -3, 0, 0, 0, 0};
    private static final int[] TENSION = {2, 1, -3, -1, 0, 0, 0};
    private static final int[] RESISTANCE = {2, 1, -3, -2, 0, 0, 0};

    private static final Map<String, Unit> UNITS = new HashMap<>();
    private static final Map<String, Fraction> PREFIXES = new HashMap<>();

    static {
        PREFIXES.put("n", Fraction.exactly("1/1000000000"));
        PREFIXES.put("u", Fraction.exactly("1/1000000"));
        PREFIXES.put("\u03BC", Fraction.exactly("1/1000000"));
        PREFIXES.put("m", Fraction.exactly("1/1000"));
        PREFIXES.put("c", Fraction.exactly("1/100"));
        PREFIXES.put("d", Fraction.exactly("1/10"));
        PREFIXES.put("da", Fraction.of(10));
        PREFIXES.put("h", Fraction.of(100));
        PREFIXES.put("k", Fraction.of(1_000));
        PREFIXES.put("M", Fraction.of(1_000_000));
        PREFIXES.put("G", Fraction.of(1_000_000_000));

        withPrefixes("m", LENGTH, "1");
        withPrefixes("g", MASS, "1");
        withPrefixes("s", TIME, "1");
        withPrefixes("A", CURRENT, "1");
        withPrefixes("K", HEAT, "1");
        withPrefixes("t", MASS, "1000000");
        withPrefixes("L", new int[] {3, 0, 0, 0, 0, 0, 0}, "1/1000");
        withPrefixes("l", new int[] {3, 0, 0, 0, 0, 0, 0}, "1/1000");
        withPrefixes("Hz", new int[] {0, 0, -1, 0, 0, 0, 0}, "1");
        withPrefixes("N", FORCE, "1000");
        withPrefixes("Pa", PRESSURE, "1000");
        withPrefixes("bar", PRESSURE, "100000000");
        withPrefixes("J", ENERGY, "1000");
        withPrefixes("W", POWER, "1000");
        withPrefixes("V", TENSION, "1000");
        withPrefixes("\u03A9", RESISTANCE, "1000");
        withPrefixes("ohm", RESISTANCE, "1000");
        alone("in", LENGTH, "0.0254");
        alone("ft", LENGTH, "0.3048");
        alone("yd", LENGTH, "0.9144");
        alone("mi", LENGTH, "1609.344");
        alone("nmi", LENGTH, "1852");
        alone("NM", LENGTH, "1852");
        alone("min", TIME, "60");
        alone("h", TIME, "3600");
        alone("d", TIME, "86400");
        alone("lb", MASS, "453.59237");
        alone("oz", MASS, "28.349523125");
        alone("ha", new int[] {2, 0, 0, 0, 0, 0, 0}, "10000");
        alone("kn", new int[] {1, 0, -1, 0, 0, 0, 0}, "1852/3600");
        alone("°", ARC, "1");
        alone("deg", ARC, "1");
        alone("%", SHARE, "1");
        UNITS.put("°C", new Unit("°C", HEAT, Fraction.ONE, Fraction.exactly("273.15")));
        UNITS.put(
                "°F",
                new Unit(
                        "°F",
                        HEAT,
                        Fraction.of(5, 9),
                        Fraction.exactly("459.67").times(Fraction.of(5, 9))));
    }

    private UnitTable() {}

    static Map<String, Unit> all() {
        return UNITS;
    }

    static @Nullable Unit get(String symbol) {
        return UNITS.get(symbol);
    }

    private static void alone(String symbol, int[] dimension, String factor) {
        UNITS.put(symbol, new Unit(symbol, dimension, Fraction.exactly(factor), Fraction.ZERO));
    }

    /** Puts the unit with each prefix; a symbol that is put later (min, nmi, d) goes before a prefixed one. */
    private static void withPrefixes(String symbol, int[] dimension, String factor) {
        Unit unit = new Unit(symbol, dimension, Fraction.exactly(factor), Fraction.ZERO);
        UNITS.put(symbol, unit);
        PREFIXES.forEach((prefix, by) -> UNITS.putIfAbsent(prefix + symbol, unit.prefixed(prefix, by)));
    }
}
