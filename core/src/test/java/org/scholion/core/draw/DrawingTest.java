package org.scholion.core.draw;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.scholion.core.item.Faulty;
import org.scholion.core.number.Fraction;

class DrawingTest {

    private static Draw.Candidate item(int i, String code, String difficulty) {
        return new Draw.Candidate(
                "q" + i, Set.of(code), Fraction.parse(difficulty).orElseThrow());
    }

    /** Twelve items, six on each of two standards, from 0.2 to 0.9. */
    private static List<Draw.Candidate> twelve() {
        List<Draw.Candidate> pool = new ArrayList<>();
        String[] difficulties = {"0.2", "0.3", "0.5", "0.6", "0.8", "0.9"};
        for (int i = 0; i < 12; i++) {
            pool.add(item(i, i < 6 ? "T1" : "T2", difficulties[i % 6]));
        }
        return pool;
    }

    private static Draw four(String difficulty) {
        return new Draw(
                "d1",
                4,
                List.of(new Draw.Quota("T1", 2), new Draw.Quota("T2", 2)),
                Fraction.parse(difficulty).orElseThrow(),
                Draw.Each.SITTING);
    }

    @ParameterizedTest
    @ValueSource(longs = {0, 1, 2, 3, 99, 12345})
    void every_draw_keeps_its_number_its_standards_and_comes_near_the_difficulty(long seed) {
        List<Draw.Candidate> pool = twelve();
        Set<String> drawn = new Drawing(four("0.6"), pool).with(seed);
        List<Draw.Candidate> taken =
                pool.stream().filter(c -> drawn.contains(c.id())).toList();
        assertThat(taken).hasSize(4);
        assertThat(taken).filteredOn(c -> c.codes().contains("T1")).hasSize(2);
        assertThat(Objects.requireNonNull(Drawing.mean(taken)).toDouble()).isBetween(0.55, 0.65);
    }

    @Test
    void the_same_seed_draws_the_same_and_other_seeds_draw_others() {
        Drawing drawing = new Drawing(new Draw("d", 4, List.of(), null, Draw.Each.STUDENT), twelve());
        assertThat(drawing.with(7)).isEqualTo(drawing.with(7));
        assertThat(List.of(drawing.with(1), drawing.with(2), drawing.with(3))).doesNotHaveDuplicates();
    }

    @Test
    void how_fair_the_alternatives_are_is_the_spread_of_their_means() {
        Drawing aimed = new Drawing(four("0.6"), twelve());
        Drawing free = new Drawing(new Draw("d", 4, List.of(), null, Draw.Each.STUDENT), twelve());
        assertThat(spread(aimed.fairness(200))).isLessThan(0.1);
        assertThat(spread(free.fairness(200))).isGreaterThan(0.2);
    }

    private static double spread(Drawing.Fairness f) {
        return Objects.requireNonNull(f.easiest())
                .minus(Objects.requireNonNull(f.hardest()))
                .toDouble();
    }

    @Test
    void a_pool_that_lacks_something_says_what() {
        Draw draw =
                new Draw("d1", 5, List.of(new Draw.Quota("T1", 2), new Draw.Quota("P", 1)), null, Draw.Each.SITTING);
        assertThat(draw.lacks(List.of(item(1, "T1", "0.5"))))
                .containsExactly(
                        "5 are to be drawn, but only 1 items are in the draw",
                        "2 on T1 are to be drawn, but only 1 are there",
                        "1 on P are to be drawn, but only 0 are there");
        assertThatThrownBy(() -> new Drawing(draw, List.of())).hasMessageContaining("only 0 items");
    }

    @Test
    void more_on_standards_than_are_drawn_is_refused_at_its_place() {
        assertThatThrownBy(() -> new Draw("d", 1, List.of(new Draw.Quota("T1", 2)), null, Draw.Each.SITTING))
                .isInstanceOf(Faulty.class)
                .hasMessage("the standards ask for 2 items, but only 1 are drawn");
    }

    @Test
    void items_of_unknown_difficulty_are_drawn_and_counted() {
        Random random = new Random(3);
        List<Draw.Candidate> pool = new ArrayList<>();
        for (int i = 0; i < 20; i++) {
            pool.add(new Draw.Candidate("q" + i, Set.of(), random.nextBoolean() ? Fraction.HALF : null));
        }
        Drawing.Fairness fairness =
                new Drawing(new Draw("d", 6, List.of(), Fraction.HALF, Draw.Each.STUDENT), pool).fairness(50);
        assertThat(fairness.unknown()).isEqualTo((int)
                pool.stream().filter(c -> c.difficulty() == null).count());
        assertThat(fairness.mean()).isEqualTo(Fraction.HALF);
    }
}
