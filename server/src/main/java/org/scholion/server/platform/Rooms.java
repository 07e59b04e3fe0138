package org.scholion.server.platform;

import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;

/**
 * Room in memory for what is large and comes in: so much at once and no more, since a body becomes a dozen times that when
 * it is parsed. Nobody has all of it.
 */
final class Rooms {
    private static final int SMALL = 64_000;
    private static final int LONGEST_WAIT_SECONDS = 5;

    /** In kilobytes. */
    private static final int ALL = 24_000;

    private static final int MOST_A_PERSON = ALL / 2;

    private final Semaphore free = new Semaphore(ALL, true);
    private final ConcurrentHashMap<String, Integer> byPerson = new ConcurrentHashMap<>();

    /** The room that a body of so many bytes needs, in kilobytes; a small one needs none. */
    static int of(long bytes) {
        return bytes <= SMALL ? 0 : (int) Math.min(MOST_A_PERSON, bytes / 1_000);
    }

    /** Whether there was room, after a while at most; it has to be left then. */
    boolean enter(String person, int room) {
        if (room == 0) {
            return true;
        }
        boolean isMuch = byPerson.merge(person, room, Integer::sum) > MOST_A_PERSON;
        if (!isMuch && waited(room)) {
            return true;
        }
        forget(person, room);
        return false;
    }

    void leave(String person, int room) {
        if (room > 0) {
            free.release(room);
            forget(person, room);
        }
    }

    private void forget(String person, int room) {
        byPerson.computeIfPresent(person, (p, n) -> n <= room ? null : n - room);
    }

    private boolean waited(int room) {
        try {
            return free.tryAcquire(room, LONGEST_WAIT_SECONDS, TimeUnit.SECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return false;
        }
    }
}
