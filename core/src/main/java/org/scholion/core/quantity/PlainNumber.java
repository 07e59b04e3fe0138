package org.scholion.core.quantity;

import org.jspecify.annotations.Nullable;
import org.scholion.core.number.Fraction;

/** Numbers of few plain digits with at most a sign and a decimal mark, in one pass: most typed numbers are no more. */
final class PlainNumber {
    private static final int MOST_DIGITS = 17;
    private static final long[] TENS = new long[MOST_DIGITS + 1];

    static {
        TENS[0] = 1;
        for (int i = 1; i < TENS.length; i++) {
            TENS[i] = TENS[i - 1] * 10;
        }
    }

    private PlainNumber() {}

    /** The number; null when the text is anything else or longer. */
    static @Nullable TypedNumber read(String text, char decimal) {
        int n = text.length();
        boolean minus = n > 0 && NumberReader.isMinus(text.charAt(0));
        int at = minus || n > 0 && text.charAt(0) == '+' ? 1 : 0;
        if (n - at > MOST_DIGITS + 1 || n == at) {
            return null;
        }
        long value = 0;
        int mark = -1;
        int leading = 0;
        int trailing = 0;
        int digits = 0;
        for (int i = at; i < n; i++) {
            char c = text.charAt(i);
            if (c >= '0' && c <= '9') {
                value = value * 10 + (c - '0');
                digits++;
                leading += value == 0 ? 1 : 0;
                trailing = c == '0' ? trailing + 1 : 0;
            } else if (c == decimal && mark < 0) {
                mark = i;
            } else {
                return null;
            }
        }
        if (digits == 0 || digits > MOST_DIGITS) {
            return null;
        }
        int decimals = mark < 0 ? 0 : n - mark - 1;
        int shown = digits - leading;
        Fraction amount = decimals == 0 ? Fraction.of(value) : Fraction.of(value, TENS[decimals]);
        return new TypedNumber(
                minus ? amount.negate() : amount, "", mark < 0 && value != 0 ? shown - trailing : shown, shown, false);
    }
}
