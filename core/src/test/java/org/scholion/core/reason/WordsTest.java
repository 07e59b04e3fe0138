package org.scholion.core.reason;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.scholion.core.number.Fraction;

class WordsTest {
    @ParameterizedTest
    @EnumSource(Reason.Code.class)
    void every_reason_has_words_even_with_facts_missing(Reason.Code code) {
        assertThat(Words.english(Reason.of(code))).isNotBlank();
        assertThat(Words.withoutKey(Reason.of(code))).isNotBlank();
    }

    @Test
    void a_reason_without_the_key_never_tells_the_right_answer() {
        Reason choice =
                Reason.of(Reason.Code.CHOICE_OTHER).with("chosen", "South").with("key", List.of("North"));
        Reason number = Reason.of(Reason.Code.NUMBER_OUT).with("value", "5").with("entries", List.of("7 ± 1"));
        Reason slip = Reason.of(Reason.Code.TEXT_SLIP).with("entry", "bowline").with("distance", 1);
        assertThat(Words.withoutKey(choice)).isEqualTo("chose “South”, which is not right");
        assertThat(Words.withoutKey(number)).doesNotContain("7");
        assertThat(Words.withoutKey(slip)).isEqualTo("one typing slip away from an accepted answer");
    }

    @Test
    void facts_keep_their_types() {
        Reason reason = Reason.of(Reason.Code.CHOICE_CREDIT)
                .with("credit", Fraction.HALF)
                .with("chosen", List.of("a", "b"));
        assertThat(reason.amount("credit")).isEqualTo(Fraction.HALF);
        assertThat(reason.words("chosen")).containsExactly("a", "b");
        assertThat(reason.word("chosen")).isEqualTo("a, b");
    }
}
