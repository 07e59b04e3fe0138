package org.scholion.formats.table;

import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import java.io.BufferedReader;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.scholion.formats.json.Fault;
import org.scholion.formats.json.Faults;

/**
 * A table with a first row of names.
 *
 * @param separator which of comma, semicolon and tab separates its cells, found by itself
 */
public record Table(List<String> names, List<Row> rows, char separator) {
    /** So much of a stream is looked at to find the separator. */
    private static final int LONGEST_HEAD = 1 << 16;

    /** A row of cells and the line that it begins at, counted from 1. Missing cells at its end are empty. */
    public record Row(int line, List<String> cells) {
        public String cell(int column) {
            return column < cells.size() ? cells.get(column) : "";
        }
    }

    public Table {
        names = List.copyOf(names);
        rows = List.copyOf(rows);
    }

    /** What stands in a column, without its empty cells. */
    public List<String> filled(int column) {
        return rows.stream()
                .map(r -> r.cell(column).strip())
                .filter(c -> !c.isEmpty())
                .toList();
    }

    /**
     * Reads a file's bytes.
     *
     * @throws Faults when it is not UTF-8, is empty, a quote is never closed, or it is larger than a table of people's
     */
    public static Table read(byte[] bytes) {
        try {
            return read(StandardCharsets.UTF_8
                    .newDecoder()
                    .decode(ByteBuffer.wrap(bytes))
                    .toString());
        } catch (CharacterCodingException e) {
            throw refused("", "the file is not UTF-8; save it as UTF-8 and bring it in again");
        }
    }

    public static Table read(String text) {
        TableLimits limits = new TableLimits();
        String body = text.startsWith("\uFEFF") ? text.substring(1) : text;
        char separator = separator(body);
        List<Row> rows = new ArrayList<>();
        try (CsvReader<CsvRecord> reader = builder(separator).ofCsvRecord(body)) {
            for (CsvRecord record : reader) {
                int line = (int) record.getStartingLineNumber();
                rows.add(new Row(line, limits.row(line, record.getFields())));
            }
        } catch (CsvParseException e) {
            throw refused("", "the table cannot be read: " + e.getMessage());
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
        if (rows.isEmpty()) {
            throw refused("line 1", "the table is empty; its first row should name the columns");
        }
        List<String> names = rows.get(0).cells().stream().map(String::strip).toList();
        List<Row> body2 = rows.subList(1, rows.size());
        refuseLongRows(names, body2);
        return new Table(names, body2, separator);
    }

    private static CsvReader.CsvReaderBuilder builder(char separator) {
        return CsvReader.builder()
                .fieldSeparator(separator)
                .skipEmptyLines(true)
                .allowExtraFields(true)
                .allowMissingFields(true);
    }

    /** A table that is too long to be held: its records one after the other, the names first. */
    public static CsvReader<CsvRecord> reader(BufferedReader text) throws IOException {
        text.mark(LONGEST_HEAD);
        char[] head = new char[LONGEST_HEAD];
        int length = Math.max(0, text.read(head, 0, LONGEST_HEAD));
        text.reset();
        if (length > 0 && head[0] == '\uFEFF') {
            text.skip(1);
        }
        return builder(separator(new String(head, 0, length))).ofCsvRecord(text);
    }

    private static void refuseLongRows(List<String> names, List<Row> rows) {
        List<Fault> faults = new ArrayList<>();
        for (Row row : rows) {
            if (row.cells().size() > names.size()) {
                faults.add(new Fault(
                        "line " + row.line(),
                        row.cells().size() + " cells, but the first row names " + names.size() + " columns"));
            }
        }
        if (!faults.isEmpty()) {
            throw new Faults(faults);
        }
    }

    /** The mark that stands most often in the first line, outside of quotes; a comma when none does. */
    private static char separator(String text) {
        int[] counts = new int[3];
        String marks = ",;\t";
        boolean quoted = false;
        for (int i = 0; i < text.length() && (quoted || text.charAt(i) != '\n'); i++) {
            char c = text.charAt(i);
            quoted = c == '"' ? !quoted : quoted;
            int mark = marks.indexOf(c);
            if (!quoted && mark >= 0) {
                counts[mark]++;
            }
        }
        int best = counts[1] > counts[0] ? 1 : 0;
        return marks.charAt(counts[2] > counts[best] ? 2 : best);
    }

    private static Faults refused(String where, String message) {
        return new Faults(List.of(new Fault(where, message)));
    }
}
