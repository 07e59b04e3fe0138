package org.scholion.core.score;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.assertj.core.groups.Tuple;
import org.junit.jupiter.api.Test;
import org.scholion.core.number.Fraction;

class ReadOtherwiseTest {
    private static List<Fraction> credits(int... quarters) {
        List<Fraction> all = new ArrayList<>();
        for (int one : quarters) {
            all.add(Fraction.of(one, 4));
        }
        return all;
    }

    @Test
    void answers_with_the_same_words_that_were_given_other_points_are_found_the_furthest_first() {
        List<String> texts = List.of(
                "the water runs out fast",
                "The water runs out fast.",
                "water runs out fast, the",
                "the moon",
                "lead the line to the bollard",
                "the line to the bollard, lead",
                "the moon and the stars above");
        assertThat(ReadOtherwise.in(texts, credits(4, 4, 0, 0, 3, 1, 4), 9))
                .extracting(
                        ReadOtherwise::answer,
                        ReadOtherwise::others,
                        o -> o.theirs().toExact())
                .containsExactly(
                        Tuple.tuple(2, List.of(0, 1), "1"),
                        Tuple.tuple(0, List.of(1, 2), "0.5"),
                        Tuple.tuple(1, List.of(0, 2), "0.5"),
                        Tuple.tuple(4, List.of(5), "0.25"),
                        Tuple.tuple(5, List.of(4), "0.75"));
        assertThat(ReadOtherwise.in(texts, credits(4, 4, 3, 0, 3, 2, 4), 9)).isEmpty();
        assertThat(ReadOtherwise.in(texts, credits(4, 4, 0, 0, 3, 1, 4), 2)).hasSize(2);
    }

    @Test
    void a_third_of_the_points_apart_is_far_and_less_is_not() {
        List<String> texts = List.of("the water runs out fast", "the water runs out fast");
        assertThat(ReadOtherwise.in(texts, List.of(Fraction.of(1, 3), Fraction.of(2, 3)), 9))
                .hasSize(2);
        assertThat(ReadOtherwise.in(texts, List.of(Fraction.of(34, 100), Fraction.of(2, 3)), 9))
                .isEmpty();
    }
}
