package org.scholion.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.locks.LockSupport;
import java.util.function.Supplier;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.mail.SimulatedServer;
import org.scholion.server.testing.PersonBody;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Visitor;
import org.springframework.context.SmartLifecycle;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;

/** Letters go through a real mail server on loopback, once each, and whoever asked for them sees what became of them. */
@ExtendWith(Scholion.class)
class MailTest {
    private static JsonNode add(Visitor berit, String given, String family, String email) {
        return new PersonBody("TEACHER", given, family).with("email", email).add(berit);
    }

    private static List<JsonNode> mailTo(Scholion.Running school, String address) {
        return school.anybody()
                .get("/api/demo/mail")
                .ok()
                .valueStream()
                .filter(m -> m.get("to").stringValue().contains(address))
                .toList();
    }

    private static <T> T soon(Supplier<T> what, java.util.function.Predicate<T> fits) {
        Instant end = Instant.now().plus(Duration.ofSeconds(20));
        T seen = what.get();
        while (!fits.test(seen) && Instant.now().isBefore(end)) {
            LockSupport.parkNanos(100_000_000);
            seen = what.get();
        }
        assertThat(fits.test(seen)).as("after 20 s: %s", seen).isTrue();
        return seen;
    }

    private static JsonNode line(Visitor berit, JsonNode person) {
        return berit.get("/api/people")
                .ok()
                .valueStream()
                .filter(p -> p.get("id").equals(person.get("id")))
                .findFirst()
                .orElseThrow();
    }

    private static Visitor.Reply invite(Visitor berit, JsonNode... people) {
        return berit.post(
                "/api/people/invitations",
                Map.of(
                        "people",
                        List.of(people).stream()
                                .map(p -> p.get("id").stringValue())
                                .toList()));
    }

    @Test
    void an_invitation_by_mail_lets_its_person_choose_a_password(Scholion.Running school) {
        Visitor berit = school.as("Berit Straum");
        JsonNode sigrid = add(berit, "Sigrid", "Aalesund", "sigrid.aa@harbour.example");
        JsonNode none = add(berit, "Nobody", "Reached", null);
        JsonNode asked = invite(berit, sigrid, none).ok();
        assertThat(asked.get("asked").intValue()).isEqualTo(1);
        assertThat(asked.get("withoutAddress").intValue()).isEqualTo(1);
        JsonNode mail =
                soon(() -> mailTo(school, "sigrid.aa@"), m -> m.size() == 1).get(0);
        assertThat(mail.get("subject").stringValue()).startsWith("Your password for Scholion at ");
        assertThat(mail.get("text").stringValue())
                .contains("Dear Sigrid Aalesund", "Berit Straum invites you", "You sign in as sigrid.aalesund.");
        String text = mail.get("text").stringValue();
        String word = text.replaceFirst("(?s).*/enter#(\\S+).*", "$1");
        school.anybody()
                .post("/api/way-in", Map.of("word", word, "password", "a very calm lagoon"))
                .ok();
        school.anybody()
                .post("/api/session", Map.of("username", "sigrid.aalesund", "password", "a very calm lagoon"))
                .ok();
        JsonNode letter = soon(
                () -> line(berit, sigrid).get("letter"),
                l -> l.get("state").stringValue().equals("SENT"));
        assertThat(letter.get("why").stringValue()).isEmpty();
        assertThat(line(berit, none).get("letter").isNull()).isTrue();
    }

    @Test
    void who_is_given_a_course_to_teach_or_to_read_in_is_told_by_letter(Scholion.Running school) {
        JsonNode gudny = add(school.as("Berit Straum"), "Gudny", "Voll", "gudny.voll@harbour.example");
        Visitor aud = school.as("Aud Meller");
        String course = aud.post("/api/courses", Map.of("title", "Signals by letter", "term", ""))
                .ok()
                .get("id")
                .stringValue();
        aud.put("/api/courses/" + course + "/readers/" + gudny.get("id").stringValue(), null)
                .ok();
        JsonNode mail =
                soon(() -> mailTo(school, "gudny.voll@"), m -> m.size() == 1).get(0);
        assertThat(mail.get("text").stringValue())
                .contains(
                        "Dear Gudny Voll",
                        "Aud Meller has given you",
                        "- Signals by letter: you read open answers",
                        "/desk");
    }

