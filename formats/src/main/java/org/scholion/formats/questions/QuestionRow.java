package org.scholion.formats.questions;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.scholion.core.number.Fraction;
import org.scholion.formats.json.Fault;
import org.scholion.formats.rich.RichText;
import org.scholion.formats.table.Table;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** One row of a table of questions as an item; its kind is said, or follows from its options and its key. */
final class QuestionRow {
    private static final Map<String, String> KINDS = Map.ofEntries(
            Map.entry("choice", "choice"),
            Map.entry("choice, several", "choice"),
            Map.entry("several", "choice"),
            Map.entry("short text", "text"),
            Map.entry("text", "text"),
            Map.entry("number", "number"),
            Map.entry("numeric", "number"),
            Map.entry("open", "open"),
            Map.entry("essay", "open"),
            Map.entry("formula", "formula"),
            Map.entry("correction", "correction"),
            Map.entry("true/false", "truth"),
            Map.entry("passage", "passage"),
            Map.entry("reading passage", "passage"));

    private final List<QuestionTable.Column> columns;
    private final Table.Row row;
    private final Set<String> codes;
    private final List<Fault> faults = new ArrayList<>();

    QuestionRow(List<QuestionTable.Column> columns, Table.Row row, Set<String> codes) {
        this.columns = columns;
        this.row = row;
        this.codes = codes;
    }

    boolean isEmpty() {
        return row.cells().stream().allMatch(String::isBlank);
    }

    private String cell(Role role) {
        return columns.stream()
                .filter(c -> c.role() == role)
                .map(c -> row.cell(c.index()).strip())
                .filter(c -> !c.isEmpty())
                .findFirst()
                .orElse("");
    }

    FoundItem item(String id) {
        List<String> options = columns.stream()
                .filter(c -> c.role() == Role.OPTION)
                .map(c -> row.cell(c.index()).strip())
                .toList();
        String kind = kind(options);
        ObjectNode item =
                JsonNodeFactory.instance.objectNode().put("id", id).put("kind", kind.equals("truth") ? "choice" : kind);
        if (!kind.equals("passage")) {
            item.put(
                    "points",
                    cell(Role.POINTS).isEmpty() ? "1" : cell(Role.POINTS).replace(',', '.'));
        }
        item.put("prompt", cell(Role.PROMPT));
        key(item, kind, options);
        beside(item);
        if (cell(Role.PROMPT).isEmpty()) {
            faults.add(new Fault("prompt", "there is no question in this row"));
        }
        faults.addAll(FoundChecks.of(item, codes));
        return new FoundItem(row.line(), item, faults);
    }

    private String kind(List<String> options) {
        String said = cell(Role.KIND).toLowerCase(Locale.ROOT);
        if (!said.isEmpty()) {
            String kind = KINDS.get(said);
            if (kind != null) {
                return kind;
            }
            faults.add(new Fault(
                    "kind",
                    "'" + said + "' is no kind that a table can bring: "
                            + String.join(", ", KINDS.keySet().stream().sorted().toList())));
        }
        String key = cell(Role.KEY);
        if (options.stream().anyMatch(o -> !o.isEmpty())) {
            return "choice";
        }
        if (key.isEmpty()) {
            return "open";
        }
        if (key.matches("(?i)true|false")) {
            return "truth";
        }
        return Fraction.parse(key.replace(',', '.')).isPresent() ? "number" : "text";
    }

    private void key(ObjectNode item, String kind, List<String> options) {
        switch (kind) {
            case "choice" -> choice(item, options);
            case "truth" -> truth(item);
            case "number" -> number(item);
            case "text" -> text(item);
            case "formula", "correction" -> lines(item);
            default -> {
                // Open questions and passages have no key.
            }
        }
    }

    private void choice(ObjectNode item, List<String> options) {
        ArrayNode list = item.putArray("options");
        List<String> ids = new ArrayList<>();
        for (int i = 0; i < options.size(); i++) {
            if (!options.get(i).isEmpty()) {
                String id = String.valueOf((char) ('a' + i));
                ids.add(id);
                list.addObject().put("id", id).put("text", options.get(i));
            }
        }
        List<String> keyed = keyed(options, ids);
        ArrayNode key = item.putArray("key");
        keyed.forEach(key::add);
        if (keyed.size() > 1) {
            item.put("max", ids.size()).put("rule", "net");
        }
    }

    /** Letters or numbers of options, or an option's own text. */
    private List<String> keyed(List<String> options, List<String> ids) {
        String key = cell(Role.KEY);
        for (int i = 0; i < options.size(); i++) {
            if (!key.isEmpty() && options.get(i).equalsIgnoreCase(key)) {
                return List.of(String.valueOf((char) ('a' + i)));
            }
        }
        List<String> keyed = new ArrayList<>();
        String[] parts = key.matches("(?i)[A-H]{2,}") ? key.split("") : key.split("[,;\\s]+");
        for (String part : parts) {
            String id = part.matches("[1-9]")
                    ? String.valueOf((char) ('a' + Integer.parseInt(part) - 1))
                    : part.toLowerCase(Locale.ROOT);
            if (ids.contains(id) && !keyed.contains(id)) {
                keyed.add(id);
            } else if (!part.isEmpty()) {
                faults.add(new Fault("key", "'" + part + "' is none of the options"));
            }
        }
        return keyed;
    }

    private void truth(ObjectNode item) {
        ArrayNode options = item.putArray("options");
        options.addObject().put("id", "t").put("text", "true");
        options.addObject().put("id", "f").put("text", "false");
        String key = cell(Role.KEY).toLowerCase(Locale.ROOT);
        ArrayNode keyed = item.putArray("key");
        if (key.startsWith("t") || key.startsWith("f")) {
            keyed.add(key.substring(0, 1));
        }
    }

    private void number(ObjectNode item) {
        ObjectNode band =
                item.putArray("accept").addObject().put("value", cell(Role.KEY).replace(',', '.'));
        if (!cell(Role.TOLERANCE).isEmpty()) {
            band.put("within", cell(Role.TOLERANCE).replace(',', '.').replaceFirst("^±\\s*", ""));
        }
        if (!cell(Role.UNIT).isEmpty()) {
            item.putObject("unit").put("expect", cell(Role.UNIT)).put("missing", "1");
        }
    }

    private void text(ObjectNode item) {
        ArrayNode accept = item.putArray("accept");
        texts().forEach(t -> accept.addObject().put("text", t));
        ArrayNode ignore = item.putArray("ignore");
        List.of("case", "space", "articles", "marks").forEach(ignore::add);
        item.put("spelling", "length");
    }

    private void lines(ObjectNode item) {
        ArrayNode accept = item.putArray("accept");
        texts().forEach(accept::add);
        if (item.path("kind").asString("").equals("correction")) {
            item.put("source", item.path("prompt").asString(""));
        }
    }

    /** The key and what else is accepted; several in a cell stand apart by a bar or a semicolon. */
    private List<String> texts() {
        List<String> texts = new ArrayList<>();
        for (String cell : List.of(cell(Role.KEY), cell(Role.MORE))) {
            for (String text : cell.split("\\s*[|;]\\s*")) {
                if (!text.isBlank()) {
                    texts.add(text.strip());
                }
            }
        }
        return texts;
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
        put(item, "hint", cell(Role.HINT));
        put(item, "difficulty", cell(Role.DIFFICULTY).replace(',', '.'));
        put(item, "minutes", cell(Role.MINUTES).replace(',', '.'));
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

    private static String paragraph(String text) {
        return text.isEmpty() ? "" : "<p>" + RichText.escaped(text) + "</p>";
    }
}
