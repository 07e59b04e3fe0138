package org.scholion.server.ledger;

import java.time.Instant;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.core.number.Fraction;

/**
 * One student's one go at a sitting, however it came in. Its responses lie beside it and never change.
 *
 * @param leftOut the items that this attempt was not drawn
 * @param daysLate how late it came in, in days; 0 when in time
 */
public record Attempt(
        UUID id,
        UUID school,
        UUID assessment,
        UUID sitting,
        UUID section,
        UUID student,
        String given,
        String family,
        int number,
        int edition,
        Way way,
        Set<String> leftOut,
        Fraction daysLate,
        Instant startedAt,
        @Nullable Instant handedInAt) {

    /** How an attempt came in. */
    public enum Way {
        SCREEN,
        FILE,
        TYPED,
        PAPER
    }

    /** The same, so many days late. */
    Attempt late(Fraction days) {
        return new Attempt(
                id,
                school,
                assessment,
                sitting,
                section,
                student,
                given,
                family,
                number,
                edition,
                way,
                leftOut,
                days,
                startedAt,
                handedInAt);
    }

    public String name() {
        return given + " " + family;
    }

    public boolean isIn() {
        return handedInAt != null;
    }
}
