package org.scholion.server.collect;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.server.access.Access;
import org.scholion.server.platform.Events;
import org.scholion.server.platform.Ids;
import org.scholion.server.platform.Lengths;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What a teacher says to one student, or to all, while they work; it stands on their page until it is taken back. */
@Service
class TeacherLines {
    private static final int LONGEST = 500;
    private static final int MOST_SHOWN = 20;

    private final EntityManager entities;
    private final Sittings sittings;
    private final WhoHasIt who;
    private final Access access;
    private final Events events;
    private final Ids ids;
    private final Clock clock;

    TeacherLines(
            EntityManager entities,
            Sittings sittings,
            WhoHasIt who,
            Access access,
            Events events,
            Ids ids,
            Clock clock) {
        this.entities = entities;
        this.sittings = sittings;
        this.who = who;
        this.access = access;
        this.events = events;
        this.ids = ids;
        this.clock = clock;
    }

    /** A line as a student reads it. */
    public record LineTold(UUID id, String words, Instant at) {}

    /** A line as teachers see it; {@code student} is null for all. */
    record LineSaid(UUID id, UUID sitting, @Nullable UUID student, String words, Instant at) {}

    /** @param since what was said before a student began is not theirs */
    @Transactional(readOnly = true)
    List<LineTold> to(UUID sitting, UUID student, Instant since) {
        return entities.createQuery("""
                        select l.id, l.words, l.saidAt from TeacherLine l where l.sitting = :sitting
                          and (l.student is null or l.student = :student)
                          and l.saidAt >= :since and l.takenBackAt is null order by l.saidAt desc""", LineTold.class)
                .setParameter("sitting", sitting)
                .setParameter("student", student)
                .setParameter("since", since)
                .setMaxResults(MOST_SHOWN)
                .getResultList();
    }

    /** The latest that were said in these sittings and stand. */
    @Transactional(readOnly = true)
    List<LineSaid> in(List<UUID> some) {
        return some.isEmpty()
                ? List.of()
                : entities.createQuery("""
                        select l.id, l.sitting, l.student, l.words, l.saidAt from TeacherLine l
                        where l.sitting in (:some) and l.takenBackAt is null order by l.saidAt desc""", LineSaid.class)
                        .setParameter("some", some)
                        .setMaxResults(MOST_SHOWN)
                        .getResultList();
    }

    /** @param student null for all who work in the sitting */
    @Transactional
    UUID say(Me me, UUID sitting, @Nullable UUID student, String words) {
        access.require(me, Access.Action.WORK_ON_SITTING, sitting);
        String said = Lengths.atMost("words", words, LONGEST).strip();
        if (said.isEmpty()) {
            throw Refused.invalid("words", "Write what you want to say.");
        }
        SittingRow row = sittings.require(sitting);
        if (student != null) {
            who.require(row, List.of(student));
        }
        TeacherLine line = new TeacherLine();
        line.id = ids.next();
        line.school = me.school();
        line.sitting = sitting;
        line.student = student;
        line.words = said;
        line.saidBy = me.id();
        line.saidAt = clock.instant();
        entities.persist(line);
        events.say("assessment:" + row.assessment);
        return line.id;
    }

    /** Takes a line back: it disappears from the pages on which it is still seen. */
    @Transactional
    void takeBack(Me me, UUID sitting, UUID id) {
        access.require(me, Access.Action.WORK_ON_SITTING, sitting);
        TeacherLine line = entities.find(TeacherLine.class, id);
        if (line == null || !line.sitting.equals(sitting)) {
            throw Refused.notFound();
        }
        line.takenBackAt = clock.instant();
        events.say("assessment:" + sittings.require(sitting).assessment);
    }
}
