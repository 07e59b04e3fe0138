package org.scholion.core.rubric;

import java.util.List;
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
        List<Mark> marks = readings.stream()
                .map(r -> r.markOf(item))
                .filter(m -> m.state() == State.SCORED)
                .toList();
        int needed = way == Way.FIRST ? 1 : 2;
        if (marks.size() < needed) {
            return Mark.unread(Reason.of(Code.OPEN_WAITS));
        }
        return switch (way) {
            case FIRST -> marks.get(0);
            case HIGHER -> marks.get(0).credit().compareTo(marks.get(1).credit()) >= 0 ? marks.get(0) : marks.get(1);
            case MEAN -> mean(item, marks.get(0), marks.get(1));
            case THIRD -> third(item, marks);
        };
    }

    private Mark third(OpenItem item, List<Mark> marks) {
        Fraction between =
                marks.get(0).credit().minus(marks.get(1).credit()).abs().times(item.points());
        if (apart == null || between.compareTo(apart) <= 0) {
            return mean(item, marks.get(0), marks.get(1));
        }
        return marks.size() > 2
                ? marks.get(2)
                : Mark.unread(Reason.of(Code.OPEN_APART).with("apart", between).with("allowed", apart));
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
