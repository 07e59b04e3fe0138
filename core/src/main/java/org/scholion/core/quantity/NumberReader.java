package org.scholion.core.quantity;

import java.math.BigDecimal;
import java.math.BigInteger;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.scholion.core.number.Fraction;
import org.scholion.core.number.VulgarFractions;

/** Reads one trimmed text as a number with at most a unit. */
final class NumberReader {
    private static final String SUPERSCRIPTS = "⁰¹²³⁴⁵⁶⁷⁸⁹";
    private static final String SPACES = " \u00A0\u202F\u2009";

    /** Beyond this no key can tell two numbers apart, since a key's numbers have at most 200 characters. */
    private static final int FARTHEST = 1_500;

    private final String text;
    private final char decimal;
    private final boolean percentIsUnit;

    NumberReader(String text, char decimal, boolean percentIsUnit) {
        this.text = text;
        this.decimal = decimal;
        this.percentIsUnit = percentIsUnit;
    }

    /** A number that was found, and where it ends. */
    private record Found(Fraction value, int end, int fewest, int most, boolean asFraction) {}

    Optional<TypedNumber> read() {
        char first = text.charAt(0);
        boolean signed = first == '+' || isMinus(first);
        int start = signed ? skipSpaces(1) : 0;
        Found found = longer(longer(fraction(start), decimalNumber(start)), powerOfTen(start));
        if (found == null) {
            return Optional.empty();
        }
        Fraction value = signed && first != '+' ? found.value().negate() : found.value();
        int end = found.end();
        int percent = skipSpaces(end);
        if (percent < text.length() && text.charAt(percent) == '%' && !percentIsUnit) {
            value = value.over(Fraction.HUNDRED);
            end = percent + 1;
        }
        String unit = TypedNumber.trim(text.substring(end));
        return beginsUnit(unit)
                ? Optional.of(new TypedNumber(value, unit, found.fewest(), found.most(), found.asFraction()))
                : Optional.empty();
    }

    static boolean isMinus(char c) {
        return c == '-' || c == '\u2212' || c == '\u2013';
    }

    private boolean beginsUnit(String rest) {
        if (rest.isEmpty() || percentIsUnit && rest.equals("%")) {
            return true;
        }
        if (rest.charAt(0) == '\'' && rest.length() > 1 && isDigit(rest.charAt(1))) {
            // A grouping that is not in threes, not a unit.
            return false;
        }
        int c = rest.codePointAt(0);
        return Character.isLetter(c) || "°µΩ'\"".indexOf(c) >= 0;
    }

    private static @Nullable Found longer(@Nullable Found a, @Nullable Found b) {
        return a == null ? b : b == null || a.end() >= b.end() ? a : b;
    }

    /** {@code 3/4}, {@code 3 / 4}, {@code 1 3/4} of plain digits, or {@code ½}, {@code 1½}, {@code 1 ½}. */
    private @Nullable Found fraction(int start) {
        int end = digits(start);
        int next = skipSpaces(end);
        Fraction vulgar = next < text.length() ? VulgarFractions.of(text.charAt(next)) : null;
        if (vulgar != null && (end > start || next == start)) {
            Fraction whole = end > start ? Fraction.exactlyWhole(text.substring(start, end)) : Fraction.ZERO;
            return new Found(whole.plus(vulgar), next + 1, 0, 0, true);
        }
        if (end == start) {
            return null;
        }
        Found plain = quotient(start, end, Fraction.ZERO);
        return plain != null || next == end
                ? plain
                : quotient(next, digits(next), Fraction.exactlyWhole(text.substring(start, end)));
    }

    /** A whole number and a quotient whose upper digits stand between two places. */
    private @Nullable Found quotient(int from, int to, Fraction whole) {
        int slash = skipSpaces(to);
        if (to == from || slash >= text.length() || text.charAt(slash) != '/') {
            return null;
        }
        int below = skipSpaces(slash + 1);
        int end = digits(below);
        if (end == below) {
            return null;
        }
        BigInteger den = new BigInteger(text.substring(below, end));
        return den.signum() == 0
                ? null
                : new Found(whole.plus(Fraction.of(new BigInteger(text.substring(from, to)), den)), end, 0, 0, true);
    }

    /** {@code 10^3} or {@code 10⁻³} by itself; one figure. */
    private @Nullable Found powerOfTen(int start) {
        Exponent power = tenTo(start, new Exponent(0, start));
        return power.end() == start ? null : new Found(value("1", power.power()), power.end(), 1, 1, false);
    }

    private @Nullable Found decimalNumber(int start) {
        StringBuilder all = new StringBuilder();
        int at = wholePart(start, all);
        int decimals = 0;
        boolean marked = at < text.length() && text.charAt(at) == decimal;
        if (marked) {
            int end = digits(at + 1);
            marked = all.length() > 0 || end > at + 1;
            if (marked) {
                all.append(text, at + 1, end);
                decimals = end - at - 1;
                at = end;
            }
        }
        if (all.length() == 0) {
            return null;
        }
        Exponent exponent = exponent(at);
        String shown = withoutLeadingZeros(all);
        int least = marked ? shown.length() : withoutTrailingZeros(shown);
        return new Found(
                value(shown, (long) exponent.power() - decimals), exponent.end(), least, shown.length(), false);
    }

