package org.scholion.server.desk;

import jakarta.persistence.EntityManager;
import jakarta.persistence.Tuple;
import java.util.List;
import java.util.UUID;
import org.hibernate.Session;
import org.scholion.server.platform.Me;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Finds students, assessments, questions and standards by a part of their name. */
@Service
class Finder {
    private static final int EACH = 6;

    private final EntityManager entities;

    Finder(EntityManager entities) {
        this.entities = entities;
    }

    /**
     * Something found.
     *
     * @param kind student, assessment, shared key, key to copy, question or standard
     * @param id the course for a student, the assessment for a question, the framework for a standard
     * @param detail what tells it from others of its name
     */
    record Found(String kind, UUID id, String name, String detail) {}

    @Transactional(readOnly = true)
    List<Found> find(Me me, String words) {
        if (words.isBlank()) {
            return List.of();
        }
        String like =
                "%" + words.strip().replace("\\", "\\\\").replace("%", "\\%").replace("_", "\\_") + "%";
        return entities.unwrap(Session.class)
                .createNativeQuery("""
                        with courses as (select course_id as id from course_teacher where person_id = :me),
                        found as (
                        select 1 as rank, 'student' as kind, s.course_id as id, p.given || ' ' || p.family as name,
                               s.name as detail
                        from person p join enrolment e on e.student_id = p.id join section s on s.id = e.section_id
                        where s.course_id in (select id from courses)
                          and p.given || ' ' || p.family || ' ' || coalesce(p.number, '') ilike :like
                        union all
                        select 2, case when k.id is not null then 'assessment' when h.may_edit then 'shared key' else 'key to copy' end, a.id, a.title,
                               concat_ws(' · ', nullif(b.code, ''), c.title, nullif((
                                 select string_agg(l, ', ') from jsonb_array_elements_text(b.labels) l), ''))
                        from assessment a join course c on c.id = a.course_id
                        left join courses k on k.id = a.course_id
                        left join assessment_about b on b.assessment_id = a.id
                        left join share h on h.object_id = a.id and h.person_id = :me
                        where (k.id is not null or h.person_id is not null)
                          and (a.title ilike :like or b.code ilike :like or b.description ilike :like
                            or exists (select 1 from jsonb_array_elements_text(b.labels) l where l ilike :like))
                        union all
                        select 3, 'question', a.id, i ->> 'prompt', a.title
                        from assessment a, jsonb_array_elements(a.draft -> 'items') i
                        where a.course_id in (select id from courses) and i ->> 'prompt' ilike :like
                        union all
                        select 4, 'standard', f.id, (s ->> 'code') || ' ' || (s ->> 'text'), f.title || ' ' || f.version
                        from framework f, jsonb_array_elements(f.definition -> 'standards') s
                        where f.school_id = :school and (s ->> 'code') || ' ' || (s ->> 'text') ilike :like)
                        select * from (select *, row_number() over (partition by kind order by name) as n from found) f
                        where n <= :each order by rank, name""", Tuple.class)
                .setParameter("me", me.id())
                .setParameter("school", me.school())
                .setParameter("like", like)
                .setParameter("each", EACH)
                .getResultStream()
                .map(row -> new Found(
                        row.get("kind", String.class),
                        row.get("id", UUID.class),
                        row.get("name", String.class),
                        row.get("detail", String.class)))
                .toList();
    }
}
