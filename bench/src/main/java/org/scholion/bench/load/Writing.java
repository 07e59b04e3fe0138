package org.scholion.bench.load;

import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import org.scholion.formats.json.Json;

/**
 * Students who go on writing whatever happens to the server, as their pages do: what is not acknowledged is kept and sent
 * again. Everything that was acknowledged is remembered, to be looked for afterwards.
 */
final class Writing {
    /** An answer of which the server said that it is safe. */
    record Safe(String attempt, String item, String text) {}

    final ConcurrentLinkedQueue<Safe> safe = new ConcurrentLinkedQueue<>();
    final Map<String, String> handedIn = new ConcurrentHashMap<>();

    /** What was said instead of an acknowledgement, with how often: the code, or that nobody answered. */
    final Map<String, Integer> refusals = new ConcurrentHashMap<>();

    final Times waits = new Times();
    private final AtomicBoolean over = new AtomicBoolean();
    private final AtomicInteger wanted = new AtomicInteger();
    private final int pauseMillis;
    private final Thread crew;

    Writing(List<School.Writer> writers, int pauseMillis) {
        this.pauseMillis = pauseMillis;
        this.crew = new Thread(() -> {
            try {
                Crew.together(writers, this::write);
            } catch (Exception e) {
                throw new IllegalStateException(e);
            }
        });
    }

    void start() {
        crew.start();
    }

    void stop() throws InterruptedException {
        over.set(true);
        crew.join();
    }

    /** So many more of them shall hand in as soon as they can. */
    void letHandIn(int more) {
        wanted.addAndGet(more);
    }

    private void write(School.Writer writer, int number) throws InterruptedException {
        Thread.sleep(number % 50);
        String last = "";
        for (int n = 0; !over.get(); n++) {
            last = number + "-" + n;
            if (!until(writer, "q4", last)) {
                return;
            }
            if (takeOne()) {
                handIn(writer, last);
                return;
            }
            Thread.sleep(pauseMillis);
        }
    }

    private boolean takeOne() {
        int left = wanted.get();
        return left > 0 && wanted.compareAndSet(left, left - 1);
    }

    /** Sends an answer until it is acknowledged; false when the time is over before. */
    private boolean until(School.Writer writer, String item, String text) throws InterruptedException {
        while (true) {
            long from = System.nanoTime();
            try {
                Wire.Reply reply = writer.save(item, "\"" + text + "\"");
                if (reply.isOk()) {
                    safe.add(new Safe(writer.attempt(), item, text));
                    return true;
                }
                refused(reply, from);
            } catch (IOException e) {
                refusals.merge("no answer", 1, Integer::sum);
            }
            if (over.get()) {
                return false;
            }
            Thread.sleep(200);
        }
    }

    private void handIn(School.Writer writer, String last) throws InterruptedException {
        while (true) {
            long from = System.nanoTime();
            try {
                Wire.Reply reply = writer.handIn();
                if (reply.isOk()) {
                    handedIn.put(writer.attempt(), last);
                    return;
                }
                refused(reply, from);
            } catch (IOException e) {
                refusals.merge("no answer", 1, Integer::sum);
            }
            Thread.sleep(200);
        }
    }

    private void refused(Wire.Reply reply, long from) {
        waits.add(from);
        String code;
        try {
            var body = Json.read(reply.body());
            code = body.path("code").asString("")
                    + (body.path("detail").asString("").isBlank() ? ", without words" : "");
        } catch (RuntimeException e) {
            code = "no words at all";
        }
        refusals.merge(reply.status() + " " + code, 1, Integer::sum);
    }
}
