package org.scholion.server.handback;

import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.formats.json.Json;
import org.scholion.server.access.Access;
import org.scholion.server.ledger.Attempt;
import org.scholion.server.ledger.Attempts;
import org.scholion.server.platform.Events;
import org.scholion.server.platform.Ids;
import org.scholion.server.platform.JsonColumn;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;

/** What a student has been handed back, and their questions about it. */
@Service
public class StudentResults {
    private static final int LONGEST = 2_000;

    private final Attempts attempts;
    private final Access access;
    private final Events events;
    private final JdbcClient db;
    private final Ids ids;
    private final Clock clock;

    StudentResults(Attempts attempts, Access access, Events events, JdbcClient db, Ids ids, Clock clock) {
        this.attempts = attempts;
        this.access = access;
        this.events = events;
        this.db = db;
        this.ids = ids;
        this.clock = clock;
    }

    public record ResultLine(
            UUID id,
            String title,
            String course,
            Instant handedAt,
            @Nullable String percent,
            @Nullable String band,
            boolean seen) {}

    /** A question that the student asked about a mark, and what was said to it. */
    public record AskedQuery(
            String item,
            String words,
            Instant askedAt,
            @Nullable String reply,
            @Nullable Instant repliedAt) {}

    public record ResultView(UUID id, Instant handedAt, StudentResult result, List<AskedQuery> queries) {}

    public record Question(String item, String words) {}

    @Transactional(readOnly = true)
    public List<ResultLine> list(Me me) {
        return db.sql("""
                        select * from (
                          select distinct on (attempt_id) id, handed_at, snapshot -> 'result' as result,
                                 bool_or(seen_at is not null) over (partition by attempt_id, hash) as seen
                          from result where student_id = ? order by attempt_id, handed_at desc, id desc) r
                        order by handed_at desc""")
                .param(me.id())
                .query((row, n) -> {
                    JsonNode result = JsonColumn.read(row.getString("result"));
                    return new ResultLine(
                            row.getObject("id", UUID.class),
                            result.get("title").stringValue(),
                            result.get("course").stringValue(),
                            row.getTimestamp("handed_at").toInstant(),
                            text(result, "percent"),
                            text(result, "band"),
                            row.getBoolean("seen"));
                })
                .list();
    }

    private static @Nullable String text(JsonNode node, String name) {
        return node.hasNonNull(name) ? node.get(name).stringValue() : null;
    }

    /** The last result of the same attempt: what was handed back again with less shows no longer what it showed. */
    @Transactional
    public ResultView see(Me me, UUID asked) {
        access.require(me, Access.Action.SEE_RESULT, asked);
        UUID id = last(asked);
        db.sql("update result set seen_at = ? where id = ? and seen_at is null")
                .params(Timestamp.from(clock.instant()), id)
                .update();
        List<AskedQuery> queries = db.sql("""
                        select q.* from query q join result r on r.attempt_id = q.attempt_id
                        where r.id = ? order by q.asked_at""")
                .param(id)
                .query((row, n) -> {
                    Timestamp replied = row.getTimestamp("replied_at");
                    return new AskedQuery(
                            row.getString("item"),
                            row.getString("words"),
                            row.getTimestamp("asked_at").toInstant(),
                            row.getString("reply"),
                            replied == null ? null : replied.toInstant());
                })
                .list();
        return db.sql("select handed_at, snapshot -> 'result' as result from result where id = ?")
                .param(id)
                .query((row, n) -> new ResultView(
                        id,
                        row.getTimestamp("handed_at").toInstant(),
                        Json.MAPPER.treeToValue(JsonColumn.read(row.getString("result")), StudentResult.class),
                        queries))
                .single();
    }

    private UUID last(UUID result) {
        return db.sql("""
                        select l.id from result r join result l on l.attempt_id = r.attempt_id
                        where r.id = ? order by l.handed_at desc, l.id desc limit 1""").param(result).query(UUID.class).single();
    }

    @Transactional
    public void ask(Me me, UUID asked, Question question) {
        access.require(me, Access.Action.SEE_RESULT, asked);
        UUID id = last(asked);
        String words = question.words().strip();
        if (words.isEmpty() || words.length() > LONGEST) {
            throw Refused.invalid("words", "Write what you would like to ask, in at most " + LONGEST + " characters.");
        }
        UUID attemptId = db.sql("select attempt_id from result where id = ?")
                .param(id)
                .query(UUID.class)
                .single();
        Attempt attempt = attempts.require(attemptId);
        requireItem(id, question.item());
        boolean waiting = db.sql("select count(*) from query where attempt_id = ? and item = ? and replied_at is null")
                        .params(attemptId, question.item())
                        .query(Integer.class)
                        .single()
                > 0;
        if (waiting) {
            throw Refused.conflict(
                    "asked-already", "You have already asked about this mark. Your teacher has not replied yet.");
        }
        db.sql("""
                        insert into query (id, school_id, result_id, attempt_id, assessment_id, item, student_id, words, asked_at)
                        values (?, ?, ?, ?, ?, ?, ?, ?, ?)""")
                .params(
                        ids.next(),
                        me.school(),
                        id,
                        attemptId,
                        attempt.assessment(),
                        question.item(),
                        me.id(),
                        words,
                        Timestamp.from(clock.instant()))
                .update();
        events.say("assessment:" + attempt.assessment());
    }

    private void requireItem(UUID result, String item) {
        boolean there = db.sql("""
                        select count(*) from result, jsonb_array_elements(snapshot -> 'result' -> 'items') i
                        where id = ? and i ->> 'item' = ? and jsonb_typeof(i -> 'mark') = 'object'""").params(result, item).query(Integer.class).single() > 0;
        if (!there) {
            throw Refused.invalid("item", "Choose the question you want to ask about.");
        }
    }
}
