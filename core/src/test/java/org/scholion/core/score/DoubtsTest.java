package org.scholion.core.score;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.EnumSet;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.Head;
import org.scholion.core.item.TextItem;
import org.scholion.core.number.Fraction;
import org.scholion.core.text.Letters;

class DoubtsTest {
    private static final TextItem KNOT = new TextItem(
            Head.of("q", Fraction.ONE),
            List.of(
                    new TextItem.SameText("bowline", Fraction.ONE, null),
                    new TextItem.SameText("sheet bend", Fraction.ONE, null)),
            List.of(new TextItem.Rejected("bow", null)),
            Fraction.ZERO,
            EnumSet.of(TextItem.Ignore.CASE, TextItem.Ignore.SPACE),
            TextItem.Spelling.NONE,
            Fraction.ONE,
            false,
            "en");

    private static List<Doubts.Group<String>> groups(String... answers) {
        return Doubts.of(KNOT, Scorer.of(KNOT), List.of(answers), Answer.Typed::new);
    }

    @Test
    void equal_answers_are_one_group_and_the_largest_comes_first() {
        List<Doubts.Group<String>> groups = groups("knot", "Bowlin", "bowlin ", "hitch", "BOWLIN");
        assertThat(groups).extracting(Doubts.Group::form).containsExactly("bowlin", "knot", "hitch");
        assertThat(groups.get(0).waiting()).containsExactly("Bowlin", "bowlin ", "BOWLIN");
    }

    @Test
    void suggestions_name_what_an_answer_holds_then_what_is_nearest_with_the_differing_letters() {
        List<Likeness> like = groups("a bowline on the bight").get(0).like();
        assertThat(like.get(0).listed()).isEqualTo("bowline");
        assertThat(like.get(0).holds()).isTrue();
        List<Likeness> near = groups("bowlnie").get(0).like();
        assertThat(near.get(0).listed()).isEqualTo("bowline");
        assertThat(near.get(0).distance()).isEqualTo(1);
        assertThat(near.get(0).letters())
                .containsExactly(
                        new Letters.Stretch("bowl", true),
                        new Letters.Stretch("in", false),
                        new Letters.Stretch("e", true));
        assertThat(groups("tide").get(0).like()).isEmpty();
    }

    @Test
    void a_rejected_text_is_suggested_as_such() {
        assertThat(groups("bowe").get(0).like()).anySatisfy(l -> {
            assertThat(l.listed()).isEqualTo("bow");
            assertThat(l.accepted()).isFalse();
        });
    }

    @ParameterizedTest(name = "{0} beside {1}: {2}")
    @CsvSource({
        "ebb, ebb, ebb",
        "ebb, eb, e[b]b",
        "flood, fluid, fl[oo]d",
        "tide, , [tide]",
        "springs, spirngs, sp[ri]ngs",
        "neap, heap, [n]eap"
    })
    void letters_that_the_other_text_has_otherwise_are_marked(String text, String other, String marked) {
        assertThat(Letters.marked(text, other == null ? "" : other).stream()
                        .map(s -> s.same() ? s.text() : "[" + s.text() + "]")
                        .collect(Collectors.joining()))
                .isEqualTo(marked);
    }

    @Test
    void answers_a_few_letters_apart_stand_behind_the_largest_of_them_with_the_differing_letters_marked() {
        List<Doubts.Group<String>> groups =
                groups("anchor hitch", "tide", "anchor hitch", "anchor hich", "tide", "tide", "tode", "ankor hitch");
        assertThat(groups)
                .extracting(Doubts.Group::form)
                .containsExactly("tide", "tode", "anchor hitch", "anchor hich", "ankor hitch");
        assertThat(groups.get(0).letters()).isEmpty();
        assertThat(groups.get(1).letters())
                .containsExactly(
                        new Letters.Stretch("t", true),
                        new Letters.Stretch("o", false),
                        new Letters.Stretch("de", true));
        assertThat(groups.get(2).letters()).as("it leads").isEmpty();
        assertThat(groups.get(4).letters()).extracting(Letters.Stretch::same).contains(false);
    }

    @Test
    void very_short_answers_are_near_nothing() {
        assertThat(groups("ebb", "eb", "abb")).allMatch(g -> g.letters().isEmpty());
    }

    @Test
    void of_very_many_groups_the_largest_are_compared_and_none_is_lost() {
        String[] many = IntStream.range(0, 1_000).mapToObj(i -> "answer " + i).toArray(String[]::new);
        assertThat(groups(many)).extracting(Doubts.Group::form).containsExactlyInAnyOrder(many);
    }

    @Test
    void an_answer_is_right_elsewhere_only_with_full_credit_and_never_in_its_own_question() {
        TextItem half = new TextItem(
                Head.of("q2", Fraction.ONE),
                List.of(
                        new TextItem.SameText("hitch", Fraction.ONE, null),
                        new TextItem.SameText("bowline", Fraction.of(1, 2), null)),
                List.of(),
                Fraction.ZERO,
                EnumSet.of(TextItem.Ignore.CASE),
                TextItem.Spelling.NONE,
                Fraction.ONE,
                false,
                "en");
        RightElsewhere paper = new RightElsewhere(List.of(KNOT, half), Scorer::of);
        assertThat(paper.of(KNOT, new Answer.Typed("Hitch"))).containsExactly(half);
        assertThat(paper.of(half, new Answer.Typed("sheet bend"))).containsExactly(KNOT);
        assertThat(paper.of(KNOT, new Answer.Typed("bowline"))).isEmpty();
        assertThat(paper.of(KNOT, Answer.NONE)).isEmpty();
        assertThat(paper.of(KNOT, Answer.Chosen.of("hitch"))).isEmpty();
    }
}
