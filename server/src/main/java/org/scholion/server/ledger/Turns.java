package org.scholion.server.ledger;

import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.LoadingCache;
import jakarta.persistence.EntityManager;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ThreadLocalRandom;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.Lock;
import java.util.concurrent.locks.ReadWriteLock;
import java.util.concurrent.locks.ReentrantReadWriteLock;
import java.util.function.Supplier;
import org.scholion.server.platform.Refused;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Who may write marks of an assessment when. Whatever is about single attempts goes side by side; a new edition, a
 * handing back or a curve has the assessment to itself, so that an attempt which is handed in while the key changes is
 * scored under the new key, and no result is torn between two editions. The turn ends with the transaction, on whichever
 * node it is; whoever waits for one holds no connection of the database.
 */
@Component
public class Turns {
    private static final int LONGEST_SECONDS = 20;
    private static final int TRIES = 100;
    private static final int LONGEST_PAUSE_MILLIS = 40;

    private final EntityManager entities;
    private final TransactionTemplate transaction;
    /** Waiting within one node is done here, in order of arrival, before a connection is taken. */
    private final LoadingCache<UUID, ReadWriteLock> here =
            Caffeine.newBuilder().weakValues().build(a -> new ReentrantReadWriteLock(true));

    Turns(EntityManager entities, TransactionTemplate transaction) {
        this.entities = entities;
        this.transaction = transaction;
    }

    private enum Kind {
        SHARED("_shared"),
        WHOLE("");

        private final String suffix;

        Kind(String suffix) {
            this.suffix = suffix;
        }
    }

    /** Does work about single attempts in a transaction of its own, beside others of its kind. */
    public <T> T shared(UUID assessment, Supplier<T> work) {
        return take(Kind.SHARED, assessment, here.get(assessment).readLock(), work);
    }

    /** Does work that needs the whole assessment to itself, in a transaction of its own. */
    public <T> T whole(UUID assessment, Supplier<T> work) {
        return take(Kind.WHOLE, assessment, here.get(assessment).writeLock(), work);
    }

    private <T> T take(Kind kind, UUID assessment, Lock own, Supplier<T> work) {
        if (TransactionSynchronizationManager.isActualTransactionActive()) {
            // Part of something larger that has its connection already.
            waitFor(kind, assessment);
            return work.get();
        }
        enter(own);
        try {
            for (int i = 0; i < TRIES; i++) {
                Optional<T> done = Objects.requireNonNull(transaction.execute(
                        t -> isFree(kind, assessment) ? Optional.of(work.get()) : Optional.<T>empty()));
                if (done.isPresent()) {
                    return done.get();
                }
                pause();
            }
            // Another node has been busy for a while: one connection queues up, so that it does not go on for ever.
            return Objects.requireNonNull(transaction.execute(t -> {
                waitFor(kind, assessment);
                return work.get();
            }));
        } finally {
            own.unlock();
        }
    }

    private static void enter(Lock own) {
        try {
            if (!own.tryLock(LONGEST_SECONDS, TimeUnit.SECONDS)) {
                throw busy();
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw busy();
        }
    }

    private static Refused busy() {
        return new Refused(
                HttpStatus.SERVICE_UNAVAILABLE,
                "busy",
                "Somebody is changing the whole assessment just now. Nothing of yours was changed; try again in a moment.",
                List.of());
    }

    /** Locks of PostgreSQL's own, which end with the transaction. */
    private boolean isFree(Kind kind, UUID assessment) {
        return (Boolean)
                entities.createNativeQuery("select pg_try_advisory_xact_lock" + kind.suffix + "(:key)", Boolean.class)
                        .setParameter("key", key(assessment))
                        .getSingleResult();
    }

    private void waitFor(Kind kind, UUID assessment) {
        entities.createNativeQuery("select set_config('lock_timeout', '" + LONGEST_SECONDS + "s', true)", String.class)
                .getSingleResult();
        entities.createNativeQuery("select 1 from pg_advisory_xact_lock" + kind.suffix + "(:key)", Integer.class)
                .setParameter("key", key(assessment))
                .getResultList();
    }

    private static long key(UUID assessment) {
        return assessment.getMostSignificantBits() ^ assessment.getLeastSignificantBits();
    }

    private static void pause() {
        try {
            Thread.sleep(ThreadLocalRandom.current().nextInt(5, LONGEST_PAUSE_MILLIS));
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw busy();
        }
    }
}
