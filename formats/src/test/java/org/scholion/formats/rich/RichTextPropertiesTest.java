package org.scholion.formats.rich;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Random;
import java.util.stream.LongStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Whatever is pasted together, nothing that runs comes out, and what is clean stays clean. */
class RichTextPropertiesTest {
    private static final List<String> GOOD = List.of(
            "<p>",
            "</p>",
            "tide &amp; stream",
            "<strong>",
            "</strong>",
            "<ul><li>",
            "</li></ul>",
            "<br>",
            "<em>x</em>",
            "<span data-formula=\"x^2\"></span>",
            "<img src=\"/api/files/" + "b".repeat(64) + "\" alt=\"a buoy\">");
    private static final List<String> BAD = List.of(
            "<script>x()</script>",
            "<img src=x onerror=x()>",
            "<svg/onload=x()>",
            "<a href=\"javascript:x()\">",
            "<iframe src=\"//x\">",
            "<style>*{}</style>",
            "<object data=x>",
            "<form action=x><input>",
            "<p style=\"x\">",
            "<base href=x>",
            "<math><mtext><script>x()</script>",
            "<!--<script>x()</script>",
            "<meta http-equiv=refresh>");

    static LongStream seeds() {
        return LongStream.range(0, 60);
    }

    private static String text(long seed, List<String> pieces) {
        Random random = new Random(seed);
        StringBuilder text = new StringBuilder();
        for (int i = 0; i < 12; i++) {
            text.append(pieces.get(random.nextInt(pieces.size())));
        }
        return text.toString();
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void nothing_that_runs_is_ever_left(long seed) {
        List<String> both = new java.util.ArrayList<>(GOOD);
        both.addAll(BAD);
        String clean = RichText.clean(text(seed, both)).toLowerCase(java.util.Locale.ROOT);
        assertThat(clean)
                .doesNotContain("<script", "<svg", "<iframe", "<style", "<object", "<form", "<base", "<meta", "<math")
                .doesNotContainPattern("<[^>]*\\son\\w+\\s*=")
                .doesNotContainPattern("<[^>]*javascript:");
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void what_was_cleaned_has_no_fault_but_pictures_without_words(long seed) {
        List<String> both = new java.util.ArrayList<>(GOOD);
        both.addAll(BAD);
        String once = RichText.clean(text(seed, both));
        assertThat(RichText.faults(once)).allMatch(f -> f.startsWith("a picture has no words"));
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void what_people_write_is_not_faulted(long seed) {
        assertThat(RichText.faults(text(seed, GOOD))).isEmpty();
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void what_runs_is_faulted_wherever_it_stands(long seed) {
        Random random = new Random(seed);
        String bad = BAD.get(random.nextInt(5));
        assertThat(RichText.faults("<p>" + text(seed, List.of("tide ", "<em>x</em>")) + "</p>" + bad))
                .isNotEmpty();
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void plain_words_hold_no_tags(long seed) {
        assertThat(RichText.plain(text(seed, GOOD))).doesNotContain("<p", "<strong", "<img", "<li", "<span");
    }
}
