package org.scholion.server.examine;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.dhatim.fastexcel.reader.ReadableWorkbook;
import org.dhatim.fastexcel.reader.Row;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.formats.batch.Batch;
import org.scholion.server.testing.Colleague;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Visitor;
import tools.jackson.databind.JsonNode;

/** What leaves as a file says what the screens say. */
@ExtendWith(Scholion.class)
class TablesTest {
    private static Lesson lesson(Scholion.Running school, String title) {
        return Lesson.given(school, title, "A")
                .sits("Tamsin Orrel", List.of("b"), "bowline", "10 nmi", "=1+1")
                .sits("Noor Haddix", List.of("b"), "bowline", "7 nmi", null)
                .sits("Asa Quayle", List.of("b"), "clove hitch", "7 nmi", null)
                .sits("Lotte Marrin", List.of("a"), null, "7", null);
    }

    private static List<String> lines(Lesson lesson, String table) {
        return lesson.teacher
                .get(lesson.path("/tables/" + table))
                .body()
                .lines()
                .toList();
    }

    @Test
    void a_row_a_student_has_the_score_and_percentage_of_the_screen(Scholion.Running school) {
        Lesson lesson = lesson(school, "Scores out");
        List<String> scores = lines(lesson, "SCORES");
        assertThat(scores).hasSize(5);
        List<String> heading = List.of(scores.get(0).replace("\ufeff", "").split(","));
        JsonNode screen = lesson.teacher.get(lesson.path("/examine/students")).ok();
        for (JsonNode student : screen.get("students")) {
            String line = scores.stream()
                    .filter(l -> l.contains("," + student.get("family").stringValue() + ","))
                    .findFirst()
                    .orElseThrow();
            String[] cells = line.split(",", -1);
            assertThat(Double.parseDouble(cells[heading.indexOf("percentage")]))
                    .isEqualTo(Double.parseDouble(student.get("percent").stringValue()));
            assertThat(cells[heading.indexOf("score")])
                    .isEqualTo(student.get("score").stringValue());
        }
        assertThat(scores)
                .anySatisfy(
                        l -> assertThat(l).contains("Orrel").contains(",yes,").contains(",4,4"));
    }

    @Test
    void a_row_an_answer_has_it_in_full_with_its_reason_and_no_formula(Scholion.Running school) {
        Lesson lesson = lesson(school, "Answers out");
        List<String> answers = lines(lesson, "ANSWERS");
        assertThat(answers).hasSize(1 + 4 * 4);
        assertThat(answers)
                .anySatisfy(
                        l -> assertThat(l).contains("Orrel").contains(",q4,").contains(",'=1+1,read,,5,"))
                .anySatisfy(l -> assertThat(l).contains("Quayle").contains(",clove hitch,settle,,2,"))
                .anySatisfy(l -> assertThat(l)
                        .contains("Haddix")
                        .contains(",bowline,scored,2,2,")
                        .contains(",key,1"));
    }

    @Test
    void without_names_nobody_is_named_and_the_order_tells_nobody(Scholion.Running school) {
        Lesson lesson = lesson(school, "Nobody named");
        for (String table : List.of("SCORES", "MARKS", "ANSWERS", "RESPONSES")) {
            String body = lesson.teacher
                    .get(lesson.path("/tables/" + table + "?names=false"))
                    .body();
            assertThat(body)
                    .as(table)
                    .contains("student 1")
                    .doesNotContain("Orrel")
                    .doesNotContain("Tamsin");
        }
        assertThat(lines(lesson, "SCORES?names=false").get(1))
                .as("the first to begin")
                .startsWith("student 1");
    }

    @Test
    void the_workbook_has_typed_cells_and_says_what_it_is_of(Scholion.Running school) throws Exception {
        Lesson lesson = lesson(school, "A workbook out");
        byte[] bytes = lesson.teacher.bytes(lesson.path("/tables/WORKBOOK"));
        try (ReadableWorkbook book = new ReadableWorkbook(new ByteArrayInputStream(bytes))) {
            assertThat(book.getSheets().map(s -> s.getName())).containsExactly("Scores", "Marks", "Answers", "About");
            List<Row> marks = book.findSheet("Marks").orElseThrow().read();
            List<String> csv = lines(lesson, "MARKS");
            assertThat(marks).hasSameSizeAs(csv);
            for (int r = 1; r < marks.size(); r++) {
                String[] cells = csv.get(r).split(",", -1);
                for (int c = 4; c < 8; c++) {
                    String number = cells[c];
                    assertThat(marks.get(r)
                                    .getOptionalCell(c)
                                    .map(x -> x.asNumber().toPlainString())
                                    .orElse(""))
                            .as("row %s, column %s", r, c)
                            .isEqualTo(number);
                }
            }
            List<Row> about = book.findSheet("About").orElseThrow().read();
            assertThat(about.get(2).getCellText(1)).isEqualTo("A workbook out");
            assertThat(about.get(4).getCell(1).asNumber()).isEqualByComparingTo("1");
        }
    }

