package org.scholion.bench;

import java.text.Normalizer;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OperationsPerInvocation;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.infra.Blackhole;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.Head;
import org.scholion.core.item.TextItem;
import org.scholion.core.number.Fraction;
import org.scholion.core.score.Scorer;

/** Short texts, beside one hash lookup of the same string after the JDK's Unicode normalisation. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.NANOSECONDS)
public class TextBench {
    static final List<String> LISTED = List.of(
            "bowline",
            "half hitch",
            "reef knot",
            "sheet bend",
            "clove hitch",
            "figure of eight",
            "rolling hitch",
            "cleat hitch",
            "anchor bend",
            "double sheet bend",
            "round turn",
            "fisherman's knot",
            "carrick bend",
            "marlinspike",
            "monkey's fist",
            "prusik",
            "stopper knot",
            "eye splice",
            "back splice",
            "whipping");
    private static final String[] SAME = LISTED.toArray(new String[0]);
    private static final String[] NEW = LISTED.stream()
            .map(t -> Character.toUpperCase(t.charAt(0)) + t.substring(1) + " ")
            .toArray(String[]::new);
    /** One letter other than it should be, everywhere and by every letter: too many to be remembered. */
    private static final String[] SLIPS = LISTED.stream()
            .flatMap(t -> IntStream.range(0, t.length())
                    .boxed()
                    .flatMap(at -> IntStream.range(0, 20)
                            .mapToObj(c -> t.substring(0, at) + (char) ('a' + c) + t.substring(at + 1))))
            .filter(t -> !LISTED.contains(t))
            .distinct()
            .limit(4000)
            .toArray(String[]::new);

    static final int SLIPPED = 4000;
    static final int TEXTS = 20;

    private final Scorer scorer = Scorer.of(new TextItem(
            Head.of("q", Fraction.ONE),
            LISTED.stream()
                    .<TextItem.Accepted>map(t -> new TextItem.SameText(t, Fraction.ONE, null))
                    .toList(),
            List.of(),
            Fraction.ZERO,
            EnumSet.of(TextItem.Ignore.CASE, TextItem.Ignore.SPACE),
            TextItem.Spelling.LENGTH,
            Fraction.ONE,
            true,
            "en"));
    private final Answer[] listed = LISTED.stream().map(Answer.Typed::new).toArray(Answer[]::new);
    private final Answer[] varied = answers(NEW);
    private final Answer[] slips = answers(SLIPS);
    private final Map<String, Integer> table = new HashMap<>();

    public TextBench() {
        for (int i = 0; i < TEXTS; i++) {
            table.put(LISTED.get(i), i);
            table.put(NEW[i], i);
        }
        for (String slip : SLIPS) {
            table.put(slip, 0);
        }
    }

    private static Answer[] answers(String[] texts) {
        return java.util.Arrays.stream(texts).map(Answer.Typed::new).toArray(Answer[]::new);
    }

    private void score(Answer[] answers, Blackhole sink) {
        for (Answer answer : answers) {
            sink.consume(scorer.score(answer));
        }
    }

    @Benchmark
    @OperationsPerInvocation(TEXTS)
    public void listed(Blackhole sink) {
        score(listed, sink);
    }

    /** In other capitals and with a space too many. */
    @Benchmark
    @OperationsPerInvocation(TEXTS)
    public void listedOtherwise(Blackhole sink) {
        score(varied, sink);
    }

    @Benchmark
    @OperationsPerInvocation(SLIPPED)
    public void spelling(Blackhole sink) {
        score(slips, sink);
    }

    @Benchmark
    @OperationsPerInvocation(TEXTS)
    public void lookupOnly(Blackhole sink) {
        lookup(SAME, sink);
    }

    @Benchmark
    @OperationsPerInvocation(TEXTS)
    public void lookupOnlyOtherwise(Blackhole sink) {
        lookup(NEW, sink);
    }

    @Benchmark
    @OperationsPerInvocation(SLIPPED)
    public void lookupOnlySlips(Blackhole sink) {
        lookup(SLIPS, sink);
    }

    private void lookup(String[] texts, Blackhole sink) {
        for (String text : texts) {
            @Nullable Integer place = table.get(Normalizer.normalize(text, Normalizer.Form.NFKC));
            sink.consume(place);
        }
    }
}
