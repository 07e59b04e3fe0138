package org.scholion.core.maths;

import static org.assertj.core.api.Assertions.assertThat;

import com.sun.management.ThreadMXBean;
import java.lang.management.ManagementFactory;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.FormulaItem;
import org.scholion.core.item.Head;
import org.scholion.core.item.WorkingItem;
import org.scholion.core.number.Fraction;
import org.scholion.core.score.Scorer;

/** Whatever is typed, one answer takes little: measured in bytes, since these are the same on every machine. */
class BoundedTest {
    private static final long MOST = 64L << 20;
    private static final ThreadMXBean THREADS = (ThreadMXBean) ManagementFactory.getThreadMXBean();

    static Stream<String> typed() {
        String wilkinson =
                IntStream.rangeClosed(1, 20).mapToObj(i -> "(x-" + i + ")").collect(Collectors.joining());
        String roots =
                IntStream.of(2, 3, 5, 7, 11, 13, 17, 19).mapToObj(i -> "√" + i).collect(Collectors.joining("+"));
        return Stream.of(
                wilkinson + "=2^-23",
                wilkinson + "=10^-40",
                "(" + roots + ")^60",
                "(" + roots + ")^60=x",
                "(x+y+1)^60",
                "((((x+1)^20)^20)^20)",
                "9^9^9^9",
                "x^x^x^x",
                "(x+1)^59/(x+2)^59+(x+3)^59/(x+4)^59",
                "(123456789x+987654321)^40=(987654321x-123456789)^39",
                "|x-1|+|x-2|+|x-3|=√(x-1)+√(x-2)",
                "√(x+1)+√(x+2)+√(x+3)=x^20",
                "sin(cos(sin(cos(sin(cos(sin(cos(x))))))))",
                "(sin x+cos x)^30+(sin x-cos x)^30",
                "ln(ln(ln(ln(x+10)+10)+10)+10)*e^(e^(e^x))",
                "x^40-10^30x^39+7^30x^20-3^50=0",
                "|x|".repeat(30),
                "√".repeat(50) + "x",
                "(((((x+1)^2+1)^2+1)^2+1)^2+1)^2=7",
                "(x^2-2)(x^2-3)(x^2-5)(x^2-7)(x^2-11)(x^2-13)>0",
                "1" + "0".repeat(190) + "x^40=" + "9".repeat(199),
                "(a+b+c+d+e+f)^12=0",
                "(2^200+x)^40",
                "x=1 or ".repeat(100) + "x=2",
                "1/(x-1)+1/(x-2)+1/(x-3)+1/(x-4)+1/(x-5)+1/(x-6)+1/(x-7)=1/(x-8)+1/(x-9)",
                "((x)".repeat(40) + ")".repeat(40));
    }

    @ParameterizedTest
    @MethodSource("typed")
    void one_answer_takes_little_whatever_is_typed(String typed) {
        for (String key : List.of("x^2+1", "x=2 or x=-√3", "x>2", "√(x²+y²)")) {
            for (FormulaItem.Form form : List.of(FormulaItem.Form.ANY, FormulaItem.Form.FACTORED)) {
                Scorer scorer = Scorer.of(new FormulaItem(
                        Head.of("q", Fraction.ONE),
                        List.of(key),
                        List.of(),
                        List.of(),
                        List.of(),
                        form,
                        Fraction.HALF));
                takesLittle(key + " and " + typed, () -> scorer.score(new Answer.Typed(typed)));
            }
            Scorer own = typed.length() < 400 ? own(typed) : null;
            if (own != null) {
                takesLittle("the other way round " + key + " and " + typed, () -> own.score(new Answer.Typed(key)));
            }
        }
        Scorer working = working();
        takesLittle("a line " + typed, () -> working.score(new Answer.Lines(List.of(typed, typed + "+1", "x=2"))));
    }

    private static Scorer working() {
        return Scorer.of(new WorkingItem(
                Head.of("q", Fraction.ONE),
                "x^2=4",
                List.of("x=2 or x=-2"),
                List.of("x"),
                Fraction.HALF,
                Fraction.HALF,
                true));
    }

    private static @org.jspecify.annotations.Nullable Scorer own(String typed) {
        try {
            return Scorer.of(new FormulaItem(
                    Head.of("q", Fraction.ONE),
                    List.of(typed),
                    List.of(),
                    List.of(),
                    List.of(),
                    FormulaItem.Form.ANY,
                    Fraction.HALF));
        } catch (RuntimeException e) {
            return null;
        }
    }

    @org.junit.jupiter.api.Test
    void a_megabyte_of_lines_takes_little() {
        Scorer working = working();
        List<String> many = IntStream.range(0, 20_000)
                .mapToObj(i -> "x^2+" + i + "=4+" + i + "+".repeat(30) + "0")
                .toList();
        takesLittle("lines", () -> working.score(new Answer.Lines(many)));
        List<String> hard = IntStream.range(0, 90)
                .mapToObj(i -> "x=(√2+√3+√5+√7+√11+√13+√17)^40=(√2+√3+√5+√7+√11+√13+√19)^40=" + i)
                .toList();
        takesLittle("hard lines", () -> working.score(new Answer.Lines(hard)));
        takesLittle("one line", () -> working.score(new Answer.Lines(List.of("x+".repeat(500_000) + "1=0"))));
    }

    private static void takesLittle(String what, Runnable work) {
        long thread = Thread.currentThread().getId();
        long before = THREADS.getThreadAllocatedBytes(thread);
        long began = System.nanoTime();
        work.run();
        long bytes = THREADS.getThreadAllocatedBytes(thread) - before;
        if (Boolean.getBoolean("scholion.told")) {
            System.out.println((System.nanoTime() - began) / 1_000_000 + " ms " + (bytes >> 20) + " MB " + what);
        }
        assertThat(bytes).as(what).isLessThan(MOST);
    }
}
