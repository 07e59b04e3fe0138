package org.scholion.server.person;

import java.time.Duration;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.server.platform.Me;

/** Who is signed in as they are now, since when, the limits of their school, and the sitting to which alone they came in. */
record SignInFacts(
        UUID id,
        UUID school,
        Me.Role role,
        String given,
        String family,
        Instant madeAt,
        Instant seenAt,
        int idleMinutes,
        int sessionHours,
        @Nullable UUID sitting) {

    boolean isOver(Instant now) {
        return now.isAfter(madeAt.plus(Duration.ofHours(sessionHours)))
                || now.isAfter(seenAt.plus(Duration.ofMinutes(idleMinutes)));
    }

    Me me() {
        return new Me(id, school, role, given, family, sitting);
    }

    /** What they may do: somebody who came in by a slip has that sitting and nothing of a student's beside it. */
    String authority() {
        return sitting == null ? "ROLE_" + role : "ROLE_SITTING";
    }
}
