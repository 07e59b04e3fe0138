package org.scholion.core.score;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.scholion.core.item.WorkingItem;
import org.scholion.core.maths.Budget;
import org.scholion.core.maths.Misstep;
import org.scholion.core.maths.Shape;
import org.scholion.core.maths.Solutions;
import org.scholion.core.maths.Solutions.Follows;
import org.scholion.core.maths.Statement;
import org.scholion.core.maths.WorkLine;
import org.scholion.core.number.Fraction;
import org.scholion.core.reason.Reason;
import org.scholion.core.reason.Reason.Code;

/** The lines of one answer as they are taken, one after the other. */
final class WorkingCourse {
    private static final int MOST_CASES = 8;

    private final WorkingItem item;
    private final List<Statement> ends;
    private final boolean expression;
    private final boolean system;
    private final Budget budget;
    private final List<Line> lines = new ArrayList<>();

    /** The last right line, and what is certain: without what squaring may have brought. */
    private Statement last;

    private Statement certain;
    private Statement end;
    private String ending = "";
    private int right;
    private int wrong;
    private @Nullable String why;
    private boolean gained;
    private boolean dropped;
    private final List<Statement> found = new ArrayList<>();

    private record Line(int number, String typed, WorkLine read) {}

    WorkingCourse(WorkingItem item, Statement start, List<Statement> ends, Budget budget) {
        this.item = item;
        this.ends = ends;
        this.budget = budget;
        this.last = start;
        this.certain = start;
        this.end = start;
        this.expression = start instanceof Statement.Value;
        this.system = start.variables().distinct().count() > 1 && start instanceof Statement.And;
    }

    /** Takes a line; a note beside or between the lines is none, and after a check is announced there are no more. */
    void put(int number, String typed, WorkLine read) {
        boolean checking =
                !lines.isEmpty() && lines.get(lines.size() - 1).read().isCheck();
        if (checking) {
            return;
        }
        if (!read.readings().isEmpty() || read.isCheck()) {
            lines.add(new Line(number, typed, read));
        }
    }

    Mark mark() {
        if (!lines.isEmpty() && lines.get(lines.size() - 1).read().isCheck()) {
            lines.remove(lines.size() - 1);
        }
        int taken = 0;
        int i = 0;
        while (i < lines.size()) {
            Line line = lines.get(i);
            if (reached() && isCheck(line)) {
                i++;
                continue;
            }
            int cases = 1;
            switch (follow(line)) {
                case SAME, MORE -> right++;
                case LOST -> {
                    cases = cases(i);
                    if (cases > 1) {
                        right += cases;
                    } else {
                        wrong(line);
                    }
                }
                case OPEN -> {
                    return Mark.settle(Reason.of(Code.WORKING_UNDECIDED)
                            .with("line", line.number())
                            .with("why", "whether it follows is not found out"));
                }
            }
            taken += cases;
            i += cases;
            ending = lines.get(i - 1).typed().strip();
        }
        return mark(taken);
    }

    private boolean reached() {
        return ends.stream().anyMatch(e -> Shape.same(end, e, budget));
    }

    private boolean isCheck(Line line) {
        return line.read().readings().stream().anyMatch(r -> WorkLine.isTrueNumber(r, budget));
    }

    /** The best of its readings; where one follows it becomes the last right line. */
    private Follows follow(Line line) {
        Follows best = Follows.LOST;
        for (Statement reading : line.read().readings()) {
            Follows follows = expression ? value(reading) : statement(reading);
            if (follows == Follows.SAME || follows == Follows.MORE) {
                Statement reached = expression ? lastSide(reading) : reading;
                gained |= follows == Follows.MORE && !system;
                last = system ? last : reached;
                end = system ? solvedSoFar(reached) : reached;
                return follows;
            }
            best = follows == Follows.OPEN ? follows : best;
        }
        return best;
    }

    /** What a system has given so far, each letter by its last value. */
    private Statement solvedSoFar(Statement line) {
        found.add(line);
        if (found.size() == 1 || line instanceof Statement.And) {
            return line;
        }
        List<Statement> values = new ArrayList<>();
        for (int i = found.size() - 1; i >= 0; i--) {
            Statement one = found.get(i);
            boolean known = values.stream()
                    .anyMatch(v -> v.variables().toList().equals(one.variables().toList()));
            if (one.variables().count() == 1 && !known) {
                values.add(one);
            }
        }
        return values.size() > 1 ? new Statement.And(values) : line;
    }

