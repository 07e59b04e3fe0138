package org.scholion.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** Prints the ratio of each benchmark to the plain thing that it is compared with, from JMH's results. */
public final class Ratios {
    private static final List<Ratio> RATIOS = List.of(
            new Ratio("choice marks", "ChoiceBench.marks", "ChoiceBench.compareOnly", 2),
            new Ratio("short text, listed", "TextBench.listed", "TextBench.lookupOnly", 3),
            new Ratio(
                    "short text, listed, written otherwise",
                    "TextBench.listedOtherwise",
                    "TextBench.lookupOnlyOtherwise",
                    3),
            new Ratio("short text, spelling among 20", "TextBench.spelling", "TextBench.lookupOnlySlips", 15),
            new Ratio("typed number", "NumberBench.typedNumber", "NumberBench.bigDecimal", 4),
            new Ratio(
                    "formula marks, beside reading them", "FormulaBench.formulaMarks", "FormulaBench.formulasRead", 20),
            new Ratio(
                    "working marks, beside reading them", "FormulaBench.workingMarks", "FormulaBench.workingsRead", 20),
            new Ratio("figures of 100,000 x 60", "MeasuresBench.figures", "MeasuresBench.meansAndVariances", 3));

    private record Ratio(String what, String ours, String plain, double atMost) {}

    private Ratios() {}

    public static void main(String[] args) throws IOException {
        Map<String, Double> scores = new HashMap<>();
        for (String line : Files.readAllLines(Path.of(args[0]))) {
            String[] cells = line.replace("\"", "").split(",");
            if (!cells[0].equals("Benchmark")) {
                scores.put(cells[0].replace("org.scholion.bench.", ""), Double.parseDouble(cells[4]));
            }
        }
        for (Ratio ratio : RATIOS) {
            double ours = scores.getOrDefault(ratio.ours(), Double.NaN);
            double plain = scores.getOrDefault(ratio.plain(), Double.NaN);
            System.out.printf(
                    "%-40s %10.2f / %10.2f = %5.2f (at most %.0f)%n",
                    ratio.what(), ours, plain, ours / plain, ratio.atMost());
        }
        scores.forEach((name, value) -> {
            if (name.endsWith("gc.alloc.rate.norm")) {
                System.out.printf("%-60s %10.2f bytes an operation%n", name, value);
            }
        });
    }
}
