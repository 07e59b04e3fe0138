package org.scholion.server.key;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Items from elsewhere in a draft: an id that is taken becomes a free one, and what leads to it follows. */
final class NewIds {
    private NewIds() {}

    static List<String> append(ObjectNode draft, List<JsonNode> added) {
        ArrayNode items = draft.has("items") ? draft.get("items").asArray() : draft.putArray("items");
        Set<String> taken = new HashSet<>();
        items.forEach(i -> taken.add(i.path("id").asString("")));
        String part = draft.path("parts").isEmpty()
                ? ""
                : draft.path("parts")
                        .get(draft.path("parts").size() - 1)
                        .path("id")
                        .asString("");
        Map<String, String> renamed = new HashMap<>();
        List<ObjectNode> fresh = new ArrayList<>();
        for (JsonNode one : added) {
            ObjectNode item = one.deepCopy().asObject();
            String old = item.path("id").asString("");
            String id = free(old, taken);
            taken.add(id);
            renamed.put(old, id);
            item.put("id", id);
            if (!part.isEmpty() && !item.path("kind").asString("").equals("passage")) {
                item.put("part", part);
            }
            fresh.add(item);
        }
        for (ObjectNode item : fresh) {
            follow(item, "stem", renamed);
            follow(item, "reasonFor", renamed);
            items.add(item);
        }
        return fresh.stream().map(i -> i.path("id").asString("")).toList();
    }

    private static void follow(ObjectNode item, String tie, Map<String, String> renamed) {
        if (item.hasNonNull(tie)) {
            String to = item.get(tie).asString("");
            item.put(tie, renamed.getOrDefault(to, to));
        }
    }

    private static String free(String wanted, Set<String> taken) {
        if (!wanted.isBlank() && !taken.contains(wanted)) {
            return wanted;
        }
        int n = taken.size() + 1;
        while (taken.contains("q" + n)) {
            n++;
        }
        return "q" + n;
    }
}
