package org.scholion.server.report;

import java.util.ArrayList;
import java.util.List;
import org.scholion.core.measure.Figure;
import org.scholion.server.examine.Examination;
import org.scholion.sheets.report.Report;

/** The report of one paper for a department, on one page where the paper is not long: the figures of the screen. */
final class PaperReport {
    private PaperReport() {}

    /** @param aside school, day and what else stands at the right */
    static Report of(String title, String below, List<String> aside, Examination.ExamineView view, boolean names) {
        List<Report.Block> blocks = new ArrayList<>();
        blocks.add(new Report.Words(figures(view)));
        blocks.add(new Report.Words(restsOn(view)));
        blocks.add(new Report.Heading("Distribution of scores (%)"));
        blocks.add(distribution(view));
        blocks.add(new Report.Heading("Questions"));
        blocks.add(questions(view));
        List<Report.Block> flags = flags(view);
        if (!flags.isEmpty()) {
            blocks.add(new Report.Heading("To look at"));
            blocks.addAll(flags);
        }
        if (names && view.pass() != null && !view.below().isEmpty()) {
            blocks.add(new Report.Heading("Below " + view.pass() + "%"));
            blocks.add(new Report.Words(String.join(
                    " · ",
                    view.below().stream()
                            .map(b -> b.name() + " " + b.percent() + (b.provisional() ? "…" : ""))
                            .toList())));
        }
        return new Report(
                title,
                below,
                aside,
                blocks,
                "The line through each mean is where it lies with 95% confidence. r is the correlation with the other"
                        + " questions. Each student is counted once, with the attempt that counts.");
    }

    private static String figures(Examination.ExamineView view) {
        return view.test().n() + (view.test().n() == 1 ? " student" : " students") + ". Mean "
                + view.test().mean().shown() + " of " + view.possible() + ", standard deviation "
                + view.test().sd().shown() + ", median " + view.test().median().shown() + " (quartiles "
                + view.test().q1().shown() + " and " + view.test().q3().shown() + "). Reliability "
                + view.test().alpha().shown() + ", standard error of a score "
                + view.test().sem().shown() + "."
                + (view.range() == null
                        ? ""
                        : " With this error, a score of " + view.range().score() + "% could as well be "
                                + view.range().low() + "% or " + view.range().high() + "%.");
    }

    private static String restsOn(Examination.ExamineView view) {
        return view.noAnswer() + " of " + view.asked() + " answers are missing."
                + (view.time() == null ? "" : " Answering took " + view.time().median() + " minutes (median).")
                + (view.undecided() == 0
                        ? " All marks are decided."
                        : " Marks not decided yet, which count as 0 here: " + view.undecided()
                                + "; they could raise the mean by up to " + view.couldAdd() + ".")
                + (view.test().n() < 10 ? " Few students, so these figures are uncertain." : "");
    }

    private static Report.Rows distribution(Examination.ExamineView view) {
        int most = 1;
        for (int n : view.tenths()) {
            most = Math.max(most, n);
        }
        List<List<Report.Entry>> rows = new ArrayList<>();
        for (int t = view.tenths().length - 1; t >= 0; t--) {
            int tenth = t;
            rows.add(List.of(
                    Report.text(10 * t + " – " + (10 * t + 10)),
                    new Report.Bar((double) view.tenths()[t] / most),
                    Report.text(view.tenths()[t] == 0 ? "" : Integer.toString(view.tenths()[t])),
                    Report.text(String.join(
                            " · ",
                            view.thresholds().stream()
                                    .filter(b -> b.tenth() == tenth)
                                    .map(b -> b.label() == null
                                            ? "pass mark " + b.from() + "%"
                                            : b.label() + " from " + b.from() + "%")
                                    .toList()))));
        }
        return new Report.Rows(
                List.of(
                        new Report.Column("percent", 12, false),
                        new Report.Column("", 36, false),
                        new Report.Column("students", 10, true),
                        new Report.Column("what begins here", 42, true)),
                rows);
    }

    private static Report.Rows questions(Examination.ExamineView view) {
        List<List<Report.Entry>> rows = new ArrayList<>();
        for (Examination.ItemLine item : view.items()) {
            Double mean = item.measures().difficulty().value();
            rows.add(List.of(
                    Report.strong(Integer.toString(item.number())),
                    Report.text(item.prompt()),
                    mean == null
                            ? Report.text(item.dropped() ? "dropped" : "–")
                            : new Report.Share(
                                    or0(item.measures().low()),
                                    mean,
                                    or0(item.measures().high())),
                    Report.strong(item.measures().difficulty().shown()),
                    Report.text(item.measures().itemRest().shown()),
                    Report.text(item.flags().isEmpty() ? "" : "look")));
        }
        return new Report.Rows(
                List.of(
                        new Report.Column("No.", 5, false),
                        new Report.Column("question", 51, false),
                        new Report.Column("mean score (0 to 1)", 20, false),
                        new Report.Column("mean", 8, true),
                        new Report.Column("r", 8, true),
                        new Report.Column("", 8, true)),
                rows);
    }

    private static List<Report.Block> flags(Examination.ExamineView view) {
        List<Report.Block> all = new ArrayList<>();
        for (Examination.ItemLine item : view.items()) {
            for (Examination.FlagView flag : item.flags()) {
                all.add(new Report.Words(
                        "Question " + item.number() + ", " + flag.words() + ": " + flag.because() + "."));
            }
        }
        return all;
    }

    private static double or0(Figure figure) {
        return figure.value() == null ? 0 : figure.value();
    }
}
