package org.scholion.bench;

import java.math.BigDecimal;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OperationsPerInvocation;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.infra.Blackhole;
import org.scholion.core.quantity.TypedNumber;

/** Typed numbers read exactly, with their significant figures, beside new BigDecimal of the same text. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.NANOSECONDS)
public class NumberBench {
    private static final String[] PLAIN = {"12.5", "-3", "0.004", "1024", "6.75", "100", "3.14159", "-0.5"};
    static final int NUMBERS = 8;

    @Benchmark
    @OperationsPerInvocation(NUMBERS)
    public void typedNumber(Blackhole sink) {
        for (String text : PLAIN) {
            sink.consume(TypedNumber.read(text, '.', false));
        }
    }

    @Benchmark
    @OperationsPerInvocation(NUMBERS)
    public void bigDecimal(Blackhole sink) {
        for (String text : PLAIN) {
            sink.consume(new BigDecimal(text));
        }
    }
}
