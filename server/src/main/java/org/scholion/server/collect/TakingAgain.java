package org.scholion.server.collect;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.server.access.Access;
import org.scholion.server.ledger.AtWork;
import org.scholion.server.ledger.Attempt;
import org.scholion.server.ledger.Attempts;
import org.scholion.server.ledger.SettingAside;
import org.scholion.server.ledger.Turns;
import org.scholion.server.platform.Events;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.JsonNodeFactory;

/** After handing in: changing one's answers, taking it once more, being let go on by a teacher. */
@Service
class TakingAgain {
    private final Attempts attempts;
    private final AtWork atWork;
    private final SettingAside settingAside;
    private final BroughtIn broughtIn;
    private final Drafts drafts;
    private final Sittings sittings;
    private final Turns turns;
    private final Access access;
    private final Events events;
    private final Clock clock;

    TakingAgain(
            Attempts attempts,
            AtWork atWork,
            SettingAside settingAside,
            BroughtIn broughtIn,
            Drafts drafts,
            Sittings sittings,
            Turns turns,
            Access access,
            Events events,
            Clock clock) {
        this.attempts = attempts;
        this.atWork = atWork;
        this.settingAside = settingAside;
        this.broughtIn = broughtIn;
        this.drafts = drafts;
        this.sittings = sittings;
        this.turns = turns;
        this.access = access;
        this.events = events;
        this.clock = clock;
    }

    /**
     * What a student may do now with what they have handed in.
     *
     * @param attemptsLeft how often they may take it again
     * @param changeUntil until when they may change their answers; null where they may not
     */
    record Next(int attemptsLeft, @Nullable Instant changeUntil) {
        static final Next NOTHING = new Next(0, null);
    }

    @Transactional(readOnly = true)
    Next next(Attempt attempt, SittingRow sitting, AtWork.Stand stand, Instant now) {
        boolean open = sittings.timesOf(sitting, attempt.student()).isOpen(now);
        Instant due = stand.due();
        boolean mayChange = sitting.settings.changes() && due != null && now.isBefore(due) && whyNot(attempt) == null;
        return new Next(open ? left(sitting, attempt.student()) : 0, mayChange ? due : null);
    }

    /** How often a student may still take it; what was set aside does not count. */
    int left(SittingRow sitting, UUID student) {
        int taken = attempts.taken(sitting.assessment, sitting.section, student);
        return Math.max(0, sittings.attemptsFor(sitting, student) - taken);
    }

    /** Why answers that are in cannot be changed by their student; null where they can. */
    private @Nullable Refused whyNot(Attempt attempt) {
        SeenWhen.SeenNow seen = sittings.sight(attempt.sitting()).seen();
        if (seen.showsHowItWent()) {
            return Refused.conflict("seen", "You can see how you did, so your answers stay as you handed them in.");
        }
        return isHandedBack(attempt.id())
                ? Refused.conflict("handed-back", "Your result is here already, so your answers stay.")
                : null;
    }

    /** A student changes what they have handed in: that is kept, and another attempt goes on with its answers. */
    UUID change(Me me, UUID id) {
        access.require(me, Access.Action.SEE_ATTEMPT, id);
        SettingAside.Fate fate = settingAside.fate(id);
        UUID again = turns.whole(fate.assessment(), () -> {
            attempts.hold(List.of(id));
            SettingAside.Fate now = settingAside.fate(id);
            return now.aside() ? changedAlready(now) : changed(me, attempts.require(id));
        });
        events.say("assessment:" + fate.assessment());
        return again;
    }

    /** Another window of the student's was first: both go on in the same. */
    private static UUID changedAlready(SettingAside.Fate fate) {
        UUID next = fate.goesOnIn();
        if (fate.byStudent() && next != null) {
            return next;
        }
        throw Refused.conflict("set-aside", "Your teacher has set this attempt aside. Go back to To do.");
    }

    private UUID changed(Me me, Attempt was) {
        if (!was.isIn()) {
            return was.id();
        }
        AtWork.Stand stand = atWork.require(was.id());
        Instant due = stand.due();
        Instant now = clock.instant();
        if (!sittings.require(was.sitting()).settings.changes() || was.way() != Attempt.Way.SCREEN || due == null) {
            throw Refused.conflict("no-changes", "What you have handed in cannot be changed. Ask your teacher.");
        }
        if (!now.isBefore(due)) {
            throw Refused.conflict("closed", "Time is up, so your answers stay as you handed them in.");
        }
        Refused why = whyNot(was);
        if (why != null) {
            throw why;
        }
        return goOn(me, was, due, stand.moreUntil(), now);
    }

    /** A teacher opens it again for so many minutes. */
    UUID reopen(Me me, UUID id, int minutes) {
        access.require(me, Access.Action.WORK_ON_ATTEMPT, id);
        Sittings.requireMinutes(minutes);
        Attempt attempt = attempts.require(id);
        UUID again = turns.whole(attempt.assessment(), () -> {
            attempts.hold(List.of(id));
            Attempt was = attempts.require(id);
            if (!was.isIn()) {
                throw Refused.conflict("not-in", was.name() + " is at work. Give more time instead.");
            }
            if (was.way() != Attempt.Way.SCREEN) {
                throw Refused.conflict(
                        "not-on-screen", "Only what was answered on screen can be opened again on screen.");
            }
            requireNotHandedBack(was);
            requireNoOther(was);
            Instant now = clock.instant();
            Instant until = now.plus(Duration.ofMinutes(minutes));
            return goOn(me, was, until, until, now);
        });
        events.say("assessment:" + attempt.assessment());
        return again;
    }

    private UUID goOn(Me me, Attempt was, Instant due, @Nullable Instant moreUntil, Instant now) {
        Map<String, JsonNode> said = new LinkedHashMap<>(attempts.responsesOf(was.id()));
        Map<String, Drafts.Draft> before = drafts.of(was.id());
        UUID next = settingAside.again(me, was, due, moreUntil, now);
        // What they took back before handing in stays taken back.
        before.keySet().forEach(i -> said.putIfAbsent(i, JsonNodeFactory.instance.stringNode("")));
        drafts.carry(was.school(), next, said, before, now);
        return next;
    }

    void requireNotHandedBack(Attempt attempt) {
        if (isHandedBack(attempt.id())) {
            throw Refused.conflict(
                    "handed-back",
                    attempt.name() + " has the result already, so this attempt stays as it is. Nothing was changed.");
        }
    }

    /** One works on one attempt at a time. */
    void requireNoOther(Attempt attempt) {
        boolean working = atWork.in(attempt.sitting()).stream()
                .anyMatch(s ->
                        s.student().equals(attempt.student()) && !s.attempt().equals(attempt.id()));
        if (working) {
            throw Refused.conflict(
                    "at-work", attempt.name() + " is at work on another attempt. Wait until that one is handed in.");
        }
    }

    private boolean isHandedBack(UUID attempt) {
        return broughtIn.stands(List.of(attempt)).values().stream().anyMatch(BroughtIn.OtherAnswers::handedBack);
    }
}
