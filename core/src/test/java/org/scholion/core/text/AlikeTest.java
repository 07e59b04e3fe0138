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
}
