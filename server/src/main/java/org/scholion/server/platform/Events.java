package org.scholion.server.platform;

import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArraySet;
import org.jspecify.annotations.Nullable;
import org.postgresql.PGConnection;
import org.postgresql.PGNotification;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/**
 * Live events between nodes and to browsers: said in the transaction that changes something (NOTIFY), heard by every
 * node (LISTEN), and passed to whoever watches the topic. An event only says that a topic changed; what it changed to
 * is read as usual.
 */
@Component
public class Events {
    private static final Logger LOG = LoggerFactory.getLogger(Events.class);
    private static final int PAUSE_MILLIS = 1_000;

    private final JdbcClient db;
    private final String url;
    private final String user;
    private final String password;
    private final Map<String, Set<SseEmitter>> watchers = new ConcurrentHashMap<>();
    private volatile boolean open = true;

    Events(
            JdbcClient db,
            @Value("${spring.datasource.url}") String url,
            @Value("${spring.datasource.username}") String user,
            @Value("${spring.datasource.password}") String password) {
        this.db = db;
        this.url = url;
        this.user = user;
        this.password = password;
    }

    /** Says that a topic changed; heard after the surrounding transaction commits. */
    public void say(String topic) {
        db.sql("select pg_notify('scholion', ?)").param(topic).query().listOfRows();
    }

    /** A stream of what is said about a topic. */
    public SseEmitter watch(String topic) {
        SseEmitter emitter = new SseEmitter(0L);
        Set<SseEmitter> all = watchers.computeIfAbsent(topic, t -> new CopyOnWriteArraySet<>());
        all.add(emitter);
        emitter.onCompletion(() -> all.remove(emitter));
        emitter.onError(e -> all.remove(emitter));
        send(all, emitter, "hello");
        return emitter;
    }

    @EventListener(ApplicationReadyEvent.class)
    void listen() {
        Thread thread = new Thread(this::run, "events");
        thread.setDaemon(true);
        thread.start();
    }

    @PreDestroy
    void close() {
        open = false;
        watchers.values().forEach(all -> all.forEach(Events::complete));
    }

    private static void complete(SseEmitter emitter) {
        try {
            emitter.complete();
        } catch (IllegalStateException e) {
            // Whoever watched has left already.
        }
    }

    private void run() {
        while (open) {
            try (Connection connection = DriverManager.getConnection(url, user, password);
                    Statement statement = connection.createStatement()) {
                statement.execute("listen scholion");
                hear(connection.unwrap(PGConnection.class));
            } catch (SQLException e) {
                if (open) {
                    LOG.warn("listening again after: {}", e.getMessage());
                    pause();
                }
            }
        }
    }

    private void hear(PGConnection connection) throws SQLException {
        int quiet = 0;
        while (open) {
            PGNotification @Nullable [] heard = connection.getNotifications(PAUSE_MILLIS);
            for (PGNotification one : heard == null ? new PGNotification[0] : heard) {
                Set<SseEmitter> all = watchers.getOrDefault(one.getParameter(), Set.of());
                all.forEach(e -> send(all, e, "changed"));
            }
            quiet++;
            if (quiet % 20 == 0) {
                // A word now and then finds out who has left.
                watchers.values().forEach(all -> all.forEach(e -> send(all, e, "still here")));
            }
        }
    }

    private static void send(Set<SseEmitter> all, SseEmitter emitter, String what) {
        try {
            emitter.send(SseEmitter.event().data(what));
        } catch (IOException | IllegalStateException e) {
            all.remove(emitter);
        }
    }

    private static void pause() {
        try {
            Thread.sleep(PAUSE_MILLIS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
