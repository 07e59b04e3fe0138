package org.scholion.core.draw;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Random;
import java.util.Set;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.scholion.core.number.Fraction;

/** What holds for every pool and every seed. */
class DrawingPropertiesTest {
    static LongStream seeds() {
        return LongStream.range(0, 40);
    }

    private static List<Draw.Candidate> pool(Random random) {
        List<Draw.Candidate> pool = new ArrayList<>();
        int size = 6 + random.nextInt(25);
        for (int i = 0; i < size; i++) {
            Set<String> codes = new HashSet<>();
            codes.add("T" + random.nextInt(3));
            codes.add("T");
            Fraction difficulty = random.nextInt(5) == 0 ? null : Fraction.of(random.nextInt(101), 100);
            pool.add(new Draw.Candidate("q" + i, codes, difficulty));
        }
        return pool;
    }

    private static Draw draw(Random random, List<Draw.Candidate> pool) {
        int take = 2 + random.nextInt(4);
        List<Draw.Quota> quotas = new ArrayList<>();
        for (String code : List.of("T0", "T1")) {
            long there = pool.stream().filter(c -> c.codes().contains(code)).count();
            if (there > 0 && quotas.size() < take) {
                quotas.add(new Draw.Quota(code, 1));
            }
        }
        return new Draw("d", take, quotas, Fraction.of(random.nextInt(101), 100), Draw.Each.STUDENT);
    }

    @Test
    void neighbouring_seeds_draw_one_of_two_about_equally_often() {
        List<Draw.Candidate> two =
                List.of(new Draw.Candidate("a", Set.of(), null), new Draw.Candidate("b", Set.of(), null));
        Drawing drawing = new Drawing(new Draw("d", 1, List.of(), null, Draw.Each.STUDENT), two);
        long first = LongStream.range(0, 200)
                .filter(s -> drawing.with(s).contains("a"))
                .count();
        assertThat(first).isBetween(70L, 130L);
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void exactly_so_many_are_drawn_each_once_and_all_from_the_pool(long seed) {
        Random random = new Random(seed);
        List<Draw.Candidate> pool = pool(random);
        Draw draw = draw(random, pool);
        Set<String> drawn = new Drawing(draw, pool).with(seed);
        assertThat(drawn).hasSize(draw.take());
        assertThat(pool.stream().map(Draw.Candidate::id)).containsAll(drawn);
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void every_standard_gets_what_was_asked_for_it(long seed) {
        Random random = new Random(seed);
        List<Draw.Candidate> pool = pool(random);
        Draw draw = draw(random, pool);
        Set<String> drawn = new Drawing(draw, pool).with(seed * 31);
        for (Draw.Quota quota : draw.quotas()) {
            assertThat(pool.stream()
                            .filter(c -> drawn.contains(c.id()) && c.codes().contains(quota.code()))
                            .count())
                    .as("%s of %s", quota, pool)
                    .isGreaterThanOrEqualTo(quota.take());
        }
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void aiming_never_leads_further_away_than_chance(long seed) {
        Random random = new Random(seed);
        List<Draw.Candidate> pool = pool(random);
        Draw aimed = draw(random, pool);
        Draw free = new Draw("d", aimed.take(), aimed.quotas(), null, Draw.Each.STUDENT);
        Fraction aim = Objects.requireNonNull(aimed.difficulty());
        Fraction byAim = away(new Drawing(aimed, pool).with(seed), pool, aim);
        Fraction byChance = away(new Drawing(free, pool).with(seed), pool, aim);
        assertThat(byAim).isLessThanOrEqualTo(byChance);
    }

    private static Fraction away(Set<String> drawn, List<Draw.Candidate> pool, Fraction aim) {
        Fraction mean =
                Drawing.mean(pool.stream().filter(c -> drawn.contains(c.id())).toList());
        return mean == null ? Fraction.of(2) : mean.minus(aim).abs();
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void the_mean_of_all_draws_lies_between_the_hardest_and_the_easiest(long seed) {
        Random random = new Random(seed);
        List<Draw.Candidate> pool = pool(random);
        Drawing.Fairness f = new Drawing(draw(random, pool), pool).fairness(20);
        if (f.mean() != null) {
            assertThat(f.mean()).isBetween(Objects.requireNonNull(f.hardest()), Objects.requireNonNull(f.easiest()));
        }
        assertThat(f.drawn()).isEqualTo(20);
    }
}
