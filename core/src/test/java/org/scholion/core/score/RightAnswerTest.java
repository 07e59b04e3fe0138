package org.scholion.core.score;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.ChoiceItem;
import org.scholion.core.item.FormulaItem;
import org.scholion.core.item.Head;
import org.scholion.core.item.Item;
import org.scholion.core.item.Named;
import org.scholion.core.item.NumberItem;
import org.scholion.core.item.OpenItem;
import org.scholion.core.item.OrderItem;
import org.scholion.core.item.PassageItem;
import org.scholion.core.item.SpotItem;
import org.scholion.core.item.TextItem;
import org.scholion.core.item.WorkingItem;
import org.scholion.core.number.Fraction;

/** Whatever is called a right answer earns everything, under the item's own rules. */
class RightAnswerTest {
    private static final Head HEAD = Head.of("q", Fraction.of(2));

    private static TextItem text(TextItem.Accepted... accept) {
        return new TextItem(
                HEAD,
                List.of(accept),
                List.of(),
                Fraction.ZERO,
                Set.of(),
                TextItem.Spelling.NONE,
                Fraction.ONE,
                false,
                "en");
    }

    private static ChoiceItem choice(List<String> key, int max, ChoiceItem.Rule rule, Map<String, Fraction> credits) {
        List<ChoiceItem.Option> options =
                List.of(new ChoiceItem.Option("a", ""), new ChoiceItem.Option("b", ""), new ChoiceItem.Option("c", ""));
        return new ChoiceItem(HEAD, options, key, max, rule, credits, Fraction.ZERO, false, false);
    }

    private static void earnsAll(Item item) {
        Answer answer = RightAnswer.of(item).orElseThrow();
        assertThat(Scorer.of(item).score(answer).credit()).as("%s", answer).isEqualTo(Fraction.ONE);
    }

    @Test
    void of_every_kind_that_a_rule_scores_it_earns_all() {
        earnsAll(choice(List.of("b", "c"), 1, ChoiceItem.Rule.EXACT, Map.of()));
        earnsAll(choice(List.of("b", "c"), 3, ChoiceItem.Rule.NET, Map.of()));
        earnsAll(choice(List.of("a"), 3, ChoiceItem.Rule.WEIGHTS, Map.of("a", Fraction.HALF, "c", Fraction.HALF)));
        earnsAll(text(
                new TextItem.SameText("half", Fraction.HALF, null), new TextItem.SameText("ebb", Fraction.ONE, null)));
        earnsAll(text(new TextItem.Words(List.of("spring"), List.of("tide", "range"), List.of(), Fraction.ONE)));
        earnsAll(new NumberItem(
                HEAD,
                List.of(NumberItem.Accepted.around(Fraction.of(25, 2), "2%", Fraction.ONE)),
                ',',
                new NumberItem.UnitRule("km/h", true, Fraction.ZERO, Fraction.ZERO),
                null,
                Fraction.ZERO,
                false));
        earnsAll(new OrderItem(
                HEAD, List.of(new Named("x", "1"), new Named("y", "2")), List.of("y", "x"), OrderItem.Rule.COUPLES));
        earnsAll(new SpotItem(
                HEAD,
                List.of(new SpotItem.Region(
                        "g", new SpotItem.Rect(Fraction.ZERO, Fraction.ZERO, Fraction.HALF, Fraction.HALF))),
                List.of("g"),
                SpotItem.Rule.EXACT,
                Fraction.ONE));
        earnsAll(new FormulaItem(
                HEAD, List.of("x^2+1"), List.of("x"), List.of(), List.of(), FormulaItem.Form.EXPANDED, Fraction.ZERO));
        earnsAll(new WorkingItem(HEAD, "2x = 4", List.of("x = 2"), List.of("x"), Fraction.HALF, Fraction.HALF, false));
    }

    @Test
    void where_the_key_lists_none_there_is_none() {
        assertThat(RightAnswer.of(text(new TextItem.Pattern("bow.*", Fraction.ONE))))
                .isEmpty();
        assertThat(RightAnswer.of(text(new TextItem.SameText("half", Fraction.HALF, null))))
                .isEmpty();
        assertThat(RightAnswer.of(new PassageItem(HEAD))).isEmpty();
    }

    @Test
    void of_an_open_one_it_is_the_best_reading() {
        Answer answer =
                RightAnswer.of(new OpenItem(HEAD, null, null, null, null)).orElseThrow();
        assertThat(((Answer.Written) answer).points()).isEqualTo(Fraction.of(2));
    }
}
