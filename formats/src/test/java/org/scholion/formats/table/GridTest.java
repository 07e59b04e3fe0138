package org.scholion.formats.table;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.time.LocalDateTime;
import java.util.List;
import java.util.zip.CRC32;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.dhatim.fastexcel.Workbook;
import org.dhatim.fastexcel.Worksheet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.scholion.formats.json.Faults;

class GridTest {
    private static Grid read(byte[] bytes) {
        return Grid.read(bytes, Grid.Reading.NOTHING);
    }

    private static Grid read(String text) {
        return read(text.getBytes(StandardCharsets.UTF_8));
    }

    @ParameterizedTest
    @CsvSource({"UTF-8", "UTF-16LE", "UTF-16BE", "Windows-1252"})
    void letters_are_read_in_whatever_way_they_were_written(String encoding) {
        Grid grid = read("name,said\nZoë Müller,naïve\nÅse,“yes”\n".getBytes(Charset.forName(encoding)));
        assertThat(grid.encoding()).isEqualTo(encoding);
        assertThat(grid.rows().get(1).cells()).containsExactly("Zoë Müller", "naïve");
        assertThat(grid.how()).isEqualTo("comma, " + encoding);
    }

    @Test
    void a_mark_of_utf_16_decides_and_another_way_can_be_chosen() {
        byte[] marked = ("\uFEFF" + "a\tb\n1\t2\n").getBytes(StandardCharsets.UTF_16LE);
        assertThat(read(marked).rows().get(0).cells()).containsExactly("a", "b");
        byte[] cyrillic = "имя,что\nАда,да\n".getBytes(Charset.forName("windows-1251"));
        assertThat(Grid.read(cyrillic, new Grid.Reading("windows-1251", "", 0))
                        .rows()
                        .get(1)
                        .cells())
                .containsExactly("Ада", "да");
        assertThatThrownBy(() -> Grid.read(cyrillic, new Grid.Reading("no such thing", "", 0)))
                .isInstanceOf(Faults.class)
                .hasMessageContaining("no way of writing letters");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '~',
            value = {
                "a,b,c\\n1,2,3\\n4,5,6~comma",
                "a;b;c\\n1,5;2,5;3\\n4,5;5,5;6,5~semicolon",
                "a|b\\n1|2\\n3|4~upright stroke",
                "name\tq1\\nHaddix, Noor\tyes, but\\nKessler, Dov\tno~tab",
                "sep=|\\na|b,c\\n1|2,3~upright stroke"
            })
    void the_separator_is_the_sign_that_cuts_the_lines_evenly(String text, String separator) {
        Grid grid = read(text.replace("\\n", "\n"));
        assertThat(grid.how()).startsWith(separator);
        assertThat(grid.rows())
                .allSatisfy(r ->
                        assertThat(r.cells()).hasSameSizeAs(grid.rows().get(0).cells()));
    }

    @Test
    void line_ends_of_every_system_and_breaks_within_quotes_are_read() {
        assertThat(read("a,b\r1,2\r").rows()).hasSize(2);
        assertThat(read("a,b\r\n\"1\n2\",3\r\n").rows().get(1).cells()).containsExactly("1\n2", "3");
    }

    private static byte[] workbook() {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (Workbook book = new Workbook(out, "test", "1.0")) {
            Worksheet first = book.newWorksheet("Answers");
            first.value(0, 0, "number");
            first.value(0, 1, "when");
            first.value(0, 2, "right");
            first.value(1, 0, 40216);
            first.value(1, 1, LocalDateTime.of(2026, 11, 24, 19, 5));
            first.style(1, 1).format("yyyy-mm-dd hh:mm").set();
            first.value(1, 2, true);
            first.hideRow(1);
            first.hideColumn(2);
            first.value(3, 0, "together");
            first.range(3, 0, 3, 1).merge();
            Worksheet second = book.newWorksheet("Key");
            second.value(0, 0, "key");
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
        return out.toByteArray();
    }

    @Test
    void a_workbook_has_its_sheets_dates_as_dates_truths_as_truths_and_says_what_it_hides() {
        Grid grid = read(workbook());
        assertThat(grid.sheets()).containsExactly("Answers", "Key");
        assertThat(grid.rows().get(1).cells()).containsExactly("40216", "2026-11-24 19:05", "TRUE");
        assertThat(grid.notes())
                .containsExactly(
                        "the sheet hides row 2; hidden rows are read as well",
                        "the sheet hides column C; hidden columns are read as well",
                        "cells are merged in A4:B4; what they say is read in the first of them");
        assertThat(Grid.read(workbook(), new Grid.Reading("", "", 1))
                        .rows()
                        .get(0)
                        .cells())
                .containsExactly("key");
    }

    private static byte[] openDocument(String table) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            byte[] type = "application/vnd.oasis.opendocument.spreadsheet".getBytes(StandardCharsets.US_ASCII);
            ZipEntry first = new ZipEntry("mimetype");
            first.setMethod(ZipEntry.STORED);
            first.setSize(type.length);
            CRC32 sum = new CRC32();
            sum.update(type);
            first.setCrc(sum.getValue());
            zip.putNextEntry(first);
            zip.write(type);
            zip.putNextEntry(new ZipEntry("content.xml"));
            zip.write(("<?xml version=\"1.0\"?><office:document-content"
                            + " xmlns:office=\"urn:oasis:names:tc:opendocument:xmlns:office:1.0\""
                            + " xmlns:table=\"urn:oasis:names:tc:opendocument:xmlns:table:1.0\""
                            + " xmlns:text=\"urn:oasis:names:tc:opendocument:xmlns:text:1.0\"><office:body>"
                            + "<office:spreadsheet>" + table
                            + "</office:spreadsheet></office:body></office:document-content>")
                    .getBytes(StandardCharsets.UTF_8));
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
        return out.toByteArray();
    }

