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
}
