package org.scholion.core.draw;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.scholion.core.item.Faulty;
import org.scholion.core.number.Fraction;

/**
 * So many of the items that name this draw.
 *
 * @param take how many are asked
 * @param quotas of these, how many at least on a standard or on one below it
 * @param difficulty the mean expected difficulty that is aimed at; null for any
 * @param each whether everybody gets the same, or each student an own choice
 */
public record Draw(
        String id, int take, List<Quota> quotas, @Nullable Fraction difficulty, Each each) {

    /** When it is drawn. */
    public enum Each {
        /** Once, when the paper is given out. */
        SITTING,
        /** For each student anew. */
        STUDENT
    }

    /** At least so many on a standard. */
    public record Quota(String code, int take) {
        public Quota {
            Faulty.unless(take >= 1, "take", "take " + take + " is below 1");
        }
    }

    /**
     * An item that can be drawn.
     *
     * @param codes the standards it counts for, those above them included
     * @param difficulty the share that is expected; null where nothing is known
     */
    public record Candidate(
            String id, Set<String> codes, @Nullable Fraction difficulty) {
        public Candidate {
            codes = Set.copyOf(codes);
        }
    }

    public Draw {
        quotas = List.copyOf(quotas);
        Faulty.unless(!id.isBlank(), "id", "a draw needs an id");
        Faulty.unless(take >= 1, "take", "take " + take + " is below 1");
        int asked = quotas.stream().mapToInt(Quota::take).sum();
        Faulty.unless(
                asked <= take, "quotas", "the standards ask for " + asked + " items, but only " + take + " are drawn");
        Set<String> codes = new HashSet<>();
        for (int i = 0; i < quotas.size(); i++) {
            Faulty.unless(
                    codes.add(quotas.get(i).code()),
                    "quotas[" + i + "].code",
                    "the standard '" + quotas.get(i).code() + "' is there twice");
        }
        Faulty.unless(
                difficulty == null || difficulty.signum() >= 0 && difficulty.compareTo(Fraction.ONE) <= 0,
                "difficulty",
                "the difficulty is a share from 0 to 1");
    }

    /** What the pool lacks for this draw, in words; empty when it can be drawn. */
    public List<String> lacks(List<Candidate> pool) {
        List<String> lacks = new ArrayList<>();
        if (pool.size() < take) {
            lacks.add(take + " are to be drawn, but only " + pool.size() + " items are in the draw");
        }
        for (Quota quota : quotas) {
            long there =
                    pool.stream().filter(c -> c.codes().contains(quota.code())).count();
            if (there < quota.take()) {
                lacks.add(quota.take() + " on " + quota.code() + " are to be drawn, but only " + there + " are there");
            }
        }
        return lacks;
    }
}
