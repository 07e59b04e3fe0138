package org.scholion.core.total;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.scholion.core.item.Item;
import org.scholion.core.number.Fraction;
import org.scholion.core.score.Mark;
import org.scholion.core.score.State;

/**
 * Adds up attempts of one assessment: item adjustments, parts, floor at 0, lateness. Compiled once, safe for
 * threads. The curve needs the whole sitting and follows in {@link Outcomes}.
 */
public final class Totals {
    private final Grading grading;
    private final int size;
    private final Fraction[] points;
    private final Adjustment.@Nullable Kind[] adjusted;
    private final List<Group> groups = new ArrayList<>();
    private final boolean weighted;

    /**
     * The items of one part, or of the whole paper, by their places.
     *
     * @param all what is possible when every one of them counts
     */
    private record Group(
            int[] items,
            Fraction all,
            @Nullable Fraction weight,
            @Nullable Integer best) {}

    public Totals(Assessment assessment) {
        List<Item> items = assessment.scorable();
        this.grading = assessment.grading();
        this.size = items.size();
        this.points = items.stream().map(Item::points).toArray(Fraction[]::new);
        this.adjusted = new Adjustment.Kind[size];
        Map<String, List<Integer>> byPart = new HashMap<>();
        for (int i = 0; i < size; i++) {
            adjusted[i] = assessment.adjustment(items.get(i).id()).orElse(null);
            String part = items.get(i).head().part();
            byPart.computeIfAbsent(part == null ? "" : part, p -> new ArrayList<>())
                    .add(i);
        }
        if (assessment.parts().isEmpty()) {
            groups.add(group(
                    byPart.values().stream().flatMap(List::stream).sorted().toList(), null, null));
        }
        assessment
                .parts()
                .forEach(p -> groups.add(group(byPart.getOrDefault(p.id(), List.of()), p.weight(), p.best())));
        this.weighted = assessment.parts().stream().anyMatch(p -> p.weight() != null);
    }

    private Group group(List<Integer> items, @Nullable Fraction weight, @Nullable Integer best) {
        int[] places = items.stream().mapToInt(Integer::intValue).toArray();
        return new Group(places, sum(places, points), weight, best);
    }

    /**
     * The total of one attempt.
     *
     * @param marks one for each scorable item, in the order of the paper
     * @param daysLate how late it came in, in days; 0 when it was in time
     */
    public AttemptTotal of(List<Mark> marks, Fraction daysLate) {
        if (marks.size() != size) {
            throw new IllegalArgumentException(marks.size() + " marks for " + size + " items");
        }
        @Nullable Fraction[] counted = new Fraction[size];
        boolean[] waits = new boolean[size];
        for (int i = 0; i < size; i++) {
            counted[i] = adjusted(i, marks.get(i));
            waits[i] = waits(i, marks.get(i));
        }
        return of(counted, waits, daysLate);
    }

    /** Whether an undecided mark makes the total provisional where it counts. */
    public boolean waits(int i, Mark mark) {
        return mark.state().isUndecided()
                && adjusted[i] != Adjustment.Kind.CREDIT_ALL
                && adjusted[i] != Adjustment.Kind.CREDIT_ANSWERED;
    }

    /**
     * The same, from what {@link #adjusted} and {@link #waits} say of each mark, for whoever keeps them.
     *
     * @param counted changed by this: what is not among the best of its part becomes null
     */
    public AttemptTotal of(@Nullable Fraction[] counted, boolean[] waits, Fraction daysLate) {
        Fraction score = Fraction.ZERO;
        Fraction possible = Fraction.ZERO;
        Fraction shares = Fraction.ZERO;
        Fraction weights = Fraction.ZERO;
        for (Group group : groups) {
            Fraction groupPossible = possible(group, counted);
            Fraction groupScore = Fraction.ZERO;
            for (int i : group.items()) {
                groupScore = counted[i] == null ? groupScore : groupScore.plus(counted[i]);
            }
            score = score.plus(groupScore);
            if (groupPossible.isZero() && weighted) {
                continue;
            }
            possible = possible.plus(groupPossible);
            if (group.weight() != null) {
                shares = shares.plus(group.weight().times(groupScore).over(groupPossible));
                weights = weights.plus(group.weight());
            }
        }
        boolean provisional = false;
        for (int i = 0; i < size; i++) {
            provisional |= waits[i] && counted[i] != null;
        }
        Fraction percent = percent(score, possible, shares, weights);
        return finish(counted, score, possible, percent, provisional, daysLate);
    }

    private AttemptTotal finish(
            @Nullable Fraction[] counted,
            Fraction score,
            Fraction possible,
            @Nullable Fraction percent,
            boolean provisional,
            Fraction daysLate) {
        Fraction factor = grading.late() == null ? Fraction.ONE : grading.late().factor(daysLate);
        List<@Nullable Fraction> each = new ArrayList<>();
        Collections.addAll(each, counted);
        return new AttemptTotal(
                each,
                floor(score).times(factor),
                possible,
                percent == null ? null : floor(percent).times(factor),
                provisional);
    }

    private Fraction floor(Fraction total) {
        return grading.negativeTotals() ? total : total.max(Fraction.ZERO);
    }

    private @Nullable Fraction percent(Fraction score, Fraction possible, Fraction shares, Fraction weights) {
        if (weighted) {
            return weights.isZero() ? null : shares.over(weights).times(Fraction.HUNDRED);
        }
        return possible.isZero() ? null : score.times(Fraction.HUNDRED).over(possible);
    }

    /** What a mark adds to the score after adjustments, before best-of; null when it does not count. */
    public @Nullable Fraction adjusted(int i, Mark mark) {
        Adjustment.Kind kind = adjusted[i];
        if (mark.state() == State.EXCUSED || kind == Adjustment.Kind.DROP) {
            return null;
        }
        boolean credited = kind == Adjustment.Kind.CREDIT_ALL
                || kind == Adjustment.Kind.CREDIT_ANSWERED && mark.state() != State.BLANK;
        return credited ? points[i] : mark.credit().times(points[i]);
    }

    /** Leaves only the best n of the group counted, and says what was possible. */
    private Fraction possible(Group group, @Nullable Fraction[] counted) {
        if (group.best() != null) {
            keepBest(group, counted, group.best());
        }
        int missing = 0;
        for (int i : group.items()) {
            missing += counted[i] == null ? 1 : 0;
        }
        return missing == 0 ? group.all() : sum(group.items(), counted);
    }

    private Fraction sum(int[] places, @Nullable Fraction[] counted) {
        Fraction sum = Fraction.ZERO;
        for (int i : places) {
            sum = counted[i] == null || adjusted[i] == Adjustment.Kind.BONUS ? sum : sum.plus(points[i]);
        }
        return sum;
    }

    private static void keepBest(Group group, @Nullable Fraction[] counted, int best) {
        List<Integer> left = new ArrayList<>();
        for (int i : group.items()) {
            if (counted[i] != null) {
                left.add(i);
            }
        }
        if (left.size() > best) {
            // The sort is stable, so that of equal scores the earlier item counts.
            left.sort(Comparator.comparing((Integer i) -> java.util.Objects.requireNonNull(counted[i]))
                    .reversed());
            left.subList(best, left.size()).forEach(i -> counted[i] = null);
        }
    }
}
