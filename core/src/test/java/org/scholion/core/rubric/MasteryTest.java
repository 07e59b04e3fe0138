package org.scholion.core.rubric;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.scholion.core.score.Marks.f;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.scholion.core.item.Faulty;
import org.scholion.core.item.Head;
import org.scholion.core.item.OpenItem;
import org.scholion.core.item.Rubric;
import org.scholion.core.score.Mark;
import org.scholion.core.score.State;

/** An open answer is mastered from a level on, or from points on. */
class MasteryTest {
    private static Rubric.Criterion criterion(String id, String weight, String... points) {
        return new Rubric.Criterion(
                id,
                id,
                f(weight),
                java.util.stream.IntStream.range(0, points.length)
                        .mapToObj(i -> new Rubric.Level("L" + i, f(points[i]), ""))
                        .toList(),
                List.of());
    }

    private static OpenItem item(@Nullable String mastery) {
        return new OpenItem(
                Head.of("q", f("6")),
                new Rubric(List.of(criterion("a", "1", "0", "1", "2"), criterion("b", "2", "0", "1"))),
                null,
                null,
                mastery);
    }

    private static Optional<Boolean> read(OpenItem item, String a, String b) {
        return Mastery.of(item, new Reading(Map.of("a", a, "b", b), null).markOf(item));
    }

    @Test
    void from_a_level_on_every_criterion_that_has_the_level_reaches_it() {
        assertThat(read(item("L1"), "L1", "L1")).contains(true);
        assertThat(read(item("L1"), "L2", "L0")).contains(false);
        assertThat(read(item("L1"), "L2", "L1")).contains(true);
        // Only the first criterion has a third level.
        assertThat(read(item("L2"), "L2", "L0")).contains(true);
        assertThat(read(item("L2"), "L1", "L1")).contains(false);
    }

    @Test
    void from_points_on_the_points_of_the_item_count_exactly() {
        // 3 of 4 on the rubric are 4.5 of 6 points.
        assertThat(read(item("4.5"), "L1", "L1")).contains(true);
        assertThat(read(item("4.6"), "L1", "L1")).contains(false);
    }

    @Test
    void nothing_is_said_without_a_bound_or_before_somebody_has_decided_and_a_blank_is_not_mastered() {
        assertThat(read(item(null), "L2", "L1")).isEmpty();
        OpenItem byLevel = item("L1");
        assertThat(Mastery.of(byLevel, new Reading(Map.of("a", "L2"), null).markOf(byLevel)))
                .isEmpty();
        assertThat(Mastery.of(byLevel, Mark.BLANK)).contains(false);
        assertThat(Mastery.of(item("1"), Mark.BLANK)).contains(false);
    }

    @Test
    void a_bound_that_is_neither_points_nor_a_level_is_refused_by_name() {
        assertThatThrownBy(() -> item("good"))
                .isInstanceOf(Faulty.class)
                .hasMessageContaining("'good' is neither points nor a level of the rubric");
    }

    @Test
    void whoever_is_mastered_stays_so_at_any_higher_level() {
        Random random = new Random(11);
        for (int i = 0; i < 300; i++) {
            OpenItem item = item(List.of("L0", "L1", "L2", "1", "3", "6").get(random.nextInt(6)));
            int a = random.nextInt(3);
            int b = random.nextInt(2);
            if (read(item, "L" + a, "L" + b).orElseThrow()) {
                assertThat(read(item, "L" + Math.min(2, a + 1), "L1")).contains(true);
            }
        }
    }

    @Test
    void a_reading_under_a_changed_rubric_keeps_the_levels_that_are_still_there_and_waits_for_the_others() {
        OpenItem was = item(null);
        Reading reading = new Reading(Map.of("a", "L2", "b", "L1"), null);
        OpenItem fewer =
                new OpenItem(was.head(), new Rubric(List.of(criterion("a", "1", "0", "1", "4"))), null, null, null);
        assertThat(reading.under(fewer).markOf(fewer).credit()).isEqualTo(f("1"));
        OpenItem more = new OpenItem(
                was.head(),
                new Rubric(List.of(criterion("a", "1", "0", "1"), criterion("b", "1", "0", "1"))),
                null,
                null,
                null);
        assertThat(reading.under(more).levels()).containsOnlyKeys("b");
        assertThat(reading.under(more).markOf(more).state()).isEqualTo(State.READ);
        assertThat(reading.under(was)).isEqualTo(reading);
    }
}
