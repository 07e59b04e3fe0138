package org.scholion.server.report;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.scholion.server.attainment.Attainments;
import org.scholion.server.gradebook.Gradebook;
import org.scholion.sheets.report.Report;

/** A student's report over the assessments of a course, for those at home: in words first, then in figures. */
final class StudentReports {
    /** Standards deeper in the tree are for the teacher. */
    private static final int DEEPEST = 1;

    private StudentReports() {}

    /** One page for each student who is looked at. */
    static List<Report> of(Attainments.AttainmentView shown, Gradebook.GradebookView book, List<String> aside) {
        List<Report> all = new ArrayList<>();
        for (int i = 0; i < shown.students().size(); i++) {
            all.add(one(shown, i, book, aside));
        }
        return all;
    }

    private static Report one(
            Attainments.AttainmentView shown, int place, Gradebook.GradebookView book, List<String> aside) {
        Attainments.AttainmentStudent student = shown.students().get(place);
        List<Report.Block> blocks = new ArrayList<>();
        String words = inWords(shown, place);
        if (!words.isEmpty()) {
            blocks.add(new Report.Words(words));
            blocks.add(new Report.Heading("What " + student.given() + " can do"));
            blocks.add(standards(shown, place));
        }
        Report.Rows papers = papers(book, student);
        if (!papers.rows().isEmpty()) {
            blocks.add(new Report.Heading("Assessments"));
            blocks.add(papers);
        }
        if (blocks.isEmpty()) {
            blocks.add(new Report.Words("Nothing has been handed in yet."));
        }
        String section = shown.sections().stream()
                .filter(s -> s.id().equals(student.section()))
                .map(s -> ", " + s.name())
                .findFirst()
                .orElse("");
        return new Report(
                student.given() + " " + student.family(),
                shown.course() + section,
                aside,
                blocks,
                "The line shows between what percentages a student lies, with the answers that were seen. Scores and"
                        + " percentages are those of the gradebook on the day this was made; … means that some marks"
                        + " are not decided yet.");
    }

    /** The standards on top, by level, the highest level first. */
    private static String inWords(Attainments.AttainmentView shown, int place) {
        Map<Integer, List<String>> byLevel = new LinkedHashMap<>();
        List<String> tooLittle = new ArrayList<>();
        for (Attainments.StandardRow row : shown.standards()) {
            Attainments.AttainmentCell cell = row.cells().get(place);
            if (row.depth() == 0 && cell != null) {
                if (cell.level() == null) {
                    tooLittle.add(row.text());
                } else {
                    byLevel.computeIfAbsent(cell.level(), l -> new ArrayList<>())
                            .add(row.text());
                }
            }
        }
        List<String> sentences = new ArrayList<>();
        for (int level = shown.way().levels().size() - 1; level >= 0; level--) {
            List<String> texts = byLevel.get(level);
            if (texts != null) {
                sentences.add(capital(shown.way().levels().get(level).label()) + ": " + String.join(", ", texts) + ".");
            }
        }
        if (!tooLittle.isEmpty()) {
            sentences.add("Too little to say: " + String.join(", ", tooLittle) + ".");
        }
        return String.join(" ", sentences);
    }

    private static String capital(String words) {
        return words.substring(0, 1).toUpperCase(java.util.Locale.ROOT) + words.substring(1);
    }

    private static Report.Rows standards(Attainments.AttainmentView shown, int place) {
        List<List<Report.Entry>> rows = new ArrayList<>();
        for (Attainments.StandardRow row : shown.standards()) {
            Attainments.AttainmentCell cell = row.cells().get(place);
            if (cell != null && row.depth() <= DEEPEST) {
                String text = "\u2003".repeat(row.depth()) + row.text();
                rows.add(List.of(
                        row.depth() == 0 ? Report.strong(text) : Report.text(text),
                        new Report.Share(cell.low(), cell.place(), cell.high()),
                        Report.strong(level(shown, cell.level())),
                        Report.text(cell.percent() + "%"),
                        Report.text(cell.pieces() + (cell.pieces() == 1 ? " answer" : " answers"))));
            }
        }
        return new Report.Rows(
                List.of(
                        new Report.Column("", 36, false),
                        new Report.Column("", 26, false),
                        new Report.Column("", 16, false),
                        new Report.Column("", 8, true),
                        new Report.Column("", 14, true)),
                rows);
    }

    private static String level(Attainments.AttainmentView shown, @Nullable Integer level) {
        return level == null
                ? "too little to say"
                : shown.way().levels().get(level).label();
    }

    private static Report.Rows papers(Gradebook.GradebookView book, Attainments.AttainmentStudent student) {
        List<List<Report.Entry>> rows = new ArrayList<>();
        book.rows().stream()
                .filter(r -> r.student().equals(student.id()))
                .findFirst()
                .ifPresent(r -> {
                    for (int c = 0; c < book.columns().size(); c++) {
                        Gradebook.GradebookCell cell = r.cells().get(c);
                        if (cell != null) {
                            rows.add(paper(book.columns().get(c).title(), cell));
                        }
                    }
                });
        return new Report.Rows(
                List.of(
                        new Report.Column("", 48, false),
                        new Report.Column("points", 18, true),
                        new Report.Column("percentage", 16, true),
                        new Report.Column("band", 18, true)),
                rows);
    }

    private static List<Report.Entry> paper(String title, Gradebook.GradebookCell cell) {
        String percent = cell.standing().percent();
        return List.of(
                Report.text(title),
                Report.text(cell.standing().score() + " of " + cell.standing().possible()),
                Report.strong(
                        percent == null ? "–" : percent + "%" + (cell.standing().provisional() ? "…" : "")),
                Report.text(
                        cell.standing().band() == null ? "" : cell.standing().band()));
    }
}