    @Test
    void an_open_document_has_values_repeated_cells_and_lines_within_a_cell() {
        String sheet = "<table:table table:name=\"Klasse\"><table:table-column table:number-columns-repeated=\"2\"/>"
                + "<table:table-column table:visibility=\"collapse\" table:number-columns-repeated=\"2\"/><table:table-row><table:table-cell><text:p>number</text:p>"
                + "</table:table-cell><table:table-cell table:number-columns-repeated=\"2\"><text:p>said</text:p>"
                + "</table:table-cell></table:table-row><table:table-row table:visibility=\"collapse\"><table:table-cell"
                + " office:value-type=\"float\" office:value=\"40216\"><text:p>40.216</text:p></table:table-cell>"
                + "<table:table-cell office:value-type=\"date\" office:date-value=\"2026-11-24T00:00:00\"><text:p>24.11.</text:p>"
                + "</table:table-cell><table:table-cell><office:annotation><text:p>aside</text:p></office:annotation>"
                + "<text:p>two</text:p><text:p>lines</text:p></table:table-cell></table:table-row>"
                + "<table:table-row><table:table-cell table:number-columns-spanned=\"2\" table:number-rows-spanned=\"2\">"
                + "<text:p>both</text:p></table:table-cell><table:covered-table-cell/></table:table-row>"
                + "<table:table-row table:number-rows-repeated=\"1048574\"><table:table-cell"
                + " table:number-columns-repeated=\"16384\"/></table:table-row></table:table>"
                + "<table:table table:name=\"Zweites\"/>";
        Grid grid = read(openDocument(sheet));
        assertThat(grid.how()).isEqualTo("sheet “Klasse”");
        assertThat(grid.sheets()).containsExactly("Klasse", "Zweites");
        assertThat(grid.rows()).hasSize(3);
        assertThat(grid.rows().get(0).cells()).containsExactly("number", "said", "said");
        assertThat(grid.rows().get(1).cells()).containsExactly("40216", "2026-11-24", "two\nlines");
        assertThat(grid.notes())
                .containsExactly(
                        "the sheet hides row 2; hidden rows are read as well",
                        "the sheet hides 2 columns, the first is column C; hidden columns are read as well",
                        "cells are merged in A3:B4; what they say is read in the first of them");
        assertThat(SheetNotes.letters(27)).isEqualTo("AB");
    }

    @Test
    void rows_that_stand_for_millions_are_refused_and_not_unrolled() {
        String sheet = "<table:table table:name=\"T\"><table:table-row table:number-rows-repeated=\"900000000\">"
                + "<table:table-cell><text:p>x</text:p></table:table-cell></table:table-row></table:table>";
        assertThatThrownBy(() -> read(openDocument(sheet))).hasMessageContaining("at most 20000 rows");
    }

    @Test
    void what_is_no_table_is_named_for_what_it_is() {
        assertThatThrownBy(() -> read(new byte[] {(byte) 0xD0, (byte) 0xCF, 0x11, (byte) 0xE0, 0}))
                .hasMessageContaining("of the old kind (.xls)");
        assertThatThrownBy(() -> read("%PDF-1.7 …")).hasMessageContaining("this is a PDF");
        assertThatThrownBy(() -> read(" \n,,\n")).hasMessageContaining("the table is empty");
    }

    @Test
    void a_heading_is_found_below_titles_and_numbers_that_count_up_are_one() {
        Grid grid = read("Class list,,\n,,\nnumber,1,2\n40216,a,b\n");
        assertThat(Heading.find(grid, c -> c.equals("40216"))).isEqualTo(new Heading(1, 1));
        Grid bare = read("40216,a,b\n40220,b,c\n");
        Heading none = Heading.find(bare, c -> c.startsWith("402"));
        assertThat(none.rows()).isZero();
        assertThat(none.table(bare).names()).isEqualTo(List.of("column 1", "column 2", "column 3"));
        assertThat(none.table(bare).rows()).hasSize(2);
    }
}
