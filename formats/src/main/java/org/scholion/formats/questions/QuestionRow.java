package org.scholion.formats.questions;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.scholion.formats.json.Fault;
import org.scholion.formats.rich.RichText;
import org.scholion.formats.table.Table;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** One row of a table of questions as an item; its kind is said, or follows from its options and its key. */
final class QuestionRow {
    private static final Pattern POINTS = Pattern.compile(
            "^\\s*(\\d[\\d.,]*(?:/\\d+)?)\\s*(?:points?|pts?|marks?|p)?\\.?\\s*$", Pattern.CASE_INSENSITIVE);

    /** Several in a cell stand apart by a bar or a semicolon; texts also by lines. */
    private static final String BETWEEN = "\\s*[|;]\\s*";

    private static final String BETWEEN_TEXTS = BETWEEN + "|\\R";

    /** What a table's rows have in common. */
    record Rows(List<QuestionTable.Column> columns, Map<Integer, String> letters, DecimalMark mark, Set<String> codes) {
        /** What a row has in the columns of a role, in their order, where there is something in them. */
        List<String> cells(Table.Row row, Role role) {
            return columns.stream()
                    .filter(c -> c.role() == role)
                    .map(c -> row.cell(c.index()).strip())
                    .filter(c -> !c.isEmpty())
                    .toList();
        }
    }

    private final Rows rows;
    private final Table.Row row;
    private final List<Fault> faults = new ArrayList<>();

    QuestionRow(Rows rows, Table.Row row) {
        this.rows = rows;
        this.row = row;
    }

    boolean isEmpty() {
        return row.cells().stream().allMatch(String::isBlank);
    }

    private String cell(Role role) {
        return rows.cells(row, role).stream().findFirst().orElse("");
    }

    private String number(Role role) {
        String typed = POINTS.matcher(cell(role)).replaceFirst("$1");
        return typed.isEmpty() ? "" : NumberCell.number(typed, rows.mark(), faults);
    }

    /** @param number of the question, from 0 */
    FoundItem item(String id, int number) {
        RowOptions options = RowOptions.of(rows, row, number, faults);
        String kind = kind(options);
        ObjectNode item = JsonNodeFactory.instance.objectNode().put("id", id);
        item.put("kind", kind.equals("truth") || kind.equals("several") ? "choice" : kind);
        if (!kind.equals("passage")) {
            item.put("points", cell(Role.POINTS).isEmpty() ? "1" : number(Role.POINTS));
        }
        CellText prompt = CellText.of(cell(Role.PROMPT), "prompt", faults);
        item.put("prompt", prompt.plain());
        put(item, "body", prompt.html());
        key(item, kind, options);
        beside(item);
        if (cell(Role.PROMPT).isEmpty()) {
            faults.add(new Fault("prompt", "there is no question in this row"));
        }
        faults.addAll(FoundChecks.of(item, rows.codes()));
        return new FoundItem(row.line(), item, faults);
    }

    private String kind(RowOptions options) {
        String said = cell(Role.KIND);
        Optional<String> named = KindWords.of(said);
        if (named.filter(k -> !k.equals("pairs")).isPresent()) {
            return named.get();
        }
        if (!said.isEmpty()) {
            faults.add(new Fault(
                    "kind",
                    named.isPresent()
                            ? "pairs come in as plain text (! port -> red), not from a table"
                            : "'" + said + "' is no kind that a table can bring: " + KindWords.all()));
        }
        String key = cell(Role.KEY);
        if (!options.isEmpty()) {
            return "choice";
        }
        if (key.isEmpty()) {
            return "open";
        }
        if (key.matches("(?i)true|false|yes|no")) {
            return "truth";
        }
        return NumberCell.isOne(key) ? "number" : "text";
    }

    private void key(ObjectNode item, String kind, RowOptions options) {
        switch (kind) {
            case "choice", "several" -> choice(item, options, kind.equals("several"));
            case "truth" -> truth(item, options);
            case "number" -> number(item);
            case "text" -> text(item);
            case "order" -> order(item, options);
            case "formula", "correction" -> lines(item);
            default -> {
                // Open questions and passages have no key.
            }
        }
    }

    private void choice(ObjectNode item, RowOptions options, boolean several) {
        ArrayNode list = item.putArray("options");
        options.all().forEach(o -> list.addObject().put("id", o.letter()).put("text", o.text()));
        List<String> keyed = options.keyed(cell(Role.KEY));
        ArrayNode key = item.putArray("key");
        keyed.forEach(key::add);
        if (keyed.size() > 1 || several) {
            item.put("max", options.all().size()).put("rule", "net");
        }
    }

