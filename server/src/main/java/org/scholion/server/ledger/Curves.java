package org.scholion.server.ledger;

import com.github.kagkarlsson.scheduler.task.helper.RecurringTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import com.github.kagkarlsson.scheduler.task.schedule.FixedDelay;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Computes curves that look at a whole sitting: once, after attempts came in or marks moved. */
@Configuration
class Curves {
    private final Standings standings;
    private final Refreshing refreshing;

    Curves(Standings standings, Refreshing refreshing) {
        this.standings = standings;
        this.refreshing = refreshing;
    }

    @Bean
    RecurringTask<Void> computeCurves() {
        return Tasks.recurring("compute-curves", FixedDelay.ofSeconds(2)).execute((instance, context) -> compute());
    }

    int compute() {
        return refreshing.each(standings.awaitingCurves());
    }
}
