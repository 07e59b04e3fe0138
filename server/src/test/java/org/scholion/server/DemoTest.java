package org.scholion.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.ledger.Standings;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Visitor;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.JsonNode;

@ExtendWith(Scholion.class)
class DemoTest {
    @Test
    void every_standing_is_what_responses_and_ledger_say(Standings standings) {
        assertThat(standings.differences()).isEmpty();
    }

    @Test
    void a_standing_that_drifted_would_be_found(Standings standings, JdbcClient db, TransactionTemplate transaction) {
        transaction.executeWithoutResult(t -> {
            db.sql("update standing set score = '99' where attempt_id = (select attempt_id from standing limit 1)")
                    .update();
            assertThat(standings.differences()).singleElement().asString().contains("stored", "99", "recomputed");
            t.setRollbackOnly();
        });
    }

    @Test
    void a_late_answer_waits_for_a_decision(Scholion.Running school) {
        Visitor aud = school.as("Aud Meller");
        String course = aud.get("/api/courses").ok().get(0).get("id").stringValue();
        for (JsonNode one : aud.get("/api/courses/" + course + "/assessments").ok()) {
            if (one.get("title").stringValue().equals("Tides and tidal streams")) {
                JsonNode late = aud.get("/api/assessments/" + one.get("id").stringValue() + "/late")
                        .ok();
                assertThat(late).hasSize(1);
                assertThat(late.get(0).get("then").get("points").stringValue())
                        .as("it would be right")
                        .isEqualTo(late.get(0).get("then").get("of").stringValue());
                assertThat(late.get(0).get("counts").booleanValue()).isFalse();
                return;
            }
        }
        throw new AssertionError("no such assessment");
    }

    @Test
    void every_stop_of_the_line_has_work_waiting(Scholion.Running school) {
        Visitor aud = school.as("Aud Meller");
        String course = aud.get("/api/courses").ok().get(0).get("id").stringValue();
        Map<String, JsonNode> lines = new HashMap<>();
        aud.get("/api/courses/" + course + "/assessments")
                .ok()
                .forEach(a -> lines.put(a.get("title").stringValue(), a.get("line")));
        assertThat(lines.get("Radio calls, oral").get("in").intValue())
                .as("points only, from a file")
                .isEqualTo(6);
        assertThat(lines.get("Collision rules, paper 2").get("edition").intValue())
                .as("Key")
                .isZero();
        assertThat(lines.get("Passage planning, part 1").get("working").intValue())
                .as("Collect")
                .isPositive();
        assertThat(lines.get("Tides and tidal streams").get("doubts").intValue())
                .as("Settle")
                .isPositive();
        assertThat(lines.get("Dead reckoning by hand").get("doubts").intValue())
                .as("Settle, on formulas and working")
                .isPositive();
        assertThat(lines.get("Ropework and mooring").get("unread").intValue())
                .as("Read")
                .isPositive();
        assertThat(lines.get("Ropework and mooring").get("doubts").intValue()).isZero();
        assertThat(lines.get("Buoyage quick check").get("ready").intValue())
                .as("Hand back")
                .isEqualTo(52);
        assertThat(lines.get("Chartwork check 4").get("handedBack").intValue())
                .as("handed back")
                .isEqualTo(26);
        String lights = aud.get("/api/find?words=Lights+and+shapes")
                .ok()
                .get(0)
                .get("id")
                .stringValue();
        JsonNode examined = aud.get("/api/assessments/" + lights + "/examine").ok();
        assertThat(examined.get("items").get(2).get("flags").toString())
                .as("Examine: the wrong key")
                .contains("negative");
    }

    @Test
    void the_desk_agrees_with_the_piles_themselves(Scholion.Running school) {
        Visitor aud = school.as("Aud Meller");
        for (JsonNode pile : aud.get("/api/desk").ok().get("piles")) {
            String path = "/api/assessments/" + pile.get("assessment").stringValue();
            String section = "?section=" + pile.path("section").asString("");
            int count = pile.get("count").intValue();
            switch (pile.get("work").stringValue()) {
                case "SETTLE" ->
                    assertThat(aud.get(path + "/doubts" + section)
                                    .ok()
                                    .get("doubts")
                                    .intValue())
                            .isEqualTo(count);
                case "READ" ->
                    assertThat(aud.get(path + "/readings" + section)
                                    .ok()
                                    .get("questions")
                                    .valueStream()
                                    .mapToInt(q -> q.get("unread").intValue())
                                    .sum())
                            .isEqualTo(count);
                case "HAND_BACK" ->
                    assertThat(aud.get(path + "/hand-back" + section)
                                    .ok()
                                    .get("students")
                                    .valueStream()
                                    .filter(s -> s.get("ready").booleanValue()
                                            && s.get("handedAt").isNull())
                                    .count())
                            .isEqualTo(count);
                default -> assertThat(count).isPositive();
            }
        }
    }
}
