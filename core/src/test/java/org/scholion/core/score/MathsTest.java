package org.scholion.core.score;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.scholion.core.score.Marks.f;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.Faulty;
import org.scholion.core.item.FormulaItem;
import org.scholion.core.item.Head;
import org.scholion.core.item.WorkingItem;
import org.scholion.core.number.Fraction;
import org.scholion.core.reason.Words;

class MathsTest {
    private static FormulaItem formula(FormulaItem.Form form, String... accept) {
        return new FormulaItem(
                Head.of("q", f("2")), List.of(accept), List.of("x"), List.of(), List.of(), form, Fraction.HALF);
    }

    private static Mark formula(FormulaItem.Form form, String accept, Answer answer) {
        return Scorer.of(formula(form, accept)).score(answer);
    }

    private static WorkingItem working(boolean followThrough, String start, String... accept) {
        return new WorkingItem(
                Head.of("q", f("4")),
                start,
                List.of(accept),
                List.of("x"),
                Fraction.HALF,
                Fraction.HALF,
                followThrough);
    }

    private static Mark work(WorkingItem item, String... lines) {
        return Scorer.of(item).score(new Answer.Lines(List.of(lines)));
    }

    @ParameterizedTest(name = "{0}: {1} {2}")
    @CsvSource(
            delimiter = '|',
            value = {
                "x² + 2x + 1 | SCORED | 1 | equal to “x^2 + 2x + 1”",
                "(x+1)² | SCORED | 1/2 | equal to “x^2 + 2x + 1”, but not multiplied out: 1/2 of the credit",
                "x² + 1 | SCORED | 0 | not equal to “x^2 + 2x + 1”: for x = 2 it is 5, not 9",
                "x² + | SETTLE | 0 | cannot be read as mathematics (something is missing); a teacher decides",
                "'  ' | BLANK | 0 | no answer",
                "9^9^9^9 | SETTLE | 0 | could not be compared with “x^2 + 2x + 1” (a power is too high); a teacher decides",
            })
    void a_formula_is_judged_by_value_then_by_form_and_never_wrong_when_undecided(
            String typed, State state, String credit, String because) {
        Mark mark = formula(FormulaItem.Form.EXPANDED, "x^2 + 2x + 1", new Answer.Typed(typed));
        assertThat(mark.state()).isEqualTo(state);
        assertThat(mark.credit()).isEqualTo(f(credit.equals("1/2") ? "0.5" : credit));
        assertThat(Words.english(mark.reason())).isEqualTo(because.replace("1/2 of", "½ of"));
    }

    @Test
    void an_inequality_is_told_apart_by_a_point_that_should_or_should_not_solve_it() {
        assertThat(Words.english(formula(FormulaItem.Form.ANY, "x >= 3", new Answer.Typed("x > 3"))
                        .reason()))
                .isEqualTo("not equal to “x >= 3”: x = 3 should be a solution");
        assertThat(Words.english(formula(FormulaItem.Form.ANY, "x > 3", new Answer.Typed("x ≥ 3"))
                        .reason()))
                .isEqualTo("not equal to “x > 3”: x = 3 should not be a solution");
    }

    @Test
    void words_are_no_products_of_letters_and_wait_for_a_person() {
        assertThat(formula(FormulaItem.Form.ANY, "x + 1", new Answer.Typed("x plus one"))
                        .state())
                .isEqualTo(State.SETTLE);
        assertThat(formula(FormulaItem.Form.ANY, "x + 1", new Answer.Typed("a + b"))
                        .credit())
                .isEqualTo(Fraction.ZERO);
        WorkingItem undeclared = new WorkingItem(
                Head.of("q", f("4")), "2t = 4", List.of("t = 2"), List.of(), Fraction.HALF, Fraction.HALF, false);
        assertThat(Words.english(work(undeclared, "t = about 2").reason()))
                .isEqualTo("line 1 cannot be read as mathematics (unknown word “about”); a teacher decides");
        assertThat(work(undeclared, "T = 2").credit()).isEqualTo(Fraction.ONE);
    }

    @Test
    void of_several_accepted_formulas_any_will_do() {
        Scorer scorer = Scorer.of(formula(FormulaItem.Form.ANY, "x + 1", "2x"));
        assertThat(scorer.score(new Answer.Typed("x·2")).credit()).isEqualTo(Fraction.ONE);
        assertThat(scorer.score(new Answer.Typed("x·3")).credit()).isEqualTo(Fraction.ZERO);
    }

