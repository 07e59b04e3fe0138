package org.scholion.formats.out;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDateTime;
import java.util.List;
import org.dhatim.fastexcel.reader.CellType;
import org.dhatim.fastexcel.reader.ReadableWorkbook;
import org.dhatim.fastexcel.reader.Row;
import org.dhatim.fastexcel.reader.Sheet;
import org.junit.jupiter.api.Test;
import org.scholion.core.number.Fraction;

class TableOutTest {
    private static final List<Cell> CELLS = List.of(
            Cell.of("=HYPERLINK(\"x\")"),
            Cell.of(Fraction.of(2, 3)),
            Cell.of(7),
            Cell.of(LocalDateTime.of(2026, 12, 1, 9, 30)),
            Cell.of("a, \"b\"\nc"),
            Cell.of((String) null));

    private static String csv(List<Cell> cells) throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (CsvOut out = new CsvOut(bytes)) {
            out.table("T", List.of("one", "-two"));
            out.row(cells);
        }
        return bytes.toString(StandardCharsets.UTF_8);
    }

    @Test
    void csv_quotes_what_must_be_and_makes_formulas_harmless() throws IOException {
        assertThat(csv(CELLS))
                .isEqualTo("\ufeffone,'-two\r\n\"'=HYPERLINK(\"\"x\"\")\",0.666667,7,2026-12-01 09:30:00,"
                        + "\"a, \"\"b\"\"\nc\",\r\n");
    }

    @Test
    void whatever_a_spreadsheet_would_compute_is_text_but_a_negative_number_is_one() {
        assertThat(List.of("=1", "+1", "@x", "-1+2", "\t=1", "\r=1"))
                .allSatisfy(w -> assertThat(CsvOut.harmless(w)).isEqualTo("'" + w));
        assertThat(List.of("-1", "-1.5", "-1,5", "bowline", ""))
                .allSatisfy(w -> assertThat(CsvOut.harmless(w)).isEqualTo(w));
    }

    @Test
    void a_workbook_has_numbers_moments_and_words_and_no_formula() throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (XlsxOut out = new XlsxOut(bytes)) {
            out.table("Scores", List.of("one"));
            out.row(CELLS);
            out.table("A name that is longer than a sheet may have", List.of("x"));
            for (int i = 0; i < 1_200; i++) {
                out.row(List.of(Cell.of(i), Cell.of("line " + i)));
            }
        }
        try (ReadableWorkbook book = new ReadableWorkbook(new ByteArrayInputStream(bytes.toByteArray()))) {
            List<Sheet> sheets = book.getSheets().toList();
            assertThat(sheets).extracting(Sheet::getName).containsExactly("Scores", "A name that is longer than a sh");
            Row row = sheets.get(0).read().get(1);
            assertThat(row.getCell(0).getType()).isEqualTo(CellType.STRING);
            assertThat(row.getCell(0).asString()).isEqualTo("=HYPERLINK(\"x\")");
            assertThat(row.getCell(1).asNumber()).isEqualByComparingTo("0.666667");
            assertThat(row.getCell(2).asNumber()).isEqualByComparingTo("7");
            assertThat(row.getCell(3).asDate()).isEqualTo(LocalDateTime.of(2026, 12, 1, 9, 30));
            List<Row> many = sheets.get(1).read();
            assertThat(many).hasSize(1_201);
            assertThat(many.get(1_200).getCell(1).asString()).isEqualTo("line 1199");
        }
    }

    @Test
    void signs_that_no_workbook_can_hold_are_left_out() throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (XlsxOut out = new XlsxOut(bytes)) {
            out.table("T", List.of("x"));
            out.row(List.of(Cell.of("a\u0001b\ud83d\ude00" + "c".repeat(40_000))));
        }
        try (ReadableWorkbook book = new ReadableWorkbook(new ByteArrayInputStream(bytes.toByteArray()))) {
            String text = book.getFirstSheet().read().get(1).getCell(0).asString();
            assertThat(text).startsWith("ab\ud83d\ude00ccc").hasSizeLessThanOrEqualTo(32_767);
        }
    }
}
