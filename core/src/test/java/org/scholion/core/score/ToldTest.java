package org.scholion.core.score;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.scholion.core.answer.Answer;
import org.scholion.core.answer.Laid;
import org.scholion.core.answer.Told;
import org.scholion.core.item.BlanksItem;
import org.scholion.core.item.ChoiceItem;
import org.scholion.core.item.Head;
import org.scholion.core.item.Named;
import org.scholion.core.item.OrderItem;
import org.scholion.core.item.PairsItem;
import org.scholion.core.item.SpotItem;
import org.scholion.core.number.Fraction;

/** Answers and keys are told in the item's words, never in its ids. */
class ToldTest {
    private static final Head HEAD = Head.of("q", Fraction.of(2));
    private static final List<Named> STEPS = List.of(new Named("s1", "anchor"), new Named("s2", "furl"));
    private static final OrderItem ORDER = new OrderItem(HEAD, STEPS, List.of("s2", "s1"), OrderItem.Rule.PLACES);

    private static ChoiceItem choice(String id, int max) {
        List<ChoiceItem.Option> options = List.of(
                new ChoiceItem.Option("a", "ebb"), new ChoiceItem.Option("b", "flood"), new ChoiceItem.Option("c", ""));
        return new ChoiceItem(
                Head.of(id, Fraction.ONE),
                options,
                List.of("a", "b"),
                max,
                ChoiceItem.Rule.EXACT,
                Map.of(),
                Fraction.ZERO,
                false,
                false);
    }

    @Test
    void options_are_told_by_their_text_and_by_their_letter_where_they_have_none() {
        assertThat(Told.in(choice("q", 3), Answer.Chosen.of("c", "a"))).isEqualTo("ebb + c");
    }

    @Test
    void steps_are_told_by_their_text_and_one_that_is_no_longer_there_by_its_id() {
        assertThat(Told.in(ORDER, new Answer.Ordered(List.of("s2", "gone")))).isEqualTo("furl › gone");
    }

    @Test
    void pairs_are_told_as_what_belongs_to_what() {
        PairsItem.Pair pair = new PairsItem.Pair("s1", "r1");
        PairsItem pairs =
                new PairsItem(HEAD, STEPS, List.of(new Named("r1", "last")), List.of(pair), PairsItem.Rule.EACH, 1, 1);
        assertThat(Told.in(pairs, new Answer.Paired(Set.of(pair)))).isEqualTo("anchor → last");
    }

    @Test
    void places_are_told_in_hundredths_of_the_picture() {
        SpotItem.Point point = new SpotItem.Point(Fraction.HALF, Fraction.exactly("1/8"));
        assertThat(Told.in(ORDER, new Answer.Pointed(List.of(point)))).isEqualTo("50%, 13%");
    }

    @Test
    void blanks_are_told_each_in_its_own_words_and_in_the_order_of_the_sentence() {
        BlanksItem blanks = new BlanksItem(
                HEAD,
                List.of(
                        new BlanksItem.Part(choice("b1", 1), Fraction.ONE),
                        new BlanksItem.Part(choice("b2", 1), Fraction.ONE)),
                false,
                List.of());
        Answer both = new Answer.Parts(Map.of("b2", Answer.Chosen.of("a"), "b1", Answer.Chosen.of("b")));
        assertThat(Told.in(blanks, both)).isEqualTo("flood · ebb");
        assertThat(Told.in(blanks, new Answer.Parts(Map.of("b2", Answer.Chosen.of("a")))))
                .isEqualTo("ebb");
    }

    @Test
    void a_key_says_whether_one_of_several_is_enough_or_all_are_needed() {
        assertThat(RightAnswer.inWords(choice("q", 1))).contains("ebb or flood");
        assertThat(RightAnswer.inWords(choice("q", 3))).contains("ebb + flood");
        assertThat(RightAnswer.inWords(ORDER)).contains("furl › anchor");
    }

    @Test
    void blanks_are_laid_out_in_their_sentence_and_what_has_no_place_stands_after_it() {
        BlanksItem blanks = new BlanksItem(
                new Head("q", null, Fraction.ONE, "The {b1} runs to the [b2].", List.of()),
                List.of(part("b1"), part("b2"), part("b3")),
                false,
                List.of());
        Laid laid =
                Laid.out(blanks, new Answer.Parts(Map.of("b1", Answer.Chosen.of("a"), "b3", Answer.Chosen.of("b"))));
        assertThat(laid.shape()).isEqualTo(Laid.Shape.SENTENCE);
        assertThat(laid.pieces())
                .containsExactly(
                        new Laid.Piece("The ", "ebb", true),
                        new Laid.Piece(" runs to the ", "", true),
                        new Laid.Piece(".", "", false),
                        new Laid.Piece(" ", "flood", true));
    }

    private static BlanksItem.Part part(String id) {
        return new BlanksItem.Part(choice(id, 1), Fraction.ONE);
    }

    @Test
    void pairs_steps_and_lines_are_laid_out_one_by_one_and_places_as_shares_of_the_picture() {
        PairsItem.Pair pair = new PairsItem.Pair("s1", "r1");
        PairsItem pairs =
                new PairsItem(HEAD, STEPS, List.of(new Named("r1", "last")), List.of(pair), PairsItem.Rule.EACH, 1, 1);
        assertThat(Laid.out(pairs, new Answer.Paired(Set.of(pair))).pieces())
                .containsExactly(new Laid.Piece("anchor", "last", true));
        assertThat(Laid.out(ORDER, new Answer.Ordered(List.of("s2", "s1"))).pieces())
                .extracting(Laid.Piece::said)
                .containsExactly("furl", "anchor");
        assertThat(Laid.out(ORDER, new Answer.Lines(List.of("2x = 4", "x = 2"))).shape())
                .isEqualTo(Laid.Shape.LINES);
        Answer shown = new Answer.Pointed(List.of(new SpotItem.Point(Fraction.of(1, 3), Fraction.of(1, 2))));
        assertThat(Laid.out(ORDER, shown).pieces()).containsExactly(new Laid.Piece("0.3333", "0.5", true));
    }
}
