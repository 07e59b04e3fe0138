package org.scholion.server.desk;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.server.access.Access;
import org.scholion.server.examine.Examination;
import org.scholion.server.handback.Queries;
import org.scholion.server.key.About;
import org.scholion.server.key.Assessments;
import org.scholion.server.key.InUnit;
import org.scholion.server.platform.Jobs;
import org.scholion.server.platform.Me;
import org.scholion.server.read.ReaderScopes;
import org.scholion.server.read.Readings;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The teacher's home: the piles that wait, what is being taken now, what is coming up. True at every moment. */
@Service
class Desk {
    /** A teacher's pace is that of so many of their last readings. */
    private static final int PACE_OF = 300;

    private static final int FEWEST_GAPS = 5;
    private static final double SHORTEST_GAP = 2;
    private static final double LONGEST_GAP = 600;

    private final LineCounts counts;
    private final Queries queries;
    private final Examination examination;
    private final Assessments assessments;
    private final InUnit inUnit;
    private final About about;
    private final Access access;
    private final Jobs jobs;
    private final ReaderScopes scopes;
    private final Readings readings;
    private final EntityManager entities;
    private final Clock clock;

    Desk(
            LineCounts counts,
            Queries queries,
            Examination examination,
            Assessments assessments,
            InUnit inUnit,
            About about,
            Access access,
            Jobs jobs,
            ReaderScopes scopes,
            Readings readings,
            EntityManager entities,
            Clock clock) {
        this.counts = counts;
        this.queries = queries;
        this.examination = examination;
        this.assessments = assessments;
        this.inUnit = inUnit;
        this.about = about;
        this.access = access;
        this.jobs = jobs;
        this.scopes = scopes;
        this.readings = readings;
        this.entities = entities;
        this.clock = clock;
    }

    /** What kind of work a pile is. */
    enum Work {
        READ,
        SETTLE,
        QUERIES,
        HAND_BACK
    }

    /**
     * A pile that waits.
     *
     * @param seconds how long it takes at this teacher's pace; null where too little is known
     */
    record Pile(
            Work work,
            int count,
            UUID assessment,
            String title,
            @Nullable UUID section,
            @Nullable String sectionName,
            @Nullable Instant since,
            @Nullable Long seconds) {}

    record BeingTaken(
            UUID assessment,
            String title,
            @Nullable UUID section,
            @Nullable String sectionName,
            @Nullable Instant closes,
            int in,
            int working,
            int expected) {}

    record Coming(UUID assessment, String title, @Nullable String sectionName, Instant at, boolean opens) {}

    record Looked(UUID assessment, String title, int seen, int handedBack) {}

    /** An attempt that could not be taken in at the end of its time, and why. */
    record Trouble(UUID assessment, String title, UUID section, UUID attempt, String student, String why, Instant at) {}

    /** @param work long work that one has begun within the last day */
    record DeskView(
            List<Pile> piles,
            List<BeingTaken> beingTaken,
            List<Coming> coming,
            List<Queries.QueryView> queries,
            List<Looked> looked,
            List<Trouble> troubles,
            List<Jobs.JobView> work) {}

    record SectionOfLine(UUID id, String name, boolean given) {}

    /** How much of an assessment is one's own to see. */
    enum Share {
        ALL,
        /** It is shared with one to edit its key: students and their work are not to be seen. */
        KEY,
        /** One reads open answers in its course, without names. */
        READING
    }

    record AssessmentHeader(
            UUID id,
            String title,
            UUID course,
            String courseTitle,
            List<SectionOfLine> sections,
            Line line,
            Share share) {}

    /** @param unit the topic of the course that it belongs to */
    record AssessmentLine(
            UUID id, String title, @Nullable UUID unit, List<String> sections, Line line, About.InShort about) {}

    @Transactional(readOnly = true)
    DeskView of(Me me) {
        List<LineCounts.SectionCounts> all = counts.of(me.id(), null, null);
        List<Queries.QueryView> open =
                queries.list(me).stream().filter(q -> q.repliedAt() == null).toList();
        Instant now = clock.instant();
        return new DeskView(
                piles(me, all, open),
                beingTaken(all, now),
                coming(all, now),
                open,
                looked(me),
                troubles(me),
                jobs.recent(me));
    }

    private List<Trouble> troubles(Me me) {
        return entities.createQuery("""
                        select a.id, a.title, x.section, x.id, p.name, x.trouble, x.troubleAt
                        from AttemptRow x join AssessmentRow a on a.id = x.assessment join Person p on p.id = x.student
                        join CourseTeacher t on t.course = a.course and t.person = :me
                        where x.handedInAt is null and x.trouble is not null order by x.troubleAt""", Trouble.class)
                .setParameter("me", me.id())
                .setMaxResults(50)
                .getResultList();
    }

