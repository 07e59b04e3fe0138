package org.scholion.server.ledger;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Instant;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.Item;
import org.scholion.core.number.Fraction;
import org.scholion.server.platform.Ids;
import org.scholion.server.platform.JsonColumn;
import org.scholion.server.platform.Refused;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;

/** Attempts and what they say. A response is written once, when the attempt is handed in, and never changed. */
@Service
public class Attempts {
    private static final String SELECT = """
            select x.*, p.given, p.family, e.number as edition from attempt x
            join person p on p.id = x.student_id join edition e on e.id = x.edition_id\s""";
    private static final String RESPONSES = """
            select r.attempt_id, r.item, r.answer from attempt x
            join response r on r.school_id = x.school_id and r.attempt_id = x.id where\s""";
    private static final String LATE = """
            select l.attempt_id, l.item, l.answer from attempt x
            join late_answer l on l.school_id = x.school_id and l.attempt_id = x.id and l.decision = 'COUNTS' where\s""";
    private static final String ORDER = " order by p.family, p.given, x.number";

    private final JdbcClient db;
    private final JdbcTemplate batch;
    private final Ids ids;

    Attempts(JdbcClient db, JdbcTemplate batch, Ids ids) {
        this.db = db;
        this.batch = batch;
        this.ids = ids;
    }

    /** What has to be known to begin an attempt. */
    public record Beginning(
            UUID school, UUID assessment, UUID sitting, UUID section, UUID student, UUID edition, Attempt.Way way) {}

    /** Notes how late an attempt came in, in days. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void setLate(UUID attempt, Fraction days) {
        db.sql("update attempt set days_late = ? where id = ?")
                .params(days.toExact(), attempt)
                .update();
    }

    /** Notes which items attempts were not drawn, beside those that are noted already. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void leaveOut(Collection<UUID> some, Set<String> items) {
        if (!some.isEmpty() && !items.isEmpty()) {
            db.sql("update attempt set left_out = array(select distinct unnest(left_out || cast(:items as text[])))"
                            + " where id in (:ids)")
                    .param("items", items.toArray(new String[0]))
                    .param("ids", some)
                    .update();
        }
    }

    @Transactional(propagation = Propagation.MANDATORY)
    public UUID begin(Beginning b, Instant at) {
        UUID id = ids.next();
        db.sql("""
                        insert into attempt (school_id, id, assessment_id, sitting_id, section_id, student_id, number,
                                             edition_id, way, started_at)
                        values (?, ?, ?, ?, ?, ?, 1, ?, ?, ?)""")
                .params(
                        b.school(),
                        id,
                        b.assessment(),
                        b.sitting(),
                        b.section(),
                        b.student(),
                        b.edition(),
                        b.way().name(),
                        Timestamp.from(at))
                .update();
        return id;
    }

    /** Writes the responses of an attempt, once and for ever, and marks it as handed in; false when it already was. */
    @Transactional(propagation = Propagation.MANDATORY)
    public boolean handIn(Attempt attempt, Map<String, JsonNode> answers, Instant at) {
        int updated = db.sql(
                        "update attempt set handed_in_at = ?, trouble = null, trouble_at = null where id = ? and handed_in_at is null")
                .params(Timestamp.from(at), attempt.id())
                .update();
        if (updated == 1) {
            List<Object[]> rows = answers.entrySet().stream()
                    .map(e -> new Object[] {
                        attempt.school(), attempt.id(), e.getKey(), JsonColumn.of(e.getValue()), Timestamp.from(at)
                    })
                    .toList();
            batch.batchUpdate(
                    "insert into response (school_id, attempt_id, item, answer, at) values (?, ?, ?, ?, ?)", rows);
        }
        return updated == 1;
    }

    /** Keeps attempts to this transaction until it ends, always in the same order, so that nobody waits in a ring. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void hold(Collection<UUID> ids) {
        if (!ids.isEmpty()) {
            db.sql("select id from attempt where id in (:ids) order by id for update")
                    .param("ids", ids)
                    .query()
                    .listOfRows();
        }
    }

    /** Keeps the attempt to this transaction until it ends; true while it is not handed in. */
    @Transactional(propagation = Propagation.MANDATORY)
    public boolean hold(UUID id) {
        return db.sql("select handed_in_at is null from attempt where id = ? for update")
                .param(id)
                .query(Boolean.class)
                .single();
    }

    @Transactional(readOnly = true)
    public Attempt require(UUID id) {
        return db.sql(SELECT + "where x.id = ?")
                .param(id)
                .query((row, n) -> attempt(row))
                .optional()
                .orElseThrow(Refused::notFound);
    }

