package org.scholion.formats.bringin;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.scholion.core.item.Item;
import org.scholion.core.item.PassageItem;
import org.scholion.formats.bringin.BringIn.CellFault;
import org.scholion.formats.bringin.BringIn.RowQuestion;
import org.scholion.formats.bringin.BringInChoices.RowChoice;
import org.scholion.formats.bringin.Column.Use;
import org.scholion.formats.table.Grid;
import org.scholion.formats.table.Heading;
import org.scholion.formats.table.Table;

/** Recognises a table of students' answers, whatever its shape. */
public final class AnswerTable {
    private static final RowChoice NOTHING_SAID = new RowChoice("", false, false, null);

    private final Table table;
    private final BringIn.Shape shape;
    private final List<Item> items;
    private final StudentFinder finder;
    private final Map<String, Known> byId = new HashMap<>();
    private final BringInChoices choices;
    private final List<CellFault> faults = new ArrayList<>();
    private final List<RowQuestion> questions = new ArrayList<>();

    private AnswerTable(
            TableShape.Shaped shaped,
            List<Item> items,
            StudentFinder finder,
            List<Known> roster,
            BringInChoices choices) {
        this.table = shaped.table();
        this.shape = shaped.shape();
        this.items = items;
        this.finder = finder;
        this.choices = choices;
        roster.forEach(k -> byId.put(k.id(), k));
    }

    /** A file as it was recognised: of a long one, or of strings of letters, the table that was made of it. */
    public record Recognised(Table table, BringIn found) {}

    /** A file with its heading, as far as a roster tells data from headings, and all that it would bring in. */
    public static Recognised recognise(Grid grid, List<Item> items, List<Known> roster, BringInChoices choices) {
        StudentFinder finder = new StudentFinder(roster);
        Table table = headed(grid, finder, choices);
        TableShape.Shaped shaped = TableShape.of(table, items, finder);
        return new Recognised(shaped.table(), new AnswerTable(shaped, items, finder, roster, choices).recognise());
    }

    /** The file as a table with its heading. */
    public static Table headed(Grid grid, List<Known> roster, BringInChoices choices) {
        return headed(grid, new StudentFinder(roster), choices);
    }

    private static Table headed(Grid grid, StudentFinder finder, BringInChoices choices) {
        Heading found = Heading.find(grid, finder::isSomebody);
        Integer said = choices.heading();
        return (said == null ? found : new Heading(found.first(), said)).table(grid);
    }

    /**
     * Recognises columns, rows and cells.
     *
     * @param items the items that are answered, in the order of the paper
     */
    public static BringIn recognise(Table table, List<Item> items, List<Known> roster, BringInChoices choices) {
        StudentFinder finder = new StudentFinder(roster);
        return new AnswerTable(TableShape.of(table, items, finder), items, finder, roster, choices).recognise();
    }

    private BringIn recognise() {
        List<Column> guessed = new ColumnGuess(table, items, finder, choices.columns()).columns();
        List<Column> students = guessed.stream().filter(Column::isStudent).toList();
        Integer keyLine = keyLine(students);
        List<Column> columns = Scores.found(table, guessed, items, keyLine);
        if (students.isEmpty()) {
            faults.add(new CellFault(
                    1, "", "No column identifies the students. Choose the one with their number, e-mail or name."));
        }
        if (columns.stream().noneMatch(Column::isQuestion)) {
            faults.add(new CellFault(
                    1,
                    "",
                    "No column is a question of this paper. Choose what the columns are, or name them by number."));
        }
        AnswerCells cells = new AnswerCells(table, columns, items, choices);
        PointCells points = new PointCells(table, columns, items, choices, keyLine);
        List<BringIn.Attempt> attempts =
                faults.isEmpty() ? attempts(columns, students, keyLine, cells, points) : List.of();
        List<BringIn.Attempt> once = once(attempts);
        return new BringIn(
                shape,
                columns,
                once,
                questions,
                Stream.concat(cells.questions().stream(), points.questions().stream())
                        .toList(),
                without(columns),
                attempts.size() - once.size(),
                keyLine,
                cells.decimalComma(),
                points.asks(),
                faults);
    }

