package org.scholion.formats.out;

import java.io.IOException;
import java.io.OutputStream;
import java.math.BigDecimal;
import java.util.List;
import org.dhatim.fastexcel.Workbook;
import org.dhatim.fastexcel.Worksheet;
import org.jspecify.annotations.Nullable;

/** Tables as sheets of a workbook: numbers are numbers, moments are moments, and words are never formulas. */
public final class XlsxOut implements TableOut {
    /** Rows that are kept before they are written. */
    private static final int AT_A_TIME = 500;

    /** More letters a cell cannot hold. */
    private static final int LONGEST = 32_767;

    /** More letters a sheet's name cannot have. */
    private static final int LONGEST_NAME = 31;

    private final Workbook book;
    private @Nullable Worksheet sheet;
    private int row;

    public XlsxOut(OutputStream out) {
        this.book = new Workbook(out, "Scholion", "1.0");
    }

    @Override
    public void table(String name, List<String> heading) throws IOException {
        finish();
        Worksheet next = book.newWorksheet(name.substring(0, Math.min(LONGEST_NAME, name.length())));
        for (int c = 0; c < heading.size(); c++) {
            next.value(0, c, heading.get(c));
            next.style(0, c).bold().set();
        }
        next.freezePane(0, 1);
        sheet = next;
        row = 1;
    }

    @Override
    public void row(List<Cell> cells) throws IOException {
        Worksheet into = java.util.Objects.requireNonNull(sheet, "no table has begun");
        for (int c = 0; c < cells.size(); c++) {
            put(into, c, cells.get(c));
        }
        row++;
        if (row % AT_A_TIME == 0) {
            into.flush();
        }
    }

    private void put(Worksheet into, int column, Cell cell) {
        if (cell instanceof Cell.Text words) {
            String text = words.words();
            if (!text.isEmpty()) {
                into.value(row, column, clean(text.substring(0, Math.min(LONGEST, text.length()))));
            }
        } else if (cell instanceof Cell.Amount amount) {
            into.value(row, column, new BigDecimal(amount.value().toDecimal(DECIMALS)));
        } else if (cell instanceof Cell.Count count) {
            into.value(row, column, count.value());
        } else if (cell instanceof Cell.At at) {
            into.value(row, column, at.moment());
            into.style(row, column).format("yyyy-mm-dd hh:mm").set();
        }
    }

    /** Without signs that no workbook can hold. */
    private static String clean(String text) {
        StringBuilder out = new StringBuilder(text.length());
        text.codePoints()
                .filter(c ->
                        c == '\t' || c == '\n' || c >= 0x20 && c != 0xFFFE && c != 0xFFFF && (c < 0xD800 || c > 0xDFFF))
                .forEach(out::appendCodePoint);
        return out.toString();
    }

    private void finish() throws IOException {
        if (sheet != null) {
            sheet.finish();
            sheet = null;
        }
    }

    @Override
    public void close() throws IOException {
        finish();
        book.finish();
    }
}
