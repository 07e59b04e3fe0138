package org.scholion.core.total;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.scholion.core.item.Faulty;
import org.scholion.core.number.Fraction;

/**
 * What is given to whoever reaches a percent, beside the result itself. Several may be reached at once.
 *
 * @param from the percent, rounded as the paper rounds it, from which it is given
 * @param words what is said with it; null for nothing
 */
public record Award(
        String id, String title, Fraction from, @Nullable String words) {
    public Award {
        Faulty.unless(!title.isBlank(), "title", "an award has a title");
    }

    /** Those that a percent reaches, in their order; none without a percent. */
    public static List<Award> reached(List<Award> awards, @Nullable Fraction percent) {
        return percent == null
                ? List.of()
                : awards.stream().filter(a -> a.from().compareTo(percent) <= 0).toList();
    }
}
