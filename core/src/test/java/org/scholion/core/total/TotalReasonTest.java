package org.scholion.core.total;

import static org.assertj.core.api.Assertions.assertThat;
import static org.scholion.core.score.Marks.f;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.scholion.core.item.Head;
import org.scholion.core.item.Item;
import org.scholion.core.item.OpenItem;
import org.scholion.core.number.Fraction;
import org.scholion.core.reason.Reason;
import org.scholion.core.reason.Reason.Code;
import org.scholion.core.reason.Words;
import org.scholion.core.score.Mark;

class TotalReasonTest {
    private static Item item(String id, String part) {
        return new OpenItem(new Head(id, part, Fraction.of(2), "", List.of()), null, null, null, null);
    }

    private static Mark credit(String credit) {
        return Mark.scored(f(credit), Reason.of(Code.OPEN_POINTS));
    }

    @Test
    void a_total_tells_everything_that_made_it() {
        Grading grading = new Grading(
                1,
                false,
                new Grading.Late(f("0.1"), f("0.5")),
                List.of(new Curve.Add(f("5"))),
                Grading.Attempts.BEST,
                List.of(),
                null);
        List<Item> items = List.of(item("q1", "A"), item("q2", "A"), item("q3", "B"), item("q4", "B"), item("q5", "B"));
        Assessment a = new Assessment(
                "Tides",
                "en",
                List.of(new Part("A", "", f("40"), null), new Part("B", "", f("60"), 1)),
                items,
                List.of(new Adjustment("q2", Adjustment.Kind.DROP), new Adjustment("q1", Adjustment.Kind.CREDIT_ALL)),
                grading);
        List<Mark> marks = List.of(credit("0"), credit("1"), credit("1/2"), credit("1"), Mark.EXCUSED);
        AttemptTotal total = new Totals(a).of(marks, f("1.5"));
        Outcome outcome = Outcomes.of(grading, List.of(total)).get(0);
        Reason reason = new TotalReason(a).of(marks, f("1.5"), outcome);
        assertThat(Words.english(reason))
                .isEqualTo(
                        "4 of 4 points; question 2 dropped; question 5 excused; question 1 gives full credit; not counted, since only the best count: question 3; weights: A 40, B 60; 2 days late: × 0.8; before the curve 80%, plus 5 percentage points; 85%");
        // Whoever reads it can work the percent out again: 100 × 0.8 + 5.
        Fraction again = reason.amount("earned")
                .over(reason.amount("possible"))
                .times(100)
                .times(reason.amount("factor"))
                .plus(f("5"));
        assertThat(again).isEqualTo(outcome.percent());
    }

    @Test
    void what_waits_and_what_is_held_at_zero_is_told() {
        Assessment a = new Assessment(
                "Tides", "en", List.of(), List.of(item("q1", null), item("q2", null)), List.of(), Grading.PLAIN);
        List<Mark> marks = new ArrayList<>(List.of(credit("-1/2"), Mark.unread(Reason.of(Code.OPEN_WAITS))));
        Outcome outcome = Outcomes.of(Grading.PLAIN, List.of(new Totals(a).of(marks, Fraction.ZERO)))
                .get(0);
        assertThat(Words.english(new TotalReason(a).of(marks, Fraction.ZERO, outcome)))
                .isEqualTo("−1 of 4 points; never below 0; 0%; not decided yet, counted as 0: question 2");
    }
}
