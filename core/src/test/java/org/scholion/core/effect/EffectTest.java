package org.scholion.core.effect;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.scholion.core.score.Marks.f;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.scholion.core.number.Fraction;
import org.scholion.core.total.AttemptTotal;
import org.scholion.core.total.Grading;
import org.scholion.core.total.Outcome;
import org.scholion.core.total.Outcomes;

class EffectTest {
    private static final Grading GRADING = new Grading(
            1,
            false,
            null,
            List.of(),
            Grading.Attempts.BEST,
            List.of(new Grading.Band(f("70"), "Secure", null)),
            f("60"));

    private static Outcome outcome(String score) {
        Fraction percent = f(score).times(10);
        return Outcomes.of(GRADING, List.of(new AttemptTotal(List.of(), f(score), f("10"), percent, false)))
                .get(0);
    }

    private static Map<String, Outcome> of(String... scores) {
        Map<String, Outcome> all = new LinkedHashMap<>();
        for (int i = 0; i < scores.length; i++) {
            all.put("s" + i, outcome(scores[i]));
        }
        return all;
    }

    @Test
    void only_those_whose_result_moves_are_named_with_what_they_cross() {
        Effect effect = Effect.between(of("5", "6.5", "8"), of("6", "7", "8"));
        assertThat(effect.moves()).extracting(Effect.Move::student).containsExactly("s0", "s1");
        assertThat(effect.moves().get(0).crossesPass()).isTrue();
        assertThat(effect.moves().get(0).changesBand()).isFalse();
        assertThat(effect.moves().get(1).changesBand()).isTrue();
        assertThat(effect.up()).isEqualTo(2);
        assertThat(effect.down()).isZero();
        assertThat(effect.students()).isEqualTo(3);
    }

    @Test
    void going_there_and_back_moves_nobody() {
        assertThat(Effect.between(of("5", "6"), of("5", "6")).moves()).isEmpty();
    }

    @Test
    void two_different_groups_cannot_be_compared() {
        assertThatThrownBy(() -> Effect.between(of("1"), of("1", "2"))).hasMessageContaining("different students");
    }
}
