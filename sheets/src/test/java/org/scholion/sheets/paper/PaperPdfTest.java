package org.scholion.sheets.paper;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.Optional;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.scholion.formats.assessment.AssessmentFile;
import org.scholion.formats.assessment.AssessmentReader;
import org.scholion.formats.json.Faults;

/** The paper and its key as a reader of the PDF finds them. */
class PaperPdfTest {
    private static final AssessmentFile FILE = AssessmentReader.read("""
            {"format": "scholion-assessment/1", "title": "Harbour & approach",
             "parts": [{"id": "A", "title": "The pilot book", "instructions": "Read first."}],
             "items": [
              {"id": "p", "part": "A", "kind": "passage", "prompt": "The ledge dries."},
              {"id": "c", "part": "A", "kind": "choice", "points": "1", "prompt": "Whence?",
               "options": [{"id": "a", "text": "south"}, {"id": "b", "text": "north"}, {"id": "d", "text": "none of these"}],
               "key": ["a"], "last": ["d"]},
              {"id": "b", "part": "A", "kind": "blanks", "points": "2", "prompt": "The stream {b1} at {b2} knots.", "parts": [
               {"id": "b1", "kind": "text", "accept": [{"text": "ebbs"}]}, {"id": "b2", "kind": "number", "accept": [{"value": "2"}]}]},
              {"id": "m", "part": "A", "kind": "pairs", "points": "2", "left": [{"id": "l1", "text": "port"}],
               "right": [{"id": "r1", "text": "red"}], "key": [["l1", "r1"]]},
              {"id": "f", "part": "A", "kind": "number", "points": "2", "prompt": "How much?", "accept": [{"value": "3.9", "within": "0.05"}],
               "body": "<p>How much? Use <span data-formula=\\"d + \\\\frac{h}{2} = 3\\"></span>.</p>"},
              {"id": "o", "part": "A", "kind": "open", "points": "4", "prompt": "Why?", "rubric": {"criteria": [
               {"id": "1", "title": "Reason", "levels": [{"id": "0", "points": "0", "text": "none"}, {"id": "1", "points": "2", "text": "names it"}]}]}}]}
            """);

    private static String text(boolean answers, int version) throws IOException {
        byte[] pdf = PaperPdf.of(PaperPage.of(FILE, hash -> Optional.empty(), answers, version));
        try (PDDocument document = Loader.loadPDF(pdf)) {
            return new PDFTextStripper().getText(document).replaceAll("\\s+", " ");
        }
    }

    @Test
    void the_paper_asks_and_gives_no_answer_away() throws IOException {
        assertThat(text(false, 0))
                .contains(
                        "Harbour & approach",
                        "The pilot book",
                        "Read first.",
                        "The ledge dries.",
                        "Whence?",
                        "south",
                        "The stream",
                        "knots.",
                        "Name:",
                        "How much? Use")
                .doesNotContain("ebbs", "3.9", "names it", "earns full points");
    }

    @Test
    void formulas_are_drawn_and_not_spelled_whatever_signs_stand_in_them() throws IOException {
        assertThat(text(false, 0)).contains("How much? Use").doesNotContain("&#", "frac", "{", "d +");
    }

    @Test
    void the_key_says_what_is_right_and_how_it_scores() throws IOException {
        assertThat(text(true, 0))
                .contains("· key", "A south", "ebbs · 2", "port → red", "3.9", "2: names it")
                .doesNotContain("Name:");
    }

    @Test
    void a_shuffled_version_agrees_with_its_key_and_keeps_what_stays_last() throws IOException {
        for (int version = 1; version <= 4; version++) {
            String paper = text(false, version);
            String letter = paper.replaceAll(".*?([A-C]) south.*", "$1");
            assertThat(text(true, version)).contains("version " + (char) ('A' + version - 1), letter + " south");
            assertThat(paper).contains("C none of these");
        }
    }

    private static byte[] printed(String body, Map<String, byte[]> pictures) {
        return PaperPdf.of(new PaperDocument(
                "<html><head><style>" + Markup.STYLE + "</style></head><body>" + body + "</body></html>", pictures));
    }

