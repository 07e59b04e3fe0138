package org.scholion.formats.standards;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.scholion.formats.json.Fault;
import org.scholion.formats.json.Faults;
import org.scholion.formats.standards.FrameworkFound.Column;
import org.scholion.formats.standards.FrameworkFound.Notes;
import org.scholion.formats.standards.FrameworkFound.Role;
import org.scholion.formats.table.Grid;
import org.scholion.formats.table.Table;

/**
 * A framework from a table, in any order of columns and rows: a code, a text, and what stands above it as a code, as a
 * level, as indentation, as columns of their own, or in the dots of the codes.
 */
public final class FrameworkTable {
    /** A code at the begin of a text, as in "T1.2 Judges tidal streams". */
    private static final Pattern CODED = Pattern.compile(
            "((?:[A-Za-z]{1,6}[.\\-]?)?\\d+(?:[.\\-]\\w{1,6})*|[A-Z]{1,4}(?:[.\\-]\\w{1,6})*)[.):]*\\s+(\\S.*)",
            Pattern.DOTALL);

    private final List<Column> columns;
    private final List<Column> steps;
    private final Notes notes;
    private final List<StandardsTree.Row> rows = new ArrayList<>();
    private final List<String> path = new ArrayList<>();

    private FrameworkTable(List<Column> columns, Notes notes) {
        this.columns = columns;
        this.steps = columns.stream().filter(c -> c.role() == Role.STEP).toList();
        this.notes = notes;
    }

    /**
     * Reads a table.
     *
     * @param chosen what a person said that a column is, by its place
     * @throws Faults when no column can hold the standards' words
     */
    public static FrameworkFound read(Grid grid, Map<Integer, Role> chosen) {
        StandardsColumns found = StandardsColumns.of(grid, chosen);
        Notes notes = new Notes();
        found.above()
                .forEach(r -> notes.add(
                        r.line(),
                        "this stands above the heading and is no standard: "
                                + String.join(" ", r.cells()).strip()));
        FrameworkTable of = new FrameworkTable(found.columns(), notes);
        if (found.columns().stream()
                .noneMatch(c -> c.role() == Role.TEXT || c.role() == Role.STEP || c.role() == Role.CODE)) {
            throw new Faults(List.of(new Fault(
                    "line 1",
                    "no column can be recognised as the standards' codes or words; there are "
                            + String.join(", ", found.table().names()))));
        }
        found.table().rows().forEach(of::row);
        return new FrameworkFound("", "", found.columns(), StandardsTree.of(of.rows, notes), notes.all());
    }

    private void row(Table.Row row) {
        for (int i = 0; i < steps.size(); i++) {
            step(row, i);
        }
        String raw = cell(row, Role.TEXT);
        String text = raw.strip();
        String code = cell(row, Role.CODE).strip();
        if (text.isEmpty() && code.isEmpty()) {
            boolean lost = steps.isEmpty() && row.cells().stream().anyMatch(c -> !c.isBlank());
            if (lost) {
                notes.add(row.line(), "there is neither a code nor a text; the line is left out");
            }
            return;
        }
        Matcher coded = CODED.matcher(text);
        if (code.isEmpty() && !has(Role.CODE) && coded.matches()) {
            code = coded.group(1);
            text = coded.group(2);
        }
        rows.add(new StandardsTree.Row(row.line(), code, text, above(row), depth(row, raw)));
    }

    /** The words of one level: a new standard wherever they are others than in the line before. */
    private void step(Table.Row row, int level) {
        String words = row.cell(steps.get(level).index()).strip();
        if (words.isEmpty() || level < path.size() && path.get(level).equals(words)) {
            return;
        }
        while (path.size() > level) {
            path.remove(path.size() - 1);
        }
        while (path.size() < level) {
            path.add("");
        }
        path.add(words);
        Matcher coded = CODED.matcher(words);
        boolean both = coded.matches();
        rows.add(new StandardsTree.Row(
                row.line(), both ? coded.group(1) : "", both ? coded.group(2) : words, null, level));
    }

    private @Nullable List<String> above(Table.Row row) {
        if (!has(Role.PARENT)) {
            return null;
        }
        return List.of(cell(row, Role.PARENT).strip().split("\\s*[;|,\\n]\\s*")).stream()
                .filter(p -> !p.isBlank())
                .toList();
    }

    private int depth(Table.Row row, String raw) {
        String level = cell(row, Role.LEVEL).strip();
        if (level.matches(".*\\d+.*")) {
            return Integer.parseInt(level.replaceFirst("^\\D*(\\d{1,6}).*$", "$1"));
        }
        if (!steps.isEmpty()) {
            return steps.size();
        }
        return Math.max(indent(raw), indent(cell(row, Role.CODE)));
    }

    private static int indent(String cell) {
        int blanks = 0;
        while (blanks < cell.length() && " \t\u00A0\u2003".indexOf(cell.charAt(blanks)) >= 0) {
            blanks++;
        }
        return blanks;
    }

    private boolean has(Role role) {
        return columns.stream().anyMatch(c -> c.role() == role);
    }

    private String cell(Table.Row row, Role role) {
        return columns.stream()
                .filter(c -> c.role() == role)
                .map(c -> row.cell(c.index()))
                .filter(c -> !c.isBlank())
                .findFirst()
                .orElse("");
    }
}
