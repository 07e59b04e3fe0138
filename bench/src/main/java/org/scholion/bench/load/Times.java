package org.scholion.bench.load;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/** How long things took, of many threads. */
final class Times {
    private final List<Long> nanos = Collections.synchronizedList(new ArrayList<>());

    void add(long from) {
        nanos.add(System.nanoTime() - from);
    }

    int count() {
        return nanos.size();
    }

    /** In milliseconds; the share of all that took no longer. */
    double percentile(double share) {
        List<Long> sorted = new ArrayList<>(nanos);
        Collections.sort(sorted);
        return sorted.isEmpty()
                ? 0
                : sorted.get((int) Math.min(sorted.size() - 1L, (long) (share * sorted.size()))) / 1e6;
    }

    @Override
    public String toString() {
        return "median %.0f ms, p99 %.0f ms, slowest %.0f ms"
                .formatted(percentile(0.5), percentile(0.99), percentile(1));
    }
}
