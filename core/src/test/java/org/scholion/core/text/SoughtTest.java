package org.scholion.core.text;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.Test;

class SoughtTest {
    private static final UnaryOperator<String> WITHOUT_S = w -> w.endsWith("s") ? w.substring(0, w.length() - 1) : w;
    private static final String SAID = "Rig the slip lines, then a fender. Slip line? FENDER!";

    private static List<String> found(String... sought) {
        return Sought.in(SAID, List.of(sought), WITHOUT_S).stream()
                .map(f -> f.word()
                        + f.places().stream()
                                .map(p -> (p.exact() ? " =" : " ~") + SAID.substring(p.from(), p.to()))
                                .toList())
                .toList();
    }

    @Test
    void words_and_phrases_are_found_in_every_form_and_it_is_told_which_is_the_word_itself() {
        assertThat(found("fenders", "slip line", "spring"))
                .containsExactly("fenders[ ~fender,  ~FENDER]", "slip line[ ~slip lines,  =Slip line]", "spring[]");
    }

    @Test
    void only_whole_words_in_their_order_are_found_and_what_has_no_word_finds_nothing() {
        assertThat(found("line slip", "fend", "!", "")).containsExactly("line slip[]", "fend[]", "![]", "[]");
    }
}
