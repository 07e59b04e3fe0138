package org.scholion.formats.table;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.Predicate;
import java.util.function.ToLongFunction;
import java.util.regex.Pattern;

/**
 * Where a table's heading stands in a file: below titles, in one row or in two, or nowhere.
 *
 * @param rows the place of its first row among the grid's rows, and how many there are; 0 of them for no heading
 */
public record Heading(int first, int rows) {
    private static final Pattern DATA =
            Pattern.compile("[-+]?\\d+([.,]\\d+)?%?|\\d{4}-\\d\\d-\\d\\d.*|\\S+@\\S+\\.\\S+");
    private static final int MOST_TITLES = 15;
    private static final int NAMES_WITHIN = 12;

    /**
     * Finds it.
     *
     * @param isSomebody whether a cell names a student: a row of data, however much it looks like words
     */
    public static Heading find(Grid grid, Predicate<String> isSomebody) {
        List<Table.Row> rows = grid.rows();
        int width = usualWidth(rows);
        int first = 0;
        while (first < Math.min(MOST_TITLES, rows.size() - 1) && filled(rows.get(first)) * 2 < width && width > 2) {
            first++;
        }
        Table.Row head = rows.get(first);
        if (isData(head, isSomebody)) {
            return new Heading(first, 0);
        }
        boolean two = first + 2 < rows.size() && isUpperOfTwo(head, rows.get(first + 1), isSomebody);
        return new Heading(first, two ? 2 : 1);
    }

    /**
     * The row near the top that names most columns, as a heading; with no rows where none names any.
     *
     * @param names how many columns a row's cells name; 0 for what is no heading
     */
    public static Heading naming(Grid grid, ToLongFunction<List<String>> names) {
        int best = -1;
        long most = 0;
        for (int i = 0; i < Math.min(NAMES_WITHIN, grid.rows().size()); i++) {
            long named = names.applyAsLong(grid.rows().get(i).cells());
            if (named > most) {
                most = named;
                best = i;
            }
        }
        return best < 0 ? new Heading(0, 0) : new Heading(best, 1);
    }

    /** The lines that stand above it. */
    public List<Table.Row> above(Grid grid) {
        return grid.rows().subList(0, first);
    }

    private static int usualWidth(List<Table.Row> rows) {
        return rows.stream().limit(60).mapToInt(Heading::filled).max().orElse(0);
    }

    private static int filled(Table.Row row) {
        return (int) row.cells().stream().filter(c -> !c.isBlank()).count();
    }

    private static boolean isData(Table.Row row, Predicate<String> isSomebody) {
        boolean somebody = row.cells().stream().anyMatch(c -> !c.isBlank() && isSomebody.test(c));
        long data = row.cells().stream()
                .filter(c -> DATA.matcher(c.strip()).matches())
                .count();
        // The numbers of the questions alone are a heading, too: they count up.
        return somebody || data * 2 > filled(row) && !countsUp(row);
    }

    private static boolean countsUp(Table.Row row) {
        List<Integer> numbers = row.cells().stream()
                .map(String::strip)
                .filter(c -> c.matches("\\d{1,3}"))
                .map(Integer::parseInt)
                .toList();
        for (int i = 1; i < numbers.size(); i++) {
            if (numbers.get(i) != numbers.get(i - 1) + 1) {
                return false;
            }
        }
        return numbers.size() > 1;
    }

    /** Above groups of columns there are gaps, and the row below names each column, with the same words again and again. */
    private static boolean isUpperOfTwo(Table.Row upper, Table.Row lower, Predicate<String> isSomebody) {
        long gaps = upper.cells().stream().filter(String::isBlank).count()
                + Math.max(0, lower.cells().size() - upper.cells().size());
        return gaps > 0
                && filled(lower) >= filled(upper)
                && !isData(lower, isSomebody)
                && lower.cells().stream().noneMatch(c -> DATA.matcher(c.strip()).matches());
    }

    /** The grid with this heading, as a table; a column without a name gets one by its place. */
    public Table table(Grid grid) {
        List<Table.Row> rows = grid.rows();
        List<Table.Row> body = rows.subList(first + this.rows, rows.size());
        int width = Math.max(
                body.stream().mapToInt(r -> r.cells().size()).max().orElse(0),
                this.rows == 0 ? 0 : rows.get(first).cells().size());
        List<String> names = new ArrayList<>();
        String above = "";
        for (int i = 0; i < width; i++) {
            String upper = this.rows == 0 ? "" : rows.get(first).cell(i).strip();
            above = upper.isEmpty() && this.rows == 2 ? above : upper;
            String lower = this.rows == 2 ? rows.get(first + 1).cell(i).strip() : "";
            String name = (this.rows == 2 ? above + " " + lower : above).strip();
            names.add(name.isEmpty() ? String.format(Locale.ROOT, "column %d", i + 1) : name);
        }
        return new Table(names, body, grid.separator());
    }
}
