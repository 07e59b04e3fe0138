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
}
