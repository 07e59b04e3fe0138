package org.scholion.formats.table;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.function.Consumer;
import org.dhatim.fastexcel.Workbook;
import org.dhatim.fastexcel.Worksheet;
import org.junit.jupiter.api.Test;

class WorkbookTest {
    private static Table read(byte[] bytes) {
        return new Heading(0, 1).table(Grid.read(bytes, Grid.Reading.NOTHING));
    }

    private static Table workbook(Consumer<Worksheet> fill) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (Workbook book = new Workbook(out, "test", "1.0")) {
            fill.accept(book.newWorksheet("first"));
            book.newWorksheet("second").value(0, 0, "not read");
        }
        return read(out.toByteArray());
    }

    @Test
    void numbers_come_without_the_zeros_that_a_sheet_stores_and_texts_as_they_are() throws IOException {
        Table table = workbook(sheet -> {
            sheet.value(0, 0, " name ");
            sheet.value(0, 1, "n");
            sheet.value(1, 0, "Sørina, “the pilot”");
            sheet.value(1, 1, 2.50);
            sheet.value(2, 1, 1000);
        });
        assertThat(table.names()).containsExactly("name", "n");
        assertThat(table.rows().get(0).cell(0)).isEqualTo("Sørina, “the pilot”");
        assertThat(table.rows().get(0).cell(1)).isEqualTo("2.5");
        assertThat(table.rows().get(1).cell(1)).isEqualTo("1000");
        assertThat(table.rows().get(1).line()).isEqualTo(3);
    }

    @Test
    void an_empty_sheet_says_what_it_should_hold() {
        assertThatThrownBy(() -> workbook(sheet -> {})).hasMessageContaining("the table is empty");
    }

    @Test
    void anything_else_is_read_as_separated_text() {
        Table table = read("a;b\n1;2\n".getBytes(StandardCharsets.UTF_8));
        assertThat(table.names()).containsExactly("a", "b");
        assertThat(table.separator()).isEqualTo(';');
    }
}
