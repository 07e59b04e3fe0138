package org.scholion.server.ledger;

import jakarta.persistence.EntityManager;
import jakarta.persistence.TypedQuery;
import java.time.Clock;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;
import org.scholion.core.item.Item;
import org.scholion.server.access.Access;
import org.scholion.server.key.Edition;
import org.scholion.server.key.Editions;
import org.scholion.server.platform.Events;
import org.scholion.server.platform.Ids;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;

/**
 * Answers that were written in time and came in when the time was over: kept, shown with what they would change, and
 * counted when a teacher says so. What was handed in stays beside them.
 */
@Service
public class LateAnswers {
    private static final int MOST_OF_AN_ITEM = 20;

    private final EntityManager entities;
    private final Turns turns;
    private final Attempts attempts;
    private final Ledger ledger;
    private final Scoring scoring;
    private final Editions editions;
    private final Access access;
    private final Events events;
    private final Ids ids;
    private final Clock clock;

    LateAnswers(
            EntityManager entities,
            Turns turns,
            Attempts attempts,
            Ledger ledger,
            Scoring scoring,
            Editions editions,
            Access access,
            Events events,
            Ids ids,
            Clock clock) {
        this.entities = entities;
        this.turns = turns;
        this.attempts = attempts;
        this.ledger = ledger;
        this.scoring = scoring;
        this.editions = editions;
        this.access = access;
        this.events = events;
        this.ids = ids;
        this.clock = clock;
    }

    /**
     * A late answer as a teacher sees it.
     *
     * @param answer what it says; {@code instead} is what counts otherwise, null when nothing was handed in
     * @param now the mark as it is; null while the attempt is not in yet
     * @param then the mark that the key gives to the late answer
     * @param counts whether it counts already
     */
    public record LateLine(
            UUID id,
            UUID attempt,
            String student,
            UUID section,
            String item,
            int number,
            String answer,
            @Nullable String instead,
            Instant writtenAt,
            Instant cameAt,
            @Nullable MarkView now,
            MarkView then,
            boolean counts) {}

    private record Row(LateAnswer late, Attempt attempt) {}

    /** Keeps an answer that came too late; the same once more is kept once. */
    @Transactional
    public void keep(Attempt attempt, String item, JsonNode answer, Instant writtenAt, Instant now) {
        List<LateAnswer> before = entities.createQuery(
                        "from LateAnswer where attempt = :attempt and item = :item order by writtenAt desc",
                        LateAnswer.class)
                .setParameter("attempt", attempt.id())
                .setParameter("item", item)
                .getResultList();
        if (before.stream().anyMatch(l -> l.answer.equals(answer))) {
            return;
        }
        if (before.size() >= MOST_OF_AN_ITEM) {
            throw Refused.conflict(
                    "too-many",
                    "Very many answers to this question came late. This one is still on your device; show it to your teacher.");
        }
        LateAnswer late = new LateAnswer();
        late.id = ids.next();
        late.school = attempt.school();
        late.attempt = attempt.id();
        late.item = item;
        late.answer = answer;
        late.decision = LateAnswer.Decision.WAITS;
        late.writtenAt = writtenAt;
        late.cameAt = now;
        entities.persist(late);
        events.say("assessment:" + attempt.assessment());
    }

    /** The late answers of an assessment that wait or count, of one section where one is named. */
    @Transactional(readOnly = true)
    public List<LateLine> of(Me me, UUID assessment, @Nullable UUID section) {
        access.require(me, Access.Action.WORK_ON_ASSESSMENT, assessment);
        TypedQuery<LateAnswer> query = entities.createQuery(
                        """
                        select l from AttemptRow x join LateAnswer l on l.school = x.school and l.attempt = x.id
                        where x.assessment = :assessment and l.decision in (WAITS, COUNTS)\s""" + OfSection.where(section) + "order by l.cameAt", LateAnswer.class)
                .setParameter("assessment", assessment);
        List<LateAnswer> late = OfSection.set(query, section).getResultList();
        if (late.isEmpty()) {
            return List.of();
        }
        Edition edition = editions.require(assessment);
        List<UUID> whose = late.stream().map(l -> l.attempt).distinct().toList();
        Map<UUID, Attempt> own = new HashMap<>();
        attempts.some(whose).forEach(a -> own.put(a.id(), a));
        Map<UUID, Map<String, JsonNode>> handedIn = attempts.handedIn(whose);
        Map<UUID, Map<String, LedgerMark>> marks = ledger.currentOf(whose);
        return late.stream()
                .filter(l -> edition.assessment().item(l.item).isPresent())
                .map(l -> line(
                        edition,
                        new Row(l, Objects.requireNonNull(own.get(l.attempt))),
                        handedIn.getOrDefault(l.attempt, Map.of()).get(l.item),
                        marks.getOrDefault(l.attempt, Map.of()).get(l.item)))
                .toList();
    }