    /** Some attempts, by family name. */
    @Transactional(readOnly = true)
    public List<Attempt> some(Collection<UUID> ids) {
        return ids.isEmpty()
                ? List.of()
                : db.sql(SELECT + "where x.id in (:ids)" + ORDER)
                        .param("ids", ids)
                        .query((row, n) -> attempt(row))
                        .list();
    }

    /** The attempts of an assessment, of one section where one is named, by family name. */
    @Transactional(readOnly = true)
    public List<Attempt> of(UUID assessment, @Nullable UUID section) {
        return section == null
                ? db.sql(SELECT + "where x.assessment_id = ?" + ORDER)
                        .param(assessment)
                        .query((row, n) -> attempt(row))
                        .list()
                : db.sql(SELECT + "where x.assessment_id = ? and x.section_id = ?" + ORDER)
                        .params(assessment, section)
                        .query((row, n) -> attempt(row))
                        .list();
    }

    /** Those of an assessment that are handed in: the ones that count. */
    @Transactional(readOnly = true)
    public List<Attempt> in(UUID assessment, @Nullable UUID section) {
        return of(assessment, section).stream().filter(Attempt::isIn).toList();
    }

    /** What an assessment's attempts say, by attempt and item. */
    @Transactional(readOnly = true)
    public Map<UUID, Map<String, JsonNode>> responses(UUID assessment) {
        return late(
                byAttempt(db.sql(RESPONSES + "x.assessment_id = :assessment").param("assessment", assessment)),
                db.sql(LATE + "x.assessment_id = :assessment").param("assessment", assessment));
    }

    /** What an assessment's attempts say to some items only. */
    @Transactional(readOnly = true)
    public Map<UUID, Map<String, JsonNode>> responses(UUID assessment, Set<String> items) {
        return items.isEmpty()
                ? Map.of()
                : late(
                        byAttempt(db.sql(RESPONSES + "x.assessment_id = :assessment and r.item in (:items)")
                                .param("assessment", assessment)
                                .param("items", items)),
                        db.sql(LATE + "x.assessment_id = :assessment and l.item in (:items)")
                                .param("assessment", assessment)
                                .param("items", items));
    }

    /** A late answer that counts stands in the place of what was handed in. */
    private static Map<UUID, Map<String, JsonNode>> late(
            Map<UUID, Map<String, JsonNode>> all, JdbcClient.StatementSpec late) {
        byAttempt(late)
                .forEach((attempt, answers) ->
                        all.computeIfAbsent(attempt, a -> new LinkedHashMap<>()).putAll(answers));
        return all;
    }

    private static Map<UUID, Map<String, JsonNode>> byAttempt(JdbcClient.StatementSpec query) {
        Map<UUID, Map<String, JsonNode>> all = new LinkedHashMap<>();
        query.query((ResultSet row) -> {
            all.computeIfAbsent(row.getObject(1, UUID.class), a -> new LinkedHashMap<>())
                    .put(row.getString(2), JsonColumn.read(row.getString(3)));
        });
        return all;
    }

    @Transactional(readOnly = true)
    public Map<String, JsonNode> responsesOf(UUID attempt) {
        return responsesOf(List.of(attempt)).getOrDefault(attempt, Map.of());
    }

    /** What some attempts say, by attempt and item. */
    @Transactional(readOnly = true)
    public Map<UUID, Map<String, JsonNode>> responsesOf(Collection<UUID> attempts) {
        return attempts.isEmpty()
                ? Map.of()
                : late(handedIn(attempts), db.sql(LATE + "x.id in (:attempts)").param("attempts", attempts));
    }

    /** What some attempts said when they were handed in, whatever came later. */
    @Transactional(readOnly = true)
    public Map<UUID, Map<String, JsonNode>> handedIn(Collection<UUID> attempts) {
        return byAttempt(db.sql(RESPONSES + "x.id in (:attempts)").param("attempts", attempts));
    }

    /** A response as the item's kind understands it; one that is not there is none. */
    public static Answer answer(Item item, Map<String, JsonNode> responses) {
        return Said.to(item, responses).answer();
    }

    private static Attempt attempt(ResultSet row) throws SQLException {
        Timestamp handedIn = row.getTimestamp("handed_in_at");
        return new Attempt(
                row.getObject("id", UUID.class),
                row.getObject("school_id", UUID.class),
                row.getObject("assessment_id", UUID.class),
                row.getObject("sitting_id", UUID.class),
                row.getObject("section_id", UUID.class),
                row.getObject("student_id", UUID.class),
                row.getString("given"),
                row.getString("family"),
                row.getInt("number"),
                row.getInt("edition"),
                Attempt.Way.valueOf(row.getString("way")),
                Set.of((String[]) row.getArray("left_out").getArray()),
                Fraction.exactly(row.getString("days_late")),
                row.getTimestamp("started_at").toInstant(),
                handedIn == null ? null : handedIn.toInstant());
    }
}
