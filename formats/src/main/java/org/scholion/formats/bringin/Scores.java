package org.scholion.formats.bringin;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.scholion.core.item.ChoiceItem;
import org.scholion.core.item.Item;
import org.scholion.core.item.OpenItem;
import org.scholion.core.item.TextItem;
import org.scholion.core.number.Fraction;
import org.scholion.formats.bringin.Column.Use;
import org.scholion.formats.table.Table;

/**
 * Tells points from answers: a column of 0 and 1 for a question with words in its options says who was right, numbers
 * for an open question say what it earned.
 */
final class Scores {
    private static final Pattern POINTS = Pattern.compile(
            "([-−]?\\d{1,6}(?:[.,]\\d{1,6})?)\\s*(?:/\\s*(\\d{1,6}(?:[.,]\\d{1,6})?)|points?|pts?\\.?|p\\.?|marks?)?",
            Pattern.CASE_INSENSITIVE);
    private static final int FEWEST = 2;
    private static final Set<String> RIGHT_OR_NOT = Set.of("0", "1");

    private final Table table;
    private final List<Item> items;
    private final @Nullable Integer keyLine;

    private Scores(Table table, List<Item> items, @Nullable Integer keyLine) {
        this.table = table;
        this.items = items;
        this.keyLine = keyLine;
    }

    /** The columns, those that hold points taken as such where nobody has said what they are. */
    static List<Column> found(Table table, List<Column> columns, List<Item> items, @Nullable Integer keyLine) {
        return new Scores(table, items, keyLine).found(columns);
    }

    private List<Column> found(List<Column> columns) {
        List<Column> asked = columns.stream()
                .filter(c -> c.use() == Use.ITEM && !c.isChosen())
                .toList();
        List<Column> certain = new ArrayList<>(
                asked.stream().filter(c -> isCertain(cells(c), item(c))).toList());
        // One text that every student answers with 0 or 1 can be a question; two of them are none.
        if (certain.size() < FEWEST && certain.stream().allMatch(c -> item(c) instanceof TextItem)) {
            return columns;
        }
        // Where everything else is points, what could be points is none of the answers.
        boolean all = asked.stream().allMatch(c -> couldBe(cells(c), item(c)));
        return columns.stream()
                .map(c -> certain.contains(c)
                        ? c.as(Use.POINTS, "its cells are points, not answers", true)
                        : all && asked.contains(c)
                                ? c.as(Use.POINTS, "its cells could be points, as those beside it are", false)
                                : c)
                .toList();
    }

    private @Nullable Item item(Column column) {
        return ColumnGuess.item(items, column.item());
    }

    private List<String> cells(Column column) {
        return table.rows().stream()
                .filter(r -> !Objects.equals(keyLine, r.line()))
                .map(r -> r.cell(column.index()).strip())
                .filter(c -> !c.isEmpty() && !AnswerCells.isSign(c))
                .toList();
    }

    private static boolean areNumbers(List<String> cells) {
        // One word among them, and they are no points.
        return cells.stream().allMatch(c -> points(c, null).isPresent());
    }

    private static boolean isCertain(List<String> cells, @Nullable Item item) {
        if (item == null || cells.isEmpty() || !areNumbers(cells)) {
            return false;
        }
        if (item instanceof OpenItem) {
            return couldBe(cells, item);
        }
        if (cells.size() < FEWEST) {
            return false;
        }
        return item instanceof ChoiceItem choice
                ? isNoOption(cells, choice)
                : item instanceof TextItem && RIGHT_OR_NOT.containsAll(cells);
    }

    /** No option is called so, and not every cell could be the place of one. */
    private static boolean isNoOption(List<String> cells, ChoiceItem choice) {
        boolean named = choice.options().stream()
                .anyMatch(o -> cells.contains(o.id()) || cells.contains(o.text().strip()));
        boolean places = cells.stream()
                .allMatch(c -> c.matches("\\d+")
                        && Integer.parseInt(c) >= 1
                        && Integer.parseInt(c) <= choice.options().size());
        return !named && !places;
    }

    private static boolean couldBe(List<String> cells, @Nullable Item item) {
        return item != null
                && areNumbers(cells)
                && cells.stream()
                        .map(c -> points(c, item.points()))
                        .allMatch(p -> p.filter(f -> f.abs().compareTo(item.points()) <= 0)
                                .isPresent());
    }

    /** Points as they are written: {@code 3}, {@code 2,5}, {@code 3/4} where 4 are possible, {@code 3 points}. Null for whatever is possible. */
    static Optional<Fraction> points(String cell, @Nullable Fraction possible) {
        Matcher m = POINTS.matcher(cell.strip());
        if (!m.matches()) {
            return Optional.empty();
        }
        boolean sameWhole =
                m.group(2) == null || possible == null || number(m.group(2)).equals(possible);
        return sameWhole ? Optional.of(number(m.group(1))) : Optional.empty();
    }

    /** What was possible, where the cell says so: the 4 of {@code 3/4}. */
    static Optional<Fraction> whole(String cell) {
        Matcher m = POINTS.matcher(cell.strip());
        return m.matches() ? Optional.ofNullable(m.group(2)).map(Scores::number) : Optional.empty();
    }

    private static Fraction number(String written) {
        return Fraction.of(new BigDecimal(written.replace(',', '.').replace('−', '-')));
    }

    /** Whether a cell says only that somebody was right or was not. */
    static boolean isRightOrNot(String cell) {
        return RIGHT_OR_NOT.contains(cell.strip());
    }
}
