package org.scholion.server.platform;

import java.nio.ByteBuffer;
import java.nio.CharBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.util.Optional;

/**
 * Whether the texts of a JSON document can be kept: PostgreSQL holds neither the character NUL nor half of a surrogate
 * pair, however they are written. One walk over the document, before it is parsed.
 */
final class Keepable {
    private static final int ESCAPE = 6;

    private Keepable() {}

    /** What is wrong, in words; empty when everything can be kept. */
    static Optional<String> fault(byte[] json) {
        try {
            CharBuffer text = StandardCharsets.UTF_8.newDecoder().decode(ByteBuffer.wrap(json));
            return fault(text);
        } catch (CharacterCodingException e) {
            return Optional.of("This is not UTF-8. Nothing was changed.");
        }
    }

    private static Optional<String> fault(CharBuffer text) {
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            if (c == 0) {
                return told();
            }
            if (c != '\\') {
                continue;
            }
            int code = escaped(text, i);
            if (code == 0 || code >= 0 && Character.isLowSurrogate((char) code)) {
                return told();
            }
            if (code > 0 && Character.isHighSurrogate((char) code)) {
                int second = escaped(text, i + ESCAPE);
                if (second < 0 || !Character.isLowSurrogate((char) second)) {
                    return told();
                }
                i += 2 * ESCAPE - 1;
            } else {
                i += code >= 0 ? ESCAPE - 1 : 1;
            }
        }
        return Optional.empty();
    }

    private static Optional<String> told() {
        return Optional.of("There is a character in it that cannot be kept (NUL, or half of a character)."
                + " Nothing was changed; take it out and send it again.");
    }

    /** The code that is written as four hexadecimal digits here; -1 where it is written otherwise. */
    private static int escaped(CharBuffer text, int at) {
        if (at + ESCAPE > text.length() || text.charAt(at) != '\\' || text.charAt(at + 1) != 'u') {
            return -1;
        }
        int code = 0;
        for (int i = at + 2; i < at + ESCAPE; i++) {
            int digit = Character.digit(text.charAt(i), 16);
            if (digit < 0) {
                return -1;
            }
            code = code * 16 + digit;
        }
        return code;
    }
}