    @Test
    void a_key_that_is_no_mathematics_is_refused_where_it_stands() {
        assertThatThrownBy(() -> Scorer.of(formula(FormulaItem.Form.ANY, "x + 1", "x +")))
                .isInstanceOfSatisfying(Faulty.class, e -> assertThat(e.place()).isEqualTo("accept[1]"));
        assertThatThrownBy(() -> Scorer.of(working(false, "x = = 2", "x = 2")))
                .isInstanceOfSatisfying(Faulty.class, e -> assertThat(e.place()).isEqualTo("start"));
        assertThatThrownBy(() -> new WorkingItem(
                        Head.of("q", f("1")), "x = 1", List.of("x = 1"), List.of(), f("0.6"), f("0.5"), false))
                .hasMessage("steps 0.6 and result 0.5 are more than 1 together");
    }

    @Test
    void right_lines_and_the_end_earn_their_shares() {
        Mark mark = work(working(false, "2(x+3) = 10", "x = 2"), "2x + 6 = 10", "", "2x = 4", "x = 2");
        assertThat(mark.credit()).isEqualTo(Fraction.ONE);
        assertThat(Words.english(mark.reason())).isEqualTo("3 of 3 lines right; reaches “x = 2”: credit ½ + ½ × 3/3");
        Mark unfinished = work(working(false, "2(x+3) = 10", "x = 2"), "2x + 6 = 10", "2x = 4");
        assertThat(unfinished.credit()).isEqualTo(Fraction.HALF);
    }

    @Test
    void the_first_wrong_line_is_named_with_what_went_wrong() {
        Mark mark = work(working(false, "2(x-3) = 10", "x = 8"), "2x + 6 = 10", "2x = 4", "x = 2");
        assertThat(mark.credit()).isEqualTo(Fraction.ZERO);
        assertThat(Words.english(mark.reason()))
                .isEqualTo(
                        "0 of 3 lines right; line 1 is the first wrong one (a sign has changed: right would be 2*x - 6 = 10); does not reach an accepted final line: credit 0 + ½ × 0/3");
    }

    @Test
    void with_follow_through_lines_after_a_wrong_one_are_judged_against_it() {
        Mark mark = work(working(true, "2(x-3) = 10", "x = 8"), "2x + 6 = 10", "2x = 4", "x = 2");
        assertThat(mark.credit()).isEqualTo(f("1/3"));
    }

    @Test
    void after_a_wrong_line_a_line_may_come_back_to_the_last_right_one() {
        Mark mark = work(working(false, "x² = 2x", "x = 0 or x = 2"), "x = 2", "x(x - 2) = 0", "x = 0 or x = 2");
        assertThat(mark.credit()).isEqualTo(f("5/6"));
        assertThat(Words.english(mark.reason())).contains("divided by what is 0 for x = 0");
    }

    @Test
    void expressions_keep_their_value_from_line_to_line_and_may_stand_in_chains() {
        WorkingItem item = working(false, "2(x+3) - x", "x + 6");
        assertThat(work(item, "2x + 6 - x", "x + 6").credit()).isEqualTo(Fraction.ONE);
        assertThat(work(item, "2(x+3) - x = 2x + 6 - x", "= x + 6").credit()).isEqualTo(Fraction.ONE);
        assertThat(work(item, "2x + 3 - x", "x + 6").credit()).isEqualTo(f("0.75"));
    }

    @Test
    void an_end_has_to_look_like_the_accepted_one() {
        WorkingItem item = working(false, "2x = 4", "x = 2");
        assertThat(work(item, "4x = 8").credit()).isEqualTo(Fraction.HALF);
        assertThat(work(item, "2 = x").credit()).isEqualTo(Fraction.ONE);
    }

    @Test
    void what_cannot_be_read_or_decided_waits_for_a_person_and_names_the_line() {
        WorkingItem item = working(false, "2x = 4", "x = 2");
        Mark unreadable = work(item, "x = 2", "x = = 2");
        assertThat(unreadable.state()).isEqualTo(State.SETTLE);
        assertThat(Words.english(unreadable.reason())).startsWith("line 2 cannot be read as mathematics");
        assertThat(work(item, "9^9^9^9 x = 1").state()).isEqualTo(State.SETTLE);
        assertThat(work(item, " ", "").state()).isEqualTo(State.BLANK);
    }
}
