package org.scholion.core.measure;

import java.util.stream.IntStream;

/** All items counted once, with the variances that reliability is made of. */
record Paper(Scores scores, Groups groups, Tally[] tallies) {
    static Paper of(Scores scores) {
        Ranks ranks = new Ranks(scores.totals());
        Tally[] tallies = IntStream.range(0, scores.items().size())
                .parallel()
                .mapToObj(j -> Tally.of(scores, j, ranks))
                .toArray(Tally[]::new);
        return new Paper(scores, Groups.of(ranks), tallies);
    }

    Tally tally(int j) {
        return tallies[j];
    }

    /** Reliability over all counting items (Lord and Novick; KR-20 for 0/1 items). */
    Figure alpha() {
        int[] counting = scores.counting();
        return alpha(counting.length, within(counting), groups.totals().squares());
    }

    /** Reliability over the counting items but this one. */
    Figure alphaWithout(int j) {
        int[] others = IntStream.of(scores.counting()).filter(i -> i != j).toArray();
        if (others.length < 2) {
            return Figure.undefined("needs at least 3 items");
        }
        return alpha(others.length, within(others), groups.restSquares(tallies[j]));
    }

    private double within(int[] items) {
        double within = 0;
        for (int i : items) {
            within += tallies[i].moments().squares();
        }
        return within;
    }

    private Figure alpha(int k, double within, double spread) {
        if (k < 2) {
            return Figure.undefined("needs at least 2 items");
        }
        if (scores.attempts() < 2) {
            return Figure.undefined("needs at least 2 attempts");
        }
        return spread == 0
                ? Figure.undefined("all have the same total")
                : Figure.of((double) k / (k - 1) * (1 - within / spread));
    }
}
