package org.scholion.formats.bringin;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Names of people in any script, and what is none. */
class PersonWordsTest {
    @ParameterizedTest
    @ValueSource(
            strings = {
                "Zofia",
                "O’Hare",
                "O'Hare",
                "van der Meer",
                "Łukasz",
                "Đặng Thị",
                "田中",
                "مريم",
                "Ana-María",
                "J. R.",
                "Mary (May)",
                "Noor 2"
            })
    void what_people_are_called_is_taken(String name) {
        assertThat(PersonWords.name(name)).isEmpty();
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "  ", "-", "1234", "<b>Ann</b>", "=cmd()", "Ann\nBo", "@ann", "Ann\u0007", "Ann; Bo"})
    void what_is_no_name_is_said_to_be_none(String name) {
        assertThat(PersonWords.name(name)).isPresent();
    }

    @Test
    void names_have_a_sensible_length() {
        assertThat(PersonWords.name("x".repeat(80))).isEmpty();
        assertThat(PersonWords.name("x".repeat(81)))
                .hasValueSatisfying(w -> assertThat(w).contains("81 characters").contains("80"));
        assertThat(PersonWords.section("x".repeat(81))).isPresent();
        assertThat(PersonWords.number("x".repeat(40))).isEmpty();
        assertThat(PersonWords.number("x".repeat(41))).isPresent();
    }

    @Test
    void numbers_and_addresses_are_what_they_should_be() {
        assertThat(PersonWords.number("40-200/B")).isEmpty();
        assertThat(PersonWords.number("=40200")).isPresent();
        assertThat(PersonWords.email("a@b.example")).isEmpty();
        assertThat(PersonWords.email("")).isEmpty();
        assertThat(PersonWords.email("a b@c")).isPresent();
        assertThat(PersonWords.email("a@b@c")).isPresent();
        assertThat(PersonWords.email("x".repeat(250) + "@b.example")).isPresent();
    }

    @Test
    void two_names_are_one_however_their_letters_are_written() {
        assertThat(PersonWords.isSame("Zoë  Lund", "zoe\u0308 lund ")).isTrue();
        assertThat(PersonWords.isSame("Zoe Lund", "Zoë Lund")).isFalse();
    }
}