    private List<BringIn.Attempt> attempts(
            List<Column> columns, List<Column> students, @Nullable Integer key, AnswerCells cells, PointCells points) {
        int usual = shape == BringIn.Shape.LETTERS ? usualLength(columns) : 0;
        List<BringIn.Attempt> attempts = new ArrayList<>();
        for (Table.Row row : table.rows()) {
            if (Objects.equals(key, row.line())) {
                continue;
            }
            RowChoice said = choices.rows().getOrDefault(row.line(), NOTHING_SAID);
            StudentFinder.Found found = find(row, students);
            Known student = said.student().isEmpty() ? found.student() : byId.get(said.student());
            String length = length(row, columns, usual);
            String why = student == null ? found.why() : length.isEmpty() ? found.why() : length;
            boolean byLength = student != null && !length.isEmpty();
            boolean asks = student == null || byLength && !said.asIs();
            if (asks || said.skip() || !said.student().isEmpty() || said.asIs()) {
                Known chosen = said.student().isEmpty() ? null : student;
                questions.add(new RowQuestion(
                        row.line(), who(row, students), why, found.near(), chosen, byLength, said.asIs(), said.skip()));
            }
            if (!asks && !said.skip() && student != null) {
                String by = found.by() == null ? "chosen" : found.by().name().toLowerCase(Locale.ROOT);
                PointCells.Given given = points.of(row);
                attempts.add(new BringIn.Attempt(
                        row.line(), student, by, cells.answers(row), given.points(), given.notAsked()));
            }
        }
        return attempts;
    }

    private List<BringIn.Attempt> once(List<BringIn.Attempt> attempts) {
        Map<String, BringIn.Attempt> each = new LinkedHashMap<>();
        for (BringIn.Attempt a : attempts) {
            if (choices.twice() == BringInChoices.Twice.LAST) {
                each.put(a.student().id(), a);
            } else {
                each.putIfAbsent(a.student().id(), a);
            }
        }
        return List.copyOf(each.values());
    }

    private StudentFinder.Found find(Table.Row row, List<Column> columns) {
        String name = cell(row, columns, Use.NAME);
        String parts = (cell(row, columns, Use.GIVEN) + " " + cell(row, columns, Use.FAMILY)).strip();
        return finder.find(
                cell(row, columns, Use.NUMBER), cell(row, columns, Use.EMAIL), name.isEmpty() ? parts : name);
    }

    private static String cell(Table.Row row, List<Column> students, Use use) {
        for (Column c : students) {
            if (c.use() == use && !row.cell(c.index()).isBlank()) {
                return row.cell(c.index()).strip();
            }
        }
        return "";
    }

    private static String who(Table.Row row, List<Column> students) {
        return students.stream()
                .map(c -> row.cell(c.index()).strip())
                .filter(c -> !c.isEmpty())
                .reduce((a, b) -> a + " · " + b)
                .orElse("");
    }

    /** The row in which the students' columns speak of the key instead of a student. */
    private @Nullable Integer keyLine(List<Column> columns) {
        for (Table.Row row : table.rows()) {
            Boolean said = choices.rows().getOrDefault(row.line(), NOTHING_SAID).key();
            boolean looks = KeyRow.looks(row, columns);
            if (said != null ? said : looks && find(row, columns).student() == null) {
                return row.line();
            }
        }
        return null;
    }

    private int answered(Table.Row row, List<Column> columns) {
        int last = 0;
        int n = 0;
        for (Column c : columns) {
            if (c.use() == Use.ITEM) {
                n++;
                last = row.cell(c.index()).isEmpty() ? last : n;
            }
        }
        return last;
    }

    private int usualLength(List<Column> columns) {
        Map<Integer, Integer> lengths = new HashMap<>();
        table.rows().forEach(r -> lengths.merge(answered(r, columns), 1, Integer::sum));
        return lengths.entrySet().stream()
                .max(Map.Entry.comparingByValue())
                .map(Map.Entry::getKey)
                .orElse(0);
    }

    /** A string that ends early may have lost a letter anywhere: nobody knows which answers moved. */
    private String length(Table.Row row, List<Column> columns, int usual) {
        int length = usual == 0 ? 0 : answered(row, columns);
        return length < usual
                ? "its string has " + length + " signs, the others have " + usual
                        + ": if one is missing in the middle, all after it are wrong"
                : "";
    }

    private List<BringIn.Without> without(List<Column> columns) {
        List<BringIn.Without> without = new ArrayList<>();
        if (columns.stream().noneMatch(Column::isQuestion)) {
            return without;
        }
        for (int n = 0; n < items.size(); n++) {
            Item item = items.get(n);
            boolean there = columns.stream().anyMatch(c -> item.id().equals(c.item()));
            if (!there && !(item instanceof PassageItem)) {
                without.add(new BringIn.Without(
                        item.id(),
                        n + 1,
                        item.head().prompt(),
                        choices.without().get(item.id())));
            }
        }
        return without;
    }
}
