package org.scholion.core.draw;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.scholion.core.number.Fraction;

/**
 * Draws items: the quotas first, then the rest at random, then exchanges within the quotas as long as they bring the
 * mean expected difficulty nearer to what is aimed at. The same seed draws the same items.
 */
public final class Drawing {
    private static final Fraction NEAR = Fraction.of(1, 100);

    private final Draw draw;
    private final List<Draw.Candidate> pool;

    /** @throws IllegalArgumentException when the pool lacks something; ask {@link Draw#lacks} before */
    public Drawing(Draw draw, List<Draw.Candidate> pool) {
        List<String> lacks = draw.lacks(pool);
        if (!lacks.isEmpty()) {
            throw new IllegalArgumentException(String.join("; ", lacks));
        }
        this.draw = draw;
        this.pool = List.copyOf(pool);
    }

    /** The ids drawn with this seed, in the order of the pool; fewer quotas than asked where they exclude each other. */
    public Set<String> with(long seed) {
        Random random = Chance.of(seed);
        List<Draw.Candidate> mixed = new ArrayList<>(pool);
        Collections.shuffle(mixed, random);
        List<Draw.Candidate> taken = new ArrayList<>();
        for (Draw.Quota quota : draw.quotas()) {
            fill(taken, mixed, quota);
        }
        for (Draw.Candidate c : mixed) {
            if (taken.size() < draw.take() && !taken.contains(c)) {
                taken.add(c);
            }
        }
        if (draw.difficulty() != null) {
            approach(taken, mixed, draw.difficulty());
        }
        Set<String> ids = new HashSet<>();
        taken.forEach(c -> ids.add(c.id()));
        return ids;
    }

    private void fill(List<Draw.Candidate> taken, List<Draw.Candidate> mixed, Draw.Quota quota) {
        for (Draw.Candidate c : mixed) {
            if (taken.size() < draw.take()
                    && count(taken, quota.code()) < quota.take()
                    && c.codes().contains(quota.code())
                    && !taken.contains(c)) {
                taken.add(c);
            }
        }
    }

    /** Exchanges one for one, each time the best exchange, until none helps or the aim is a hundredth away. */
    private void approach(List<Draw.Candidate> taken, List<Draw.Candidate> mixed, Fraction aim) {
        for (int round = 0; round < draw.take(); round++) {
            Fraction best = away(taken, aim);
            if (best == null || best.compareTo(NEAR) <= 0) {
                return;
            }
            int place = -1;
            Draw.Candidate better = null;
            for (int i = 0; i < taken.size(); i++) {
                Draw.Candidate old = taken.get(i);
                for (Draw.Candidate c : mixed) {
                    if (c.difficulty() == null || taken.contains(c)) {
                        continue;
                    }
                    taken.set(i, c);
                    Fraction now = away(taken, aim);
                    if (now != null && now.compareTo(best) < 0 && keepsQuotas(taken)) {
                        best = now;
                        place = i;
                        better = c;
                    }
                    taken.set(i, old);
                }
            }
            if (better == null) {
                return;
            }
            taken.set(place, better);
        }
    }

    private boolean keepsQuotas(List<Draw.Candidate> taken) {
        return draw.quotas().stream().allMatch(q -> count(taken, q.code()) >= q.take());
    }

    private static long count(List<Draw.Candidate> taken, String code) {
        return taken.stream().filter(c -> c.codes().contains(code)).count();
    }

    private static @Nullable Fraction away(List<Draw.Candidate> taken, Fraction aim) {
        Fraction mean = mean(taken);
        return mean == null ? null : mean.minus(aim).abs();
    }

    /** The mean of the difficulties that are known; null when none is. */
    static @Nullable Fraction mean(List<Draw.Candidate> taken) {
        Fraction sum = Fraction.ZERO;
        int n = 0;
        for (Draw.Candidate c : taken) {
            if (c.difficulty() != null) {
                sum = sum.plus(c.difficulty());
                n++;
            }
        }
        return n == 0 ? null : sum.over(Fraction.of(n));
    }

    /**
     * How alike the alternatives are.
     *
     * @param drawn how many draws were compared
     * @param easiest the highest mean expected difficulty (a share: higher is easier); null when nothing is known
     * @param hardest the lowest
     * @param mean the mean over all
     * @param unknown items of the pool whose difficulty is not known
     */
    public record Fairness(
            int drawn,
            @Nullable Fraction easiest,
            @Nullable Fraction hardest,
            @Nullable Fraction mean,
            int unknown) {}

    /** Draws with the seeds 0 to {@code draws - 1} and compares the mean expected difficulty of each. */
    public Fairness fairness(int draws) {
        Fraction easiest = null;
        Fraction hardest = null;
        Fraction sum = Fraction.ZERO;
        int known = 0;
        for (int seed = 0; seed < draws; seed++) {
            Set<String> ids = with(seed);
            Fraction mean = mean(pool.stream().filter(c -> ids.contains(c.id())).toList());
            if (mean != null) {
                easiest = easiest == null ? mean : easiest.max(mean);
                hardest = hardest == null ? mean : hardest.min(mean);
                sum = sum.plus(mean);
                known++;
            }
        }
        return new Fairness(draws, easiest, hardest, known == 0 ? null : sum.over(Fraction.of(known)), (int)
                pool.stream().filter(c -> c.difficulty() == null).count());
    }
}
