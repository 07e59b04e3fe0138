package org.scholion.formats.bringin;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.scholion.formats.bringin.Column.Use;
import org.scholion.formats.json.Json;
import org.scholion.formats.table.Table;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Questions made from the columns of a file of answers, for a paper that was given elsewhere: kinds are guessed from
 * what was answered, the key is taken from the file's key row. Everything is a proposal.
 */
public final class PaperFromAnswers {
    private static final Pattern NUMBER =
            Pattern.compile("[-+−]?\\d+([.,]\\d+)?\\s*([%°]|[\\p{L}/·²³]{1,12})?( [\\p{L}]{1,8})?");
    private static final Pattern BESIDE = Pattern.compile(
            "(?i).*\\b(score|total|sum|percent(age)?|result|grade|points?|marks?|time|date|handed in|submitted|started|class|section|group|e-?mail|full name|comments?|feedback)\\b.*");
    private static final int MOST_WORDS = 4;

    private static final int MOST_OPTIONS = 8;
    private static final int LONG_ANSWER = 45;
    private static final double MOST = 0.8;

    private PaperFromAnswers() {}

    /** The kinds that can be told from answers. */
    public enum Kind {
        CHOICE,
        SEVERAL,
        TEXT,
        NUMBER,
        OPEN,
        /** Only points, given where it was scored. */
        POINTS,
        LEFT_OUT
    }

    /**
     * A question as it would be made.
     *
     * @param column its place in the file
     * @param options what could be chosen, the most frequent first
     * @param key what the file's key row says; empty where there is none
     * @param points what it is worth
     * @param because why it is of this kind
     */
    public record MadeQuestion(
            int column, String prompt, Kind kind, List<String> options, String key, String points, String because) {
        MadeQuestion(int column, String prompt, Kind kind, List<String> options, String key, String because) {
            this(column, prompt, kind, options, key, "1", because);
        }

        MadeQuestion worth(String other) {
            return new MadeQuestion(column, prompt, kind, options, key, other, because);
        }
    }

    /**
     * What a person says of the questions that would be made.
     *
     * @param kinds of columns, by place
     * @param points what they are worth, by place
     */
    public record Asked(Map<Integer, Kind> kinds, Map<Integer, String> points) {
        public static final Asked NOTHING = new Asked(Map.of(), Map.of());

        public Asked {
            kinds = Map.copyOf(kinds);
            points = Map.copyOf(points);
        }
    }

    /** Looks at the columns that name no student. */
    public static List<MadeQuestion> of(Table table, List<Known> roster, BringInChoices choices, Asked asked) {
        StudentFinder finder = new StudentFinder(roster);
        List<Column> columns = new ColumnGuess(table, List.of(), finder, choices.columns()).columns();
        Table.Row keyRow = keyRow(table, columns, finder);
        Integer keyLine = keyRow == null ? null : keyRow.line();
        Boolean possible = keyRow == null ? null : KeyRow.saysPossible(keyRow, students(columns));
        Optional<LetterStrings> strings = LetterStrings.in(table, columns);
        List<Looked> looked = new ArrayList<>();
        for (Column c : columns) {
            if (!c.isStudent() && strings.filter(l -> l.column() == c.index()).isEmpty()) {
                looked.add(looked(table, c, keyLine));
            }
        }
        Set<Integer> scored = PointColumns.of(looked, possible);
        List<MadeQuestion> made = new ArrayList<>();
        for (Looked l : looked) {
            int place = l.column().index();
            MadeQuestion guess = scored.contains(place)
                    ? PointColumns.question(l, "its cells are points, and no answers stand beside them")
                    : guess(l.column(), l.cells(), l.key(), keyLine != null);
            Kind said = asked.kinds().get(place);
            MadeQuestion one = said == null || said == guess.kind() ? guess : as(guess, said, l);
            made.add(one.worth(asked.points().getOrDefault(place, one.points())));
        }
        strings.ifPresent(letters -> letters.questions(table, keyRow, asked.kinds())
                .forEach(q -> made.add(q.worth(asked.points().getOrDefault(q.column(), q.points())))));
        return made;
    }

    /**
     * A column that names no student.
     *
     * @param cells what stands in it, without the key
     */
    record Looked(Column column, List<String> cells, String key) {}

    private static Looked looked(Table table, Column c, @Nullable Integer keyLine) {
        List<String> cells = new ArrayList<>();
        String key = "";
        for (Table.Row row : table.rows()) {
            String cell = row.cell(c.index()).strip();
            if (Objects.equals(keyLine, row.line())) {
                key = cell;
            } else if (!cell.isEmpty()) {
                cells.add(cell);
            }
        }
        return new Looked(c, cells, key);
    }

    /** A longer name is a question in which such a word stands. */
    static boolean isBeside(String name) {
        return name.split(" ").length <= MOST_WORDS && BESIDE.matcher(name).matches();
    }

    private static List<Column> students(List<Column> columns) {
        return columns.stream().filter(Column::isStudent).toList();
    }

    private static Table.@Nullable Row keyRow(Table table, List<Column> columns, StudentFinder finder) {
        return table.rows().stream()
                .filter(r -> KeyRow.looks(r, students(columns)))
                .filter(r -> columns.stream()
                        .filter(c -> c.use() == Use.NUMBER || c.use() == Use.EMAIL)
                        .noneMatch(c -> finder.isSomebody(r.cell(c.index()))))
                .findFirst()
                .orElse(null);
    }

