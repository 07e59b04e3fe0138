package org.scholion.formats.table;

import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.IllegalCharsetNameException;
import java.nio.charset.StandardCharsets;
import java.nio.charset.UnsupportedCharsetException;
import org.jspecify.annotations.Nullable;

/**
 * A text file's characters and how they were written. A mark at its beginning decides; else zeros beside Latin letters
 * mean UTF-16, what is valid UTF-8 is UTF-8, and everything else is Windows-1252, in which every byte means something.
 */
record Decoded(String text, String encoding) {
    static final String WINDOWS = "Windows-1252";
    private static final int LOOKED_AT = 2_000;

    /** @param asked an encoding that a person has chosen; empty to find it out */
    static Decoded of(byte[] bytes, String asked) {
        if (!asked.isEmpty()) {
            return as(bytes, asked);
        }
        if (starts(bytes, 0xEF, 0xBB, 0xBF)) {
            return as(bytes, "UTF-8");
        }
        if (starts(bytes, 0xFF, 0xFE)) {
            return as(bytes, "UTF-16LE");
        }
        if (starts(bytes, 0xFE, 0xFF)) {
            return as(bytes, "UTF-16BE");
        }
        String wide = wide(bytes);
        if (wide != null) {
            return as(bytes, wide);
        }
        String strict = utf8(bytes);
        return strict == null ? as(bytes, WINDOWS) : new Decoded(strict, "UTF-8");
    }

    private static Decoded as(byte[] bytes, String encoding) {
        try {
            String text = new String(bytes, Charset.forName(encoding));
            return new Decoded(text.startsWith("\uFEFF") ? text.substring(1) : text, encoding);
        } catch (IllegalCharsetNameException | UnsupportedCharsetException e) {
            throw TableLimits.refused("", "“" + encoding + "” is no way of writing letters that is known here");
        }
    }

    private static @Nullable String utf8(byte[] bytes) {
        try {
            return StandardCharsets.UTF_8
                    .newDecoder()
                    .decode(ByteBuffer.wrap(bytes))
                    .toString();
        } catch (CharacterCodingException e) {
            return null;
        }
    }

    /** In UTF-16 every second byte of Latin letters is zero. */
    private static @Nullable String wide(byte[] bytes) {
        int[] zeros = new int[2];
        int length = Math.min(bytes.length, LOOKED_AT) & ~1;
        for (int i = 0; i < length; i++) {
            zeros[i & 1] += bytes[i] == 0 ? 1 : 0;
        }
        if (length == 0 || Math.max(zeros[0], zeros[1]) * 5 < length) {
            return null;
        }
        return zeros[1] > zeros[0] ? "UTF-16LE" : "UTF-16BE";
    }

    private static boolean starts(byte[] bytes, int... mark) {
        for (int i = 0; i < mark.length; i++) {
            if (bytes.length <= i || (bytes[i] & 0xFF) != mark[i]) {
                return false;
            }
        }
        return true;
    }
}
