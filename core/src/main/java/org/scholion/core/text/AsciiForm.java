package org.scholion.core.text;

import org.jspecify.annotations.Nullable;

/** The steps of {@link Normaliser} on plain ASCII in one pass: most answers are, and most need no change at all. */
final class AsciiForm {
    private static final String PUNCTUATION = "!\"#%&'()*,-./:;?@[\\]_{}";
    private static final boolean[] IS_PUNCTUATION = new boolean[128];

    static {
        PUNCTUATION.chars().forEach(c -> IS_PUNCTUATION[c] = true);
    }

    private AsciiForm() {}

    /** What each sign means under each set of rules: it stays, it is a space, or the text has to be changed. */
    private static final byte[][] MEANING = new byte[8][128];

    private static final byte STAYS = 0;
    private static final byte SPACE = 1;
    private static final byte CHANGES = 2;

    static {
        for (int rules = 0; rules < MEANING.length; rules++) {
            for (char c = 0; c < 128; c++) {
                boolean changes = c == '`'
                        || (rules & 1) != 0 && c >= 'A' && c <= 'Z'
                        || (rules & 2) != 0 && IS_PUNCTUATION[c]
                        || (rules & 4) != 0 && isSpace(c) && c != ' ';
                MEANING[rules][c] = changes ? CHANGES : (rules & 4) != 0 && c == ' ' ? SPACE : STAYS;
            }
        }
    }

    /** The form up to step 5; null when the text holds anything else than ASCII. */
    static @Nullable String of(String text, Normaliser rules) {
        boolean spaces = rules.singleSpaces();
        byte[] meaning = MEANING[(rules.ignoreCase() ? 1 : 0) | (rules.ignoreMarks() ? 2 : 0) | (spaces ? 4 : 0)];
        int before = spaces ? SPACE : STAYS;
        int changes = 0;
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            if (c > 127) {
                return null;
            }
            int here = meaning[c];
            // Two spaces in a row, or one at either end, change the text as well.
            changes |= here & CHANGES | here & before;
            before = here & SPACE;
        }
        boolean same = changes == 0 && (before == STAYS || text.isEmpty());
        return same ? text : changed(text, rules, spaces);
    }

    private static String changed(String text, Normaliser rules, boolean spaces) {
        char[] out = new char[text.length()];
        int n = 0;
        boolean pending = false;
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            if (c == '`') {
                c = '\'';
            }
            if (rules.ignoreMarks() && IS_PUNCTUATION[c] && !isOfANumber(text, i)) {
                if (c != '-' && c != '/') {
                    continue;
                }
                c = ' ';
            }
            if (spaces && isSpace(c)) {
                pending = n > 0;
                continue;
            }
            if (pending) {
                out[n++] = ' ';
                pending = false;
            }
            out[n++] = rules.ignoreCase() && c >= 'A' && c <= 'Z' ? (char) (c + 32) : c;
        }
        return new String(out, 0, n);
    }

    private static boolean isOfANumber(String text, int i) {
        char c = text.charAt(i);
        if (i + 1 == text.length() || !isDigit(text.charAt(i + 1)) || ".,/:-".indexOf(c) < 0) {
            return false;
        }
        char before = i == 0 ? ' ' : text.charAt(i - 1);
        return isDigit(before) || c == '-' && !Character.isLetter(before);
    }

    private static boolean isDigit(char c) {
        return c >= '0' && c <= '9';
    }

    private static boolean isSpace(char c) {
        return c == ' ' || c >= 9 && c <= 13;
    }
}
