package org.scholion.formats.questions;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.scholion.formats.table.Grid;
import org.scholion.formats.table.Table;

/**
 * Questions from a table, a row each.
 *
 * @param columns what each column is taken for, and why
 * @param mark the decimal mark of its numbers; unsure where none of them says so
 * @param asksMark whether a number can be read in two ways
 * @param notes what whoever looks at it should know, such as a title that is no question
 */
public record QuestionTable(
        List<Column> columns, List<FoundItem> items, DecimalMark mark, boolean asksMark, List<String> notes) {
    private static final Set<Role> NUMBERS = EnumSet.of(Role.TOLERANCE, Role.POINTS, Role.DIFFICULTY, Role.MINUTES);
    private static final Set<Role> OPTIONS = EnumSet.of(Role.OPTION, Role.OPTIONS, Role.OTHER_OPTION);

    /** A column of the table and what it is taken for. */
    public record Column(int index, String name, Role role, String because) {}

    /**
     * What a person has said about it.
     *
     * @param roles what a column is, by its place
     * @param mark the decimal mark; unsure to find it out
     */
    public record Said(Map<Integer, Role> roles, DecimalMark mark) {
        public static final Said NOTHING = new Said(Map.of(), DecimalMark.UNSURE);

        public Said {
            roles = Map.copyOf(roles);
        }
    }

    public QuestionTable {
        columns = List.copyOf(columns);
        items = List.copyOf(items);
        notes = List.copyOf(notes);
    }

    /**
     * Reads a file's rows; titles above the heading are no questions.
     *
     * @param codes the standards that are known
     */
    public static QuestionTable of(Grid grid, Set<String> codes, Said said) {
        QuestionHeading heading = QuestionHeading.of(grid);
        List<String> notes = new ArrayList<>(grid.notes());
        notes.addAll(heading.notes());
        return of(heading.table(), codes, said, notes);
    }

    public static QuestionTable of(Table table, Set<String> codes, Said said) {
        return of(table, codes, said, List.of());
    }

    private static QuestionTable of(Table table, Set<String> codes, Said said, List<String> notes) {
        List<Column> columns = QuestionColumns.of(table, codes, said.roles());
        List<String> numbers = numbers(table, columns);
        DecimalMark found = DecimalMark.of(numbers);
        DecimalMark mark = said.mark() == DecimalMark.UNSURE ? found : said.mark();
        QuestionRow.Rows rows = new QuestionRow.Rows(columns, OptionLetters.of(columns), mark, codes);
        List<FoundItem> items = new ArrayList<>();
        for (Table.Row row : table.rows()) {
            QuestionRow read = new QuestionRow(rows, row);
            if (!read.isEmpty()) {
                items.add(read.item("q" + (items.size() + 1), items.size()));
            }
        }
        boolean asks = found.isAskedBy(numbers);
        return new QuestionTable(columns, items, mark, asks, notes);
    }

    /** The cells that are numbers; where there are options, the key's number is one of them. */
    private static List<String> numbers(Table table, List<Column> columns) {
        List<String> cells = new ArrayList<>();
        for (Table.Row row : table.rows()) {
            boolean choice = columns.stream()
                    .anyMatch(c ->
                            OPTIONS.contains(c.role()) && !row.cell(c.index()).isBlank());
            for (Column column : columns) {
                boolean key = column.role() == Role.KEY || column.role() == Role.MORE;
                String cell = row.cell(column.index());
                if (key ? !choice && NumberCell.isOne(cell) : NUMBERS.contains(column.role())) {
                    cells.add(cell);
                }
            }
        }
        return cells;
    }
}
