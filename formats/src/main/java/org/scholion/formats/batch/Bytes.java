package org.scholion.formats.batch;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;

/** A growing row of bytes. */
final class Bytes {
    private byte[] all;
    private int length;

    Bytes(int capacity) {
        this.all = new byte[capacity];
    }

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

    /** Writes what has gathered, when it is much or when all of it is wanted, and begins anew. */
    void flush(OutputStream out, boolean all) throws IOException {
        if (all || length > 1 << 16) {
            out.write(this.all, 0, length);
            length = 0;
        }
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
