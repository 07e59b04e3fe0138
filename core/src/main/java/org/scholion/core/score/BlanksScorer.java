package org.scholion.core.score;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.BlanksItem;
import org.scholion.core.number.Fraction;
import org.scholion.core.reason.Reason;
import org.scholion.core.reason.Reason.Code;
import org.scholion.core.reason.Words;

/** Parts by weight or all or nothing; parts that may change places are matched to keys as is best for the student. */
final class BlanksScorer implements Scorer {
    private final BlanksItem item;
    private final Map<String, Scorer> scorers = new HashMap<>();
    private final Fraction weights;

    BlanksScorer(BlanksItem item) {
        this.item = item;
        item.parts().forEach(p -> scorers.put(p.id(), Scorer.of(p.item())));
        this.weights = item.parts().stream().map(BlanksItem.Part::weight).reduce(Fraction.ZERO, Fraction::plus);
    }

    @Override
    public Mark score(Answer answer) {
        Map<String, Answer> said = Expect.parts(item, answer);
        if (answer.isBlank()) {
            return Mark.BLANK;
        }
        Map<String, Mark> marks = new HashMap<>();
        item.parts().forEach(p -> marks.put(p.id(), scorer(p.id()).score(said.getOrDefault(p.id(), Answer.NONE))));
        item.anyOrder().forEach(group -> marks.putAll(matched(group, said)));
        return together(marks);
    }

    /** The marks of a group after matching answers to keys; each is listed at its answer. */
    private Map<String, Mark> matched(List<String> group, Map<String, Answer> said) {
        Mark[][] all = new Mark[group.size()][group.size()];
        for (int a = 0; a < group.size(); a++) {
            for (int k = 0; k < group.size(); k++) {
                all[a][k] = scorer(group.get(k)).score(said.getOrDefault(group.get(a), Answer.NONE));
            }
        }
        int[] key = BestMatching.of(all);
        Map<String, Mark> marks = new HashMap<>();
        for (int a = 0; a < group.size(); a++) {
            marks.put(group.get(a), all[a][key[a]]);
        }
        return marks;
    }

    private Mark together(Map<String, Mark> marks) {
        Fraction sum = Fraction.ZERO;
        boolean waits = false;
        boolean allRight = true;
        List<String> names = new ArrayList<>();
        List<String> because = new ArrayList<>();
        List<Fraction> credits = new ArrayList<>();
        for (BlanksItem.Part part : item.parts()) {
            Mark mark = Objects.requireNonNull(marks.get(part.id()));
            sum = sum.plus(mark.credit().times(part.weight()));
            waits |= mark.state() == State.SETTLE;
            allRight &= mark.credit().equals(Fraction.ONE);
            names.add(part.id());
            credits.add(mark.credit());
            because.add(Words.english(mark.reason()));
        }
        Reason reason = Reason.of(item.exact() ? Code.BLANKS_EXACT : Code.BLANKS_PARTS)
                .with("parts", names)
                .with("because", because)
                .withAmounts("credits", credits)
                .with("sum", sum)
                .with("weights", weights);
        Fraction credit = item.exact() ? allRight ? Fraction.ONE : Fraction.ZERO : sum.over(weights);
        return new Mark(waits ? State.SETTLE : State.SCORED, credit, reason);
    }

    private Scorer scorer(String part) {
        return Objects.requireNonNull(scorers.get(part));
    }

    @Override
    public String form(Answer answer) {
        Map<String, Answer> said = Expect.parts(item, answer);
        List<String> forms = new ArrayList<>();
        for (BlanksItem.Part part : item.parts()) {
            forms.add(part.id() + "=" + scorer(part.id()).form(said.getOrDefault(part.id(), Answer.NONE)));
        }
        return String.join("\n", forms);
    }
}
