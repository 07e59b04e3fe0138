package org.scholion.server.handback;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.formats.json.Json;
import org.scholion.server.access.Access;
import org.scholion.server.drawn.DrawnMarks;
import org.scholion.server.ledger.Attempt;
import org.scholion.server.ledger.Attempts;
import org.scholion.server.platform.Events;
import org.scholion.server.platform.Ids;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;

/** What a student has been handed back, and their questions about it. */
@Service
public class StudentResults {
    private static final int LONGEST = 2_000;

    private final Attempts attempts;
    private final DrawnMarks drawn;
    private final Access access;
    private final Events events;
    private final EntityManager entities;
    private final Ids ids;
    private final Clock clock;

    StudentResults(
            Attempts attempts,
            DrawnMarks drawn,
            Access access,
            Events events,
            EntityManager entities,
            Ids ids,
            Clock clock) {
        this.attempts = attempts;
        this.drawn = drawn;
        this.access = access;
        this.events = events;
        this.entities = entities;
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
        return entities.createQuery("""
                        select r.id, r.handedAt, r.snapshot,
                               exists (select 1 from ResultRow o where o.attempt = r.attempt and o.hash = r.hash
                                 and o.seenAt is not null)
                        from ResultRow r where r.student = :me and not exists (
                          select 1 from ResultRow l where l.attempt = r.attempt
                            and (l.handedAt > r.handedAt or l.handedAt = r.handedAt and l.id > r.id))
                        order by r.handedAt desc""", Last.class)
                .setParameter("me", me.id())
                .getResultStream()
                .map(l -> {
                    JsonNode result = l.snapshot().path("result");
                    return new ResultLine(
                            l.id(),
                            result.get("title").stringValue(),
                            result.get("course").stringValue(),
                            l.handedAt(),
                            text(result, "percent"),
                            text(result, "band"),
                            l.seen());
                })
                .toList();
    }

    record Last(UUID id, Instant handedAt, JsonNode snapshot, boolean seen) {}

    private static @Nullable String text(JsonNode node, String name) {
        return node.hasNonNull(name) ? node.get(name).stringValue() : null;
    }

    /** The last result of the same attempt: what was handed back again with less shows no longer what it showed. */
    @Transactional
    public ResultView see(Me me, UUID asked) {
        access.require(me, Access.Action.SEE_RESULT, asked);
        UUID id = last(asked);
        entities.createQuery("update ResultRow r set r.seenAt = :now where r.id = :id and r.seenAt is null")
                .setParameter("now", clock.instant())
                .setParameter("id", id)
                .executeUpdate();
        ResultRow row = entities.find(ResultRow.class, id);
        List<AskedQuery> queries = entities.createQuery("""
                        select q.item, q.words, q.askedAt, q.reply, q.repliedAt from QueryRow q
                        where q.attempt = :attempt order by q.askedAt""", AskedQuery.class)
                .setParameter("attempt", row.attempt)
                .getResultList();
        return new ResultView(id, row.handedAt, shown(row), queries);
    }

    /** What is drawn on the attachments of an answer, as it was when it was handed back. */
    @Transactional(readOnly = true)
    public List<DrawnMarks.DrawnMark> drawn(Me me, UUID asked, String item) {
        access.require(me, Access.Action.SEE_RESULT, asked);
        ResultRow row = entities.find(ResultRow.class, last(asked));
        boolean shown = shown(row).items().stream().anyMatch(i -> i.item().equals(item) && i.drawn() != null);
        return shown ? drawn.asOf(row.attempt, item, row.handedAt) : List.of();
    }

    /** What is drawn on them now, for the student's teacher. */
    @Transactional(readOnly = true)
    public List<DrawnMarks.DrawnMark> drawnFor(Me me, UUID attempt, String item) {
        access.require(me, Access.Action.WORK_ON_ATTEMPT, attempt);
        return drawn.on(attempt, item, me);
    }

    /** What was handed back last of an attempt. */
    @Transactional(readOnly = true)
    Optional<StudentResult> lastOf(UUID attempt) {
        return entities.createQuery(
                        "from ResultRow r where r.attempt = :attempt order by r.handedAt desc, r.id desc",
                        ResultRow.class)
                .setParameter("attempt", attempt)
                .setMaxResults(1)
                .getResultStream()
                .findFirst()
                .map(StudentResults::shown);
    }

    private static StudentResult shown(ResultRow row) {
        return Json.MAPPER.treeToValue(row.snapshot.path("result"), StudentResult.class);
    }

    private UUID last(UUID result) {
        return entities.createQuery("""
                        select l.id from ResultRow r join ResultRow l on l.attempt = r.attempt
                        where r.id = :result order by l.handedAt desc, l.id desc""", UUID.class)
                .setParameter("result", result)
                .setMaxResults(1)
                .getSingleResult();
    }

    @Transactional
    public void ask(Me me, UUID asked, Question question) {
        access.require(me, Access.Action.SEE_RESULT, asked);
        UUID id = last(asked);
        String words = question.words().strip();
        if (words.isEmpty() || words.length() > LONGEST) {
            throw Refused.invalid("words", "Write what you would like to ask, in at most " + LONGEST + " characters.");
        }
        ResultRow result = entities.find(ResultRow.class, id);
        Attempt attempt = attempts.require(result.attempt);
        requireItem(result.snapshot, question.item());
        boolean waiting = entities.createQuery("""
                        select exists (select 1 from QueryRow q where q.attempt = :attempt and q.item = :item
                          and q.repliedAt is null)""", Boolean.class)
                .setParameter("attempt", result.attempt)
                .setParameter("item", question.item())
                .getSingleResult();
        if (waiting) {
            throw Refused.conflict(
                    "asked-already", "You have already asked about this mark. Your teacher has not replied yet.");
        }
        entities.persist(new QueryRow(
                ids.next(),
                me.school(),
                id,
                result.attempt,
                attempt.assessment(),
                question.item(),
                me.id(),
                words,
                clock.instant()));
        events.say("assessment:" + attempt.assessment());
    }

    private static void requireItem(JsonNode snapshot, String item) {
        boolean there = snapshot.path("result")
                .path("items")
                .valueStream()
                .anyMatch(i -> i.path("item").asString("").equals(item)
                        && i.path("mark").isObject());
        if (!there) {
            throw Refused.invalid("item", "Choose the question you want to ask about.");
        }
    }
}
