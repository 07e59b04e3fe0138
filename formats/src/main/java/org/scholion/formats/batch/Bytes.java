package org.scholion.formats.batch;

import java.nio.charset.StandardCharsets;
import java.util.Arrays;

/** A growing row of bytes. */
final class Bytes {
    private byte[] all = new byte[1 << 16];
    private int length;

    Bytes add(byte[] more) {
        if (length + more.length > all.length) {
            all = Arrays.copyOf(all, Math.max(all.length * 2, length + more.length));
        }
        System.arraycopy(more, 0, all, length, more.length);
        length += more.length;
        return this;
    }

    Bytes add(String text) {
        return add(utf8(text));
    }

    byte[] array() {
        return all;
    }

    int length() {
        return length;
    }

    static byte[] utf8(String text) {
        return text.getBytes(StandardCharsets.UTF_8);
    }
}