    @Test
    void what_the_shell_analyses_from_the_responses_are_the_figures_of_the_screen(Scholion.Running school)
            throws Exception {
        Path dir = Files.createTempDirectory("analysed");
        Lesson lesson = lesson(school, "Analysed twice");
        lesson.reads(
                        "Tamsin Orrel",
                        "q4",
                        Map.of("levels", Map.of("c1", "1", "c2", "1"), "comment", "", "note", "", "hold", false))
                .ok();
        Path key = dir.resolve("key.json");
        Path responses = dir.resolve("responses.jsonl");
        Files.writeString(key, lesson.teacher.get(lesson.path("/file")).body());
        Files.writeString(
                responses, lesson.teacher.get(lesson.path("/tables/RESPONSES")).body());
        Path out = dir.resolve("out");
        assertThat(Batch.run(
                        System.out,
                        System.err,
                        false,
                        "analyse",
                        "--assessment",
                        key.toString(),
                        "--responses",
                        responses.toString(),
                        "--out",
                        out.toString()))
                .isZero();
        JsonNode screen = lesson.teacher.get(lesson.path("/examine")).ok();
        String[] test = Files.readAllLines(out.resolve("test.csv")).get(1).split(",", -1);
        assertThat(Double.parseDouble(test[1]))
                .isEqualTo(screen.get("test").get("mean").get("value").doubleValue());
        assertThat(Double.parseDouble(test[8]))
                .isCloseTo(
                        screen.get("test").get("alpha").get("value").doubleValue(),
                        org.assertj.core.api.Assertions.within(5e-7));
        List<String> items = Files.readAllLines(out.resolve("items.csv"));
        for (int j = 0; j < 4; j++) {
            String[] cells = items.get(j + 1).split(",", -1);
            JsonNode m = screen.get("items").get(j).get("measures");
            assertThat(Double.parseDouble(cells[2]))
                    .isEqualTo(m.get("difficulty").get("value").doubleValue());
            assertThat(Double.parseDouble(cells[6]))
                    .isEqualTo(m.get("blank").get("value").doubleValue());
        }
    }

    @Test
    void a_file_is_called_by_what_it_is_and_a_colleague_and_a_student_get_none(Scholion.Running school) {
        Lesson lesson = lesson(school, "Called: by/what");
        Visitor colleague = Colleague.called(school, "Tabea").visitor();
        for (String table : List.of("SCORES", "MARKS", "ANSWERS", "WORKBOOK", "RESPONSES")) {
            assertThat(colleague.get(lesson.path("/tables/" + table)).status()).isEqualTo(404);
            assertThat(school.as("Tamsin Orrel")
                            .get(lesson.path("/tables/" + table))
                            .status())
                    .isEqualTo(403);
        }
        assertThat(lesson.teacher.get(lesson.path("/tables/EVERYTHING")).status())
                .isEqualTo(404);
    }

    private static String words(byte[] pdf) throws Exception {
        try (PDDocument document = Loader.loadPDF(pdf)) {
            return document.getNumberOfPages() + " " + new PDFTextStripper().getText(document);
        }
    }

    @Test
    void the_report_of_a_paper_has_the_figures_of_the_screen_and_names_only_when_wanted(Scholion.Running school)
            throws Exception {
        Lesson lesson = lesson(school, "Reported");
        JsonNode screen = lesson.teacher.get(lesson.path("/examine")).ok();
        String words = words(lesson.teacher.bytes(lesson.path("/report")));
        assertThat(words)
                .contains("Reported")
                .contains("Saltmarsh Harbour School")
                .contains("Mean 1.75 of 10")
                .contains("the key may be wrong")
                .doesNotContain("Orrel");
        assertThat(screen.get("test").get("mean").get("value").doubleValue()).isEqualTo(1.75);
        assertThat(words(lesson.teacher.bytes(lesson.path("/report?names=true"))))
                .contains("Tamsin Orrel");
    }

    @Test
    void each_student_has_a_page_with_the_percentages_of_the_gradebook(Scholion.Running school) throws Exception {
        Lesson lesson = lesson(school, "Told at home");
        String course = lesson.teacher.get("/api/courses").ok().get(0).get("id").stringValue();
        String reports = "/api/courses/" + course + "/student-reports";
        String noor = lesson.teacher
                .get(lesson.path("/examine/students"))
                .ok()
                .get("students")
                .valueStream()
                .filter(s -> s.get("family").stringValue().equals("Haddix"))
                .findFirst()
                .orElseThrow()
                .get("student")
                .stringValue();
        String one = words(lesson.teacher.bytes(reports + "?student=" + noor));
        assertThat(one)
                .contains("Noor Haddix")
                .doesNotContain("Asa Quayle")
                .contains("What Noor can do")
                .contains("Told at home")
                .contains("2 of 10")
                .contains("20.0%");
        String all = words(lesson.teacher.bytes(reports + "?section=" + lesson.section("A")));
        assertThat(all).contains("Asa Quayle").contains("Tamsin Orrel").doesNotContain("Kofi Sande");
        assertThat(lesson.teacher.get(reports + "?student=" + course).status()).isEqualTo(404);
        assertThat(Colleague.called(school, "Repa").visitor().get(reports).status())
                .isEqualTo(404);
    }
}
