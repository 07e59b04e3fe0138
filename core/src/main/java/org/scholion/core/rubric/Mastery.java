package org.scholion.core.rubric;

import java.util.List;
import java.util.Optional;
import org.scholion.core.item.OpenItem;
import org.scholion.core.item.Rubric;
import org.scholion.core.number.Fraction;
import org.scholion.core.score.Mark;
import org.scholion.core.score.State;

/** Whether an open answer counts as mastered: from a level of its rubric on, or from so many points on. */
public final class Mastery {
    private Mastery() {}

    /**
     * From a level on, every criterion that has the level has to reach at least its points. Empty where the item names
     * no bound, where nobody has decided yet, and where a mark does not say what each criterion earned.
     */
    public static Optional<Boolean> of(OpenItem item, Mark mark) {
        String bound = item.mastery();
        if (bound == null || mark.state().isUndecided() || mark.state() == State.EXCUSED) {
            return Optional.empty();
        }
        if (!item.masteryIsLevel()) {
            return Optional.of(mark.credit().times(item.points()).compareTo(Fraction.exactly(bound)) >= 0);
        }
        List<Fraction> earned = mark.reason().amounts("earned");
        if (mark.state() == State.BLANK) {
            return Optional.of(false);
        }
        return earned.size() == item.criteria().size() ? Optional.of(reached(item, bound, earned)) : Optional.empty();
    }

    private static boolean reached(OpenItem item, String level, List<Fraction> earned) {
        for (int i = 0; i < earned.size(); i++) {
            Rubric.Criterion criterion = item.criteria().get(i);
            Fraction got = earned.get(i);
            boolean below = criterion
                    .level(level)
                    .filter(l -> got.compareTo(l.points().times(criterion.weight())) < 0)
                    .isPresent();
            if (below) {
                return false;
            }
        }
        return true;
    }
}