    private List<Pile> piles(Me me, List<LineCounts.SectionCounts> all, List<Queries.QueryView> open) {
        List<Pile> piles = new ArrayList<>();
        Long reading = pace(me);
        for (LineCounts.SectionCounts c : all) {
            if (c.unread() > 0) {
                piles.add(
                        pile(Work.READ, c.unread(), c, c.unreadSince(), reading == null ? null : reading * c.unread()));
            }
            if (c.doubts() > 0) {
                piles.add(pile(Work.SETTLE, c.doubts(), c, c.doubtsSince(), null));
            }
            boolean over = c.working() == 0 && c.closes() != null && !c.closes().isAfter(clock.instant());
            if (c.ready() > 0 && over && c.unread() == 0 && c.doubts() == 0) {
                piles.add(pile(Work.HAND_BACK, c.ready(), c, null, null));
            }
        }
        piles.addAll(toReadForOthers(me, reading));
        Map<UUID, List<Queries.QueryView>> byAssessment = new LinkedHashMap<>();
        open.forEach(q -> byAssessment
                .computeIfAbsent(q.assessment(), a -> new ArrayList<>())
                .add(q));
        byAssessment.forEach((assessment, asked) -> piles.add(new Pile(
                Work.QUERIES,
                asked.size(),
                assessment,
                asked.get(0).title(),
                null,
                asked.get(0).section(),
                asked.get(0).askedAt(),
                null)));
        piles.sort(Comparator.comparing(Pile::since, Comparator.nullsLast(Comparator.naturalOrder()))
                .thenComparing(p -> -p.count()));
        return piles;
    }

    /** What waits in courses in which one reads without teaching them. */
    private List<Pile> toReadForOthers(Me me, @Nullable Long pace) {
        Set<UUID> narrowed = scopes.narrowed(me);
        Map<UUID, Map<UUID, Integer>> own = new HashMap<>();
        return entities.createQuery("""
                        select x.assessment, a.title, x.section, n.name, sum(s.unread), min(s.unreadSince)
                        from CourseReader r join AssessmentRow a on a.course = r.course
                        join AttemptRow x on x.assessment = a.id
                        join StandingRow s on s.school = x.school and s.attempt = x.id and s.unread > 0
                        join Section n on n.id = x.section
                        where r.person = :me group by x.assessment, a.title, x.section, n.name""", Unread.class)
                .setParameter("me", me.id())
                .getResultStream()
                .map(u -> narrowed.contains(u.assessment())
                        ? u.with(own.computeIfAbsent(u.assessment(), a -> readings.waiting(me, a))
                                .getOrDefault(u.section(), 0))
                        : u)
                .filter(u -> u.count() > 0)
                .map(u -> new Pile(
                        Work.READ,
                        (int) u.count(),
                        u.assessment(),
                        u.title(),
                        u.section(),
                        u.sectionName(),
                        u.since(),
                        pace == null ? null : pace * u.count()))
                .toList();
    }

    private record Unread(
            UUID assessment,
            String title,
            UUID section,
            String sectionName,
            long count,
            @Nullable Instant since) {
        Unread with(long other) {
            return new Unread(assessment, title, section, sectionName, other, since);
        }
    }

    private static Pile pile(
            Work work, int count, LineCounts.SectionCounts c, @Nullable Instant since, @Nullable Long seconds) {
        return new Pile(work, count, c.assessment(), c.title(), c.section(), c.sectionName(), since, seconds);
    }

    /** The median gap in seconds between this teacher's last readings; gaps over ten minutes are pauses. */
    private @Nullable Long pace(Me me) {
        List<Instant> at = entities.createQuery(
                        "select m.at from MarkRow m where m.person = :me and m.reading is not null order by m.at desc",
                        Instant.class)
                .setParameter("me", me.id())
                .setMaxResults(PACE_OF)
                .getResultList();
        List<Double> gaps = new ArrayList<>();
        for (int i = 1; i < at.size(); i++) {
            double gap = Duration.between(at.get(i), at.get(i - 1)).toMillis() / 1000.0;
            if (gap >= SHORTEST_GAP && gap <= LONGEST_GAP) {
                gaps.add(gap);
            }
        }
        if (gaps.size() < FEWEST_GAPS) {
            return null;
        }
        gaps.sort(Comparator.naturalOrder());
        int middle = gaps.size() / 2;
        return Math.round(gaps.size() % 2 == 1 ? gaps.get(middle) : (gaps.get(middle - 1) + gaps.get(middle)) / 2);
    }

