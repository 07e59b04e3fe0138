package org.scholion.formats.table;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.dhatim.fastexcel.reader.Cell;
import org.dhatim.fastexcel.reader.CellType;
import org.dhatim.fastexcel.reader.ExcelReaderException;
import org.dhatim.fastexcel.reader.ReadableWorkbook;
import org.dhatim.fastexcel.reader.Row;
import org.dhatim.fastexcel.reader.Sheet;
import org.scholion.formats.json.Faults;

/** The first sheet of an Office Open XML workbook as a table; any other file is read as separated text. */
public final class Spreadsheet {
    /** A number with more digits or zeros than this is kept as it is written. */
    private static final int MOST_DIGITS = 40;

    private Spreadsheet() {}

    /**
     * Reads a file by what it is.
     *
     * @throws Faults when it is no table
     */
    public static Table read(byte[] bytes) {
        boolean zip = bytes.length > 3 && bytes[0] == 'P' && bytes[1] == 'K';
        if (!zip) {
            return Table.read(bytes);
        }
        Unpacked.refuseLarge(bytes);
        return workbook(bytes);
    }

    private static Table workbook(byte[] bytes) {
        try (ReadableWorkbook book = new ReadableWorkbook(new ByteArrayInputStream(bytes))) {
            Sheet sheet = book.getFirstSheet();
            List<Table.Row> rows = new ArrayList<>();
            TableLimits limits = new TableLimits();
            try (Stream<Row> read = sheet.openStream()) {
                read.forEach(row -> rows.add(new Table.Row(row.getRowNum(), limits.row(row.getRowNum(), cells(row)))));
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
        return TableLimits.refused("", why);
    }

    /** Up to the last cell that holds something: a sheet keeps empty ones that only have a colour. */
    private static List<String> cells(Row row) {
        List<String> cells = new ArrayList<>();
        int last = 0;
        for (Cell cell : row) {
            cells.add(cell == null ? "" : text(cell));
            last = cells.get(cells.size() - 1).isEmpty() ? last : cells.size();
        }
        return cells.subList(0, last);
    }

    /** Numbers without the zeros that a sheet stores behind them. */
    private static String text(Cell cell) {
        if (cell.getType() == CellType.NUMBER) {
            BigDecimal number = cell.asNumber();
            boolean isShort = number.precision() <= MOST_DIGITS && Math.abs((long) number.scale()) <= MOST_DIGITS;
            return isShort ? number.stripTrailingZeros().toPlainString() : String.valueOf(cell.getRawValue());
        }
        return cell.getText() == null ? "" : cell.getText();
    }
}
