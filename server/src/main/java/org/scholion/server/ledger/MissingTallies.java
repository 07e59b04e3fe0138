package org.scholion.server.ledger;

import com.github.kagkarlsson.scheduler.task.helper.RecurringTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import com.github.kagkarlsson.scheduler.task.schedule.FixedDelay;
import jakarta.persistence.EntityManager;
import java.util.UUID;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Packs the marks of attempts that were there before marks were packed, or whose tally was thrown away. */
@Configuration
class MissingTallies {
    private final EntityManager entities;
    private final Refreshing refreshing;

    MissingTallies(EntityManager entities, Refreshing refreshing) {
        this.entities = entities;
        this.refreshing = refreshing;
    }

    @Bean
    RecurringTask<Void> packMarks() {
        return Tasks.recurring("pack-marks", FixedDelay.ofSeconds(10)).execute((instance, context) -> make());
    }

    int make() {
        return refreshing.each(entities.createQuery("""
                        select distinct x.assessment from StandingRow s join AttemptRow x on x.id = s.attempt
                        where s.tally is null""", UUID.class).getResultList());
    }
}
