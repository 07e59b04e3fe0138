package org.scholion.formats.batch;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.ArrayList;
import java.util.List;

/** Result files that appear all together at the end, or not at all. */
final class Out implements AutoCloseable {
    private final Path directory;
    private final Path hidden;
    private final List<String> names = new ArrayList<>();
    private final List<OutputStream> open = new ArrayList<>();

    Out(Path directory) throws IOException {
        this.directory = directory.toAbsolutePath();
        Path beside = this.directory.getParent();
        while (beside != null && !Files.isDirectory(beside)) {
            beside = beside.getParent();
        }
        this.hidden = Files.createTempDirectory(beside == null ? Path.of(".") : beside, ".scholion-");
    }

    OutputStream file(String name) throws IOException {
        OutputStream out = new BufferedOutputStream(Files.newOutputStream(hidden.resolve(name)), 1 << 18);
        names.add(name);
        open.add(out);
        return out;
    }

    /** Moves all files to where they were asked for. */
    void publish() throws IOException {
        for (OutputStream out : open) {
            out.close();
        }
        open.clear();
        Files.createDirectories(directory);
        for (String name : names) {
            Files.move(hidden.resolve(name), directory.resolve(name), StandardCopyOption.REPLACE_EXISTING);
        }
    }

    @Override
    public void close() throws IOException {
        for (OutputStream out : open) {
            out.close();
        }
        for (String name : names) {
            Files.deleteIfExists(hidden.resolve(name));
        }
        Files.deleteIfExists(hidden);
    }
}
