package org.scholion.core.quantity;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.scholion.core.number.Fraction;

/**
 * Readings in more than one unit: {@code 12 min 30 s}, {@code 12°30'30"}, {@code 5' 3"}, {@code 12:30}. Where a text can
 * be read in two ways there are two.
 *
 * @param value in the unit that is expected
 * @param shown the reading as it was understood, such as {@code 12 h 30 min}
 * @param largest the unit of its first part
 */
public record Compound(Fraction value, String shown, Unit largest) {
    private static final int LONGEST = 60;
    private static final Pattern COLON =
            Pattern.compile("([+\\-\u2212\u2013]?)(\\d{1,3}):(\\d{2})(?::(\\d{2}))?(?:\\s*(h|min))?");
    private static final Pattern PART = Pattern.compile("\\s*(\\d+(?:[.,]\\d+)?)\\s*(\\p{L}+|°|''|'|\")");

    private static final List<String> TIME = List.of("d", "h", "min", "s");
    private static final List<String> ARC = List.of("°", "'", "\"");
    private static final List<String> LENGTH = List.of("ft", "in");

    /** The readings of a text that is no plain number with a unit; empty when there is none, or none in this dimension. */
    public static List<Compound> of(String text, char decimal, Unit expected) {
        if (text.length() > LONGEST) {
            return List.of();
        }
        String plain = TypedNumber.plain(text);
        if (isLike(expected, "s")) {
            Matcher colon = COLON.matcher(plain);
            return colon.matches() ? clock(colon, expected) : parts(plain, decimal, TIME, expected);
        }
        return isLike(expected, "°")
                ? parts(plain, decimal, ARC, expected)
                : isLike(expected, "m") ? parts(plain, decimal, LENGTH, expected) : List.of();
    }

    private static Unit unit(String sign) {
        return Objects.requireNonNull(UnitTable.get(sign));
    }

    private static boolean isLike(Unit expected, String sign) {
        return expected.sameDimension(unit(sign));
    }

    /** Hours and minutes, or minutes and seconds; with seconds behind, hours for certain. */
    private static List<Compound> clock(Matcher colon, Unit expected) {
        Fraction first = Fraction.exactlyWhole(colon.group(2));
        Fraction second = Fraction.exactlyWhole(colon.group(3));
        Fraction third = Fraction.exactlyWhole(colon.group(4) == null ? "0" : colon.group(4));
        Fraction sixty = Fraction.of(60);
        if (second.compareTo(sixty) >= 0 || third.compareTo(sixty) >= 0) {
            return List.of();
        }
        boolean minus = !colon.group(1).isEmpty() && !colon.group(1).equals("+");
        List<Compound> readings = new ArrayList<>();
        String label = colon.group(5);
        if (!"min".equals(label)) {
            Fraction seconds = first.times(3600).plus(second.times(60)).plus(third);
            String shown = first + " h " + second + " min" + (third.isZero() ? "" : " " + third + " s");
            readings.add(reading(minus, seconds, shown, "h", "s", expected));
        }
        if (!"h".equals(label) && colon.group(4) == null) {
            Fraction seconds = first.times(60).plus(second);
            readings.add(reading(minus, seconds, first + " min " + second + " s", "min", "s", expected));
        }
        return readings;
    }

    private static Compound reading(
            boolean minus, Fraction value, String shown, String largest, String in, Unit expected) {
        Fraction converted = unit(in).convert(minus ? value.negate() : value, expected);
        return new Compound(converted, (minus ? "−" : "") + shown, unit(largest));
    }

    /** Numbers, each with its unit, the units falling; only the last may have decimals, and none but the first is large. */
    private static List<Compound> parts(String text, char decimal, List<String> units, Unit expected) {
        boolean minus = !text.isEmpty() && NumberReader.isMinus(text.charAt(0));
        Matcher part = PART.matcher(text).region(minus || text.startsWith("+") ? 1 : 0, text.length());
        Fraction sum = Fraction.ZERO;
        List<String> shown = new ArrayList<>();
        int last = -1;
        int largest = -1;
        boolean hadDecimals = false;
        while (part.lookingAt()) {
            int place = place(part.group(2), units);
            Fraction value = value(part.group(1), decimal);
            boolean large = value != null && last >= 0 && value.compareTo(most(units.get(last), units)) >= 0;
            if (place <= last || value == null || hadDecimals || large) {
                return List.of();
            }
            hadDecimals = !value.isWhole();
            sum = sum.plus(value.times(inSmallest(units, place)));
            shown.add(value.toReadable() + " " + units.get(place));
            largest = largest < 0 ? place : largest;
            last = place;
            part.region(part.end(), text.length());
        }
        boolean whole = part.regionStart() == text.length();
        boolean isQuote = shown.size() == 1 && !Character.isLetter(text.charAt(text.length() - 1));
        if (!whole || shown.size() < 2 && !isQuote) {
            return List.of();
        }
        Fraction inFirst = sum.over(inSmallest(units, 0));
        Fraction value = unit(units.get(0)).convert(minus ? inFirst.negate() : inFirst, expected);
        // Parts of a degree have no sign of their own among the units.
        Unit first = unit(units == ARC ? "°" : units.get(largest));
        return List.of(new Compound(value, (minus ? "−" : "") + String.join(" ", shown), first));
    }

    private static @Nullable Fraction value(String digits, char decimal) {
        char other = decimal == '.' ? ',' : '.';
        return digits.indexOf(other) >= 0
                ? null
                : Fraction.parse(digits.replace(decimal, '.')).orElse(null);
    }

    /** Which of the falling units a label names; -1 for none. */
    private static int place(String label, List<String> units) {
        if (units == LENGTH && (label.equals("'") || label.equals("\"") || label.equals("''"))) {
            return label.equals("'") ? 0 : 1;
        }
        String sign = label.equals("''") ? "\"" : label;
        if (units.contains(sign)) {
            return units.indexOf(sign);
        }
        String named = label.equals("deg") ? "°" : UnitNames.sign(label);
        return named == null ? -1 : units.indexOf(named);
    }

    /** From so many on, the part belongs to the unit before it. */
    private static Fraction most(String above, List<String> units) {
        return units == LENGTH ? Fraction.of(12) : above.equals("d") ? Fraction.of(24) : Fraction.of(60);
    }

    private static Fraction inSmallest(List<String> units, int place) {
        Fraction size = Fraction.ONE;
        for (int i = units.size() - 1; i > place; i--) {
            size = size.times(most(units.get(i - 1), units));
        }
        return size;
    }
}
