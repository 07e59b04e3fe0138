package org.scholion.server.person;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.security.SecureRandom;
import java.util.Locale;
import java.util.UUID;

/** A code to type from a slip of paper: eight signs of which no two look alike, {@code 7KQM-X4RD}. */
public record SlipCode(String signs) {
    private static final String SIGNS = "23456789ABCDEFGHJKMNPQRSTUVWXYZ";
    private static final int LENGTH = 8;
    private static final SecureRandom RANDOM = new SecureRandom();

    public static SlipCode random() {
        StringBuilder code = new StringBuilder();
        for (int i = 0; i < LENGTH; i++) {
            code.append(SIGNS.charAt(RANDOM.nextInt(SIGNS.length())));
        }
        return new SlipCode(code.toString());
    }

    /** As somebody typed it: small letters, blanks and strokes make no difference. */
    public static SlipCode typed(String text) {
        return new SlipCode(text.toUpperCase(Locale.ROOT).replaceAll("[\\s\\-–—_.]", ""));
    }

    public boolean isOne() {
        return signs.length() == LENGTH && signs.chars().allMatch(c -> SIGNS.indexOf(c) >= 0);
    }

    /** As it is printed. */
    public String printed() {
        return signs.substring(0, LENGTH / 2) + "-" + signs.substring(LENGTH / 2);
    }

    /** What the store keeps of it; it belongs to one person. */
    public byte[] hash(UUID person) {
        try {
            return MessageDigest.getInstance("SHA-256").digest((person + " " + signs).getBytes(StandardCharsets.UTF_8));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java has SHA-256", e);
        }
    }
}
