package org.scholion.core.score;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.scholion.core.item.TextItem.Ignore.ACCENTS;
import static org.scholion.core.item.TextItem.Ignore.ARTICLES;
import static org.scholion.core.item.TextItem.Ignore.CASE;
import static org.scholion.core.item.TextItem.Ignore.MARKS;
import static org.scholion.core.item.TextItem.Ignore.SPACE;
import static org.scholion.core.score.Marks.f;
import static org.scholion.core.score.Marks.ignoring;
import static org.scholion.core.score.Marks.not;
import static org.scholion.core.score.Marks.same;
import static org.scholion.core.score.Marks.scoring;
import static org.scholion.core.score.Marks.text;

import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.Faulty;
import org.scholion.core.item.TextItem;
import org.scholion.core.number.Fraction;

class TextTest {
    private static final Set<TextItem.Ignore> USUAL = TextItem.USUAL;

    @Test
    void capitals_and_spaces_do_not_matter_by_default_and_the_reason_says_which_mattered() {
        TextItem item = text("NONE", USUAL, same("bowline"));
        scoring(item, "bowline").isScored("1").because("matches “bowline”");
        scoring(item, "Bowline").isScored("1").because("matches “bowline” (ignoring capitals)");
        scoring(item, "  BOWLINE ").isScored("1").because("matches “bowline” (ignoring capitals and spaces)");
    }

    @Test
    void full_case_folding_makes_sharp_s_equal_to_double_s() {
        scoring(text("NONE", USUAL, same("Straße")), "STRASSE").isScored("1");
    }

    @ParameterizedTest
    @CsvSource({"the bowline, 1", "A bowline, 1", "the the bowline, settle", "bowline the, settle", "the, settle"})
    void one_leading_article_is_left_aside(String said, String credit) {
        TextItem item = text("NONE", ignoring(CASE, ARTICLES), same("bowline"));
        if (credit.equals("settle")) {
            scoring(item, said).isLeftToSettle();
        } else {
            scoring(item, said).isScored(credit);
        }
    }

    @Test
    void articles_of_a_language_without_a_list_stay() {
        TextItem english = text("NONE", ignoring(ARTICLES), same("knot"));
        TextItem other = new TextItem(
                english.head(),
                english.accept(),
                List.of(),
                Fraction.ZERO,
                english.ignore(),
                TextItem.Spelling.NONE,
                Fraction.ONE,
                false,
                "de");
        scoring(other, "the knot").isLeftToSettle();
    }

    @Test
    void punctuation_goes_and_dash_and_slash_become_spaces() {
        TextItem item = text("NONE", ignoring(MARKS), same("figure of eight"));
        scoring(item, "figure-of-eight.").isScored("1");
        scoring(item, "figure/of/eight").isScored("1");
        scoring(item, "figure\u2014of\u2013eight!").isScored("1");
    }

    @Test
    void accents_matter_unless_they_are_ignored() {
        scoring(text("NONE", USUAL, same("gelée")), "gelee").isLeftToSettle();
        scoring(text("NONE", ignoring(ACCENTS), same("gelée")), "gelee").isScored("1");
    }

    @Test
    void curly_quotes_dashes_and_compatibility_forms_are_plain() {
        scoring(text("NONE", Set.of(), same("sailor's \"knot\" - ﬁne")), "sailor’s “knot” − fine")
                .isScored("1");
    }

    @Test
    void without_ignoring_anything_every_letter_counts() {
        scoring(text("NONE", Set.of(), same("Ebb")), "ebb").isLeftToSettle();
    }

    @Test
    void the_highest_credit_among_matching_entries_wins_and_the_first_on_a_tie() {
        TextItem item = text(
                "NONE",
                USUAL,
                same("ebb", "1/2"),
                new TextItem.Pattern("eb+", f("3/4")),
                new TextItem.Pattern("e.*", f("3/4")));
        scoring(item, "ebb").isScored("3/4").because("matches the pattern eb+");
    }

    @Test
    void a_pattern_has_to_match_the_whole_answer() {
        TextItem item = text("NONE", USUAL, new TextItem.Pattern("bow ?line( knot)?", Fraction.ONE));
        scoring(item, "Bow Line knot").isScored("1");
        scoring(item, "double bowline").isLeftToSettle();
    }

    @Test
    void words_are_looked_for_whole_and_phrases_as_neighbours() {
        TextItem item = text(
                "NONE",
                USUAL,
                new TextItem.Words(List.of("rolling hitch"), List.of("mast", "spar"), List.of("clove"), f("1/2")));
        scoring(item, "a rolling hitch on the mast").isScored("1/2");
        scoring(item, "a hitch, rolling, on the mast").isLeftToSettle();
        scoring(item, "rolling hitch").isLeftToSettle();
        scoring(item, "clove or rolling hitch on a spar").isLeftToSettle();
    }

    @Test
    void a_rejected_text_is_wrong_even_where_a_pattern_would_accept_it() {
        TextItem item =
                text("NONE", USUAL, List.of(not("reef knot")), "1/4", new TextItem.Pattern(".*knot", Fraction.ONE));
        scoring(item, "Reef knot").isScored("-1/4");
        scoring(item, "any knot").isScored("1");
    }

