package org.scholion.core.score;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.OpenItem;
import org.scholion.core.item.Rubric;
import org.scholion.core.number.Fraction;
import org.scholion.core.reason.Reason;
import org.scholion.core.reason.Reason.Code;

/** An open answer: blank is blank, the rest waits for a reader unless the reading comes with it. */
final class OpenScorer implements Scorer {
    private final OpenItem item;

    OpenScorer(OpenItem item) {
        this.item = item;
    }

    @Override
    public Mark score(Answer answer) {
        if (answer instanceof Answer.Written written && written.points() != null) {
            return points(written.points());
        }
        if (answer instanceof Answer.Written written && written.levels() != null && item.rubric() != null) {
            return levels(item.rubric(), written.levels());
        }
        return answer.isBlank() ? Mark.BLANK : Mark.unread(Reason.of(Code.OPEN_WAITS));
    }

    private Mark points(Fraction given) {
        Fraction possible = item.points();
        if (given.abs().compareTo(possible) > 0) {
            throw new IllegalArgumentException(
                    "item " + item.id() + ": " + given + " points given, at most " + possible + " are possible");
        }
        Fraction credit = possible.isZero() ? Fraction.ZERO : given.over(possible);
        return Mark.scored(
                credit, Reason.of(Code.OPEN_POINTS).with("points", given).with("possible", possible));
    }

    private Mark levels(Rubric rubric, Map<String, String> chosen) {
        Fraction sum = Fraction.ZERO;
        List<String> criteria = new ArrayList<>();
        List<String> levels = new ArrayList<>();
        List<Fraction> earned = new ArrayList<>();
        refuseUnknown(rubric, chosen);
        for (Rubric.Criterion criterion : rubric.criteria()) {
            String id = chosen.get(criterion.id());
            if (id == null) {
                return Mark.unread(Reason.of(Code.OPEN_WAITS));
            }
            Rubric.Level level = criterion
                    .level(id)
                    .orElseThrow(() -> new IllegalArgumentException(
                            "item " + item.id() + ": criterion '" + criterion.id() + "' has no level '" + id + "'"));
            earned.add(level.points().times(criterion.weight()));
            sum = sum.plus(earned.get(earned.size() - 1));
            criteria.add(criterion.title().isBlank() ? criterion.id() : criterion.title());
            levels.add(level.text().isBlank() ? level.id() : level.text());
        }
        Reason reason = Reason.of(Code.OPEN_RUBRIC)
                .with("criteria", criteria)
                .with("levels", levels)
                .withAmounts("earned", earned)
                .with("sum", sum)
                .with("maximum", rubric.maximum());
        return Mark.scored(sum.over(rubric.maximum()), reason);
    }

    private void refuseUnknown(Rubric rubric, Map<String, String> chosen) {
        for (String id : chosen.keySet()) {
            if (rubric.criteria().stream().noneMatch(c -> c.id().equals(id))) {
                throw new IllegalArgumentException("item " + item.id() + ": the rubric has no criterion '" + id + "'");
            }
        }
    }

    @Override
    public String form(Answer answer) {
        return answer.shown();
    }
}
