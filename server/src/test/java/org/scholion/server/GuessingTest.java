package org.scholion.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.person.People;
import org.scholion.server.testing.Colleague;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Visitor;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;

/** Whoever guesses passwords is slowed down; nobody else notices. */
@ExtendWith(Scholion.class)
class GuessingTest {
    private static final String RIGHT = "ledge at low water";

    private static Visitor.Reply signIn(Scholion.Running school, String from, String name, String password) {
        return school.anybody().from(from).post("/api/session", Map.of("username", name, "password", password));
    }

    /** Somebody with a password, by the name that they sign in with. */
    private static String person(Scholion.Running school) {
        Colleague who = Colleague.called(school, "Guessed");
        school.bean(People.class).setPassword(UUID.fromString(who.id()), RIGHT);
        return who.name().replace("Guessed ", "");
    }

    @Test
    void of_thirty_guesses_at_once_no_more_come_through_than_one_after_the_other(Scholion.Running school)
            throws Exception {
        String name = person(school);
        ExecutorService threads = Executors.newFixedThreadPool(30);
        List<CompletableFuture<Integer>> guesses = new ArrayList<>();
        for (int i = 0; i < 30; i++) {
            int own = i;
            guesses.add(CompletableFuture.supplyAsync(
                    () -> signIn(school, "10.0.0.1", name, "guess " + own).status(), threads));
        }
        TimeUnit.MILLISECONDS.sleep(4_500);
        long looked = guesses.stream()
                .filter(CompletableFuture::isDone)
                .filter(g -> g.join() == 401)
                .count();
        long refused = guesses.stream()
                .filter(CompletableFuture::isDone)
                .filter(g -> g.join() == 429)
                .count();
        assertThat(looked).as("looked at within four seconds").isBetween(5L, 8L);
        assertThat(refused).as("told to wait").isGreaterThan(10);
        threads.shutdownNow();
    }

    @Test
    void a_right_password_is_taken_after_others_failed_from_the_same_address_and_under_the_same_name_from_elsewhere(
            Scholion.Running school) {
        String mine = person(school);
        for (int i = 0; i < 40; i++) {
            signIn(school, "10.0.0.2", "somebody.else" + i, "guess").isRefused(401);
        }
        assertThat(signIn(school, "10.0.0.2", mine, RIGHT).status()).isEqualTo(200);
        for (int i = 0; i < 5; i++) {
            signIn(school, "10.0.0.3", mine, "guess").isRefused(401);
        }
        assertThat(signIn(school, "10.0.0.4", mine, RIGHT).status()).isEqualTo(200);
        assertThat(signIn(school, "10.0.0.3", mine, RIGHT).status())
                .as("also from where was guessed, once its turn has come")
                .isEqualTo(200);
    }

    @Test
    void an_administrator_sees_who_has_to_wait_and_releases_them(Scholion.Running school, JdbcClient db) {
        String name = person(school);
        signIn(school, "10.0.0.5", name, "guess").isRefused(401);
        db.sql("update sign_in_try set fails = 30, until = now() + interval '70 seconds' where name = ?")
                .param(name.toLowerCase(java.util.Locale.ROOT))
                .update();
        Visitor.Reply told = signIn(school, "10.0.0.5", name, RIGHT).isRefused(429);
        assertThat(told.detail()).contains("Wait 7", "seconds");
        Visitor berit = school.as("Berit Straum");
        JsonNode slowed = berit.get("/api/school/slowed-down")
                .ok()
                .valueStream()
                .filter(s -> s.get("username").stringValue().equalsIgnoreCase(name))
                .findFirst()
                .orElseThrow();
        berit.send("DELETE", "/api/school/slowed-down/" + slowed.get("person").stringValue(), null)
                .ok();
        assertThat(signIn(school, "10.0.0.5", name, RIGHT).status()).isEqualTo(200);
        school.as("Aud Meller").get("/api/school/slowed-down").isRefused(404);
    }

    @Test
    void an_unknown_name_a_wrong_password_and_nobodys_password_take_as_long(Scholion.Running school) {
        String known = person(school);
        String without = Colleague.called(school, "Without").name().replace("Without ", "");
        List<String> names = List.of(known, without, "nobody.at.all");
        long[] fastest = {Long.MAX_VALUE, Long.MAX_VALUE, Long.MAX_VALUE};
        for (int round = 0; round < 5; round++) {
            for (int i = 0; i < names.size(); i++) {
                long from = System.nanoTime();
                signIn(school, "10.1." + i + "." + round, names.get(i), "guess").isRefused(401);
                fastest[i] = Math.min(fastest[i], System.nanoTime() - from);
            }
        }
        assertThat((double) fastest[1] / fastest[0]).as("no password").isBetween(0.5, 2.0);
        assertThat((double) fastest[2] / fastest[0]).as("unknown name").isBetween(0.5, 2.0);
    }

    @Test
    void what_an_untrusted_address_says_of_itself_is_not_believed() {
        // Without trusted addresses there is nothing that reads forwarded headers at all.
        var factory = new org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory();
        Proxied.customize("", factory);
        assertThat(factory.getEngineValves()).isEmpty();
        Proxied.customize("192.0.2.1, 192.0.2.2", factory);
        var valve = (org.apache.catalina.valves.RemoteIpValve)
                factory.getEngineValves().iterator().next();
        assertThat(valve.getInternalProxies()).isEqualTo("\\Q192.0.2.1\\E|\\Q192.0.2.2\\E");
    }
}