    private LateLine line(Edition edition, Row row, @Nullable JsonNode instead, @Nullable LedgerMark mark) {
        Item item = edition.assessment().item(row.late.item).orElseThrow();
        Said said = Said.of(item, row.late.answer);
        return new LateLine(
                row.late.id,
                row.attempt.id(),
                row.attempt.name(),
                row.attempt.section(),
                item.id(),
                edition.numberOf(item.id()),
                said.told(item, null),
                instead == null ? null : Said.of(item, instead).told(item, null),
                row.late.writtenAt,
                row.late.cameAt,
                mark == null ? null : MarkView.of(item, mark),
                MarkView.of(item, byKey(edition, row.attempt, item, said)),
                row.late.decision == LateAnswer.Decision.COUNTS);
    }

    private LedgerMark byKey(Edition edition, Attempt attempt, Item item, Said said) {
        return LedgerMark.byRule(
                attempt.id(), item.id(), said.markedBy(edition, item), edition.number(), clock.instant());
    }

    /** Lets it count: it is scored as if it had come in time. */
    public void take(Me me, UUID id) {
        decide(me, id, LateAnswer.Decision.COUNTS, row -> {
            Edition edition = editions.require(row.attempt.assessment());
            Item item = edition.assessment().item(row.late.item).orElseThrow(Refused::notFound);
            LedgerMark before = ledger.currentOf(row.attempt.id()).get(item.id());
            row.late.markBefore = before == null ? null : before.seq();
            others(row);
            Said said = Said.of(item, row.late.answer);
            ledger.append(row.attempt.school(), List.of(byKey(edition, row.attempt, item, said)));
        });
    }

    /** Another late answer to the same question counts no more. */
    private void others(Row row) {
        entities.createQuery("update LateAnswer set decision = LEFT where attempt = :attempt and item = :item"
                        + " and decision = COUNTS and id <> :id")
                .setParameter("attempt", row.late.attempt)
                .setParameter("item", row.late.item)
                .setParameter("id", row.late.id)
                .executeUpdate();
    }

    /** Leaves it as it is: it stays kept and counts nothing. */
    public void leave(Me me, UUID id) {
        decide(me, id, LateAnswer.Decision.LEFT, row -> {});
    }

    /** Takes back that it counts; the mark that stood before stands again. */
    public void takeBack(Me me, UUID id) {
        decide(me, id, LateAnswer.Decision.WAITS, row -> {
            Edition edition = editions.require(row.attempt.assessment());
            Item item = edition.assessment().item(row.late.item).orElseThrow(Refused::notFound);
            Long place = row.late.markBefore;
            row.late.markBefore = null;
            LedgerMark again = ledger.history(row.attempt.id(), item.id()).stream()
                    .filter(m -> place != null && m.seq() == place && (m.byPerson() || m.edition() == edition.number()))
                    .map(m -> m.again(m.mark(), edition.number(), clock.instant()))
                    .findFirst()
                    .orElseGet(() -> byKey(
                            edition,
                            row.attempt,
                            item,
                            Said.to(
                                    item,
                                    attempts.handedIn(List.of(row.attempt.id()))
                                            .getOrDefault(row.attempt.id(), Map.of()))));
            ledger.append(row.attempt.school(), List.of(again));
        });
    }

    private void decide(Me me, UUID id, LateAnswer.Decision decision, Consumer<Row> work) {
        UUID whose = entities
                .createQuery("select attempt from LateAnswer where id = :id", UUID.class)
                .setParameter("id", id)
                .getResultList()
                .stream()
                .findFirst()
                .orElseThrow(Refused::notFound);
        access.require(me, Access.Action.WORK_ON_ATTEMPT, whose);
        Attempt attempt = attempts.require(whose);
        turns.shared(attempt.assessment(), () -> {
            if (attempts.hold(whose)) {
                throw Refused.conflict(
                        "not-in", attempt.name() + " is not handed in yet. This can be decided in a moment.");
            }
            LateAnswer late = entities.find(LateAnswer.class, id);
            boolean fits = decision == LateAnswer.Decision.WAITS
                    ? late.decision == LateAnswer.Decision.COUNTS
                    : late.decision == LateAnswer.Decision.WAITS;
            if (!fits) {
                throw Refused.conflict(
                        "changed-meanwhile", "A colleague has decided about this answer meanwhile. Look again.");
            }
            work.accept(new Row(late, attempt));
            late.decision = decision;
            late.decidedBy = me.id();
            late.decidedAt = clock.instant();
            entities.flush();
            scoring.finish(attempt.assessment(), List.of(whose));
            return attempt;
        });
    }
}
