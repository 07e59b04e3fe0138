package org.scholion.formats.standards;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** Standards that stand above themselves by way of others. */
final class Circles {
    private Circles() {}

    /** The first of each circle, in the order of the file; each standard is looked at once. */
    static List<String> firsts(Collection<String> inOrder, Map<String, String> parents) {
        Map<String, Integer> places = new LinkedHashMap<>();
        inOrder.forEach(id -> places.put(id, places.size()));
        Set<String> seen = new HashSet<>();
        List<String> firsts = new ArrayList<>();
        for (String id : inOrder) {
            List<String> path = new ArrayList<>();
            String at = id;
            while (at != null && seen.add(at)) {
                path.add(at);
                at = parents.get(at);
            }
            int begins = at == null ? -1 : path.indexOf(at);
            if (begins >= 0) {
                path.subList(begins, path.size()).stream()
                        .min((a, b) -> Integer.compare(places.getOrDefault(a, 0), places.getOrDefault(b, 0)))
                        .ifPresent(firsts::add);
            }
        }
        return firsts;
    }
}
