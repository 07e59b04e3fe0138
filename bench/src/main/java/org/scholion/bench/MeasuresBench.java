package org.scholion.bench;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.scholion.core.measure.Column;
import org.scholion.core.measure.Figures;
import org.scholion.core.measure.Scores;
import org.scholion.core.number.Fraction;

/** All figures of 100,000 attempts at 60 choices, beside plain loops for the mean and variance of the same scores. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
public class MeasuresBench {
    private static final int ATTEMPTS = 100_000;
    private static final int ITEMS = 60;

    private final double[][] plain = new double[ITEMS][ATTEMPTS];
    private final Scores scores;

    public MeasuresBench() {
        Random random = new Random(1);
        double[] ability = random.doubles(ATTEMPTS).toArray();
        List<Column> columns = new ArrayList<>();
        for (int j = 0; j < ITEMS; j++) {
            int[] codes = new int[ATTEMPTS];
            for (int i = 0; i < ATTEMPTS; i++) {
                codes[i] = random.nextDouble() < ability[i] ? 0 : 1 + random.nextInt(3);
                plain[j][i] = codes[i] == 0 ? 1 : 0;
            }
            columns.add(new Column(
                    "q" + j, codes, kinds(), Fraction.ONE, true, List.of("a", "b", "c", "d"), List.of("a"), true));
        }
        scores = Scores.of(columns);
    }

    private static List<Column.Kind> kinds() {
        List<Column.Kind> kinds = new ArrayList<>();
        for (int o = 0; o < 4; o++) {
            kinds.add(new Column.Kind(Fraction.of(o == 0 ? 1 : 0), false, false, o == 0, Collections.singletonList(o)));
        }
        return kinds;
    }

    @Benchmark
    public Figures figures() {
        return Figures.of(scores);
    }

    @Benchmark
    public double[] meansAndVariances() {
        double[] all = new double[2 * ITEMS];
        for (int j = 0; j < ITEMS; j++) {
            double sum = 0;
            for (double x : plain[j]) {
                sum += x;
            }
            double mean = sum / ATTEMPTS;
            double squares = 0;
            for (double x : plain[j]) {
                squares += (x - mean) * (x - mean);
            }
            all[2 * j] = mean;
            all[2 * j + 1] = squares / (ATTEMPTS - 1);
        }
        return all;
    }
}
