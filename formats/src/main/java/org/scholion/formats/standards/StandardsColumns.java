package org.scholion.formats.standards;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;
import org.scholion.formats.standards.FrameworkFound.Column;
import org.scholion.formats.standards.FrameworkFound.Role;
import org.scholion.formats.table.Grid;
import org.scholion.formats.table.Heading;
import org.scholion.formats.table.Table;

/**
 * The columns of a table of standards, by their names, and where these say nothing by what is in them.
 *
 * @param above lines that stand above the heading
 */
record StandardsColumns(Table table, List<Column> columns, List<Table.Row> above) {
    private static final Map<Role, List<String>> NAMES = Map.of(
            Role.CODE, List.of("code", "id", "standard", "number", "key", "no", "nr", "notation", "identifier"),
            Role.TEXT,
                    List.of(
                            "text",
                            "statement",
                            "description",
                            "title",
                            "full statement",
                            "words",
                            "wording",
                            "outcome",
                            "learning outcome",
                            "competence"),
            Role.PARENT, List.of("parent", "above", "parent code", "under", "belongs to", "parent id"),
            Role.LEVEL, List.of("level", "depth", "tier"),
            Role.STEP,
                    List.of(
                            "domain",
                            "strand",
                            "area",
                            "cluster",
                            "topic",
                            "theme",
                            "section",
                            "chapter",
                            "group",
                            "category",
                            "heading",
                            "field"));

    static StandardsColumns of(Grid grid, Map<Integer, Role> chosen) {
        Heading heading = Heading.naming(grid, StandardsColumns::names);
        Table table = heading.table(grid);
        return new StandardsColumns(table, columns(table, chosen, heading.rows() > 0), heading.above(grid));
    }

    /** How many cells are names of columns; at least half of a heading's are. */
    private static long names(List<String> cells) {
        long names = cells.stream().filter(c -> named(c) != null).count();
        long filled = cells.stream().filter(c -> !c.isBlank()).count();
        return names * 2 >= filled ? names : 0;
    }

    private static @Nullable Role named(String header) {
        String name = header.toLowerCase(Locale.ROOT).replaceAll("[_.:*]+", " ").strip();
        if (name.matches("level\\s*\\d")) {
            return Role.STEP;
        }
        return NAMES.entrySet().stream()
                .filter(e -> e.getValue().contains(name))
                .map(Map.Entry::getKey)
                .findFirst()
                .orElse(null);
    }

    private static List<Column> columns(Table table, Map<Integer, Role> chosen, boolean headed) {
        List<Column> columns = new ArrayList<>();
        Set<Role> found = EnumSet.noneOf(Role.class);
        found.addAll(chosen.values());
        for (int i = 0; i < table.names().size(); i++) {
            String name = table.names().get(i);
            Role role = chosen.getOrDefault(i, headed ? named(name) : null);
            boolean free = role != null && (chosen.containsKey(i) || found.add(role) || role == Role.STEP);
            columns.add(new Column(
                    i,
                    headed ? name : "",
                    role != null && free ? role : Role.LEFT_OUT,
                    chosen.containsKey(i) ? "you chose this" : free ? "by its name" : "its name is not recognised"));
        }
        if (!headed && chosen.isEmpty() && columns.size() > 1 && isStaircase(table)) {
            return columns.stream()
                    .map(c -> new Column(c.index(), c.name(), Role.STEP, "each line has one of these columns"))
                    .toList();
        }
        byContent(table, columns, found, chosen);
        return columns;
    }

    private static boolean isStaircase(Table table) {
        return table.rows().stream()
                .allMatch(r -> r.cells().stream().filter(c -> !c.isBlank()).count() == 1);
    }

    private static void byContent(Table table, List<Column> columns, Set<Role> found, Map<Integer, Role> chosen) {
        if (!found.contains(Role.CODE)) {
            take(columns, found, chosen, Role.CODE, "its cells are codes", c -> isCodes(table.filled(c.index())));
        }
        if (!found.contains(Role.TEXT)) {
            take(columns, found, chosen, Role.TEXT, "it holds the longest texts", c -> isLongest(table, columns, c));
        }
    }

    private static void take(
            List<Column> columns,
            Set<Role> found,
            Map<Integer, Role> chosen,
            Role role,
            String because,
            Predicate<Column> fits) {
        for (int i = 0; i < columns.size(); i++) {
            Column c = columns.get(i);
            if (c.role() == Role.LEFT_OUT && !chosen.containsKey(i) && !found.contains(role) && fits.test(c)) {
                found.add(role);
                columns.set(i, new Column(c.index(), c.name(), role, because));
            }
        }
    }

    private static boolean isCodes(List<String> cells) {
        long codes = cells.stream().filter(c -> c.matches("[\\w.\\-/:]{1,24}")).count();
        return !cells.isEmpty() && codes == cells.size() && new HashSet<>(cells).size() == cells.size();
    }

    private static boolean isLongest(Table table, List<Column> columns, Column own) {
        double length = length(table, own.index());
        return length > 3
                && columns.stream()
                        .filter(c -> c.role() == Role.LEFT_OUT)
                        .allMatch(c -> length(table, c.index()) <= length);
    }

    private static double length(Table table, int column) {
        return table.filled(column).stream().mapToInt(String::length).average().orElse(0);
    }
}
