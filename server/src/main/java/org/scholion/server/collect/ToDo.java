package org.scholion.server.collect;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Duration;
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
    /** So long what was handed in stays in the list after its end. */
    private static final Duration STAYS = Duration.ofDays(14);

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

    /**
     * Something to do.
     *
     * @param opens when it opens and {@code closes} when it closes for this student
     * @param lateUntil until when it is taken late; null for not at all
     * @param minutes how long this student has; null for no limit
     * @param attemptsLeft how often it may be taken from now on, where it is open
     * @param asksCode whether a code has to be typed to begin
     * @param rules what is to be known before beginning
     */
    record ToDoLine(
            UUID sitting,
            @Nullable UUID attempt,
            String title,
            String course,
            Instant opens,
            Instant closes,
            @Nullable Instant lateUntil,
            @Nullable Integer minutes,
            Stage stage,
            boolean asksCode,
            int attemptsLeft,
            BeforeBeginning rules) {}

    /** What is told on the page before the questions. */
    record BeforeBeginning(
            String words,
            boolean goingBack,
            boolean mustAnswer,
            boolean leavingCounted,
            SittingSettings.Practising practice,
            int attempts,
            boolean changes,
            boolean fullScreen,
            @Nullable String picture,
            @Nullable String pictureWords,
            SittingSettings.@Nullable Calculator calculator) {}

    @Transactional(readOnly = true)
    List<ToDoLine> of(Me me) {
        return me.only() == null
                ? of(me.id())
                : of(me.id(), SittingSlips.GUESTS_STAY).stream()
                        .filter(line -> me.only().equals(line.sitting()))
                        .toList();
    }

    @Transactional(readOnly = true)
    List<ToDoLine> of(UUID student) {
        return of(student, STAYS);
    }

    private List<ToDoLine> of(UUID student, Duration stays) {
        Instant now = clock.instant();
        return entities.createQuery("""
                        select s, d, x.id, a.title, c.title, x.handedInAt,
                          (select count(*) from AttemptRow z where z.assessment = s.assessment
                            and z.section = s.section and z.student = :me)
                        from SittingRow s join Expected e on e.sitting = s.id and e.student = :me
                        join AssessmentRow a on a.id = s.assessment join Course c on c.id = a.course
                        left join DifferentRow d on d.sitting = s.id and d.student = :me
                        left join AttemptRow x on x.assessment = s.assessment and x.section = s.section and x.student = :me
                          and not exists (select 1 from AttemptRow y where y.assessment = s.assessment
                            and y.section = s.section and y.student = :me and y.id > x.id)
                        where (s.endsAt > :since or x.handedInAt is null) and (s.broughtIn is null or x.id is not null)
                        order by s.closesAt""", Given.class)
                .setParameter("me", student)
                .setParameter("since", now.minus(stays))
                .getResultStream()
                .map(g -> line(now, g))
                .toList();
    }

    record Given(
            SittingRow sitting,
            @Nullable DifferentRow different,
            @Nullable UUID attempt,
            String title,
            String course,
            @Nullable Instant handedIn,
            long taken) {}

    private static ToDoLine line(Instant now, Given g) {
        OwnTimes own = OwnTimes.of(g.sitting(), g.different());
        int allowed = g.sitting().attemptsFor(g.different());
        int left = own.isOpen(now) ? (int) Math.max(0, allowed - g.taken()) : 0;
        return line(
                g.sitting(),
                own,
                new Own(g.attempt(), stage(now, own, g.attempt(), g.handedIn() != null), allowed, left),
                g.title(),
                g.course());
    }

    /** How a student stands with it. */
    private record Own(@Nullable UUID attempt, Stage stage, int allowed, int left) {}

    /** As it would stand for whoever may begin now. */
    static ToDoLine open(SittingRow sitting, @Nullable DifferentRow different, String title) {
        int attempts = sitting.attemptsFor(different);
        return line(sitting, OwnTimes.of(sitting, different), new Own(null, Stage.OPEN, attempts, attempts), title, "");
    }

    private static ToDoLine line(SittingRow sitting, OwnTimes own, Own how, String title, String course) {
        SittingSettings s = sitting.settings;
        return new ToDoLine(
                sitting.id,
                how.attempt(),
                title,
                course,
                own.opens(),
                own.closes(),
                own.ends().isAfter(own.closes()) ? own.ends() : null,
                own.limit() == null ? null : (int) own.limit().toMinutes(),
                how.stage(),
                !s.code().isEmpty(),
                how.left(),
                new BeforeBeginning(
                        s.wordsBefore(),
                        s.goingBack(),
                        s.mustAnswer(),
                        s.leavingCounted(),
                        s.practice(),
                        how.allowed(),
                        s.changes(),
                        s.fullScreen(),
                        s.picture(),
                        s.pictureWords(),
                        s.calculator()));
    }

    private static Stage stage(Instant now, OwnTimes own, @Nullable UUID attempt, boolean in) {
        if (in) {
            return Stage.IN;
        }
        if (attempt != null) {
            return Stage.WORKING;
        }
        if (!now.isBefore(own.ends())) {
            return Stage.MISSED;
        }
        return now.isBefore(own.opens()) ? Stage.COMING : Stage.OPEN;
    }
}
