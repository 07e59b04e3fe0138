package org.scholion.bench.load;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;

/** Many who begin at the same moment. */
final class Crew {
    private Crew() {}

    /** What one of them does. */
    interface Work<T> {
        void with(T one, int number) throws Exception;
    }

    static <T> void together(List<T> all, Work<T> work) throws Exception {
        ExecutorService threads = Executors.newFixedThreadPool(all.size());
        CountDownLatch ready = new CountDownLatch(1);
        List<Future<?>> running = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) {
            int number = i;
            running.add(threads.submit(() -> {
                ready.await();
                work.with(all.get(number), number);
                return null;
            }));
        }
        ready.countDown();
        for (Future<?> one : running) {
            one.get();
        }
        threads.shutdown();
        threads.awaitTermination(1, TimeUnit.MINUTES);
    }
}
