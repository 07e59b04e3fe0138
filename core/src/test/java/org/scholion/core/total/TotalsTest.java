package org.scholion.core.total;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.scholion.core.score.Marks.f;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.scholion.core.item.Faulty;
import org.scholion.core.item.Head;
import org.scholion.core.item.Item;
import org.scholion.core.item.OpenItem;
import org.scholion.core.number.Fraction;
import org.scholion.core.reason.Reason;
import org.scholion.core.score.Mark;
import org.scholion.core.total.Adjustment.Kind;

class TotalsTest {
    private static Item item(String id, String part, String points) {
        return new OpenItem(new Head(id, part, f(points), "", List.of()), null, null, null, null);
    }

    private static List<Item> items(String... points) {
        return IntStream.range(0, points.length)
                .mapToObj(i -> item("q" + (i + 1), null, points[i]))
                .toList();
    }

    private static Assessment paper(List<Item> items, List<Part> parts, Grading grading, Adjustment... adjustments) {
        return new Assessment("Paper", "en", parts, items, List.of(adjustments), grading);
    }

    private static List<Mark> marks(String... credits) {
        return Arrays.stream(credits)
                .map(c -> switch (c) {
                    case "blank" -> Mark.BLANK;
                    case "settle" -> Mark.settle(Reason.of(Reason.Code.TEXT_UNKNOWN));
                    case "excused" -> Mark.EXCUSED;
                    default -> Mark.scored(f(c), Reason.of(Reason.Code.PERSON));
                })
                .toList();
    }

    private static AttemptTotal total(Assessment paper, String... credits) {
        return new Totals(paper).of(marks(credits), Fraction.ZERO);
    }

    private static Grading grading(Grading.Late late, Curve... curve) {
        return new Grading(1, false, late, List.of(curve), Grading.Attempts.BEST, List.of(), null);
    }

    @Test
    void the_parts_sum_to_the_total() {
        AttemptTotal t = total(paper(items("1", "2", "3"), List.of(), Grading.PLAIN), "1", "1/3", "1/2");
        assertThat(t.score()).isEqualTo(f("1").plus(f("2/3")).plus(f("3/2")));
        assertThat(t.possible()).isEqualTo(f("6"));
        assertThat(t.counted()).containsExactly(f("1"), f("2/3"), f("3/2"));
    }

    @Test
    void an_excused_item_leaves_score_and_possible_and_an_undecided_one_makes_it_provisional() {
        AttemptTotal t = total(paper(items("1", "2", "3"), List.of(), Grading.PLAIN), "1", "excused", "settle");
        assertThat(t.possible()).isEqualTo(f("4"));
        assertThat(t.percent()).isEqualTo(f("25"));
        assertThat(t.provisional()).isTrue();
        assertThat(t.counted().get(1)).isNull();
    }

    @Test
    void nothing_possible_gives_no_percent_and_no_band() {
        Grading g = new Grading(
                1, false, null, List.of(), Grading.Attempts.BEST, List.of(new Grading.Band(f("0"), "x", null)), f("0"));
        AttemptTotal t = total(paper(items("1"), List.of(), g), "excused");
        Outcome o = Outcomes.of(g, List.of(t)).get(0);
        assertThat(o.percent()).isNull();
        assertThat(o.band()).isNull();
        assertThat(o.passed()).isNull();
    }

    @ParameterizedTest
    @CsvSource({"DROP, 1, 2, false", "CREDIT_ALL, 3, 4, false", "CREDIT_ANSWERED, 3, 4, false", "BONUS, 1, 2, true"})
    void adjustments_change_what_is_counted_and_a_credited_item_is_no_longer_provisional(
            Kind kind, String score, String possible, boolean provisional) {
        AttemptTotal t =
                total(paper(items("2", "2"), List.of(), Grading.PLAIN, new Adjustment("q2", kind)), "1/2", "settle");
        assertThat(t.score()).isEqualTo(f(score));
        assertThat(t.possible()).isEqualTo(f(possible));
        assertThat(t.provisional()).isEqualTo(provisional);
    }

    @Test
    void credit_to_those_who_answered_leaves_a_blank_at_zero_and_excused_stays_excused() {
        Assessment p = paper(items("2"), List.of(), Grading.PLAIN, new Adjustment("q1", Kind.CREDIT_ANSWERED));
        assertThat(total(p, "blank").score()).isEqualTo(Fraction.ZERO);
        assertThat(total(p, "0").score()).isEqualTo(f("2"));
        assertThat(total(p, "excused").possible()).isEqualTo(Fraction.ZERO);
    }

