package org.scholion.server.collect;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.scholion.server.access.Access;
import org.scholion.server.ledger.AtWork;
import org.scholion.server.ledger.Attempt;
import org.scholion.server.ledger.Attempts;
import org.scholion.server.ledger.SettingAside;
import org.scholion.server.ledger.Turns;
import org.scholion.server.mail.Post;
import org.scholion.server.platform.Events;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What a teacher does about single attempts while a sitting runs, and how it is undone. */
@Service
class WhileItRuns {
    private final EntityManager entities;
    private final AtWork atWork;
    private final Attempts attempts;
    private final SettingAside settingAside;
    private final TakingAgain again;
    private final Sittings sittings;
    private final Turns turns;
    private final Post post;
    private final Access access;
    private final Events events;
    private final Clock clock;

    WhileItRuns(
            EntityManager entities,
            AtWork atWork,
            Attempts attempts,
            SettingAside settingAside,
            TakingAgain again,
            Sittings sittings,
            Turns turns,
            Post post,
            Access access,
            Events events,
            Clock clock) {
        this.entities = entities;
        this.atWork = atWork;
        this.attempts = attempts;
        this.settingAside = settingAside;
        this.again = again;
        this.sittings = sittings;
        this.turns = turns;
        this.post = post;
        this.access = access;
        this.events = events;
        this.clock = clock;
    }

    /** Lets one student go on longer; fewer minutes take back what was given before, never more than that. */
    @Transactional
    void more(Me me, UUID attempt, int minutes) {
        access.require(me, Access.Action.WORK_ON_ATTEMPT, attempt);
        Sittings.requireMore(minutes);
        AtWork.Stand stand = working(attempt);
        Instant now = clock.instant();
        Instant end = stand.end();
        // Whoever is over already has the minutes from now on.
        Instant from = minutes > 0 && end.isBefore(now) ? now : end;
        Instant until = from.plus(Duration.ofMinutes(minutes));
        SittingRow row = sittings.require(stand.sitting());
        Instant deadline = sittings.timesOf(row, stand.student()).deadline(stand.startedAt());
        atWork.setMoreUntil(attempt, until);
        atWork.setDue(Map.of(attempt, stand.dueAfter(deadline, until)));
        say(row.assessment);
    }

    /** Stops the time of these; what they write meanwhile waits on their devices. */
    @Transactional
    void pause(Me me, UUID sitting, List<UUID> some) {
        UUID assessment = required(me, sitting, some);
        atWork.pause(sitting, some, clock.instant());
        say(assessment);
    }

    /** Goes on: what the pause took is added to the time of each. */
    @Transactional
    void goOn(Me me, UUID sitting, List<UUID> some) {
        UUID assessment = required(me, sitting, some);
        atWork.goOn(sitting, some, clock.instant());
        say(assessment);
    }

    private UUID required(Me me, UUID sitting, List<UUID> some) {
        access.require(me, Access.Action.WORK_ON_SITTING, sitting);
        if (some.isEmpty()) {
            throw Refused.invalid("attempts", "Nobody is at work.");
        }
        return sittings.require(sitting).assessment;
    }

    /** An attempt that is worked on: nobody else's answer to whether it is. */
    private AtWork.Stand working(UUID attempt) {
        if (!attempts.hold(attempt)) {
            throw Refused.conflict(
                    "handed-in", attempts.require(attempt).name() + " has handed in meanwhile. Nothing was changed.");
        }
        return atWork.require(attempt);
    }

    /** Sets an attempt aside with everything in it, so that its student can begin anew while it is open. */
    void setAside(Me me, UUID id) {
        access.require(me, Access.Action.WORK_ON_ATTEMPT, id);
        Attempt attempt = attempts.require(id);
        turns.whole(attempt.assessment(), () -> {
            attempts.hold(List.of(id));
            Attempt now = attempts.require(id);
            again.requireNotHandedBack(now);
            settingAside.aside(me, now, clock.instant());
            return id;
        });
        say(attempt.assessment());
    }

    /** Puts back what was set aside. What goes on from it is set aside, until it is handed in. */
    void putBack(Me me, UUID id) {
        access.require(me, Access.Action.PUT_BACK_ATTEMPT, id);
        SettingAside.Fate fate = settingAside.fate(id);
        turns.whole(fate.assessment(), () -> {
            SettingAside.Fate now = settingAside.fate(id);
            if (!now.aside()) {
                return id;
            }
            UUID instead = now.goesOnIn();
            if (instead != null) {
                attempts.hold(List.of(instead));
                Attempt other = attempts.require(instead);
                again.requireNotHandedBack(other);
                boolean goesOn = id.equals(atWork.require(instead).follows());
                SittingRow sitting = sittings.require(now.sitting());
                if (!goesOn && (other.isIn() || now.in()) && again.left(sitting, now.student()) > 0) {
                    // It may be taken several times: this is one of them.
                    settingAside.back(id, clock.instant());
                    return id;
                }
                if (!goesOn || other.isIn()) {
                    throw Refused.conflict(
                            "begun-anew",
                            other.name() + (goesOn ? " has handed in again" : " has begun anew")
                                    + " meanwhile. Set that attempt aside first, then put this one back.");
                }
                settingAside.aside(me, other, clock.instant());
            }
            settingAside.back(id, clock.instant());
            return id;
        });
        say(fate.assessment());
    }

    /** Writes to those who could begin and have not. @return how many letters are asked for */
    @Transactional
    int remind(Me me, UUID sitting) {
        access.require(me, Access.Action.WORK_ON_SITTING, sitting);
        SittingRow row = sittings.require(sitting);
        Instant now = clock.instant();
        if (!now.isBefore(row.endsAt)) {
            throw Refused.conflict("closed", "This is closed, so nobody can begin any more. Change its times first.");
        }
        Map<UUID, DifferentRow> different = sittings.differentIn(sitting);
        List<UUID> missing = entities
                .createQuery("""
                        select e.student from Expected e where e.sitting = :sitting and not exists (
                          select 1 from AttemptRow x where x.assessment = :assessment and x.student = e.student)""", UUID.class)
                .setParameter("sitting", sitting)
                .setParameter("assessment", row.assessment)
                .getResultList()
                .stream()
                .filter(s -> OwnTimes.of(row, different.get(s)).isOpen(now))
                .toList();
        if (missing.isEmpty()) {
            throw Refused.conflict("all-begun", "Everybody for whom it is open has begun.");
        }
        return post.ask(me.school(), me.id(), ReminderLetter.KIND, missing);
    }

    private void say(UUID assessment) {
        events.say("assessment:" + assessment);
    }
}
