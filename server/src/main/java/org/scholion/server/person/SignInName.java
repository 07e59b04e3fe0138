package org.scholion.server.person;

import java.text.Normalizer;
import java.util.Locale;

/** A name to sign in with, made from somebody's own: {@code noor.haddix}. */
final class SignInName {
    private static final int LONGEST = 60;

    private SignInName() {}

    /** Where no letter of the name is on every keyboard, the number stands for it. */
    static String of(String given, String family, String number) {
        String name = plain(given.split(" ", 2)[0]) + "." + plain(family);
        String made = name.equals(".") ? "student." + plain(number) : name.replaceAll("^\\.|\\.$", "");
        return made.length() > LONGEST ? made.substring(0, LONGEST) : made;
    }

    private static String plain(String text) {
        return Normalizer.normalize(
                        text.replace("ø", "o")
                                .replace("Ø", "O")
                                .replace("ß", "ss")
                                .replace("æ", "ae"),
                        Normalizer.Form.NFD)
                .toLowerCase(Locale.ROOT)
                .replaceAll("[^a-z0-9]", "");
    }
}
