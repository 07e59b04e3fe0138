package org.scholion.core.text;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class AlikeTest {
    @Test
    void texts_with_the_same_words_stand_next_to_each_other() {
        List<String> texts = List.of(
                "The moon pulls the water.",
                "I do not know.",
                "the MOON pulls, the water!",
                "Springs come at new and full moon.",
                "i don't know",
                "At new and full moon come springs");
        List<Integer> order = Alike.order(texts);
        assertThat(order).containsExactlyInAnyOrder(0, 1, 2, 3, 4, 5);
        for (List<Integer> pair : List.of(List.of(0, 2), List.of(3, 5), List.of(1, 4))) {
            assertThat(Math.abs(order.indexOf(pair.get(0)) - order.indexOf(pair.get(1))))
                    .as("%s in %s", pair, order)
                    .isEqualTo(1);
        }
    }

    @Test
    void nothing_comes_twice_or_is_lost_and_equal_texts_keep_their_order() {
        assertThat(Alike.order(List.of())).isEmpty();
        assertThat(Alike.order(List.of("", " ", ""))).containsExactly(0, 1, 2);
        Random random = new Random(7);
        for (int round = 0; round < 50; round++) {
            List<String> texts = new ArrayList<>();
            for (int i = 0; i < 1 + random.nextInt(40); i++) {
                texts.add("w" + random.nextInt(6) + " w" + random.nextInt(6));
            }
            List<Integer> order = Alike.order(texts);
            assertThat(order)
                    .containsExactlyInAnyOrderElementsOf(
                            IntStream.range(0, texts.size()).boxed().toList());
            assertThat(Alike.order(texts)).isEqualTo(order);
        }
    }

    @Test
    void those_most_like_a_text_come_first_and_neither_itself_nor_any_that_does_not_come_into_question() {
        AlikePile pile = new AlikePile(List.of(
                "slack water then fast",
                "slack water then slow",
                "SLACK water, then fast!",
                "the moon",
                "slack water"));
        assertThat(pile.nearest(0, 0.5, i -> true, 9))
                .extracting(AlikePile.Near::text)
                .containsExactly(2, 1, 4);
        assertThat(pile.nearest(0, 0.5, i -> true, 9).get(0).likeness()).isEqualTo(1);
        assertThat(pile.nearest(0, 0.5, i -> true, 9).get(1).likeness()).isEqualTo(3.0 / 5);
        assertThat(pile.nearest(0, 0.5, i -> i != 2, 1))
                .extracting(AlikePile.Near::text)
                .containsExactly(1);
        assertThat(pile.nearest(3, 0.5, i -> true, 9)).isEmpty();
    }
}
