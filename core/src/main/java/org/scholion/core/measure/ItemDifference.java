package org.scholion.core.measure;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import org.apache.commons.statistics.distribution.ChiSquaredDistribution;
import org.jspecify.annotations.Nullable;

/**
 * Whether an item works differently for two sections of equal ability: Mantel and Haenszel's common odds ratio over
 * strata of the number solved.
 *
 * @param odds above 1 favours the first section
 * @param chi2 with continuity correction (Mantel and Haenszel 1959); {@code p} its probability, one degree of freedom
 * @param delta -2.35 ln(odds) (Holland and Thayer 1988)
 */
public record ItemDifference(
        String item, String first, String second, Figure odds, Figure chi2, Figure p, Figure delta) {

    /** Every item, the first section against each other one: items outer, sections inner. */
    public static List<ItemDifference> of(Scores scores, List<@Nullable String> sections) {
        Set<String> distinct = new LinkedHashSet<>();
        sections.stream().filter(java.util.Objects::nonNull).forEach(distinct::add);
        List<String> names = List.copyOf(distinct);
        int[] section = sections.stream()
                .mapToInt(s -> s == null ? -1 : names.indexOf(s))
                .toArray();
        int[] solved = scores.solved();
        List<ItemDifference> all = new ArrayList<>();
        for (int j = 0; j < scores.items().size() && names.size() > 1; j++) {
            Strata strata = new Strata(scores, j, section, names.size(), solved);
            for (int b = 1; b < names.size(); b++) {
                all.add(strata.between(scores.item(j).item(), names, b));
            }
        }
        return all;
    }

    /** Worth looking at, though not yet flagged. */
    public boolean isModerate() {
        return isAtLeast(1.0);
    }

    /** Flagged: a difference of 1.5 or more on the delta scale that chance does not explain. */
    public boolean isLarge() {
        return isAtLeast(1.5);
    }

    private boolean isAtLeast(double bound) {
        return delta.value() != null && p.value() != null && Math.abs(delta.value()) >= bound && p.value() < 0.05;
    }

    /** Right and wrong answers to one item by section and stratum. */
    private static final class Strata {
        private final int strata;
        private final int[][] right;
        private final int[][] all;

        Strata(Scores scores, int j, int[] section, int sections, int[] solved) {
            this.strata = scores.items().size() + 1;
            this.right = new int[sections][strata];
            this.all = new int[sections][strata];
            int[] codes = scores.item(j).codes();
            int[] full = scores.solvedKinds(j);
            for (int i = 0; i < codes.length; i++) {
                if (section[i] >= 0) {
                    right[section[i]][solved[i]] += full[codes[i]];
                    all[section[i]][solved[i]]++;
                }
            }
        }

        ItemDifference between(String item, List<String> names, int b) {
            double for1 = 0;
            double against = 0;
            double excess = 0;
            double variance = 0;
            int used = 0;
            for (int k = 0; k < strata; k++) {
                double nA = all[0][k];
                double nB = all[b][k];
                double solved = right[0][k] + right[b][k];
                double n = nA + nB;
                if (nA == 0 || nB == 0 || solved == 0 || solved == n) {
                    continue;
                }
                used++;
                for1 += right[0][k] * (nB - right[b][k]) / n;
                against += (nA - right[0][k]) * right[b][k] / n;
                excess += right[0][k] - nA * solved / n;
                variance += nA * nB * solved * (n - solved) / (n * n * (n - 1));
            }
            return used == 0
                    ? none(item, names.get(0), names.get(b))
                    : figures(item, names.get(0), names.get(b), for1, against, excess, variance);
        }

        private static ItemDifference none(String item, String first, String second) {
            Figure none = Figure.undefined("no group of equal ability has both sections, right and wrong");
            return new ItemDifference(item, first, second, none, none, none, none);
        }

        private static ItemDifference figures(
                String item, String a, String b, double for1, double against, double excess, double variance) {
            double corrected = Math.abs(excess) - 0.5;
            double chi2 = corrected * corrected / variance;
            Figure odds = against == 0
                    ? Figure.undefined("the second section never solved it where the first failed")
                    : Figure.of(for1 / against);
            Figure delta = odds.value() == null || odds.value() == 0
                    ? Figure.undefined("the odds are not finite")
                    : Figure.of(-2.35 * Math.log(odds.value()));
            double p = ChiSquaredDistribution.of(1).survivalProbability(chi2);
            return new ItemDifference(item, a, b, odds, Figure.of(chi2), Figure.of(p), delta);
        }
    }
}
