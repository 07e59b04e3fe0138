package org.scholion.server.ledger;

import com.github.kagkarlsson.scheduler.task.helper.RecurringTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import com.github.kagkarlsson.scheduler.task.schedule.FixedDelay;
import java.util.UUID;
import org.scholion.server.platform.Events;
import org.scholion.server.platform.Traces;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Computes curves that look at a whole sitting: once, after attempts came in or marks moved. */
@Configuration
class Curves {
    private static final Logger LOG = LoggerFactory.getLogger(Curves.class);

    private final Turns turns;
    private final Standings standings;
    private final Events events;

    Curves(Turns turns, Standings standings, Events events) {
        this.turns = turns;
        this.standings = standings;
        this.events = events;
    }

    @Bean
    RecurringTask<Void> computeCurves() {
        return Tasks.recurring("compute-curves", FixedDelay.ofSeconds(2)).execute((instance, context) -> compute());
    }

    int compute() {
        int computed = 0;
        for (UUID assessment : standings.awaitingCurves()) {
            try {
                turns.whole(assessment, () -> {
                    standings.refresh(assessment);
                    events.say("assessment:" + assessment);
                    return assessment;
                });
                computed++;
            } catch (RuntimeException e) {
                // One assessment's trouble is nobody else's; it is tried again with the next round.
                LOG.error("the curve of an assessment could not be computed: {}", Traces.withoutTexts(e));
            }
        }
        return computed;
    }
}
