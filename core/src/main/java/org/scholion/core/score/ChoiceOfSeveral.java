package org.scholion.core.score;

import java.util.Set;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.ChoiceItem;
import org.scholion.core.number.Fraction;
import org.scholion.core.reason.Reason;
import org.scholion.core.reason.Reason.Code;

/** Several choices under one of five rules; K is the keyed set, S the chosen one. */
final class ChoiceOfSeveral implements Scorer {
    private final ChoiceItem item;
    private final Labels labels;
    private final Set<String> keyed;

    ChoiceOfSeveral(ChoiceItem item) {
        this.item = item;
        this.labels = new Labels(item);
        this.keyed = Set.copyOf(item.key());
    }

    @Override
    public Mark score(Answer answer) {
        Set<String> chosen = Expect.chosen(item, answer).options();
        if (chosen.isEmpty()) {
            return Mark.BLANK;
        }
        labels.refuseUnknown(chosen);
        if (chosen.size() > item.max()) {
            throw new IllegalArgumentException(
                    "item " + item.id() + ": " + chosen.size() + " chosen, at most " + item.max() + " are allowed");
        }
        int right = (int) chosen.stream().filter(keyed::contains).count();
        return mark(chosen, right, chosen.size() - right);
    }

    private Mark mark(Set<String> chosen, int right, int wrong) {
        int k = keyed.size();
        return switch (item.rule()) {
            case EXACT ->
                right == k && wrong == 0
                        ? Mark.scored(Fraction.ONE, Reason.of(Code.CHOICE_EXACT).with("keyed", k))
                        : Mark.wrong(item.penalty(), counts(Code.CHOICE_EXACT, right, wrong));
            case EACH -> each(right, wrong);
            case NET ->
                Mark.scored(Fraction.of(right - wrong, k).max(Fraction.ZERO), counts(Code.CHOICE_NET, right, wrong));
            case HITS ->
                chosen.size() > k
                        ? Mark.scored(
                                Fraction.ZERO,
                                counts(Code.CHOICE_HITS, right, wrong)
                                        .with("chosen", chosen.size())
                                        .with("over", chosen.size() - k))
                        : Mark.scored(Fraction.of(right, k), counts(Code.CHOICE_HITS, right, wrong));
            case WEIGHTS -> weights(chosen);
        };
    }

    private Mark each(int right, int wrong) {
        int n = item.options().size();
        int well = right + (n - keyed.size() - wrong);
        return Mark.scored(
                Fraction.of(well, n),
                Reason.of(Code.CHOICE_EACH).with("right", well).with("options", n));
    }

    private Mark weights(Set<String> chosen) {
        Fraction sum = chosen.stream()
                .map(id -> item.credits().getOrDefault(id, Fraction.ZERO))
                .reduce(Fraction.ZERO, Fraction::plus);
        Fraction held = sum.clamp(item.negative() ? Fraction.of(-1) : Fraction.ZERO, Fraction.ONE);
        Reason reason = Reason.of(Code.CHOICE_WEIGHTS)
                .with("chosen", labels.inOrder(chosen))
                .with("sum", sum);
        return Mark.scored(held, held.equals(sum) ? reason : reason.with("clamped", held));
    }

    private Reason counts(Code code, int right, int wrong) {
        return Reason.of(code).with("right", right).with("wrong", wrong).with("keyed", keyed.size());
    }

    @Override
    public String form(Answer answer) {
        return Labels.form(Expect.chosen(item, answer).options());
    }
}
