package org.scholion.formats.bringin;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.ChoiceItem;
import org.scholion.core.item.Item;
import org.scholion.core.item.NumberItem;
import org.scholion.core.item.OpenItem;
import org.scholion.formats.bringin.BringIn.CellQuestion;
import org.scholion.formats.bringin.Column.Use;
import org.scholion.formats.table.Table;

/** Reads the cells of a table as answers; what cannot be read is asked about once, however often it stands there. */
final class AnswerCells {
    /** What programs and people write where nothing was answered, or where two marks were seen. */
    private static final Set<String> SIGNS = Set.of(
            "-",
            "--",
            "–",
            "—",
            "*",
            "/",
            ".",
            "?",
            "n/a",
            "na",
            "n.a.",
            "(blank)",
            "blank",
            "no answer",
            "not answered",
            "(no answer)",
            "null",
            "#n/a");

    private static final Pattern COMMA = Pattern.compile("\\s*[-+−]?\\d+,\\d+.*", Pattern.DOTALL);
    private static final Pattern POINT = Pattern.compile("\\s*[-+−]?\\d+\\.\\d+.*", Pattern.DOTALL);
    private static final Pattern THOUSANDS = Pattern.compile("\\s*[-+−]?\\d{1,3}(,\\d{3})+(?!\\d).*", Pattern.DOTALL);
    static final String AS_IS = "=";
    private static final int LONGEST_REMEMBERED = 200;
    private static final int MOST_REMEMBERED = 2_000;

    private final Table table;
    private final List<Column> columns;
    private final Map<Integer, Item> itemOf = new LinkedHashMap<>();
    private final BringInChoices choices;
    private final @Nullable Boolean decimalComma;
    private final Map<Integer, Map<String, CellReader.Read>> remembered = new HashMap<>();
    private final CellQuestions questions;

    AnswerCells(Table table, List<Column> columns, List<Item> items, BringInChoices choices) {
        this.table = table;
        this.columns = columns;
        this.choices = choices;
        this.questions = new CellQuestions(choices.cells(), false);
        for (Column c : columns) {
            Item item = c.use() == Use.ITEM ? ColumnGuess.item(items, c.item()) : null;
            if (item != null) {
                itemOf.put(c.index(), item);
            }
        }
        this.decimalComma = comma();
    }

    /** Whether a cell holds only what is written where there is nothing. */
    static boolean isSign(String cell) {
        return SIGNS.contains(cell.toLowerCase(Locale.ROOT));
    }

    /** Whether commas in numbers are decimal marks: said, or so where no number has a point and not all are thousands. */
    private @Nullable Boolean comma() {
        boolean commas = false;
        boolean points = false;
        boolean certain = false;
        for (Map.Entry<Integer, Item> column : itemOf.entrySet()) {
            if (column.getValue() instanceof NumberItem) {
                for (Table.Row row : table.rows()) {
                    String cell = row.cell(column.getKey());
                    commas |= COMMA.matcher(cell).matches();
                    points |= POINT.matcher(cell).matches();
                    certain |= COMMA.matcher(cell).matches()
                            && !THOUSANDS.matcher(cell).matches();
                }
            }
        }
        if (!commas) {
            return null;
        }
        Boolean said = choices.decimalComma();
        return said != null ? said : certain && !points && table.separator() != ',';
    }

    @Nullable
    Boolean decimalComma() {
        return decimalComma;
    }

    List<CellQuestion> questions() {
        return questions.asked();
    }

    /** The answers of a row by item; a cell that asks and is not decided answers nothing. */
    Map<String, Answer> answers(Table.Row row) {
        Map<String, Answer> answers = new LinkedHashMap<>();
        itemOf.forEach((column, item) -> {
            Answer answer = answer(column, item, row.cell(column));
            if (answer != null) {
                answers.put(item.id(), answer);
            }
        });
        return answers;
    }

    private @Nullable Answer answer(int column, Item item, String cell) {
        String text = Boolean.TRUE.equals(decimalComma)
                        && item instanceof NumberItem
                        && COMMA.matcher(cell).matches()
                ? cell.replaceFirst(",", ".")
                : cell;
        CellReader.Read read = read(column, item, text);
        String plain = cell.strip();
        if (isSign(plain) && !(read.answer() != null && item instanceof ChoiceItem)) {
            String decided = questions.ask("", "", plain, List.of());
            return AS_IS.equals(decided) && !(item instanceof ChoiceItem) ? read.answer() : null;
        }
        if (read.answer() != null) {
            return read.answer();
        }
        String decided = questions.ask(item.id(), columns.get(column).name(), plain, options(item));
        if (decided == null || decided.isEmpty()) {
            return null;
        }
        return CellReader.read(item, decided).answer();
    }

    /** Answers of a class say the same again and again: what a cell was read as is remembered, column by column. */
    private CellReader.Read read(int column, Item item, String text) {
        if (text.length() > LONGEST_REMEMBERED) {
            return CellReader.read(item, text);
        }
        Map<String, CellReader.Read> known = remembered.computeIfAbsent(column, c -> new HashMap<>());
        if (known.size() > MOST_REMEMBERED) {
            known.clear();
        }
        return known.computeIfAbsent(text, t -> CellReader.read(item, t));
    }

    private static List<BringIn.Option> options(Item item) {
        return item instanceof ChoiceItem choice
                ? choice.options().stream()
                        .map(o -> new BringIn.Option(o.id(), o.text()))
                        .toList()
                : item instanceof OpenItem ? List.of(new BringIn.Option(AS_IS, "")) : List.of();
    }
}
