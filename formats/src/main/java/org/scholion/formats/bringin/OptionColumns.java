package org.scholion.formats.bringin;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.scholion.core.item.ChoiceItem;
import org.scholion.core.item.Item;
import org.scholion.formats.table.Table;

/** Columns of single options, with a mark where an option was chosen, brought together: one column a question. */
final class OptionColumns {
    /** {@code Which light? [red]}, {@code Q1: B}, {@code 1b}, {@code 1 B}. */
    private static final List<Pattern> NAMES = List.of(
            Pattern.compile("(.+?)\\s*[\\[(]\\s*([^\\[\\]()]+?)\\s*[\\])]", Pattern.DOTALL),
            Pattern.compile("(.+)\\s*(?:[:/|>→–]|\\s-)\\s*([^:/|>→–]+)", Pattern.DOTALL),
            Pattern.compile("(.*\\d)\\s*[._]?\\s*([A-Za-z])"));

    private static final Set<String> MARKS =
            Set.of("x", "1", "yes", "true", "y", "t", "✓", "✔", "☑", "checked", "selected", "marked", "on", "1.0");
    private static final Set<String> NONE =
            Set.of("", "0", "no", "false", "n", "f", "-", "–", "☐", "unchecked", "off", "0.0", "not selected");

    /** One of an item's options in a column. */
    private record Member(int column, String base, ChoiceItem.Option option) {}

    private OptionColumns() {}

    /** The table with such columns as one; empty where it has none. */
    static Optional<Table> together(Table table, List<Item> items) {
        Map<ChoiceItem, List<Member>> groups = new LinkedHashMap<>();
        for (int i = 0; i < table.names().size(); i++) {
            member(table, i, items, groups);
        }
        groups.values().removeIf(g -> g.size() < 2);
        return groups.isEmpty() ? Optional.empty() : Optional.of(merged(table, groups));
    }

    private static void member(Table table, int column, List<Item> items, Map<ChoiceItem, List<Member>> groups) {
        for (Pattern pattern : NAMES) {
            Matcher named = pattern.matcher(table.names().get(column).strip());
            if (!named.matches()) {
                continue;
            }
            for (int n = 0; n < items.size(); n++) {
                ItemNames.Because because = ItemNames.because(named.group(1), items.get(n), n + 1);
                if (items.get(n) instanceof ChoiceItem choice && because != null && because.sure()) {
                    ChoiceItem.Option option = option(choice, named.group(2).strip());
                    if (option != null && isMarks(table, column, option)) {
                        groups.computeIfAbsent(choice, c -> new ArrayList<>())
                                .add(new Member(column, named.group(1).strip(), option));
                        return;
                    }
                }
            }
        }
    }

    private static ChoiceItem.@Nullable Option option(ChoiceItem item, String name) {
        for (ChoiceItem.Option option : item.options()) {
            if (option.text().strip().equalsIgnoreCase(name) || option.id().equalsIgnoreCase(name)) {
                return option;
            }
        }
        int place = name.matches("[A-Za-z]") ? name.toLowerCase(Locale.ROOT).charAt(0) - 'a' : -1;
        return place >= 0 && place < item.options().size() ? item.options().get(place) : null;
    }

    private static boolean isMarks(Table table, int column, ChoiceItem.Option option) {
        return table.rows().stream()
                .map(r -> r.cell(column))
                .allMatch(c -> isMark(c, option) || NONE.contains(plain(c)));
    }

    private static boolean isMark(String cell, ChoiceItem.Option option) {
        return MARKS.contains(plain(cell))
                || !plain(cell).isEmpty()
                        && cell.strip().equalsIgnoreCase(option.text().strip());
    }

    private static String plain(String cell) {
        return cell.strip().toLowerCase(Locale.ROOT);
    }

    private static Table merged(Table table, Map<ChoiceItem, List<Member>> groups) {
        Map<Integer, List<Member>> first = new LinkedHashMap<>();
        List<Integer> gone = new ArrayList<>();
        groups.values().forEach(g -> {
            first.put(g.get(0).column(), g);
            g.stream().skip(1).forEach(m -> gone.add(m.column()));
        });
        List<String> names = new ArrayList<>();
        for (int i = 0; i < table.names().size(); i++) {
            if (!gone.contains(i)) {
                List<Member> group = first.get(i);
                names.add(group == null ? table.names().get(i) : group.get(0).base());
            }
        }
        List<Table.Row> rows = new ArrayList<>();
        for (Table.Row row : table.rows()) {
            List<String> cells = new ArrayList<>();
            for (int i = 0; i < table.names().size(); i++) {
                if (!gone.contains(i)) {
                    List<Member> group = first.get(i);
                    cells.add(group == null ? row.cell(i) : chosen(row, group));
                }
            }
            rows.add(new Table.Row(row.line(), cells));
        }
        return new Table(names, rows, table.separator());
    }

    private static String chosen(Table.Row row, List<Member> group) {
        return String.join(
                ";",
                group.stream()
                        .filter(m -> isMark(row.cell(m.column()), m.option()))
                        .map(m -> m.option().id())
                        .toList());
    }
}