    /** From an expression on, a line may be a chain of equal ones: 2(x + 3) = 2x + 6. */
    private Follows value(Statement line) {
        Follows all = Follows.SAME;
        for (Statement side : sides(line)) {
            Follows follows = Solutions.follows(last, side, budget);
            all = all == Follows.SAME ? follows : all;
        }
        return all;
    }

    private Follows statement(Statement line) {
        Follows follows = Solutions.follows(last, line, budget);
        if (follows == Follows.SAME || system && follows == Follows.MORE) {
            return follows;
        }
        if (follows == Follows.MORE) {
            // Squaring brings solutions; writing some down that are none does not follow.
            return isSolved(line) ? Follows.LOST : follows;
        }
        boolean drops = gained && Solutions.follows(certain, line, budget) == Follows.SAME;
        dropped |= drops;
        return drops ? Follows.SAME : follows;
    }

    private static boolean isSolved(Statement line) {
        return line.variables().count() == 1 && Misstep.isSolved(line);
    }

    /** So many lines from here on are cases that together are what stood before; 1 when they are not. */
    private int cases(int from) {
        List<Statement> cases = new ArrayList<>();
        for (int i = from; i < lines.size() && i - from < MOST_CASES && !expression && !system; i++) {
            Statement line = lines.get(i).read().readings().get(0);
            // A case is less than the whole.
            if (line instanceof Statement.Value
                    || Solutions.of(last, line, budget).isSame()) {
                return 1;
            }
            boolean goesOn = !cases.isEmpty()
                    && Solutions.of(cases.get(cases.size() - 1), line, budget).isSame();
            if (goesOn) {
                cases.set(cases.size() - 1, line);
            } else {
                cases.add(line);
            }
            Statement either = new Statement.Or(cases);
            if (cases.size() > 1 && isEnough(either)) {
                int more = developed(i + 1, cases);
                last = new Statement.Or(cases);
                end = last;
                return i + 1 + more - from;
            }
        }
        return 1;
    }

    private boolean isEnough(Statement either) {
        if (Solutions.of(last, either, budget).isSame()) {
            return true;
        }
        boolean drops = gained && Solutions.of(certain, either, budget).isSame();
        dropped |= drops;
        return drops;
    }

    /** Lines that go on with the last of the cases. */
    private int developed(int from, List<Statement> cases) {
        int n = 0;
        for (int i = from; i < lines.size(); i++) {
            Statement line = lines.get(i).read().readings().get(0);
            Statement current = cases.get(cases.size() - 1);
            boolean whole = Solutions.of(new Statement.Or(cases), line, budget).isSame();
            if (whole
                    || line instanceof Statement.Value
                    || !Solutions.of(current, line, budget).isSame()) {
                return n;
            }
            cases.set(cases.size() - 1, line);
            n++;
        }
        return n;
    }

    private void wrong(Line line) {
        Statement reached = line.read().readings().get(0);
        Statement stands = expression ? lastSide(reached) : reached;
        if (wrong == 0) {
            wrong = line.number();
            why = Misstep.of(last, stands, budget).orElse(null);
        }
        if (item.followThrough()) {
            last = stands;
            certain = stands;
        }
        end = stands;
    }

    private Mark mark(int taken) {
        boolean reached = reached();
        Fraction share = taken == 0 ? Fraction.ZERO : Fraction.of(right, taken);
        Fraction credit = item.steps().times(share);
        credit = reached ? credit.plus(item.result()) : credit;
        Reason reason = Reason.of(Code.WORKING)
                .with("right", right)
                .with("lines", taken)
                .with("steps", item.steps())
                .with("result", item.result());
        reason = reached ? reason.with("reached", ending) : reason;
        reason = wrong > 0 ? reason.with("wrong", wrong) : reason;
        reason = gained && wrong == 0 && !reached && !dropped ? reason.with("extraneous", 1) : reason;
        return Mark.scored(credit, why == null ? reason : reason.with("why", why));
    }

    private static List<Statement> sides(Statement line) {
        List<Statement> sides = new ArrayList<>();
        if (line instanceof Statement.Relation r && r.sign() == Statement.Sign.EQUAL) {
            sides.add(new Statement.Value(r.left()));
            sides.add(new Statement.Value(r.right()));
        } else if (line instanceof Statement.And and && !and.all().isEmpty()) {
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
}
