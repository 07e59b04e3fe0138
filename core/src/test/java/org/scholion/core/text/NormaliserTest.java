package org.scholion.core.text;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class NormaliserTest {
    private static final String LETTERS = "aAéÉ ßıſµ½ﬁ-/.,:'’´“”\u2014\u00A0\u3000e\u0065Åµ😀٣5øðがйи\u0306\u0301";

    @Test
    void normalising_twice_changes_nothing_more() {
        Random random = new Random(5);
        for (int i = 0; i < 5_000; i++) {
            Normaliser n = new Normaliser(
                    random.nextBoolean(), random.nextBoolean(), random.nextBoolean(), random.nextBoolean(), List.of());
            // A mark that goes may leave a letter before a number's dash or an accent: that alone is decided once.
            String text = n.ignoreMarks() ? some(random).replaceAll("[½5٣´\\p{Mn}]", "") : some(random);
            String once = n.apply(text);
            assertThat(n.apply(once)).as("%s", n).isEqualTo(once);
        }
    }

    private static String some(Random random) {
        int[] all = LETTERS.codePoints().toArray();
        StringBuilder out = new StringBuilder();
        for (int k = random.nextInt(12); k > 0; k--) {
            out.appendCodePoint(all[random.nextInt(all.length)]);
        }
        return out.toString();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "3.5|3.5",
                "1,200|1,200",
                "9:30|9:30",
                "1/2|1/2",
                "½|1/2",
                "1914–18|1914-18",
                "-5|-5",
                "(−5)|-5",
                "x-5|x 5",
                "e.g.|eg",
                "5.|5",
                ".5|5",
                "well-known|well known",
                "and/or|and or",
                "a - 5|a 5",
                "3, 4|3 4"
            })
    void marks_of_a_number_stay_and_others_go(String text, String form) {
        assertThat(new Normaliser(false, false, true, true, List.of()).apply(text))
                .isEqualTo(form);
    }

    @ParameterizedTest
    @CsvSource({
        "café, cafe",
        "ΐ, ι",
        "が, が",
        "й, й",
        "हिन्दी, हिन्दी",
        "Ørsted, Orsted",
        "Łódź, Lodz",
        "œuvre, oeuvre",
        "smørrebrød, smorrebrod",
        "Đà Nẵng, Da Nang",
        "Þór, THor",
        "ısı, isi",
        "ǽ, ae"
    })
    void accents_go_only_where_they_are_accents(String text, String form) {
        assertThat(new Normaliser(true, false, false, false, List.of()).apply(text))
                .isEqualTo(java.text.Normalizer.normalize(form, java.text.Normalizer.Form.NFC));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "it`s|it's",
                "it´s|it's",
                "it\u02BCs|it's",
                "it’s|it's",
                "«so»|\"so\"",
                "half\u00ADway|halfway",
                "\uFEFFknot\u200B|knot",
                "a\u2044b|a/b",
                "ｋｎｏｔ|knot"
            })
    void what_nobody_sees_or_tells_apart_makes_no_difference(String text, String form) {
        assertThat(new Normaliser(false, false, false, false, List.of()).apply(text))
                .isEqualTo(form);
    }

    @ParameterizedTest
    @CsvSource({
        "a{3}, 3",
        "(a{3}){4}, 12",
        "a{3}b{4}, 4",
        "(a{2}|b{5}){3}, 15",
        "'[{9}]{2}', 2",
        "'\\{9}', 1",
        "a{2}{3}, 6",
        "'(a{2,}){3}', 6",
        "x, 1"
    })
    void nested_counted_repeats_multiply(String pattern, int product) {
        assertThat(SafePattern.nestedRepeats(pattern)).isEqualTo(product);
    }

    @Test
    void words_are_runs_of_letters_marks_and_digits() {
        assertThat(WordRuns.of("Don't fix 3.5 m-lines, naïve e\u0301té!"))
                .containsExactly("Don", "t", "fix", "3", "5", "m", "lines", "naïve", "e\u0301té");
    }

    @org.junit.jupiter.params.ParameterizedTest
    @org.junit.jupiter.params.provider.ValueSource(ints = {1, 2, 3, 4})
    void the_short_way_of_plain_texts_comes_to_what_the_six_steps_come_to(int seed) {
        java.util.Random random = new java.util.Random(seed);
        String signs = "aAbZ  \t-/.,:'`\"$+_925the an";
        for (int i = 0; i < 3000; i++) {
            StringBuilder text = new StringBuilder();
            for (int n = random.nextInt(9); n > 0; n--) {
                text.append(signs.charAt(random.nextInt(signs.length())));
            }
            Normaliser rules = new Normaliser(
                    random.nextBoolean(),
                    random.nextBoolean(),
                    random.nextBoolean(),
                    random.nextBoolean(),
                    random.nextBoolean() ? Normaliser.articlesOf("en") : java.util.List.of());
            String form = rules.inFull(text.toString());
            assertThat(rules.apply(text.toString()))
                    .as("'%s' by %s", text, rules)
                    .isEqualTo(form);
        }
    }
}
