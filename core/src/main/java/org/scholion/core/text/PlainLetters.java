package org.scholion.core.text;

import java.lang.Character.UnicodeScript;

/** Letters without their accents, where an accent is one: in another script such a sign makes another letter. */
final class PlainLetters {
    private PlainLetters() {}

    /** Of a text in NFD; Latin and Greek letters lose what stands above and below them, and ø is o. */
    static String of(String decomposed) {
        StringBuilder out = new StringBuilder(decomposed.length());
        boolean afterLetter = false;
        for (int i = 0; i < decomposed.length(); ) {
            int c = decomposed.codePointAt(i);
            i += Character.charCount(c);
            if (Character.getType(c) == Character.NON_SPACING_MARK) {
                if (!afterLetter) {
                    out.appendCodePoint(c);
                }
                continue;
            }
            afterLetter = Character.isLetter(c) && hasAccents(UnicodeScript.of(c));
            String plain = plain(c);
            if (plain == null) {
                out.appendCodePoint(c);
            } else {
                out.append(plain);
            }
        }
        return out.toString();
    }

    private static boolean hasAccents(UnicodeScript script) {
        return script == UnicodeScript.LATIN || script == UnicodeScript.GREEK;
    }

    /** Letters that Unicode does not take apart, though a keyboard without them writes them so. */
    private static @org.jspecify.annotations.Nullable String plain(int c) {
        return switch (c) {
            case 'ø' -> "o";
            case 'Ø' -> "O";
            case 'œ' -> "oe";
            case 'Œ' -> "OE";
            case 'æ' -> "ae";
            case 'Æ' -> "AE";
            case 'ł' -> "l";
            case 'Ł' -> "L";
            case 'đ', 'ð' -> "d";
            case 'Đ', 'Ð' -> "D";
            case 'þ' -> "th";
            case 'Þ' -> "TH";
            case 'ı' -> "i";
            default -> null;
        };
    }
}
