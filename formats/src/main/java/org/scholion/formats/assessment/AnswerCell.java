package org.scholion.formats.assessment;

import java.util.List;
import org.scholion.core.item.BlanksItem;
import org.scholion.core.item.ChoiceItem;
import org.scholion.core.item.CorrectionItem;
import org.scholion.core.item.Faulty;
import org.scholion.core.item.FormulaItem;
import org.scholion.core.item.Item;
import org.scholion.core.item.NumberItem;
import org.scholion.core.item.OpenItem;
import org.scholion.core.item.OrderItem;
import org.scholion.core.item.PairsItem;
import org.scholion.core.item.PassageItem;
import org.scholion.core.item.SpotItem;
import org.scholion.core.item.TextItem;
import org.scholion.core.item.WorkingItem;
import org.scholion.formats.json.Faults;
import org.scholion.formats.json.Json;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.NullNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * A cell of a response table in the form of the response file: {@code a;c} is two options, {@code l1=r1;l2=r2} two
 * pairs, {@code 0.41,0.5;0.2,0.3} two points; or JSON where a cell begins with a bracket and the kind is not typed.
 */
public final class AnswerCell implements Item.ByKind<JsonNode> {
    private static final JsonNodeFactory NODES = JsonNodeFactory.instance;
    private final String cell;

    private AnswerCell(String cell) {
        this.cell = cell;
    }

    /**
     * The cell as {@link AnswerJson} reads it; null for a cell of white space.
     *
     * @throws Faulty when it is neither of the short form nor JSON
     */
    public static JsonNode read(Item item, String cell) {
        return cell.isBlank() ? NullNode.instance : item.read(new AnswerCell(cell));
    }

    private boolean isJson() {
        return cell.stripLeading().startsWith("[") || cell.stripLeading().startsWith("{");
    }

    private JsonNode json() {
        try {
            return Json.read(cell);
        } catch (Faults e) {
            throw new Faulty("", String.valueOf(e.getMessage()));
        }
    }

    private List<String> parts() {
        return List.of(cell.split(";", -1)).stream()
                .map(String::strip)
                .filter(p -> !p.isEmpty())
                .toList();
    }

    private JsonNode ids() {
        if (isJson()) {
            return json();
        }
        ArrayNode list = NODES.arrayNode();
        parts().forEach(list::add);
        return list;
    }

    private JsonNode typed() {
        return NODES.stringNode(cell);
    }

    @Override
    public JsonNode choice(ChoiceItem item) {
        return ids();
    }

    @Override
    public JsonNode text(TextItem item) {
        return typed();
    }

    @Override
    public JsonNode number(NumberItem item) {
        return typed();
    }

    /** Each part's answer has the form of its kind; what follows a part's name runs to the next one. */
    @Override
    public JsonNode blanks(BlanksItem item) {
        if (isJson()) {
            return json();
        }
        ObjectNode all = NODES.objectNode();
        for (String part : cell.split(";", -1)) {
            if (part.isBlank()) {
                continue;
            }
            int at = part.indexOf('=');
            String id = at < 0 ? "" : part.substring(0, at).strip();
            Faulty.unless(at > 0, "", "'" + part.strip() + "' is not a part and its answer, such as b1=ebb");
            Faulty.unless(!all.has(id), "", "part '" + id + "' is there twice");
            String said = part.substring(at + 1);
            all.set(
                    id,
                    item.part(id).map(p -> AnswerCell.read(p.item(), said)).orElseGet(() -> NODES.stringNode(said)));
        }
        return all;
    }

    @Override
    public JsonNode pairs(PairsItem item) {
        return isJson() ? json() : split("=", "a pair, such as l1=r1");
    }

    @Override
    public JsonNode order(OrderItem item) {
        return ids();
    }

    @Override
    public JsonNode spot(SpotItem item) {
        return isJson() ? json() : split(",", "a point, such as 0.41,0.5");
    }

    private JsonNode split(String by, String form) {
        ArrayNode all = NODES.arrayNode();
        for (String part : parts()) {
            String[] two = part.split(by, -1);
            Faulty.unless(two.length == 2, "", "'" + part + "' is not " + form);
            all.addArray().add(two[0].strip()).add(two[1].strip());
        }
        return all;
    }

    @Override
    public JsonNode correction(CorrectionItem item) {
        return typed();
    }

    @Override
    public JsonNode formula(FormulaItem item) {
        return typed();
    }

    /** Lines stand one below the other in the cell, or with semicolons between them. */
    @Override
    public JsonNode working(WorkingItem item) {
        if (isJson()) {
            return json();
        }
        ArrayNode lines = NODES.arrayNode();
        for (String line : cell.split("[;\\n\\r]+")) {
            if (!line.isBlank()) {
                lines.add(line.strip());
            }
        }
        return lines;
    }

    @Override
    public JsonNode open(OpenItem item) {
        return isJson() ? json() : typed();
    }

    @Override
    public JsonNode passage(PassageItem item) {
        return typed();
    }
}
