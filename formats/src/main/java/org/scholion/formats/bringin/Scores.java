package org.scholion.formats.bringin;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import org.scholion.core.item.ChoiceItem;
import org.scholion.core.item.Item;
import org.scholion.core.item.TextItem;
import org.scholion.formats.bringin.BringIn.CellFault;
import org.scholion.formats.bringin.Column.Use;
import org.scholion.formats.table.Table;

/** Tells scores from answers: a column of 0 and 1 for a question with words in its options says who was right. */
final class Scores {
    private static final Pattern SCORE = Pattern.compile("\\d{1,3}([.,]\\d{1,2})?");
    private static final int FEWEST = 2;

    private Scores() {}

    static void refuse(Table table, List<Column> columns, List<Item> items, List<CellFault> faults) {
        List<String> scored = columns.stream()
                .filter(c -> c.use() == Use.ITEM && isScored(table, c, ColumnGuess.item(items, c.item())))
                .map(Column::name)
                .toList();
        if (scored.size() >= FEWEST) {
            faults.add(new CellFault(
                    1,
                    "",
                    "The columns " + String.join(", ", scored.subList(0, Math.min(5, scored.size())))
                            + (scored.size() > 5 ? " …" : "")
                            + " hold scores, not answers. Scores are never taken for answers: bring in a file with what"
                            + " the students answered, or leave these columns out."));
        }
    }

    private static boolean isScored(Table table, Column column, @org.jspecify.annotations.Nullable Item item) {
        List<String> cells = new ArrayList<>();
        for (Table.Row row : table.rows()) {
            String cell = row.cell(column.index()).strip();
            // One word among them, and they are no scores.
            if (!cell.isEmpty() && !SCORE.matcher(cell).matches()) {
                return false;
            }
            if (!cell.isEmpty()) {
                cells.add(cell);
            }
        }
        boolean numbers = cells.size() >= FEWEST
                && cells.stream().allMatch(c -> SCORE.matcher(c).matches());
        if (!numbers || item == null) {
            return false;
        }
        return item instanceof ChoiceItem choice
                ? choice.options().stream()
                        .noneMatch(o -> cells.contains(o.id())
                                || cells.contains(o.text().strip()))
                : item instanceof TextItem && cells.stream().allMatch(c -> c.equals("0") || c.equals("1"));
    }
}
