package org.scholion.server.collect;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.scholion.server.collect.Compared.Typed;

/** Where people who type the same sheet differ. */
class ComparedTest {
    private static final UUID AUD = new UUID(1, 1);
    private static final UUID INES = new UUID(2, 2);
    private static final UUID HALVARD = new UUID(3, 3);
    private static final List<String> ITEMS = List.of("q1", "q2", "q3");

    private static Typed aud(Map<String, String> cells, Map<String, String> stays) {
        return new Typed(AUD, "Aud", cells, stays);
    }

    private static Typed ines(Map<String, String> cells, Map<String, String> stays) {
        return new Typed(INES, "Ines", cells, stays);
    }

    private static Compared compared(Typed... rows) {
        return new Compared(ITEMS, List.of(rows));
    }

    @Test
    void one_who_types_alone_differs_from_nobody() {
        Compared alone = compared(aud(Map.of("q1", "a", "q3", "c"), Map.of()), ines(Map.of(), Map.of()));
        assertThat(alone.differences()).isEmpty();
        assertThat(alone.agreed()).containsOnly(Map.entry("q1", "a"), Map.entry("q2", ""), Map.entry("q3", "c"));
    }

    @Test
    void capitals_and_spaces_around_are_no_difference() {
        assertThat(compared(aud(Map.of("q1", "A "), Map.of()), ines(Map.of("q1", "a"), Map.of()))
                        .differences())
                .isEmpty();
    }

    @Test
    void an_empty_cell_differs_only_where_somebody_went_past_it() {
        Compared half = compared(aud(Map.of("q1", "a"), Map.of()), ines(Map.of("q1", "a", "q2", "b"), Map.of()));
        assertThat(half.differences()).isEmpty();
        assertThat(half.agreed()).containsEntry("q2", "b");
        Compared past = compared(
                aud(Map.of("q1", "a", "q3", "c"), Map.of()), ines(Map.of("q1", "a", "q2", "b", "q3", "c"), Map.of()));
        assertThat(past.differences()).containsOnlyKeys("q2");
        assertThat(past.agreed()).doesNotContainKey("q2");
    }

    @Test
    void what_one_says_stays_holds_until_the_other_types_something_else() {
        Map<String, String> cell = Map.of("q1", "a");
        Compared said = compared(aud(cell, Map.of("q1", "b")), ines(Map.of("q1", "b"), Map.of()));
        assertThat(said.differences()).isEmpty();
        assertThat(said.agreed()).containsEntry("q1", "a");
        Compared changed = compared(aud(cell, Map.of("q1", "b")), ines(Map.of("q1", "c"), Map.of()));
        assertThat(changed.differences()).containsOnlyKeys("q1");
    }

    @Test
    void where_both_say_that_theirs_stays_it_is_open() {
        Compared both = compared(aud(Map.of("q1", "a"), Map.of("q1", "b")), ines(Map.of("q1", "b"), Map.of("q1", "a")));
        assertThat(both.differences()).containsOnlyKeys("q1");
        assertThat(both.agreed()).doesNotContainKey("q1");
    }

    @Test
    void of_three_each_is_compared_with_all_others() {
        Typed third = new Typed(HALVARD, "Halvard", Map.of("q1", "c"), Map.of());
        Compared three = compared(aud(Map.of("q1", "a"), Map.of()), ines(Map.of("q1", "b"), Map.of()), third);
        assertThat(three.differences().get("q1")).hasSize(3);
        String others = three.othersThan(AUD, "q1");
        Compared stays =
                compared(aud(Map.of("q1", "a"), Map.of("q1", others)), ines(Map.of("q1", "b"), Map.of()), third);
        assertThat(stays.agreed()).containsEntry("q1", "a");
    }
}
