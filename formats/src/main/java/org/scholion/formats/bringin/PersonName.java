package org.scholion.formats.bringin;

import java.util.Locale;
import java.util.Set;

/** A name in one cell taken apart into first names and surname. */
public record PersonName(String given, String family) {
    /** What belongs to the surname that follows it. */
    private static final Set<String> BEFORE_SURNAME = Set.of(
            "van", "von", "de", "da", "di", "du", "del", "della", "der", "den", "ter", "ten", "la", "le", "al", "el",
            "bin", "ibn", "af", "zu", "dos", "das", "do", "st", "st.", "mac", "o’", "o'");

    /** @param turned whether the surname stands first where there is no comma */
    static PersonName of(String cell, boolean turned) {
        String name = PersonWords.tidy(cell);
        int comma = name.indexOf(',');
        if (comma >= 0) {
            return new PersonName(
                    name.substring(comma + 1).strip(), name.substring(0, comma).strip());
        }
        String[] words = name.split(" ");
        if (words.length < 2) {
            return new PersonName("", name);
        }
        return turned ? surnameFirst(words) : surnameLast(words);
    }

    private static PersonName surnameLast(String[] words) {
        int from = words.length - 1;
        while (from > 1 && BEFORE_SURNAME.contains(words[from - 1].toLowerCase(Locale.ROOT))) {
            from--;
        }
        return new PersonName(join(words, 0, from), join(words, from, words.length));
    }

    private static PersonName surnameFirst(String[] words) {
        int to = 1;
        while (to < words.length - 1 && BEFORE_SURNAME.contains(words[to - 1].toLowerCase(Locale.ROOT))) {
            to++;
        }
        return new PersonName(join(words, to, words.length), join(words, 0, to));
    }

    private static String join(String[] words, int from, int to) {
        return String.join(" ", java.util.Arrays.copyOfRange(words, from, to));
    }
}