    @Test
    void dropping_and_restoring_an_item_is_the_identity() {
        Random random = new Random(21);
        for (int i = 0; i < 200; i++) {
            String[] credits = {random.nextInt(5) + "/4", random.nextInt(3) + "/2", "-1/3"};
            String[] kept = Arrays.stream(credits)
                    .map(c -> f(c).min(Fraction.ONE).toExact())
                    .toArray(String[]::new);
            Assessment p = paper(items("1", "2", "3"), List.of(), Grading.PLAIN);
            AttemptTotal before = total(p, kept);
            AttemptTotal dropped =
                    total(paper(p.items(), List.of(), Grading.PLAIN, new Adjustment("q2", Kind.DROP)), kept);
            assertThat(dropped.possible()).isEqualTo(f("4"));
            assertThat(total(paper(p.items(), List.of(), Grading.PLAIN), kept)).isEqualTo(before);
        }
    }

    private static Assessment bestOf(int n, Adjustment... adjustments) {
        List<Item> items = IntStream.rangeClosed(1, 4)
                .mapToObj(i -> item("q" + i, "A", "2"))
                .toList();
        return paper(items, List.of(new Part("A", "", null, n)), Grading.PLAIN, adjustments);
    }

    @Test
    void the_best_items_count_and_the_earlier_on_a_tie() {
        AttemptTotal t = total(bestOf(2), "1/2", "1", "1/2", "0");
        assertThat(t.counted()).containsExactly(f("1"), f("2"), null, null);
        assertThat(t.score()).isEqualTo(f("3"));
        assertThat(t.possible()).isEqualTo(f("4"));
    }

    @Test
    void dropped_and_excused_items_are_out_before_the_best_are_chosen() {
        AttemptTotal t = total(bestOf(3, new Adjustment("q2", Kind.DROP)), "1/2", "1", "excused", "1");
        assertThat(t.counted()).containsExactly(f("1"), null, null, f("2"));
        assertThat(t.possible()).isEqualTo(f("4"));
    }

    @Test
    void an_undecided_item_that_does_not_count_leaves_the_total_final() {
        assertThat(total(bestOf(2), "1", "1", "settle", "0").provisional()).isFalse();
    }

    @Test
    void weighted_parts_give_the_percent_and_an_empty_part_is_left_out() {
        List<Item> items = List.of(item("q1", "A", "10"), item("q2", "B", "4"), item("q3", "C", "1"));
        List<Part> parts = List.of(
                new Part("A", "", f("40"), null), new Part("B", "", f("40"), null), new Part("C", "", f("20"), null));
        AttemptTotal t = total(paper(items, parts, Grading.PLAIN), "1/2", "1", "excused");
        assertThat(t.percent()).isEqualTo(f("75"));
        assertThat(t.score()).isEqualTo(f("9"));
        assertThat(t.possible()).isEqualTo(f("14"));
    }

    @Test
    void a_total_below_zero_becomes_zero_unless_it_may_be_negative() {
        assertThat(total(paper(items("1", "1"), List.of(), Grading.PLAIN), "-1", "1/2")
                        .score())
                .isEqualTo(Fraction.ZERO);
        Grading negative = new Grading(1, true, null, List.of(), Grading.Attempts.BEST, List.of(), null);
        AttemptTotal t = total(paper(items("1", "1"), List.of(), negative), "-1", "1/2");
        assertThat(t.score()).isEqualTo(f("-1/2"));
        assertThat(t.percent()).isEqualTo(f("-25"));
    }

    @ParameterizedTest
    @CsvSource({"0, 1", "1/24, 9/10", "1, 9/10", "25/24, 8/10", "9, 1/2"})
    void a_begun_day_of_lateness_costs_a_whole_one_up_to_the_cap(String days, String left) {
        Grading g = grading(new Grading.Late(f("1/10"), f("1/2")));
        AttemptTotal t = new Totals(paper(items("10"), List.of(), g)).of(marks("1"), f(days));
        assertThat(t.score()).isEqualTo(f(left).times(10));
        assertThat(t.percent()).isEqualTo(f(left).times(100));
    }

