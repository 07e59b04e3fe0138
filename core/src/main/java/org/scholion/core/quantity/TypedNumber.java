package org.scholion.core.quantity;

import java.util.Optional;
import org.scholion.core.number.Fraction;

/**
 * A number as a person typed it: its exact value, the unit that was typed behind it, and its significant figures.
 *
 * @param unit what stands behind the number, trimmed; empty when nothing does
 * @param fewest significant figures when trailing zeros of a whole number do not count
 * @param most significant figures when they do
 * @param asFraction typed as a fraction or a mixed number, which has no significant figures
 */
public record TypedNumber(Fraction value, String unit, int fewest, int most, boolean asFraction) {

    /** A longer text is no number that a person typed. */
    private static final int LONGEST = 1_000;

    /**
     * Reads the longest number that the text begins with; the rest is its unit.
     *
     * @param decimal the decimal mark, {@code '.'} or {@code ','}
     * @param percentIsUnit whether {@code %} is the item's unit instead of a division by 100
     * @return empty when the text cannot be read as one number with at most a unit
     */
    public static Optional<TypedNumber> read(String text, char decimal, boolean percentIsUnit) {
        TypedNumber plain = PlainNumber.read(text, decimal);
        if (plain != null) {
            return Optional.of(plain);
        }
        String trimmed = trim(text);
        return trimmed.isEmpty() || trimmed.length() > LONGEST
                ? Optional.empty()
                : new NumberReader(trimmed, decimal, percentIsUnit).read();
    }

    /** Whether the number can be taken to have so many significant figures; a zero always can. */
    public boolean hasFigures(int count) {
        return value.isZero() || !asFraction && (count == fewest || count == most);
    }

    static String trim(String text) {
        int from = 0;
        int to = text.length();
        while (from < to && isSpace(text.charAt(from))) {
            from++;
        }
        while (to > from && isSpace(text.charAt(to - 1))) {
            to--;
        }
        return text.substring(from, to);
    }

    static boolean isSpace(char c) {
        return Character.isWhitespace(c) || Character.isSpaceChar(c) || c == '\u0085';
    }
}
