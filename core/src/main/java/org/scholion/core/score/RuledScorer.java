package org.scholion.core.score;

import java.util.Map;
import org.scholion.core.answer.Answer;
import org.scholion.core.reason.Reason;

/** A scorer before whose rules go decisions that people made on single answers. */
record RuledScorer(Scorer rules, Map<String, Ruling> rulings) implements Scorer {
    @Override
    public Mark score(Answer answer) {
        Ruling ruling = answer.isBlank() ? null : rulings.get(rules.form(answer));
        if (ruling == null) {
            return rules.score(answer);
        }
        Reason reason = Reason.of(Reason.Code.RULING);
        return Mark.scored(ruling.credit(), ruling.note() == null ? reason : reason.with("note", ruling.note()));
    }

    @Override
    public String form(Answer answer) {
        return rules.form(answer);
    }
}