    private static MadeQuestion guess(Column c, List<String> cells, String key, boolean hasKey) {
        if (cells.isEmpty() && key.isEmpty()) {
            return new MadeQuestion(c.index(), c.name(), Kind.LEFT_OUT, List.of(), key, "nothing stands in it");
        }
        if (isBeside(c.name())) {
            return new MadeQuestion(c.index(), c.name(), Kind.LEFT_OUT, List.of(), key, "its name is no question’s");
        }
        if (share(cells, x -> NUMBER.matcher(x).matches()) >= MOST
                && cells.stream().anyMatch(x -> x.matches(".*\\d.*"))) {
            return new MadeQuestion(c.index(), c.name(), Kind.NUMBER, List.of(), key, "most of its cells are numbers");
        }
        double length = cells.stream().mapToInt(String::length).average().orElse(0);
        if (hasKey && key.isEmpty() && length > LONG_ANSWER / 2.0) {
            return new MadeQuestion(
                    c.index(), c.name(), Kind.OPEN, List.of(), key, "its cells are sentences, and the key has none");
        }
        Map<String, Integer> whole = counts(cells);
        if (isFew(whole.keySet().size(), cells.size())) {
            return new MadeQuestion(
                    c.index(),
                    c.name(),
                    Kind.CHOICE,
                    ranked(whole, key),
                    key,
                    whole.size() + " texts stand in it again and again");
        }
        Map<String, Integer> parts =
                counts(cells.stream().flatMap(x -> split(x).stream()).toList());
        if (cells.stream().anyMatch(x -> split(x).size() > 1) && isFew(parts.size(), cells.size())) {
            return new MadeQuestion(
                    c.index(),
                    c.name(),
                    Kind.SEVERAL,
                    ranked(parts, ""),
                    key,
                    "its cells are made of " + parts.size()
                            + " texts that stand there again and again, joined by a comma");
        }
        return length > LONG_ANSWER && key.length() < LONG_ANSWER
                ? new MadeQuestion(c.index(), c.name(), Kind.OPEN, List.of(), key, "its cells are whole sentences")
                : new MadeQuestion(
                        c.index(), c.name(), Kind.TEXT, List.of(), key, "its cells are short and of many sorts");
    }

    private static MadeQuestion as(MadeQuestion q, Kind kind, Looked looked) {
        if (kind == Kind.POINTS) {
            return PointColumns.question(looked, Column.CHOSEN);
        }
        List<String> cells = looked.cells();
        List<String> options = switch (kind) {
            case CHOICE -> ranked(counts(cells), q.key());
            case SEVERAL ->
                ranked(counts(cells.stream().flatMap(x -> split(x).stream()).toList()), "");
            default -> List.of();
        };
        return new MadeQuestion(q.column(), q.prompt(), kind, options, q.key(), Column.CHOSEN);
    }

    private static double share(List<String> cells, java.util.function.Predicate<String> fits) {
        return cells.isEmpty() ? 0 : (double) cells.stream().filter(fits).count() / cells.size();
    }

    private static boolean isFew(int texts, int cells) {
        return texts >= 1 && texts <= MOST_OPTIONS && texts * 3 <= Math.max(cells, 6);
    }

    private static List<String> split(String cell) {
        return List.of(cell.split("\\s*[,;|\\n]\\s*"));
    }

    private static Map<String, Integer> counts(List<String> cells) {
        Map<String, Integer> counts = new LinkedHashMap<>();
        cells.forEach(c -> counts.merge(c, 1, Integer::sum));
        return counts;
    }

    private static List<String> ranked(Map<String, Integer> counts, String key) {
        Map<String, Integer> all = new LinkedHashMap<>(counts);
        if (!key.isEmpty()) {
            all.putIfAbsent(key, 0);
        }
        return all.entrySet().stream()
                .sorted(Map.Entry.<String, Integer>comparingByValue()
                        .reversed()
                        .thenComparing(Map.Entry.comparingByKey()))
                .map(Map.Entry::getKey)
                .limit(30)
                .toList();
    }

    /** The question as an item of the assessment file; it has no key where the file has none. */
    public static ObjectNode item(MadeQuestion q, String id) {
        ObjectNode item = Json.MAPPER.createObjectNode();
        item.put("id", id);
        item.put("points", q.points());
        item.put("prompt", q.prompt());
        switch (q.kind()) {
            case CHOICE, SEVERAL -> choice(item, q);
            case NUMBER -> number(item, q);
            case OPEN, POINTS -> item.put("kind", "open");
            default -> {
                item.put("kind", "text");
                ArrayNode accept = item.putArray("accept");
                if (!q.key().isEmpty()) {
                    accept.addObject().put("text", q.key());
                }
            }
        }
        return item;
    }

    private static void choice(ObjectNode item, MadeQuestion q) {
        item.put("kind", "choice");
        ArrayNode options = item.putArray("options");
        ArrayNode key = item.putArray("key");
        List<String> right = q.kind() == Kind.SEVERAL ? split(q.key()) : List.of(q.key());
        List<String> alphabetical =
                q.options().stream().sorted(Comparator.naturalOrder()).toList();
        for (int i = 0; i < alphabetical.size(); i++) {
            String id = i < 26 ? String.valueOf((char) ('a' + i)) : "o" + i;
            options.addObject().put("id", id).put("text", alphabetical.get(i));
            if (right.contains(alphabetical.get(i))) {
                key.add(id);
            }
        }
        if (q.kind() == Kind.SEVERAL) {
            item.put("max", alphabetical.size());
            item.put("rule", "net");
        }
    }

    /** The value without its unit; a unit in the key is expected in the answers, and missing costs half. */
    private static void number(ObjectNode item, MadeQuestion q) {
        item.put("kind", "number");
        ArrayNode accept = item.putArray("accept");
        String value =
                q.key().replaceFirst("^\\s*([-+−]?\\d+(?:[.,]\\d+)?).*$", "$1").replace(',', '.');
        if (!q.key().isEmpty()) {
            accept.addObject().put("value", value);
        }
    }
}
