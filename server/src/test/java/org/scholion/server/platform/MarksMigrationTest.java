package org.scholion.server.platform;

import static org.assertj.core.api.Assertions.assertThat;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.LinkedHashMap;
import java.util.Map;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.Test;
import org.scholion.core.number.Fraction;
import org.scholion.server.testing.TestDatabase;

/** What was stored before is worth the same afterwards. */
class MarksMigrationTest {
    private static final String ID = "00000000-0000-0000-0000-00000000000";

    @Test
    void every_credit_becomes_two_whole_numbers_and_what_waits_is_counted() throws SQLException {
        try (TestDatabase database = new TestDatabase()) {
            flyway(database, "19").migrate();
            Map<String, String> credits = new LinkedHashMap<>();
            String[] written = {"1", "0", "1/2", "0.5", "-0.25", "-2/3", "0.333333", "22/7", "0.000001", "-1", "1.5"};
            for (int i = 0; i < written.length; i++) {
                credits.put("q" + i, written[i]);
            }
            try (Connection db = DriverManager.getConnection(database.url(), database.user(), database.password());
                    Statement run = db.createStatement()) {
                fill(run, credits);
                flyway(database, "latest").migrate();
                for (Map.Entry<String, String> credit : credits.entrySet()) {
                    ResultSet row = run.executeQuery(
                            "select numerator, denominator from mark where item = '" + credit.getKey() + "'");
                    row.next();
                    Fraction expected = Fraction.exactly(credit.getValue());
                    assertThat(row.getBigDecimal(1).toBigIntegerExact())
                            .as(credit.getValue())
                            .isEqualTo(expected.numerator());
                    assertThat(row.getBigDecimal(2).toBigIntegerExact())
                            .as(credit.getValue())
                            .isEqualTo(expected.denominator());
                }
                ResultSet standing = run.executeQuery(
                        "select doubts, unread, open_answers, place, doubts_since is not null, unread_since is null from standing");
                standing.next();
                // Two marks wait in Settle, one of them of a question that was left out of the paper since.
                assertThat(standing.getInt(1)).isEqualTo(1);
                assertThat(standing.getInt(2)).isZero();
                assertThat(standing.getInt(3)).isEqualTo(1);
                assertThat(standing.getLong(4)).isPositive();
                assertThat(standing.getBoolean(5)).isTrue();
                assertThat(standing.getBoolean(6)).isTrue();
            }
        }
    }

    private static Flyway flyway(TestDatabase database, String target) {
        return Flyway.configure()
                .dataSource(database.url(), database.user(), database.password())
                .target(target)
                .load();
    }

    private static void fill(Statement run, Map<String, String> credits) throws SQLException {
        for (String sql : new String[] {
            "insert into school (id, name, zone) values ('%1', 'S', 'UTC')",
            "insert into person (id, school_id, role, given, family, username) values ('%2', '%1', 'TEACHER', 'A', 'B', 'ab')",
            "insert into course (id, school_id, title) values ('%3', '%1', 'C')",
            "insert into section (id, course_id, name) values ('%4', '%3', 'A')",
            "insert into assessment (id, school_id, course_id, title, draft, revision, made_by, made_at, changed_at)"
                    + " values ('%5', '%1', '%3', 'T', '{}', 0, '%2', now(), now())",
            "insert into edition (id, assessment_id, number, definition, rulings, why, made_by, made_at, live)"
                    + " values ('%6', '%5', 1, '{}', '[]', '', '%2', now(), '{d1,o1}')",
            "insert into sitting (id, school_id, assessment_id, section_id, opens_at, closes_at, made_by, made_at)"
                    + " values ('%7', '%1', '%5', '%4', now(), now(), '%2', now())",
            "insert into attempt (school_id, id, assessment_id, sitting_id, section_id, student_id, number, edition_id, way,"
                    + " started_at, handed_in_at) values ('%1', '%8', '%5', '%7', '%4', '%2', 1, '%6', 'FILE', now(), now())",
            "insert into standing (school_id, attempt_id, score, possible, provisional, at)"
                    + " values ('%1', '%8', '1', '2', true, now())"
        }) {
            run.execute(sql.replaceAll("%(\\d)", ID + "$1"));
        }
        for (Map.Entry<String, String> credit : credits.entrySet()) {
            mark(run, credit.getKey(), "SCORED", credit.getValue(), "null");
        }
        mark(run, "d1", "SETTLE", "0", "null");
        mark(run, "dropped", "SETTLE", "0", "null");
        mark(run, "o1", "READ", "0", "null");
        // Read since: only the last mark of an item is current.
        mark(run, "o1", "SCORED", "1", "'{}'");
    }

    private static void mark(Statement run, String item, String state, String credit, String reading)
            throws SQLException {
        run.execute(
                "insert into mark (school_id, attempt_id, item, state, credit, reason, edition, reading, at) values ('"
                        + ID
                        + "1', '" + ID + "8', '" + item + "', '" + state + "', '" + credit + "', '{}', 1, " + reading
                        + ", now())");
    }
}
