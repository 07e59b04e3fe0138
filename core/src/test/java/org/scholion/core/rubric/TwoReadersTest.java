package org.scholion.core.rubric;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.scholion.core.item.Faulty;
import org.scholion.core.item.Head;
import org.scholion.core.item.OpenItem;
import org.scholion.core.item.Rubric;
import org.scholion.core.number.Fraction;
import org.scholion.core.reason.Words;
import org.scholion.core.score.Mark;
import org.scholion.core.score.State;

class TwoReadersTest {
    private static final Rubric.Criterion WHY = new Rubric.Criterion(
            "why",
            "Reasoning",
            Fraction.of(2),
            List.of(
                    new Rubric.Level("0", Fraction.ZERO, ""),
                    new Rubric.Level("1", Fraction.ONE, ""),
                    new Rubric.Level("2", Fraction.of(2), "")),
            List.of());
    private static final OpenItem OPEN =
            new OpenItem(Head.of("q1", Fraction.of(4)), new Rubric(List.of(WHY)), null, null, null);

    private static Reading reading(String level) {
        return new Reading(Map.of("why", level), null);
    }

    private static List<Agreement.Pair> pairs(int[][] table) {
        List<Agreement.Pair> pairs = new ArrayList<>();
        for (int i = 0; i < table.length; i++) {
            for (int j = 0; j < table.length; j++) {
                for (int n = 0; n < table[i][j]; n++) {
                    pairs.add(new Agreement.Pair("" + i, "" + j));
                }
            }
        }
        return pairs;
    }

    @Test
    void agreement_is_exact_adjacent_weighted_and_says_who_is_stricter() {
        // Margins 4 4 2 and 3 3 4; observed 1 + 4 + 1 + 1 = 7 of squared distance, expected (Σ (i-j)² r c) / 10.
        Agreement a = Agreement.of(WHY, pairs(new int[][] {{2, 1, 1}, {1, 2, 1}, {0, 0, 2}}));
        assertThat(a.exact()).isEqualTo(Fraction.exactly("0.6"));
        assertThat(a.adjacent()).isEqualTo(Fraction.exactly("0.9"));
        // Expected: 4×3 + 4×16 + 4×3 + 4×4 + 2×3×4 + 2×3 = 12 + 64 + 12 + 16 + 24 + 6 = 134, over 10.
        assertThat(a.kappa()).isEqualTo(1 - 70.0 / 134);
        // First less second in points: (-1 -2 +1 -1) × 2 / 10.
        assertThat(a.meanDifference()).isEqualTo(Fraction.exactly("-0.6"));
    }

    @Test
    void without_variation_or_without_pairs_there_is_no_kappa() {
        assertThat(Agreement.of(WHY, pairs(new int[][] {{3, 0, 0}, {0, 0, 0}, {0, 0, 0}}))
                        .kappa())
                .isNull();
        assertThat(Agreement.of(WHY, List.of()).exact()).isNull();
        assertThatThrownBy(() -> Agreement.of(WHY, List.of(new Agreement.Pair("0", "9"))))
                .hasMessage("criterion 'why' has no level '9'");
    }

    @Test
    void readings_are_resolved_as_the_rule_says() {
        List<Reading> two = List.of(reading("1"), reading("2"));
        assertThat(points(Resolving.Way.FIRST, null, two)).isEqualTo(Fraction.of(2));
        assertThat(points(Resolving.Way.MEAN, null, two)).isEqualTo(Fraction.of(3));
        assertThat(points(Resolving.Way.HIGHER, null, two)).isEqualTo(Fraction.of(4));
        Mark mean = new Resolving(Resolving.Way.MEAN, null).of(OPEN, two);
        assertThat(Words.english(mean.reason())).isEqualTo("mean of two readings: 2 and 4 of 4 points");
    }

    private static Fraction points(Resolving.Way way, Fraction apart, List<Reading> readings) {
        return new Resolving(way, apart).of(OPEN, readings).credit().times(OPEN.points());
    }

    @Test
    void a_third_reading_counts_when_two_differ_by_more_than_is_allowed() {
        List<Reading> two = List.of(reading("0"), reading("2"));
        Resolving third = new Resolving(Resolving.Way.THIRD, Fraction.of(3));
        Mark waits = third.of(OPEN, two);
        assertThat(waits.state()).isEqualTo(State.READ);
        assertThat(Words.english(waits.reason()))
                .isEqualTo("the two readings differ by 4 points, more than the 3 allowed; a third reading decides");
        List<Reading> three = new ArrayList<>(two);
        three.add(reading("1"));
        assertThat(points(Resolving.Way.THIRD, Fraction.of(3), three)).isEqualTo(Fraction.of(2));
        // Exactly as far apart as is allowed needs no third.
        assertThat(points(Resolving.Way.THIRD, Fraction.of(4), two)).isEqualTo(Fraction.of(2));
    }

    @Test
    void which_readings_count_is_told_by_their_places_and_those_that_are_not_complete_are_passed_over() {
        Reading open = new Reading(Map.of(), null);
        List<Reading> some = List.of(open, reading("0"), reading("2"), reading("1"));
        assertThat(new Resolving(Resolving.Way.FIRST, null).countingOf(OPEN, some))
                .containsExactly(1);
        assertThat(new Resolving(Resolving.Way.MEAN, null).countingOf(OPEN, some))
                .containsExactly(1, 2);
        assertThat(new Resolving(Resolving.Way.HIGHER, null).countingOf(OPEN, some))
                .containsExactly(2);
        assertThat(new Resolving(Resolving.Way.HIGHER, null).countingOf(OPEN, List.of(reading("1"), reading("1"))))
                .as("of two that are equal, the first")
                .containsExactly(0);
        Resolving third = new Resolving(Resolving.Way.THIRD, Fraction.of(3));
        assertThat(third.countingOf(OPEN, some)).containsExactly(3);
        assertThat(third.countingOf(OPEN, some.subList(0, 3))).isEmpty();
        assertThat(new Resolving(Resolving.Way.THIRD, Fraction.of(4)).countingOf(OPEN, some))
                .containsExactly(1, 2);
        assertThat(third.countingOf(OPEN, List.of(reading("1")))).isEmpty();
    }

    @Test
    void until_enough_readings_are_complete_the_mark_waits() {
        assertThat(new Resolving(Resolving.Way.MEAN, null)
                        .of(OPEN, List.of(reading("1")))
                        .state())
                .isEqualTo(State.READ);
        assertThat(new Resolving(Resolving.Way.FIRST, null)
                        .of(OPEN, List.of(new Reading(Map.of(), null)))
                        .state())
                .isEqualTo(State.READ);
        assertThatThrownBy(() -> new Resolving(Resolving.Way.THIRD, null)).isInstanceOf(Faulty.class);
    }
}
