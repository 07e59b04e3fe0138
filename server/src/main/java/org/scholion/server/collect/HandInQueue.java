package org.scholion.server.collect;

import jakarta.annotation.PreDestroy;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.ThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/**
 * Hand-ins in the order in which they arrive, a few at a time: a class that hands in all at once takes neither the
 * threads nor the connections that others save their answers with. Who waits holds nothing but the open request.
 */
@Component
class HandInQueue {
    private static final int AT_ONCE = 3;
    private static final int MOST_WAITING = 10_000;
    private static final int SECONDS_TO_END = 20;

    private final Taking taking;
    private final AtomicInteger numbers = new AtomicInteger();
    private final ThreadPoolExecutor workers = new ThreadPoolExecutor(
            AT_ONCE,
            AT_ONCE,
            30,
            TimeUnit.SECONDS,
            new LinkedBlockingQueue<>(MOST_WAITING),
            work -> new Thread(work, "hand-in-" + numbers.incrementAndGet()));

    HandInQueue(Taking taking) {
        this.taking = taking;
        workers.allowCoreThreadTimeOut(true);
    }

    /** Those that were accepted are taken in before the server ends. */
    @PreDestroy
    void close() throws InterruptedException {
        workers.shutdown();
        if (!workers.awaitTermination(SECONDS_TO_END, TimeUnit.SECONDS)) {
            workers.shutdownNow();
        }
    }

    /** Hands in; done once the attempt is safe, or refused as {@link Taking#handIn} refuses. */
    CompletableFuture<Void> handIn(Me me, UUID attempt) {
        try {
            return CompletableFuture.runAsync(() -> taking.handIn(me, attempt), workers);
        } catch (RejectedExecutionException e) {
            throw new Refused(
                    HttpStatus.SERVICE_UNAVAILABLE,
                    "busy",
                    "Very many are handing in just now. Your answers are saved; hand in again in a minute.",
                    List.of());
        }
    }
}
