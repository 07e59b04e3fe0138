package org.scholion.core.quantity;

import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** What units are called in English, singular and plural, in British and American spelling, and how people shorten them. */
final class UnitNames {
    /** The sign, and the names that stand for it. */
    private static final String NAMES = """
            m: metre metres meter meters
            g: gram grams gramme grammes gm gms
            s: second seconds sec secs
            min: minute minutes mins
            h: hour hours hr hrs
            d: day days
            t: tonne tonnes
            L: litre litres liter liters ltr
            A: ampere amperes amp amps
            K: kelvin kelvins
            Hz: hertz
            N: newton newtons
            Pa: pascal pascals
            bar: bars
            J: joule joules
            W: watt watts
            V: volt volts
            ohm: ohms
            in: inch inches ins
            ft: foot feet
            yd: yard yards yds
            mi: mile miles
            nmi: nauticalmile nauticalmiles seamile seamiles
            lb: pound pounds lbs
            oz: ounce ounces
            ha: hectare hectares
            kn: knot knots kts
            °: degree degrees degs
            °C: celsius degc
            °F: fahrenheit degf
            %: percent percents
            kg: kgs kilo kilos
            km: kms
            cm: cms
            mL: mls
            """;

    /** Shortenings that stand for a quotient. */
    private static final Map<String, String> QUOTIENTS =
            Map.of("kph", "km/h", "kmh", "km/h", "kmph", "km/h", "mph", "mi/h", "mps", "m/s", "fps", "ft/s");

    private static final Map<String, String> PREFIXES = Map.of(
            "nano", "n",
            "micro", "u",
            "milli", "m",
            "centi", "c",
            "deci", "d",
            "hecto", "h",
            "kilo", "k",
            "mega", "M",
            "giga", "G");
    private static final Set<String> PREFIXED =
            Set.of("m", "g", "s", "L", "A", "K", "Hz", "N", "Pa", "bar", "J", "W", "V", "ohm");

    private static final Map<String, String> SIGNS = new LinkedHashMap<>();

    static {
        NAMES.lines().forEach(line -> {
            String sign = line.substring(0, line.indexOf(':'));
            for (String name : line.substring(line.indexOf(':') + 2).split(" ")) {
                SIGNS.put(name, sign);
                if (PREFIXED.contains(sign)) {
                    PREFIXES.forEach((word, prefix) -> SIGNS.putIfAbsent(word + name, prefix + sign));
                }
            }
        });
    }

    private static final Map<String, Unit> KNOWN = new LinkedHashMap<>(UnitTable.all());

    static {
        SIGNS.forEach((name, sign) -> {
            Unit unit = UnitTable.get(sign);
            if (unit != null) {
                KNOWN.put(name, unit);
            }
        });
    }

    private UnitNames() {}

    /** The sign of a unit that is called so, in any case; null when nothing is. */
    static @Nullable String sign(String name) {
        // A name of one or two letters would hide a sign in another case.
        return name.length() < 2 ? null : SIGNS.get(name.toLowerCase(Locale.ROOT));
    }

    /** The quotient that such a shortening stands for, {@code km/h} for kph; null when it is none. */
    static @Nullable String quotient(String name) {
        return QUOTIENTS.get(name.toLowerCase(Locale.ROOT));
    }

    /** Every unit by its sign and by its names. */
    static Map<String, Unit> known() {
        return KNOWN;
    }

    /** For teachers: each sign and its names as they stand above. */
    static Map<String, String> told() {
        Map<String, String> told = new LinkedHashMap<>();
        NAMES.lines()
                .forEach(l -> told.put(
                        l.substring(0, l.indexOf(':')),
                        l.substring(l.indexOf(':') + 2)
                                .replace(" ", ", ")
                                .replace("mile", " mile")
                                .replace("deg", "deg ")
                                .replace("deg ree", "degree")
                                .replace("deg s", "degs")
                                .replace(",  mile", ", mile")
                                .strip()));
        return told;
    }
}