    @Test
    void the_word_of_a_mailed_link_is_kept_nowhere(Scholion.Running school, JdbcClient db) {
        Visitor berit = school.as("Berit Straum");
        JsonNode torvald = add(berit, "Torvald", "Grip", "torvald@harbour.example");
        invite(berit, torvald).ok();
        String text = soon(() -> mailTo(school, "torvald@"), m -> m.size() == 1)
                .get(0)
                .get("text")
                .stringValue();
        String word = text.replaceFirst("(?s).*/enter#(\\S+).*", "$1");
        assertThat(word).hasSizeGreaterThan(20);
        for (String table : List.of("mail", "way_in", "scheduled_tasks", "deed")) {
            assertThat(db.sql("select count(*) from " + table + " t where t::text like '%' || ? || '%'")
                            .param(word)
                            .query(Integer.class)
                            .single())
                    .as(table)
                    .isZero();
        }
    }

    @Test
    void who_has_a_letter_waiting_gets_no_second_one_and_it_goes_out_when_the_server_is_back(Scholion.Running school) {
        Visitor berit = school.as("Berit Straum");
        JsonNode vebjorn = add(berit, "Vebjørn", "Holm", "vebjorn@harbour.example");
        SmartLifecycle server = (SmartLifecycle) school.bean(SimulatedServer.class);
        server.stop();
        try {
            assertThat(invite(berit, vebjorn).ok().get("asked").intValue()).isEqualTo(1);
            JsonNode waiting = soon(
                    () -> line(berit, vebjorn).get("letter"),
                    l -> !l.get("why").stringValue().isEmpty());
            assertThat(waiting.get("state").stringValue()).isEqualTo("WAITING");
            assertThat(invite(berit, vebjorn).ok().get("asked").intValue()).isZero();
        } finally {
            server.start();
        }
        school.bean(JdbcClient.class)
                .sql("update scheduled_tasks set execution_time = now() where task_name = 'mail'")
                .update();
        soon(() -> mailTo(school, "vebjorn@"), m -> m.size() == 1);
        soon(
                () -> line(berit, vebjorn).get("letter"),
                l -> l.get("state").stringValue().equals("SENT"));
        assertThat(mailTo(school, "vebjorn@")).hasSize(1);
    }

    @Test
    void nobody_but_an_administrator_invites_and_strangers_and_the_disabled_are_passed_over(Scholion.Running school) {
        Visitor berit = school.as("Berit Straum");
        JsonNode away = add(berit, "Away", "Always", "away@harbour.example");
        berit.put("/api/people/" + away.get("id").stringValue() + "/disabled", Map.of("disabled", true))
                .ok();
        invite(school.as("Aud Meller"), away).isRefused(404);
        invite(school.as("Noor Haddix"), away).isRefused(403);
        JsonNode asked = berit.post(
                        "/api/people/invitations",
                        Map.of(
                                "people",
                                List.of(
                                        away.get("id").stringValue(),
                                        UUID.randomUUID().toString())))
                .ok();
        assertThat(asked.get("asked").intValue()).isZero();
        assertThat(asked.get("withoutAddress").intValue()).isEqualTo(2);
        assertThat(mailTo(school, "away@")).isEmpty();
    }

    @Test
    void a_school_without_a_mail_server_is_told_what_to_do_instead_and_shows_no_mailbox() {
        try (Scholion.Running empty = Scholion.Running.empty()) {
            Map<String, Object> first = new HashMap<>(Map.of(
                    "word", empty.wordToBegin(),
                    "school", "Far Shore School",
                    "zone", "Europe/Oslo",
                    "language", "nb",
                    "given", "Gro",
                    "family", "Strand",
                    "username", "gro",
                    "password", "nothing but the tide"));
            first.put("email", null);
            empty.anybody().post("/api/beginning", first).ok();
            Visitor gro = empty.anybody();
            gro.post("/api/session", Map.of("username", "gro", "password", "nothing but the tide"))
                    .ok();
            JsonNode liv = add(gro, "Liv", "Grip", "liv@harbour.example");
            assertThat(invite(gro, liv).isRefused(409).code()).isEqualTo("no-mail");
            empty.anybody().get("/api/demo/mail").isRefused(404);
        }
    }
}
