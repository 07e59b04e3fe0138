package org.scholion.formats.bringin;

import java.text.Normalizer;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;

/** What the name, number and address of a person may be, in any script; what is wrong is said after the field's name. */
public final class PersonWords {
    private static final int LONGEST_NAME = 80;
    private static final int LONGEST_NUMBER = 40;
    private static final int LONGEST_EMAIL = 254;

    /** Letters of any script with their marks, and what stands between them in names. */
    private static final Pattern NAME = Pattern.compile("[\\p{L}\\p{M}\\p{Nd}][\\p{L}\\p{M}\\p{Nd} .,'’ʼ‘`´·‐\\-()/]*");

    private static final Pattern LETTER = Pattern.compile("\\p{L}");
    private static final Pattern NUMBER = Pattern.compile("[\\p{L}\\p{Nd}][\\p{L}\\p{Nd} ._/\\-]*");
    private static final Pattern EMAIL = Pattern.compile("[^\\s@<>\"]+@[^\\s@<>\"]+");

    private PersonWords() {}

    /** A name as it is kept: composed letters, one blank between words. */
    public static String tidy(String text) {
        return Normalizer.normalize(text, Normalizer.Form.NFC).strip().replaceAll("\\s+", " ");
    }

    public static Optional<String> name(String text) {
        if (text.isBlank()) {
            return Optional.of("is empty");
        }
        if (text.length() > LONGEST_NAME) {
            return Optional.of("has " + text.length() + " characters; at most " + LONGEST_NAME + " are kept");
        }
        boolean fits = NAME.matcher(text).matches() && LETTER.matcher(text).find();
        return fits ? Optional.empty() : Optional.of("“" + text + "” has a character that no name has");
    }

    static Optional<String> section(String text) {
        if (text.isBlank()) {
            return Optional.of("is empty");
        }
        return text.length() > LONGEST_NAME
                ? Optional.of("has " + text.length() + " characters; at most " + LONGEST_NAME + " are kept")
                : Optional.empty();
    }

    public static Optional<String> number(String text) {
        if (text.isBlank()) {
            return Optional.of("is empty");
        }
        return text.length() > LONGEST_NUMBER || !NUMBER.matcher(text).matches()
                ? Optional.of("is at most " + LONGEST_NUMBER + " letters and digits")
                : Optional.empty();
    }

    public static Optional<String> email(String text) {
        return text.isBlank()
                        || text.length() <= LONGEST_EMAIL && EMAIL.matcher(text).matches()
                ? Optional.empty()
                : Optional.of("is no address");
    }

    /** Whether two names are one, however their letters are written: capitals, spaces, composed or decomposed marks. */
    public static boolean isSame(String one, String other) {
        return plain(one).equals(plain(other));
    }

    /** A name by which two writings of it are compared. */
    public static String plain(String name) {
        return Normalizer.normalize(name, Normalizer.Form.NFC)
                .strip()
                .replaceAll("\\s+", " ")
                .toLowerCase(Locale.ROOT);
    }
}
