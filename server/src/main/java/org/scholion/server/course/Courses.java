package org.scholion.server.course;

import jakarta.persistence.EntityManager;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.formats.bringin.Known;
import org.scholion.server.access.Access;
import org.scholion.server.platform.Ids;
import org.scholion.server.platform.Me;
import org.scholion.server.standard.Frameworks;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Courses, their sections and rosters. */
@Service
public class Courses {
    private final EntityManager entities;
    private final Frameworks frameworks;
    private final Access access;
    private final Ids ids;

    Courses(EntityManager entities, Frameworks frameworks, Access access, Ids ids) {
        this.entities = entities;
        this.frameworks = frameworks;
        this.access = access;
        this.ids = ids;
    }

    public record CourseLine(UUID id, String title, int sections, int students) {}

    public record SectionLine(
            UUID id, String name, @Nullable String teacher, int students) {}

    public record StudentLine(
            UUID id, String given, String family, @Nullable String number, UUID section) {}

    public record CourseView(
            UUID id, String title, @Nullable UUID framework, List<SectionLine> sections, List<StudentLine> students) {}

    @Transactional
    public UUID add(UUID school, String title, @Nullable UUID framework, List<UUID> teachers) {
        UUID id = ids.next();
        entities.persist(new Course(id, school, title, framework));
        teachers.forEach(t -> entities.persist(new CourseTeacher(id, t)));
        entities.flush();
        if (framework != null) {
            frameworks.begin(id, framework);
        }
        return id;
    }

    /** The section of this name, made when the course has none. */
    @Transactional
    public UUID section(UUID course, String name, @Nullable UUID teacher) {
        entities.createQuery("""
                        insert into Section (id, course, name, teacher) values (:id, :course, :name, :teacher)
                        on conflict do nothing""")
                .setParameter("id", ids.next())
                .setParameter("course", course)
                .setParameter("name", name)
                .setParameter("teacher", teacher)
                .executeUpdate();
        return entities.createQuery(
                        "select s.id from Section s where s.course = :course and s.name = :name", UUID.class)
                .setParameter("course", course)
                .setParameter("name", name)
                .getSingleResult();
    }

    @Transactional
    public void enrol(UUID section, UUID student) {
        entities.createQuery(
                        "insert into Enrolment (section, student) values (:section, :student) on conflict do nothing")
                .setParameter("section", section)
                .setParameter("student", student)
                .executeUpdate();
    }

    @Transactional(readOnly = true)
    public List<CourseLine> list(Me me) {
        return entities.createQuery("""
                        select c.id, c.title, cast(count(distinct s.id) as Integer), cast(count(distinct e.student) as Integer)
                        from Course c join CourseTeacher t on t.course = c.id and t.person = :me
                        left join Section s on s.course = c.id left join Enrolment e on e.section = s.id
                        group by c.id, c.title order by c.title""", CourseLine.class)
                .setParameter("me", me.id())
                .getResultList();
    }

    @Transactional(readOnly = true)
    public CourseView see(Me me, UUID course) {
        access.require(me, Access.Action.SEE_COURSE, course);
        List<SectionLine> sections = sections(course);
        List<StudentLine> students = entities.createQuery("""
                        select p.id, p.given, p.family, p.number, e.section from Enrolment e
                        join Section s on s.id = e.section join Person p on p.id = e.student
                        where s.course = :course order by p.family, p.given""", StudentLine.class)
                .setParameter("course", course)
                .getResultList();
        Course found = entities.find(Course.class, course);
        return new CourseView(course, found.title, found.framework, sections, students);
    }

    /** The sections of a course, by name. */
    @Transactional(readOnly = true)
    public List<SectionLine> sections(UUID course) {
        return entities.createQuery("""
                        select s.id, s.name, p.name,
                               cast((select count(*) from Enrolment e where e.section = s.id) as Integer)
                        from Section s left join Person p on p.id = s.teacher where s.course = :course order by s.name""", SectionLine.class)
                .setParameter("course", course)
                .getResultList();
    }

    /** Whether a student is in a course that one teaches. */
    @Transactional(readOnly = true)
    public boolean teaches(Me me, UUID student) {
        return entities.createQuery("""
                        select exists (select 1 from Enrolment e join Section s on s.id = e.section
                          join CourseTeacher t on t.course = s.course
                          where e.student = :student and t.person = :me)""", Boolean.class)
                .setParameter("student", student)
                .setParameter("me", me.id())
                .getSingleResult();
    }

    /** Everybody on the course's rosters, with all that a file may call them by. */
    @Transactional(readOnly = true)
    public List<Known> known(UUID course) {
        return entities.createQuery("""
                        select cast(p.id as String), p.given, p.family, coalesce(p.number, ''), coalesce(p.email, ''), s.name
                        from Enrolment e join Section s on s.id = e.section join Person p on p.id = e.student
                        where s.course = :course order by p.family, p.given""", Known.class)
                .setParameter("course", course)
                .getResultList();
    }
}