    @Test
    void it_reads_neither_files_nor_addresses_and_shows_the_pictures_that_it_is_given() throws IOException {
        ByteArrayOutputStream png = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(40, 30, BufferedImage.TYPE_INT_RGB), "png", png);
        Path outside = Files.createTempFile("outside", ".png");
        Files.write(outside, png.toByteArray());
        try (PDDocument without = Loader.loadPDF(printed(
                        "<p>one</p><img src=\"" + outside.toUri() + "\"/><object data=\"" + outside.toUri()
                                + "\"></object><img src=\"picture:other\"/>",
                        Map.of()));
                PDDocument with =
                        Loader.loadPDF(printed("<p>one</p><img src=\"picture:a\"/>", Map.of("a", png.toByteArray())))) {
            assertThat(without.getPage(0).getResources().getXObjectNames()).isEmpty();
            assertThat(with.getPage(0).getResources().getXObjectNames()).isNotEmpty();
        } finally {
            Files.delete(outside);
        }
    }

    @Test
    void a_long_word_breaks_and_stays_on_the_page() throws IOException {
        try (PDDocument document = Loader.loadPDF(printed("<p>" + "m".repeat(3_000) + "</p>", Map.of()))) {
            String lines = new PDFTextStripper().getText(document);
            assertThat(lines.lines().mapToInt(String::length).max().orElse(0)).isBetween(20, 80);
            assertThat(lines.replaceAll("[^m]", "")).hasSize(3_000);
        }
    }

    @Test
    void more_than_is_printed_at_once_is_refused_in_words() {
        assertThatThrownBy(() -> printed("<p style=\"page-break-after: always\">x</p>".repeat(260), Map.of()))
                .isInstanceOf(Faults.class)
                .hasMessageContaining("at most 250 pages");
        assertThatThrownBy(() -> printed("x".repeat(1_000_001), Map.of())).isInstanceOf(Faults.class);
        assertThatThrownBy(() -> printed("<p>x</p>", Map.of("a", new byte[60_000_001])))
                .isInstanceOf(Faults.class);
        assertThatThrownBy(() -> printed("<ul><li>".repeat(4_000) + "x" + "</li></ul>".repeat(4_000), Map.of()))
                .isInstanceOf(Faults.class);
    }

    @Test
    void a_setting_that_is_interrupted_stops() {
        Thread.currentThread().interrupt();
        try {
            assertThatThrownBy(() -> printed("<p>one two three</p>", Map.of())).isInstanceOf(Faults.class);
        } finally {
            assertThat(Thread.interrupted()).isTrue();
        }
    }

    @Test
    void characters_that_cannot_be_printed_do_not_stop_the_print_of_an_older_key() throws IOException {
        AssessmentFile old = AssessmentReader.read("""
                {"format": "scholion-assessment/1", "title": "Old", "items": [
                 {"id": "t", "kind": "text", "points": "1", "prompt": "One\\u000btwo\\u0001?", "accept": [{"text": "x"}]}]}""");
        try (PDDocument document = Loader.loadPDF(PaperPdf.of(PaperPage.of(old, hash -> Optional.empty(), false, 0)))) {
            assertThat(new PDFTextStripper().getText(document)).contains("One two");
        }
    }

    private static String printed(String items) throws IOException {
        AssessmentFile file =
                AssessmentReader.read("{\"format\": \"scholion-assessment/1\", \"title\": \"T\"," + items + "}");
        try (PDDocument document =
                Loader.loadPDF(PaperPdf.of(PaperPage.of(file, hash -> Optional.empty(), false, 0)))) {
            return new PDFTextStripper().getText(document).replaceAll("\\s+", " ");
        }
    }

    @Test
    void a_title_from_right_to_left_reads_the_same_at_the_foot_of_the_page() throws IOException {
        for (String title : java.util.List.of("שלום ים", "المد والجزر", "Tides שלום ebb")) {
            AssessmentFile file = AssessmentReader.read("{\"format\": \"scholion-assessment/1\", \"title\": \"" + title
                    + "\", \"items\": [{\"id\": \"o\", \"kind\": \"open\", \"points\": \"1\", \"prompt\": \"x\"}]}");
            try (PDDocument document =
                    Loader.loadPDF(PaperPdf.of(PaperPage.of(file, hash -> Optional.empty(), false, 0)))) {
                String text = java.text.Normalizer.normalize(
                        new PDFTextStripper().getText(document), java.text.Normalizer.Form.NFKC);
                assertThat(text.split(java.util.regex.Pattern.quote(title), -1))
                        .as("at the head and at the foot: " + text)
                        .hasSize(3);
            }
        }
    }

    @Test
    void scripts_that_people_teach_in_are_printed_letter_by_letter() throws IOException {
        for (String word : java.util.List.of("潮汐", "かいり", "カタカナ", "조류", "שלום", "เรือ", "Ελλάδα", "прилив")) {
            String text = printed("\"items\": [{\"id\": \"o\", \"kind\": \"open\", \"points\": \"1\", \"prompt\": \""
                    + word + "\"}]");
            assertThat(text).as(word).doesNotContain("#").contains(word);
        }
        // Letters that join have other signs at each place: told apart from missing ones by what is read back.
        String arabic =
                printed("\"items\": [{\"id\": \"o\", \"kind\": \"open\", \"points\": \"1\", \"prompt\": \"المد\"}]");
        assertThat(java.text.Normalizer.normalize(arabic, java.text.Normalizer.Form.NFKC))
                .contains("المد");
        assertThat(arabic).doesNotContain("#");
        // Signs that two letters make together are read back as none of them.
        String hindi =
                printed("\"items\": [{\"id\": \"o\", \"kind\": \"open\", \"points\": \"1\", \"prompt\": \"ज्वार\"}]");
        assertThat(hindi).doesNotContain("#").contains("वार");
    }

    @Test
    void the_twenty_seventh_option_has_a_letter_limits_and_what_counts_are_printed() throws IOException {
        StringBuilder options = new StringBuilder();
        for (int i = 0; i < 28; i++) {
            options.append(i == 0 ? "" : ", ")
                    .append("{\"id\": \"o")
                    .append(i)
                    .append("\", \"text\": \"mark ")
                    .append(i)
                    .append("\"}");
        }
        assertThat(printed("""
                "parts": [{"id": "A", "title": "One", "best": 2}], "items": [
                 {"id": "c", "part": "A", "kind": "choice", "points": "1", "max": 3, "rule": "net", "options": [%s], "key": ["o1", "o2"]},
                 {"id": "w", "part": "A", "kind": "open", "points": "1", "prompt": "Why?", "words": {"min": 20, "max": 150}, "rubricShown": true,
                  "rubric": {"criteria": [{"id": "k", "title": "Reasoning", "levels": [{"id": "0", "points": "0", "text": "no cause"}, {"id": "1", "points": "1", "text": "a cause"}]}]}},
                 {"id": "b", "part": "A", "kind": "blanks", "points": "1", "prompt": "Fill in.", "parts": [
                  {"id": "b1", "kind": "text", "prompt": "First", "accept": [{"text": "x"}]},
                  {"id": "b2", "kind": "choice", "options": [{"id": "n", "text": "noon"}, {"id": "d", "text": "dusk"}], "key": ["n"]}]}]
                """.formatted(options)))
                .contains(
                        "Z mark 25",
                        "AA mark 26",
                        "AB mark 27",
                        "Choose up to 3.",
                        "Only the best 2 questions count.",
                        "In words: at least 20, at most 150.",
                        "Reasoning",
                        "a cause",
                        "1. First",
                        "noon / dusk");
    }

    @Test
    void a_word_longer_than_the_line_breaks_and_a_list_is_there() throws IOException {
        String text = printed(
                "\"items\": [{\"id\": \"o\", \"kind\": \"open\", \"points\": \"1\", \"prompt\": \"x\", \"body\": \"<ul><li>first</li><li>second</li></ul><p>"
                        + "m".repeat(300) + "</p>\"}]");
        assertThat(text).contains("first", "second");
        assertThat(text.replaceAll("[^m]", "")).hasSizeGreaterThanOrEqualTo(300);
    }

    @Test
    void rows_of_a_printed_paper_keep_their_letters_and_their_places_in_every_version() {
        AssessmentFile rows = AssessmentReader.read("""
                {"format": "scholion-assessment/1", "title": "Rows", "shuffle": {"items": true, "options": true}, "items": [
                 {"id": "q1", "kind": "choice", "points": "1", "options": [{"id": "a", "text": "A"}, {"id": "b", "text": "B"}, {"id": "c", "text": "C"}], "key": ["a"]},
                 {"id": "q2", "kind": "choice", "points": "1", "options": [{"id": "a", "text": "A"}, {"id": "b", "text": "B"}, {"id": "c", "text": "C"}], "key": ["b"]},
                 {"id": "q3", "kind": "choice", "points": "1", "options": [{"id": "a", "text": "A"}, {"id": "b", "text": "B"}, {"id": "c", "text": "C"}], "key": ["c"]}]}""");
        for (int version = 1; version <= 8; version++) {
            String page =
                    PaperPage.of(rows, hash -> Optional.empty(), true, version).xhtml();
            assertThat(page.replaceAll("<[^>]*>", " ")).matches("(?s).*A A.*B B.*C C.*");
            assertThat(page).containsSubsequence("<b>A A</b>", "<b>B B</b>", "<b>C C</b>");
        }
    }
}
