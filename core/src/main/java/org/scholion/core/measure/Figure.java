package org.scholion.core.measure;

import java.util.Locale;
import org.jspecify.annotations.Nullable;

/**
 * A figure, or the reason why there is none.
 *
 * @param value null when undefined
 * @param missing why it is undefined; null when it is defined
 */
public record Figure(@Nullable Double value, @Nullable String missing) {
    public static Figure of(double value) {
        return new Figure(value, null);
    }

    /** With two decimals, as people read it; a dash where there is none. */
    public String shown() {
        return value == null ? "–" : String.format(Locale.ROOT, "%.2f", value).replace('-', '−');
    }

    public static Figure undefined(String reason) {
        return new Figure(null, reason);
    }
}
