package org.scholion.formats.table;

import java.util.List;
import java.util.Objects;

/**
 * A file of rows and cells as it is, before anything is taken for a heading.
 *
 * @param rows those with something in them
 * @param how in words, how it was read: the sheet, or the separator and the encoding
 * @param separator of cells in text; a comma for a workbook
 * @param encoding of its letters; empty for a workbook
 * @param sheets the names of a workbook's sheets; empty for text
 * @param notes what whoever looks at it should know, such as hidden rows
 */
public record Grid(
        List<Table.Row> rows, String how, char separator, String encoding, List<String> sheets, List<String> notes) {

    public Grid {
        rows = List.copyOf(rows);
        sheets = List.copyOf(sheets);
        notes = List.copyOf(notes);
    }

    /**
     * What a person has chosen about how to read a file.
     *
     * @param encoding empty to find it out
     * @param separator empty to find it out
     * @param sheet by its place, from 0
     */
    public record Reading(String encoding, String separator, int sheet) {
        public static final Reading NOTHING = new Reading("", "", 0);

        public Reading {
            Objects.requireNonNull(encoding);
            Objects.requireNonNull(separator);
        }
    }

    /**
     * Reads a file by what it is, whatever its name says.
     *
     * @throws org.scholion.formats.json.Faults when it is no table, is empty, or larger than a table of people's
     */
    public static Grid read(byte[] bytes, Reading asked) {
        boolean zip = bytes.length > 3 && bytes[0] == 'P' && bytes[1] == 'K';
        Grid read;
        if (zip) {
            Unpacked.refuseLarge(bytes);
            read = OpenDocument.isOne(bytes)
                    ? OpenDocument.read(bytes, asked.sheet())
                    : Workbook.read(bytes, asked.sheet());
        } else {
            read = text(bytes, asked);
        }
        List<Table.Row> full = read.rows().stream()
                .filter(r -> !r.cells().stream().allMatch(String::isBlank))
                .toList();
        if (full.isEmpty()) {
            throw TableLimits.refused("line 1", "the table is empty; its first row should name the columns");
        }
        return new Grid(full, read.how, read.separator, read.encoding, read.sheets, read.notes);
    }

    private static Grid text(byte[] bytes, Reading asked) {
        refuseOldWorkbook(bytes);
        Decoded decoded = Decoded.of(bytes, asked.encoding());
        Separated cells = Separated.of(decoded.text(), asked.separator());
        return new Grid(
                cells.rows(),
                Separated.word(cells.separator()) + ", " + decoded.encoding(),
                cells.separator(),
                decoded.encoding(),
                List.of(),
                List.of());
    }

    /** The workbooks of the nineties begin with these bytes. */
    private static void refuseOldWorkbook(byte[] bytes) {
        if (bytes.length > 4 && (bytes[0] & 0xFF) == 0xD0 && (bytes[1] & 0xFF) == 0xCF && bytes[2] == 0x11) {
            throw TableLimits.refused(
                    "",
                    "this is a workbook of the old kind (.xls); save it as .xlsx, .ods or CSV and bring it in again");
        }
        if (bytes.length > 4 && bytes[0] == '%' && bytes[1] == 'P' && bytes[2] == 'D' && bytes[3] == 'F') {
            throw TableLimits.refused(
                    "", "this is a PDF, which has no table to read; export the table as CSV or .xlsx");
        }
    }
}
