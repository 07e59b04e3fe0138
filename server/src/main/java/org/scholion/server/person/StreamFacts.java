package org.scholion.server.person;

import java.time.Duration;
import java.time.Instant;

/** Whether a browser's stream may go on. */
@SuppressWarnings("ArrayRecordComponent")
record StreamFacts(byte[] token, Instant madeAt, Instant seenAt, int idleMinutes, int sessionHours) {
    boolean isOver(Instant now) {
        return now.isAfter(madeAt.plus(Duration.ofHours(sessionHours)))
                || now.isAfter(seenAt.plus(Duration.ofMinutes(idleMinutes)));
    }
}
