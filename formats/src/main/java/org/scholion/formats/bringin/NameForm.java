package org.scholion.formats.bringin;

import java.text.Normalizer;
import java.util.Locale;

/** Forms of a name in which it can be found again: as it is, and without accents and the signs between its parts. */
final class NameForm {
    private NameForm() {}

    static String exact(String text) {
        return Known.form(
                text.replace('’', '\'').replace('ʼ', '\'').replace('`', '\'').replace('´', '\''));
    }

    /** Without accents, as programs lose them: {@code Zoë} is {@code zoe}, {@code Ånes} is {@code anes}. */
    static String plain(String text) {
        return Normalizer.normalize(exact(text), Normalizer.Form.NFKD)
                .replaceAll("\\p{M}", "")
                .replace("ø", "o")
                .replace("ß", "ss")
                .replace("æ", "ae")
                .replace("œ", "oe")
                .replace("ł", "l")
                .replace("đ", "d")
                .replaceAll("[^\\p{L}\\p{Nd}@]+", " ")
                .strip()
                .toLowerCase(Locale.ROOT);
    }

    /** How many letters have to be changed, added, taken away or swapped, up to a limit; the limit and one beyond it. */
    static int distance(String a, String b, int limit) {
        if (Math.abs(a.length() - b.length()) > limit) {
            return limit + 1;
        }
        int[][] d = new int[a.length() + 1][b.length() + 1];
        for (int i = 0; i <= a.length(); i++) {
            d[i][0] = i;
        }
        for (int j = 0; j <= b.length(); j++) {
            d[0][j] = j;
        }
        for (int i = 1; i <= a.length(); i++) {
            for (int j = 1; j <= b.length(); j++) {
                int change = a.charAt(i - 1) == b.charAt(j - 1) ? 0 : 1;
                d[i][j] = Math.min(Math.min(d[i - 1][j], d[i][j - 1]) + 1, d[i - 1][j - 1] + change);
                boolean swapped =
                        i > 1 && j > 1 && a.charAt(i - 1) == b.charAt(j - 2) && a.charAt(i - 2) == b.charAt(j - 1);
                d[i][j] = swapped ? Math.min(d[i][j], d[i - 2][j - 2] + 1) : d[i][j];
            }
        }
        return Math.min(d[a.length()][b.length()], limit + 1);
    }
}
