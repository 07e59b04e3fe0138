package org.scholion.server.ledger;

import jakarta.persistence.EntityManager;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.server.platform.Refused;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Attempts on screen while they are worked on: until when, paused or not, how far. */
@Service
public class AtWork {
    private static final String FIELDS = """
            select x.id, x.sitting, x.student, x.startedAt, x.dueAt, x.handedInAt, x.moreUntil, x.pausedAt,
              x.pausedSeconds, x.reached, x.leftPage, x.ownOrder, x.follows from AttemptRow x where\s""";

    private final EntityManager entities;

    AtWork(EntityManager entities) {
        this.entities = entities;
    }

    /**
     * How an attempt on screen stands.
     *
     * @param due until when answers are taken; null for what came in otherwise
     * @param moreUntil until when it may go on in any case; null where nobody gave it more
     * @param pausedAt since when it is paused; null when it is not
     * @param pausedSeconds how long it was paused before
     * @param reached the place of the question that was reached, where there is no going back
     * @param leftPage how often the page was left, where that is counted
     * @param ownOrder the attempt in whose order its questions stand; null for its own
     * @param follows the attempt that was opened again as this one
     */
    public record Stand(
            UUID attempt,
            UUID sitting,
            UUID student,
            Instant startedAt,
            @Nullable Instant due,
            @Nullable Instant handedInAt,
            @Nullable Instant moreUntil,
            @Nullable Instant pausedAt,
            int pausedSeconds,
            int reached,
            int leftPage,
            @Nullable UUID ownOrder,
            @Nullable UUID follows) {

        /** Until when it may go on when its time alone ended then. */
        public Instant dueAfter(Instant deadline) {
            return dueAfter(deadline, moreUntil);
        }

        /** The same, when it may go on until then in any case. */
        public Instant dueAfter(Instant deadline, @Nullable Instant until) {
            Instant own = deadline.plusSeconds(pausedSeconds);
            return until == null || until.isBefore(own) ? own : until;
        }

        /** The end of its time as far as it is known: of what is over, the moment at which it came in. */
        public Instant end() {
            return due != null ? due : handedInAt != null ? handedInAt : startedAt;
        }

        /** The attempt whose order and names its questions have. */
        public UUID order() {
            return ownOrder == null ? attempt : ownOrder;
        }
    }

    @Transactional(readOnly = true)
    public Stand require(UUID attempt) {
        return find(attempt).orElseThrow(Refused::notFound);
    }

    @Transactional(readOnly = true)
    public Optional<Stand> find(UUID attempt) {
        return entities.createQuery(FIELDS + "x.id = :id", Stand.class)
                .setParameter("id", attempt)
                .getResultStream()
                .findFirst();
    }

    /** Those of a sitting that are worked on. */
    @Transactional(readOnly = true)
    public List<Stand> in(UUID sitting) {
        return entities.createQuery(
                        FIELDS + "x.sitting = :sitting and x.handedInAt is null and x.way = SCREEN", Stand.class)
                .setParameter("sitting", sitting)
                .getResultList();
    }

    /** Those of an assessment, also those that are in, by attempt. */
    @Transactional(readOnly = true)
    public List<Stand> of(UUID assessment) {
        return entities.createQuery(FIELDS + "x.assessment = :assessment", Stand.class)
                .setParameter("assessment", assessment)
                .getResultList();
    }

    /** Whether anybody is still at work on an assessment whose time is not over. */
    @Transactional(readOnly = true)
    public boolean isAny(UUID assessment, Instant now) {
        return !entities.createQuery(
                        "select x.id from AttemptRow x where x.assessment = :assessment and x.handedInAt is null"
                                + " and (x.dueAt > :now or x.pausedAt is not null)",
                        UUID.class)
                .setParameter("assessment", assessment)
                .setParameter("now", now)
                .setMaxResults(1)
                .getResultList()
                .isEmpty();
    }

    /** Other ends for attempts that are worked on; in one statement, however many. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void setDue(Map<UUID, Instant> due) {
        if (due.isEmpty()) {
            return;
        }
        List<UUID> ids = List.copyOf(due.keySet());
        entities.flush();
        entities.createNativeQuery("""
                        update attempt x set due_at = n.due from unnest(:ids, :ends) as n (id, due)
                        where x.id = n.id and x.handed_in_at is null""")
                .setParameter("ids", ids.toArray(new UUID[0]))
                .setParameter("ends", ids.stream().map(due::get).toArray(Instant[]::new))
                .executeUpdate();
    }

    /** Lets attempts go on until then in any case. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void setMoreUntil(UUID attempt, Instant until) {
        entities.createQuery("update AttemptRow x set x.moreUntil = :until where x.id = :id and x.handedInAt is null")
                .setParameter("until", until)
                .setParameter("id", attempt)
                .executeUpdate();
    }

    /** Stops the time of those of a sitting that are worked on; of those that stand already, nothing changes. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void pause(UUID sitting, Collection<UUID> some, Instant now) {
        entities.createQuery("update AttemptRow x set x.pausedAt = :now where x.sitting = :sitting and x.id in (:some)"
                        + " and x.handedInAt is null and x.pausedAt is null")
                .setParameter("now", now)
                .setParameter("sitting", sitting)
                .setParameter("some", some)
                .executeUpdate();
    }

    /** Goes on: what the pause took, in whole seconds, is added to every end of each. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void goOn(UUID sitting, Collection<UUID> some, Instant now) {
        entities.flush();
        entities.createNativeQuery("""
                        update attempt x set paused_at = null, paused_seconds = x.paused_seconds + p.stood,
                          due_at = x.due_at + make_interval(secs => p.stood),
                          more_until = x.more_until + make_interval(secs => p.stood)
                        from (select id, greatest(0, floor(extract(epoch from :now - paused_at)))::int as stood
                              from attempt where sitting_id = :sitting and id = any(:some) and handed_in_at is null
                                and set_aside_at is null and paused_at is not null) p
                        where x.id = p.id""")
                .setParameter("now", now)
                .setParameter("sitting", sitting)
                .setParameter("some", some.toArray(new UUID[0]))
                .executeUpdate();
    }

    /** Notes how far a student has gone on; never less far than before. */
    @Transactional
    public void reach(UUID attempt, int place) {
        entities.createQuery("update AttemptRow x set x.reached = :place"
                        + " where x.id = :id and x.handedInAt is null and x.reached < :place")
                .setParameter("place", place)
                .setParameter("id", attempt)
                .executeUpdate();
    }

    /** Counts that the page was left once more. */
    @Transactional
    public void leave(UUID attempt) {
        entities.createQuery(
                        "update AttemptRow x set x.leftPage = x.leftPage + 1 where x.id = :id and x.handedInAt is null")
                .setParameter("id", attempt)
                .executeUpdate();
    }
}
