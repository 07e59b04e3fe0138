package org.scholion.formats.out;

import java.io.Closeable;
import java.io.IOException;
import java.util.List;

/** Takes tables row by row and keeps none of them. */
public interface TableOut extends Closeable {
    /** Decimals of an amount. */
    int DECIMALS = 6;

    /** A table begins; of several a CSV takes only the first. */
    void table(String name, List<String> heading) throws IOException;

    void row(List<Cell> cells) throws IOException;
}
