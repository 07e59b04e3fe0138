package org.scholion.server.course;

import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.formats.bringin.Known;
import org.scholion.server.access.Access;
import org.scholion.server.platform.Ids;
import org.scholion.server.platform.Me;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Courses, their sections and rosters. */
@Service
public class Courses {
    private final JdbcClient db;
    private final Access access;
    private final Ids ids;

    Courses(JdbcClient db, Access access, Ids ids) {
        this.db = db;
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
        db.sql("insert into course (id, school_id, title, framework_id) values (?, ?, ?, ?)")
                .param(id)
                .param(school)
                .param(title)
                .param(framework)
                .update();
        if (framework != null) {
            db.sql("insert into course_framework (course_id, framework_id, place) values (?, ?, 0)")
                    .params(id, framework)
                    .update();
        }
        teachers.forEach(t -> db.sql("insert into course_teacher (course_id, person_id) values (?, ?)")
                .params(id, t)
                .update());
        return id;
    }

    /** The section of this name, made when the course has none. */
    @Transactional
    public UUID section(UUID course, String name, @Nullable UUID teacher) {
        db.sql("insert into section (id, course_id, name, teacher_id) values (?, ?, ?, ?) on conflict do nothing")
                .param(ids.next())
                .param(course)
                .param(name)
                .param(teacher)
                .update();
        return db.sql("select id from section where course_id = ? and name = ?")
                .params(course, name)
                .query(UUID.class)
                .single();
    }

    @Transactional
    public void enrol(UUID section, UUID student) {
        db.sql("insert into enrolment (section_id, student_id) values (?, ?) on conflict do nothing")
                .params(section, student)
                .update();
    }

    @Transactional(readOnly = true)
    public List<CourseLine> list(Me me) {
        return db.sql("""
                        select c.id, c.title, count(distinct s.id) as sections, count(distinct e.student_id) as students
                        from course c join course_teacher t on t.course_id = c.id and t.person_id = ?
                        left join section s on s.course_id = c.id left join enrolment e on e.section_id = s.id
                        group by c.id order by c.title""")
                .param(me.id())
                .query((row, n) -> new CourseLine(
                        row.getObject("id", UUID.class),
                        row.getString("title"),
                        row.getInt("sections"),
                        row.getInt("students")))
                .list();
    }

    @Transactional(readOnly = true)
    public CourseView see(Me me, UUID course) {
        access.require(me, Access.Action.SEE_COURSE, course);
        List<SectionLine> sections = db.sql("""
                        select s.id, s.name, p.given || ' ' || p.family as teacher,
                               (select count(*) from enrolment e where e.section_id = s.id) as students
                        from section s left join person p on p.id = s.teacher_id where s.course_id = ? order by s.name""")
                .param(course)
                .query((row, n) -> new SectionLine(
                        row.getObject("id", UUID.class),
                        row.getString("name"),
                        row.getString("teacher"),
                        row.getInt("students")))
                .list();
        List<StudentLine> students = db.sql("""
                        select p.id, p.given, p.family, p.number, e.section_id from enrolment e
                        join section s on s.id = e.section_id join person p on p.id = e.student_id
                        where s.course_id = ? order by p.family, p.given""")
                .param(course)
                .query((row, n) -> new StudentLine(
                        row.getObject("id", UUID.class),
                        row.getString("given"),
                        row.getString("family"),
                        row.getString("number"),
                        row.getObject("section_id", UUID.class)))
                .list();
        return db.sql("select title, framework_id from course where id = ?")
                .param(course)
                .query((row, n) -> new CourseView(
                        course, row.getString("title"), row.getObject("framework_id", UUID.class), sections, students))
                .single();
    }

    /** Whether a student is in a course that one teaches. */
    @Transactional(readOnly = true)
    public boolean teaches(Me me, UUID student) {
        return !db.sql("""
                        select 1 from enrolment e join section s on s.id = e.section_id
                        join course_teacher t on t.course_id = s.course_id
                        where e.student_id = ? and t.person_id = ? limit 1""").params(student, me.id()).query(Integer.class).list().isEmpty();
    }

    /** Everybody on the course's rosters, with all that a file may call them by. */
    @Transactional(readOnly = true)
    public List<Known> known(UUID course) {
        return db.sql("""
                        select p.id, p.given, p.family, coalesce(p.number, '') as number,
                               coalesce(p.email, '') as email, s.name as section
                        from enrolment e join section s on s.id = e.section_id join person p on p.id = e.student_id
                        where s.course_id = ? order by p.family, p.given""")
                .param(course)
                .query((row, n) -> new Known(
                        row.getString("id"),
                        row.getString("given"),
                        row.getString("family"),
                        row.getString("number"),
                        row.getString("email"),
                        row.getString("section")))
                .list();
    }
}
