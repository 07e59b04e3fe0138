package org.scholion.core.rubric;

import java.util.List;
import java.util.Objects;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.scholion.core.item.Faulty;
import org.scholion.core.item.OpenItem;
import org.scholion.core.number.Fraction;
import org.scholion.core.reason.Reason;
import org.scholion.core.reason.Reason.Code;
import org.scholion.core.score.Mark;
import org.scholion.core.score.State;

/**
 * What counts when an answer is read twice.
 *
 * @param apart with {@link Way#THIRD}: readings that differ by more points than this need a third one
 */
public record Resolving(Way way, @Nullable Fraction apart) {
    /** The first reading, the mean, the higher, or a third reading when two differ too much. */
    public enum Way {
        FIRST,
        MEAN,
        HIGHER,
        THIRD
    }

    public Resolving {
        Faulty.unless(
                (way == Way.THIRD) == (apart != null), "apart", "apart goes with a third reading, and only there");
    }

    /**
     * The mark that the readings come to, in the order in which they were made. Until enough are complete it waits
     * in {@link State#READ}. Without a need for a third reading, two that lie close together count with their mean.
     */
    public Mark of(OpenItem item, List<Reading> readings) {
        List<Mark> marks = readings.stream().map(r -> r.markOf(item)).toList();
        List<Integer> counting = counting(item, marks);
        if (counting.size() == 2) {
            return mean(item, marks.get(counting.get(0)), marks.get(counting.get(1)));
        }
        if (counting.size() == 1) {
            return marks.get(counting.get(0));
        }
        List<Mark> complete = complete(marks).stream().map(marks::get).toList();
        return way == Way.THIRD && complete.size() == 2
                ? Mark.unread(Reason.of(Code.OPEN_APART)
                        .with("apart", between(item, complete.get(0), complete.get(1)))
                        .with("allowed", Objects.requireNonNull(apart)))
                : Mark.unread(Reason.of(Code.OPEN_WAITS));
    }

    /**
     * Which of the readings count, by their places: none while the mark waits, one, or two of which the mean counts.
     *
     * @param readings in the order in which they were made
     */
    public List<Integer> countingOf(OpenItem item, List<Reading> readings) {
        return counting(item, readings.stream().map(r -> r.markOf(item)).toList());
    }

    private List<Integer> counting(OpenItem item, List<Mark> marks) {
        List<Integer> complete = complete(marks);
        if (complete.size() < (way == Way.FIRST ? 1 : 2)) {
            return List.of();
        }
        if (way == Way.FIRST) {
            return complete.subList(0, 1);
        }
        Mark first = marks.get(complete.get(0));
        Mark second = marks.get(complete.get(1));
        if (way == Way.HIGHER) {
            int higher = first.credit().compareTo(second.credit()) >= 0 ? 0 : 1;
            return complete.subList(higher, higher + 1);
        }
        boolean isNear = apart == null || between(item, first, second).compareTo(apart) <= 0;
        return isNear ? complete.subList(0, 2) : complete.subList(2, Math.min(3, complete.size()));
    }

    private static List<Integer> complete(List<Mark> marks) {
        return IntStream.range(0, marks.size())
                .filter(i -> marks.get(i).state() == State.SCORED)
                .boxed()
                .toList();
    }

    /** In points. */
    private static Fraction between(OpenItem item, Mark a, Mark b) {
        return a.credit().minus(b.credit()).abs().times(item.points());
    }

    private static Mark mean(OpenItem item, Mark a, Mark b) {
        Fraction credit = a.credit().plus(b.credit()).over(2);
        return Mark.scored(
                credit,
                Reason.of(Code.OPEN_MEAN)
                        .with("first", a.credit().times(item.points()))
                        .with("second", b.credit().times(item.points()))
                        .with("possible", item.points()));
    }
}
