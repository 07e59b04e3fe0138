package org.scholion.server.ledger;

import java.time.Instant;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * One student's one go at a sitting, however it came in. Its responses lie beside it and never change.
 *
 * @param leftOut the items that this attempt was not drawn
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
        Instant startedAt,
        @Nullable Instant handedInAt) {

    /** How an attempt came in. */
    public enum Way {
        SCREEN,
        FILE,
        TYPED,
        PAPER
    }

    public String name() {
        return given + " " + family;
    }

    public boolean isIn() {
        return handedInAt != null;
    }
}
