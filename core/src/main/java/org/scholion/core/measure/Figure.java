package org.scholion.core.measure;

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

    public static Figure undefined(String reason) {
        return new Figure(null, reason);
    }
}
