package org.scholion.server.bank;

import com.github.kagkarlsson.scheduler.task.helper.RecurringTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import com.github.kagkarlsson.scheduler.task.schedule.FixedDelay;
import jakarta.persistence.EntityManager;
import java.math.BigDecimal;
import java.util.List;
import java.util.UUID;
import org.scholion.core.measure.ItemMeasures;
import org.scholion.server.examine.Examination;
import org.scholion.server.handback.ResultsOut;
import org.scholion.server.platform.Traces;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.event.EventListener;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Keeps the mean score of each use of an item as it was when results were last handed back, so that the bank can be
 * searched by it. Computed once afterwards, not while results are handed back.
 */
@Configuration
class MeanSoFar {
    private static final Logger LOG = LoggerFactory.getLogger(MeanSoFar.class);

    private final EntityManager entities;
    private final Examination examination;
    private final TransactionTemplate transaction;

    MeanSoFar(EntityManager entities, Examination examination, TransactionTemplate transaction) {
        this.transaction = transaction;
        this.entities = entities;
        this.examination = examination;
    }

    @EventListener
    void outdated(ResultsOut results) {
        transaction.executeWithoutResult(t -> entities.createQuery(
                        "update BankUse u set u.outdated = true where u.assessment = :assessment and not u.outdated")
                .setParameter("assessment", results.assessment())
                .executeUpdate());
    }

    @Bean
    RecurringTask<Void> measureItems() {
        return Tasks.recurring("measure-items", FixedDelay.ofSeconds(5)).execute((instance, context) -> measure());
    }

    void measure() {
        for (UUID assessment : outdated()) {
            try {
                measure(assessment);
            } catch (RuntimeException e) {
                // One assessment's trouble is nobody else's; it is tried again with the next round.
                LOG.error("the items of an assessment could not be measured: {}", Traces.withoutTexts(e));
            }
        }
    }

    private List<UUID> outdated() {
        return entities.createQuery("select distinct u.assessment from BankUse u where u.outdated", UUID.class)
                .getResultList();
    }

    /** What is handed back while it is measured makes it outdated again, for it is declared up to date first. */
    private void measure(UUID assessment) {
        transaction.executeWithoutResult(
                t -> entities.createQuery("update BankUse u set u.outdated = false where u.assessment = :assessment")
                        .setParameter("assessment", assessment)
                        .executeUpdate());
        if (!isHandedBack(assessment)) {
            return;
        }
        try {
            examination.of(assessment, null).items().forEach(line -> keep(assessment, line.item(), line.measures()));
        } catch (RuntimeException e) {
            outdated(new ResultsOut(assessment));
            throw e;
        }
    }

    private boolean isHandedBack(UUID assessment) {
        return entities.createQuery("""
                        select exists (select 1 from ResultRow r join AttemptRow x on x.id = r.attempt
                          where x.assessment = :assessment)""", Boolean.class)
                .setParameter("assessment", assessment)
                .getSingleResult();
    }

    private void keep(UUID assessment, String item, ItemMeasures measures) {
        Double mean = measures.difficulty().value();
        transaction.executeWithoutResult(t -> entities.createQuery("""
                        update BankUse u set u.students = :n, u.meanScore = :mean
                        where u.assessment = :assessment and u.item = :item""")
                .setParameter("n", measures.n())
                .setParameter("mean", mean == null ? null : BigDecimal.valueOf(mean))
                .setParameter("assessment", assessment)
                .setParameter("item", item)
                .executeUpdate());
    }
}
