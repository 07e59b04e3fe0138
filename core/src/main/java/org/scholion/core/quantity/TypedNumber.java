package org.scholion.core.quantity;

import java.util.Optional;
import org.scholion.core.number.Fraction;

/**
 * A number as a person typed it: its exact value, the unit that was typed behind it, and its significant figures.
 *
 * @param unit what stands behind the number, trimmed; empty when nothing does
 * @param fewest significant figures when no trailing zero of a whole number counts
 * @param most significant figures when all of them do; every count between is possible too
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
        if (text.length() > LONGEST) {
            return Optional.empty();
        }
        String trimmed = plain(text);
        return trimmed.isEmpty() ? Optional.empty() : new NumberReader(trimmed, decimal, percentIsUnit).read();
    }

    /** What the text would be under the other decimal mark: {@code ,} and {@code .} exchanged. */
    public static String otherMark(String text) {
        return text.replace('.', '\0').replace(',', '.').replace('\0', ',');
    }

    /** Whether the number can be taken to have so many significant figures; a zero always can. */
    public boolean hasFigures(int count) {
        return value.isZero() || !asFraction && fewest <= count && count <= most;
    }

    /** Trimmed, without invisible signs, full-width signs as plain ones, and one way of writing primes and degrees. */
    static String plain(String text) {
        StringBuilder out = new StringBuilder(text.length());
        text.codePoints()
                .filter(c -> Character.getType(c) != Character.FORMAT)
                .map(TypedNumber::plain)
                .forEach(out::appendCodePoint);
        return trim(out.toString().replace("\\times", "×"));
    }

    private static int plain(int c) {
        if (c >= 0xFF01 && c <= 0xFF5E) {
            return c - 0xFF01 + '!';
        }
        return switch (c) {
            case '\u3000' -> ' ';
            case '\u2044' -> '/';
            case '\u2032' -> '\'';
            case '\u2033', '\u201D' -> '"';
            case '\u00BA', '\u02DA' -> '°';
            default -> c;
        };
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
