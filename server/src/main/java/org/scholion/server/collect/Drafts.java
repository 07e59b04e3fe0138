package org.scholion.server.collect;

import java.sql.ResultSet;
import java.sql.Timestamp;
import java.time.Instant;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.UUID;
import org.scholion.server.ledger.Attempt;
import org.scholion.server.platform.JsonColumn;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;

/** Answers while a sitting runs: every change is appended, the last of each item holds. */
@Service
class Drafts {
    private final JdbcClient db;

    Drafts(JdbcClient db) {
        this.db = db;
    }

    /** The last that was said to an item. */
    record Draft(JsonNode answer, boolean flagged, Instant at) {}

    @Transactional(propagation = Propagation.MANDATORY)
    void append(Attempt attempt, String item, JsonNode answer, boolean flagged, Instant at) {
        db.sql("insert into draft_answer (school_id, attempt_id, item, answer, flagged, at) values (?, ?, ?, ?, ?, ?)")
                .params(attempt.school(), attempt.id(), item, JsonColumn.of(answer), flagged, Timestamp.from(at))
                .update();
    }

    @Transactional(readOnly = true)
    Map<String, Draft> of(UUID attempt) {
        Map<String, Draft> drafts = new LinkedHashMap<>();
        db.sql("""
                        select distinct on (item) item, answer, flagged, at from draft_answer
                        where attempt_id = ? order by item, seq desc""").param(attempt).query((ResultSet row) -> {
            drafts.put(row.getString("item"), draft(row));
        });
        return drafts;
    }

    /** The drafts of all attempts of an assessment that are not handed in. */
    @Transactional(readOnly = true)
    Map<UUID, Map<String, Draft>> working(UUID assessment) {
        Map<UUID, Map<String, Draft>> all = new HashMap<>();
        db.sql("""
                        select distinct on (d.attempt_id, d.item) d.attempt_id, d.item, d.answer, d.flagged, d.at
                        from draft_answer d join attempt x on x.id = d.attempt_id
                        where x.assessment_id = ? and x.handed_in_at is null
                        order by d.attempt_id, d.item, d.seq desc""").param(assessment).query((ResultSet row) -> {
            all.computeIfAbsent(row.getObject("attempt_id", UUID.class), a -> new LinkedHashMap<>())
                    .put(row.getString("item"), draft(row));
        });
        return all;
    }

    private static Draft draft(ResultSet row) throws java.sql.SQLException {
        return new Draft(
                JsonColumn.read(row.getString("answer")),
                row.getBoolean("flagged"),
                row.getTimestamp("at").toInstant());
    }
}
