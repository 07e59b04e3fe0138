package org.scholion.core.quantity;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.scholion.core.text.Slips;

/** What an unknown unit may have been meant for. */
final class NearUnits {
    private static final int SUGGESTED = 3;

    private record Near(String name, Unit unit, int distance, boolean other) {}

    private NearUnits() {}

    /** At most three signs or names, the nearest first; of equally near ones those of the expected dimension. */
    static List<String> to(String unknown, @Nullable Unit expected) {
        List<Near> near = new ArrayList<>();
        for (String name : UnitTable.symbols()) {
            add(near, unknown, name, UnitTable.get(name), expected);
        }
        for (String name : UnitNames.all()) {
            String sign = UnitNames.sign(name);
            add(near, unknown, name, sign == null ? null : UnitTable.get(sign), expected);
        }
        List<Unit> named = new ArrayList<>();
        return near.stream()
                .sorted(Comparator.comparingInt(Near::distance)
                        .thenComparing(Near::other)
                        .thenComparing(n -> n.name().length())
                        .thenComparing(Near::name))
                // One name for each unit: metre, not metres and meters beside it.
                .filter(n -> !named.contains(n.unit()) && named.add(n.unit()))
                .map(Near::name)
                .limit(SUGGESTED)
                .toList();
    }

    private static void add(
            List<Near> near, String unknown, String name, @Nullable Unit unit, @Nullable Unit expected) {
        int most = unknown.length() < 3 ? 1 : 2;
        int distance = name.equalsIgnoreCase(unknown) ? 0 : Slips.between(unknown, name, most);
        boolean tooShort = distance > 0 && distance >= Math.max(unknown.length(), name.length());
        if (unit != null && distance <= most && !tooShort) {
            near.add(new Near(name, unit, distance, expected == null || !unit.sameDimension(expected)));
        }
    }
}
