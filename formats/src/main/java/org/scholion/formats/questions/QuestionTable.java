package org.scholion.formats.questions;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.scholion.formats.table.Table;

/**
 * Questions from a table, a row each.
 *
 * @param columns what each column is taken for, and why
 */
public record QuestionTable(List<Column> columns, List<FoundItem> items) {

    /** A column of the table and what it is taken for. */
    public record Column(int index, String name, Role role, String because) {}

    public QuestionTable {
        columns = List.copyOf(columns);
        items = List.copyOf(items);
    }

    /**
     * Reads a table.
     *
     * @param codes the standards that are known
     * @param chosen what a person said that a column is, by its place
     */
    public static QuestionTable of(Table table, Set<String> codes, Map<Integer, Role> chosen) {
        List<Column> columns = QuestionColumns.of(table, codes, chosen);
        List<FoundItem> items = new ArrayList<>();
        for (Table.Row row : table.rows()) {
            QuestionRow read = new QuestionRow(columns, row, codes);
            if (!read.isEmpty()) {
                items.add(read.item("q" + (items.size() + 1)));
            }
        }
        return new QuestionTable(columns, items);
    }
}
