package org.scholion.core.score;

import org.jspecify.annotations.Nullable;
import org.scholion.core.item.Faulty;
import org.scholion.core.number.Fraction;

/**
 * A person's decision on one answer to an item, which holds for every equal answer. It is kept beside the key for
 * answers that the key itself cannot list, such as a number that cannot be read.
 *
 * @param form the answer's {@link Scorer#form}
 * @param note a word to those who wrote it
 */
public record Ruling(
        String item, String form, Fraction credit, @Nullable String note) {
    public Ruling {
        Faulty.unless(
                credit.abs().compareTo(Fraction.ONE) <= 0, "credit", "credit " + credit + " must be between −1 and 1");
    }
}
