package org.scholion.server.person;

import java.util.Locale;
import java.util.Set;
import org.scholion.server.platform.Refused;

/** What a password has to be: long enough, not the name, and none of those that everybody tries first. */
final class Passwords {
    private static final int SHORTEST = 8;

    /** More than this the hash does not look at (bcrypt, 72 bytes). */
    private static final int LONGEST = 64;

    private static final Set<String> TRIED_FIRST = Set.of(
            "password",
            "passwort",
            "12345678",
            "123456789",
            "1234567890",
            "qwertyui",
            "qwertyuiop",
            "iloveyou",
            "11111111",
            "00000000",
            "password1",
            "sunshine",
            "princess",
            "football",
            "baseball",
            "superman",
            "letmein1",
            "welcome1",
            "abcdefgh",
            "abcd1234",
            "q1w2e3r4",
            "1q2w3e4r",
            "changeme",
            "trustno1");

    private Passwords() {}

    static String checked(String password, String username) {
        if (password.length() < SHORTEST || password.length() > LONGEST) {
            throw Refused.invalid(
                    "password", "a password has from " + SHORTEST + " to " + LONGEST + " characters, of any kind");
        }
        String plain = password.toLowerCase(Locale.ROOT);
        if (TRIED_FIRST.contains(plain) || plain.equals(username.toLowerCase(Locale.ROOT))) {
            throw Refused.invalid("password", "this one is tried first by whoever guesses; choose another");
        }
        return password;
    }
}
