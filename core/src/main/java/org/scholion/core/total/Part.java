package org.scholion.core.total;

import org.jspecify.annotations.Nullable;
import org.scholion.core.item.Faulty;
import org.scholion.core.number.Fraction;

/**
 * A part of the paper.
 *
 * @param weight its weight in the percent; none when points are simply summed
 * @param best how many of its items count; none when all do
 */
public record Part(
        String id,
        String title,
        @Nullable Fraction weight,
        @Nullable Integer best) {
    public Part {
        Faulty.unless(!id.isBlank(), "id", "a part needs an id");
        Faulty.unless(weight == null || weight.signum() >= 0, "weight", "weight " + weight + " is below 0");
        Faulty.unless(best == null || best >= 1, "best", "best " + best + " is below 1");
    }
}
