package org.scholion.core.score;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.scholion.core.item.TextItem;
import org.scholion.core.item.TextItem.Spelling;
import org.scholion.core.text.Normaliser;
import org.scholion.core.text.Slips;

/** Finds the listed text that an answer is the fewest typing slips away from, within each entry's allowance. */
final class Nearest {
    private final List<Listed> listed = new ArrayList<>();

    /** The nearest accepted entry, the nearest rejected one, or both when they are equally near. */
    record Find(int distance, TextItem.@Nullable SameText accepted, TextItem.@Nullable Rejected rejected) {}

    private record Listed(
            int[] text, int allowance, TextItem.@Nullable SameText accepted, TextItem.@Nullable Rejected rejected) {}

    Nearest(TextItem item, Normaliser normaliser) {
        if (item.spelling() == Spelling.NONE) {
            return;
        }
        for (TextItem.Accepted entry : item.accept()) {
            if (entry instanceof TextItem.SameText same) {
                add(item.spelling(), normaliser.apply(same.text()), same, null);
            }
        }
        item.reject().forEach(r -> add(item.spelling(), normaliser.apply(r.text()), null, r));
    }

    private void add(
            Spelling spelling,
            String text,
            TextItem.@Nullable SameText accepted,
            TextItem.@Nullable Rejected rejected) {
        int[] points = text.codePoints().toArray();
        int wanted = switch (spelling) {
            case NONE -> 0;
            case ONE -> 1;
            case TWO -> 2;
            case LENGTH -> points.length < 4 ? 0 : points.length < 8 ? 1 : 2;
        };
        int allowance = Math.min(wanted, points.length - 1);
        if (allowance > 0) {
            listed.add(new Listed(points, allowance, accepted, rejected));
        }
    }

    @Nullable
    Find to(String said) {
        if (listed.isEmpty()) {
            return null;
        }
        int[] points = said.codePoints().toArray();
        int least = Integer.MAX_VALUE;
        TextItem.SameText accepted = null;
        TextItem.Rejected rejected = null;
        for (Listed entry : listed) {
            int distance = Slips.between(points, entry.text(), Math.min(entry.allowance(), least));
            if (distance > entry.allowance() || distance > least) {
                continue;
            }
            if (distance < least) {
                least = distance;
                accepted = null;
                rejected = null;
            }
            if (entry.accepted() != null
                    && (accepted == null || entry.accepted().credit().compareTo(accepted.credit()) > 0)) {
                accepted = entry.accepted();
            }
            rejected = rejected == null ? entry.rejected() : rejected;
        }
        return least == Integer.MAX_VALUE ? null : new Find(least, accepted, rejected);
    }
}