    @ParameterizedTest
    @CsvSource({
        "ONE, Beaufort, Beufort, 1",
        "ONE, Beaufort, Baeufort, 1",
        "ONE, Beaufort, Befort, settle",
        "TWO, Beaufort, Befort, 1",
        "TWO, Beaufort, Befrt, settle",
        "LENGTH, ebb, eb, settle",
        "LENGTH, neap, nep, 1",
        "LENGTH, neap, np, settle",
        "LENGTH, bowline, bolwine, 1",
        "LENGTH, bowline, bolin, settle",
        "LENGTH, Beaufort, Befort, 1",
        "ONE, a, b, settle",
        "TWO, ab, cd, settle",
        "TWO, ab, ac, 1",
        "NONE, Beaufort, Beufort, settle"
    })
    void typing_slips_are_forgiven_as_far_as_the_allowance_goes(
            String spelling, String listed, String said, String credit) {
        TextItem item = text(spelling, USUAL, same(listed));
        if (credit.equals("settle")) {
            scoring(item, said).isLeftToSettle();
        } else {
            scoring(item, said).isScored(credit);
        }
    }

    @Test
    void the_nearest_entry_decides_and_the_reason_names_it() {
        TextItem item = text("TWO", USUAL, same("slack water"), same("Beaufort"));
        scoring(item, "Beaufrt").isScored("1").because("one typing slip away from “Beaufort”");
        scoring(item, "slak watr").isScored("1").because("two typing slips away from “slack water”");
    }

    @Test
    void equally_near_to_a_right_and_a_wrong_entry_is_a_doubt() {
        TextItem item = text("ONE", USUAL, List.of(not("port")), "0", same("part"));
        scoring(item, "pert").isLeftToSettle();
        scoring(item, "porrt").isScored("0");
    }

    @Test
    void a_slip_earns_the_spelling_credit() {
        TextItem plain = text("ONE", USUAL, same("neaps", "1/2"));
        TextItem item = new TextItem(
                plain.head(),
                plain.accept(),
                List.of(),
                Fraction.ZERO,
                plain.ignore(),
                TextItem.Spelling.ONE,
                f("1/2"),
                false,
                "en");
        scoring(item, "neeps").isScored("1/4");
        scoring(item, "neaps").isScored("1/2");
    }

    @Test
    void what_is_left_is_wrong_only_where_the_item_says_so_and_a_blank_never_is() {
        TextItem plain = text("NONE", USUAL, List.of(), "1/4", same("neaps"));
        TextItem strict = new TextItem(
                plain.head(),
                plain.accept(),
                List.of(),
                f("1/4"),
                plain.ignore(),
                TextItem.Spelling.NONE,
                Fraction.ONE,
                true,
                "en");
        scoring(plain, "springs").isLeftToSettle();
        scoring(strict, "springs").isScored("-1/4");
        scoring(strict, "\u00A0\t ").isBlank();
    }

    @ParameterizedTest
    @ValueSource(strings = {"(", "a{2000}", "(((a{100}){100}){100}){10}", "(?=a)", "\\h", "a**"})
    void a_pattern_that_cannot_be_used_is_refused_at_its_place(String pattern) {
        TextItem item = text("NONE", USUAL, same("x"), new TextItem.Pattern(pattern, Fraction.ONE));
        assertThatThrownBy(() -> Scorer.of(item))
                .isInstanceOfSatisfying(Faulty.class, e -> assertThat(e.place()).isEqualTo("accept[1].pattern"));
    }

    @Test
    void a_pattern_made_to_be_slow_runs_in_linear_time() {
        TextItem item = text("NONE", USUAL, new TextItem.Pattern("(a+)+b", Fraction.ONE));
        scoring(item, "a".repeat(50_000)).isLeftToSettle();
    }

    @Test
    void equal_answers_have_equal_forms() {
        Scorer scorer = Scorer.of(text("NONE", ignoring(CASE, SPACE, MARKS, ARTICLES), same("x")));
        assertThat(scorer.form(new Answer.Typed("The Bow-line.")))
                .isEqualTo(scorer.form(new Answer.Typed("bow  line")));
    }

    @Test
    void a_ruling_goes_before_the_rules_and_holds_for_every_equal_answer() {
        TextItem item = text("NONE", USUAL, same("x"));
        Ruling ruling = new Ruling("q", "cow hitch", f("1/2"), "near enough");
        Scorer scorer = Scorer.of(item, List.of(ruling));
        assertThat(scorer.score(new Answer.Typed("Cow  Hitch")).credit()).isEqualTo(f("1/2"));
        assertThat(scorer.score(new Answer.Typed("clove hitch")).state()).isEqualTo(State.SETTLE);
        assertThat(scorer.score(new Answer.Typed(" "))).isEqualTo(Mark.BLANK);
    }

    @Test
    void a_doubt_is_likened_to_what_it_holds_or_is_near() {
        TextItem item = text("NONE", USUAL, List.of(not("reef knot")), "0", same("bowline"));
        assertThat(Likeness.of(item, "double bowline"))
                .hasValueSatisfying(l -> assertThat(l.holds()).isTrue());
        assertThat(Likeness.of(item, "a bow line hitch"))
                .hasValueSatisfying(l -> assertThat(l.apart()).isTrue());
        assertThat(Likeness.of(item, "reef not")).hasValueSatisfying(l -> {
            assertThat(l.listed()).isEqualTo("reef knot");
            assertThat(l.accepted()).isFalse();
            assertThat(l.distance()).isEqualTo(1);
        });
        assertThat(Likeness.of(item, "butterfly")).isEmpty();
    }
}
