package org.scholion.server.collect;

import java.time.Clock;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.server.access.Access;
import org.scholion.server.key.Drawn;
import org.scholion.server.key.Edition;
import org.scholion.server.key.Editions;
import org.scholion.server.ledger.Attempt;
import org.scholion.server.ledger.Attempts;
import org.scholion.server.person.Schools;
import org.scholion.server.platform.Events;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** A student begins what was given out, or takes it once more where that is allowed. */
@Service
public class BeginningToTake {
    private final Sittings sittings;
    private final Attempts attempts;
    private final TakingAgain again;
    private final Editions editions;
    private final BoardCodes codes;
    private final Schools schools;
    private final Access access;
    private final Events events;
    private final Clock clock;

    BeginningToTake(
            Sittings sittings,
            Attempts attempts,
            TakingAgain again,
            Editions editions,
            BoardCodes codes,
            Schools schools,
            Access access,
            Events events,
            Clock clock) {
        this.sittings = sittings;
        this.attempts = attempts;
        this.again = again;
        this.editions = editions;
        this.codes = codes;
        this.schools = schools;
        this.access = access;
        this.events = events;
        this.clock = clock;
    }

    /** Begins, or goes on with what was begun. */
    @Transactional
    public UUID begin(Me me, UUID sitting, @Nullable String code) {
        return begin(me, sitting, code, false);
    }

    /**
     * @param code what was typed from the board, where the sitting asks for one
     * @param another whether to begin once more where the last attempt is handed in; otherwise that one is meant
     * @return the attempt that is begun, or was
     */
    @Transactional
    public UUID begin(Me me, UUID sittingId, @Nullable String code, boolean another) {
        access.require(me, Access.Action.SIT, sittingId);
        UUID existing = attempts.find(sittingId, me.id()).orElse(null);
        if (existing != null && !another) {
            return existing;
        }
        SittingRow sitting = sittings.requireAsItStays(sittingId);
        // Begun in the section that they were in before: one assessment, wherever one moves.
        UUID before =
                attempts.find(sitting.assessment, sitting.section, me.id()).orElse(null);
        // Whoever asks twice at once waits for the first, and finds what that one has begun.
        if (before != null && (!another || attempts.hold(before))) {
            return before;
        }
        OwnTimes times = requireOpen(me, sitting);
        codes.require(me, sitting, code);
        if (before != null && again.left(sitting, me.id()) <= 0) {
            throw Refused.conflict("no-more", "You have taken this as often as it can be taken. Ask your teacher.");
        }
        return attempt(me, sitting, times);
    }

    private OwnTimes requireOpen(Me me, SittingRow sitting) {
        Instant now = clock.instant();
        OwnTimes times = sittings.timesOf(sitting, me.id());
        if (!times.isOpen(now)) {
            throw Refused.conflict(
                    "not-open",
                    now.isBefore(times.opens())
                            ? "This is not open yet. It opens on " + schools.told(me.school(), times.opens()) + "."
                            : "This is closed. If you still need to hand in, ask your teacher.");
        }
        return times;
    }

    private UUID attempt(Me me, SittingRow sitting, OwnTimes times) {
        Instant now = clock.instant();
        Edition edition = editions.require(sitting.assessment);
        UUID attempt = attempts.begin(
                new Attempts.Beginning(
                        sitting.school,
                        sitting.assessment,
                        sitting.id,
                        sitting.section,
                        me.id(),
                        editions.idOf(sitting.assessment, edition.number()),
                        Attempt.Way.SCREEN,
                        times.deadline(now),
                        null),
                id -> Drawn.leftOut(edition, id),
                now);
        events.say("assessment:" + sitting.assessment);
        return attempt;
    }
}
