package org.scholion.formats.table;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import org.dhatim.fastexcel.reader.Cell;
import org.dhatim.fastexcel.reader.CellType;
import org.dhatim.fastexcel.reader.ExcelReaderException;
import org.dhatim.fastexcel.reader.ReadableWorkbook;
import org.dhatim.fastexcel.reader.ReadingOptions;
import org.dhatim.fastexcel.reader.Row;
import org.dhatim.fastexcel.reader.Sheet;
import org.dhatim.fastexcel.reader.SheetVisibility;

/** A sheet of an Office Open XML workbook: formulas by their values, dates as they are read, hidden sheets last. */
final class Workbook {
    /** A number with more digits or zeros than this is kept as it is written. */
    private static final int MOST_DIGITS = 40;

    private Workbook() {}

    static Grid read(byte[] bytes, int wanted) {
        try (ReadableWorkbook book = open(bytes)) {
            List<Sheet> sheets = book.getSheets()
                    .sorted(java.util.Comparator.comparing(s -> s.getVisibility() != SheetVisibility.VISIBLE))
                    .toList();
            Sheet sheet = sheets.get(Math.max(0, Math.min(wanted, sheets.size() - 1)));
            List<Table.Row> rows = new ArrayList<>();
            SheetNotes notes = new SheetNotes();
            TableLimits limits = new TableLimits();
            try (Stream<Row> read = sheet.openStream()) {
                read.forEach(row -> {
                    rows.add(new Table.Row(row.getRowNum(), limits.row(row.getRowNum(), cells(row))));
                    if (row.isHidden()) {
                        notes.hidesRow(row.getRowNum());
                    }
                });
            }
            SheetParts.note(bytes, sheet.getName(), notes);
            return new Grid(
                    rows,
                    "sheet “" + sheet.getName() + "”",
                    ',',
                    "",
                    sheets.stream().map(Sheet::getName).toList(),
                    notes.words());
        } catch (IOException | UncheckedIOException | ExcelReaderException | IllegalArgumentException e) {
            throw TableLimits.refused(
                    "", "this is no workbook that can be read; save it as .xlsx or as CSV and bring it in again");
        }
    }

    /** Some programs write workbooks without any formats: then no number is a date. */
    private static ReadableWorkbook open(byte[] bytes) throws IOException {
        try {
            return new ReadableWorkbook(new ByteArrayInputStream(bytes), new ReadingOptions(true, true));
        } catch (IOException | ExcelReaderException | IllegalArgumentException | IllegalStateException e) {
            return new ReadableWorkbook(new ByteArrayInputStream(bytes), new ReadingOptions(false, true));
        }
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

    private static String text(Cell cell) {
        if (cell.getType() == CellType.BOOLEAN
                || "TRUE".equals(cell.getRawValue()) && cell.getType() == CellType.FORMULA) {
            return "1".equals(cell.getRawValue()) || "TRUE".equalsIgnoreCase(cell.getRawValue()) ? "TRUE" : "FALSE";
        }
        if (cell.getType() == CellType.NUMBER || cell.getType() == CellType.FORMULA && isNumber(cell)) {
            return isDate(cell) ? date(cell) : number(cell);
        }
        return cell.getText() == null ? "" : cell.getText();
    }

    private static boolean isNumber(Cell cell) {
        return cell.getValue() instanceof BigDecimal;
    }

    /** A format with days, months, years or hours in it; colours and words in it stand in brackets and quotes. */
    private static boolean isDate(Cell cell) {
        String format = cell.getDataFormatString();
        if (format == null) {
            return false;
        }
        String bare = format.toLowerCase(Locale.ROOT).replaceAll("\\[[^\\]]*\\]|\"[^\"]*\"|\\\\.", "");
        return bare.matches(".*[dy].*") || bare.contains("h:mm") || bare.contains("mm:ss");
    }

    private static String date(Cell cell) {
        LocalDateTime at = cell.asDate();
        if (at == null) {
            return number(cell);
        }
        if (at.getYear() <= 1900) {
            return at.toLocalTime().toString();
        }
        return at.toLocalTime().equals(LocalTime.MIDNIGHT)
                ? at.toLocalDate().toString()
                : at.toLocalDate() + " " + at.toLocalTime();
    }

    /** Numbers without the zeros that a sheet stores behind them. */
    private static String number(Cell cell) {
        BigDecimal number = cell.asNumber();
        boolean isShort = number.precision() <= MOST_DIGITS && Math.abs((long) number.scale()) <= MOST_DIGITS;
        return isShort ? number.stripTrailingZeros().toPlainString() : String.valueOf(cell.getRawValue());
    }
}
