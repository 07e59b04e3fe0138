package org.scholion.formats.table;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import org.jspecify.annotations.Nullable;

/** A sheet of an OpenDocument spreadsheet (ISO/IEC 26300): values as they are stored, texts as they are shown. */
final class OpenDocument {
    private static final String TYPE = "application/vnd.oasis.opendocument.spreadsheet";
    private static final int MOST_REPEATED = TableLimits.MOST_COLUMNS;

    private final XMLStreamReader xml;
    private final int wanted;
    private final List<String> sheets = new ArrayList<>();
    private final List<Table.Row> rows = new ArrayList<>();
    private final SheetNotes notes = new SheetNotes();
    private final TableLimits limits = new TableLimits();
    private int line;
    private int column;

    private OpenDocument(XMLStreamReader xml, int wanted) {
        this.xml = xml;
        this.wanted = wanted;
    }

    /** Its first entry says what it is. */
    static boolean isOne(byte[] bytes) {
        try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(bytes))) {
            ZipEntry first = zip.getNextEntry();
            return first != null
                    && first.getName().equals("mimetype")
                    && new String(zip.readNBytes(TYPE.length()), StandardCharsets.US_ASCII).equals(TYPE);
        } catch (IOException e) {
            return false;
        }
    }

    static Grid read(byte[] bytes, int sheet) {
        try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(bytes))) {
            for (ZipEntry e = zip.getNextEntry(); e != null; e = zip.getNextEntry()) {
                if (e.getName().equals("content.xml")) {
                    return content(zip, sheet);
                }
            }
        } catch (IOException | XMLStreamException e) {
            // Told below: it is the same to whoever brings it in.
        }
        throw TableLimits.refused(
                "", "this is no spreadsheet that can be read; save it as .ods, .xlsx or CSV and bring it in again");
    }

    private static Grid content(InputStream in, int sheet) throws XMLStreamException {
        OpenDocument read = new OpenDocument(Xml.reader(in), sheet);
        read.all();
        int chosen = Math.max(0, Math.min(sheet, read.sheets.size() - 1));
        return new Grid(
                read.rows,
                read.sheets.isEmpty() ? "no sheet" : "sheet “" + read.sheets.get(chosen) + "”",
                ',',
                "",
                read.sheets,
                read.notes.words());
    }

    private void all() throws XMLStreamException {
        while (xml.hasNext()) {
            if (xml.next() == XMLStreamConstants.START_ELEMENT) {
                if (is("table")) {
                    sheets.add(String.valueOf(attribute("name")));
                    line = 0;
                    column = 0;
                } else if (is("table-column") && sheets.size() == wanted + 1) {
                    column();
                } else if (is("table-row") && sheets.size() == wanted + 1) {
                    row();
                }
            }
        }
    }

    private boolean is(String name) {
        return xml.getLocalName().equals(name) && xml.getNamespaceURI().endsWith(":table:1.0");
    }

    private @Nullable String attribute(String name) {
        return Xml.attribute(xml, name);
    }

    private int count(String name) {
        String times = attribute(name);
        try {
            return times == null ? 1 : Math.max(1, Integer.parseInt(times));
        } catch (NumberFormatException e) {
            return 1;
        }
    }

    private void column() {
        int times = Math.min(count("number-columns-repeated"), MOST_REPEATED);
        for (int i = 0; i < times && isHidden(); i++) {
            notes.hidesColumn(column + i);
        }
        column += times;
    }

    private boolean isHidden() {
        return "collapse".equals(attribute("visibility")) || "filter".equals(attribute("visibility"));
    }

    /** An empty row stands for very many at a sheet's end; it only counts. */
    private void row() throws XMLStreamException {
        int times = count("number-rows-repeated");
        boolean isHidden = isHidden();
        List<String> cells = new ArrayList<>();
        int last = 0;
        while (!(xml.next() == XMLStreamConstants.END_ELEMENT && is("table-row"))) {
            if (xml.getEventType() == XMLStreamConstants.START_ELEMENT
                    && (is("table-cell") || is("covered-table-cell"))) {
                int repeated = Math.min(count("number-columns-repeated"), MOST_REPEATED + 1);
                merged(cells.size());
                String cell = cell();
                for (int i = 0; i < repeated && (!cell.isEmpty() || cells.size() <= MOST_REPEATED); i++) {
                    cells.add(cell);
                }
                last = cell.isEmpty() ? last : cells.size();
            }
        }
        for (int i = 0; i < times && (last > 0 || i == 0); i++) {
            rows.add(new Table.Row(line + i + 1, limits.row(line + i + 1, List.copyOf(cells.subList(0, last)))));
            if (isHidden && last > 0) {
                notes.hidesRow(line + i + 1);
            }
        }
        line += times;
    }

    private void merged(int from) {
        int columns = count("number-columns-spanned");
        int down = count("number-rows-spanned");
        if (columns > 1 || down > 1) {
            notes.merges(SheetNotes.letters(from) + (line + 1) + ":" + SheetNotes.letters(from + columns - 1)
                    + (line + down));
        }
    }

    private String cell() throws XMLStreamException {
        String type = String.valueOf(attribute("value-type"));
        String value = attribute("value");
        String date = attribute("date-value");
        String truth = attribute("boolean-value");
        String shown = text();
        return switch (type) {
            case "float", "percentage", "currency" -> value == null ? shown : plain(value);
            case "date" ->
                date == null ? shown : date.replaceFirst("T00:00:00.*$", "").replace('T', ' ');
            case "boolean" -> "true".equals(truth) ? "TRUE" : "FALSE";
            default -> shown;
        };
    }

    /** A cell's paragraphs, a line each. What is said about the cell (annotations) is not in it. */
    private String text() throws XMLStreamException {
        StringBuilder text = new StringBuilder();
        int depth = 1;
        int aside = 0;
        while (depth > 0) {
            int event = xml.next();
            if (event == XMLStreamConstants.START_ELEMENT) {
                depth++;
                String name = xml.getLocalName();
                aside += name.equals("annotation") ? 1 : 0;
                if (aside == 0 && name.equals("p") && !text.isEmpty()) {
                    text.append('\n');
                } else if (aside == 0 && name.equals("s")) {
                    text.append(" ".repeat(Math.min(count("c"), 100)));
                } else if (aside == 0 && name.equals("line-break")) {
                    text.append('\n');
                }
            } else if (event == XMLStreamConstants.END_ELEMENT) {
                depth--;
                aside -= xml.getLocalName().equals("annotation") ? 1 : 0;
            } else if (event == XMLStreamConstants.CHARACTERS && aside == 0) {
                text.append(xml.getText());
            }
        }
        return text.toString();
    }

    private static String plain(String number) {
        try {
            BigDecimal exact = new BigDecimal(number);
            return Math.abs((long) exact.scale()) > 40
                    ? number
                    : exact.stripTrailingZeros().toPlainString();
        } catch (NumberFormatException e) {
            return number;
        }
    }
}
