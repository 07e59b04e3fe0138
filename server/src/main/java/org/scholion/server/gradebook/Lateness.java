package org.scholion.server.gradebook;

import java.util.List;
import java.util.Objects;
import java.util.UUID;
import org.scholion.core.number.Fraction;
import org.scholion.server.access.Access;
import org.scholion.server.ledger.Attempt;
import org.scholion.server.ledger.Attempts;
import org.scholion.server.ledger.Regrading;
import org.scholion.server.ledger.Standings;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** How late an attempt came in, as its teacher says: it costs what the rules of the paper say, and only it moves. */
@Service
class Lateness {
    private static final Fraction MOST = Fraction.of(366);

    private final Attempts attempts;
    private final Regrading regrading;
    private final Standings standings;
    private final Access access;

    Lateness(Attempts attempts, Regrading regrading, Standings standings, Access access) {
        this.attempts = attempts;
        this.regrading = regrading;
        this.standings = standings;
        this.access = access;
    }

    /** What an attempt stands at, and what it would stand at when it came in so many days late. */
    record LateEffect(Standings.Standing now, Standings.Standing then) {}

    @Transactional(readOnly = true)
    LateEffect preview(Me me, UUID attempt, String days) {
        Attempt now = require(me, attempt);
        return new LateEffect(standings.ofAttempt(now), standings.asIfLate(now, read(days)));
    }

    void set(Me me, UUID attempt, String days) {
        Attempt one = require(me, attempt);
        Fraction late = read(days);
        regrading.decide(me, one.assessment(), List.of(attempt), () -> {
            attempts.setLate(attempt, late);
            standings.refresh(one.assessment(), List.of(attempt));
            return List.of();
        });
    }

    private Attempt require(Me me, UUID attempt) {
        access.require(me, Access.Action.WORK_ON_ATTEMPT, attempt);
        Attempt one = attempts.require(attempt);
        if (!one.isIn()) {
            throw Refused.conflict("not-in", one.name() + " has not handed in yet.");
        }
        return one;
    }

    private static Fraction read(String days) {
        return Fraction.parse(Objects.requireNonNullElse(days, "").strip())
                .filter(d -> d.signum() >= 0 && d.compareTo(MOST) <= 0)
                .orElseThrow(() -> Refused.invalid(
                        "days", "Write how many days late it came in, from 0 to 366, such as 1 or 0.5."));
    }
}
