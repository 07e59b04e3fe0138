package org.scholion.formats.bringin;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.scholion.core.item.ChoiceItem;
import org.scholion.core.item.Item;
import org.scholion.core.item.PassageItem;
import org.scholion.formats.bringin.BringIn.Shape;
import org.scholion.formats.table.Table;

/**
 * Tables of answers that are not a row a student and a column a question, brought into that shape; all that follows
 * knows only that one.
 */
final class TableShape {
    private static final Pattern STRING = Pattern.compile("[A-Za-z0-9*?.\\-_ ]+");
    private static final Pattern ANSWER = Pattern.compile(
            "(the )?(answers?|responses?|answer ?given|given ?answer|selected|choice|value|reply|antwort|svar)",
            Pattern.CASE_INSENSITIVE);
    private static final Pattern POINTS =
            Pattern.compile("(points?|marks?|scores?)( given)?|punkte|poeng", Pattern.CASE_INSENSITIVE);
    private static final int SHORTEST_STRING = 4;

    private TableShape() {}

    /** A table in the one shape, and which it had. */
    record Shaped(Table table, Shape shape) {}

    static Shaped of(Table table, List<Item> items, StudentFinder finder) {
        int letters = letters(table, items, finder);
        if (letters >= 0) {
            return new Shaped(spread(table, letters, items), Shape.LETTERS);
        }
        Optional<Table> options = OptionColumns.together(table, items);
        if (options.isPresent()) {
            return new Shaped(options.get(), Shape.OPTIONS);
        }
        int question = question(table, items);
        int answer = question < 0 ? -1 : answer(table, question);
        int student = answer < 0 ? -1 : repeated(table, finder);
        return student < 0
                ? new Shaped(table, Shape.WIDE)
                : new Shaped(pivoted(table, student, question, answer), Shape.LONG);
    }

    /** The column whose cells are strings of letters, at least half as long as the paper has rows of choices. */
    private static int letters(Table table, List<Item> items, StudentFinder finder) {
        long choices = items.stream().filter(ChoiceItem.class::isInstance).count();
        int least = (int) Math.max(SHORTEST_STRING, choices / 2);
        if (choices < SHORTEST_STRING) {
            return -1;
        }
        for (int i = table.names().size() - 1; i >= 0; i--) {
            int column = i;
            long filled =
                    table.rows().stream().filter(r -> !r.cell(column).isBlank()).count();
            long fits = table.rows().stream()
                    .map(r -> r.cell(column).strip())
                    .filter(c -> c.length() >= least && STRING.matcher(c).matches() && isMostlySingle(c))
                    .filter(c -> !finder.isSomebody(c))
                    .count();
            if (fits > 0 && fits * 5 >= filled * 4) {
                return column;
            }
        }
        return -1;
    }

    /** Letters, or signs for none and several; a word in small letters with other ones in it is a word. */
    private static boolean isMostlySingle(String cell) {
        long options = cell.chars()
                .filter(c -> "ABCDEFGHabcdefgh12345678*-?._ ".indexOf(c) >= 0)
                .count();
        boolean oneCase = cell.equals(cell.toUpperCase(java.util.Locale.ROOT))
                || cell.equals(cell.toLowerCase(java.util.Locale.ROOT));
        return oneCase && options == cell.length() && cell.chars().anyMatch(Character::isLetter);
    }

    /** One column a letter, named by the number of the question; blanks between groups of letters are no answers. */
    private static Table spread(Table table, int letters, List<Item> items) {
        List<Item> asked =
                items.stream().filter(i -> !(i instanceof PassageItem)).toList();
        int most = Math.max(asked.size(), 1);
        List<String> names = new ArrayList<>(table.names());
        IntStream.rangeClosed(1, most).forEach(n -> names.add(String.valueOf(n)));
        int before = table.names().size();
        List<Table.Row> rows = new ArrayList<>();
        for (Table.Row row : table.rows()) {
            List<String> cells = new ArrayList<>(
                    IntStream.range(0, before).mapToObj(row::cell).toList());
            String string = row.cell(letters).strip();
            String each =
                    string.contains(" ") && string.replace(" ", "").length() <= most ? string.replace(" ", "") : string;
            for (int n = 0; n < most; n++) {
                cells.add(n < each.length() ? each.substring(n, n + 1) : "");
            }
            rows.add(new Table.Row(row.line(), cells));
        }
        return new Table(names, rows, table.separator());
    }

    private static int question(Table table, List<Item> items) {
        int best = -1;
        for (int i = 0; i < table.names().size(); i++) {
            int column = i;
            boolean all = !table.rows().isEmpty()
                    && table.rows().stream().allMatch(r -> isItem(r.cell(column), items))
                    && table.rows().stream().map(r -> r.cell(column)).distinct().count() > 1;
            // A text of a question says more than a number, which a score can be, too.
            if (all && (best < 0 || longest(table, i) > longest(table, best))) {
                best = i;
            }
        }
        return best;
    }

    private static int longest(Table table, int column) {
        return table.rows().stream()
                .mapToInt(r -> r.cell(column).length())
                .max()
                .orElse(0);
    }

    private static boolean isItem(String cell, List<Item> items) {
        for (int n = 0; n < items.size(); n++) {
            ItemNames.Because because = ItemNames.because(cell, items.get(n), n + 1);
            if (because != null && because.sure()) {
                return true;
            }
        }
        return false;
    }

    /** The column of answers; where there is none, the one of points. */
    private static int answer(Table table, int question) {
        int answers = named(table, question, ANSWER);
        return answers < 0 ? named(table, question, POINTS) : answers;
    }

    private static int named(Table table, int question, Pattern name) {
        for (int i = 0; i < table.names().size(); i++) {
            if (i != question
                    && name.matcher(table.names().get(i).replace('_', ' ').strip())
                            .matches()) {
                return i;
            }
        }
        return -1;
    }

    /** The column that names students again and again. */
    private static int repeated(Table table, StudentFinder finder) {
        int best = -1;
        long most = 0;
        for (int i = 0; i < table.names().size(); i++) {
            int column = i;
            long hits = table.rows().stream()
                    .filter(r -> finder.isSomebody(r.cell(column)))
                    .count();
            long distinct =
                    table.rows().stream().map(r -> r.cell(column)).distinct().count();
            if (hits > most && distinct * 2 <= table.rows().size()) {
                most = hits;
                best = i;
            }
        }
        return best;
    }

    private static Table pivoted(Table table, int student, int question, int answer) {
        Map<String, Integer> places = new LinkedHashMap<>();
        Map<String, List<String>> rows = new LinkedHashMap<>();
        Map<String, Integer> lines = new LinkedHashMap<>();
        for (Table.Row row : table.rows()) {
            String who = row.cell(student).strip();
            int place = places.computeIfAbsent(row.cell(question).strip(), q -> places.size() + 1);
            List<String> cells = rows.computeIfAbsent(who, w -> new ArrayList<>(List.of(w)));
            lines.putIfAbsent(who, row.line());
            while (cells.size() <= place) {
                cells.add("");
            }
            cells.set(place, row.cell(answer));
        }
        List<String> names = new ArrayList<>(List.of(table.names().get(student)));
        names.addAll(places.keySet());
        List<Table.Row> wide = rows.entrySet().stream()
                .map(r -> new Table.Row(lines.getOrDefault(r.getKey(), 0), List.copyOf(r.getValue())))
                .toList();
        return new Table(names, wide, table.separator());
    }
}
