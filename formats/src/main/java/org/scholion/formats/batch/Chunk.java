package org.scholion.formats.batch;

import java.util.ArrayList;
import java.util.List;

/** Some rows of a response file, to be read and scored by whichever thread is free. */
interface Chunk {
    /** Reads and scores all rows; faults are collected. */
    Part score(RowScorer scorer);

    /** A chunk after scoring. */
    final class Part {
        final List<Row> rows = new ArrayList<>();
        final List<Fault> faults = new ArrayList<>();
        /** Rows of scores.csv. */
        final Bytes scores;

        int lines;

        /** @param size about how many bytes the rows of scores.csv will take */
        Part(int size) {
            this.scores = new Bytes(size);
        }
    }

    /** What is wrong, with the line counted from the begin of the chunk. */
    record Fault(int line, String where, String message) {}
}
