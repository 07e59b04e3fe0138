package org.scholion.core.score;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.ChoiceItem;
import org.scholion.core.number.Fraction;
import org.scholion.core.reason.Reason;
import org.scholion.core.reason.Reason.Code;

/** One choice: every mark it can give is made when it is compiled. */
final class ChoiceOfOne implements Scorer, Scorer.OneChoice {
    private final ChoiceItem item;
    private final Map<String, Mark> marks = new HashMap<>();
    /** The marks of options that are one letter, as most are. */
    private final @Nullable Mark[] letters = new Mark[128];

    ChoiceOfOne(ChoiceItem item) {
        this.item = item;
        Labels labels = new Labels(item);
        List<String> keyed = labels.of(item.key());
        for (ChoiceItem.Option option : item.options()) {
            Mark mark = mark(option.id(), labels.of(option.id()), keyed);
            marks.put(option.id(), mark);
            if (option.id().length() == 1 && option.id().charAt(0) < letters.length) {
                letters[option.id().charAt(0)] = mark;
            }
        }
    }

    @Override
    public @Nullable Mark chosen(String option) {
        if (option.length() == 1) {
            char letter = option.charAt(0);
            if (letter < letters.length) {
                return letters[letter];
            }
        }
        return marks.get(option);
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
            Mark mark = chosen(chosen.iterator().next());
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