    private static List<BeingTaken> beingTaken(List<LineCounts.SectionCounts> all, Instant now) {
        return all.stream()
                .filter(c -> c.opens() != null
                        && !c.opens().isAfter(now)
                        && c.closes() != null
                        && c.closes().isAfter(now))
                .map(c -> new BeingTaken(
                        c.assessment(),
                        c.title(),
                        c.section(),
                        c.sectionName(),
                        c.closes(),
                        c.in(),
                        c.working(),
                        c.expected()))
                .toList();
    }

    private static List<Coming> coming(List<LineCounts.SectionCounts> all, Instant now) {
        List<Coming> coming = new ArrayList<>();
        for (LineCounts.SectionCounts c : all) {
            if (c.opens() != null && c.opens().isAfter(now)) {
                coming.add(new Coming(c.assessment(), c.title(), c.sectionName(), c.opens(), true));
            } else if (c.closes() != null && c.closes().isAfter(now)) {
                coming.add(new Coming(c.assessment(), c.title(), c.sectionName(), c.closes(), false));
            }
        }
        coming.sort(Comparator.comparing(Coming::at));
        return coming;
    }

    private List<Looked> looked(Me me) {
        return entities.createQuery("""
                        select a.id, a.title,
                               cast(count(distinct case when r.seenAt is not null then r.attempt end) as Integer),
                               cast(count(distinct r.attempt) as Integer)
                        from ResultRow r join AttemptRow x on x.id = r.attempt
                        join AssessmentRow a on a.id = x.assessment
                        join CourseTeacher t on t.course = a.course and t.person = :me
                        group by a.id, a.title order by max(r.handedAt) desc""", Looked.class)
                .setParameter("me", me.id())
                .setMaxResults(3)
                .getResultList();
    }

    @Transactional(readOnly = true)
    AssessmentHeader header(Me me, UUID assessment, @Nullable UUID section) {
        if (!access.may(me, Access.Action.WORK_ON_ASSESSMENT, assessment)) {
            return header(me, assessment);
        }
        Assessments.Facts facts = assessments.facts(assessment);
        List<LineCounts.SectionCounts> all = counts.of(me.id(), assessment, null);
        List<SectionOfLine> sections = entities.createQuery("""
                        select s.id, s.name, exists (
                          select 1 from SittingRow x where x.section = s.id and x.assessment = :assessment)
                        from Section s where s.course = :course order by s.name""", SectionOfLine.class)
                .setParameter("assessment", assessment)
                .setParameter("course", facts.course())
                .getResultList();
        String course = entities.createQuery("select c.title from Course c where c.id = :id", String.class)
                .setParameter("id", facts.course())
                .getSingleResult();
        int flags = examination.flagged(assessment, section);
        Line line = Line.of(all, counts.edition(assessment), section, flags);
        return new AssessmentHeader(assessment, facts.title(), facts.course(), course, sections, line, Share.ALL);
    }

    /** Of an assessment that is not one's own. */
    private AssessmentHeader header(Me me, UUID assessment) {
        boolean reads = access.may(me, Access.Action.READ_ANSWERS, assessment);
        if (!reads) {
            access.require(me, Access.Action.EDIT_KEY, assessment);
        }
        Assessments.Facts facts = assessments.facts(assessment);
        Line line = Line.of(List.of(), counts.edition(assessment), null, null);
        Share share = reads ? Share.READING : Share.KEY;
        return new AssessmentHeader(assessment, facts.title(), facts.course(), "", List.of(), line, share);
    }

    @Transactional(readOnly = true)
    List<AssessmentLine> ofCourse(Me me, UUID course) {
        access.require(me, Access.Action.SEE_COURSE, course);
        Map<UUID, int[]> editions = counts.editions(me.id());
        Map<UUID, List<LineCounts.SectionCounts>> byAssessment = new LinkedHashMap<>();
        counts.of(me.id(), null, course)
                .forEach(c -> byAssessment
                        .computeIfAbsent(c.assessment(), a -> new ArrayList<>())
                        .add(c));
        Map<UUID, UUID> units = inUnit.of(course);
        Map<UUID, About.InShort> said = about.inShort(byAssessment.keySet());
        List<AssessmentLine> lines = new ArrayList<>();
        byAssessment.forEach((id, own) -> lines.add(new AssessmentLine(
                id,
                own.get(0).title(),
                units.get(id),
                own.stream()
                        .map(LineCounts.SectionCounts::sectionName)
                        .filter(java.util.Objects::nonNull)
                        .toList(),
                Line.of(own, editions.get(id), null, null),
                said.getOrDefault(id, About.InShort.NONE))));
        return lines;
    }
}
