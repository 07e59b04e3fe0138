package org.scholion.server.examine;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.scholion.core.number.Fraction;
import org.scholion.core.score.Mark;
import org.scholion.core.score.State;
import org.scholion.core.total.Adjustment;
import org.scholion.server.key.Edition;
import org.scholion.server.ledger.Brief;

/**
 * The mean of the results, where it is not the mean of the marks as they were scored, and why not.
 *
 * @param mean in points, with at most two decimals
 * @param why what results do and these figures do not
 */
public record ResultsMean(String mean, List<Why> why) {
    /** What results do with marks that figures take as they were scored. */
    public enum Why {
        ADJUSTED,
        PARTLY_DECIDED,
        BEST_COUNT,
        EXCUSED,
        LATE,
        NOT_BELOW_ZERO
    }

    static @Nullable ResultsMean of(Edition edition, List<Examined.Row> in, @Nullable Double asScored) {
        List<Fraction> scores = in.stream()
                .map(r -> Fraction.exactly(r.marked().standing().score()))
                .toList();
        if (scores.isEmpty() || asScored == null) {
            return null;
        }
        Fraction mean = Fraction.mean(scores);
        String shown = mean.toDecimal(2);
        String figure = Fraction.exactly(java.math.BigDecimal.valueOf(asScored).toPlainString())
                .toDecimal(2);
        return shown.equals(figure) ? null : new ResultsMean(shown, why(edition, in));
    }

    private static List<Why> why(Edition edition, List<Examined.Row> in) {
        List<Why> why = new ArrayList<>();
        if (edition.items().stream()
                .anyMatch(i -> edition.assessment()
                        .adjustment(i.id())
                        .filter(k -> k != Adjustment.Kind.DROP)
                        .isPresent())) {
            why.add(Why.ADJUSTED);
        }
        List<Mark> marks =
                in.stream().flatMap(r -> r.marks().stream()).map(Brief::mark).toList();
        if (marks.stream().anyMatch(m -> m.state().isUndecided() && !m.credit().isZero())) {
            why.add(Why.PARTLY_DECIDED);
        }
        if (edition.assessment().parts().stream().anyMatch(p -> p.best() != null)) {
            why.add(Why.BEST_COUNT);
        }
        if (marks.stream().anyMatch(m -> m.state() == State.EXCUSED)) {
            why.add(Why.EXCUSED);
        }
        if (edition.assessment().grading().late() != null
                && in.stream().anyMatch(r -> r.attempt().daysLate().signum() > 0)) {
            why.add(Why.LATE);
        }
        if (marks.stream().anyMatch(m -> m.credit().signum() < 0)
                && !edition.assessment().grading().negativeTotals()) {
            why.add(Why.NOT_BELOW_ZERO);
        }
        return why;
    }
}
