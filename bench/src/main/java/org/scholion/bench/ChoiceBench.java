package org.scholion.bench;

import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OperationsPerInvocation;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.scholion.core.item.ChoiceItem;
import org.scholion.core.item.Head;
import org.scholion.core.number.Fraction;
import org.scholion.core.score.Mark;
import org.scholion.core.score.Scorer;

/** Marks of a choice of one, beside a loop that only compares the same option ids with the key. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.NANOSECONDS)
public class ChoiceBench {
    static final int ANSWERS = 10_000;

    private final String[] answers = new String[ANSWERS];
    private final Mark[] marks = new Mark[ANSWERS];
    private final boolean[] right = new boolean[ANSWERS];
    private final Scorer.OneChoice scorer;

    public ChoiceBench() {
        Random random = new Random(1);
        for (int i = 0; i < ANSWERS; i++) {
            answers[i] = String.valueOf((char) ('a' + random.nextInt(4)));
        }
        scorer = Scorer.ofOne(new ChoiceItem(
                Head.of("q", Fraction.ONE),
                List.of("a", "b", "c", "d").stream()
                        .map(o -> new ChoiceItem.Option(o, ""))
                        .toList(),
                List.of("b"),
                1,
                ChoiceItem.Rule.EXACT,
                Map.of("c", Fraction.HALF),
                Fraction.of(1, 4),
                false,
                false));
    }

    @Benchmark
    @OperationsPerInvocation(ANSWERS)
    public Mark[] marks() {
        for (int i = 0; i < ANSWERS; i++) {
            marks[i] = Objects.requireNonNull(scorer.chosen(answers[i]));
        }
        return marks;
    }

    @Benchmark
    @OperationsPerInvocation(ANSWERS)
    public boolean[] compareOnly() {
        for (int i = 0; i < ANSWERS; i++) {
            right[i] = answers[i].equals("b");
        }
        return right;
    }
}
