package org.scholion.formats.batch;

import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.scholion.formats.json.Fault;
import org.scholion.formats.json.Faults;
import org.scholion.formats.table.Table;

/** A response table, handed out in pieces of so many records. */
final class TableSource implements Source {
    private static final int PIECE = 500;

    private final CsvReader<CsvRecord> reader;
    private final Iterator<CsvRecord> records;
    private final TableColumns columns;

    TableSource(Path file, Key key, boolean ignoreUnknown) throws IOException {
        // The decoder refuses what is not UTF-8 instead of replacing it.
        BufferedReader text = new BufferedReader(
                new InputStreamReader(Files.newInputStream(file), StandardCharsets.UTF_8.newDecoder()), 1 << 16);
        try {
            this.reader = Table.reader(text);
        } catch (CharacterCodingException e) {
            text.close();
            throw notUtf8();
        }
        this.records = reader.iterator();
        if (!hasNext()) {
            throw refused("line 1", "the table is empty; its first row should name the columns");
        }
        this.columns = TableColumns.of(records.next().getFields(), key, ignoreUnknown);
    }

    private boolean hasNext() {
        try {
            return records.hasNext();
        } catch (CsvParseException e) {
            throw refused("", "the table cannot be read: " + e.getMessage());
        } catch (java.io.UncheckedIOException e) {
            throw e.getCause() instanceof CharacterCodingException ? notUtf8() : e;
        }
    }

    private static Faults notUtf8() {
        return refused("", "the file is not UTF-8; save it as UTF-8 and try again");
    }

    private static Faults refused(String where, String message) {
        return new Faults(List.of(new Fault(where, message)));
    }

    @Override
    public @Nullable Chunk next() {
        List<Table.Row> rows = new ArrayList<>();
        while (rows.size() < PIECE && hasNext()) {
            CsvRecord record = records.next();
            rows.add(new Table.Row((int) record.getStartingLineNumber(), record.getFields()));
        }
        return rows.isEmpty() ? null : new TableChunk(columns, rows);
    }

    @Override
    public void close() throws IOException {
        reader.close();
    }
}
