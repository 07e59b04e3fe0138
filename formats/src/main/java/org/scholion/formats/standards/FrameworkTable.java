package org.scholion.formats.standards;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.scholion.core.item.Faulty;
import org.scholion.core.standard.Framework;
import org.scholion.formats.json.Fault;
import org.scholion.formats.json.Faults;
import org.scholion.formats.table.Table;

/** A framework from a table: a code, a text, and where there is one the code above, in any order of columns. */
public final class FrameworkTable {
    private static final List<String> CODE = List.of("code", "id", "standard", "number", "key");
    private static final List<String> TEXT = List.of("text", "statement", "description", "title", "full statement");
    private static final List<String> PARENT = List.of("parent", "above", "parent code", "under", "belongs to");

    private FrameworkTable() {}

    /**
     * Reads a table.
     *
     * @throws Faults naming the line, the missing column or the code
     */
    public static Framework read(Table table, String id, String title, String version) {
        int code = column(table, CODE);
        int text = column(table, TEXT);
        int parent = column(table, PARENT);
        if (code < 0 || text < 0) {
            throw new Faults(List.of(new Fault(
                    "line 1",
                    "a column named 'code' and one named 'text' are needed; there are "
                            + String.join(", ", table.names()))));
        }
        List<Framework.Standard> standards = new ArrayList<>();
        List<Fault> faults = new ArrayList<>();
        for (Table.Row row : table.rows()) {
            String above = parent < 0 ? "" : row.cell(parent).strip();
            if (row.cell(code).isBlank()) {
                faults.add(new Fault("line " + row.line(), "there is no code"));
            } else {
                standards.add(new Framework.Standard(
                        row.cell(code).strip(),
                        above.isEmpty() ? null : above,
                        row.cell(text).strip()));
            }
        }
        if (!faults.isEmpty()) {
            throw new Faults(faults);
        }
        return checked(id, title, version, standards, table);
    }

    private static Framework checked(
            String id, String title, String version, List<Framework.Standard> standards, Table table) {
        try {
            return new Framework(id, title, version, standards);
        } catch (Faulty e) {
            String line = e.place().replaceFirst("^standards\\[(\\d+)].*", "$1");
            String where = line.matches("\\d+")
                    ? "line " + table.rows().get(Integer.parseInt(line)).line()
                    : e.place();
            throw new Faults(List.of(new Fault(where, String.valueOf(e.getMessage()))));
        }
    }

    private static int column(Table table, List<String> names) {
        for (int i = 0; i < table.names().size(); i++) {
            if (names.contains(table.names().get(i).toLowerCase(Locale.ROOT).replace('_', ' '))) {
                return i;
            }
        }
        return -1;
    }
}
