package org.scholion.core.standard;

import java.util.ArrayList;
import java.util.Arrays;
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
    private final List<String> codes;
    private final Map<List<Alignment>, List<Lift>> lifts = new HashMap<>();

    /** @param frameworks where the codes stand in; without any, each code stands alone */
    public Alignments(Assessment assessment, List<Framework> frameworks) {
        this.items = assessment.scorable();
        this.adjusted = items.stream()
                .map(i -> assessment.adjustment(i.id()).orElse(null))
                .toArray(Adjustment.Kind[]::new);
        frameworks.forEach(f -> f.standards().forEach(s -> parents.putIfAbsent(s.code(), s.parent())));
        items.forEach(i -> codes(i).forEach(code -> parents.putIfAbsent(code, null)));
        this.codes = List.copyOf(parents.keySet());
        items.forEach(i -> lists(i).forEach(list -> lifts.computeIfAbsent(list, this::lifts)));
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

    /** The codes that have a place, in the order of the frameworks. */
    public List<String> codes() {
        return codes;
    }

    /**
     * The evidence by code, in the order of the frameworks; codes without evidence are not there. Items that are
     * undecided, excused or dropped are no evidence; a credited one gives its full points.
     *
     * @param marks one for each scorable item, in the order of the paper
     */
    public Map<String, Evidence> of(List<Mark> marks) {
        @Nullable Evidence[] found = inOrder(marks);
        Map<String, Evidence> ordered = new LinkedHashMap<>();
        for (int c = 0; c < found.length; c++) {
            if (found[c] != null) {
                ordered.put(codes.get(c), found[c]);
            }
        }
        return ordered;
    }

    /** The same, one place for each of {@link #codes()}; null where there is no evidence. */
    public @Nullable Evidence[] inOrder(List<Mark> marks) {
        Gathering gathering = new Gathering();
        for (int i = 0; i < items.size(); i++) {
            of(i, marks.get(i)).forEach(gathering::add);
        }
        return gathering.take();
    }

    /** What one mark shows on one standard, by its place among {@link #codes()}. */
    public record Shown(int code, Evidence evidence) {}

    /** Adds up what the marks of one attempt show; to be used again for the next. */
    public final class Gathering {
        private final Fraction[] score = new Fraction[codes.size()];
        private final Fraction[] possible = new Fraction[codes.size()];
        private final int[] pieces = new int[codes.size()];

        public Gathering() {
            clear();
        }

        private void clear() {
            Arrays.fill(score, Fraction.ZERO);
            Arrays.fill(possible, Fraction.ZERO);
            Arrays.fill(pieces, 0);
        }

        public void add(Shown shown) {
            int c = shown.code();
            score[c] = score[c].plus(shown.evidence().score());
            possible[c] = possible[c].plus(shown.evidence().possible());
            pieces[c] += shown.evidence().pieces();
        }

        /** What has been gathered, one place for each of the codes, null where there is nothing; and begins anew. */
        public @Nullable Evidence[] take() {
            @Nullable Evidence[] found = new Evidence[pieces.length];
            for (int c = 0; c < found.length; c++) {
                found[c] = pieces[c] == 0 ? null : new Evidence(score[c], possible[c], pieces[c]);
            }
            clear();
            return found;
        }
    }

    /** Everything that the mark of the item at this place shows; the same for equal marks. */
    public List<Shown> of(int place, Mark mark) {
        boolean full = isFull(adjusted[place], mark.state());
        if (mark.state() == State.EXCUSED
                || adjusted[place] == Adjustment.Kind.DROP
                || mark.state().isUndecided() && !full) {
            return List.of();
        }
        List<Shown> all = new ArrayList<>();
        for (Piece piece : Pieces.of(items.get(place), mark, full)) {
            for (Lift lift : lifts.getOrDefault(piece.alignments(), List.of())) {
                all.add(new Shown(
                        lift.code(),
                        new Evidence(
                                piece.score().times(lift.weight()),
                                piece.points().times(lift.weight()),
                                1)));
            }
        }
        return all;
    }

    private static boolean isFull(Adjustment.@Nullable Kind kind, State state) {
        return kind == Adjustment.Kind.CREDIT_ALL || kind == Adjustment.Kind.CREDIT_ANSWERED && state != State.BLANK;
    }

    /** A place among the codes, and the weight with which a piece counts there. */
    private record Lift(int code, Fraction weight) {}

    /** Where evidence of these alignments counts: each code and each one above it once, with the highest weight. */
    private List<Lift> lifts(List<Alignment> alignments) {
        Map<String, Fraction> weights = new LinkedHashMap<>();
        for (Alignment alignment : alignments) {
            for (String code : upwards(alignment.code())) {
                weights.merge(code, alignment.weight(), Fraction::max);
            }
        }
        return weights.entrySet().stream()
                .map(e -> new Lift(codes.indexOf(e.getKey()), e.getValue()))
                .toList();
    }

    /** Every list of alignments that an item, its criteria or its parts have. */
    private static List<List<Alignment>> lists(Item item) {
        List<List<Alignment>> lists = new ArrayList<>(List.of(item.standards()));
        if (item instanceof OpenItem open) {
            open.criteria().forEach(c -> lists.add(c.standards()));
        }
        if (item instanceof BlanksItem blanks) {
            blanks.parts().forEach(p -> lists.add(p.item().standards()));
        }
        return lists;
    }

    private List<String> upwards(String code) {
        List<String> codes = new ArrayList<>();
        for (String at = code; at != null && !codes.contains(at); at = parents.get(at)) {
            codes.add(at);
        }
        return codes;
    }
}
