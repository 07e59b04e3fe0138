package org.scholion.core.score;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.WorkingItem;
import org.scholion.core.maths.MathNames;
import org.scholion.core.maths.MathReader;
import org.scholion.core.maths.Misstep;
import org.scholion.core.maths.Shape;
import org.scholion.core.maths.Solutions;
import org.scholion.core.maths.Statement;
import org.scholion.core.maths.Unreadable;
import org.scholion.core.maths.Verdict;
import org.scholion.core.number.Fraction;
import org.scholion.core.reason.Reason;
import org.scholion.core.reason.Reason.Code;

/** Lines of working: each is right if it has the same solutions, or the same value, as the last right one. */
final class WorkingScorer implements Scorer {
    private final WorkingItem item;
    private final MathNames names;
    private final Statement start;
    private final List<Statement> ends = new ArrayList<>();

    WorkingScorer(WorkingItem item) {
        this.item = item;
        List<String> key = new ArrayList<>(item.accept());
        key.add(item.start());
        this.names = MathNames.of(item.variables(), List.of(), key);
        this.start = FormulaScorer.readKey("start", item.start(), names);
        for (int i = 0; i < item.accept().size(); i++) {
            ends.add(FormulaScorer.readKey("accept[" + i + "]", item.accept().get(i), names));
        }
    }

    @Override
    public Mark score(Answer answer) {
        List<String> lines = Expect.lines(item, answer);
        if (answer.isBlank()) {
            return Mark.BLANK;
        }
        Course course = new Course();
        for (int i = 0; i < lines.size(); i++) {
            if (!lines.get(i).isBlank()) {
                Mark stop = course.take(i + 1, lines.get(i));
                if (stop != null) {
                    return stop;
                }
            }
        }
        return course.mark();
    }

    /** The lines of one answer as they are taken, one after the other. */
    private final class Course {
        private Statement last = start;
        private Statement end = start;
        private String ending = "";
        private int lines;
        private int right;
        private int wrong;
        private @Nullable String why;

        /** Takes a line; a mark comes back when it ends the course, being unreadable or undecided. */
        @Nullable
        Mark take(int number, String typed) {
            Statement line;
            try {
                line = MathReader.read(typed, names);
            } catch (Unreadable e) {
                return Mark.settle(
                        Reason.of(Code.WORKING_UNREADABLE).with("line", number).with("why", e.why()));
            }
            lines++;
            Verdict verdict = follows(line);
            if (verdict.isUndecided()) {
                return Mark.settle(Reason.of(Code.WORKING_UNDECIDED)
                        .with("line", number)
                        .with("why", verdict.why() == null ? "" : verdict.why()));
            }
            Statement reached = start instanceof Statement.Value ? lastSide(line) : line;
            if (verdict.isSame()) {
                right++;
                last = reached;
            } else {
                if (wrong == 0) {
                    wrong = number;
                    why = Misstep.of(last, reached).orElse(null);
                }
                last = item.followThrough() ? reached : last;
            }
            end = reached;
            ending = typed.strip();
            return null;
        }

        /** From an expression on, a line may be a chain of equal ones: 2(x + 3) = 2x + 6. */
        private Verdict follows(Statement line) {
            if (!(start instanceof Statement.Value) || line instanceof Statement.Value) {
                return Solutions.of(last, line);
            }
            Verdict verdict = Verdict.SAME;
            for (Statement side : sides(line)) {
                verdict = verdict.isSame() ? Solutions.of(last, side) : verdict;
            }
            return verdict;
        }

        Mark mark() {
            boolean reached = ends.stream().anyMatch(e -> Shape.same(end, e));
            Fraction credit = item.steps().times(Fraction.of(right, lines));
            credit = reached ? credit.plus(item.result()) : credit;
            Reason reason = Reason.of(Code.WORKING)
                    .with("right", right)
                    .with("lines", lines)
                    .with("steps", item.steps())
                    .with("result", item.result());
            reason = reached ? reason.with("reached", ending) : reason;
            reason = wrong > 0 ? reason.with("wrong", wrong) : reason;
            return Mark.scored(credit, why == null ? reason : reason.with("why", why));
        }
    }

    private static List<Statement> sides(Statement line) {
        List<Statement> sides = new ArrayList<>();
        if (line instanceof Statement.Relation r && r.sign() == Statement.Sign.EQUAL) {
            sides.add(new Statement.Value(r.left()));
            sides.add(new Statement.Value(r.right()));
        } else if (line instanceof Statement.And and) {
            and.all().forEach(s -> sides.addAll(sides(s)));
        } else {
            sides.add(line);
        }
        return sides;
    }

    private static Statement lastSide(Statement line) {
        List<Statement> sides = sides(line);
        return sides.get(sides.size() - 1);
    }

    @Override
    public String form(Answer answer) {
        return String.join("\n", Expect.lines(item, answer)).replaceAll("[ \\t]+", "");
    }
}
