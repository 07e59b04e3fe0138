package org.scholion.server.person;

import java.time.Duration;
import java.time.Instant;
import java.util.UUID;
import org.scholion.server.platform.Me;

/** Who is signed in as they are now, since when, and the limits of their school. */
record SignInFacts(
        UUID id,
        UUID school,
        Me.Role role,
        String given,
        String family,
        Instant madeAt,
        Instant seenAt,
        int idleMinutes,
        int sessionHours) {

    boolean isOver(Instant now) {
        return now.isAfter(madeAt.plus(Duration.ofHours(sessionHours)))
                || now.isAfter(seenAt.plus(Duration.ofMinutes(idleMinutes)));
    }

    Me me() {
        return new Me(id, school, role, given, family);
    }
}