    @Test
    void curve_steps_follow_one_another_and_are_clipped_each() {
        Grading g = grading(null, new Curve.Add(f("30")), new Curve.ScaleTo(f("90")));
        Assessment p = paper(items("10"), List.of(), g);
        List<Outcome> o = Outcomes.of(g, List.of(total(p, "4/5"), total(p, "1/2")));
        assertThat(o.get(0).percent()).isEqualTo(f("90"));
        assertThat(o.get(1).percent()).isEqualTo(f("72"));
        assertThat(o.get(1).total().score()).as("the score is not touched").isEqualTo(f("5"));
    }

    @Test
    void scaling_does_nothing_when_the_highest_is_zero() {
        Grading g = grading(null, new Curve.ScaleTo(f("100")));
        Assessment p = paper(items("10"), List.of(), g);
        assertThat(Outcomes.of(g, List.of(total(p, "0"))).get(0).percent()).isEqualTo(Fraction.ZERO);
    }

    @ParameterizedTest
    @CsvSource({"36, 60", "50, 70.710678118655", "0, 0", "100, 100", "2, 14.142135623731"})
    void the_root_is_taken_to_twelve_decimals(String percent, String expected) {
        assertThat(new Curve.Root().apply(f(percent), f("100"))).isEqualTo(f(expected));
    }

    @Test
    void a_line_goes_through_its_two_points() {
        Curve line = new Curve.Line(f("40"), f("60"), f("100"), f("100"));
        assertThat(line.apply(f("40"), f("0"))).isEqualTo(f("60"));
        assertThat(line.apply(f("70"), f("0"))).isEqualTo(f("80"));
        assertThatThrownBy(() -> new Curve.Line(f("1"), f("0"), f("1"), f("2"))).isInstanceOf(Faulty.class);
    }

    @Test
    void bands_and_the_pass_mark_are_decided_on_the_rounded_percent() {
        Grading g = new Grading(
                1,
                false,
                null,
                List.of(),
                Grading.Attempts.BEST,
                List.of(new Grading.Band(f("70"), "Secure", null), new Grading.Band(f("0"), "Not yet", null)),
                f("70"));
        Assessment p = paper(items("2000"), List.of(), g);
        Outcome just = Outcomes.of(g, List.of(total(p, "0.6995"))).get(0);
        assertThat(just.percent()).isEqualTo(f("70"));
        assertThat(just.band().label()).isEqualTo("Secure");
        assertThat(just.passed()).isTrue();
        Outcome below = Outcomes.of(g, List.of(total(p, "0.6994"))).get(0);
        assertThat(below.band().label()).isEqualTo("Not yet");
        assertThat(below.passed()).isFalse();
    }

    @ParameterizedTest
    @CsvSource({"BEST, 1, 80", "LAST, 2, 80", "FIRST, 0, 50", "MEAN, -1, 70"})
    void of_several_attempts_the_chosen_one_counts_and_the_earlier_on_a_tie(
            Grading.Attempts rule, int counting, String percent) {
        Grading g = new Grading(1, false, null, List.of(), rule, List.of(), null);
        Assessment p = paper(items("10"), List.of(), g);
        List<Outcome> attempts = Outcomes.of(g, List.of(total(p, "1/2"), total(p, "4/5"), total(p, "4/5")));
        Outcomes.Result result = Outcomes.result(g, attempts);
        assertThat(result.counting()).isEqualTo(counting);
        assertThat(result.percent()).isEqualTo(f(percent));
    }

    @Test
    void definitions_that_contradict_themselves_are_refused_at_their_place() {
        List<Item> two = List.of(item("q1", "A", "1"), item("q2", "A", "2"));
        assertThatThrownBy(() -> paper(two, List.of(new Part("A", "", null, 1)), Grading.PLAIN))
                .hasMessageContaining("same points");
        assertThatThrownBy(() -> paper(items("1"), List.of(new Part("A", "", null, null)), Grading.PLAIN))
                .hasMessageContaining("every item names one");
        assertThatThrownBy(() -> paper(items("1"), List.of(), Grading.PLAIN, new Adjustment("q9", Kind.DROP)))
                .isInstanceOfSatisfying(Faulty.class, e -> assertThat(e.place()).isEqualTo("adjustments[0].item"));
        assertThatThrownBy(() -> bestOf(2, new Adjustment("q1", Kind.BONUS))).hasMessageContaining("bonus");
        List<Item> twice = new ArrayList<>(items("1"));
        twice.addAll(items("1"));
        assertThatThrownBy(() -> paper(twice, List.of(), Grading.PLAIN)).hasMessageContaining("twice");
    }
}
