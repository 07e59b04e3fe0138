package org.scholion.core.text;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;

class SameSentencesTest {
    private static final List<String> PILE = List.of(
            "The tide falls fastest in the third hour. Then it slows. It is 3.2 m deep.",
            "First a word of mine.\nthe tide falls FASTEST, in the third hour!\nThen it slows.",
            "The tide falls fastest in the fourth hour.");

    @Test
    void a_sentence_of_six_words_or_more_is_found_in_another_text_whatever_its_signs_and_capitals() {
        List<SameSentences.Same> same = new SameSentences(PILE).of(0, 9);
        assertThat(same).hasSize(1);
        assertThat(same.get(0).own().of(PILE.get(0))).isEqualTo("The tide falls fastest in the third hour.");
        assertThat(same.get(0).other()).isOne();
        assertThat(same.get(0).there().of(PILE.get(1))).isEqualTo("the tide falls FASTEST, in the third hour!");
    }

    @Test
    void what_a_text_says_twice_itself_is_no_other_text_and_no_more_come_than_were_asked_for() {
        String twice = "It runs out through the narrow mouth. It runs out through the narrow mouth.";
        assertThat(new SameSentences(List.of(twice)).of(0, 9)).isEmpty();
        assertThat(new SameSentences(List.of(twice, twice)).of(0, 9)).hasSize(2);
        assertThat(new SameSentences(List.of(twice, twice)).of(0, 1)).hasSize(1);
        assertThat(new SameSentences(List.of("", twice)).of(0, 9)).isEmpty();
    }

    @Test
    void a_sentence_ends_with_its_sign_or_its_line_and_not_within_a_number() {
        assertThat(SameSentences.sentences(" It is 3.2 m. And then?  \n\n So ").stream()
                        .map(s -> s.of(" It is 3.2 m. And then?  \n\n So "))
                        .toList())
                .containsExactly("It is 3.2 m.", "And then?", "So");
    }

    @Test
    void five_words_are_written_by_many_and_six_are_the_fewest_that_are_pointed_out() {
        assertThat(new SameSentences(List.of("It runs out of there.", "It runs out of there.")).of(0, 9))
                .isEmpty();
        assertThat(new SameSentences(List.of("It runs out of there fast.", "It runs out of there fast.")).of(0, 9))
                .hasSize(1);
    }
}
