package org.scholion.core.standard;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.scholion.core.item.Faulty;
import org.scholion.core.standard.Framework.Standard;

class FrameworkTest {
    @Test
    void parents_are_there_nothing_stands_above_itself_and_codes_are_there_once() {
        assertThatThrownBy(() -> new Framework(
                        "f", "F", "1", List.of(new Standard("T1.1", "T2", ""), new Standard("T1", null, ""))))
                .isInstanceOfSatisfying(Faulty.class, e -> assertThat(e.place()).isEqualTo("standards[0].parent"));
        assertThatThrownBy(() ->
                        new Framework("f", "F", "1", List.of(new Standard("A", "B", ""), new Standard("B", "A", ""))))
                .hasMessage("'A' stands above itself");
        assertThatThrownBy(() -> new Framework(
                        "f", "F", "1", List.of(new Standard("T1", null, ""), new Standard("T1", null, ""))))
                .hasMessageContaining("twice");
    }
}
