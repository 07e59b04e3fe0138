package org.scholion.core.text;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;

class LanguageSlipsTest {
    private static final Set<String> KNOWN = Set.of(
            "the",
            "tide",
            "falls",
            "then",
            "it",
            "runs",
            "fast",
            "we",
            "slip",
            "line",
            "don't",
            "had",
            "to",
            "go",
            "and",
            "windward",
            "a",
            "of",
            "e",
            "g",
            "springs",
            "range",
            "so",
            "that",
            "because");

    private static List<String> found(String text) {
        return LanguageSlips.in(text, KNOWN::contains).stream()
                .map(s -> s.kind() + " " + text.substring(s.from(), s.to()))
                .toList();
    }

    @Test
    void a_word_that_the_dictionary_does_not_have_is_found_and_none_that_it_has() {
        assertThat(found("The tide fals fast, because of the wint.")).containsExactly("SPELLING fals", "SPELLING wint");
        assertThat(found("We don’t go.")).isEmpty();
        assertThat(found("The tide-range falls.")).as("each part is known").isEmpty();
        assertThat(found("The tide-rnge falls.")).containsExactly("SPELLING tide-rnge");
    }

    @Test
    void names_numbers_and_what_is_written_in_capitals_are_no_misspelt_words() {
        assertThat(found("The tide falls to 3.2m, then HW+3, and Halvard runs."))
                .isEmpty();
        assertThat(found("Halvrd runs."))
                .as("at the beginning it may be any word")
                .containsExactly("SPELLING Halvrd");
    }

    @Test
    void a_sentence_begins_with_a_capital_wherever_it_begins_and_so_does_the_word_i() {
        assertThat(found("the tide falls. then it runs.")).containsExactly("CAPITAL the", "CAPITAL then");
        assertThat(found("Then i go.")).containsExactly("CAPITAL i");
        assertThat(found("The range, e.g. of springs, falls."))
                .as("a shortened word ends nothing")
                .isEmpty();
        assertThat(found("It falls...then it runs."))
                .as("within a pause nothing begins")
                .isEmpty();
    }

    @Test
    void the_same_word_twice_is_found_but_not_where_english_has_it_twice() {
        assertThat(found("The the tide falls and and and runs."))
                .containsExactly("TWICE The the", "TWICE and and", "TWICE and and");
        assertThat(found("We had had to go.")).isEmpty();
        assertThat(found("It runs so so-so.")).as("a part of a word is none").containsExactly();
    }

    @Test
    void a_blank_stands_after_a_sign_and_not_before_it() {
        assertThat(found("The tide falls , then it runs.")).containsExactly("SPACE  ,");
        assertThat(found("The tide falls,then it runs.")).containsExactly("SPACE s,");
        assertThat(found("The tide falls.Then it runs.")).containsExactly("SPACE ls.");
        assertThat(found("The tide falls 3,5 to 4:30 and .5 fast.")).isEmpty();
    }

    @Test
    void what_has_the_length_of_a_sentence_ends_like_one() {
        assertThat(found("Then the tide falls")).containsExactly("END falls");
        assertThat(found("Then it runs")).as("a note of three words").isEmpty();
        assertThat(found("It runs (so the tide falls)")).isEmpty();
        assertThat(found("")).isEmpty();
        assertThat(found("   ")).isEmpty();
    }

    @Test
    void every_slip_lies_within_the_text_and_they_come_by_their_places_whatever_was_typed() {
        Random random = new Random(11);
        String signs = "aiI thé ,.!?;:'’-\n\t3…\uD83D\uDEA2";
        for (int round = 0; round < 2_000; round++) {
            StringBuilder typed = new StringBuilder();
            for (int i = random.nextInt(40); i > 0; i--) {
                typed.append(signs.charAt(random.nextInt(signs.length())));
            }
            String text = typed.toString();
            int before = 0;
            for (LanguageSlips.Slip slip : LanguageSlips.in(text, KNOWN::contains)) {
                assertThat(slip.from()).as(text).isBetween(before, slip.to() - 1);
                assertThat(slip.to()).as(text).isLessThanOrEqualTo(text.length());
                before = slip.from();
            }
        }
    }
}
