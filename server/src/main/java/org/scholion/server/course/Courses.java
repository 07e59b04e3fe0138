package org.scholion.server.course;

import jakarta.persistence.EntityManager;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
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

    /** @param teachers their names, joined */
    public record CourseLine(
            UUID id, String title, String term, boolean archived, int sections, int students, String teachers) {}

    public record SectionLine(
            UUID id, String name, @Nullable String teacher, int students) {}

    /** @param hasPassword whether they can sign in already */
    public record StudentLine(
            UUID id,
            String given,
            String family,
            @Nullable String number,
            UUID section,
            String username,
            boolean hasPassword) {}

    public record TeacherLine(UUID id, String name) {}

    /** A course that somebody teaches, or reads in. */
    public record Part(String title, boolean reads) {}

    public record UnitLine(UUID id, String title) {}

    public record CourseView(
            UUID id,
            String title,
            String term,
            boolean archived,
            int revision,
            @Nullable UUID framework,
            List<SectionLine> sections,
            List<StudentLine> students,
            List<TeacherLine> teachers,
            List<TeacherLine> readers,
            List<UnitLine> units) {}

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

    /** Somebody reads a course's open answers from now on; false where they did already. */
    @Transactional
    public boolean reader(UUID course, UUID person) {
        return entities.createQuery(
                                "insert into CourseReader (course, person) values (:course, :person) on conflict do nothing")
                        .setParameter("course", course)
                        .setParameter("person", person)
                        .executeUpdate()
                == 1;
    }

    /** Off the roster of a section. */
    @Transactional
    void unenrol(UUID section, UUID student) {
        entities.createQuery("delete from Enrolment where section = :section and student = :student")
                .setParameter("section", section)
                .setParameter("student", student)
                .executeUpdate();
    }

    /** Whether somebody is on the section's roster, or something was given out to it. */
    @Transactional(readOnly = true)
    boolean isUsed(UUID section) {
        return entities.createQuery("""
                        select exists (select 1 from Enrolment e where e.section = :section)
                          or exists (select 1 from SittingRow g where g.section = :section)
                          or exists (select 1 from AnyAttempt x where x.section = :section)""", Boolean.class)
                .setParameter("section", section)
                .getSingleResult();
    }

    /** A teacher's own courses, an administrator's school's; those that are archived last. */
    @Transactional(readOnly = true)
    public List<CourseLine> list(Me me) {
        return entities.createQuery("""
                        select c.id, c.title, c.term, case when c.archivedAt is null then false else true end,
                               cast((select count(*) from Section s where s.course = c.id) as Integer),
                               cast((select count(distinct e.student) from Enrolment e
                                     join Section s on s.id = e.section where s.course = c.id) as Integer),
                               coalesce((select listagg(p.name, ', ') within group (order by p.family)
                                 from CourseTeacher t join Person p on p.id = t.person where t.course = c.id), '')
                        from Course c where c.school = :school and (:all = true or exists (
                          select 1 from CourseTeacher t where t.course = c.id and t.person = :me))
                        order by case when c.archivedAt is null then 0 else 1 end, c.title, c.id""", CourseLine.class)
                .setParameter("school", me.school())
                .setParameter("all", me.is(Me.Role.ADMIN))
                .setParameter("me", me.id())
                .getResultList();
    }

    @Transactional(readOnly = true)
    public CourseView see(Me me, UUID course) {
        access.require(me, Access.Action.MANAGE_COURSE, course);
        List<StudentLine> students = entities.createQuery("""
                        select p.id, p.given, p.family, p.number, e.section, p.username,
                               case when p.password is null then false else true end
                        from Enrolment e join Section s on s.id = e.section join Person p on p.id = e.student
                        where s.course = :course order by p.family, p.given""", StudentLine.class)
                .setParameter("course", course)
                .getResultList();
        Course found = entities.find(Course.class, course);
        return new CourseView(
                course,
                found.title,
                found.term,
                found.archivedAt != null,
                found.revision,
                found.framework,
                sections(course),
                students,
                people("CourseTeacher", course),
                people("CourseReader", course),
                units(course));
    }

    /** Who reads in a course without teaching it, by name. */
    @Transactional(readOnly = true)
    public List<TeacherLine> readers(UUID course) {
        return people("CourseReader", course);
    }

    private List<TeacherLine> people(String part, UUID course) {
        return entities.createQuery(
                        "select p.id, p.name from " + part + " t join Person p on p.id = t.person"
                                + " where t.course = :course order by p.family, p.given",
                        TeacherLine.class)
                .setParameter("course", course)
                .getResultList();
    }

    /** The courses that somebody teaches or reads in, without those that are archived. */
    @Transactional(readOnly = true)
    List<Part> partsOf(UUID person) {
        return entities.createQuery("""
                        select c.title, case when t.person is null then true else false end
                        from Course c left join CourseTeacher t on t.course = c.id and t.person = :person
                        left join CourseReader r on r.course = c.id and r.person = :person
                        where c.archivedAt is null and (t.person is not null or r.person is not null)
                        order by c.title, c.id""", Part.class)
                .setParameter("person", person)
                .getResultList();
    }

    /** The topics of a course, in its order. */
    @Transactional(readOnly = true)
    public List<UnitLine> units(UUID course) {
        return entities.createQuery(
                        "select u.id, u.title from Unit u where u.course = :course order by u.place", UnitLine.class)
                .setParameter("course", course)
                .getResultList();
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

    /** What a course is called. */
    @Transactional(readOnly = true)
    public String titleOf(UUID course) {
        return entities.find(Course.class, course).title;
    }

    /** What these sections are called. */
    @Transactional(readOnly = true)
    public Map<UUID, String> sectionNames(Collection<UUID> sections) {
        return sections.isEmpty()
                ? Map.of()
                : entities.createQuery("select s.id, s.name from Section s where s.id in (:ids)", Named.class)
                        .setParameter("ids", sections)
                        .getResultStream()
                        .collect(Collectors.toMap(Named::id, Named::name));
    }

    record Named(UUID id, String name) {}

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

    @Transactional(readOnly = true)
    public boolean isOnRoster(UUID course, UUID student) {
        return entities.createQuery("""
                        select exists (select 1 from Enrolment e join Section s on s.id = e.section
                          where e.student = :student and s.course = :course)""", Boolean.class)
                .setParameter("student", student)
                .setParameter("course", course)
                .getSingleResult();
    }

    /** All students of the courses that one teaches. */
    @Transactional(readOnly = true)
    List<UUID> taughtBy(Me me) {
        return entities.createQuery("""
                        select distinct e.student from Enrolment e join Section s on s.id = e.section
                        join CourseTeacher t on t.course = s.course where t.person = :me""", UUID.class).setParameter("me", me.id()).getResultList();
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
