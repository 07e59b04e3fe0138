package org.scholion.formats.table;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.scholion.formats.json.Faults;

/** Files that are small on their way and huge when they are read, or that hold what no table holds. */
@Timeout(60)
class LargeTablesTest {
    private static final String SHEET = """
            <?xml version="1.0"?><worksheet xmlns="http://schemas.openxmlformats.org/spreadsheetml/2006/main"><sheetData>%s\
            </sheetData></worksheet>""";

    private static Table csv(String text) {
        return Table.read(text.getBytes(StandardCharsets.UTF_8));
    }

    private static Table workbook(String rows) {
        return new Heading(0, 1).table(Grid.read(packed(SHEET.formatted(rows), ""), Grid.Reading.NOTHING));
    }

    /** A workbook of one sheet as other programs write it. */
    private static byte[] packed(String sheet, String more) {
        Map<String, String> parts = new LinkedHashMap<>();
        parts.put("[Content_Types].xml", """
                <?xml version="1.0"?><Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types">\
                <Override PartName="/xl/workbook.xml" ContentType="application/vnd.openxmlformats-officedocument.spreadsheetml.sheet.main+xml"/>\
                <Override PartName="/xl/worksheets/sheet1.xml" ContentType="application/vnd.openxmlformats-officedocument.spreadsheetml.worksheet+xml"/>\
                </Types>""");
        parts.put("xl/workbook.xml", """
                <?xml version="1.0"?><workbook xmlns="http://schemas.openxmlformats.org/spreadsheetml/2006/main" \
                xmlns:r="http://schemas.openxmlformats.org/officeDocument/2006/relationships"><sheets>\
                <sheet name="one" sheetId="1" r:id="rId1"/></sheets></workbook>""");
        parts.put("xl/_rels/workbook.xml.rels", """
                <?xml version="1.0"?><Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships">\
                <Relationship Id="rId1" Type="http://schemas.openxmlformats.org/officeDocument/2006/relationships/worksheet" \
                Target="worksheets/sheet1.xml"/></Relationships>""");
        parts.put("xl/worksheets/sheet1.xml", sheet);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            for (Map.Entry<String, String> part : parts.entrySet()) {
                zip.putNextEntry(new ZipEntry(part.getKey()));
                zip.write(part.getValue().getBytes(StandardCharsets.UTF_8));
            }
            if (!more.isEmpty()) {
                zip.putNextEntry(new ZipEntry("xl/more.xml"));
                byte[] block = more.repeat(1_000).getBytes(StandardCharsets.UTF_8);
                for (int i = 0; i < 130_000_000 / block.length; i++) {
                    zip.write(block);
                }
            }
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
        return out.toByteArray();
    }

    private static String cell(String at, String type, String inside) {
        return "<c r=\"" + at + "\"" + type + ">" + inside + "</c>";
    }

    private static String text(String at, String words) {
        return cell(at, " t=\"inlineStr\"", "<is><t>" + words + "</t></is>");
    }

    @Test
    void a_number_with_a_milliard_zeros_is_kept_as_it_is_written() {
        Table table = workbook("<row r=\"1\">" + text("A1", "n") + "</row><row r=\"2\">"
                + cell("A2", "", "<v>1E999999999</v>") + "</row><row r=\"3\">" + cell("A3", "", "<v>1E-999999999</v>")
                + "</row><row r=\"4\">" + cell("A4", "", "<v>2.50</v>") + "</row>");
        assertThat(table.rows()).extracting(r -> r.cell(0)).containsExactly("1E999999999", "1E-999999999", "2.5");
    }

    @Test
    void what_is_huge_when_it_is_unpacked_is_refused_before_it_is_read() {
        byte[] packed = packed(SHEET.formatted("<row r=\"1\">" + text("A1", "n") + "</row>"), "<a>sea</a>\n");
        assertThat(packed.length).isLessThan(1_000_000);
        assertThatThrownBy(() -> Grid.read(packed, Grid.Reading.NOTHING))
                .isInstanceOf(Faults.class)
                .hasMessageContaining("more than 120 MB when it is unpacked");
    }

