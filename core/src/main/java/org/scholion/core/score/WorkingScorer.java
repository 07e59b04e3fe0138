package org.scholion.core.score;

import java.util.ArrayList;
import java.util.List;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.WorkingItem;
import org.scholion.core.maths.Budget;
import org.scholion.core.maths.MathNames;
import org.scholion.core.maths.Statement;
import org.scholion.core.maths.Unreadable;
import org.scholion.core.maths.WorkLine;
import org.scholion.core.reason.Reason;
import org.scholion.core.reason.Reason.Code;

/** Lines of working: each is right if what was true before is still so, and nothing is lost. */
final class WorkingScorer implements Scorer {
    private static final int MOST_LINES = 100;
    private static final int LONGEST = 20_000;

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
        if (lines.size() > MOST_LINES || lines.stream().mapToInt(String::length).sum() > LONGEST) {
            return unreadable(lines.size(), "there are very many lines");
        }
        Budget budget = Budget.usual();
        WorkingCourse course = new WorkingCourse(item, start, ends, budget);
        for (int i = 0; i < lines.size(); i++) {
            if (lines.get(i).isBlank()) {
                continue;
            }
            try {
                course.put(i + 1, lines.get(i), WorkLine.read(lines.get(i), names, budget));
            } catch (Unreadable e) {
                return unreadable(i + 1, e.why());
            }
        }
        return course.mark();
    }

    private static Mark unreadable(int line, String why) {
        return Mark.settle(Reason.of(Code.WORKING_UNREADABLE).with("line", line).with("why", why));
    }

    @Override
    public String form(Answer answer) {
        return String.join("\n", Expect.lines(item, answer)).replaceAll("[ \\t]+", "");
    }
}
