package org.scholion.formats.batch;

import java.io.IOException;
import java.io.OutputStream;
import java.io.PrintStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.scholion.core.measure.Analysis;
import org.scholion.core.measure.ItemDifference;
import org.scholion.core.measure.ItemMeasures;
import org.scholion.core.measure.OptionFigures;
import org.scholion.core.measure.SectionDifference;
import org.scholion.core.measure.SectionMeasures;
import org.scholion.core.measure.Standing;
import org.scholion.core.measure.TestMeasures;

/** {@code analyse}: everything that the counting attempts tell. */
final class AnalyseCommand {
    private final Arguments asked;
    private final Key key;
    private final Progress progress;
    private final PrintStream says;

    AnalyseCommand(Arguments asked, Key key, Progress progress, PrintStream says) {
        this.asked = asked;
        this.key = key;
        this.progress = progress;
        this.says = says;
    }

    void run() throws IOException {
        Map<String, String> given = Sections.of(asked.sections());
        Sitting sitting = new Sitting(key.assessment.grading());
        List<Integer> undecided = new ArrayList<>();
        new Run(key, false, progress).read(asked.responses(), asked.ignoreUnknown(), new Run.Reader() {
            @Override
            public boolean row(Row row) {
                key.scores.add(row.kinds());
                undecided.add(row.undecided());
                return sitting.add(row);
            }

            @Override
            public void scores(Bytes rows) {
                // Only score writes the marks themselves.
            }
        });
        List<Sitting.Result> results = sitting.results(sitting.outcomes());
        int[] counting = results.stream().mapToInt(Sitting.Result::standing).toArray();
        List<@Nullable String> sections = new ArrayList<>();
        int waiting = 0;
        for (int place : counting) {
            Sitting.Kept kept = sitting.attempts().get(place);
            sections.add(given.getOrDefault(kept.student(), kept.section()));
            waiting += undecided.get(place);
        }
        Analysis analysis = Analysis.of(key.scores.build(counting), sections);
        try (Out out = new Out(asked.out())) {
            write(out, analysis, results, sections);
            out.publish();
        }
        if (waiting > 0) {
            says.println(waiting + (waiting == 1 ? " mark is" : " marks are") + " still undecided and counted 0.");
        }
    }

    private static void write(Out out, Analysis analysis, List<Sitting.Result> results, List<@Nullable String> sections)
            throws IOException {
        items(out.file("items.csv"), analysis);
        options(out.file("options.csv"), analysis);
        test(out.file("test.csv"), analysis.test());
        students(out.file("students.csv"), analysis.students(), results, sections);
        if (!analysis.sections().isEmpty()) {
            sections(out.file("sections.csv"), analysis.sections());
            comparisons(out.file("comparisons.csv"), analysis.differences());
            differences(out.file("differences.csv"), analysis.byItem());
        }
    }

    private static void items(OutputStream out, Analysis analysis) throws IOException {
        line(out, "item", "n", "difficulty", "itemRest", "upperLower", "alphaWithout", "blank", "notReached", "flags");
        for (int j = 0; j < analysis.items().size(); j++) {
            ItemMeasures m = analysis.items().get(j);
            line(
                    out,
                    m.item(),
                    Integer.toString(m.n()),
                    Csv.number(m.difficulty()),
                    Csv.number(m.itemRest()),
                    Csv.number(m.upperLower()),
                    Csv.number(m.alphaWithout()),
                    Csv.number(m.blank()),
                    Csv.number(m.notReached()),
                    analysis.flags().get(j).stream().map(f -> f.flag().word()).collect(Collectors.joining(";")));
        }
    }

    private static void options(OutputStream out, Analysis analysis) throws IOException {
        line(out, "item", "option", "keyed", "count", "share", "upper", "middle", "lower", "optionRest");
        for (ItemMeasures m : analysis.items()) {
            for (OptionFigures o : m.options()) {
                line(
                        out,
                        m.item(),
                        o.option(),
                        Csv.yesNo(o.keyed()),
                        Integer.toString(o.count()),
                        Csv.number(o.share()),
                        Csv.number(o.upper()),
                        Csv.number(o.middle()),
                        Csv.number(o.lower()),
                        Csv.number(o.optionRest()));
            }
        }
    }

    private static void test(OutputStream out, TestMeasures t) throws IOException {
        line(out, "n", "mean", "sd", "min", "q1", "median", "q3", "max", "alpha", "sem");
        line(
                out,
                Integer.toString(t.n()),
                Csv.number(t.mean()),
                Csv.number(t.sd()),
                Csv.number(t.min()),
                Csv.number(t.q1()),
                Csv.number(t.median()),
                Csv.number(t.q3()),
                Csv.number(t.max()),
                Csv.number(t.alpha()),
                Csv.number(t.sem()));
    }

    private static void students(
            OutputStream out, List<Standing> students, List<Sitting.Result> results, List<@Nullable String> sections)
            throws IOException {
        line(out, "student", "section", "total", "solved", "percentile");
        for (int i = 0; i < students.size(); i++) {
            Standing s = students.get(i);
            String section = sections.get(i);
            line(
                    out,
                    results.get(i).student(),
                    section == null ? "" : section,
                    Csv.number(s.total()),
                    Integer.toString(s.solved()),
                    Csv.number(s.percentile()));
        }
    }

    private static void sections(OutputStream out, List<SectionMeasures> sections) throws IOException {
        line(out, "section", "n", "mean", "sd");
        for (SectionMeasures s : sections) {
            line(out, s.section(), Integer.toString(s.n()), Csv.number(s.mean()), Csv.number(s.sd()));
        }
    }

    private static void comparisons(OutputStream out, List<SectionDifference> differences) throws IOException {
        line(out, "sectionA", "sectionB", "difference", "low", "high", "g");
        for (SectionDifference d : differences) {
            line(
                    out,
                    d.first(),
                    d.second(),
                    Csv.number(d.difference()),
                    Csv.number(d.low()),
                    Csv.number(d.high()),
                    Csv.number(d.g()));
        }
    }

    private static void differences(OutputStream out, List<ItemDifference> differences) throws IOException {
        line(out, "item", "sectionA", "sectionB", "odds", "chi2", "p", "delta");
        for (ItemDifference d : differences) {
            line(
                    out,
                    d.item(),
                    d.first(),
                    d.second(),
                    Csv.number(d.odds()),
                    Csv.number(d.chi2()),
                    Csv.number(d.p()),
                    Csv.number(d.delta()));
        }
    }

    private static void line(OutputStream out, String... cells) throws IOException {
        out.write(Bytes.utf8(Csv.row(cells)));
    }
}