    @Test
    void a_cell_far_to_the_right_or_of_a_million_letters_is_refused_by_name() {
        assertThatThrownBy(() -> workbook("<row r=\"1\">" + text("A1", "n") + text("XFD1", "far") + "</row>"))
                .isInstanceOf(Faults.class)
                .hasMessageContaining("16384 columns; at most 400");
        String far = "<row r=\"1\">" + text("A1", "n") + cell("XFD1", "", "") + "</row>";
        assertThat(workbook(far).names()).as("only a colour").containsExactly("n");
        assertThatThrownBy(() -> workbook("<row r=\"1\">" + text("A1", "x".repeat(1_000_000)) + "</row>"))
                .isInstanceOf(Faults.class)
                .hasMessageContaining("more than 32,767 characters");
        assertThatThrownBy(() -> csv("a,b\n1," + "x".repeat(40_000)))
                .isInstanceOf(Faults.class)
                .hasMessageContaining("line 2, column 2: a cell of 40000 characters");
    }

    @Test
    void entities_are_not_read_from_files_nor_multiplied() {
        String laughs = """
                <?xml version="1.0"?><!DOCTYPE w [<!ENTITY a "%s"><!ENTITY b "%s"><!ENTITY f SYSTEM "file:///etc/hostname">]>
                <worksheet xmlns="http://schemas.openxmlformats.org/spreadsheetml/2006/main"><sheetData>\
                <row r="1"><c r="A1" t="inlineStr"><is><t>&b;&f;</t></is></c></row></sheetData></worksheet>""".formatted("ha".repeat(1_000), "&a;".repeat(10_000));
        assertThatThrownBy(() -> Grid.read(packed(laughs, ""), Grid.Reading.NOTHING))
                .isInstanceOf(Faults.class);
    }

    @Test
    void rows_columns_and_text_have_a_limit_that_is_told_with_its_line() {
        String many = String.join("\n", Collections.nCopies(20_002, "1"));
        assertThatThrownBy(() -> csv(many)).isInstanceOf(Faults.class).hasMessageContaining("at most 20000 rows");
        assertThat(csv(String.join("\n", Collections.nCopies(20_001, "1"))).rows())
                .hasSize(20_000);
        assertThatThrownBy(() -> csv(",".repeat(400)))
                .isInstanceOf(Faults.class)
                .hasMessageContaining("401 columns; at most 400");
        String wide = ",".repeat(399) + "\n";
        assertThatThrownBy(() -> csv(wide.repeat(4_000)))
                .isInstanceOf(Faults.class)
                .hasMessageContaining("at most 1500000 cells");
        String long32 = "x".repeat(32_000) + "\n";
        assertThatThrownBy(() -> csv(long32.repeat(1_000)))
                .isInstanceOf(Faults.class)
                .hasMessageContaining("more text than is read at once");
    }

    @Test
    void a_quote_that_is_never_closed_and_a_million_separators_are_refused() {
        assertThatThrownBy(() -> csv("a,b\n\"" + "x,".repeat(3_000_000))).isInstanceOf(Faults.class);
        assertThatThrownBy(() -> csv(",".repeat(6_000_000))).isInstanceOf(Faults.class);
    }

    @Test
    void control_characters_in_cells_become_spaces() {
        assertThat(csv("a\nRow\u000bacross\u0000the\u0007bay").rows().get(0).cell(0))
                .isEqualTo("Row across the bay");
    }

    @Test
    void a_reading_that_is_stopped_stops_at_the_next_row() {
        Thread.currentThread().interrupt();
        assertThatThrownBy(() -> csv("a\n1\n"))
                .isInstanceOf(Faults.class)
                .hasMessageContaining("took too long and was stopped");
        assertThat(Thread.interrupted()).isFalse();
    }
}