    /** Appends the digits of the whole part, grouped or plain, whichever reaches further; returns where it ends. */
    private int wholePart(int start, StringBuilder out) {
        int plain = digits(start);
        int at = plain;
        if (plain > start && plain - start <= 3 && plain < text.length() && isGroupMark(text.charAt(plain))) {
            char mark = text.charAt(plain);
            while (at < text.length() && text.charAt(at) == mark && digits(at + 1) == at + 4) {
                at += 4;
            }
        }
        for (int i = start; i < at; i++) {
            if (isDigit(text.charAt(i))) {
                out.append(text.charAt(i));
            }
        }
        return at;
    }

    private boolean isGroupMark(char c) {
        return SPACES.indexOf(c) >= 0 || c == '\'' || c == '\u2019' || c == (decimal == '.' ? ',' : '.');
    }

    private record Exponent(int power, int end) {}

    /** {@code e3}, {@code E-3}, {@code ×10^3}, {@code x 10^-3}, {@code ·10⁻³}; power 0 where there is none. */
    private Exponent exponent(int at) {
        Exponent none = new Exponent(0, at);
        if (at < text.length() && (text.charAt(at) == 'e' || text.charAt(at) == 'E')) {
            return signedPower(at + 1, none);
        }
        int i = skipSpaces(at);
        if (i >= text.length() || "×xX*·".indexOf(text.charAt(i)) < 0) {
            return none;
        }
        return tenTo(skipSpaces(i + 1), none);
    }

    /** {@code 10^3}, {@code 10^{-3}} or {@code 10⁻³} at a place. */
    private Exponent tenTo(int at, Exponent none) {
        if (!text.startsWith("10", at)) {
            return none;
        }
        int i = at + 2;
        if (text.startsWith("^{", i)) {
            Exponent braced = signedPower(i + 2, none);
            return braced != none && text.startsWith("}", braced.end())
                    ? new Exponent(braced.power(), braced.end() + 1)
                    : none;
        }
        return text.startsWith("^", i) ? signedPower(i + 1, none) : superscriptPower(i, none);
    }

    private Exponent signedPower(int at, Exponent none) {
        boolean minus = at < text.length() && isMinus(text.charAt(at));
        int from = minus || at < text.length() && text.charAt(at) == '+' ? at + 1 : at;
        int end = digits(from);
        return end == from ? none : new Exponent(power(text.substring(from, end), minus), end);
    }

    private Exponent superscriptPower(int at, Exponent none) {
        boolean minus = text.startsWith("⁻", at);
        int from = minus || text.startsWith("⁺", at) ? at + 1 : at;
        StringBuilder digits = new StringBuilder();
        int end = from;
        while (end < text.length() && SUPERSCRIPTS.indexOf(text.charAt(end)) >= 0) {
            digits.append(SUPERSCRIPTS.indexOf(text.charAt(end)));
            end++;
        }
        return end == from ? none : new Exponent(power(digits.toString(), minus), end);
    }

    private static int power(String digits, boolean minus) {
        String shown = withoutLeadingZeros(digits);
        int size = shown.isEmpty() ? 0 : shown.length() > 6 ? 1_000_000 : Integer.parseInt(shown);
        return minus ? -size : size;
    }

    private static Fraction value(String digits, long power) {
        if (digits.isEmpty()) {
            return Fraction.ZERO;
        }
        long magnitude = digits.length() + power;
        if (magnitude > FARTHEST) {
            return Fraction.of(BigDecimal.ONE.scaleByPowerOfTen(FARTHEST));
        }
        if (magnitude < -FARTHEST) {
            return Fraction.of(BigDecimal.ONE.scaleByPowerOfTen(-FARTHEST));
        }
        return Fraction.of(new BigDecimal(new BigInteger(digits)).scaleByPowerOfTen((int) power));
    }

    private static String withoutLeadingZeros(CharSequence digits) {
        int i = 0;
        while (i < digits.length() && digits.charAt(i) == '0') {
            i++;
        }
        return digits.subSequence(i, digits.length()).toString();
    }

    private static int withoutTrailingZeros(String digits) {
        int n = digits.length();
        while (n > 0 && digits.charAt(n - 1) == '0') {
            n--;
        }
        return n;
    }

    private int skipSpaces(int at) {
        int i = at;
        while (i < text.length() && TypedNumber.isSpace(text.charAt(i))) {
            i++;
        }
        return i;
    }

    private int digits(int from) {
        int i = from;
        while (i < text.length() && isDigit(text.charAt(i))) {
            i++;
        }
        return i;
    }

    private static boolean isDigit(char c) {
        return c >= '0' && c <= '9';
    }
}
