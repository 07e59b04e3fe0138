package org.scholion.core.standard;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.scholion.core.item.Alignment;
import org.scholion.core.item.Faulty;
import org.scholion.core.number.Fraction;

/**
 * Which standards of an older version of a framework became which of a newer one. A code with several targets was
 * split, a target with several sources was merged.
 */
public record Crosswalk(List<Link> links) {
    /** One old code and what it became; nothing when it was given up. */
    public record Link(String from, List<String> to) {
        public Link {
            to = List.copyOf(to);
        }
    }

    public Crosswalk {
        links = List.copyOf(links);
        Set<String> from = new HashSet<>();
        for (int i = 0; i < links.size(); i++) {
            Faulty.unless(
                    from.add(links.get(i).from()),
                    "links[" + i + "].from",
                    "'" + links.get(i).from() + "' is mapped twice");
        }
    }

    /**
     * Refuses links to codes that the frameworks do not have.
     *
     * @throws Faulty naming the link
     */
    public Crosswalk between(Framework older, Framework newer) {
        for (int i = 0; i < links.size(); i++) {
            Link link = links.get(i);
            Faulty.unless(
                    older.find(link.from()).isPresent(),
                    "links[" + i + "].from",
                    "the older version has no code '" + link.from() + "'");
            for (int j = 0; j < link.to().size(); j++) {
                String to = link.to().get(j);
                Faulty.unless(
                        newer.find(to).isPresent(),
                        "links[" + i + "].to[" + j + "]",
                        "the newer version has no code '" + to + "'");
            }
        }
        return this;
    }

    /**
     * Alignments carried over.
     *
     * @param mapped each new code once, with the highest weight of those that became it
     * @param unmapped what has no place in the newer version
     */
    public record Carried(List<Alignment> mapped, List<Alignment> unmapped) {}

    /** A split standard passes its full weight to each of its parts, since any of them may be what was asked. */
    public Carried carry(List<Alignment> alignments) {
        Map<String, List<String>> to = new HashMap<>();
        links.forEach(l -> to.put(l.from(), l.to()));
        Map<String, Fraction> mapped = new LinkedHashMap<>();
        List<Alignment> unmapped = new ArrayList<>();
        for (Alignment alignment : alignments) {
            List<String> targets = to.getOrDefault(alignment.code(), List.of());
            targets.forEach(code -> mapped.merge(code, alignment.weight(), Fraction::max));
            if (targets.isEmpty()) {
                unmapped.add(alignment);
            }
        }
        return new Carried(
                mapped.entrySet().stream()
                        .map(e -> new Alignment(e.getKey(), e.getValue()))
                        .toList(),
                unmapped);
    }

    /** Whether a code was said to lead nowhere; one that nothing is said about is not retired. */
    public boolean isRetired(String code) {
        return links.stream().anyMatch(l -> l.from().equals(code) && l.to().isEmpty());
    }

    /** The old codes that lead nowhere. */
    public List<String> unmapped(Framework older) {
        Set<String> leading = new HashSet<>();
        links.stream().filter(l -> !l.to().isEmpty()).forEach(l -> leading.add(l.from()));
        return older.standards().stream()
                .map(Framework.Standard::code)
                .filter(code -> !leading.contains(code))
                .toList();
    }
}
