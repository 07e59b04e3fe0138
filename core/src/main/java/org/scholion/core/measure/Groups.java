package org.scholion.core.measure;

import org.scholion.core.number.Fraction;

/** The upper, middle and lower of the attempts by total, and the moments of the totals: shared by all items. */
record Groups(
        Ranks ranks, Moments totals, Fraction[] upper, Fraction[] lower, Fraction[] upperThird, Fraction[] lowerThird) {

    static Groups of(Ranks ranks) {
        Fraction outer = Fraction.of(27L * ranks.attempts(), 100);
        Fraction third = Fraction.of(ranks.attempts(), 3);
        return new Groups(
                ranks,
                Moments.of(ranks),
                ranks.highest(outer),
                ranks.lowest(outer),
                ranks.highest(third),
                ranks.lowest(third));
    }

    /** Σ (R - mean R)² of the rest of the total without the item; 0 when the rest does not vary. */
    double restSquares(Tally tally) {
        Moments x = tally.moments();
        if (!tally.column.counts()) {
            return totals.squares();
        }
        double squares = totals.squares() + x.squares() - 2 * tally.productWithTotal(ranks, totals);
        // The smallest variance that is there is far above what rounding leaves of none.
        return squares <= 1e-12 * Math.max(totals.squares(), x.squares()) ? 0 : squares;
    }
}
