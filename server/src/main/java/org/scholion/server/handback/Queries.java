package org.scholion.server.handback;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.core.answer.Told;
import org.scholion.core.item.Item;
import org.scholion.core.number.Fraction;
import org.scholion.core.reason.Reason;
import org.scholion.core.score.HowItScores;
import org.scholion.core.score.Mark;
import org.scholion.server.access.Access;
import org.scholion.server.key.Edition;
import org.scholion.server.key.Editions;
import org.scholion.server.ledger.Attempt;
import org.scholion.server.ledger.Attempts;
import org.scholion.server.ledger.EffectView;
import org.scholion.server.ledger.Ledger;
import org.scholion.server.ledger.LedgerMark;
import org.scholion.server.ledger.MarkView;
import org.scholion.server.ledger.Regrading;
import org.scholion.server.ledger.Seen;
import org.scholion.server.platform.Lengths;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Queries of students about their marks: they wait like any other pile, and may change a mark. */
@Service
public class Queries {
    private static final int LONGEST = 4_000;

    private final Attempts attempts;
    private final Ledger ledger;
    private final Editions editions;
    private final Regrading regrading;
    private final Access access;
    private final Seen seen;
    private final JdbcClient db;
    private final Clock clock;

    Queries(
            Attempts attempts,
            Ledger ledger,
            Editions editions,
            Regrading regrading,
            Access access,
            Seen seen,
            JdbcClient db,
            Clock clock) {
        this.attempts = attempts;
        this.ledger = ledger;
        this.editions = editions;
        this.regrading = regrading;
        this.access = access;
        this.seen = seen;
        this.db = db;
        this.clock = clock;
    }

    /** A query with everything that is needed to answer it. */
    public record QueryView(
            UUID id,
            UUID assessment,
            String title,
            String section,
            String student,
            String item,
            int number,
            String prompt,
            String answer,
            MarkView mark,
            String rule,
            String words,
            Instant askedAt,
            @Nullable String reply,
            @Nullable Instant repliedAt,
            String saw) {}

    /**
     * A reply.
     *
     * @param points new points for the mark; null when it stays
     * @param saw the mark that was seen; another one meanwhile is a conflict, and nothing is changed
     */
    public record Reply(String words, @Nullable String points, String saw) {}

    private record Row(
            UUID id,
            UUID attempt,
            String title,
            String section,
            String item,
            String words,
            Instant askedAt,
            @Nullable String reply,
            @Nullable Instant repliedAt) {}

    /** The queries of one's courses: those that wait first, the oldest on top; then the latest answered ones. */
    @Transactional(readOnly = true)
    public List<QueryView> list(Me me) {
        return db.sql("""
                        select q.*, a.title, s.name as section from query q
                        join assessment a on a.id = q.assessment_id join attempt x on x.id = q.attempt_id
                        join section s on s.id = x.section_id
                        join course_teacher t on t.course_id = a.course_id and t.person_id = ?
                        order by q.replied_at is not null, q.replied_at desc, q.asked_at limit 200""").param(me.id()).query((row, n) -> row(row)).list().stream()
                .map(this::view)
                .toList();
    }

    private static Row row(ResultSet row) throws SQLException {
        Timestamp replied = row.getTimestamp("replied_at");
        return new Row(
                row.getObject("id", UUID.class),
                row.getObject("attempt_id", UUID.class),
                row.getString("title"),
                row.getString("section"),
                row.getString("item"),
                row.getString("words"),
                row.getTimestamp("asked_at").toInstant(),
                row.getString("reply"),
                replied == null ? null : replied.toInstant());
    }

    private QueryView view(Row q) {
        Attempt attempt = attempts.require(q.attempt());
        Edition edition = editions.require(attempt.assessment());
        Item item = item(edition, q.item());
        Map<String, LedgerMark> marks = ledger.currentOf(q.attempt());
        return new QueryView(
                q.id(),
                attempt.assessment(),
                q.title(),
                q.section(),
                attempt.name(),
                q.item(),
                edition.numberOf(q.item(), attempt.leftOut()),
                item.asked(),
                Told.in(item, Attempts.answer(item, attempts.responsesOf(q.attempt()))),
                MarkView.of(item, Objects.requireNonNull(marks.get(q.item()))),
                HowItScores.of(item),
                q.words(),
                q.askedAt(),
                q.reply(),
                q.repliedAt(),
                seen.mark(Objects.requireNonNull(marks.get(q.item()))));
    }

    /** What giving so many points instead would do. */
    @Transactional(readOnly = true)
    public EffectView preview(Me me, UUID query, Reply reply) {
        access.require(me, Access.Action.ANSWER_QUERY, query);
        Attempt attempt = attempt(query);
        Edition edition = editions.require(attempt.assessment());
        return regrading.previewMarks(
                attempt.assessment(), decision(me, edition, item(edition, itemOf(query)), attempt, reply));
    }

    public void reply(Me me, UUID query, Reply reply) {
        access.require(me, Access.Action.ANSWER_QUERY, query);
        if (reply.words().isBlank()) {
            throw Refused.invalid("words", "Write a reply to the student.");
        }
        String words = Lengths.atMost("words", reply.words().strip(), LONGEST);
        Attempt attempt = attempt(query);
        String itemId = itemOf(query);
        regrading.decide(me, attempt.assessment(), List.of(attempt.id()), () -> {
            Edition edition = editions.require(attempt.assessment());
            Item item = item(edition, itemId);
            LedgerMark current =
                    Objects.requireNonNull(ledger.currentOf(attempt.id()).get(itemId));
            if (!seen.mark(current).equals(reply.saw())) {
                throw Refused.overtaken(
                        "This mark has moved meanwhile"
                                + (current.personName() == null ? "" : ", by " + current.personName())
                                + ". Your reply is still on your screen; look at the mark and send it again.",
                        MarkView.of(item, current));
            }
            int updated = db.sql("""
                            update query set reply = ?, replied_by = ?, replied_at = ?
                            where id = ? and replied_at is null""")
                    .params(words, me.id(), Timestamp.from(clock.instant()), query)
                    .update();
            if (updated == 0) {
                throw Refused.conflict("answered", "This query has been answered already.");
            }
            return decision(me, edition, item, attempt, reply);
        });
    }

    private String itemOf(UUID query) {
        return db.sql("select item from query where id = ?")
                .param(query)
                .query(String.class)
                .single();
    }

    private List<LedgerMark> decision(Me me, Edition edition, Item item, Attempt attempt, Reply reply) {
        if (reply.points() == null || reply.points().isBlank()) {
            return List.of();
        }
        Fraction points = Fraction.parse(reply.points().strip())
                .filter(p -> p.signum() >= 0 && p.compareTo(item.points()) <= 0)
                .orElseThrow(() -> Refused.invalid(
                        "points", "'" + reply.points() + "' is not a number from 0 to " + item.points()));
        Fraction credit = item.points().isZero() ? Fraction.ZERO : points.over(item.points());
        Reason reason = Reason.of(Reason.Code.PERSON);
        return List.of(LedgerMark.byPerson(
                attempt.id(),
                item.id(),
                Mark.scored(
                        credit,
                        reply.words().isBlank()
                                ? reason
                                : reason.with("note", reply.words().strip())),
                edition.number(),
                me,
                null,
                clock.instant()));
    }

    private Attempt attempt(UUID query) {
        return attempts.require(db.sql("select attempt_id from query where id = ?")
                .param(query)
                .query(UUID.class)
                .single());
    }

    private static Item item(Edition edition, String id) {
        return edition.assessment().item(id).orElseThrow(Refused::notFound);
    }
}
