package org.scholion.core.total;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.scholion.core.number.Fraction;

/**
 * One attempt's total before any curve.
 *
 * @param counted what each scorable item adds to the score; null where it does not count
 * @param score after floor and lateness
 * @param percent before rounding and before the curve; null when nothing was possible
 * @param provisional whether something that counts is still undecided
 */
public record AttemptTotal(
        List<@Nullable Fraction> counted,
        Fraction score,
        Fraction possible,
        @Nullable Fraction percent,
        boolean provisional) {
    public AttemptTotal {
        counted = Collections.unmodifiableList(new ArrayList<>(counted));
    }
}
