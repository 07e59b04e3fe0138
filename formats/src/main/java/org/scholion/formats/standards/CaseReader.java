package org.scholion.formats.standards;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.scholion.core.standard.Framework;
import org.scholion.formats.json.Fault;
import org.scholion.formats.json.Faults;
import org.scholion.formats.json.Json;
import org.scholion.formats.standards.FrameworkFound.Notes;
import tools.jackson.databind.JsonNode;

/**
 * A CASE 1.0 package (CFDocument, CFItems, CFAssociations) as a framework. An item's code is its human coding scheme; one
 * that has none gets a number below its parent. Equal codes are refused. Only
 * the tree of "isChildOf" is taken, in the order of its sequence numbers; whatever else there is is told.
 */
public final class CaseReader {
    private static final int MOST_FAULTS = 20;

    private final JsonNode root;
    private final Map<String, JsonNode> items = new LinkedHashMap<>();
    private final Map<String, String> parents = new HashMap<>();
    private final Map<String, Integer> places = new HashMap<>();
    private final Map<String, String> codes = new HashMap<>();
    private final Set<String> taken = new HashSet<>();
    private final Map<String, Integer> left = new TreeMap<>();
    private final List<Fault> faults = new ArrayList<>();
    private final Notes notes = new Notes();

    private CaseReader(JsonNode root) {
        this.root = root;
    }

    /**
     * Reads a package.
     *
     * @throws Faults with the path of what is missing or wrong
     */
    public static FrameworkFound read(String text) {
        return new CaseReader(Json.read(text)).framework();
    }

    private FrameworkFound framework() {
        JsonNode document = root.path("CFDocument");
        if (!document.isObject() || !root.path("CFItems").isArray()) {
            throw new Faults(
                    List.of(new Fault("", "this is no CASE package: it has a CFDocument and a list of CFItems")));
        }
        int i = 0;
        for (JsonNode item : root.path("CFItems")) {
            String id = item.path("identifier").asString("");
            if (id.isEmpty()) {
                throw new Faults(List.of(new Fault("CFItems[" + i + "].identifier", "is missing")));
            }
            items.put(id, item);
            i++;
        }
        associations();
        Circles.firsts(items.keySet(), parents).forEach(this::uncircled);
        Map<String, List<String>> children = new LinkedHashMap<>();
        items.keySet()
                .forEach(id -> children.computeIfAbsent(parents.getOrDefault(id, ""), p -> new ArrayList<>())
                        .add(id));
        children.values()
                .forEach(list ->
                        list.sort((a, b) -> Integer.compare(places.getOrDefault(a, 0), places.getOrDefault(b, 0))));
        List<Framework.Standard> standards = new ArrayList<>();
        gather("", 1, children, standards);
        if (!faults.isEmpty()) {
            throw new Faults(faults);
        }
        left.forEach((type, count) ->
                notes.add(0, count + (count == 1 ? " tie" : " ties") + " of the kind '" + type + "' cannot be kept"));
        return new FrameworkFound(
                document.path("title").asString("?"),
                document.path("version").asString("1"),
                List.of(),
                standards.stream().map(s -> new FrameworkFound.Found(0, s)).toList(),
                notes.all());
    }

    private void associations() {
        root.path("CFAssociations").forEach(a -> {
            String type = a.path("associationType").asString("");
            String child = a.path("originNodeURI").path("identifier").asString("");
            String parent = a.path("destinationNodeURI").path("identifier").asString("");
            if (!type.equals("isChildOf")) {
                left.merge(type, 1, Integer::sum);
                return;
            }
            places.putIfAbsent(child, a.path("sequenceNumber").asInt(0));
            String first =
                    items.containsKey(child) && items.containsKey(parent) ? parents.putIfAbsent(child, parent) : null;
            if (first != null && !first.equals(parent)) {
                notes.add(
                        0,
                        called(child) + " stands under " + called(first) + " and under " + called(parent)
                                + "; only the first is kept");
            }
        });
    }

    private void uncircled(String id) {
        notes.add(0, called(id) + " stands above itself; it is put at the top");
        parents.remove(id);
    }

    private String called(String id) {
        JsonNode item = items.get(id);
        String code = item == null ? "" : item.path("humanCodingScheme").asString("");
        return code.isBlank() ? "'" + statement(item) + "'" : code;
    }

    /** Parents before their children. */
    private void gather(
            String parent, int level, Map<String, List<String>> children, List<Framework.Standard> standards) {
        int number = 0;
        for (String id : children.getOrDefault(parent, List.of())) {
            number++;
            JsonNode item = items.get(id);
            String code = code(item, codes.get(parent), number);
            if (level > Framework.MOST_LEVELS) {
                fault("'" + code + "' lies more than " + Framework.MOST_LEVELS + " levels deep");
                return;
            }
            if (!taken.add(code)) {
                fault("two standards have the code '" + code + "'; give one of them another");
                continue;
            }
            codes.put(id, code);
            standards.add(new Framework.Standard(code, codes.get(parent), statement(item)));
            gather(id, level + 1, children, standards);
        }
    }

    private void fault(String message) {
        if (faults.size() < MOST_FAULTS) {
            faults.add(new Fault("CFItems", message));
        }
    }

    private String code(@Nullable JsonNode item, @Nullable String above, int number) {
        String said =
                item == null ? "" : item.path("humanCodingScheme").asString("").strip();
        if (!said.isEmpty()) {
            return said;
        }
        String below = above == null ? "" : above + ".";
        int free = number;
        while (taken.contains(below + free)) {
            free++;
        }
        return below + free;
    }

    private static String statement(@Nullable JsonNode item) {
        return item == null ? "" : item.path("fullStatement").asString("").strip();
    }
}
