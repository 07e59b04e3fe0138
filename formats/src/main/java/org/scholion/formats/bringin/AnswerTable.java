package org.scholion.formats.bringin;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.Item;
import org.scholion.formats.bringin.BringIn.CellFault;
import org.scholion.formats.bringin.Column.Use;
import org.scholion.formats.table.Table;

/** Recognises a table with a row a student and a column an item. */
public final class AnswerTable {
    private final Table table;
    private final List<Item> items;
    private final Map<String, Known> byForm = new HashMap<>();
    private final Set<String> ids;
    private final Set<Integer> leaveOut;
    private final List<CellFault> faults = new ArrayList<>();

    private AnswerTable(Table table, List<Item> items, List<Known> roster, Set<Integer> leaveOut) {
        this.table = table;
        this.items = items;
        this.leaveOut = leaveOut;
        this.ids = roster.stream()
                .flatMap(k -> Stream.of(k.number(), k.email()))
                .filter(id -> !id.isBlank())
                .map(Known::form)
                .collect(Collectors.toSet());
        roster.forEach(k -> k.calledBy().forEach(form -> byForm.putIfAbsent(form, k)));
    }

    /**
     * Recognises columns and rows.
     *
     * @param items the items that are answered, in the order of the paper
     * @param leaveOut lines of the file that a person has chosen to leave out
     */
    public static BringIn recognise(Table table, List<Item> items, List<Known> roster, Set<Integer> leaveOut) {
        return new AnswerTable(table, items, roster, leaveOut).recognise();
    }

    private BringIn recognise() {
        int identity = identityColumn();
        List<Column> columns = new ArrayList<>();
        for (int i = 0; i < table.names().size(); i++) {
            columns.add(column(i, identity));
        }
        refuseTwice(columns);
        if (identity < 0) {
            faults.add(new CellFault(
                    1, "", "No column identifies the students. Add one with their number, e-mail or name."));
        }
        if (columns.stream().noneMatch(c -> c.use() == Use.ITEM)) {
            faults.add(new CellFault(1, "", "no column is a question: name it by its number, its id or its full text"));
        }
        List<BringIn.Attempt> attempts = faults.isEmpty() ? attempts(columns, identity) : List.of();
        return new BringIn(columns, attempts, faults);
    }

    /**
     * The column that says who: one in which numbers or addresses of the roster stand in at least half of the rows;
     * where there is none, the one with the most names of students.
     */
    private int identityColumn() {
        int byId = bestColumn(ids);
        return byId >= 0 && hits(byId, ids) * 2 >= table.rows().size() ? byId : bestColumn(byForm.keySet());
    }

    private int bestColumn(Set<String> forms) {
        int best = -1;
        long most = 0;
        for (int i = 0; i < table.names().size(); i++) {
            long hits = hits(i, forms);
            if (hits > most) {
                most = hits;
                best = i;
            }
        }
        return best;
    }

    private long hits(int column, Set<String> forms) {
        return table.rows().stream()
                .filter(r -> forms.contains(Known.form(r.cell(column))))
                .count();
    }

    private Column column(int i, int identity) {
        String name = table.names().get(i);
        if (i == identity) {
            return new Column(i, name, Use.STUDENT, null, "its cells are students of the roster");
        }
        for (int n = 0; n < items.size(); n++) {
            Item item = items.get(n);
            String because = ItemNames.because(name, item, n + 1);
            if (because != null) {
                return new Column(i, name, Use.ITEM, item.id(), because);
            }
        }
        return new Column(i, name, Use.LEFT_OUT, null, "it is no question of this paper");
    }

    private void refuseTwice(List<Column> columns) {
        Map<String, Column> seen = new HashMap<>();
        for (Column column : columns) {
            Column earlier = column.item() == null ? null : seen.putIfAbsent(column.item(), column);
            if (earlier != null) {
                faults.add(new CellFault(
                        1, column.name(), "this is the same question as the column '" + earlier.name() + "'"));
            }
        }
    }

    private List<BringIn.Attempt> attempts(List<Column> columns, int identity) {
        List<BringIn.Attempt> attempts = new ArrayList<>();
        Map<String, Integer> lines = new HashMap<>();
        for (Table.Row row : table.rows()) {
            if (leaveOut.contains(row.line())) {
                continue;
            }
            Known student = student(row, identity);
            if (student == null) {
                continue;
            }
            Integer earlier = lines.putIfAbsent(student.id(), row.line());
            if (earlier != null) {
                faults.add(new CellFault(
                        row.line(),
                        table.names().get(identity),
                        student.name() + " is also in row " + earlier + ". Skip one of the two."));
            }
            attempts.add(new BringIn.Attempt(row.line(), student, answers(row, columns)));
        }
        return attempts;
    }

    private @Nullable Known student(Table.Row row, int identity) {
        String cell = row.cell(identity);
        Known student = byForm.get(Known.form(cell));
        if (student == null) {
            String name = cell.isBlank()
                    ? "The cell is empty."
                    : "“" + cell.strip() + "” is not a student in these sections.";
            faults.add(new CellFault(row.line(), table.names().get(identity), name + byAnotherColumn(row)));
        }
        return student;
    }

    /** Where another cell of the row names somebody, that is worth saying. */
    private String byAnotherColumn(Table.Row row) {
        return row.cells().stream()
                .map(c -> byForm.get(Known.form(c)))
                .filter(java.util.Objects::nonNull)
                .findFirst()
                .map(k -> " By name it could be " + k.name() + " (" + k.section() + ").")
                .orElse("");
    }

    private Map<String, Answer> answers(Table.Row row, List<Column> columns) {
        Map<String, Answer> answers = new LinkedHashMap<>();
        for (Column column : columns) {
            if (column.item() == null) {
                continue;
            }
            Item item = items.stream()
                    .filter(i -> i.id().equals(column.item()))
                    .findFirst()
                    .orElseThrow();
            CellReader.Read read = CellReader.read(item, row.cell(column.index()));
            Optional.ofNullable(read.fault()).ifPresent(f -> faults.add(new CellFault(row.line(), column.name(), f)));
            if (read.answer() != null) {
                answers.put(item.id(), read.answer());
            }
        }
        return answers;
    }
}
