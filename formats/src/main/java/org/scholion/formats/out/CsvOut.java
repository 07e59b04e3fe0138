package org.scholion.formats.out;

import java.io.BufferedWriter;
import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.regex.Pattern;

/** A table as CSV (RFC 4180) in UTF-8, with the mark by which spreadsheets know it. */
public final class CsvOut implements TableOut {
    /** At what a spreadsheet begins to compute. */
    private static final Pattern COMPUTES = Pattern.compile("^[=+@\\t\\r-].*", Pattern.DOTALL);

    private static final Pattern PLAIN_NUMBER = Pattern.compile("-[0-9]+([.,][0-9]+)?");
    private static final DateTimeFormatter MOMENT = DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm:ss");

    private final Writer out;

    public CsvOut(OutputStream out) throws IOException {
        this.out = new BufferedWriter(new OutputStreamWriter(out, StandardCharsets.UTF_8));
        this.out.write('\ufeff');
    }

    @Override
    public void table(String name, List<String> heading) throws IOException {
        row(heading.stream().map(Cell::of).toList());
    }

    @Override
    public void row(List<Cell> cells) throws IOException {
        for (int i = 0; i < cells.size(); i++) {
            out.write(i == 0 ? "" : ",");
            out.write(quoted(text(cells.get(i))));
        }
        out.write("\r\n");
    }

    private static String text(Cell cell) {
        if (cell instanceof Cell.Text words) {
            return harmless(words.words());
        }
        if (cell instanceof Cell.Amount amount) {
            return amount.value().toDecimal(DECIMALS);
        }
        return cell instanceof Cell.At at ? MOMENT.format(at.moment()) : Long.toString(((Cell.Count) cell).value());
    }

    /** Words that would be computed get an apostrophe before them; a negative number is only a number. */
    static String harmless(String words) {
        return COMPUTES.matcher(words).matches() && !PLAIN_NUMBER.matcher(words).matches() ? "'" + words : words;
    }

    private static String quoted(String text) {
        boolean plain = text.chars().noneMatch(c -> c == ',' || c == '"' || c == '\n' || c == '\r');
        return plain ? text : "\"" + text.replace("\"", "\"\"") + "\"";
    }

    @Override
    public void close() throws IOException {
        out.flush();
    }
}
