package org.scholion.server.collect;

import java.sql.ResultSet;
import java.sql.Timestamp;
import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.UUID;
import org.scholion.server.platform.JsonColumn;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
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

    /**
     * Appends an answer, in one statement that also looks whether it may still be given: the attempt is one's own, not
     * handed in, and its time is not over. Handing in waits for it, so that an acknowledged answer is among what is read.
     *
     * @return whether it was appended
     */
    boolean append(UUID attempt, UUID student, Draft draft, String item, Duration grace) {
        return db.sql("""
                        insert into draft_answer (school_id, attempt_id, item, answer, flagged, at)
                        select x.school_id, x.id, :item, :answer, :flagged, :now
                        from attempt x join sitting s on s.id = x.sitting_id
                        where x.id = :attempt and x.student_id = :student and x.handed_in_at is null
                          and :now <= least(s.closes_at, x.started_at + make_interval(mins => s.minutes))
                                      + make_interval(secs => :grace)
                        for key share of x""")
                        .param("item", item)
                        .param("answer", JsonColumn.of(draft.answer()))
                        .param("flagged", draft.flagged())
                        .param("now", Timestamp.from(draft.at()))
                        .param("attempt", attempt)
                        .param("student", student)
                        .param("grace", (double) grace.toSeconds())
                        .update()
                == 1;
    }

    @Transactional(readOnly = true)
    Map<String, Draft> of(UUID attempt) {
        Map<String, Draft> drafts = new LinkedHashMap<>();
        db.sql("""
                        select distinct on (d.item) d.item, d.answer, d.flagged, d.at
                        from attempt x join draft_answer d on d.school_id = x.school_id and d.attempt_id = x.id
                        where x.id = ? order by d.item, d.seq desc""").param(attempt).query((ResultSet row) -> {
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
                        from attempt x join draft_answer d on d.school_id = x.school_id and d.attempt_id = x.id
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
