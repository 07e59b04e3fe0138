package org.scholion.core.text;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class ProposedTest {
    @Test
    void what_all_have_stands_as_it_is_and_what_differs_becomes_a_choice() {
        assertThat(Proposed.pattern(List.of("bow line", "bow-line", "bowline"))).isEqualTo("bow( |\\-)?line");
        assertThat(Proposed.pattern(List.of("a bowline", "a bowlines"))).isEqualTo("a bowlines?");
        assertThat(Proposed.pattern(List.of("reef knot", "square knot"))).isEqualTo("(reef|square) knot");
        assertThat(Proposed.pattern(List.of("ebb", "flood"))).isEqualTo("(ebb|flood)");
        assertThat(Proposed.pattern(List.of("3.5"))).isEqualTo("3\\.5");
        assertThat(Proposed.pattern(List.of())).isEmpty();
    }

    @Test
    void a_proposed_pattern_matches_every_text_that_it_was_made_of() {
        Random random = new Random(15);
        String[] bits = {"bow", "line", " ", "-", "a", "knot", "(", "+", "ü", "𝕏", ".", "\\", "bo", "ne"};
        for (int i = 0; i < 3_000; i++) {
            List<String> texts = new ArrayList<>();
            for (int n = 1 + random.nextInt(5); n > 0; n--) {
                StringBuilder text = new StringBuilder();
                for (int k = random.nextInt(6); k >= 0; k--) {
                    text.append(bits[random.nextInt(bits.length)]);
                }
                texts.add(text.toString());
            }
            String pattern = Proposed.pattern(texts);
            SafePattern compiled = SafePattern.compile(pattern, false);
            assertThat(texts).as(pattern).allMatch(compiled::matches);
        }
    }

    @Test
    void the_words_are_the_longest_run_that_all_have_as_neighbours() {
        assertThat(Proposed.words(List.of("a bow line hitch", "the bow line", "bow line, double")))
                .isEqualTo("bow line");
        assertThat(Proposed.words(List.of("line bow", "bow line"))).isEqualTo("line");
        assertThat(Proposed.words(List.of("ebb", "flood"))).isEmpty();
        assertThat(Proposed.words(List.of())).isEmpty();
    }
}
