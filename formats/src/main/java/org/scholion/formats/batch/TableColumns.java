package org.scholion.formats.batch;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.scholion.formats.json.Fault;
import org.scholion.formats.json.Faults;

/**
 * Which column of a response table holds what.
 *
 * @param fields the place of each known field
 * @param items for each column the place of its item, -1 where it is none
 */
record TableColumns(Map<String, Integer> fields, int[] items, int count) {
    private static final List<String> FIELDS = List.of("student", "attempt", "section", "late", "excused");

    /**
     * Recognises the first row.
     *
     * @throws Faults naming every column that is unknown or there twice
     */
    static TableColumns of(List<String> names, Key key, boolean ignoreUnknown) {
        List<Fault> faults = new ArrayList<>();
        Map<String, Integer> seen = new HashMap<>();
        Map<String, Integer> fields = new HashMap<>();
        int[] items = new int[names.size()];
        for (int i = 0; i < items.length; i++) {
            String name = names.get(i).strip();
            Integer item = key.places.get(name);
            boolean field = FIELDS.contains(name);
            items[i] = item == null || field ? -1 : item;
            if (field) {
                fields.put(name, i);
            }
            if (item == null && !field && !ignoreUnknown) {
                faults.add(new Fault("line 1", "column '" + name + "' is no item that is scored and no known field"));
            }
            if ((item != null || field) && seen.put(name, i) != null) {
                faults.add(new Fault("line 1", "column '" + name + "' is there twice"));
            }
        }
        if (!fields.containsKey("student")) {
            faults.add(new Fault("line 1", "the column 'student' is missing"));
        }
        if (!faults.isEmpty()) {
            throw new Faults(faults);
        }
        return new TableColumns(fields, items, items.length);
    }

    String field(List<String> cells, String name) {
        Integer at = fields.get(name);
        return at == null || at >= cells.size() ? "" : cells.get(at).strip();
    }
}
