package org.scholion.server.platform;

import jakarta.annotation.PreDestroy;
import java.time.Duration;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/**
 * What takes a processor and much memory for a while, such as looking at a file or drawing a paper: one at a time, few
 * that wait, and none longer than its time, so that a student's save does not notice. It is asked for outside of any
 * transaction, since who waits holds no connection.
 */
@Component
public class HeavyWork {
    private static final Duration LONGEST = Duration.ofSeconds(20);
    private static final Duration LONGEST_WAIT = Duration.ofSeconds(30);
    private static final int MOST_WAITING = 12;
    private static final int MOST_A_PERSON = 2;

    private final Semaphore turn = new Semaphore(1, true);
    private final AtomicInteger inside = new AtomicInteger();
    private final ConcurrentHashMap<UUID, Integer> byPerson = new ConcurrentHashMap<>();
    private final ScheduledExecutorService watch = Executors.newSingleThreadScheduledExecutor(work -> {
        Thread thread = new Thread(work, "heavy-work");
        thread.setDaemon(true);
        return thread;
    });

    @PreDestroy
    void close() {
        watch.shutdownNow();
    }

    /**
     * Does the work in its turn.
     *
     * @throws Refused in words when too many wait, or when it takes too long; work notices that by being interrupted
     */
    public <T> T inTurn(Me me, Callable<T> work) {
        int own = byPerson.merge(me.id(), 1, Integer::sum);
        int all = inside.incrementAndGet();
        try {
            if (own > MOST_A_PERSON
                    || all > MOST_WAITING
                    || !turn.tryAcquire(LONGEST_WAIT.toSeconds(), TimeUnit.SECONDS)) {
                throw new Refused(
                        HttpStatus.SERVICE_UNAVAILABLE,
                        "busy",
                        own > MOST_A_PERSON
                                ? "Other files of yours are being looked at just now. Wait until they are done and try again."
                                : "Files of others are being looked at just now. Yours is still with you; try again in a moment.",
                        List.of());
            }
            try {
                return inTime(work);
            } finally {
                turn.release();
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw tooLong();
        } finally {
            inside.decrementAndGet();
            byPerson.computeIfPresent(me.id(), (id, n) -> n == 1 ? null : n - 1);
        }
    }

    private <T> T inTime(Callable<T> work) {
        Thread worker = Thread.currentThread();
        AtomicBoolean ended = new AtomicBoolean();
        AtomicBoolean stopped = new AtomicBoolean();
        Future<?> alarm = watch.schedule(
                () -> {
                    synchronized (ended) {
                        if (!ended.get()) {
                            stopped.set(true);
                            worker.interrupt();
                        }
                    }
                },
                LONGEST.toMillis(),
                TimeUnit.MILLISECONDS);
        try {
            return work.call();
        } catch (RuntimeException e) {
            throw stopped.get() ? tooLong() : e;
        } catch (Exception e) {
            throw stopped.get() ? tooLong() : new IllegalStateException(e);
        } finally {
            synchronized (ended) {
                ended.set(true);
            }
            alarm.cancel(false);
            if (stopped.get()) {
                Thread.interrupted();
            }
        }
    }

    private static Refused tooLong() {
        return Refused.invalid(
                "",
                "this took longer than " + LONGEST.toSeconds()
                        + " seconds and was stopped; nothing was changed. Split it into several and try again");
    }
}
