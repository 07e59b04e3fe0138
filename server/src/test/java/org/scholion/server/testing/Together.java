package org.scholion.server.testing;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.function.IntFunction;

/** Several at once: everybody waits at the line and starts together. */
public final class Together {
    private Together() {}

    public static <T> List<T> times(int n, IntFunction<T> work) {
        ExecutorService threads = Executors.newFixedThreadPool(n);
        CountDownLatch line = new CountDownLatch(n);
        try {
            List<Future<T>> running = new ArrayList<>();
            for (int i = 0; i < n; i++) {
                int own = i;
                running.add(threads.submit(() -> {
                    line.countDown();
                    line.await();
                    return work.apply(own);
                }));
            }
            List<T> done = new ArrayList<>();
            for (Future<T> one : running) {
                done.add(one.get());
            }
            return done;
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        } catch (java.util.concurrent.ExecutionException e) {
            throw new IllegalStateException(e.getCause());
        } finally {
            threads.shutdownNow();
        }
    }
}
