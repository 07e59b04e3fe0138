package org.scholion.server.collect;

import java.time.Duration;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * When a sitting is open for one student and how long they have: its times with what is different for them.
 *
 * @param closes when it is due; what is handed in later is late
 * @param ends when nothing is taken any more
 * @param limit from beginning to end; null for none
 */
record OwnTimes(
        Instant opens,
        Instant closes,
        Instant ends,
        @Nullable Duration limit) {

    /**
     * More time than others is added to the time limit, or where there is none to the time from opening to closing; the
     * closing moves by as much, so that whoever begins with the others has all of it.
     */
    static OwnTimes of(SittingRow sitting, @Nullable DifferentRow different) {
        Duration limit = sitting.minutes == null ? null : Duration.ofMinutes(sitting.minutes);
        if (different == null) {
            return of(sitting, sitting.opensAt, sitting.closesAt, limit);
        }
        Instant opens = different.opensAt == null ? sitting.opensAt : different.opensAt;
        Instant closes = different.closesAt == null ? sitting.closesAt : different.closesAt;
        Duration shared = limit == null ? Duration.between(opens, closes) : limit;
        Duration extra =
                shared.multipliedBy(different.percent - 100).dividedBy(100).plusMinutes(different.more);
        return of(sitting, opens, closes.plus(extra), limit == null ? null : limit.plus(extra));
    }

    private static OwnTimes of(SittingRow sitting, Instant opens, Instant closes, @Nullable Duration limit) {
        Instant late = sitting.lateUntil;
        return new OwnTimes(opens, closes, late == null || late.isBefore(closes) ? closes : late, limit);
    }

    boolean isOpen(Instant now) {
        return !now.isBefore(opens) && now.isBefore(ends);
    }

    /** Until when an attempt that began then may go on, pauses not counted. */
    Instant deadline(Instant startedAt) {
        Instant own = limit == null ? ends : startedAt.plus(limit);
        return own.isBefore(ends) ? own : ends;
    }
}
