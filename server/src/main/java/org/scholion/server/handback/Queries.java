package org.scholion.server.handback;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.scholion.core.answer.Told;
import org.scholion.core.item.Item;
import org.scholion.core.score.HowItScores;
import org.scholion.server.access.Access;
import org.scholion.server.key.Edition;
import org.scholion.server.key.Editions;
import org.scholion.server.ledger.Attempt;
import org.scholion.server.ledger.Attempts;
import org.scholion.server.ledger.ByHand;
import org.scholion.server.ledger.EffectView;
import org.scholion.server.ledger.Ledger;
import org.scholion.server.ledger.LedgerMark;
import org.scholion.server.ledger.MarkView;
import org.scholion.server.ledger.Regrading;
import org.scholion.server.ledger.Seen;
import org.scholion.server.platform.Lengths;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;

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
    private final EntityManager entities;
    private final Clock clock;

    Queries(
            Attempts attempts,
            Ledger ledger,
            Editions editions,
            Regrading regrading,
            Access access,
            Seen seen,
            EntityManager entities,
            Clock clock) {
        this.attempts = attempts;
        this.ledger = ledger;
        this.editions = editions;
        this.regrading = regrading;
        this.access = access;
        this.seen = seen;
        this.entities = entities;
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

    record Row(QueryRow query, String title, String section) {}

    /** The queries of one's courses: those that wait first, the oldest on top; then the latest answered ones. */
    @Transactional(readOnly = true)
    public List<QueryView> list(Me me) {
        List<Row> rows = entities.createQuery("""
                        select q, a.title, s.name from QueryRow q
                        join AssessmentRow a on a.id = q.assessment join AttemptRow x on x.id = q.attempt
                        join Section s on s.id = x.section
                        join CourseTeacher t on t.course = a.course and t.person = :me
                        order by case when q.repliedAt is null then 0 else 1 end, q.repliedAt desc, q.askedAt""", Row.class)
                .setParameter("me", me.id())
                .setMaxResults(200)
                .getResultList();
        About about = about(rows.stream().map(Row::query).toList());
        return rows.stream()
                .map(r -> view(r.query(), r.title(), r.section(), about))
                .toList();
    }

    /** What queries are about, read at once for all of them. */
    private record About(
            Map<UUID, Attempt> attempts,
            Map<UUID, Edition> editions,
            Map<UUID, Map<String, JsonNode>> responses,
            Map<UUID, Map<String, LedgerMark>> marks) {}

    private About about(List<QueryRow> queries) {
        List<UUID> ids = queries.stream().map(q -> q.attempt).distinct().toList();
        Set<String> items = queries.stream().map(q -> q.item).collect(Collectors.toSet());
        Map<UUID, Attempt> own = new HashMap<>();
        Map<UUID, Edition> latest = new HashMap<>();
        for (Attempt attempt : attempts.some(ids)) {
            own.put(attempt.id(), attempt);
            latest.computeIfAbsent(attempt.assessment(), editions::require);
        }
        return new About(own, latest, attempts.responsesOf(ids, items), ledger.currentOf(ids, items));
    }

    private QueryView view(QueryRow q, String title, String section, About about) {
        Attempt attempt = Objects.requireNonNull(about.attempts().get(q.attempt));
        Edition edition = Objects.requireNonNull(about.editions().get(attempt.assessment()));
        Item item = item(edition, q.item);
        LedgerMark mark = Objects.requireNonNull(
                about.marks().getOrDefault(q.attempt, Map.of()).get(q.item));
        Map<String, JsonNode> said = about.responses().getOrDefault(q.attempt, Map.of());
        return new QueryView(
                q.id,
                attempt.assessment(),
                title,
                section,
                attempt.name(),
                q.item,
                edition.numberOf(q.item, attempt.leftOut()),
                item.asked(),
                Told.in(item, Attempts.answer(item, said)),
                MarkView.of(item, mark),
                HowItScores.of(item),
                q.words,
                q.askedAt,
                q.reply,
                q.repliedAt,
                seen.mark(mark));
    }

    /** What giving so many points instead would do. */
    @Transactional(readOnly = true)
    public EffectView preview(Me me, UUID query, Reply reply) {
        access.require(me, Access.Action.ANSWER_QUERY, query);
        Attempt attempt = attempt(query);
        Edition edition = editions.require(attempt.assessment());
        Item item = item(edition, itemOf(query));
        return regrading.previewMarks(
                attempt.assessment(), decision(me, edition, item, current(attempt, item.id()), reply));
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
            LedgerMark current = current(attempt, itemId);
            if (!seen.mark(current).equals(reply.saw())) {
                throw Refused.overtaken(
                        "This mark has moved meanwhile"
                                + (current.personName() == null ? "" : ", by " + current.personName())
                                + ". Your reply is still on your screen; look at the mark and send it again.",
                        MarkView.of(item, current));
            }
            int updated = entities.createQuery("""
                            update QueryRow q set q.reply = :words, q.repliedBy = :me, q.repliedAt = :now
                            where q.id = :query and q.repliedAt is null""")
                    .setParameter("words", words)
                    .setParameter("me", me.id())
                    .setParameter("now", clock.instant())
                    .setParameter("query", query)
                    .executeUpdate();
            if (updated == 0) {
                throw Refused.conflict("answered", "This query has been answered already.");
            }
            return decision(me, edition, item, current, reply);
        });
    }

    private LedgerMark current(Attempt attempt, String item) {
        return Objects.requireNonNull(ledger.currentOf(attempt.id()).get(item));
    }

    private String itemOf(UUID query) {
        return entities.createQuery("select q.item from QueryRow q where q.id = :id", String.class)
                .setParameter("id", query)
                .getSingleResult();
    }

    private List<LedgerMark> decision(Me me, Edition edition, Item item, LedgerMark current, Reply reply) {
        if (reply.points() == null || reply.points().isBlank()) {
            return List.of();
        }
        return List.of(ByHand.points(current, edition, item, reply.points(), reply.words(), me, clock.instant()));
    }

    private Attempt attempt(UUID query) {
        return attempts.require(entities.createQuery("select q.attempt from QueryRow q where q.id = :id", UUID.class)
                .setParameter("id", query)
                .getSingleResult());
    }

    private static Item item(Edition edition, String id) {
        return edition.assessment().item(id).orElseThrow(Refused::notFound);
    }
}
