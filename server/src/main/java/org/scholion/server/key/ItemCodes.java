package org.scholion.server.key;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import org.scholion.core.standard.Framework;
import tools.jackson.databind.JsonNode;

/** The standards of an item as it is written: its own, those of its criteria and of its blanks. */
public final class ItemCodes {
    private ItemCodes() {}

    public static Set<String> own(JsonNode item) {
        Set<String> codes = new LinkedHashSet<>();
        gather(item, codes);
        item.path("rubric").path("criteria").forEach(c -> gather(c, codes));
        item.path("parts").forEach(p -> gather(p, codes));
        return codes;
    }

    /** With those above them in the frameworks that have them. */
    public static Set<String> withAbove(JsonNode item, List<Framework> frameworks) {
        Set<String> own = own(item);
        Set<String> all = new LinkedHashSet<>(own);
        frameworks.forEach(f -> own.forEach(code -> all.addAll(f.withAbove(code))));
        return all;
    }

    private static void gather(JsonNode aligned, Set<String> codes) {
        aligned.path("standards").forEach(s -> codes.add(s.path("code").asString("")));
    }
}