    /** Two words to choose between: its own where the row has them, yes and no where the key says one of them. */
    private void truth(ObjectNode item, RowOptions options) {
        if (!options.isEmpty()) {
            choice(item, options, false);
            return;
        }
        String key = cell(Role.KEY).toLowerCase(Locale.ROOT);
        boolean yes = key.matches("yes|no|y|n");
        ArrayNode list = item.putArray("options");
        list.addObject().put("id", yes ? "y" : "t").put("text", yes ? "yes" : "true");
        list.addObject().put("id", yes ? "n" : "f").put("text", yes ? "no" : "false");
        ArrayNode keyed = item.putArray("key");
        if (key.matches("true|t|1|right|correct|yes|y")) {
            keyed.add(yes ? "y" : "t");
        } else if (key.matches("false|f|0|wrong|incorrect|no|n")) {
            keyed.add(yes ? "n" : "f");
        } else if (!key.isEmpty()) {
            faults.add(new Fault("key", "'" + cell(Role.KEY) + "' is neither true nor false"));
        }
    }

    private void number(ObjectNode item) {
        ArrayNode accept = item.putArray("accept");
        String unit = cell(Role.UNIT);
        for (String one : texts(BETWEEN)) {
            ObjectNode band = accept.addObject();
            Optional<NumberCell> read = NumberCell.read(one, rows.mark(), faults);
            if (read.isEmpty()) {
                band.put("value", one);
                continue;
            }
            read.get().into(band);
            unit = unit.isEmpty() ? read.get().unit() : unit;
            if (!cell(Role.TOLERANCE).isEmpty() && !band.has("within") && band.has("value")) {
                band.put("within", NumberCell.tolerance(cell(Role.TOLERANCE), rows.mark(), faults));
            }
        }
        if (!unit.isEmpty()) {
            item.putObject("unit").put("expect", unit).put("missing", "1");
        }
    }

    private void text(ObjectNode item) {
        ArrayNode accept = item.putArray("accept");
        texts(BETWEEN_TEXTS).forEach(t -> accept.addObject().put("text", CellText.plain(t)));
        ArrayNode ignore = item.putArray("ignore");
        List.of("case", "space", "articles", "marks").forEach(ignore::add);
        item.put("spelling", "length");
    }

    /** The steps stand in their right order. */
    private void order(ObjectNode item, RowOptions options) {
        ArrayNode tokens = item.putArray("tokens");
        ArrayNode key = item.putArray("key");
        options.all().forEach(o -> {
            tokens.addObject().put("id", o.letter()).put("text", o.text());
            key.add(o.letter());
        });
        item.put("rule", "couples");
    }

    private void lines(ObjectNode item) {
        ArrayNode accept = item.putArray("accept");
        texts(BETWEEN_TEXTS).forEach(accept::add);
        if (item.path("kind").asString("").equals("correction")) {
            item.put("source", item.path("prompt").asString(""));
        }
    }

    /** The key and what else is accepted. */
    private List<String> texts(String between) {
        return Stream.concat(rows.cells(row, Role.KEY).stream(), rows.cells(row, Role.MORE).stream())
                .flatMap(cell -> Stream.of(cell.split(between)))
                .map(String::strip)
                .filter(t -> !t.isEmpty())
                .toList();
    }

    private void beside(ObjectNode item) {
        if (!cell(Role.STANDARD).isEmpty()) {
            ArrayNode standards = item.putArray("standards");
            for (String code : cell(Role.STANDARD).split("[,;\\s]+")) {
                standards.addObject().put("code", code);
            }
        }
        if (!cell(Role.TAGS).isEmpty()) {
            ArrayNode tags = item.putArray("tags");
            List.of(cell(Role.TAGS).split("\\s*[,;]\\s*")).forEach(tags::add);
        }
        put(item, "hint", CellText.plain(cell(Role.HINT)));
        put(item, "difficulty", number(Role.DIFFICULTY));
        put(item, "minutes", number(Role.MINUTES));
        if (!cell(Role.RIGHT).isEmpty() || !cell(Role.WRONG).isEmpty()) {
            ObjectNode feedback = item.putObject("feedback");
            put(feedback, "right", paragraph(cell(Role.RIGHT)));
            put(feedback, "wrong", paragraph(cell(Role.WRONG)));
        }
    }

    private static void put(ObjectNode node, String field, String text) {
        if (!text.isEmpty()) {
            node.put(field, text);
        }
    }

    private String paragraph(String text) {
        CellText read = CellText.of(text, "feedback", faults);
        return text.isEmpty() || !read.html().isEmpty() ? read.html() : "<p>" + RichText.escaped(read.plain()) + "</p>";
    }
}
