package org.scholion.core.standard;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.scholion.core.item.Alignment;
import org.scholion.core.item.BlanksItem;
import org.scholion.core.item.Item;
import org.scholion.core.item.OpenItem;
import org.scholion.core.number.Fraction;
import org.scholion.core.score.Mark;
import org.scholion.core.score.State;
import org.scholion.core.total.Adjustment;
import org.scholion.core.total.Assessment;

/** From an attempt's marks to its evidence on every standard. Compiled once for an assessment, safe for threads. */
public final class Alignments {
    private final List<Item> items;
    private final Adjustment.@Nullable Kind[] adjusted;
    private final Map<String, @Nullable String> parents = new LinkedHashMap<>();

    /** @param frameworks where the codes stand in; without any, each code stands alone */
    public Alignments(Assessment assessment, List<Framework> frameworks) {
        this.items = assessment.scorable();
        this.adjusted = items.stream()
                .map(i -> assessment.adjustment(i.id()).orElse(null))
                .toArray(Adjustment.Kind[]::new);
        frameworks.forEach(f -> f.standards().forEach(s -> parents.putIfAbsent(s.code(), s.parent())));
        items.forEach(i -> codes(i).forEach(code -> parents.putIfAbsent(code, null)));
    }

    /** Everything that an item, its criteria or its parts are aligned to. */
    public static Set<String> codes(Item item) {
        Set<String> codes = new LinkedHashSet<>();
        item.standards().forEach(a -> codes.add(a.code()));
        if (item instanceof OpenItem open) {
            codes.addAll(open.allCodes());
        }
        if (item instanceof BlanksItem blanks) {
            blanks.parts().forEach(p -> codes.addAll(codes(p.item())));
        }
        return codes;
    }

    public boolean isEmpty() {
        return items.stream().allMatch(i -> codes(i).isEmpty());
    }

    /**
     * The evidence by code, in the order of the frameworks; codes without evidence are not there. Items that are
     * undecided, excused or dropped are no evidence; a credited one gives its full points.
     *
     * @param marks one for each scorable item, in the order of the paper
     */
    public Map<String, Evidence> of(List<Mark> marks) {
        Map<String, Evidence> found = new HashMap<>();
        for (int i = 0; i < items.size(); i++) {
            Mark mark = marks.get(i);
            boolean full = isFull(adjusted[i], mark.state());
            if (mark.state() == State.EXCUSED
                    || adjusted[i] == Adjustment.Kind.DROP
                    || mark.state().isUndecided() && !full) {
                continue;
            }
            for (Piece piece : Pieces.of(items.get(i), mark, full)) {
                weights(piece)
                        .forEach((code, weight) -> found.merge(
                                code,
                                new Evidence(
                                        piece.score().times(weight),
                                        piece.points().times(weight),
                                        1),
                                Evidence::plus));
            }
        }
        Map<String, Evidence> ordered = new LinkedHashMap<>();
        parents.keySet().forEach(code -> {
            Evidence evidence = found.get(code);
            if (evidence != null) {
                ordered.put(code, evidence);
            }
        });
        return ordered;
    }

    private static boolean isFull(Adjustment.@Nullable Kind kind, State state) {
        return kind == Adjustment.Kind.CREDIT_ALL || kind == Adjustment.Kind.CREDIT_ANSWERED && state != State.BLANK;
    }

    /** The weight with which a piece counts for each code and each one above it: once, with the highest. */
    private Map<String, Fraction> weights(Piece piece) {
        Map<String, Fraction> weights = new LinkedHashMap<>();
        for (Alignment alignment : piece.alignments()) {
            for (String code : upwards(alignment.code())) {
                weights.merge(code, alignment.weight(), Fraction::max);
            }
        }
        return weights;
    }

    private List<String> upwards(String code) {
        List<String> codes = new ArrayList<>();
        for (String at = code; at != null && !codes.contains(at); at = parents.get(at)) {
            codes.add(at);
        }
        return codes;
    }
}
