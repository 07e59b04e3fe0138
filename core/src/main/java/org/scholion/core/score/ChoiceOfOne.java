package org.scholion.core.score;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.ChoiceItem;
import org.scholion.core.number.Fraction;
import org.scholion.core.reason.Reason;
import org.scholion.core.reason.Reason.Code;

/** One choice: every mark it can give is made when it is compiled. */
final class ChoiceOfOne implements Scorer {
    private final ChoiceItem item;
    private final Map<String, Mark> marks = new HashMap<>();

    ChoiceOfOne(ChoiceItem item) {
        this.item = item;
        Labels labels = new Labels(item);
        List<String> keyed = labels.of(item.key());
        for (ChoiceItem.Option option : item.options()) {
            marks.put(option.id(), mark(option.id(), labels.of(option.id()), keyed));
        }
    }

    private Mark mark(String id, String label, List<String> keyed) {
        if (item.key().contains(id)) {
            return Mark.scored(Fraction.ONE, Reason.of(Code.CHOICE_KEY).with("chosen", label));
        }
        Fraction credit = item.credits().get(id);
        return credit == null
                ? Mark.wrong(
                        item.penalty(),
                        Reason.of(Code.CHOICE_OTHER).with("chosen", label).with("key", keyed))
                : Mark.scored(
                        credit,
                        Reason.of(Code.CHOICE_CREDIT).with("chosen", label).with("credit", credit));
    }

    @Override
    public Mark score(Answer answer) {
        Set<String> chosen = Expect.chosen(item, answer).options();
        if (chosen.isEmpty()) {
            return Mark.BLANK;
        }
        if (chosen.size() == 1) {
            Mark mark = marks.get(chosen.iterator().next());
            if (mark != null) {
                return mark;
            }
        }
        Labels labels = new Labels(item);
        labels.refuseUnknown(chosen);
        List<String> names = labels.inOrder(chosen);
        return item.severalWrong()
                ? Mark.wrong(
                        item.penalty(), Reason.of(Code.CHOICE_SEVERAL_WRONG).with("chosen", names))
                : Mark.settle(Reason.of(Code.CHOICE_SEVERAL).with("chosen", names));
    }

    @Override
    public String form(Answer answer) {
        return Labels.form(Expect.chosen(item, answer).options());
    }
}
