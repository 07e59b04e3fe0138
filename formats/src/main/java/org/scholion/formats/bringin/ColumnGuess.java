package org.scholion.formats.bringin;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.scholion.core.item.Item;
import org.scholion.formats.bringin.Column.Use;
import org.scholion.formats.table.Table;

/** What each column of a table of answers is taken for: what a person says, else its name, else what stands in it. */
final class ColumnGuess {
    private static final Pattern GIVEN =
            Pattern.compile("(first|given|fore) ?names?|vorname|fornavn|prenom", Pattern.CASE_INSENSITIVE);
    private static final Pattern FAMILY =
            Pattern.compile("(sur|family|last) ?names?|nachname|etternavn|nom", Pattern.CASE_INSENSITIVE);

    /** What stands between the answers in many exports. */
    private static final Pattern BESIDE = Pattern.compile(
            "(.*\\b)?(score|scores|points?|marks?|grade|total|max|maximum|possible|percent(age)?|result|feedback|comments?|remarks?|correct\\??|time|date|timestamp|handed in|submitted|started|duration|ip)(\\b.*)?|%",
            Pattern.CASE_INSENSITIVE);

    private final Table table;
    private final List<Item> items;
    private final StudentFinder finder;
    private final Map<Integer, Column.Choice> chosen;

    ColumnGuess(Table table, List<Item> items, StudentFinder finder, Map<Integer, Column.Choice> chosen) {
        this.table = table;
        this.items = items;
        this.finder = finder;
        this.chosen = chosen;
    }

    List<Column> columns() {
        Column[] columns = new Column[table.names().size()];
        chosen.forEach((i, choice) -> {
            if (i >= 0 && i < columns.length) {
                columns[i] = new Column(i, name(i), choice.use(), choice.item(), Column.CHOSEN, true);
            }
        });
        students(columns);
        for (int i = 0; i < columns.length; i++) {
            if (columns[i] == null) {
                columns[i] = item(i);
            }
        }
        return onlyOneEach(columns);
    }

    private String name(int i) {
        return table.names().get(i);
    }

    /** The columns in which most cells name somebody of the roster, the best of each way; names in two columns, too. */
    private void students(Column[] columns) {
        Map<StudentFinder.By, Integer> best = new EnumMap<>(StudentFinder.By.class);
        Map<StudentFinder.By, Long> most = new EnumMap<>(StudentFinder.By.class);
        for (int i = 0; i < columns.length; i++) {
            if (columns[i] != null || isNamedItem(i)) {
                continue;
            }
            Map<StudentFinder.By, Long> hits = new EnumMap<>(StudentFinder.By.class);
            for (Table.Row row : table.rows()) {
                StudentFinder.By by = finder.by(row.cell(i));
                if (by != null) {
                    hits.merge(by, 1L, Long::sum);
                }
            }
            for (Map.Entry<StudentFinder.By, Long> hit : hits.entrySet()) {
                if (hit.getValue() > most.getOrDefault(hit.getKey(), 0L)) {
                    most.put(hit.getKey(), hit.getValue());
                    best.put(hit.getKey(), i);
                }
            }
        }
        best.forEach((by, i) -> {
            boolean enough = most.getOrDefault(by, 0L) * 5 >= table.rows().size();
            if (columns[i] == null && (enough || best.size() == 1)) {
                columns[i] = new Column(i, name(i), use(by), null, "its cells are students of the roster", true);
            }
        });
        twoNames(columns);
    }

    private static Use use(StudentFinder.By by) {
        return switch (by) {
            case NUMBER -> Use.NUMBER;
            case EMAIL -> Use.EMAIL;
            case NAME -> Use.NAME;
        };
    }

    private void twoNames(Column[] columns) {
        boolean whole = has(columns, Use.NAME);
        for (int i = 0; i < columns.length && !whole; i++) {
            if (columns[i] == null && GIVEN.matcher(name(i)).matches() && !has(columns, Use.GIVEN)) {
                columns[i] = new Column(i, name(i), Use.GIVEN, null, "its name says so", true);
            } else if (columns[i] == null && FAMILY.matcher(name(i)).matches() && !has(columns, Use.FAMILY)) {
                columns[i] = new Column(i, name(i), Use.FAMILY, null, "its name says so", true);
            }
        }
    }

    private static boolean has(Column[] columns, Use use) {
        for (Column c : columns) {
            if (c != null && c.use() == use) {
                return true;
            }
        }
        return false;
    }

    private boolean isNamedItem(int i) {
        for (int n = 0; n < items.size(); n++) {
            ItemNames.Because because = ItemNames.because(name(i), items.get(n), n + 1);
            if (because != null && because.sure()) {
                return true;
            }
        }
        return false;
    }

    private Column item(int i) {
        Column likely = null;
        for (int n = 0; n < items.size(); n++) {
            ItemNames.Because because = ItemNames.because(name(i), items.get(n), n + 1);
            if (because != null) {
                Column column = new Column(i, name(i), Use.ITEM, items.get(n).id(), because.words(), because.sure());
                if (because.sure()) {
                    return column;
                }
                likely = likely == null ? column : likely;
            }
        }
        if (likely != null) {
            return likely;
        }
        return BESIDE.matcher(name(i)).matches()
                ? new Column(
                        i, name(i), Use.LEFT_OUT, null, "it looks like a time, scores or comments, not answers", true)
                : new Column(i, name(i), Use.LEFT_OUT, null, "it is no question of this paper", true);
    }

    /**
     * Of two columns that mean one item, the sure one is taken, or the one that a person chose, or the first. An item
     * can have its answers in one and its points in another.
     */
    private List<Column> onlyOneEach(Column[] columns) {
        Map<String, Column> first = new HashMap<>();
        for (Column c : columns) {
            if (c.item() != null) {
                first.merge(c.use() + c.item(), c, ColumnGuess::better);
            }
        }
        List<Column> all = new ArrayList<>();
        for (Column c : columns) {
            Column other = c.item() == null ? null : first.get(c.use() + c.item());
            all.add(
                    other == null || other == c
                            ? c
                            : new Column(
                                    c.index(),
                                    c.name(),
                                    Use.LEFT_OUT,
                                    null,
                                    "“" + other.name() + "” is the same question already",
                                    false));
        }
        return all;
    }

    private static Column better(Column a, Column b) {
        return rank(b) > rank(a) ? b : a;
    }

    private static int rank(Column c) {
        return c.isChosen() ? 2 : c.sure() ? 1 : 0;
    }

    static @Nullable Item item(List<Item> items, @Nullable String id) {
        return items.stream().filter(i -> i.id().equals(id)).findFirst().orElse(null);
    }
}
