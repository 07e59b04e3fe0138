package org.scholion.core.score;

import java.util.List;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.CorrectionItem;
import org.scholion.core.item.Faulty;
import org.scholion.core.number.Fraction;
import org.scholion.core.reason.Reason;
import org.scholion.core.reason.Reason.Code;
import org.scholion.core.text.Tokens;

/** A sentence put right: the share of the way from the faulty sentence to the nearest accepted one. */
final class CorrectionScorer implements Scorer {
    /** Longer answers are no correction of a sentence, and the distance of such ones takes too long. */
    private static final int MOST_TOKENS = 2_000;

    private final CorrectionItem item;
    private final List<Target> targets;

    private record Target(String text, List<String> tokens, int far) {}

    CorrectionScorer(CorrectionItem item) {
        this.item = item;
        List<String> source = Tokens.of(item.source());
        this.targets = item.accept().stream()
                .map(text -> new Target(text, Tokens.of(text), Tokens.distance(source, Tokens.of(text))))
                .toList();
        for (int i = 0; i < targets.size(); i++) {
            Faulty.unless(targets.get(i).far() > 0, "accept[" + i + "]", "this is the faulty sentence itself");
        }
    }

    @Override
    public Mark score(Answer answer) {
        String typed = Expect.typed(item, answer);
        if (answer.isBlank()) {
            return Mark.BLANK;
        }
        List<String> said = Tokens.of(typed);
        Mark best = null;
        for (Target target : targets) {
            int left = said.size() > MOST_TOKENS ? said.size() : Tokens.distance(said, target.tokens());
            Fraction credit =
                    Fraction.ONE.minus(Fraction.of(left, target.far())).max(Fraction.ZERO);
            if (best == null || credit.compareTo(best.credit()) > 0) {
                Reason reason = Reason.of(Code.CORRECTION)
                        .with("left", left)
                        .with("all", target.far())
                        .with("entry", target.text());
                if (left > 0 && said.size() <= MOST_TOKENS) {
                    reason = reason.with("differs", Tokens.differing(said, target.tokens()))
                            .with("lacks", Tokens.differing(target.tokens(), said));
                }
                best = Mark.scored(credit, reason);
            }
        }
        return java.util.Objects.requireNonNull(best);
    }

    @Override
    public String form(Answer answer) {
        return String.join(" ", Tokens.of(Expect.typed(item, answer)));
    }
}
