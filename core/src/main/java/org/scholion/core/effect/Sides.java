package org.scholion.core.effect;

import java.util.Collection;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.scholion.core.number.Fraction;
import org.scholion.core.total.Outcome;

/**
 * What a group's results measure before and after a change.
 *
 * @param meanBefore the mean of the percentages that are shown; null where nobody has one
 * @param passBefore how many pass; null without a pass mark
 */
public record Sides(
        @Nullable Fraction meanBefore,
        @Nullable Fraction meanAfter,
        @Nullable Long passBefore,
        @Nullable Long passAfter) {

    static Sides of(Collection<Outcome> before, Collection<Outcome> after) {
        return new Sides(mean(before), mean(after), passing(before), passing(after));
    }

    private static @Nullable Fraction mean(Collection<Outcome> outcomes) {
        List<Fraction> percents =
                outcomes.stream().map(Outcome::percent).filter(Objects::nonNull).toList();
        return percents.isEmpty()
                ? null
                : percents.stream().reduce(Fraction.ZERO, Fraction::plus).over(Fraction.of(percents.size()));
    }

    private static @Nullable Long passing(Collection<Outcome> outcomes) {
        return outcomes.stream().allMatch(o -> o.passed() == null)
                ? null
                : Long.valueOf(outcomes.stream()
                        .filter(o -> Boolean.TRUE.equals(o.passed()))
                        .count());
    }
}
