package org.scholion.formats.table;

import java.util.List;
import org.scholion.formats.json.Fault;
import org.scholion.formats.json.Faults;
import org.scholion.formats.json.Texts;

/**
 * How large a table of people's may be, and what its cells may hold. One is used up by one reading.
 *
 * <p>A reading that is interrupted stops at the next row.
 */
final class TableLimits {
    static final int MOST_ROWS = 20_000;
    static final int MOST_COLUMNS = 400;

    /** A little more than a year's largest: 20,000 students with 60 answers each. */
    private static final int MOST_CELLS = 1_500_000;

    /** As spreadsheets have it. */
    private static final int LONGEST_CELL = 32_767;

    /** Of all cells together, however often one text is named. */
    private static final int MOST_CHARACTERS = 30_000_000;

    private int rows;
    private int cells;
    private long characters;

    /** Counts a row and gives its cells as they are kept: a space where a character cannot be printed. */
    List<String> row(int line, List<String> read) {
        rows++;
        cells += read.size();
        if (Thread.interrupted()) {
            throw refused("", "reading this file took too long and was stopped; split it and bring the parts in");
        }
        if (rows > MOST_ROWS + 1) {
            throw refused("line " + line, "at most " + MOST_ROWS + " rows are read; split the file into several");
        }
        if (read.size() > MOST_COLUMNS) {
            throw refused("line " + line, read.size() + " columns; at most " + MOST_COLUMNS + " are read");
        }
        if (cells > MOST_CELLS) {
            throw refused("line " + line, "at most " + MOST_CELLS + " cells are read; split the file into several");
        }
        for (int i = 0; i < read.size(); i++) {
            int length = read.get(i).length();
            characters += length;
            if (length > LONGEST_CELL) {
                throw refused(
                        "line " + line + ", column " + (i + 1),
                        "a cell of " + length + " characters; at most " + LONGEST_CELL + " are read");
            }
        }
        if (characters > MOST_CHARACTERS) {
            throw refused("line " + line, "this is more text than is read at once; split the file into several");
        }
        return read.stream().map(Texts::printable).toList();
    }

    static Faults refused(String where, String why) {
        return new Faults(List.of(new Fault(where, why)));
    }
}
