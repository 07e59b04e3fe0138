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

    /** The form up to step 5; null when the text holds anything else than ASCII. */
    static @Nullable String of(String text, Normaliser rules) {
        boolean same = true;
        boolean spaces = rules.singleSpaces();
        char before = ' ';
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            if (c > 127) {
                return null;
            }
            boolean space = isSpace(c);
            same &= !(rules.ignoreCase() && c >= 'A' && c <= 'Z'
                    || rules.ignoreMarks() && IS_PUNCTUATION[c]
                    || spaces && space && (before == ' ' || c != ' '));
            before = space ? ' ' : c;
        }
        return same && !(spaces && before == ' ' && !text.isEmpty()) ? text : changed(text, rules, spaces);
    }

    private static String changed(String text, Normaliser rules, boolean spaces) {
        char[] out = new char[text.length()];
        int n = 0;
        boolean pending = false;
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            if (rules.ignoreMarks() && IS_PUNCTUATION[c]) {
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

    private static boolean isSpace(char c) {
        return c == ' ' || c >= 9 && c <= 13;
    }
}
