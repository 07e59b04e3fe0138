package org.scholion.formats.batch;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import org.jspecify.annotations.Nullable;

/** A JSON Lines file, cut at line ends into pieces of about a quarter of a megabyte. */
final class JsonSource implements Source {
    private static final int PIECE = 1 << 18;

    private final InputStream in;
    private byte[] rest = new byte[0];
    private boolean first = true;

    JsonSource(Path file) throws IOException {
        this.in = Files.newInputStream(file);
    }

    @Override
    public @Nullable Chunk next() throws IOException {
        byte[] piece = Arrays.copyOf(rest, Math.max(PIECE, rest.length * 2));
        int length = rest.length;
        while (true) {
            int read = in.readNBytes(piece, length, piece.length - length);
            length += read;
            int cut = length < piece.length ? length : lastLineEnd(piece, length);
            if (cut > 0 || length == 0) {
                rest = Arrays.copyOfRange(piece, cut, length);
                return length == 0 ? null : chunk(piece, cut);
            }
            piece = Arrays.copyOf(piece, piece.length * 2);
        }
    }

    private Chunk chunk(byte[] piece, int length) {
        // A byte order mark is white space to the reader.
        if (first && length >= 3 && piece[0] == (byte) 0xEF && piece[1] == (byte) 0xBB && piece[2] == (byte) 0xBF) {
            Arrays.fill(piece, 0, 3, (byte) ' ');
        }
        first = false;
        return new JsonChunk(piece, length);
    }

    private static int lastLineEnd(byte[] piece, int length) {
        for (int i = length; i > 0; i--) {
            if (piece[i - 1] == '\n') {
                return i;
            }
        }
        return 0;
    }

    @Override
    public void close() throws IOException {
        in.close();
    }
}
