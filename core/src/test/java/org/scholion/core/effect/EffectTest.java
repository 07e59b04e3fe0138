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

    private static Grading passing(String from) {
        return new Grading(1, false, null, List.of(), Grading.Attempts.BEST, GRADING.bands(), f(from));
    }

    /** Scores out of ten, under another pass mark. */
    private static Map<String, Outcome> under(Grading grading, String... scores) {
        Map<String, Outcome> all = new LinkedHashMap<>();
        for (int i = 0; i < scores.length; i++) {
            all.put("s" + i, outcome(grading, f(scores[i]), f("10")));
        }
        return all;
    }

    private static Outcome outcome(Grading grading, Fraction score, Fraction possible) {
        Fraction percent = score.times(100).over(possible);
        return Outcomes.of(grading, List.of(new AttemptTotal(List.of(), score, possible, percent, false)))
                .get(0);
    }

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
    void results_that_stay_count_in_what_all_measure_together() {
        Sides sides = Effect.between(of("5"), of("7"), new Sides.Others(f("160"), 3, 1))
                .sides();
        assertThat(sides.meanBefore()).isEqualTo(f("52.5"));
        assertThat(sides.meanAfter()).isEqualTo(f("57.5"));
        assertThat(sides.passBefore()).isEqualTo(1);
        assertThat(sides.passAfter()).isEqualTo(2);
        assertThat(Effect.between(Map.of(), Map.of(), new Sides.Others(f("160"), 0, 0))
                        .sides()
                        .meanBefore())
                .isNull();
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
    void whoever_no_longer_passes_goes_down_although_no_point_moves() {
        Effect effect = Effect.between(under(passing("60"), "5", "7", "9.5"), under(passing("90"), "5", "7", "9.5"));
        assertThat(effect.moves()).extracting(Effect.Move::student).containsExactly("s1");
        assertThat(effect.down()).isEqualTo(1);
        assertThat(effect.up()).isZero();
        assertThat(effect.noLongerPass()).isEqualTo(1);
        assertThat(effect.nowPass()).isZero();
    }

    @Test
    void more_points_and_a_lower_percent_is_down() {
        Map<String, Outcome> before = Map.of("a", outcome(GRADING, f("5"), f("10")));
        Map<String, Outcome> after = Map.of("a", outcome(GRADING, f("6"), f("15")));
        Effect effect = Effect.between(before, after);
        assertThat(effect.moves().get(0).gain()).isEqualTo(f("1"));
        assertThat(effect.up()).isZero();
        assertThat(effect.down()).isEqualTo(1);
    }

    @Test
    void where_one_side_has_no_pass_mark_nobody_passes_or_fails_by_it() {
        Effect effect = Effect.between(
                under(passing("60"), "7"),
                under(new Grading(1, false, null, List.of(), Grading.Attempts.BEST, GRADING.bands(), null), "7"));
        assertThat(effect.moves()).hasSize(1);
        assertThat(effect.noLongerPass() + effect.nowPass() + effect.up() + effect.down())
                .isZero();
    }

    @Test
    void a_higher_percent_with_a_pass_that_is_lost_is_both_up_and_down() {
        Effect effect = Effect.between(under(passing("60"), "6"), under(passing("80"), "7.5"));
        assertThat(effect.up()).isEqualTo(1);
        assertThat(effect.down()).isEqualTo(1);
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
