package org.scholion.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.scholion.formats.json.Json;
import org.scholion.server.testing.Node;
import org.scholion.server.testing.TestDatabase;
import org.scholion.server.testing.Visitor;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** A key that very many have answered by is changed in the background, as a whole or not at all, whatever happens. */
class RegradingJobTest {
    /** Enough for the class of the demo to be very many. */
    private static final String FEW_AT_ONCE = "--scholion.regrade-at-once=10";

    private static final String ASSESSMENT =
            "select assessment_id from sitting s join assessment a on a.id = s.assessment_id where a.title = 'Buoyage quick check' limit 1";

    @Test
    void a_change_that_is_killed_in_the_middle_is_gone_on_with_on_another_node_and_nobody_sees_half_of_it()
            throws Exception {
        try (TestDatabase database = new TestDatabase();
                Connection other = DriverManager.getConnection(database.url(), database.user(), database.password())) {
            String id;
            String job;
            JsonNode effect;
            try (Node node = Node.on(database, FEW_AT_ONCE)) {
                Visitor aud = node.as("Aud Meller");
                id = one(other, ASSESSMENT);
                JsonNode key = aud.get("/api/assessments/" + id + "/key").ok();
                int edition = key.get("edition").intValue();
                Map<String, Object> change = change(key.get("definition"), edition);
                effect = aud.post("/api/assessments/" + id + "/editions/preview", change)
                        .ok();
                assertThat(effect.get("marks").intValue()).isGreaterThanOrEqualTo(50);
                assertThat(effect.get("job").isNull()).isTrue();

                // Whoever holds the assessment keeps the new edition from being written, when its marks are.
                other.setAutoCommit(false);
                run(other, "select id from assessment where id = '" + id + "' for update");
                JsonNode begun =
                        aud.post("/api/assessments/" + id + "/editions", change).ok();
                job = begun.get("job").stringValue();
                assertThat(begun.get("marks")).isEqualTo(effect.get("marks"));
                JsonNode view = waitForAll(aud, job);
                assertThat(view.get("state").stringValue()).isEqualTo("RUNNING");
                aud.post("/api/assessments/" + id + "/editions", change).isRefused(409);
                assertThat(marksOf(database, id, edition + 1)).isZero();
                assertThat(aud.get("/api/assessments/" + id + "/examine").ok().get("test"))
                        .isNotNull();
                // A student's answer elsewhere, and here, waits for nothing of it.
                Visitor student = node.as("Maude Rudd");
                String attempt = working(student);
                student.put(
                                "/api/student/attempts/" + attempt + "/answers/q2",
                                Map.of("answer", "3.6 h", "flagged", false))
                        .ok();
                node.kill();
                other.rollback();
                other.setAutoCommit(true);
                assertThat(marksOf(database, id, edition + 1)).isZero();
            }
            try (Node node = Node.on(
                    database,
                    FEW_AT_ONCE,
                    "--db-scheduler.heartbeat-interval=500ms",
                    "--db-scheduler.missed-heartbeats-limit=4")) {
                // The one that is gone is known to be gone after some of its heartbeats are missed: two seconds here.
                Visitor aud = node.as("Aud Meller");
                String state = "RUNNING";
                for (int i = 0; i < 600 && state.equals("RUNNING"); i++) {
                    Thread.sleep(100);
                    state = aud.get("/api/jobs/" + job).ok().get("state").stringValue();
                }
                assertThat(state).as(aud.get("/api/jobs/" + job).body()).isEqualTo("DONE");
                assertThat(marksOf(database, id, 0))
                        .isEqualTo(effect.get("marks").longValue());
                assertThat(aud.get("/api/jobs/" + job).body()).contains("The key is changed, and ");
            }
        }
    }

    private static Map<String, Object> change(JsonNode definition, int edition) {
        ObjectNode changed = definition.deepCopy().asObject();
        for (JsonNode item : changed.get("items")) {
            if (item.get("kind").stringValue().equals("choice")) {
                String other = "";
                for (JsonNode option : item.get("options")) {
                    String name = option.get("id").stringValue();
                    other = item.get("key").get(0).stringValue().equals(name) ? other : name;
                }
                item.asObject().putArray("key").add(other);
                break;
            }
        }
        Map<String, Object> change = new HashMap<>();
        change.put("definition", Json.MAPPER.convertValue(changed, Object.class));
        change.put("why", "the other one");
        change.put("edition", edition);
        return change;
    }

    private static JsonNode waitForAll(Visitor aud, String job) throws InterruptedException {
        JsonNode view = aud.get("/api/jobs/" + job).ok();
        for (int i = 0;
                i < 300 && view.get("done").intValue() < view.get("total").intValue();
                i++) {
            Thread.sleep(100);
            view = aud.get("/api/jobs/" + job).ok();
        }
        assertThat(view.get("done").intValue()).isEqualTo(view.get("total").intValue() - 1);
        return view;
    }

    private static String working(Visitor student) {
        for (JsonNode line : student.get("/api/student/todo").ok()) {
            if (line.get("stage").stringValue().equals("WORKING")) {
                return line.get("attempt").stringValue();
            }
        }
        throw new AssertionError("not working on anything");
    }

    /** How many marks were made under an edition; under 0 for the latest one. */
    private static long marksOf(TestDatabase database, String assessment, int edition) throws SQLException {
        try (Connection own = DriverManager.getConnection(database.url(), database.user(), database.password());
                PreparedStatement count = own.prepareStatement("""
                        select count(*) from mark m join attempt x on x.id = m.attempt_id
                        where x.assessment_id = cast(? as uuid) and m.edition = case when ? > 0 then ? else
                          (select max(number) from edition where assessment_id = cast(? as uuid)) end""")) {
            count.setString(1, assessment);
            count.setInt(2, edition);
            count.setInt(3, edition);
            count.setString(4, assessment);
            try (ResultSet found = count.executeQuery()) {
                found.next();
                return found.getLong(1);
            }
        }
    }

    private static String one(Connection db, String query) throws SQLException {
        try (Statement statement = db.createStatement();
                ResultSet found = statement.executeQuery(query)) {
            found.next();
            return found.getString(1);
        }
    }

    private static void run(Connection db, String what) throws SQLException {
        try (Statement statement = db.createStatement()) {
            statement.execute(what);
        }
    }
}
