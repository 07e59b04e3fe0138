package org.scholion.bench;

import java.util.List;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OperationsPerInvocation;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.infra.Blackhole;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.FormulaItem;
import org.scholion.core.item.Head;
import org.scholion.core.item.WorkingItem;
import org.scholion.core.maths.Budget;
import org.scholion.core.maths.MathNames;
import org.scholion.core.maths.MathReader;
import org.scholion.core.maths.Unreadable;
import org.scholion.core.maths.WorkLine;
import org.scholion.core.number.Fraction;
import org.scholion.core.score.Scorer;

/** Marks of formulas and of lines of working, beside reading the same answers and nothing more. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
public class FormulaBench {
    static final int FORMULAS = 16;
    static final int WORKINGS = 4;

    /** A class's answers to four questions: right ones in several writings, and wrong ones. */
    private static final String[][] ANSWERS = {
        {"x^2 + 2x + 1", "(x+1)^2", "x²+2x+1", "(x+1)(x+1)", "x^2 + 1"},
        {"x=2 or x=3", "x=2, x=3", "{2;3}", "x = 3 or x = 2", "x=2"},
        {"2<x≤5", "(2;5]", "x>2 and x≤5", "2 < x < 5", "[2;5]"},
        {"sin(2x)", "2 sin x cos x", "sin 2x", "2 sin x", "cos(2x)"},
    };

    private static final String[][] LINES = {
        {"2x+6=10", "x=2", "2x=4", "x=2"},
        {"x²-5x+6=0", "x=2 or x=3", "(x-2)(x-3)=0", "x=2 or x=3"},
        {"3(x+4)=21", "x=3", "3x+12=21", "3x=9", "x=3"},
        {"2x+3=11", "x=4", "2x=7", "x=3.5"},
    };

    private static final MathNames X = new MathNames(List.of("x"));
    private final Scorer[] formulas = new Scorer[ANSWERS.length];
    private final Scorer[] workings = new Scorer[LINES.length];

    public FormulaBench() {
        for (int i = 0; i < ANSWERS.length; i++) {
            formulas[i] = Scorer.of(new FormulaItem(
                    Head.of("q", Fraction.ONE),
                    List.of(ANSWERS[i][0]),
                    List.of("x"),
                    List.of(),
                    List.of(),
                    FormulaItem.Form.ANY,
                    Fraction.ZERO));
            workings[i] = Scorer.of(new WorkingItem(
                    Head.of("q", Fraction.ONE),
                    LINES[i][0],
                    List.of(LINES[i][1]),
                    List.of("x"),
                    Fraction.HALF,
                    Fraction.HALF,
                    false));
        }
    }

    @Benchmark
    @OperationsPerInvocation(FORMULAS)
    public void formulaMarks(Blackhole sink) {
        for (int i = 0; i < ANSWERS.length; i++) {
            for (int k = 1; k < ANSWERS[i].length; k++) {
                sink.consume(formulas[i].score(new Answer.Typed(ANSWERS[i][k])));
            }
        }
    }

    @Benchmark
    @OperationsPerInvocation(FORMULAS)
    public void formulasRead(Blackhole sink) throws Unreadable {
        for (String[] answers : ANSWERS) {
            for (int k = 1; k < answers.length; k++) {
                sink.consume(MathReader.readings(answers[k], X));
            }
        }
    }

    @Benchmark
    @OperationsPerInvocation(WORKINGS)
    public void workingMarks(Blackhole sink) {
        for (int i = 0; i < LINES.length; i++) {
            sink.consume(workings[i].score(new Answer.Lines(List.of(LINES[i]).subList(2, LINES[i].length))));
        }
    }

    @Benchmark
    @OperationsPerInvocation(WORKINGS)
    public void workingsRead(Blackhole sink) throws Unreadable {
        for (String[] lines : LINES) {
            for (int k = 2; k < lines.length; k++) {
                sink.consume(WorkLine.read(lines[k], X, Budget.usual()));
            }
        }
    }
}
