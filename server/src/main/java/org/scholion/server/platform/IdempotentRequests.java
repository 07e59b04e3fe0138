package org.scholion.server.platform;

import com.github.kagkarlsson.scheduler.task.helper.RecurringTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import com.github.kagkarlsson.scheduler.task.schedule.FixedDelay;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Requests that carry a key of their own: which are being done, and what was answered; on every node the same. */
@Component
class IdempotentRequests {
    private static final Duration KEPT = Duration.ofDays(1);
    /** What is not answered by then never will be: whoever did it is gone. */
    private static final Duration LONGEST = Duration.ofMinutes(5);

    private final EntityManager entities;
    private final Clock clock;

    IdempotentRequests(EntityManager entities, Clock clock) {
        this.entities = entities;
        this.clock = clock;
    }

    /** What is known of a request; no status while it is being done. */
    record Known(
            String said, @Nullable Integer status, @Nullable String body) {}

    /** Takes a request to be done; false when it was taken before. */
    @Transactional
    boolean claim(UUID person, String key, String said) {
        Instant now = clock.instant();
        boolean first = entities.createQuery("""
                        insert into IdempotentRequest (person, key, said, at) values (:person, :key, :said, :now)
                        on conflict do nothing""")
                        .setParameter("person", person)
                        .setParameter("key", key)
                        .setParameter("said", said)
                        .setParameter("now", now)
                        .executeUpdate()
                == 1;
        return first
                || entities.createQuery("""
                                update IdempotentRequest r set r.at = :now
                                where r.person = :person and r.key = :key and r.said = :said and r.status is null
                                  and r.at < :long""")
                                .setParameter("person", person)
                                .setParameter("key", key)
                                .setParameter("said", said)
                                .setParameter("now", now)
                                .setParameter("long", now.minus(LONGEST))
                                .executeUpdate()
                        == 1;
    }

    @Transactional(readOnly = true)
    Optional<Known> find(UUID person, String key) {
        return entities.createQuery(
                        "select r.said, r.status, r.body from IdempotentRequest r where r.person = :person and r.key = :key",
                        Known.class)
                .setParameter("person", person)
                .setParameter("key", key)
                .getResultStream()
                .findFirst();
    }

    @Transactional
    void answered(UUID person, String key, int status, String body) {
        entities.createQuery(
                        "update IdempotentRequest r set r.status = :status, r.body = :body where r.person = :person and r.key = :key")
                .setParameter("status", status)
                .setParameter("body", body)
                .setParameter("person", person)
                .setParameter("key", key)
                .executeUpdate();
    }

    /** What failed may be tried again with the same key. */
    @Transactional
    void forget(UUID person, String key) {
        entities.createQuery("delete from IdempotentRequest r where r.person = :person and r.key = :key")
                .setParameter("person", person)
                .setParameter("key", key)
                .executeUpdate();
    }

    @Transactional
    void forgetOld() {
        entities.createQuery("delete from IdempotentRequest r where r.at < :old")
                .setParameter("old", clock.instant().minus(KEPT))
                .executeUpdate();
    }

    @Configuration
    static class Forgetting {
        @Bean
        RecurringTask<Void> forgetOldRequests(ObjectProvider<IdempotentRequests> requests) {
            return Tasks.recurring("forget-old-requests", FixedDelay.ofHours(1))
                    .execute((instance, context) -> requests.getObject().forgetOld());
        }
    }
}
