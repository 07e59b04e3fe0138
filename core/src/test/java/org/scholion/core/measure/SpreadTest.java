package org.scholion.core.measure;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.scholion.core.number.Fraction;

class SpreadTest {
    private static Spread of(long... figures) {
        return Spread.of(Arrays.stream(figures).mapToObj(Fraction::of).toList()).orElseThrow();
    }

    @Test
    void quartiles_lie_between_the_two_figures_that_they_fall_between() {
        // (n-1)q of five figures are places 1, 2 and 3; of four 0.75, 1.5 and 2.25.
        assertThat(of(50, 10, 40, 20, 30))
                .isEqualTo(new Spread(5, Fraction.of(30), Fraction.of(20), Fraction.of(30), Fraction.of(40)));
        assertThat(of(10, 20, 40, 80))
                .isEqualTo(new Spread(4, Fraction.of(75, 2), Fraction.of(35, 2), Fraction.of(30), Fraction.of(50)));
    }

    @Test
    void one_figure_is_all_of_it_and_none_is_nothing() {
        assertThat(of(7)).isEqualTo(new Spread(1, Fraction.of(7), Fraction.of(7), Fraction.of(7), Fraction.of(7)));
        assertThat(Spread.of(List.of())).isEmpty();
    }

    @Test
    void the_same_figures_in_any_order_spread_alike_and_move_with_what_is_added_to_all() {
        Random random = new Random(20261130);
        for (int round = 0; round < 200; round++) {
            List<Fraction> figures = new java.util.ArrayList<>(IntStream.range(0, 1 + random.nextInt(40))
                    .mapToObj(i -> Fraction.of(random.nextInt(1000), 1 + random.nextInt(9)))
                    .toList());
            Spread spread = Spread.of(figures).orElseThrow();
            assertThat(spread.q1()).isLessThanOrEqualTo(spread.median());
            assertThat(spread.median()).isLessThanOrEqualTo(spread.q3());
            Collections.shuffle(figures, random);
            assertThat(Spread.of(figures)).contains(spread);
            List<Fraction> more =
                    figures.stream().map(f -> f.plus(Fraction.of(3))).toList();
            Spread moved = Spread.of(more).orElseThrow();
            assertThat(moved.mean()).isEqualTo(spread.mean().plus(Fraction.of(3)));
            assertThat(moved.q3()).isEqualTo(spread.q3().plus(Fraction.of(3)));
        }
    }
}
