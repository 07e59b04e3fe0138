package org.scholion.core.total;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.function.IntPredicate;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.scholion.core.item.Item;
import org.scholion.core.number.Fraction;
import org.scholion.core.reason.Reason;
import org.scholion.core.reason.Reason.Code;
import org.scholion.core.score.Mark;
import org.scholion.core.score.State;

/** Why a total is what it is: which adjustments, which of best-of, weights, floor, lateness and curve. */
public final class TotalReason {
    private final Assessment assessment;
    private final List<Item> items;
    private final List<String> numbers;

    public TotalReason(Assessment assessment) {
        this(assessment, Set.of());
    }

    /** @param notAsked the items that this attempt's draw left out: they have no number and are not spoken of */
    public TotalReason(Assessment assessment, Set<String> notAsked) {
        this.assessment = assessment;
        this.items = assessment.scorable();
        this.numbers = numbers(items, notAsked);
    }

    private static List<String> numbers(List<Item> items, Set<String> notAsked) {
        List<String> numbers = new ArrayList<>();
        int number = 0;
        for (Item item : items) {
            numbers.add(notAsked.contains(item.id()) ? "" : String.valueOf(++number));
        }
        return numbers;
    }

    /** The reason of an attempt's outcome; the amounts are those of the outcome itself. */
    public Reason of(List<Mark> marks, Fraction daysLate, Outcome outcome) {
        AttemptTotal total = outcome.total();
        Fraction earned = total.counted().stream().filter(Objects::nonNull).reduce(Fraction.ZERO, Fraction::plus);
        Reason reason = Reason.of(Code.TOTAL)
                .with("earned", earned)
                .with("score", total.score())
                .with("possible", total.possible());
        reason = adjusted(reason, marks, total);
        if (earned.signum() < 0 && !assessment.grading().negativeTotals()) {
            reason = reason.with("floor", 0);
        }
        if (assessment.grading().late() != null && daysLate.signum() > 0) {
            reason = reason.with("late", daysLate.ceiling())
                    .with("factor", assessment.grading().late().factor(daysLate));
        }
        List<String> parts = weights();
        reason = parts.isEmpty() ? reason : reason.with("parts", parts);
        reason = curved(reason, total, outcome.exact());
        return outcome.percent() == null ? reason : reason.with("percent", outcome.percent());
    }

    private Reason adjusted(Reason reason, List<Mark> marks, AttemptTotal total) {
        Reason r = listed(reason, "dropped", i -> kind(i) == Adjustment.Kind.DROP);
        r = listed(r, "excused", i -> marks.get(i).state() == State.EXCUSED);
        r = listed(r, "credited", i -> isCredited(i, marks.get(i)));
        r = listed(r, "bonus", i -> kind(i) == Adjustment.Kind.BONUS);
        r = listed(
                r,
                "notBest",
                i -> total.counted().get(i) == null
                        && kind(i) != Adjustment.Kind.DROP
                        && marks.get(i).state() != State.EXCUSED);
        r = listed(
                r,
                "undecided",
                i -> waits(i, marks.get(i), total) && isZero(total.counted().get(i)));
        return listed(
                r,
                "partly",
                i -> waits(i, marks.get(i), total) && !isZero(total.counted().get(i)));
    }

    private boolean waits(int i, Mark mark, AttemptTotal total) {
        return total.counted().get(i) != null
                && !isCredited(i, mark)
                && mark.state().isUndecided();
    }

    private static boolean isZero(@Nullable Fraction counted) {
        return counted != null && counted.isZero();
    }

    private boolean isCredited(int i, Mark mark) {
        return mark.state() != State.EXCUSED
                && (kind(i) == Adjustment.Kind.CREDIT_ALL
                        || kind(i) == Adjustment.Kind.CREDIT_ANSWERED && mark.state() != State.BLANK);
    }

    private Adjustment.@Nullable Kind kind(int i) {
        return assessment.adjustment(items.get(i).id()).orElse(null);
    }

    private Reason listed(Reason reason, String name, IntPredicate holds) {
        List<String> found = IntStream.range(0, items.size())
                .filter(holds)
                .mapToObj(numbers::get)
                .filter(number -> !number.isEmpty())
                .toList();
        return found.isEmpty() ? reason : reason.with(name, found);
    }

    private List<String> weights() {
        List<String> weights = new ArrayList<>();
        for (Part part : assessment.parts()) {
            if (part.weight() != null) {
                weights.add((part.title().isBlank() ? part.id() : part.title()) + " "
                        + part.weight().toPoints());
            }
        }
        return weights;
    }

    private Reason curved(Reason reason, AttemptTotal total, @Nullable Fraction exact) {
        List<Curve> steps = assessment.grading().curve();
        if (steps.isEmpty() || exact == null || total.percent() == null) {
            return reason;
        }
        List<String> words = new ArrayList<>();
        words.add("before the curve " + total.percent().toDecimal(6) + "%");
        steps.forEach(step -> words.add(words(step)));
        return reason.with("curve", words);
    }

    private static String words(Curve step) {
        if (step instanceof Curve.Add add) {
            return (add.amount().signum() < 0 ? "minus " : "plus ")
                    + add.amount().abs().toReadable()
                    + (add.amount().abs().equals(Fraction.ONE) ? " percentage point" : " percentage points");
        }
        if (step instanceof Curve.ScaleTo scale) {
            return "scaled so that the highest is " + scale.top().toExact() + "%";
        }
        if (step instanceof Curve.Line line) {
            return "on the line from " + line.x1().toExact() + " → " + line.y1().toExact() + " to "
                    + line.x2().toExact() + " → " + line.y2().toExact();
        }
        return "10 × its square root";
    }
}
