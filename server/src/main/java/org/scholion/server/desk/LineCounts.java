package org.scholion.server.desk;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.server.ledger.Standings;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What remains at each stop of the line, counted from the data each time it is asked for. */
@Service
class LineCounts {
    /** Each section's counts for the assessments of a course's teacher, one row an assessment and section. */
    private static final String COUNTS = """
            with mine as (
              select a.id, a.title, a.course_id, a.made_at from assessment a
              join course_teacher t on t.course_id = a.course_id and t.person_id = :me
              where (cast(:assessment as uuid) is null or a.id = :assessment)
                and (cast(:course as uuid) is null or a.course_id = :course)),
            latest as (
              select distinct on (e.assessment_id) e.assessment_id, e.live from edition e
              join mine on mine.id = e.assessment_id order by e.assessment_id, e.number desc),
            marks as (
              select x.assessment_id, x.section_id,
                     count(*) filter (where m.state = 'SETTLE') as doubts,
                     count(*) filter (where m.state = 'READ') as unread,
                     count(*) filter (where m.reading is not null or m.state = 'READ') as open_answers,
                     min(m.at) filter (where m.state = 'SETTLE') as doubts_since,
                     min(m.at) filter (where m.state = 'READ') as unread_since
              from attempt x join latest l on l.assessment_id = x.assessment_id cross join lateral (
                select distinct on (item) item, state, reading, at from mark
                where attempt_id = x.id order by item, seq desc) m
              where m.item = any (l.live)
              group by x.assessment_id, x.section_id),
            goes as (
              select x.*, row_number() over (partition by x.assessment_id, x.student_id
                                             order by x.handed_in_at is null, x.section_id, x.id) as nth
              from attempt x join mine on mine.id = x.assessment_id),
            people as (
              select x.assessment_id, x.section_id,
                     count(*) filter (where x.handed_in_at is not null and x.nth = 1) as first_in,
                     count(*) filter (where x.handed_in_at is null and x.nth = 1) as first_working,
                     count(*) filter (where x.handed_in_at is not null) as came_in,
                     count(*) filter (where x.handed_in_at is null) as working,
                     count(*) filter (where s.provisional and s.counts) as undecided,
                     count(*) filter (where r.attempt_id is not null) as handed_back,
                     count(*) filter (where r.attempt_id is null and s.provisional = false and s.counts
                       and (""" + Standings.SITTING_AWAITS + """
                     ) is false) as ready
              from goes x
              left join standing s on s.school_id = x.school_id and s.attempt_id = x.id
              left join (select distinct attempt_id from result) r on r.attempt_id = x.id
              group by x.assessment_id, x.section_id)
            select mine.id as assessment, mine.title, s.id as sitting, s.section_id, sec.name as section,
                   s.opens_at, s.closes_at, s.minutes,
                   (select count(*) from enrolment e where e.section_id = s.section_id) as expected,
                   (select count(*) from enrolment e where e.section_id = s.section_id and not exists (
                     select 1 from enrolment o join sitting g on g.section_id = o.section_id
                     where o.student_id = e.student_id and g.assessment_id = mine.id
                       and o.section_id < e.section_id)) as first_expected,
                   coalesce(p.first_in, 0) as first_in, coalesce(p.first_working, 0) as first_working,
                   coalesce(p.came_in, 0) as came_in, coalesce(p.working, 0) as working,
                   coalesce(p.undecided, 0) as undecided, coalesce(p.handed_back, 0) as handed_back,
                   coalesce(p.ready, 0) as ready,
                   coalesce(m.doubts, 0) as doubts, coalesce(m.unread, 0) as unread,
                   coalesce(m.open_answers, 0) as open_answers, m.doubts_since, m.unread_since
            from mine left join sitting s on s.assessment_id = mine.id
            left join section sec on sec.id = s.section_id
            left join people p on p.assessment_id = mine.id and p.section_id = s.section_id
            left join marks m on m.assessment_id = mine.id and m.section_id = s.section_id
            order by mine.made_at desc, sec.name""";

    private final JdbcClient db;

    LineCounts(JdbcClient db) {
        this.db = db;
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
            java.time.@Nullable Instant opens,
            java.time.@Nullable Instant closes,
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
            java.time.@Nullable Instant doubtsSince,
            java.time.@Nullable Instant unreadSince) {}

    @Transactional(readOnly = true)
    List<SectionCounts> of(UUID teacher, @Nullable UUID assessment, @Nullable UUID course) {
        return db.sql(COUNTS)
                .param("me", teacher)
                .param("assessment", assessment)
                .param("course", course)
                .query((row, n) -> new SectionCounts(
                        row.getObject("assessment", UUID.class),
                        row.getString("title"),
                        row.getObject("sitting", UUID.class),
                        row.getObject("section_id", UUID.class),
                        row.getString("section"),
                        instant(row.getTimestamp("opens_at")),
                        instant(row.getTimestamp("closes_at")),
                        row.getInt("expected"),
                        row.getInt("came_in"),
                        row.getInt("working"),
                        row.getInt("undecided"),
                        row.getInt("handed_back"),
                        row.getInt("ready"),
                        new Once(row.getInt("first_expected"), row.getInt("first_in"), row.getInt("first_working")),
                        row.getInt("doubts"),
                        row.getInt("unread"),
                        row.getInt("open_answers"),
                        instant(row.getTimestamp("doubts_since")),
                        instant(row.getTimestamp("unread_since"))))
                .list();
    }

    /** The number of the latest edition and of its items, by assessment; from the draft where none is given out. */
    @Transactional(readOnly = true)
    Map<UUID, int[]> editions(UUID teacher) {
        Map<UUID, int[]> all = new HashMap<>();
        db.sql("""
                        select a.id, coalesce(max(e.number), 0),
                               jsonb_array_length(jsonb_path_query_array(a.draft, '$.items[*] ? (@.kind != "passage")'))
                        from assessment a join course_teacher t on t.course_id = a.course_id and t.person_id = ?
                        left join edition e on e.assessment_id = a.id group by a.id""").param(teacher).query((java.sql.ResultSet row) -> {
            all.put(row.getObject(1, UUID.class), new int[] {row.getInt(2), row.getInt(3)});
        });
        return all;
    }

    /** The same of one assessment. */
    @Transactional(readOnly = true)
    int[] edition(UUID assessment) {
        return db.sql("""
                        select coalesce((select max(number) from edition where assessment_id = a.id), 0),
                               jsonb_array_length(jsonb_path_query_array(a.draft, '$.items[*] ? (@.kind != "passage")'))
                        from assessment a where a.id = ?""")
                .param(assessment)
                .query((row, n) -> new int[] {row.getInt(1), row.getInt(2)})
                .single();
    }

    private static java.time.@Nullable Instant instant(java.sql.@Nullable Timestamp at) {
        return at == null ? null : at.toInstant();
    }
}
