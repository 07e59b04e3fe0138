package org.scholion.server.report;

import java.io.IOException;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.scholion.core.item.Item;
import org.scholion.core.measure.Standing;
import org.scholion.core.number.Fraction;
import org.scholion.core.score.State;
import org.scholion.core.total.Part;
import org.scholion.formats.out.Cell;
import org.scholion.formats.out.TableOut;
import org.scholion.server.ledger.Attempt;
import org.scholion.server.ledger.Brief;
import org.scholion.server.ledger.Marked;
import org.scholion.server.ledger.Standings;

/** A row a student: what the attempt came to, and the points of each part and each question. */
final class ScoreTable {
    private ScoreTable() {}

    static void scores(Leaving leaving, TableOut out) throws IOException {
        List<String> heading = new ArrayList<>(List.of(
                "number",
                "given name",
                "family name",
                "section",
                "attempt",
                "came in",
                "begun",
                "handed in",
                "minutes",
                "score",
                "maximum",
                "percentage",
                "band",
                "passed",
                "provisional",
                "percentile",
                "answered",
                "questions"));
        List<Part> parts = leaving.edition().assessment().parts();
        parts.forEach(p -> heading.add("points in " + (p.title().isBlank() ? p.id() : p.title())));
        out.table("Scores", heading);
        for (int i = 0; i < leaving.attempts().size(); i++) {
            out.row(score(leaving, i, parts));
        }
    }

    private static List<Cell> score(Leaving leaving, int place, List<Part> parts) {
        Marked marked = leaving.attempts().get(place);
        Attempt a = marked.attempt();
        Standings.Standing s = marked.standing();
        List<Brief> marks = marked.marks();
        List<Cell> row = new ArrayList<>(who(leaving, place));
        row.add(Cell.of(a.number()));
        row.add(Cell.of(way(a.way())));
        row.add(Cell.of(leaving.at(a.startedAt())));
        row.add(a.handedInAt() == null ? Cell.NONE : Cell.of(leaving.at(a.handedInAt())));
        row.add(
                a.way() == Attempt.Way.SCREEN && a.handedInAt() != null
                        ? Cell.of(Fraction.of(
                                Duration.between(a.startedAt(), a.handedInAt()).toSeconds(), 60))
                        : Cell.NONE);
        row.add(Cell.of(Fraction.exactly(s.score())));
        row.add(Cell.of(Fraction.exactly(s.possible())));
        row.add(s.percent() == null ? Cell.NONE : Cell.of(Fraction.exactly(s.percent())));
        row.add(Cell.of(s.band()));
        row.add(Cell.of(yesNo(s.passed())));
        row.add(Cell.of(yesNo(!s.isFinal())));
        Standing standing = leaving.standings().get(a.id());
        row.add(standing == null ? Cell.NONE : Cell.of(exact(standing.percentile())));
        row.add(Cell.of(marks.stream().filter(Brief::said).count()));
        row.add(Cell.of(leaving.edition().items().stream()
                .filter(i -> !a.leftOut().contains(i.id()))
                .count()));
        for (Part part : parts) {
            row.add(Cell.of(points(leaving, part, marks)));
        }
        return row;
    }

    static List<Cell> who(Leaving leaving, int place) {
        List<Cell> cells = new ArrayList<>();
        leaving.student(place).forEach(w -> cells.add(Cell.of(w)));
        cells.add(Cell.of(leaving.sectionOf(leaving.attempts().get(place).attempt())));
        return cells;
    }

    /** The points of the marks in one part, as they were scored. */
    private static Fraction points(Leaving leaving, Part part, List<Brief> marks) {
        Fraction sum = Fraction.ZERO;
        for (int j = 0; j < marks.size(); j++) {
            Item item = leaving.edition().items().get(j);
            if (part.id().equals(item.head().part())) {
                sum = sum.plus(marks.get(j).credit().times(item.points()));
            }
        }
        return sum;
    }

    /** A row a student and a column a question, in points; empty where nothing is decided or nothing was asked. */
    static void marks(Leaving leaving, TableOut out) throws IOException {
        List<String> heading = new ArrayList<>(List.of("number", "given name", "family name", "section"));
        List<Item> items = leaving.edition().items();
        for (int j = 0; j < items.size(); j++) {
            heading.add((j + 1) + " (of " + items.get(j).points().toReadable() + ")");
        }
        out.table("Marks", heading);
        for (int i = 0; i < leaving.attempts().size(); i++) {
            List<Cell> row = new ArrayList<>(who(leaving, i));
            List<Brief> marks = leaving.attempts().get(i).marks();
            for (int j = 0; j < items.size(); j++) {
                row.add(points(items.get(j), marks.get(j)));
            }
            out.row(row);
        }
    }

    private static Cell points(Item item, Brief brief) {
        State state = brief.mark().state();
        return state == State.SCORED || state == State.BLANK
                ? Cell.of(brief.credit().times(item.points()))
                : Cell.NONE;
    }

    private static String way(Attempt.Way way) {
        return switch (way) {
            case SCREEN -> "on screen";
            case FILE -> "from a file";
            case TYPED -> "typed in";
            case PAPER -> "on paper";
        };
    }

    static @Nullable String yesNo(@Nullable Boolean value) {
        return value == null ? null : value ? "yes" : "no";
    }

    private static Fraction exact(double value) {
        return Fraction.of(BigDecimal.valueOf(value).setScale(6, RoundingMode.HALF_UP));
    }
}
