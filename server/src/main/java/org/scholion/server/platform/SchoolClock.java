package org.scholion.server.platform;

import java.time.Clock;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import org.jspecify.annotations.Nullable;

/**
 * The time, in UTC. Work can be done as at another moment: the made-up school lives through its last week that way,
 * and tests through a deadline. Only the thread that does the work sees that moment. It is as fine as the database keeps
 * it: what is worked out before a moment is stored is worked out the same afterwards.
 */
public final class SchoolClock extends Clock {
    private final ThreadLocal<@Nullable Instant> moment = new ThreadLocal<>();

    /** Does the work as at the moment. */
    public void at(Instant then, Runnable work) {
        Instant before = moment.get();
        moment.set(then);
        try {
            work.run();
        } finally {
            moment.set(before);
        }
    }

    @Override
    public Instant instant() {
        Instant then = moment.get();
        return (then == null ? Instant.now() : then).truncatedTo(ChronoUnit.MICROS);
    }

    @Override
    public ZoneId getZone() {
        return ZoneOffset.UTC;
    }

    @Override
    public Clock withZone(ZoneId zone) {
        return this;
    }
}
