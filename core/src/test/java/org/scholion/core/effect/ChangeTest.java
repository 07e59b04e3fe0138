package org.scholion.core.effect;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.scholion.core.score.Marks.f;

import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.ChoiceItem;
import org.scholion.core.item.Head;
import org.scholion.core.item.Item;
import org.scholion.core.number.Fraction;
import org.scholion.core.total.Adjustment;
import org.scholion.core.total.Assessment;
import org.scholion.core.total.Grading;

class ChangeTest {
    private static final Grading GRADING = new Grading(
            1,
            false,
            null,
            List.of(),
            Grading.Attempts.BEST,
            List.of(new Grading.Band(f("70"), "Secure", null)),
            f("50"));

    private static Item choice(String id, String... key) {
        return new ChoiceItem(
                Head.of(id, Fraction.ONE),
                List.of("a", "b", "c").stream()
                        .map(o -> new ChoiceItem.Option(o, ""))
                        .toList(),
                List.of(key),
                1,
                ChoiceItem.Rule.EXACT,
                Map.of(),
                Fraction.ZERO,
                false,
                false);
    }

    private static Assessment paper(Adjustment drop, Item... items) {
        return new Assessment(
                "Tides", "en", List.of(), List.of(items), drop == null ? List.of() : List.of(drop), GRADING);
    }

    private static Change.Sat sat(String student, String first, String second) {
        return Change.Sat.of(student, Map.of("q1", Answer.Chosen.of(first), "q2", Answer.Chosen.of(second)));
    }

    private static final List<Change.Sat> FOUR =
            List.of(sat("Ines", "a", "b"), sat("Oke", "b", "b"), sat("Piet", "b", "c"), sat("Rana", "a", "a"));

    @Test
    void a_changed_key_shows_marks_students_bounds_and_measures_before_and_after() {
        Change change = Change.between(
                paper(null, choice("q1", "a"), choice("q2", "b")),
                paper(null, choice("q1", "a", "b"), choice("q2", "b")),
                FOUR);
        assertThat(change.marks()).extracting(Change.MarkMove::student).containsExactly("Oke", "Piet");
        assertThat(change.marks().get(0).before().credit()).isEqualTo(Fraction.ZERO);
        assertThat(change.marks().get(0).after().credit()).isEqualTo(Fraction.ONE);
        assertThat(change.students().moves()).extracting(Effect.Move::student).containsExactly("Oke", "Piet");
        Effect.Move oke = change.students().moves().get(0);
        assertThat(oke.before().percent()).isEqualTo(f("50"));
        assertThat(oke.after().percent()).isEqualTo(f("100"));
        assertThat(oke.changesBand()).isTrue();
        assertThat(oke.crossesPass()).isFalse();
        assertThat(change.students().moves().get(1).crossesPass()).isTrue();
        assertThat(change.before().items().get(0).difficulty().value()).isEqualTo(0.5);
        assertThat(change.after().items().get(0).difficulty().value()).isEqualTo(1.0);
        assertThat(change.before().test().mean().value()).isCloseTo(1.0, within(1e-12));
        assertThat(change.after().test().mean().value()).isCloseTo(1.5, within(1e-12));
    }

    @Test
    void dropping_an_item_moves_results_but_no_mark() {
        Change change = Change.between(
                paper(null, choice("q1", "a"), choice("q2", "b")),
                paper(new Adjustment("q2", Adjustment.Kind.DROP), choice("q1", "a"), choice("q2", "b")),
                FOUR);
        assertThat(change.marks()).isEmpty();
        assertThat(change.students().moves()).extracting(Effect.Move::student).containsExactly("Ines", "Oke", "Rana");
        assertThat(change.after().test().mean().value()).isEqualTo(0.5);
    }

    @Test
    void an_item_that_only_one_edition_has_moves_every_mark_of_it() {
        Change change =
                Change.between(paper(null, choice("q1", "a")), paper(null, choice("q1", "a"), choice("q2", "b")), FOUR);
        assertThat(change.marks()).hasSize(4).allSatisfy(m -> {
            assertThat(m.item()).isEqualTo("q2");
            assertThat(m.before()).isNull();
        });
    }

    @Test
    void of_several_attempts_the_counting_one_stands_for_the_student() {
        Change.Sat second =
                new Change.Sat("Piet", 2, sat("Piet", "a", "b").answers(), Fraction.ZERO, java.util.Set.of());
        Change change = Change.between(
                paper(null, choice("q1", "a"), choice("q2", "b")),
                paper(null, choice("q1", "c"), choice("q2", "b")),
                List.of(sat("Piet", "b", "c"), second));
        assertThat(change.students().students()).isEqualTo(1);
        assertThat(change.students().moves().get(0).before().percent()).isEqualTo(f("100"));
        assertThat(change.before().test().n()).isEqualTo(1);
        assertThat(change.before().test().mean().value()).isEqualTo(2.0);
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5})
    void there_and_back_again_is_no_change_and_the_reverse_moves_the_other_way(int seed) {
        Random random = new Random(seed);
        List<Change.Sat> sat = IntStream.range(0, 30)
                .mapToObj(i -> sat("s" + i, "abc".charAt(random.nextInt(3)) + "", "abc".charAt(random.nextInt(3)) + ""))
                .toList();
        Assessment one = paper(null, choice("q1", "a"), choice("q2", "b"));
        Assessment other =
                paper(new Adjustment("q1", Adjustment.Kind.CREDIT_ALL), choice("q1", "b"), choice("q2", "b", "c"));
        assertThat(Change.between(one, one, sat).marks()).isEmpty();
        assertThat(Change.between(one, one, sat).students().moves()).isEmpty();
        Change there = Change.between(one, other, sat);
        Change back = Change.between(other, one, sat);
        assertThat(back.marks()).hasSameSizeAs(there.marks());
        assertThat(back.students().up()).isEqualTo(there.students().down());
        assertThat(back.before()).isEqualTo(there.after());
    }
}
