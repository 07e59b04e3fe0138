package org.scholion.core.score;

import java.util.ArrayList;
import java.util.List;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.Faulty;
import org.scholion.core.item.FormulaItem;
import org.scholion.core.maths.Form;
import org.scholion.core.maths.MathNames;
import org.scholion.core.maths.MathReader;
import org.scholion.core.maths.Solutions;
import org.scholion.core.maths.Statement;
import org.scholion.core.maths.Unreadable;
import org.scholion.core.maths.Verdict;
import org.scholion.core.number.Fraction;
import org.scholion.core.reason.Reason;
import org.scholion.core.reason.Reason.Code;

/** An expression against accepted ones: first the value, then the form. What cannot be decided is never wrong. */
final class FormulaScorer implements Scorer {
    private final FormulaItem item;
    private final MathNames names;
    private final Form form;
    private final List<Statement> accepted = new ArrayList<>();

    FormulaScorer(FormulaItem item) {
        this.item = item;
        this.form = Form.valueOf(item.form().name());
        List<String> all = new ArrayList<>(item.variables());
        all.addAll(item.constants());
        this.names = MathNames.of(all, item.functions(), item.accept());
        for (int i = 0; i < item.accept().size(); i++) {
            accepted.add(readKey("accept[" + i + "]", item.accept().get(i), names));
        }
    }

    /** A line of the key, which has to be readable. */
    static Statement readKey(String place, String line, MathNames names) {
        try {
            return MathReader.read(line, names);
        } catch (Unreadable e) {
            throw new Faulty(place, "'" + line + "' cannot be read as mathematics: " + e.why());
        }
    }

    @Override
    public Mark score(Answer answer) {
        String typed = Expect.typed(item, answer);
        if (answer.isBlank()) {
            return Mark.BLANK;
        }
        Statement said;
        try {
            said = MathReader.read(typed, names);
        } catch (Unreadable e) {
            return Mark.settle(Reason.of(Code.FORMULA_UNREADABLE).with("why", e.why()));
        }
        Mark best = null;
        for (int i = 0; i < accepted.size(); i++) {
            Mark mark = against(said, i);
            if (best == null || isBetter(mark, best)) {
                best = mark;
            }
        }
        return java.util.Objects.requireNonNull(best);
    }

    /** A right value first, then what is open, then what is wrong. */
    private static boolean isBetter(Mark mark, Mark than) {
        return rank(mark) > rank(than);
    }

    private static int rank(Mark mark) {
        return mark.reason().code() == Code.FORMULA_SAME
                ? 3
                : mark.state() == State.SETTLE ? 2 : mark.reason().code() == Code.FORMULA_FORM ? 1 : 0;
    }

    private Mark against(Statement said, int i) {
        String entry = item.accept().get(i);
        Verdict verdict = Solutions.of(said, accepted.get(i));
        if (verdict.isUndecided()) {
            return undecided(entry, verdict);
        }
        if (!verdict.isSame()) {
            Reason reason = Reason.of(Code.FORMULA_DIFFERENT).with("entry", entry);
            return Mark.scored(
                    Fraction.ZERO,
                    verdict.at() == null || verdict.value() == null || verdict.expected() == null
                            ? reason
                            : reason.with("at", verdict.at())
                                    .with("value", verdict.value())
                                    .with("expected", verdict.expected()));
        }
        return inForm(said, entry);
    }

    private static Mark undecided(String entry, Verdict verdict) {
        return Mark.settle(Reason.of(Code.FORMULA_UNDECIDED)
                .with("entry", entry)
                .with("why", verdict.why() == null ? "" : verdict.why()));
    }

    private Mark inForm(Statement said, String entry) {
        Reason same = Reason.of(Code.FORMULA_SAME).with("entry", entry);
        if (form == Form.ANY || !(said instanceof Statement.Value value)) {
            return Mark.scored(Fraction.ONE, same);
        }
        Verdict inForm = form.of(value.term());
        if (inForm.isUndecided()) {
            return undecided(entry, inForm);
        }
        return inForm.isSame()
                ? Mark.scored(Fraction.ONE, same)
                : Mark.scored(
                        item.formCredit(),
                        Reason.of(Code.FORMULA_FORM)
                                .with("entry", entry)
                                .with("form", inForm.why() == null ? "" : inForm.why())
                                .with("times", item.formCredit()));
    }

    @Override
    public String form(Answer answer) {
        return Expect.typed(item, answer).replaceAll("\\s+", "");
    }
}
