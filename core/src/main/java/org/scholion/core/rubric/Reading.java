package org.scholion.core.rubric;

import java.util.HashMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.OpenItem;
import org.scholion.core.item.Rubric;
import org.scholion.core.number.Fraction;
import org.scholion.core.reason.Reason;
import org.scholion.core.score.Mark;
import org.scholion.core.score.Scorer;
import org.scholion.core.score.State;

/**
 * What a reader chose for one open answer: a level for each criterion, or points where there is no rubric, or over it.
 *
 * @param levels level ids by criterion id; a criterion may still be missing
 * @param why why the points are not those of the rubric; empty where there is none
 */
public record Reading(Map<String, String> levels, @Nullable Fraction points, String why) {
    public Reading {
        levels = Map.copyOf(levels);
    }

    public Reading(Map<String, String> levels, @Nullable Fraction points) {
        this(levels, points, "");
    }

    /** What of it still stands under a rubric that has changed: levels that are no longer there are not chosen. */
    public Reading under(OpenItem item) {
        Map<String, String> kept = new HashMap<>();
        for (Rubric.Criterion criterion : item.criteria()) {
            String level = levels.get(criterion.id());
            if (level != null && criterion.level(level).isPresent()) {
                kept.put(criterion.id(), level);
            }
        }
        return new Reading(kept, points, why);
    }

    /**
     * What the reading is worth; it still waits in {@link State#READ} while a criterion is missing. Points over a rubric
     * count instead of its levels, which stay.
     *
     * @throws IllegalArgumentException naming an unknown criterion or level, or points beyond the possible
     */
    public Mark markOf(OpenItem item) {
        if (item.rubric() == null && points == null) {
            return Mark.unread(Reason.of(Reason.Code.OPEN_WAITS));
        }
        Mark mark = Scorer.of(item).score(new Answer.Written("", item.rubric() == null ? null : levels, points));
        return item.rubric() == null || points == null
                ? mark
                : Mark.scored(mark.credit(), mark.reason().with("note", why));
    }
}
