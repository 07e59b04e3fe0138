package org.scholion.server.person;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.Locale;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import org.scholion.server.platform.Refused;

/** What a password has to be: long enough, not the name, and none of those that everybody tries first. */
final class Passwords {
    private static final int SHORTEST = 8;

    /** What the hash looks at (bcrypt). */
    private static final int MOST_BYTES = 72;

    private static final int LONGEST = 64;
    private static final int DIGITS = 12;
    private static final Set<String> TRIED_FIRST = triedFirst();

    private Passwords() {}

    static String checked(String password, String username) {
        if (password.length() < SHORTEST || password.length() > LONGEST) {
            throw Refused.invalid(
                    "password", "a password has from " + SHORTEST + " to " + LONGEST + " characters, of any kind");
        }
        if (password.getBytes(StandardCharsets.UTF_8).length > MOST_BYTES) {
            throw Refused.invalid(
                    "password", "with these letters it is too long to be kept whole; shorten it a little");
        }
        String plain = password.toLowerCase(Locale.ROOT);
        if (TRIED_FIRST.contains(digits(plain))
                || plain.contains("scholion")
                || isPartOf(username.toLowerCase(Locale.ROOT), plain)) {
            throw Refused.invalid("password", "this one is tried first by whoever guesses; choose another");
        }
        return password;
    }

    /** A short name is in many a good password by chance. */
    private static boolean isPartOf(String name, String password) {
        return name.length() < 4 ? password.equals(name) : password.contains(name);
    }

    private static Set<String> triedFirst() {
        try (InputStream in =
                Objects.requireNonNull(Passwords.class.getResourceAsStream("/passwords/tried-first.txt"))) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .filter(l -> !l.startsWith("#"))
                    .collect(Collectors.toUnmodifiableSet());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static String digits(String password) {
        try {
            byte[] hash = MessageDigest.getInstance("SHA-256").digest(password.getBytes(StandardCharsets.UTF_8));
            return HexFormat.of().formatHex(hash).substring(0, DIGITS);
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }
}
