package org.scholion.formats.table;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.dhatim.fastexcel.reader.Cell;
import org.dhatim.fastexcel.reader.CellType;
import org.dhatim.fastexcel.reader.ExcelReaderException;
import org.dhatim.fastexcel.reader.ReadableWorkbook;
import org.dhatim.fastexcel.reader.Row;
import org.dhatim.fastexcel.reader.Sheet;
import org.scholion.formats.json.Fault;
import org.scholion.formats.json.Faults;

/** The first sheet of an Office Open XML workbook as a table; any other file is read as separated text. */
public final class Spreadsheet {
    private static final int MOST_ROWS = 20_000;

    private Spreadsheet() {}

    /**
     * Reads a file by what it is.
     *
     * @throws Faults when it is no table
     */
    public static Table read(byte[] bytes) {
        boolean zip = bytes.length > 3 && bytes[0] == 'P' && bytes[1] == 'K';
        return zip ? workbook(bytes) : Table.read(bytes);
    }

    private static Table workbook(byte[] bytes) {
        try (ReadableWorkbook book = new ReadableWorkbook(new ByteArrayInputStream(bytes))) {
            Sheet sheet = book.getFirstSheet();
            List<Table.Row> rows = new ArrayList<>();
            try (Stream<Row> read = sheet.openStream()) {
                read.limit(MOST_ROWS).forEach(row -> rows.add(new Table.Row(row.getRowNum(), cells(row))));
            }
            rows.removeIf(r -> r.cells().stream().allMatch(String::isBlank));
            if (rows.isEmpty()) {
                throw refused("the first sheet is empty; its first row should name the columns");
            }
            List<String> names = rows.get(0).cells().stream().map(String::strip).toList();
            return new Table(names, rows.subList(1, rows.size()), ',');
        } catch (IOException | UncheckedIOException | ExcelReaderException | IllegalArgumentException e) {
            throw refused("this is no workbook that can be read; save it as .xlsx or as CSV and bring it in again");
        }
    }

    private static Faults refused(String why) {
        return new Faults(List.of(new Fault("", why)));
    }

    private static List<String> cells(Row row) {
        List<String> cells = new ArrayList<>();
        for (Cell cell : row) {
            cells.add(cell == null ? "" : text(cell));
        }
        return cells;
    }

    /** Numbers without the zeros that a sheet stores behind them. */
    private static String text(Cell cell) {
        if (cell.getType() == CellType.NUMBER) {
            return cell.asNumber().stripTrailingZeros().toPlainString();
        }
        return cell.getText() == null ? "" : cell.getText();
    }
}
