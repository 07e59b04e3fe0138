package org.scholion.server.desk;

import jakarta.persistence.EntityManager;
import jakarta.persistence.Tuple;
import jakarta.persistence.TypedQuery;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import org.hibernate.Session;
import org.jspecify.annotations.Nullable;
import org.scholion.server.ledger.Standings;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What remains at each stop of the line, counted from the data each time it is asked for. */
@Service
class LineCounts {
    /** The papers of one's courses and the sections that they are given to; a paper that is given to none is there, too. */
    private static final String GIVEN = """
            select a.id, a.title, s.id, s.section, sec.name, s.opensAt, s.closesAt,
                   cast((select count(*) from Expected e where e.sitting = s.id) as Integer),
                   cast((select count(*) from Expected e where e.sitting = s.id and not exists (
                     select 1 from Expected o where o.student = e.student and o.assessment = a.id
                       and o.section < e.section)) as Integer)
            from AssessmentRow a join CourseTeacher t on t.course = a.course and t.person = :me
            left join SittingRow s on s.assessment = a.id left join Section sec on sec.id = s.section
            where %s order by a.madeAt desc, sec.name""";

    /** What the attempts of some papers stand at, summed up by section; a student in two of them is counted in the first. */
    private static final String ATTEMPTS = """
            select g.assessment, g.section,
                   sum(case when g.isIn = 1 and g.nth = 1 then 1 else 0 end),
                   sum(case when g.isIn = 0 and g.nth = 1 then 1 else 0 end),
                   sum(g.isIn), sum(1 - g.isIn), sum(g.undecided), sum(g.back), sum(g.ready),
                   sum(g.doubts), sum(g.unread), sum(g.openAnswers), min(g.doubtsSince), min(g.unreadSince)
            from (
              select x.assessment as assessment, x.section as section,
                     case when x.handedInAt is null then 0 else 1 end as isIn,
                     row_number() over (partition by x.assessment, x.student
                       order by case when x.handedInAt is null then 1 else 0 end, x.section, x.id) as nth,
                     case when s.provisional and s.counts then 1 else 0 end as undecided,
                     case when r.attempt is null then 0 else 1 end as back,
                     case when r.attempt is null and not s.provisional and s.counts
                       and not (""" + Standings.SITTING_AWAITS + """
                     ) then 1 else 0 end as ready,
                     coalesce(s.doubts, 0) as doubts, coalesce(s.unread, 0) as unread,
                     coalesce(s.openAnswers, 0) as openAnswers, s.doubtsSince as doubtsSince, s.unreadSince as unreadSince
              from AttemptRow x left join StandingRow s on s.school = x.school and s.attempt = x.id
              left join (select distinct b.attempt as attempt from ResultRow b join AttemptRow y on y.id = b.attempt
                         where y.assessment in (:papers)) r on r.attempt = x.id
              where x.assessment in (:papers)) g
            group by g.assessment, g.section""";

    private final EntityManager entities;

    LineCounts(EntityManager entities) {
        this.entities = entities;
    }

    record Given(
            UUID assessment,
            String title,
            @Nullable UUID sitting,
            @Nullable UUID section,
            @Nullable String name,
            @Nullable Instant opens,
            @Nullable Instant closes,
            int expected,
            int expectedOnce) {}

    record Sums(
            UUID assessment,
            UUID section,
            long onceIn,
            long onceWorking,
            long in,
            long working,
            long undecided,
            long handedBack,
            long ready,
            long doubts,
            long unread,
            long openAnswers,
            @Nullable Instant doubtsSince,
            @Nullable Instant unreadSince) {
        static Sums none(UUID assessment, UUID section) {
            return new Sums(assessment, section, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, null, null);
        }
    }

    /** The same of those who are not counted in another section already: in all sections together each counts once. */
    record Once(int expected, int in, int working) {}

    /** One assessment given to one section; without a section it is not given out. */
    record SectionCounts(
            UUID assessment,
            String title,
            @Nullable UUID sitting,
            @Nullable UUID section,
            @Nullable String sectionName,
            @Nullable Instant opens,
            @Nullable Instant closes,
            int expected,
            int in,
            int working,
            int undecided,
            int handedBack,
            int ready,
            Once once,
            int doubts,
            int unread,
            int openAnswers,
            @Nullable Instant doubtsSince,
            @Nullable Instant unreadSince) {}

    @Transactional(readOnly = true)
    List<SectionCounts> of(UUID teacher, @Nullable UUID assessment, @Nullable UUID course) {
        String which = assessment != null ? "a.id = :of" : course != null ? "a.course = :of" : "1 = 1";
        TypedQuery<Given> query =
                entities.createQuery(GIVEN.formatted(which), Given.class).setParameter("me", teacher);
        if (assessment != null || course != null) {
            query.setParameter("of", assessment != null ? assessment : course);
        }
        List<Given> given = query.getResultList();
        Map<Place, Sums> sums = new HashMap<>();
        if (!given.isEmpty()) {
            entities.createQuery(ATTEMPTS, Sums.class)
                    .setParameter(
                            "papers",
                            given.stream().map(Given::assessment).distinct().toList())
                    .getResultList()
                    .forEach(s -> sums.put(new Place(s.assessment(), s.section()), s));
        }
        return given.stream()
                .map(g -> counts(
                        g,
                        g.section() == null
                                ? Sums.none(g.assessment(), g.assessment())
                                : sums.getOrDefault(
                                        new Place(g.assessment(), g.section()),
                                        Sums.none(g.assessment(), g.section()))))
                .toList();
    }

    private record Place(UUID assessment, UUID section) {}

    private static SectionCounts counts(Given g, Sums s) {
        return new SectionCounts(
                g.assessment(),
                g.title(),
                g.sitting(),
                g.section(),
                g.name(),
                g.opens(),
                g.closes(),
                g.expected(),
                (int) s.in(),
                (int) s.working(),
                (int) s.undecided(),
                (int) s.handedBack(),
                (int) s.ready(),
                new Once(g.expectedOnce(), (int) s.onceIn(), (int) s.onceWorking()),
                (int) s.doubts(),
                (int) s.unread(),
                (int) s.openAnswers(),
                s.doubtsSince(),
                s.unreadSince());
    }

    /** Looking into a document by a path is PostgreSQL's own. */
    private static final String EDITIONS = """
            select a.id, coalesce((select max(e.number) from edition e where e.assessment_id = a.id), 0),
                   jsonb_array_length(jsonb_path_query_array(a.draft, '$.items[*].kind ?(@ != "passage")'))
            from assessment a where\s""";

    /** The number of the latest edition and of its items, by assessment; from the draft where none is given out. */
    @Transactional(readOnly = true)
    Map<UUID, int[]> editions(UUID teacher) {
        return editions(
                EDITIONS
                        + "exists (select 1 from course_teacher t where t.course_id = a.course_id and t.person_id = :of)",
                teacher);
    }

    /** The same of one assessment. */
    @Transactional(readOnly = true)
    int[] edition(UUID assessment) {
        return Objects.requireNonNull(
                editions(EDITIONS + "a.id = :of", assessment).get(assessment));
    }

    private Map<UUID, int[]> editions(String query, UUID of) {
        Map<UUID, int[]> all = new HashMap<>();
        entities.unwrap(Session.class)
                .createNativeQuery(query, Tuple.class)
                .setParameter("of", of)
                .getResultList()
                .forEach(row -> all.put(
                        row.get(0, UUID.class), new int[] {row.get(1, Integer.class), row.get(2, Integer.class)}));
        return all;
    }
}
