package org.scholion.server;

import static org.assertj.core.api.Assertions.assertThat;

import ch.qos.logback.classic.Level;
import ch.qos.logback.classic.Logger;
import ch.qos.logback.classic.spi.ILoggingEvent;
import ch.qos.logback.core.read.ListAppender;
import java.io.IOException;
import java.io.InputStream;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.person.People;
import org.scholion.server.platform.Me;
import org.scholion.server.testing.Colleague;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Visitor;
import org.slf4j.LoggerFactory;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;

/** Who is let in, for how long, and what the server says of itself to browsers. */
@ExtendWith(Scholion.class)
class DoorsTest {
    private static final Map<String, String> AUD = Map.of("username", "aud.meller", "password", "saltmarsh");

    private static String cookie(Visitor visitor) {
        String token = setCookie(visitor, "GET", null, "XSRF-TOKEN").replaceAll("^XSRF-TOKEN=([^;]*);.*", "$1");
        visitor.withoutToken().withHeader("Cookie", "XSRF-TOKEN=" + token).withHeader("X-XSRF-TOKEN", token);
        return setCookie(visitor, "POST", AUD, "scholion=");
    }

    private static String setCookie(Visitor visitor, String method, Object body, String name) {
        return visitor.headers(method, "/api/session", body).allValues("set-cookie").stream()
                .filter(c -> c.contains(name))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void behind_tls_the_cookie_is_secure_and_bound_to_this_host_and_plain_http_is_given_up(Scholion.Running school) {
        Visitor behind = school.anybody().withHeader("X-Forwarded-Proto", "https");
        assertThat(cookie(behind))
                .startsWith("__Host-scholion=")
                .contains("Secure", "HttpOnly", "SameSite=Lax", "Path=/");
        assertThat(behind.headers("GET", "/api/session", null).firstValue("strict-transport-security"))
                .hasValueSatisfying(v -> assertThat(v).contains("max-age=31536000"));
        Visitor plain = school.anybody();
        assertThat(cookie(plain))
                .startsWith("scholion=")
                .contains("HttpOnly", "SameSite=Lax")
                .doesNotContain("Secure");
        assertThat(plain.headers("GET", "/api/session", null).firstValue("strict-transport-security"))
                .isEmpty();
    }

    @Test
    void every_answer_says_what_browsers_may_do_with_it(Scholion.Running school) {
        var headers = school.anybody().headers("GET", "/", null);
        assertThat(headers.firstValue("referrer-policy")).hasValue("no-referrer");
        assertThat(headers.firstValue("permissions-policy").orElseThrow()).contains("camera=()", "geolocation=()");
        assertThat(headers.firstValue("content-security-policy").orElseThrow())
                .contains("default-src 'self'", "frame-ancestors 'none'", "object-src 'none'");
        assertThat(headers.firstValue("x-content-type-options")).hasValue("nosniff");
        assertThat(headers.firstValue("cross-origin-opener-policy")).hasValue("same-origin");
    }

    @Test
    void the_role_is_read_at_each_request(Scholion.Running school, JdbcClient db) {
        Colleague runa = Colleague.called(school, "Runa");
        runa.visitor().get("/api/desk").ok();
        db.sql("update person set role = 'STUDENT' where id = cast(? as uuid)")
                .param(runa.id())
                .update();
        runa.visitor().get("/api/desk").isRefused(403);
        assertThat(runa.visitor().get("/api/session").ok().get("role").stringValue())
                .isEqualTo("STUDENT");
    }

    @Test
    void a_new_role_or_password_ends_every_session_of_the_person(Scholion.Running school, People people) {
        Colleague runa = Colleague.called(school, "Runa");
        people.setRole(UUID.fromString(runa.id()), Me.Role.ADMIN);
        runa.visitor().get("/api/session").ok();
        runa.visitor().get("/api/people").isRefused(401);
        Visitor again = school.as(runa.name());
        people.setPassword(UUID.fromString(runa.id()), "ledge at low water");
        again.get("/api/people").isRefused(401);
    }

    @Test
    void one_changes_ones_own_password_and_stays_signed_in_here_and_nowhere_else(
            Scholion.Running school, People people) {
        Colleague runa = Colleague.called(school, "Runa");
        people.setPassword(UUID.fromString(runa.id()), "ledge at low water");
        Visitor here = school.as(runa.name());
        Visitor elsewhere = school.as(runa.name());
        here.post("/api/account/password", Map.of("current", "wrong", "password", "rocks at high water"))
                .isRefused(422);
        for (String weak : List.of("short", "12345678", "password", "x".repeat(65))) {
            here.post("/api/account/password", Map.of("current", "ledge at low water", "password", weak))
                    .isRefused(422);
        }
        here.post("/api/account/password", Map.of("current", "ledge at low water", "password", "rocks at high water"))
                .ok();
        here.get("/api/desk").ok();
        elsewhere.get("/api/desk").isRefused(401);
    }

    @Test
    void signing_out_everywhere_ends_the_other_browsers_too(Scholion.Running school) {
        Colleague runa = Colleague.called(school, "Runa");
        Visitor elsewhere = school.as(runa.name());
        runa.visitor().send("DELETE", "/api/session?everywhere=true", null).ok();
        elsewhere.get("/api/desk").isRefused(401);
        runa.visitor().get("/api/desk").isRefused(401);
    }

    @Test
    void a_session_ends_when_nothing_is_done_and_at_its_absolute_limit_as_the_administrator_sets_them(
            Scholion.Running school, JdbcClient db) {
        Visitor berit = school.as("Berit Straum");
        Map<String, Integer> before = Map.of("idleMinutes", 240, "sessionHours", 12);
        assertThat(berit.get("/api/school/limits").ok().get("idleMinutes").intValue())
                .isEqualTo(240);
        berit.put("/api/school/limits", Map.of("idleMinutes", 1, "sessionHours", 12))
                .isRefused(422);
        berit.put("/api/school/limits", Map.of("idleMinutes", 30, "sessionHours", 2))
                .ok();
        try {
            Colleague idle = Colleague.called(school, "Idle");
            age(db, idle, "seen_at", Duration.ofMinutes(29));
            idle.visitor().get("/api/desk").ok();
            age(db, idle, "seen_at", Duration.ofMinutes(31));
            idle.visitor().get("/api/desk").isRefused(401);
            Colleague away = Colleague.called(school, "Away");
            age(db, away, "seen_at", Duration.ofMinutes(29));
            away.visitor().withHeader("X-Untouched", "true").get("/api/desk").ok();
            age(db, away, "seen_at", Duration.ofMinutes(2));
            String seen = seen(db, away);
            away.visitor().get("/api/desk").ok();
            assertThat(seen(db, away))
                    .as("a page that asks by itself is nothing that somebody does")
                    .isEqualTo(seen);
            Colleague busy = Colleague.called(school, "Busy");
            age(db, busy, "made_at", Duration.ofMinutes(119));
            busy.visitor().get("/api/desk").ok();
            age(db, busy, "made_at", Duration.ofMinutes(121));
            busy.visitor().get("/api/desk").isRefused(401);
        } finally {
            berit.put("/api/school/limits", before).ok();
        }
    }

    private static String seen(JdbcClient db, Colleague who) {
        return db.sql("select max(seen_at)::text from sign_in where person_id = cast(? as uuid)")
                .param(who.id())
                .query(String.class)
                .single();
    }

    private static void age(JdbcClient db, Colleague who, String column, Duration ago) {
        db.sql("update sign_in set " + column + " = now() - make_interval(secs => ?) where person_id = cast(? as uuid)")
                .params((double) ago.toSeconds(), who.id())
                .update();
    }

    @Test
    void doing_something_keeps_one_signed_in(Scholion.Running school, JdbcClient db) {
        Colleague runa = Colleague.called(school, "Runa");
        age(db, runa, "seen_at", Duration.ofMinutes(200));
        runa.visitor().get("/api/desk").ok();
        assertThat(db.sql("select seen_at > now() - interval '1 minute' from sign_in where person_id = cast(? as uuid)")
                        .param(runa.id())
                        .query(Boolean.class)
                        .single())
                .isTrue();
    }

    /** Reads until the stream ends. */
    private static CompletableFuture<Void> end(InputStream stream) {
        return CompletableFuture.runAsync(() -> {
            try (stream) {
                while (stream.read() >= 0) {
                    // What is said does not matter here.
                }
            } catch (IOException e) {
                // Cut off is ended as well.
            }
        });
    }

    @Test
    void a_stream_ends_with_its_session(Scholion.Running school) throws Exception {
        Lesson lesson = Lesson.written(school, "Streams end");
        Visitor halvard = school.as("Halvard Quist");
        CompletableFuture<Void> ended = end(halvard.stream(lesson.path("/live")));
        Thread.sleep(300);
        assertThat(ended).isNotDone();
        halvard.send("DELETE", "/api/session", null).ok();
        ended.get(10, TimeUnit.SECONDS);
    }

    @Test
    void a_person_has_a_dozen_streams_and_no_more(Scholion.Running school) throws Exception {
        Lesson lesson = Lesson.written(school, "Many streams");
        Visitor ines = school.as("Ines Calder");
        List<CompletableFuture<Void>> streams = new ArrayList<>();
        for (int i = 0; i < 14; i++) {
            streams.add(end(ines.stream(lesson.path("/live"))));
        }
        streams.get(0).get(10, TimeUnit.SECONDS);
        streams.get(1).get(10, TimeUnit.SECONDS);
        assertThat(streams.subList(2, 14)).allSatisfy(s -> assertThat(s).isNotDone());
        ines.send("DELETE", "/api/session", null).ok();
        for (CompletableFuture<Void> stream : streams) {
            stream.get(10, TimeUnit.SECONDS);
        }
    }

    @Test
    void in_a_database_with_a_real_school_nobody_is_listed_and_nobody_signs_in_by_a_click(
            Scholion.Running school, JdbcClient db) {
        UUID real = UUID.randomUUID();
        String person =
                school.anybody().get("/api/demo/people").ok().get(0).get("id").stringValue();
        db.sql("insert into school (id, name, zone) values (?, 'A real school', 'UTC')")
                .param(real)
                .update();
        try {
            school.anybody().get("/api/demo/people").isRefused(404);
            school.anybody().post("/api/demo/session", Map.of("person", person)).isRefused(404);
            assertThat(school.anybody().get("/api/session").ok().get("demo").booleanValue())
                    .isFalse();
        } finally {
            db.sql("delete from school where id = ?").param(real).update();
        }
    }

    @Test
    void no_password_is_kept_in_plain_and_what_a_browser_holds_is_kept_as_its_hash_only(
            Scholion.Running school, JdbcClient db) {
        Colleague.called(school, "Nopass");
        assertThat(db.sql("select count(*) from person where password is not null and password not like '{bcrypt}$2%'")
                        .query(Integer.class)
                        .single())
                .isZero();
        String word = cookie(school.anybody()).replaceAll("^scholion=([^;]*);.*", "$1");
        assertThat(word).hasSize(43);
        assertThat(db.sql("select count(*) from sign_in where encode(token, 'escape') like '%' || ? || '%'")
                        .param(word)
                        .query(Integer.class)
                        .single())
                .isZero();
        assertThat(db.sql("select bool_and(length(token) = 32) from sign_in")
                        .query(Boolean.class)
                        .single())
                .isTrue();
    }

    @Test
    void what_happens_at_the_doors_is_noted_with_ids_and_without_names_or_passwords(Scholion.Running school) {
        Logger log = (Logger) LoggerFactory.getLogger("scholion.doors");
        ListAppender<ILoggingEvent> noted = new ListAppender<>();
        noted.start();
        log.addAppender(noted);
        log.setLevel(Level.INFO);
        try {
            Visitor aud = school.as("Aud Meller");
            String id = aud.get("/api/session").ok().get("id").stringValue();
            String nobodys = UUID.randomUUID().toString();
            aud.get("/api/assessments/" + nobodys).isRefused(404);
            school.anybody()
                    .post("/api/session", Map.of("username", "aud.meller", "password", "a secret word"))
                    .isRefused(401);
            school.anybody()
                    .post("/api/session", Map.of("username", "who.ever", "password", "a secret word"))
                    .isRefused(401);
            aud.send("DELETE", "/api/session", null).ok();
            assertThat(noted.list)
                    .extracting(ILoggingEvent::getFormattedMessage)
                    .contains("signed in: " + id, "wrong password: " + id, "wrong password: somebody unknown")
                    .contains("signed out: " + id)
                    .anyMatch(l -> l.startsWith("refused: " + id) && l.endsWith(nobodys))
                    .noneMatch(l -> l.contains("secret") || l.contains("meller") || l.contains("who.ever"));
        } finally {
            log.detachAppender(noted);
            log.setLevel(null);
        }
    }

    @Test
    void what_goes_wrong_while_the_sign_in_is_looked_up_is_told_in_words(Scholion.Running school, JdbcClient db) {
        Visitor aud = school.as("Aud Meller");
        db.sql("alter table sign_in rename to sign_in_elsewhere").update();
        try {
            JsonNode told = aud.get("/api/courses").isRefused(500).json();
            assertThat(told.get("code").stringValue()).isEqualTo("unexpected");
            assertThat(told.get("detail").stringValue()).startsWith("Something went wrong.");
        } finally {
            db.sql("alter table sign_in_elsewhere rename to sign_in").update();
        }
        aud.get("/api/courses").ok();
    }
}
