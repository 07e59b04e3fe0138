package org.scholion.core.rubric;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.scholion.core.number.Fraction;

class DriftTest {
    private static List<Fraction> credits(int... quarters) {
        List<Fraction> all = new ArrayList<>();
        for (int one : quarters) {
            all.add(Fraction.of(one, 4));
        }
        return all;
    }

    @Test
    void the_first_third_and_the_last_third_are_told_exactly() {
        Drift drift = Drift.of(credits(4, 4, 4, 2, 9, 9, 9, 9, 1, 1, 0, 1)).orElseThrow();
        assertThat(drift.each()).isEqualTo(4);
        assertThat(drift.first()).isEqualTo(Fraction.of(7, 8));
        assertThat(drift.last()).isEqualTo(Fraction.of(3, 16));
    }

    @Test
    void of_a_few_answers_nothing_is_said_and_what_does_not_go_up_evenly_is_left_in_the_middle() {
        assertThat(Drift.of(Collections.nCopies(11, Fraction.ONE))).isEmpty();
        assertThat(Drift.of(Collections.nCopies(14, Fraction.ONE)).orElseThrow().each())
                .isEqualTo(4);
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
                        org.assertj.core.groups.Tuple.tuple(2, List.of(0, 1), "1"),
                        org.assertj.core.groups.Tuple.tuple(0, List.of(1, 2), "0.5"),
                        org.assertj.core.groups.Tuple.tuple(1, List.of(0, 2), "0.5"),
                        org.assertj.core.groups.Tuple.tuple(4, List.of(5), "0.25"),
                        org.assertj.core.groups.Tuple.tuple(5, List.of(4), "0.75"));
        assertThat(ReadOtherwise.in(texts, credits(4, 4, 3, 0, 3, 2, 4), 9)).isEmpty();
        assertThat(ReadOtherwise.in(texts, credits(4, 4, 0, 0, 3, 1, 4), 2)).hasSize(2);
    }

    @Test
    void a_third_of_the_points_apart_is_far_and_less_is_not() {
        List<String> texts = List.of("the water runs out fast", "the water runs out fast");
        assertThat(ReadOtherwise.in(texts, List.of(Fraction.of(1, 3), Fraction.of(2, 3)), 9)).hasSize(2);
        assertThat(ReadOtherwise.in(texts, List.of(Fraction.of(34, 100), Fraction.of(2, 3)), 9)).isEmpty();
    }
}
