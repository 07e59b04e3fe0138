package org.scholion.core.score;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.scholion.core.score.Marks.choice;
import static org.scholion.core.score.Marks.f;
import static org.scholion.core.score.Marks.scoring;

import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.ChoiceItem;
import org.scholion.core.item.ChoiceItem.Rule;
import org.scholion.core.item.Faulty;
import org.scholion.core.number.Fraction;

class ChoiceTest {
    private static final String[] ABCD = {"a", "b", "c", "d"};
    private static final String[] ABCDE = {"a", "b", "c", "d", "e"};

    @Test
    void the_keyed_option_earns_everything_and_says_so() {
        scoring(choice(Rule.EXACT, 1, "b", ABCD), "b").isScored("1").because("chose “b”, which is right");
    }

    @Test
    void any_of_several_keyed_options_is_enough_when_one_is_asked() {
        ChoiceItem item = choice(Rule.EXACT, 1, "b c", ABCD);
        scoring(item, "c").isScored("1");
        scoring(item, "a").isScored("0").because("chose “a”; the right answer is “b” or “c”");
    }

    @Test
    void another_option_earns_its_own_credit_or_costs_the_penalty() {
        ChoiceItem item = choice(Rule.EXACT, 1, "b", Map.of("c", f("1/2")), "1/4", false, ABCD);
        scoring(item, "c").isScored("1/2");
        scoring(item, "a").isScored("-1/4").because("chose “a”; the right answer is “b”; penalty: ¼ of the points");
    }

    @Test
    void a_blank_scores_zero_even_with_a_penalty() {
        scoring(choice(Rule.EXACT, 1, "b", Map.of(), "1/4", false, ABCD), "")
                .isBlank()
                .because("no answer");
    }

    @Test
    void two_choices_where_one_is_asked_are_a_doubt_unless_the_item_says_wrong() {
        ChoiceItem item = choice(Rule.EXACT, 1, "b", Map.of(), "1/4", false, ABCD);
        scoring(item, "a b").isLeftToSettle();
        ChoiceItem strict =
                new ChoiceItem(item.head(), item.options(), item.key(), 1, Rule.EXACT, Map.of(), f("1/4"), true, false);
        scoring(strict, "a b").isScored("-1/4");
    }

    @ParameterizedTest
    @CsvSource({
        "EXACT, a c, 1",
        "EXACT, a, 0",
        "EXACT, a c d, 0",
        "EACH, a c, 1",
        "EACH, a, 4/5",
        "EACH, b, 2/5",
        "EACH, a b c, 4/5",
        "EACH, b d e, 0",
        "NET, a c, 1",
        "NET, a, 1/2",
        "NET, a b, 0",
        "NET, a c d, 1/2",
        "NET, b d, 0",
        "HITS, a c, 1",
        "HITS, a, 1/2",
        "HITS, a b, 1/2",
        "HITS, a b c, 0"
    })
    void several_choices_follow_the_rule(Rule rule, String chosen, String credit) {
        scoring(choice(rule, 5, "a c", ABCDE), chosen).isScored(credit);
    }

    @Test
    void the_net_rule_shows_its_sum() {
        scoring(choice(Rule.NET, 4, "a b c d", ABCDE), "a b c e")
                .isScored("1/2")
                .because("3 of 4 right options chosen, and 1 wrong one: (3 − 1) ÷ 4, never below 0");
    }

    @Test
    void weights_are_added_and_held_within_their_bounds() {
        Map<String, Fraction> credits = Map.of("a", f("3/4"), "b", f("1/2"), "c", f("-1"));
        ChoiceItem plain = choice(Rule.WEIGHTS, 4, "a", credits, "0", false, ABCD);
        scoring(plain, "a b").isScored("1");
        scoring(plain, "a c").isScored("0");
        scoring(plain, "d").isScored("0");
        ChoiceItem negative = choice(Rule.WEIGHTS, 4, "a", credits, "0", true, ABCD);
        scoring(negative, "a c").isScored("-1/4");
    }

    @Test
    void an_unknown_option_is_an_error_of_the_input_that_names_it() {
        Scorer scorer = Scorer.of(choice(Rule.EXACT, 1, "b", ABCD));
        assertThatThrownBy(() -> scorer.score(Answer.Chosen.of("x")))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("'x'");
    }

    @Test
    void more_choices_than_allowed_are_an_error_of_the_input() {
        Scorer scorer = Scorer.of(choice(Rule.NET, 2, "a c", ABCDE));
        assertThatThrownBy(() -> scorer.score(Answer.Chosen.of("a", "b", "c"))).hasMessageContaining("at most 2");
    }

    @Test
    void a_key_that_names_no_option_is_refused_at_its_place() {
        assertThatThrownBy(() -> choice(Rule.EXACT, 1, "z", ABCD))
                .isInstanceOfSatisfying(Faulty.class, e -> assertThat(e.place()).isEqualTo("key[0]"));
    }

    @ParameterizedTest
    @EnumSource(Rule.class)
    void credit_stays_within_bounds_and_the_order_of_choosing_does_not_matter(Rule rule) {
        Random random = new Random(11);
        for (int i = 0; i < 500; i++) {
            ChoiceItem item = choice(rule, 5, random.nextBoolean() ? "a c" : "b d e", ABCDE);
            Set<String> chosen = new LinkedHashSet<>();
            for (String option : ABCDE) {
                if (random.nextBoolean()) {
                    chosen.add(option);
                }
            }
            Set<String> turned = new LinkedHashSet<>();
            chosen.stream().sorted(java.util.Comparator.reverseOrder()).forEach(turned::add);
            Mark mark = Scorer.of(item).score(new Answer.Chosen(chosen));
            assertThat(mark.credit()).isBetween(Fraction.ZERO, Fraction.ONE);
            assertThat(Scorer.of(item).score(new Answer.Chosen(turned))).isEqualTo(mark);
        }
    }

    @ParameterizedTest
    @EnumSource(
            value = Rule.class,
            names = {"EACH", "NET", "HITS"})
    void one_more_right_choice_never_earns_less_while_none_too_many_is_made(Rule rule) {
        ChoiceItem item = choice(rule, 5, "a c e", ABCDE);
        Scorer scorer = Scorer.of(item);
        assertThat(scorer.score(Answer.Chosen.of("a", "c")).credit())
                .isGreaterThanOrEqualTo(scorer.score(Answer.Chosen.of("a")).credit());
        assertThat(scorer.score(Answer.Chosen.of("a", "c", "e")).credit()).isEqualTo(Fraction.ONE);
    }
}
