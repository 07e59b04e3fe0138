package org.scholion.formats.batch;

import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import org.jspecify.annotations.Nullable;
import org.scholion.core.number.Fraction;
import org.scholion.core.standard.Evidence;
import org.scholion.core.standard.Wilson;
import org.scholion.core.total.AttemptTotal;
import org.scholion.core.total.Grading;
import org.scholion.core.total.Outcome;

/** {@code score}: marks while the file is read, totals and results when it has ended. */
final class ScoreCommand {
    private static final byte[] NOTHING = {};
    private static final byte[] COMMA = Bytes.utf8(",");
    private static final byte[] YES = Bytes.utf8(",yes\n");
    private static final byte[] NO = Bytes.utf8(",no\n");

    private final Arguments asked;
    private final Key key;
    private final Progress progress;
    private final Grading grading;
    private final Map<Fraction, byte[]> numbers = new HashMap<>();

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
            OutputStream standards = out.file("standards.csv");
            CompletableFuture<Void> beside = CompletableFuture.runAsync(() -> {
                try {
                    standards(standards, sitting, results);
                } catch (IOException e) {
                    throw new UncheckedIOException(e);
                }
            });
            totals(out.file("totals.csv"), sitting, outcomes, results);
            results(out.file("results.csv"), results);
            beside.join();
            out.publish();
        }
    }

    private void totals(OutputStream out, Sitting sitting, List<Outcome> outcomes, List<Sitting.Result> results)
            throws IOException {
        boolean[] counts = new boolean[outcomes.size()];
        results.forEach(r -> r.own().forEach(place -> counts[place] = r.counts(place)));
        Bytes rows = new Bytes(1 << 17).add("student,attempt,counts,score,possible,percent,provisional\n");
        for (int i = 0; i < counts.length; i++) {
            Sitting.Kept kept = sitting.attempts().get(i);
            AttemptTotal total = outcomes.get(i).total();
            rows.add(Csv.cell(kept.student()) + "," + kept.attempt() + "," + Csv.yesNo(counts[i]) + ",")
                    .add(number(total.score()))
                    .add(COMMA)
                    .add(number(total.possible()))
                    .add(COMMA)
                    .add(number(outcomes.get(i).percent()))
                    .add(total.provisional() ? YES : NO)
                    .flush(out, false);
        }
        rows.flush(out, true);
    }

    /** A number's text; equal ones are written once. */
    private byte[] number(@Nullable Fraction value) {
        return value == null ? NOTHING : numbers.computeIfAbsent(value, v -> Bytes.utf8(Csv.number(v)));
    }

    private void results(OutputStream out, List<Sitting.Result> results) throws IOException {
        Bytes rows = new Bytes(1 << 17).add("student,attempts,percent,band,passed,provisional\n");
        for (Sitting.Result r : results) {
            Grading.Band band = r.result().band();
            rows.add(Csv.cell(r.student()) + "," + r.own().size() + ",")
                    .add(number(r.result().percent()))
                    .add("," + Csv.cell(band == null ? "" : band.label()) + ","
                            + Csv.yesNo(r.result().passed()))
                    .add(r.result().provisional() ? YES : NO)
                    .flush(out, false);
        }
        rows.flush(out, true);
    }

    private void standards(OutputStream out, Sitting sitting, List<Sitting.Result> results) throws IOException {
        byte[][] codes = key.alignments.codes().stream()
                .map(c -> Bytes.utf8("," + Csv.cell(c) + ","))
                .toArray(byte[][]::new);
        // Equal evidence is written alike, and there are far fewer kinds of it than students.
        Map<Evidence, byte[]> texts = new HashMap<>();
        Bytes rows = new Bytes(1 << 17).add("student,standard,score,possible,percent,evidence,low,high\n");
        for (Sitting.Result r : results) {
            @Nullable Evidence[] found = sitting.attempts().get(r.standing()).evidence();
            byte[] student = Bytes.utf8(Csv.cell(r.student()));
            for (int c = 0; c < found.length; c++) {
                Evidence evidence = found[c];
                if (evidence != null) {
                    rows.add(student).add(codes[c]).add(texts.computeIfAbsent(evidence, e -> Bytes.utf8(row(e))));
                }
            }
            rows.flush(out, false);
        }
        rows.flush(out, true);
    }

    private String row(Evidence evidence) {
        Wilson interval = evidence.interval();
        Fraction percent = grading.rounded(evidence.percent());
        return Csv.row(
                Csv.number(evidence.score()),
                Csv.number(evidence.possible()),
                Csv.number(percent),
                Integer.toString(evidence.pieces()),
                interval == null ? "" : Csv.number(100 * interval.low()),
                interval == null ? "" : Csv.number(100 * interval.high()));
    }
}
