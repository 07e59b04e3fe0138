package org.scholion.server.collect;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.server.platform.Me;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What waits for a student. */
@Service
class ToDo {
    private final EntityManager entities;
    private final Clock clock;

    ToDo(EntityManager entities, Clock clock) {
        this.entities = entities;
        this.clock = clock;
    }

    /** Where a student stands with a sitting. */
    enum Stage {
        COMING,
        OPEN,
        WORKING,
        IN,
        MISSED
    }

    record ToDoLine(
            UUID sitting,
            @Nullable UUID attempt,
            String title,
            String course,
            Instant opens,
            Instant closes,
            @Nullable Integer minutes,
            Stage stage) {}

    @Transactional(readOnly = true)
    List<ToDoLine> of(Me me) {
        Instant now = clock.instant();
        return entities.createQuery("""
                        select s.id, x.id, a.title, c.title, s.opensAt, s.closesAt, s.minutes, x.handedInAt
                        from SittingRow s join Enrolment e on e.section = s.section and e.student = :me
                        join AssessmentRow a on a.id = s.assessment join Course c on c.id = a.course
                        left join AttemptRow x on x.assessment = s.assessment and x.section = s.section and x.student = :me
                        where s.closesAt > :since or x.handedInAt is null
                        order by s.closesAt""", Given.class)
                .setParameter("me", me.id())
                .setParameter("since", now.minusSeconds(14 * 86_400))
                .getResultStream()
                .map(g -> new ToDoLine(
                        g.sitting(),
                        g.attempt(),
                        g.title(),
                        g.course(),
                        g.opens(),
                        g.closes(),
                        g.minutes(),
                        stage(now, g.opens(), g.closes(), g.attempt(), g.handedIn() != null)))
                .toList();
    }

    record Given(
            UUID sitting,
            @Nullable UUID attempt,
            String title,
            String course,
            Instant opens,
            Instant closes,
            @Nullable Integer minutes,
            @Nullable Instant handedIn) {}

    private static Stage stage(Instant now, Instant opens, Instant closes, @Nullable UUID attempt, boolean in) {
        if (in) {
            return Stage.IN;
        }
        if (!now.isBefore(closes)) {
            return Stage.MISSED;
        }
        return attempt != null ? Stage.WORKING : now.isBefore(opens) ? Stage.COMING : Stage.OPEN;
    }
}
