package org.scholion.server.ledger;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.core.number.Fraction;
import org.scholion.core.reason.Reason;
import org.scholion.core.score.Mark;
import org.scholion.core.score.State;
import org.scholion.formats.assessment.ReasonJson;
import org.scholion.server.platform.JsonColumn;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** The ledger of marks: append only. The current mark of a response is its last one. */
@Service
public class Ledger {
    private static final String FIELDS =
            " m.attempt_id, m.item, m.seq, m.state, m.credit, m.reason, m.edition, m.person_id,"
                    + " m.reading, m.at, m.restores, m.acted_by,"
                    + " case when m.acted_by is null then null else"
                    + " (select z.given || ' ' || z.family from person z where z.id = m.acted_by) end as acted_name,"
                    + " q.given || ' ' || q.family as person_name ";

    /** The lateral join takes each attempt's last marks from the index instead of sorting the whole ledger. */
    private static final String CURRENT = "select" + FIELDS + """
            from attempt x cross join lateral (
              select distinct on (item) * from mark where attempt_id = x.id %s order by item, seq desc) m
            left join person q on q.id = m.person_id where x.assessment_id = :assessment""";

    /** Stands for reasons that were not read. */
    private static final Reason UNTOLD = Reason.of(Reason.Code.BLANK);

    private final JdbcClient db;
    private final JdbcTemplate batch;

    Ledger(JdbcClient db, JdbcTemplate batch) {
        this.db = db;
        this.batch = batch;
    }

    /** Appends marks; the same with their places in the ledger come back. The attempts are held by whoever appends. */
    @Transactional(propagation = Propagation.MANDATORY)
    public List<LedgerMark> append(UUID school, List<LedgerMark> marks) {
        if (marks.isEmpty()) {
            return marks;
        }
        List<Long> places = db.sql("select nextval('mark_seq') from generate_series(1, ?)")
                .param(marks.size())
                .query(Long.class)
                .list();
        List<LedgerMark> placed = new ArrayList<>();
        for (int i = 0; i < marks.size(); i++) {
            placed.add(marks.get(i).at(places.get(i)));
        }
        batch.batchUpdate(
                "insert into mark (school_id, attempt_id, item, seq, state, credit, reason, edition, person_id, reading, at,"
                        + " restores, acted_by) values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)",
                placed.stream().map(m -> row(school, m)).toList());
        return placed;
    }

    private static @Nullable Object[] row(UUID school, LedgerMark m) {
        return new @Nullable Object[] {
            school,
            m.attempt(),
            m.item(),
            m.seq(),
            m.mark().state().name(),
            m.mark().credit().toExact(),
            JsonColumn.of(ReasonJson.write(m.mark().reason())),
            m.edition(),
            m.person(),
            m.reading() == null ? null : JsonColumn.of(m.reading()),
            Timestamp.from(m.at()),
            m.takenBack() == null ? null : m.takenBack().restores(),
            m.takenBack() == null ? null : m.takenBack().by()
        };
    }

    /** The current marks of an assessment's attempts, by attempt and item. */
    @Transactional(readOnly = true)
    public Map<UUID, Map<String, LedgerMark>> current(UUID assessment) {
        return current(db.sql(CURRENT.formatted("")).param("assessment", assessment));
    }

    /** The current marks of some items only. */
    @Transactional(readOnly = true)
    public Map<UUID, Map<String, LedgerMark>> current(UUID assessment, Set<String> items) {
        return items.isEmpty()
                ? Map.of()
                : current(db.sql(CURRENT.formatted("and item in (:items)"))
                        .param("items", items)
                        .param("assessment", assessment));
    }

    private static Map<UUID, Map<String, LedgerMark>> current(JdbcClient.StatementSpec query) {
        return byAttempt(query.query((row, n) -> mark(row)).list());
    }

    /** State and credit of all current marks, for adding up: many are read at once, and their reasons are not. */
    @Transactional(readOnly = true)
    public Map<UUID, Map<String, Mark>> credits(UUID assessment) {
        Map<UUID, Map<String, Mark>> all = new HashMap<>();
        Map<String, Mark> known = new HashMap<>();
        db.sql("""
                        select m.attempt_id, m.item, m.state, m.credit from attempt x cross join lateral (
                          select distinct on (item) attempt_id, item, state, credit from mark
                          where attempt_id = x.id order by item, seq desc) m
                        where x.assessment_id = ?""").param(assessment).query((ResultSet row) -> {
            String state = row.getString(3);
            String credit = row.getString(4);
            Mark mark = known.computeIfAbsent(
                    state + credit, k -> new Mark(State.valueOf(state), Fraction.exactly(credit), UNTOLD));
            all.computeIfAbsent(row.getObject(1, UUID.class), a -> new HashMap<>())
                    .put(row.getString(2), mark);
        });
        return all;
    }

    @Transactional(readOnly = true)
    public Map<String, LedgerMark> currentOf(UUID attempt) {
        return currentOf(List.of(attempt)).getOrDefault(attempt, Map.of());
    }

    /** The current marks of some attempts, by attempt and item. */
    @Transactional(readOnly = true)
    public Map<UUID, Map<String, LedgerMark>> currentOf(Collection<UUID> attempts) {
        return attempts.isEmpty()
                ? Map.of()
                : byAttempt(db.sql("select distinct on (m.attempt_id, m.item)" + FIELDS + """
                                from mark m left join person q on q.id = m.person_id
                                where m.attempt_id in (:attempts) order by m.attempt_id, m.item, m.seq desc""")
                        .param("attempts", attempts)
                        .query((row, n) -> mark(row))
                        .list());
    }

    /** Every mark that a response ever had, the newest first. */
    @Transactional(readOnly = true)
    public List<LedgerMark> history(UUID attempt, String item) {
        return db.sql("select" + FIELDS + """
                        from mark m left join person q on q.id = m.person_id
                        where m.attempt_id = ? and m.item = ? order by m.seq desc""")
                .params(attempt, item)
                .query((row, n) -> mark(row))
                .list();
    }

    private static Map<UUID, Map<String, LedgerMark>> byAttempt(List<LedgerMark> marks) {
        Map<UUID, Map<String, LedgerMark>> all = new HashMap<>();
        marks.forEach(
                m -> all.computeIfAbsent(m.attempt(), a -> new HashMap<>()).put(m.item(), m));
        return all;
    }

    private static LedgerMark mark(ResultSet row) throws SQLException {
        String reading = row.getString("reading");
        return new LedgerMark(
                row.getObject("attempt_id", UUID.class),
                row.getString("item"),
                row.getLong("seq"),
                new Mark(
                        State.valueOf(row.getString("state")),
                        Fraction.exactly(row.getString("credit")),
                        ReasonJson.read(JsonColumn.read(row.getString("reason")))),
                row.getInt("edition"),
                row.getObject("person_id", UUID.class),
                row.getString("person_name"),
                reading == null ? null : JsonColumn.read(reading),
                row.getTimestamp("at").toInstant(),
                takenBack(row));
    }

    private static LedgerMark.@Nullable TakenBack takenBack(ResultSet row) throws SQLException {
        UUID by = row.getObject("acted_by", UUID.class);
        return by == null ? null : new LedgerMark.TakenBack(row.getLong("restores"), by, row.getString("acted_name"));
    }
}
