package org.scholion.server.collect;

import java.sql.ResultSet;
import java.sql.Timestamp;
import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
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

    /**
     * The last that was said to an item.
     *
     * @param place by which a window says what it has seen; 0 while it is not written
     */
    record Draft(JsonNode answer, boolean flagged, Instant at, long place) {}

    /**
     * The window in which something is written.
     *
     * @param id null for one that does not tell
     * @param seen the place of the last answer to the item that it shows
     */
    record Window(@Nullable String id, long seen) {
        static final Window UNTOLD = new Window(null, 0);
    }

    /**
     * Appends an answer, in one statement that also looks whether it may still be given: the attempt is one's own, not
     * handed in, its time is not over, and no other window has said something else that this one has not seen. Handing in
     * waits for it, so that an acknowledged answer is among what is read.
     *
     * @return its place; empty when it was not appended
     */
    Optional<Long> append(UUID attempt, UUID student, Draft draft, String item, Duration grace, Window window) {
        return db.sql("""
                        insert into draft_answer (school_id, attempt_id, item, answer, flagged, at, made_in)
                        select x.school_id, x.id, :item, :answer, :flagged, :now, :window
                        from attempt x join sitting s on s.id = x.sitting_id
                        where x.id = :attempt and x.student_id = :student and x.handed_in_at is null
                          and :now <= least(s.closes_at, x.started_at + make_interval(mins => s.minutes))
                                      + make_interval(secs => :grace)
                          and (cast(:window as text) is null or not exists (
                            select 1 from (
                              select d.seq, d.made_in, d.answer from draft_answer d
                              where d.school_id = x.school_id and d.attempt_id = x.id and d.item = :item
                              order by d.seq desc limit 1) last
                            where last.seq > :seen and last.made_in is distinct from :window
                              and last.answer is distinct from :answer))
                        for key share of x
                        returning seq""")
                .param("item", item)
                .param("answer", JsonColumn.of(draft.answer()))
                .param("flagged", draft.flagged())
                .param("now", Timestamp.from(draft.at()))
                .param("attempt", attempt)
                .param("student", student)
                .param("grace", (double) grace.toSeconds())
                .param("window", window.id())
                .param("seen", window.seen())
                .query(Long.class)
                .optional();
    }

    @Transactional(readOnly = true)
    Map<String, Draft> of(UUID attempt) {
        Map<String, Draft> drafts = new LinkedHashMap<>();
        db.sql("""
                        select distinct on (d.item) d.item, d.answer, d.flagged, d.at, d.seq
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
                        select distinct on (d.attempt_id, d.item) d.attempt_id, d.item, d.answer, d.flagged, d.at, d.seq
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
                row.getTimestamp("at").toInstant(),
                row.getLong("seq"));
    }
}
