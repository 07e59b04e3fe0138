package org.scholion.server.collect;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;

/** What several people typed from one sheet, cell by cell. */
final class Compared {
    private static final String BESIDE = "\n";

    private final List<String> items;

    private final List<Begun> begun;

    /**
     * One person's row.
     *
     * @param stays by item, what others had when this one said that the own cell stays
     */
    record Typed(UUID typist, String name, Map<String, String> cells, Map<String, String> stays) {
        String cell(String item) {
            return cells.getOrDefault(item, "").strip();
        }
    }

    /** A row in which something is typed, and the place of the last item that it has. */
    private record Begun(Typed row, int last) {}

    /** What one of them has in a cell. */
    record Value(UUID typist, String name, String value) {}

    /** @param items in the order of the paper */
    Compared(List<String> items, List<Typed> rows) {
        this.items = items;
        this.begun = rows.stream()
                .map(r -> new Begun(r, last(items, r)))
                .filter(b -> b.last() >= 0)
                .toList();
    }

    boolean isEmpty() {
        return begun.isEmpty();
    }

    /** The cells in which they differ and nobody alone has said what stays. */
    Map<String, List<Value>> differences() {
        Map<String, List<Value>> all = new LinkedHashMap<>();
        for (String item : items) {
            List<Typed> there = there(item);
            if (forms(there, item).size() > 1 && staying(there, item).size() != 1) {
                all.put(
                        item,
                        there.stream()
                                .map(r -> new Value(r.typist(), r.name(), r.cell(item)))
                                .toList());
            }
        }
        return all;
    }

    /** The cells on which they agree, or of which one has said that it stays. */
    Map<String, String> agreed() {
        Map<String, String> all = new LinkedHashMap<>();
        for (String item : items) {
            List<Typed> there = there(item);
            List<Typed> staying = staying(there, item);
            if (!there.isEmpty() && (forms(there, item).size() == 1 || staying.size() == 1)) {
                all.put(item, (staying.size() == 1 ? staying : there).get(0).cell(item));
            }
        }
        return all;
    }

    /** What others than this typist have in a cell, as one text: what they see when they say that theirs stays. */
    String othersThan(UUID typist, String item) {
        return others(there(item), typist, item);
    }

    private static String others(List<Typed> there, UUID typist, String item) {
        return there.stream()
                .filter(r -> !r.typist().equals(typist))
                .map(r -> form(r.cell(item)))
                .distinct()
                .sorted()
                .collect(Collectors.joining(BESIDE));
    }

    /** Those who have come as far as this item: before that an empty cell says nothing. */
    private List<Typed> there(String item) {
        int place = items.indexOf(item);
        return begun.stream().filter(b -> b.last() >= place).map(Begun::row).toList();
    }

    private static int last(List<String> items, Typed row) {
        int last = -1;
        for (int i = 0; i < items.size(); i++) {
            last = row.cell(items.get(i)).isEmpty() ? last : i;
        }
        return last;
    }

    private static Set<String> forms(List<Typed> there, String item) {
        Set<String> forms = new LinkedHashSet<>();
        there.forEach(r -> forms.add(form(r.cell(item))));
        return forms;
    }

    private static List<Typed> staying(List<Typed> there, String item) {
        List<Typed> staying = new ArrayList<>();
        for (Typed r : there) {
            if (others(there, r.typist(), item).equals(r.stays().get(item))) {
                staying.add(r);
            }
        }
        return staying;
    }

    private static String form(String cell) {
        return cell.toLowerCase(Locale.ROOT);
    }
}
