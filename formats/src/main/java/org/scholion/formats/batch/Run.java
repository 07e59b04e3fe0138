package org.scholion.formats.batch;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.scholion.formats.json.Faults;

/**
 * Reads a response file: chunks are scored side by side by as many threads as there are cores and come back in the
 * order of the file.
 */
final class Run {
    private final Key key;
    private final boolean table;
    private final Progress progress;
    private final List<String> faults = new ArrayList<>();

    /** What is done with each row that is right, and with the text of its marks. */
    interface Reader {
        /** False when the same attempt of the student was there before. */
        boolean row(Row row) throws IOException;

        void scores(Bytes rows) throws IOException;
    }

    /** @param table whether the rows of scores.csv are wanted */
    Run(Key key, boolean table, Progress progress) {
        this.key = key;
        this.table = table;
        this.progress = progress;
    }

    /**
     * Reads the whole file.
     *
     * @throws Refusal with every fault of the file
     */
    void read(Path file, boolean ignoreUnknown, Reader reader) throws IOException {
        String name = String.valueOf(file.getFileName());
        int threads = Runtime.getRuntime().availableProcessors();
        ExecutorService pool = Executors.newFixedThreadPool(threads);
        ThreadLocal<RowScorer> scorers = ThreadLocal.withInitial(() -> new RowScorer(key, table));
        try (Source source = Source.open(file, key, ignoreUnknown)) {
            Deque<Future<Chunk.Part>> waiting = new ArrayDeque<>();
            int line = 0;
            for (Chunk chunk = source.next(); chunk != null; chunk = source.next()) {
                Chunk next = chunk;
                waiting.add(pool.submit(() -> next.score(scorers.get())));
                if (waiting.size() > 3 * threads) {
                    line = take(waiting.remove(), line, name, reader);
                }
            }
            while (!waiting.isEmpty()) {
                line = take(waiting.remove(), line, name, reader);
            }
        } catch (Faults e) {
            e.all().forEach(f -> faults.add(name + " " + f));
        } finally {
            pool.shutdownNow();
            progress.done();
        }
        if (!faults.isEmpty()) {
            throw new Refusal(faults);
        }
    }

    private int take(Future<Chunk.Part> future, int line, String name, Reader reader) throws IOException {
        Chunk.Part part = result(future);
        part.faults.forEach(f -> faults.add(place(name, line + f.line(), f.where()) + ": " + f.message()));
        for (Row row : part.rows) {
            if (!reader.row(row)) {
                faults.add(
                        place(name, line + row.line(), "student " + row.head().student()) + ": attempt "
                                + row.head().attempt() + " of this student is there twice");
            }
        }
        if (faults.isEmpty()) {
            reader.scores(part.scores);
        }
        progress.more(part.rows.size());
        return line + part.lines;
    }

    private static String place(String file, int line, String where) {
        return file + " line " + line + (where.isEmpty() ? "" : ", " + where);
    }

    private static Chunk.Part result(Future<Chunk.Part> future) throws IOException {
        try {
            return future.get();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IOException("interrupted", e);
        } catch (ExecutionException e) {
            throw new IllegalStateException("a chunk could not be scored", e.getCause());
        }
    }
}
