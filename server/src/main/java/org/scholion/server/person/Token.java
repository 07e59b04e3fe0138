package org.scholion.server.person;

import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.security.SecureRandom;
import java.util.Base64;
import java.util.HexFormat;
import java.util.Optional;
import org.springframework.http.ResponseCookie;

/**
 * The word by which a browser is known: 256 random bits. Behind TLS the cookie's name has the prefix that keeps it from
 * being set by anybody but this host.
 */
record Token(String word) {
    private static final String PLAIN = "scholion";
    private static final String SECURE = "__Host-scholion";
    private static final int BYTES = 32;
    private static final SecureRandom RANDOM = new SecureRandom();

    static Token random() {
        byte[] bytes = new byte[BYTES];
        RANDOM.nextBytes(bytes);
        return new Token(Base64.getUrlEncoder().withoutPadding().encodeToString(bytes));
    }

    static Optional<Token> of(HttpServletRequest request) {
        String name = name(request);
        Cookie[] cookies = request.getCookies();
        for (Cookie cookie : cookies == null ? new Cookie[0] : cookies) {
            if (cookie.getName().equals(name) && !cookie.getValue().isBlank()) {
                return Optional.of(new Token(cookie.getValue()));
            }
        }
        return Optional.empty();
    }

    private static String name(HttpServletRequest request) {
        return request.isSecure() ? SECURE : PLAIN;
    }

    byte[] hash() {
        try {
            return MessageDigest.getInstance("SHA-256").digest(word.getBytes(StandardCharsets.UTF_8));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java has SHA-256", e);
        }
    }

    /** What streams know it by. */
    String key() {
        return HexFormat.of().formatHex(hash());
    }

    ResponseCookie cookie(HttpServletRequest request) {
        return cookie(request, word).build();
    }

    static ResponseCookie gone(HttpServletRequest request) {
        return cookie(request, "").maxAge(0).build();
    }

    private static ResponseCookie.ResponseCookieBuilder cookie(HttpServletRequest request, String word) {
        return ResponseCookie.from(name(request), word)
                .httpOnly(true)
                .secure(request.isSecure())
                .sameSite("Lax")
                .path("/");
    }
}
