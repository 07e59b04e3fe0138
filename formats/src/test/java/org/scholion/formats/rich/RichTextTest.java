package org.scholion.formats.rich;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class RichTextTest {
    private static final String IMAGE = "<img src=\"/api/files/" + "a".repeat(64) + "\" alt=\"a sketch\">";

    @Test
    void what_people_write_stays_and_is_not_faulted() {
        String text =
                "<p>Use <strong>this</strong>: <span data-formula=\"\\frac{1}{2}\"></span></p><ul><li>one</li></ul>"
                        + IMAGE + "<a href=\"https://tide.example/x\">tables</a>";
        assertThat(RichText.faults(text)).isEmpty();
        assertThat(RichText.clean(text)).contains("<strong>", "data-formula", "alt=\"a sketch\"", "href=");
    }

    @Test
    void a_script_is_named_and_never_shown() {
        String text = "<p>x</p><script>steal()</script><p onmouseover=\"steal()\">y</p>";
        assertThat(RichText.faults(text))
                .contains(
                        "a script cannot stand in a text: take it out",
                        "'onmouseover' cannot stand in <p>: take it out");
        assertThat(RichText.clean(text)).isEqualTo("<p>x</p><p>y</p>");
    }

    @Test
    void a_picture_without_words_and_one_from_elsewhere_are_named() {
        assertThat(RichText.faults(IMAGE.replace("a sketch", " ")))
                .containsExactly("a picture has no description yet; say what it shows, for people who cannot see it");
        assertThat(RichText.faults("<img src=\"http://elsewhere.example/x.png\" alt=\"x\">"))
                .contains("a picture or sound has to be put in as a file; it cannot be fetched from elsewhere");
    }

    @Test
    void plain_words_keep_lines_and_formulas() {
        assertThat(RichText.plain("<p>a &lt; b &amp; c</p><p><span data-formula=\"x^2\">…</span> d</p>"))
                .isEqualTo("a < b & c\nx^2 d");
    }
}
