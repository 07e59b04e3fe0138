package org.scholion.server.course;

import jakarta.persistence.EntityManager;
import jakarta.persistence.LockModeType;
import java.time.Clock;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.server.access.Access;
import org.scholion.server.mail.Post;
import org.scholion.server.person.People;
import org.scholion.server.person.Schools;
import org.scholion.server.platform.Deeds;
import org.scholion.server.platform.Ids;
import org.scholion.server.platform.Lengths;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Makes and changes courses, their sections, teachers and units: their teachers do, and administrators. */
@Service
public class CourseWork {
    private static final int LONGEST_TERM = 80;

    private final EntityManager entities;
    private final Courses courses;
    private final People people;
    private final Schools schools;
    private final Access access;
    private final Post post;
    private final Deeds deeds;
    private final Ids ids;
    private final Clock clock;

    CourseWork(
            EntityManager entities,
            Courses courses,
            People people,
            Schools schools,
            Access access,
            Post post,
            Deeds deeds,
            Ids ids,
            Clock clock) {
        this.entities = entities;
        this.courses = courses;
        this.people = people;
        this.schools = schools;
        this.access = access;
        this.post = post;
        this.deeds = deeds;
        this.ids = ids;
        this.clock = clock;
    }

    record NewCourse(String title, String term) {}

    record CourseChange(String title, String term, boolean archived, int revision) {}

    /** @param teacher one of the course's, whose section it is; null for nobody's */
    record SectionChange(String name, @Nullable UUID teacher) {}

    public record UnitChange(String title) {}

    /** A teacher's own, where the school lets teachers make them; an administrator's has no teacher yet. */
    @Transactional
    UUID add(Me me, NewCourse wanted) {
        if (me.is(Me.Role.TEACHER) && !schools.teachersMakeCourses(me.school())) {
            throw Refused.conflict(
                    "no-courses", "In your school an administrator makes the courses. Ask one to add yours.");
        }
        String title = Lengths.name("title", wanted.title());
        UUID id = courses.add(me.school(), title, null, me.is(Me.Role.TEACHER) ? List.of(me.id()) : List.of());
        entities.find(Course.class, id).term =
                Lengths.atMost("term", wanted.term().strip(), LONGEST_TERM);
        deeds.note(me, Deeds.What.COURSE_ADDED, id, title);
        return id;
    }

    @Transactional
    Courses.CourseView change(Me me, UUID course, CourseChange wanted) {
        Course row = locked(me, course);
        if (row.revision != wanted.revision()) {
            throw Refused.overtaken(
                    "Somebody changed this course while you were at it. Your change is still on your screen.",
                    courses.see(me, course));
        }
        row.title = Lengths.name("title", wanted.title());
        row.term = Lengths.atMost("term", wanted.term().strip(), LONGEST_TERM);
        if (wanted.archived() != (row.archivedAt != null)) {
            row.archivedAt = wanted.archived() ? clock.instant() : null;
        }
        entities.flush();
        deeds.note(me, Deeds.What.COURSE_CHANGED, course, row.title);
        return courses.see(me, course);
    }

    private Course locked(Me me, UUID course) {
        access.require(me, Access.Action.MANAGE_COURSE, course);
        return entities.find(Course.class, course, LockModeType.PESSIMISTIC_WRITE);
    }

    @Transactional
    Courses.CourseView addSection(Me me, UUID course, SectionChange wanted) {
        locked(me, course);
        String name = freeName(course, null, wanted.name());
        courses.section(course, name, teacherOf(course, wanted.teacher()));
        deeds.note(me, Deeds.What.SECTION_ADDED, course, name);
        return courses.see(me, course);
    }

    @Transactional
    Courses.CourseView changeSection(Me me, UUID course, UUID section, SectionChange wanted) {
        locked(me, course);
        Section row = section(course, section);
        row.name = freeName(course, section, wanted.name());
        row.teacher = teacherOf(course, wanted.teacher());
        entities.flush();
        deeds.note(me, Deeds.What.SECTION_CHANGED, course, row.name);
        return courses.see(me, course);
    }

    /** Only while nobody is on its roster and nothing was given out to it. */
    @Transactional
    Courses.CourseView removeSection(Me me, UUID course, UUID section) {
        locked(me, course);
        Section row = section(course, section);
        if (courses.isUsed(section)) {
            throw Refused.conflict(
                    "section-used",
                    "Students are on the roster of " + row.name + ", or an assessment was given to it. It stays.");
        }
        entities.remove(row);
        entities.flush();
        deeds.note(me, Deeds.What.SECTION_CHANGED, course, row.name);
        return courses.see(me, course);
    }

    Section section(UUID course, UUID section) {
        Section row = entities.find(Section.class, section);
        if (row == null || !row.course.equals(course)) {
            throw Refused.notFound();
        }
        return row;
    }

