package org.scholion.server.bank;

import com.github.kagkarlsson.scheduler.task.helper.RecurringTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import com.github.kagkarlsson.scheduler.task.schedule.FixedDelay;
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
import org.springframework.jdbc.core.simple.JdbcClient;

/**
 * Keeps the mean score of each use of an item as it was when results were last handed back, so that the bank can be
 * searched by it. Computed once afterwards, not while results are handed back.
 */
@Configuration
class MeanSoFar {
    private static final Logger LOG = LoggerFactory.getLogger(MeanSoFar.class);

    private final JdbcClient db;
    private final Examination examination;

    MeanSoFar(JdbcClient db, Examination examination) {
        this.db = db;
        this.examination = examination;
    }

    @EventListener
    void outdated(ResultsOut results) {
        db.sql("update bank_use set outdated = true where assessment_id = ? and not outdated")
                .param(results.assessment())
                .update();
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
        return db.sql("select distinct assessment_id from bank_use where outdated")
                .query(UUID.class)
                .list();
    }

    /** What is handed back while it is measured makes it outdated again, for it is declared up to date first. */
    private void measure(UUID assessment) {
        db.sql("update bank_use set outdated = false where assessment_id = ?")
                .param(assessment)
                .update();
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
        return db.sql("select exists (select 1 from result r join attempt x on x.id = r.attempt_id"
                        + " where x.assessment_id = ?)")
                .param(assessment)
                .query(Boolean.class)
                .single();
    }

    private void keep(UUID assessment, String item, ItemMeasures measures) {
        db.sql("update bank_use set students = :n, mean_score = :mean where assessment_id = :id and item = :item")
                .param("n", measures.n())
                .param("mean", measures.difficulty().value())
                .param("id", assessment)
                .param("item", item)
                .update();
    }
}
