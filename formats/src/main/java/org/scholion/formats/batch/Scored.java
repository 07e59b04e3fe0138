package org.scholion.formats.batch;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.scholion.core.number.Fraction;
import org.scholion.core.score.Mark;
import org.scholion.core.standard.Alignments;

/**
 * One answer to one item with everything that its row needs, made once for all equal answers.
 *
 * @param kind its code in the item's statistics
 * @param counts what it adds to the score after adjustments, before best-of; null when it does not count
 * @param waits whether it makes the total provisional
 * @param shown what it shows on standards
 * @param row its row from the item on, as it is when the item counts
 * @param uncounted the same for an item that is not among the best of its part
 */
record Scored(
        Mark mark,
        int kind,
        @Nullable Fraction counts,
        boolean waits,
        List<Alignments.Shown> shown,
        byte[] row,
        byte[] uncounted) {}