    private String freeName(UUID course, @Nullable UUID section, String wanted) {
        String name = Lengths.name("name", wanted);
        boolean taken = courses.sections(course).stream()
                .anyMatch(s -> s.name().equalsIgnoreCase(name) && !s.id().equals(section));
        if (taken) {
            throw Refused.invalid("name", "this course has a section “" + name + "” already");
        }
        return name;
    }

    private @Nullable UUID teacherOf(UUID course, @Nullable UUID teacher) {
        if (teacher != null && entities.find(CourseTeacher.class, new CourseTeacher.Key(course, teacher)) == null) {
            throw Refused.invalid("teacher", "this person does not teach the course; add them as a teacher first");
        }
        return teacher;
    }

    /** From the next request on they have the course as every teacher of it has. */
    @Transactional
    Courses.CourseView addTeacher(Me me, UUID course, UUID person) {
        Me teacher = colleague(locked(me, course), person);
        if (entities.find(CourseTeacher.class, new CourseTeacher.Key(course, person)) == null) {
            takeFromReaders(course, person);
            entities.persist(new CourseTeacher(course, person));
            entities.flush();
            deeds.note(me, Deeds.What.TEACHER_ADDED, course, teacher.name());
            tell(me, teacher);
        }
        return courses.see(me, course);
    }

    private Me colleague(Course course, UUID person) {
        return people.byId(person)
                .filter(p -> p.school().equals(course.school) && p.is(Me.Role.TEACHER))
                .orElseThrow(() -> Refused.invalid("person", "this is no teacher of your school"));
    }

    private void tell(Me me, Me colleague) {
        if (post.isSetUp() && !colleague.id().equals(me.id())) {
            post.ask(me.school(), me.id(), CourseLetter.KIND, List.of(colleague.id()));
        }
    }

    /** From the next request on they read the course's open answers, without names; they see nothing else of it. */
    @Transactional
    Courses.CourseView addReader(Me me, UUID course, UUID person) {
        Me reader = colleague(locked(me, course), person);
        if (entities.find(CourseTeacher.class, new CourseTeacher.Key(course, person)) != null) {
            throw Refused.invalid("person", "they teach this course, so they read its answers already");
        }
        if (courses.reader(course, person)) {
            deeds.note(me, Deeds.What.READER_ADDED, course, reader.name());
            tell(me, reader);
        }
        return courses.see(me, course);
    }

    /** What they have read stays. */
    @Transactional
    Courses.CourseView removeReader(Me me, UUID course, UUID person) {
        locked(me, course);
        if (!takeFromReaders(course, person)) {
            throw Refused.notFound();
        }
        deeds.note(me, Deeds.What.READER_REMOVED, course, people.name(person));
        return courses.see(me, course);
    }

    private boolean takeFromReaders(UUID course, UUID person) {
        CourseReader row = entities.find(CourseReader.class, new CourseReader.Key(course, person));
        if (row != null) {
            entities.remove(row);
            entities.flush();
        }
        return row != null;
    }

    /** A course keeps one teacher at least, unless an administrator takes the last one away. */
    @Transactional
    void removeTeacher(Me me, UUID course, UUID person) {
        locked(me, course);
        CourseTeacher row = entities.find(CourseTeacher.class, new CourseTeacher.Key(course, person));
        if (row == null) {
            throw Refused.notFound();
        }
        Long teachers = entities.createQuery("select count(*) from CourseTeacher where course = :course", Long.class)
                .setParameter("course", course)
                .getSingleResult();
        if (teachers == 1 && !me.is(Me.Role.ADMIN)) {
            throw Refused.conflict(
                    "last-teacher", "This is the course's only teacher. Add another first, or ask an administrator.");
        }
        entities.remove(row);
        entities.createQuery("update Section set teacher = null where course = :course and teacher = :person")
                .setParameter("course", course)
                .setParameter("person", person)
                .executeUpdate();
        deeds.note(me, Deeds.What.TEACHER_REMOVED, course, people.name(person));
    }

    @Transactional
    public Courses.CourseView addUnit(Me me, UUID course, UnitChange wanted) {
        locked(me, course);
        String title = Lengths.name("title", wanted.title());
        List<Courses.UnitLine> there = courses.units(course);
        if (there.stream().anyMatch(u -> u.title().equalsIgnoreCase(title))) {
            throw Refused.invalid("title", "this course has a unit “" + title + "” already");
        }
        entities.persist(new Unit(ids.next(), course, title, there.size()));
        entities.flush();
        return courses.see(me, course);
    }

    /** Its assessments stay, in no unit. */
    @Transactional
    Courses.CourseView removeUnit(Me me, UUID course, UUID unit) {
        locked(me, course);
        Unit row = entities.find(Unit.class, unit);
        if (row == null || !row.course.equals(course)) {
            throw new Refused(HttpStatus.NOT_FOUND, "not-found", "This unit has been removed already.", List.of());
        }
        entities.remove(row);
        entities.flush();
        return courses.see(me, course);
    }
}
