package org.scholion.core.score;

import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.Faulty;
import org.scholion.core.item.FormulaItem;
import org.scholion.core.maths.Asked;
import org.scholion.core.maths.Budget;
import org.scholion.core.maths.Form;
import org.scholion.core.maths.MathNames;
import org.scholion.core.maths.MathReader;
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
        List<Statement> readings;
        try {
            readings = MathReader.readings(typed, names);
        } catch (Unreadable e) {
            return unreadable(e.why());
        }
        Budget budget = Budget.usual();
        Mark best = null;
        for (Statement reading : readings) {
            for (int i = 0; i < accepted.size(); i++) {
                Mark mark = against(reading, i, budget);
                best = best == null || rank(mark) > rank(best) ? mark : best;
                if (rank(best) == SAME) {
                    return best;
                }
            }
        }
        return java.util.Objects.requireNonNull(best);
    }

    private static Mark unreadable(String why) {
        return Mark.settle(Reason.of(Code.FORMULA_UNREADABLE).with("why", why));
    }

    private static final int SAME = 3;

    /** A right value first, then what is open, then the wrong form, then what is wrong. */
    private static int rank(Mark mark) {
        return mark.reason().code() == Code.FORMULA_SAME
                ? SAME
                : mark.state() == State.SETTLE ? 2 : mark.reason().code() == Code.FORMULA_FORM ? 1 : 0;
    }

    private Mark against(Statement said, int i, Budget budget) {
        String entry = item.accept().get(i);
        Asked.Answered answered = Asked.compare(said, accepted.get(i), names, budget);
        Verdict verdict = answered.verdict();
        if (verdict.isUndecided()) {
            return Mark.settle(Reason.of(Code.FORMULA_UNDECIDED)
                    .with("entry", entry)
                    .with("why", verdict.why() == null ? "" : verdict.why()));
        }
        if (verdict.isSame()) {
            return inForm(answered.taken(), entry, budget);
        }
        String stranger = stranger(said, accepted.get(i));
        if (stranger != null) {
            return unreadable("“" + stranger + "” is no letter of this question");
        }
        Reason reason = Reason.of(Code.FORMULA_DIFFERENT).with("entry", entry);
        return Mark.scored(
                Fraction.ZERO,
                verdict.at() == null || verdict.value() == null || verdict.expected() == null
                        ? reason
                        : reason.with("at", verdict.at())
                                .with("value", verdict.value())
                                .with("expected", verdict.expected()));
    }

    /** A letter that neither the question nor its answer has: a unit, a slip, or something that a person can read. */
    private @Nullable String stranger(Statement said, Statement key) {
        TreeSet<String> letters = new TreeSet<>();
        said.variables().filter(v -> !names.isOwn(v)).forEach(letters::add);
        key.variables().forEach(letters::remove);
        return letters.isEmpty() ? null : letters.first();
    }

    private Mark inForm(Statement said, String entry, Budget budget) {
        Reason same = Reason.of(Code.FORMULA_SAME).with("entry", entry);
        if (form == Form.ANY || !(said instanceof Statement.Value value)) {
            return Mark.scored(Fraction.ONE, same);
        }
        Verdict inForm = form.of(value.term(), budget);
        if (inForm.isUndecided()) {
            return Mark.settle(Reason.of(Code.FORMULA_UNDECIDED)
                    .with("entry", entry)
                    .with("why", inForm.why() == null ? "" : inForm.why()));
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
