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

    /**
     * Results that stay as they are, beside those that are compared.
     *
     * @param percents the sum of their percentages; {@code counted} how many have one
     * @param passing how many of them pass
     */
    public record Others(Fraction percents, long counted, long passing) {
        public static final Others NONE = new Others(Fraction.ZERO, 0, 0);
    }

    static Sides of(Collection<Outcome> before, Collection<Outcome> after, Others others) {
        return new Sides(mean(before, others), mean(after, others), passing(before, others), passing(after, others));
    }

    private static @Nullable Fraction mean(Collection<Outcome> outcomes, Others others) {
        List<Fraction> percents =
                outcomes.stream().map(Outcome::percent).filter(Objects::nonNull).toList();
        long n = percents.size() + others.counted();
        return n == 0
                ? null
                : percents.stream().reduce(others.percents(), Fraction::plus).over(Fraction.of(n));
    }

    private static @Nullable Long passing(Collection<Outcome> outcomes, Others others) {
        return outcomes.stream().allMatch(o -> o.passed() == null)
                ? null
                : Long.valueOf(others.passing()
                        + outcomes.stream()
                                .filter(o -> Boolean.TRUE.equals(o.passed()))
                                .count());
    }
}
