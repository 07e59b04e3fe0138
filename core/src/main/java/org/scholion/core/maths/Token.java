package org.scholion.core.maths;

import org.scholion.core.number.Fraction;

/**
 * A sign of written mathematics.
 *
 * @param text the sign, the name, or the number's digits
 * @param spaced whether white space stands before it
 */
record Token(Kind kind, String text, Fraction value, boolean spaced) {
    enum Kind {
        NUMBER,
        /** A fraction in one sign, such as ½. */
        SMALL_FRACTION,
        NAME,
        FUNCTION,
        SUPERSCRIPT,
        SIGN,
        END
    }

    /** Whether what ends here can be multiplied. */
    boolean endsFactor() {
        return switch (kind) {
            case NUMBER, SMALL_FRACTION, NAME, SUPERSCRIPT -> true;
            case SIGN ->
                text.equals(")") || text.equals("]") || text.equals("}") || text.equals("|") || text.equals("°");
            default -> false;
        };
    }

    boolean is(String sign) {
        return kind == Kind.SIGN && text.equals(sign);
    }
}
