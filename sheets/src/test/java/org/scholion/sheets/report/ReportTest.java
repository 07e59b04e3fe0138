package org.scholion.sheets.report;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.util.List;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.scholion.sheets.paper.PaperDocument;
import org.scholion.sheets.paper.PaperPdf;

class ReportTest {
    private static Report report(String title) {
        return new Report(
                title,
                "Section A",
                List.of("Saltmarsh Harbour School"),
                List.of(
                        new Report.Heading("Questions"),
                        new Report.Words("Half < whole & \"quoted\"."),
                        new Report.Rows(
                                List.of(
                                        new Report.Column("No.", 10, false),
                                        new Report.Column("Mean", 60, false),
                                        new Report.Column("Points", 30, true)),
                                List.of(
                                        List.of(
                                                Report.strong("1"),
                                                new Report.Share(0.2, 1.5, 0.9),
                                                Report.text("潮 3")),
                                        List.of(Report.text("2"), new Report.Bar(0.5), Report.text("–"))))),
                "Made by hand.");
    }

    @Test
    void each_report_is_a_page_of_its_own_with_its_words_in_full() throws IOException {
        byte[] pdf = PaperPdf.of(ReportPage.of("Two", List.of(report("Tides"), report("Knots <1>"))));
        try (PDDocument document = Loader.loadPDF(pdf)) {
            assertThat(document.getNumberOfPages()).isEqualTo(2);
            PDFTextStripper words = new PDFTextStripper();
            words.setStartPage(2);
            assertThat(words.getText(document))
                    .contains("Knots <1>")
                    .contains("Half < whole & \"quoted\".")
                    .contains("潮 3")
                    .contains("Saltmarsh Harbour School")
                    .contains("2 / 2")
                    .contains("Made by hand.");
        }
    }

    @Test
    void a_share_is_drawn_on_its_line_and_never_beside_it() {
        PaperDocument page = ReportPage.of("One", List.of(report("Tides")));
        assertThat(page.xhtml())
                .contains("left: 20.0%; width: 70.0%")
                .contains("left: 97.0%")
                .contains("width: 50.0%")
                .doesNotContain("150");
    }
}
