package org.scholion.core.score;

import static org.assertj.core.api.Assertions.assertThat;
import static org.scholion.core.score.Marks.around;
import static org.scholion.core.score.Marks.choice;
import static org.scholion.core.score.Marks.f;
import static org.scholion.core.score.Marks.head;
import static org.scholion.core.score.Marks.ignoring;
import static org.scholion.core.score.Marks.not;
import static org.scholion.core.score.Marks.number;
import static org.scholion.core.score.Marks.same;
import static org.scholion.core.score.Marks.text;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.scholion.core.item.ChoiceItem;
import org.scholion.core.item.NumberItem;
import org.scholion.core.item.OpenItem;
import org.scholion.core.item.PassageItem;
import org.scholion.core.item.Rubric;
import org.scholion.core.item.TextItem;
import org.scholion.core.number.Fraction;

/** The rule in plain words says everything that decides. */
class HowItScoresTest {
    @Test
    void a_choice_names_its_key_its_credits_its_penalty_and_what_two_choices_mean() {
        ChoiceItem item = choice(ChoiceItem.Rule.EXACT, 1, "b", Map.of("c", f("1/2")), "1/4", false, "a", "b", "c");
        assertThat(HowItScores.of(item))
                .isEqualTo(
                        "“b” earns full credit. “c” earns ½ of the points. A wrong answer loses ¼ of the points. Leaving it unanswered loses nothing. An answer with more than one choice comes to you in Settle.");
    }

    @ParameterizedTest
    @EnumSource(ChoiceItem.Rule.class)
    void every_rule_for_several_choices_has_its_own_words(ChoiceItem.Rule rule) {
        String words = HowItScores.of(choice(rule, 3, "a c", "a", "b", "c", "d"));
        assertThat(words).endsWith("At most 3 can be chosen.");
        for (ChoiceItem.Rule other : ChoiceItem.Rule.values()) {
            if (other != rule) {
                assertThat(words).isNotEqualTo(HowItScores.of(choice(other, 3, "a c", "a", "b", "c", "d")));
            }
        }
    }

    @Test
    void a_text_says_what_counts_what_does_not_matter_and_what_becomes_of_the_rest() {
        TextItem item = text(
                "LENGTH",
                ignoring(TextItem.Ignore.CASE, TextItem.Ignore.ARTICLES),
                List.of(not("reef knot")),
                "0",
                same("bowline"),
                same("king of knots", "1/2"),
                new TextItem.Words(List.of("loop"), List.of(), List.of("slip"), f("1/4")));
        assertThat(HowItScores.of(item))
                .isEqualTo(
                        "Accepted: an answer that is “bowline”, or is “king of knots” (for ½ of the points), or contains “loop” and does not contain “slip” (for ¼ of the points), ignoring capitals, leading articles. One typing slip is allowed from 4 letters, two from 8. Listed as wrong: “reef knot”. Any other answer waits for you in Settle and is not marked wrong.");
    }

    @Test
    void a_number_says_its_bands_its_unit_and_its_figures() {
        assertThat(HowItScores.of(number(around("12.5", "2%", "1"), around("12.5", "5%", "1/2"))))
                .isEqualTo(
                        "Accepted: 12.5 ± 2%, or 12.5 ± 5% (for ½ of the points), limits included. An answer with a unit cannot be read as a number. What cannot be read as a number comes to you in Settle.");
        NumberItem item = new NumberItem(
                head(),
                List.of(around("1", null, "1")),
                '.',
                new NumberItem.UnitRule("km", false, f("1/2"), Fraction.ZERO),
                new NumberItem.Figures(3, f("1/2")),
                Fraction.ZERO,
                true);
        assertThat(HowItScores.of(item))
                .contains(
                        "Unit: km, in no other unit.", "Without a unit: ½ of the credit. With a wrong unit: no credit.",
                        "To 3 significant figures; otherwise ½ of the credit.",
                                "What cannot be read as a number is wrong.");
    }

    @Test
    void an_open_item_says_that_a_person_reads_and_a_passage_that_nothing_is_scored() {
        assertThat(HowItScores.of(new OpenItem(head(), null, null, 120, null)))
                .isEqualTo("You read each answer and give from 0 to 1 point. At most 120 words are asked for.");
        assertThat(HowItScores.of(new OpenItem(head(), null, null, null, null, 2)))
                .endsWith("It may have up to 2 pictures or PDFs; one without words is read as well.");
        assertThat(HowItScores.of(new PassageItem(head()))).contains("nothing is scored");
    }

    @Test
    void an_open_item_says_from_where_on_it_counts_as_mastered_and_when_no_answer_can_get_there() {
        assertThat(HowItScores.of(new OpenItem(head(), null, null, null, "0.5")))
                .endsWith("It counts as mastered from 0.5 points.");
        assertThat(HowItScores.of(new OpenItem(head(), null, null, null, "2")))
                .endsWith("It counts as mastered from 2 points, which no answer can reach.");
        Rubric.Criterion criterion = new Rubric.Criterion(
                "c1", "", Fraction.ONE, List.of(new Rubric.Level("good", Fraction.ONE, "a chain")), List.of());
        assertThat(HowItScores.of(new OpenItem(head(), new Rubric(List.of(criterion)), null, null, "good")))
                .endsWith("It counts as mastered from “a chain”.");
    }

    @Test
    void the_words_and_the_marks_agree_on_a_forgiven_slip() {
        TextItem strict = text("NONE", TextItem.USUAL, same("bowline"));
        TextItem lenient = text("ONE", TextItem.USUAL, same("bowline"));
        assertThat(HowItScores.of(strict)).doesNotContain("slip");
        assertThat(HowItScores.of(lenient)).contains("One typing slip is allowed.");
        Marks.scoring(strict, "bowlin").isLeftToSettle();
        Marks.scoring(lenient, "bowlin").isScored("1");
    }
}
