package org.scholion.formats.batch;

import java.io.IOException;
import java.io.OutputStream;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.scholion.core.number.Fraction;
import org.scholion.core.standard.Evidence;
import org.scholion.core.standard.Wilson;
import org.scholion.core.total.AttemptTotal;
import org.scholion.core.total.Grading;
import org.scholion.core.total.Outcome;

/** {@code score}: marks while the file is read, totals and results when it has ended. */
final class ScoreCommand {
    private final Arguments asked;
    private final Key key;
    private final Progress progress;
    private final Grading grading;

    ScoreCommand(Arguments asked, Key key, Progress progress) {
        this.asked = asked;
        this.key = key;
        this.progress = progress;
        this.grading = key.assessment.grading();
    }

    void run() throws IOException {
        Sitting sitting = new Sitting(grading);
        try (Out out = new Out(asked.out())) {
            OutputStream scores = out.file("scores.csv");
            scores.write(Bytes.utf8("student,attempt,item,state,credit,points,counted,rule,because\n"));
            new Run(key, true, progress).read(asked.responses(), asked.ignoreUnknown(), new Run.Reader() {
                @Override
                public boolean row(Row row) {
                    return sitting.add(row);
                }

                @Override
                public void scores(Bytes rows) throws IOException {
                    scores.write(rows.array(), 0, rows.length());
                }
            });
            List<Outcome> outcomes = sitting.outcomes();
            List<Sitting.Result> results = sitting.results(outcomes);
            totals(out.file("totals.csv"), sitting, outcomes, results);
            results(out.file("results.csv"), results);
            standards(out.file("standards.csv"), sitting, results);
            out.publish();
        }
    }

    private static void totals(OutputStream out, Sitting sitting, List<Outcome> outcomes, List<Sitting.Result> results)
            throws IOException {
        boolean[] counts = new boolean[outcomes.size()];
        results.forEach(r -> r.own().forEach(place -> counts[place] = r.counts(place)));
        out.write(Bytes.utf8("student,attempt,counts,score,possible,percent,provisional\n"));
        for (int i = 0; i < counts.length; i++) {
            Sitting.Kept kept = sitting.attempts().get(i);
            AttemptTotal total = outcomes.get(i).total();
            out.write(Bytes.utf8(Csv.row(
                    kept.student(),
                    Integer.toString(kept.attempt()),
                    Csv.yesNo(counts[i]),
                    Csv.number(total.score()),
                    Csv.number(total.possible()),
                    Csv.number(outcomes.get(i).percent()),
                    Csv.yesNo(total.provisional()))));
        }
    }

    private static void results(OutputStream out, List<Sitting.Result> results) throws IOException {
        out.write(Bytes.utf8("student,attempts,percent,band,passed,provisional\n"));
        for (Sitting.Result r : results) {
            Grading.Band band = r.result().band();
            out.write(Bytes.utf8(Csv.row(
                    r.student(),
                    Integer.toString(r.own().size()),
                    Csv.number(r.result().percent()),
                    band == null ? "" : band.label(),
                    Csv.yesNo(r.result().passed()),
                    Csv.yesNo(r.result().provisional()))));
        }
    }

    private void standards(OutputStream out, Sitting sitting, List<Sitting.Result> results) throws IOException {
        out.write(Bytes.utf8("student,standard,score,possible,percent,evidence,low,high\n"));
        for (Sitting.Result r : results) {
            @Nullable Evidence[] found = sitting.attempts().get(r.standing()).evidence();
            for (int c = 0; c < found.length; c++) {
                if (found[c] != null) {
                    out.write(Bytes.utf8(row(r.student(), key.alignments.codes().get(c), found[c])));
                }
            }
        }
    }

    private String row(String student, String code, Evidence evidence) {
        Wilson interval = evidence.interval();
        Fraction percent = grading.rounded(evidence.percent());
        return Csv.row(
                student,
                code,
                Csv.number(evidence.score()),
                Csv.number(evidence.possible()),
                Csv.number(percent),
                Integer.toString(evidence.pieces()),
                interval == null ? "" : Csv.number(100 * interval.low()),
                interval == null ? "" : Csv.number(100 * interval.high()));
    }
}
