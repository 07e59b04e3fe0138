package org.scholion.formats.batch;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import org.jspecify.annotations.Nullable;

/** A response file, taken apart into chunks in the order of its rows. */
interface Source extends AutoCloseable {
    /** The next chunk; null at the end. */
    @Nullable
    Chunk next() throws IOException;

    @Override
    void close() throws IOException;

    /** JSON Lines where the first sign is a brace, else a table. */
    static Source open(Path file, Key key, boolean ignoreUnknown) throws IOException {
        return isJson(file) ? new JsonSource(file) : new TableSource(file, key, ignoreUnknown);
    }

    private static boolean isJson(Path file) throws IOException {
        String name = String.valueOf(file.getFileName());
        if (name.endsWith(".csv") || name.endsWith(".tsv")) {
            return false;
        }
        try (InputStream in = Files.newInputStream(file)) {
            for (int c = in.read(); c >= 0; c = in.read()) {
                boolean space = c == ' ' || c == '\t' || c == '\r' || c == '\n';
                boolean mark = c == 0xEF || c == 0xBB || c == 0xBF;
                if (!space && !mark) {
                    return c == '{' || name.endsWith(".jsonl");
                }
            }
        }
        return true;
    }
}
