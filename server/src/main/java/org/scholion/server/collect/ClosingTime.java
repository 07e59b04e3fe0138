package org.scholion.server.collect;

import com.github.kagkarlsson.scheduler.task.helper.RecurringTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import com.github.kagkarlsson.scheduler.task.schedule.FixedDelay;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.scholion.formats.json.Faults;
import org.scholion.server.ledger.Attempts;
import org.scholion.server.platform.Refused;
import org.scholion.server.platform.Traces;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Takes in what is still being worked on when its time is over, so that nobody loses answers by not handing in. */
@Configuration
class ClosingTime {
    private static final Logger LOG = LoggerFactory.getLogger(ClosingTime.class);
    /** A little longer than an answer may be late for. */
    private static final Duration GRACE = Duration.ofSeconds(22);

    private static final Duration AGAIN = Duration.ofMinutes(10);
    private static final String UNKNOWN = "something in it could not be scored";

    private final EntityManager entities;
    private final Attempts attempts;
    private final Taking taking;
    private final Clock clock;

    ClosingTime(EntityManager entities, Attempts attempts, Taking taking, Clock clock) {
        this.entities = entities;
        this.attempts = attempts;
        this.taking = taking;
        this.clock = clock;
    }

    @Bean
    RecurringTask<Void> takeInWhatIsOver() {
        return Tasks.recurring("take-in-what-is-over", FixedDelay.ofSeconds(10))
                .execute((instance, context) -> takeIn());
    }

    /** Each by itself: what cannot be taken in is noted for the Desk, and time goes on for all others. */
    int takeIn() {
        int taken = 0;
        for (UUID id : due()) {
            try {
                taking.take(attempts.require(id));
                taken++;
            } catch (RuntimeException e) {
                LOG.error("attempt {} could not be taken in at the end of its time: {}", id, Traces.withoutTexts(e));
                note(id, e);
            }
        }
        if (taken > 0) {
            LOG.info("{} attempts taken in at the end of their time", taken);
        }
        return taken;
    }

    /** Only what is over; what failed is tried again after a while. */
    private List<UUID> due() {
        Instant now = clock.instant();
        return entities.createQuery("""
                        select x.id from AttemptRow x where x.handedInAt is null and x.pausedAt is null and x.dueAt < :over
                          and (x.troubleAt is null or x.troubleAt < :again) order by x.dueAt""", UUID.class)
                .setParameter("over", now.minus(GRACE))
                .setParameter("again", now.minus(AGAIN))
                .getResultList();
    }

    private void note(UUID id, RuntimeException e) {
        String what = e instanceof Refused || e instanceof Faults ? String.valueOf(e.getMessage()) : UNKNOWN;
        try {
            attempts.note(id, what, clock.instant());
        } catch (RuntimeException second) {
            LOG.error("its trouble could not be noted: {}", Traces.withoutTexts(second));
        }
    }
}
