package org.scholion.server.platform;

import jakarta.annotation.PreDestroy;
import jakarta.persistence.EntityManager;
import jakarta.servlet.http.HttpServletRequest;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;
import org.postgresql.PGConnection;
import org.postgresql.PGNotification;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
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
    private static final int SOON_MILLIS = 500;
    private static final String ENDED = "ended:";

    private final EntityManager entities;
    private final String url;
    private final String user;
    private final String password;
    private final ObjectProvider<SignIns> signIns;
    private final Watchers watchers = new Watchers();
    private final Set<String> soon = ConcurrentHashMap.newKeySet();
    private volatile boolean open = true;

    Events(
            EntityManager entities,
            ObjectProvider<SignIns> signIns,
            @Value("${spring.datasource.url}") String url,
            @Value("${spring.datasource.username}") String user,
            @Value("${spring.datasource.password}") String password) {
        this.entities = entities;
        this.signIns = signIns;
        this.url = url;
        this.user = user;
        this.password = password;
    }

    /** Says that a topic changed; heard after the surrounding transaction commits. */
    public void say(String topic) {
        entities.createNativeQuery("select 1 from pg_notify('scholion', :topic)", Integer.class)
                .setParameter("topic", topic)
                .getResultList();
    }

    /**
     * Says within half a second that a topic changed, once however often it is asked: what many people do at the same
     * moment shall not queue up for saying so.
     */
    public void saySoon(String topic) {
        soon.add(topic);
    }

    /** Says that a browser is signed out: its streams end, on whichever node they are. */
    public void signedOut(String key) {
        say(ENDED + key);
    }

    /** A stream of what is said about a topic; it ends with the person's being signed in. */
    public SseEmitter watch(Me me, HttpServletRequest request, String topic) {
        String key = signIns.getObject().key(request);
        return watchers.add(topic, me.id(), key);
    }

    @EventListener(ApplicationReadyEvent.class)
    void listen() {
        start("events", this::run);
        start("events-soon", this::sayWhatWaits);
    }

    private static void start(String name, Runnable work) {
        Thread thread = new Thread(work, name);
        thread.setDaemon(true);
        thread.start();
    }

    private void sayWhatWaits() {
        while (open) {
            pause(SOON_MILLIS);
            for (String topic : List.copyOf(soon)) {
                soon.remove(topic);
                try {
                    say(topic);
                } catch (RuntimeException e) {
                    LOG.warn("a change could not be told: {}", e.getClass().getSimpleName());
                }
            }
        }
    }

    @PreDestroy
    void close() {
        open = false;
        watchers.closeAll();
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
                    pause(PAUSE_MILLIS);
                }
            }
        }
    }

    private void hear(PGConnection connection) throws SQLException {
        int quiet = 0;
        while (open) {
            PGNotification @Nullable [] heard = connection.getNotifications(PAUSE_MILLIS);
            for (PGNotification one : heard == null ? new PGNotification[0] : heard) {
                String said = one.getParameter();
                if (said.startsWith(ENDED)) {
                    watchers.close(said.substring(ENDED.length()));
                } else {
                    watchers.tell(said);
                }
            }
            quiet++;
            if (quiet % 20 == 0) {
                // A word now and then finds out who has left, and whose time is over.
                watchers.keep(signIns.getObject().alive(watchers.keys()));
            }
        }
    }

    private static void pause(int millis) {
        try {
            Thread.sleep(millis);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
