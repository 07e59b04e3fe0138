package org.scholion.formats.bringin;

import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.scholion.core.item.Item;
import org.scholion.core.number.Fraction;
import org.scholion.formats.bringin.BringIn.CellQuestion;
import org.scholion.formats.bringin.BringInChoices.PointsAs;
import org.scholion.formats.bringin.Column.Use;
import org.scholion.formats.table.Table;

/** Reads the cells of columns that hold points; what cannot be read is asked about once, however often it stands there. */
final class PointCells {
    /** As the item of a question about cells of any column of points. */
    static final String ANY = "*";

    /** A cell without points: the question was not asked of this student. */
    static final String NOT_ASKED = "x";

    private final Map<Integer, Item> itemOf = new LinkedHashMap<>();
    private final Map<Integer, String> names = new HashMap<>();
    private final BringInChoices choices;
    private final boolean rightOrNot;
    private final CellQuestions questions;

    PointCells(Table table, List<Column> columns, List<Item> items, BringInChoices choices, @Nullable Integer keyLine) {
        this.choices = choices;
        this.questions = new CellQuestions(choices.cells(), true);
        for (Column c : columns) {
            Item item = c.use() == Use.POINTS ? ColumnGuess.item(items, c.item()) : null;
            if (item != null) {
                itemOf.put(c.index(), item);
                names.put(c.index(), c.name());
            }
        }
        this.rightOrNot = !itemOf.isEmpty()
                && itemOf.values().stream().anyMatch(i -> !i.points().equals(Fraction.ONE))
                && table.rows().stream()
                        .filter(r -> !Objects.equals(keyLine, r.line()))
                        .allMatch(r -> itemOf.keySet().stream()
                                .map(c -> r.cell(c).strip())
                                .allMatch(c -> c.isEmpty() || AnswerCells.isSign(c) || Scores.isRightOrNot(c)));
    }

    /**
     * What a row says.
     *
     * @param points what was given, by item
     * @param notAsked items that were not asked of this student
     */
    record Given(Map<String, Fraction> points, Set<String> notAsked) {}

    /** Every cell is 0 or 1 and some question is worth something else: what they mean is asked. */
    boolean asks() {
        return rightOrNot;
    }

    List<CellQuestion> questions() {
        return questions.asked();
    }

    Given of(Table.Row row) {
        Map<String, Fraction> points = new LinkedHashMap<>();
        Set<String> notAsked = new HashSet<>();
        itemOf.forEach((column, item) -> {
            String cell = row.cell(column).strip();
            if (cell.isEmpty() || AnswerCells.isSign(cell)) {
                if (NOT_ASKED.equals(questions.ask(ANY, "", cell, List.of(new BringIn.Option(NOT_ASKED, ""))))) {
                    notAsked.add(item.id());
                }
            } else {
                given(item, column, cell).ifPresent(p -> points.put(item.id(), p));
            }
        });
        return new Given(points, notAsked);
    }

    private Optional<Fraction> given(Item item, int column, String cell) {
        Optional<Fraction> read = rightOrNot && choices.pointsAs() == PointsAs.SHARES
                ? Scores.points(cell, Fraction.ONE).map(p -> p.times(item.points()))
                : Scores.points(cell, item.points());
        Optional<Fraction> possible = read.filter(p -> p.abs().compareTo(item.points()) <= 0);
        if (possible.isPresent()) {
            return possible;
        }
        String all = item.points().toExact();
        String decided = questions.ask(
                item.id(), Objects.requireNonNull(names.get(column)), cell, List.of(new BringIn.Option(all, "")));
        return decided == null || decided.isEmpty() ? Optional.empty() : Fraction.parse(decided);
    }
}
