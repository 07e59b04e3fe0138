package org.scholion.server.platform;

import java.io.IOException;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.atomic.AtomicLong;
import java.util.stream.Collectors;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** The streams that are open on this node. A person has so many and no more: the oldest gives way. */
final class Watchers {
    static final int MOST_A_PERSON = 12;

    private final CopyOnWriteArrayList<Watcher> all = new CopyOnWriteArrayList<>();
    private final AtomicLong order = new AtomicLong();

    private record Watcher(String topic, UUID person, String key, long order, SseEmitter emitter) {}

    SseEmitter add(String topic, UUID person, String key) {
        SseEmitter emitter = new SseEmitter(0L);
        Watcher watcher = new Watcher(topic, person, key, order.incrementAndGet(), emitter);
        emitter.onCompletion(() -> all.remove(watcher));
        emitter.onError(e -> all.remove(watcher));
        all.add(watcher);
        List<Watcher> own = all.stream()
                .filter(w -> w.person().equals(person))
                .sorted(Comparator.comparing(Watcher::order))
                .toList();
        own.subList(0, Math.max(0, own.size() - MOST_A_PERSON)).forEach(this::close);
        send(watcher, "hello");
        return emitter;
    }

    void tell(String topic) {
        all.stream().filter(w -> w.topic().equals(topic)).forEach(w -> send(w, "changed"));
    }

    Set<String> keys() {
        return all.stream().map(Watcher::key).collect(Collectors.toSet());
    }

    /** Those of these that are signed in go on; the others end. */
    void keep(Set<String> alive) {
        for (Watcher watcher : all) {
            if (alive.contains(watcher.key())) {
                send(watcher, "still here");
            } else {
                close(watcher);
            }
        }
    }

    void close(String key) {
        all.stream().filter(w -> w.key().equals(key)).forEach(this::close);
    }

    void closeAll() {
        all.forEach(this::close);
    }

    private void close(Watcher watcher) {
        all.remove(watcher);
        try {
            watcher.emitter().complete();
        } catch (IllegalStateException e) {
            // Whoever watched has left already.
        }
    }

    private void send(Watcher watcher, String what) {
        try {
            watcher.emitter().send(SseEmitter.event().data(what));
        } catch (IOException | IllegalStateException e) {
            all.remove(watcher);
        }
    }
}
