package org.scholion.formats.table;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.scholion.formats.json.Faults;

class TableTest {
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {"a,b;c,d|,", "a;b;c,d|;", "'\"a;b;c\",d,e'|,", "alone|,"})
    void the_separator_is_found_by_itself(String firstLine, char separator) {
        assertThat(Table.read(firstLine + "\n").separator()).isEqualTo(separator);
    }

    @Test
    void a_byte_order_mark_quotes_line_ends_and_tabs_are_no_trouble() {
        Table table = Table.read("\uFEFFname\tsaid\r\nNoor\t\"two\nlines, \"\"quoted\"\"\"\r\n\r\nDov\r\n"
                .getBytes(StandardCharsets.UTF_8));
        assertThat(table.names()).containsExactly("name", "said");
        assertThat(table.rows()).hasSize(2);
        assertThat(table.rows().get(0).cell(1)).isEqualTo("two\nlines, \"quoted\"");
        assertThat(table.rows().get(1).line()).isEqualTo(5);
        assertThat(table.rows().get(1).cell(1))
                .as("a cell that is missing at the end")
                .isEmpty();
    }

    @Test
    void rows_that_are_too_long_are_all_named() {
        assertThatThrownBy(() -> Table.read("a,b\n1,2,3\n1,2\n1,2,3,4\n"))
                .isInstanceOfSatisfying(
                        Faults.class,
                        e -> assertThat(e.all())
                                .extracting(Object::toString)
                                .containsExactly(
                                        "line 2: 3 cells, but the first row names 2 columns",
                                        "line 4: 4 cells, but the first row names 2 columns"));
    }

    @Test
    void what_is_not_utf8_is_refused_in_words() {
        assertThatThrownBy(() -> Table.read(new byte[] {'a', (byte) 0xE9, '\n'}))
                .hasMessageContaining("not UTF-8");
    }

    @Test
    void an_empty_file_is_refused_in_words() {
        assertThatThrownBy(() -> Table.read("\n\n")).hasMessageContaining("the table is empty");
    }
}
