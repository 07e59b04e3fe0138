package org.scholion.server.ledger;

import com.github.kagkarlsson.scheduler.task.helper.RecurringTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import com.github.kagkarlsson.scheduler.task.schedule.FixedDelay;
import jakarta.persistence.EntityManager;
import java.util.List;
import java.util.UUID;
import org.scholion.server.platform.Traces;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Packs the marks of attempts that were there before marks were packed, or whose tally was thrown away. */
@Configuration
class MissingTallies {
    private static final Logger LOG = LoggerFactory.getLogger(MissingTallies.class);

    private final EntityManager entities;
    private final Turns turns;
    private final Standings standings;

    MissingTallies(EntityManager entities, Turns turns, Standings standings) {
        this.entities = entities;
        this.turns = turns;
        this.standings = standings;
    }

    @Bean
    RecurringTask<Void> packMarks() {
        return Tasks.recurring("pack-marks", FixedDelay.ofSeconds(10)).execute((instance, context) -> make());
    }

    /** @return of how many assessments */
    int make() {
        List<UUID> missing = entities.createQuery("""
                        select distinct x.assessment from StandingRow s join AttemptRow x on x.id = s.attempt
                        where s.tally is null""", UUID.class).getResultList();
        int made = 0;
        for (UUID assessment : missing) {
            try {
                turns.whole(assessment, () -> {
                    standings.refresh(assessment);
                    return assessment;
                });
                made++;
            } catch (RuntimeException e) {
                // One assessment's trouble is nobody else's; it is tried again with the next round.
                LOG.error("the marks of an assessment could not be packed: {}", Traces.withoutTexts(e));
            }
        }
        return made;
    }
}
