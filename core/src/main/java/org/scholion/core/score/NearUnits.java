package org.scholion.core.score;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.scholion.core.quantity.Unit;
import org.scholion.core.text.Slips;

/** What an unknown unit may have been meant for. */
final class NearUnits {
    private static final int SUGGESTED = 3;

    private record Near(String name, Unit unit, int distance, boolean other) {}

    private NearUnits() {}

    /** At most three signs or names, the nearest first; of equally near ones those of the expected dimension. */
    static List<String> to(String typed, Unit expected) {
        String unknown = Unit.unknownPart(typed).orElse("");
        if (unknown.isEmpty()) {
            return List.of();
        }
        List<Near> near = new ArrayList<>();
        Unit.known().forEach((name, unit) -> add(near, unknown, name, unit, expected));
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

    private static void add(List<Near> near, String unknown, String name, Unit unit, Unit expected) {
        int most = unknown.length() < 3 ? 1 : 2;
        int distance = name.equalsIgnoreCase(unknown) ? 0 : Slips.between(unknown, name, most);
        boolean tooShort = distance > 0 && distance >= Math.max(unknown.length(), name.length());
        if (distance <= most && !tooShort) {
            near.add(new Near(name, unit, distance, !unit.sameDimension(expected)));
        }
    }
}
