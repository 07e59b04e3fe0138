package org.scholion.server.collect;

import com.github.kagkarlsson.scheduler.task.helper.RecurringTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import com.github.kagkarlsson.scheduler.task.schedule.FixedDelay;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.scholion.server.ledger.Attempt;
import org.scholion.server.ledger.Attempts;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.jdbc.core.simple.JdbcClient;

/** Takes in what is still being worked on when its time is over, so that nobody loses answers by not handing in. */
@Configuration
class ClosingTime {
    private static final Logger LOG = LoggerFactory.getLogger(ClosingTime.class);
    private static final Duration GRACE = Duration.ofSeconds(30);

    private final JdbcClient db;
    private final Attempts attempts;
    private final Sittings sittings;
    private final Taking taking;
    private final Clock clock;

    ClosingTime(JdbcClient db, Attempts attempts, Sittings sittings, Taking taking, Clock clock) {
        this.db = db;
        this.attempts = attempts;
        this.sittings = sittings;
        this.taking = taking;
        this.clock = clock;
    }

    @Bean
    RecurringTask<Void> takeInWhatIsOver() {
        return Tasks.recurring("take-in-what-is-over", FixedDelay.ofSeconds(30))
                .execute((instance, context) -> takeIn());
    }

    int takeIn() {
        Instant now = clock.instant();
        List<UUID> open = db.sql("select id from attempt where handed_in_at is null and way = 'SCREEN'")
                .query(UUID.class)
                .list();
        int taken = 0;
        for (UUID id : open) {
            Attempt attempt = attempts.require(id);
            Instant deadline = sittings.require(attempt.sitting()).deadline(attempt.startedAt());
            if (now.isAfter(deadline.plus(GRACE))) {
                taking.take(attempt);
                taken++;
            }
        }
        if (taken > 0) {
            LOG.info("{} attempts taken in at the end of their time", taken);
        }
        return taken;
    }
}
