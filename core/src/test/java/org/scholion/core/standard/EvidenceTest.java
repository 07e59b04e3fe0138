package org.scholion.core.standard;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.Alignment;
import org.scholion.core.item.ChoiceItem;
import org.scholion.core.item.Head;
import org.scholion.core.item.Item;
import org.scholion.core.item.OpenItem;
import org.scholion.core.item.Rubric;
import org.scholion.core.number.Fraction;
import org.scholion.core.reason.Reason;
import org.scholion.core.reason.Reason.Code;
import org.scholion.core.score.Mark;
import org.scholion.core.score.Scorer;
import org.scholion.core.total.Adjustment;
import org.scholion.core.total.Assessment;
import org.scholion.core.total.Grading;

class EvidenceTest {
    private static final Framework COAST = new Framework(
            "coast",
            "Coastal skills",
            "1",
            List.of(
                    new Framework.Standard("T", null, "Tides"),
                    new Framework.Standard("T1", "T", "Causes"),
                    new Framework.Standard("T2", "T", "Times"),
                    new Framework.Standard("K", null, "Knots")));

    private static Alignment to(String code, String weight) {
        return new Alignment(code, Fraction.exactly(weight));
    }

    private static Item choice(String id, int points, Alignment... standards) {
        return new ChoiceItem(
                new Head(id, null, Fraction.of(points), "", List.of(standards)),
                List.of(new ChoiceItem.Option("a", ""), new ChoiceItem.Option("b", "")),
                List.of("a"),
                1,
                ChoiceItem.Rule.EXACT,
                Map.of(),
                Fraction.ZERO,
                false,
                false);
    }

    private static Mark right() {
        return Mark.scored(Fraction.ONE, Reason.of(Code.CHOICE_KEY));
    }

    private static Mark wrong() {
        return Mark.scored(Fraction.ZERO, Reason.of(Code.CHOICE_OTHER));
    }

    private static Alignments alignments(List<Item> items, Adjustment... adjustments) {
        return new Alignments(
                new Assessment("Tides", "en", List.of(), items, List.of(adjustments), Grading.PLAIN), List.of(COAST));
    }

    @Test
    void a_standard_gathers_what_stands_below_it_each_item_once_with_its_highest_weight() {
        Item both = choice("q1", 2, to("T1", "1"), to("T2", "3"));
        Item one = choice("q2", 1, to("T1", "2"));
        Map<String, Evidence> found = alignments(List.of(both, one)).of(List.of(right(), wrong()));
        assertThat(found.keySet()).containsExactly("T", "T1", "T2");
        assertThat(found.get("T")).isEqualTo(new Evidence(Fraction.of(6), Fraction.of(8), 2));
        assertThat(found.get("T1")).isEqualTo(new Evidence(Fraction.of(2), Fraction.of(4), 2));
        assertThat(found.get("T2")).isEqualTo(new Evidence(Fraction.of(6), Fraction.of(6), 1));
    }

    @Test
    void undecided_excused_and_dropped_items_are_no_evidence_and_a_credited_one_gives_full_points() {
        List<Item> items = List.of(
                choice("q1", 1, to("K", "1")),
                choice("q2", 1, to("K", "1")),
                choice("q3", 1, to("K", "1")),
                choice("q4", 1, to("K", "1")),
                choice("q5", 1, to("K", "1")));
        Mark doubt = Mark.settle(Reason.of(Code.CHOICE_SEVERAL));
        Map<String, Evidence> found = alignments(
                        items,
                        new Adjustment("q3", Adjustment.Kind.DROP),
                        new Adjustment("q4", Adjustment.Kind.CREDIT_ALL),
                        new Adjustment("q5", Adjustment.Kind.CREDIT_ANSWERED))
                .of(List.of(doubt, Mark.EXCUSED, right(), doubt, Mark.BLANK));
        assertThat(found.get("K")).isEqualTo(new Evidence(Fraction.ONE, Fraction.of(2), 2));
    }

    @Test
    void a_criterion_is_evidence_with_its_part_of_the_items_points() {
        Rubric rubric = new Rubric(List.of(criterion("why", 2, to("T1", "1")), criterion("when", 1, to("T2", "1"))));
        OpenItem open = new OpenItem(Head.of("q1", Fraction.of(6)), rubric, null, null, null);
        Mark read = Scorer.of(open).score(new Answer.Written("…", Map.of("why", "1", "when", "0"), null));
        Map<String, Evidence> found = alignments(List.of(open)).of(List.of(read));
        assertThat(found.get("T1")).isEqualTo(new Evidence(Fraction.of(4), Fraction.of(4), 1));
        assertThat(found.get("T2")).isEqualTo(new Evidence(Fraction.ZERO, Fraction.of(2), 1));
        assertThat(found.get("T")).isEqualTo(new Evidence(Fraction.of(4), Fraction.of(6), 2));
        // A blank answer has shown nothing on either.
        assertThat(alignments(List.of(open)).of(List.of(Mark.BLANK)).get("T"))
                .isEqualTo(new Evidence(Fraction.ZERO, Fraction.of(6), 2));
    }

    private static Rubric.Criterion criterion(String id, int weight, Alignment alignment) {
        return new Rubric.Criterion(
                id,
                "",
                Fraction.of(weight),
                List.of(new Rubric.Level("0", Fraction.ZERO, ""), new Rubric.Level("1", Fraction.of(2), "")),
                List.of(alignment));
    }

    @Test
    void wilsons_interval_is_wide_with_little_evidence_and_never_leaves_zero_to_one() {
        Wilson half = Wilson.of(0.5, 10);
        assertThat(half.low()).isCloseTo(0.236593, within(1e-6));
        assertThat(half.high()).isCloseTo(0.763407, within(1e-6));
        assertThat(Wilson.of(1, 2).high()).isEqualTo(1.0);
        assertThat(Wilson.of(1, 2).low()).isCloseTo(0.342380, within(1e-6));
        assertThat(Wilson.of(-0.5, 4)).isEqualTo(Wilson.of(0, 4));
    }
}
