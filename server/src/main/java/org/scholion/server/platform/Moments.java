package org.scholion.server.platform;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** Moments that people give: those that a school and its database can mean. */
public final class Moments {
    private static final Instant FIRST = Instant.parse("1970-01-01T00:00:00Z");
    private static final Instant LAST = Instant.parse("2200-01-01T00:00:00Z");

    private Moments() {}

    /** @throws Refused where it lies in no year that can be meant; null is none, and stays */
    public static void require(String field, @Nullable Instant moment) {
        if (moment != null && (moment.isBefore(FIRST) || !moment.isBefore(LAST))) {
            throw Refused.invalid(field, "Choose a date between the years 1970 and 2200.");
        }
    }
}
