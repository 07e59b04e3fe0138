package org.scholion.server.collect;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.formats.json.Texts;
import org.scholion.server.access.Access;
import org.scholion.server.ledger.Attempts;
import org.scholion.server.ledger.Scoring;
import org.scholion.server.ledger.Turns;
import org.scholion.server.platform.Events;
import org.scholion.server.platform.Ids;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** The files of answers that came in, each of which can be taken back as a whole until something of it is handed back. */
@Service
public class BroughtIn {
    private static final int LONGEST_NAME = 200;

    private final EntityManager entities;
    private final Sittings sittings;
    private final Attempts attempts;
    private final Scoring scoring;
    private final Turns turns;
    private final Access access;
    private final Events events;
    private final Ids ids;
    private final Clock clock;

    BroughtIn(
            EntityManager entities,
            Sittings sittings,
            Attempts attempts,
            Scoring scoring,
            Turns turns,
            Access access,
            Events events,
            Ids ids,
            Clock clock) {
        this.entities = entities;
        this.sittings = sittings;
        this.attempts = attempts;
        this.scoring = scoring;
        this.turns = turns;
        this.access = access;
        this.events = events;
        this.ids = ids;
        this.clock = clock;
    }

    /**
     * A file that came in.
     *
     * @param students whose answers of it are in; none where it was taken back
     * @param read how many of these somebody has read an answer of
     * @param handedBack how many of these were handed back
     */
    public record BroughtInLine(
            UUID id,
            String file,
            String by,
            Instant at,
            long students,
            long read,
            long handedBack,
            @Nullable Instant takenBackAt) {}

    /** Those of an assessment, the latest first. */
    @Transactional(readOnly = true)
    public List<BroughtInLine> of(Me me, UUID assessment) {
        access.require(me, Access.Action.WORK_ON_ASSESSMENT, assessment);
        return entities.createQuery("""
                        select b.id, b.file, p.name, b.madeAt,
                               (select count(*) from AttemptRow a where a.broughtIn = b.id),
                               (select count(distinct m.attempt) from MarkRow m join AttemptRow a on a.id = m.attempt
                                where a.broughtIn = b.id and m.reading is not null),
                               (select count(distinct r.attempt) from ResultRow r join AttemptRow a on a.id = r.attempt
                                where a.broughtIn = b.id),
                               b.takenBackAt
                        from BroughtInRow b join Person p on p.id = b.madeBy
                        where b.assessment = :assessment order by b.madeAt desc""", BroughtInLine.class)
                .setParameter("assessment", assessment)
                .getResultList();
    }

    /**
     * Who has an attempt that says something else than a file.
     *
     * @param fromFile it came in from a file, or was typed here; others are never replaced by one
     * @param read somebody has read an answer of it
     * @param handedBack it stays as it is
     */
    public record OtherAnswers(
            UUID attempt, UUID student, String name, boolean fromFile, boolean read, boolean handedBack) {
        boolean mayGo() {
            return fromFile && !handedBack;
        }
    }

    /** Whose these attempts are, and whether they may go. */
    @Transactional(readOnly = true)
    Map<UUID, OtherAnswers> stands(Collection<UUID> some) {
        Map<UUID, OtherAnswers> stands = new LinkedHashMap<>();
        entities.createQuery("""
                        select a.id, a.student, p.name,
                               case when a.way in (FILE, TYPED) then true else false end,
                               case when exists (select 1 from MarkRow m where m.attempt = a.id and m.reading is not null)
                                 then true else false end,
                               case when exists (select 1 from ResultRow r where r.attempt = a.id)
                                 then true else false end
                        from AttemptRow a join Person p on p.id = a.student where a.id in (:some)
                        order by p.family, p.given""", OtherAnswers.class)
                .setParameter("some", some)
                .getResultList()
                .forEach(o -> stands.put(o.attempt(), o));
        return stands;
    }

    /**
     * Takes attempts away with all that is known of them.
     *
     * @return whose standing may be another one now
     */
    @Transactional(propagation = Propagation.MANDATORY)
    List<UUID> remove(Collection<UUID> some) {
        if (some.isEmpty()) {
            return List.of();
        }
        attempts.hold(some);
        entities.createQuery("delete from DraftRow d where d.attempt in (:some)")
                .setParameter("some", some)
                .executeUpdate();
        return attempts.erase(some);
    }

    /** Notes that a file comes in, and gives the id by which its attempts are known. */
    @Transactional(propagation = Propagation.MANDATORY)
    UUID note(Me me, UUID assessment, String file) {
        BroughtInRow row = new BroughtInRow();
        row.id = ids.next();
        row.school = me.school();
        row.assessment = assessment;
        String name = Texts.printable(file).strip();
        row.file = name.length() <= LONGEST_NAME ? name : name.substring(0, LONGEST_NAME - 1) + "…";
        row.madeBy = me.id();
        row.madeAt = clock.instant();
        entities.persist(row);
        entities.flush();
        return row.id;
    }

    /**
     * Takes back everything that came in with a file, and the sittings that were made for it.
     *
     * @param withReadings whether marks that people gave to it may go, too
     */
    public void takeBack(Me me, UUID assessment, UUID file, boolean withReadings) {
        access.require(me, Access.Action.WORK_ON_ASSESSMENT, assessment);
        turns.whole(assessment, () -> {
            BroughtInLine line = of(me, assessment).stream()
                    .filter(b -> b.id().equals(file) && b.takenBackAt() == null)
                    .findFirst()
                    .orElseThrow(Refused::notFound);
            if (line.handedBack() > 0) {
                throw Refused.conflict(
                        "handed-back",
                        line.handedBack() + " of these students have their results already, so this file stays. Nothing"
                                + " was changed.");
            }
            if (line.read() > 0 && !withReadings) {
                throw Refused.conflict(
                        "read",
                        "Answers of " + line.read() + " students have been read meanwhile. Nothing was changed.");
            }
            remove(me, assessment, file);
            return true;
        });
    }

    private void remove(Me me, UUID assessment, UUID file) {
        List<UUID> beside = remove(attempts.broughtIn(file));
        BroughtInRow row = entities.find(BroughtInRow.class, file);
        row.takenBackBy = me.id();
        row.takenBackAt = clock.instant();
        entities.flush();
        sittings.endOf(assessment, file);
        // Whoever is left in a sitting may stand higher on its curve now.
        if (!beside.isEmpty()) {
            scoring.finish(assessment, beside);
        }
        events.say("assessment:" + assessment);
    }
}
