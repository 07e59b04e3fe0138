package org.scholion.server.course;

import jakarta.persistence.EntityManager;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.formats.bringin.PersonWords;
import org.scholion.formats.json.Fault;
import org.scholion.server.access.Access;
import org.scholion.server.person.People;
import org.scholion.server.person.WaysIn;
import org.scholion.server.platform.Deeds;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Single students of a course: added by hand, moved with their work, taken off the roster, helped to sign in. */
@Service
public class OnRoster {
    private final EntityManager entities;
    private final Courses courses;
    private final CourseWork work;
    private final People people;
    private final WaysIn waysIn;
    private final List<Moving> moving;
    private final Access access;
    private final Deeds deeds;

    OnRoster(
            EntityManager entities,
            Courses courses,
            CourseWork work,
            People people,
            WaysIn waysIn,
            List<Moving> moving,
            Access access,
            Deeds deeds) {
        this.entities = entities;
        this.courses = courses;
        this.work = work;
        this.people = people;
        this.waysIn = waysIn;
        this.moving = moving;
        this.access = access;
        this.deeds = deeds;
    }

    /** What goes along when a student moves to another section. */
    public interface Moving {
        void moved(UUID student, UUID from, UUID to);
    }

    /** @param section by id, one of the course's */
    record NewStudent(
            String given,
            String family,
            @Nullable String number,
            @Nullable String email,
            UUID section) {}

    record NewSection(UUID section) {}

    /** @param students those to print for; all of the course, or of one section, when it is empty */
    record SlipChoice(@Nullable UUID section, List<UUID> students) {}

    /** Somebody whose number the school has already is put on the roster, if the names agree. */
    @Transactional
    Courses.CourseView add(Me me, UUID course, NewStudent wanted) {
        access.require(me, Access.Action.MANAGE_COURSE, course);
        Section section = work.section(course, wanted.section());
        String given = PersonWords.tidy(wanted.given());
        String family = PersonWords.tidy(wanted.family());
        String number = wanted.number() == null ? "" : wanted.number().strip();
        String email = wanted.email() == null ? "" : wanted.email().strip();
        check(given, family, number, email);
        Me known = number.isEmpty()
                ? null
                : people.byNumbers(me.school(), List.of(number)).get(number);
        if (known != null && !isSame(known, given, family)) {
            throw Refused.invalid(
                    "number",
                    courses.teaches(me, known.id()) || me.is(Me.Role.ADMIN)
                            ? "number " + number + " belongs to " + known.name()
                            : "number " + number + " is in use in this school under another name; check the number"
                                    + " and both names, or ask your administrator");
        }
        Me student = known != null
                ? known
                : people.addStudent(
                        me.school(), given, family, number.isEmpty() ? null : number, email.isEmpty() ? null : email);
        courses.enrol(section.id, student.id());
        deeds.note(me, Deeds.What.STUDENT_ENROLLED, student.id(), student.name());
        return courses.see(me, course);
    }

    private static boolean isSame(Me known, String given, String family) {
        return known.is(Me.Role.STUDENT)
                && PersonWords.isSame(known.given(), given)
                && PersonWords.isSame(known.family(), family);
    }

    private static void check(String given, String family, String number, String email) {
        List<Fault> faults = new ArrayList<>();
        PersonWords.name(given).ifPresent(why -> faults.add(new Fault("given", "the first name " + why)));
        PersonWords.name(family).ifPresent(why -> faults.add(new Fault("family", "the surname " + why)));
        if (!number.isEmpty()) {
            PersonWords.number(number).ifPresent(why -> faults.add(new Fault("number", "the number " + why)));
        }
        PersonWords.email(email).ifPresent(why -> faults.add(new Fault("email", "the e-mail " + why)));
        if (!faults.isEmpty()) {
            throw Refused.invalid(faults);
        }
    }

    /** To another section of the course; what they have done goes along. */
    @Transactional
    Courses.CourseView move(Me me, UUID course, UUID student, UUID to) {
        access.require(me, Access.Action.MANAGE_COURSE, course);
        Section section = work.section(course, to);
        List<UUID> from = sectionsOf(course, student);
        if (from.isEmpty()) {
            throw Refused.notFound();
        }
        moveTo(student, from, to);
        deeds.note(me, Deeds.What.STUDENT_MOVED, student, section.name);
        return courses.see(me, course);
    }

    void moveTo(UUID student, List<UUID> from, UUID to) {
        courses.enrol(to, student);
        for (UUID section : from) {
            if (!section.equals(to)) {
                courses.unenrol(section, student);
                moving.forEach(m -> m.moved(student, section, to));
            }
        }
    }

    /** Off the roster; what they have done stays with the course's assessments. */
    @Transactional
    Courses.CourseView remove(Me me, UUID course, UUID student) {
        access.require(me, Access.Action.MANAGE_COURSE, course);
        List<UUID> sections = sectionsOf(course, student);
        if (sections.isEmpty()) {
            throw Refused.notFound();
        }
        leave(course, student);
        deeds.note(me, Deeds.What.STUDENT_REMOVED, student, people.name(student));
        return courses.see(me, course);
    }

    /** In this section and in no other of the course, with what they have done. */
    void place(UUID course, UUID student, UUID section) {
        moveTo(student, sectionsOf(course, student), section);
    }

    /** Off every roster of the course. */
    void leave(UUID course, UUID student) {
        sectionsOf(course, student).forEach(s -> courses.unenrol(s, student));
    }

    private List<UUID> sectionsOf(UUID course, UUID student) {
        return entities.createQuery("""
                        select e.section from Enrolment e join Section s on s.id = e.section
                        where s.course = :course and e.student = :student""", UUID.class)
                .setParameter("course", course)
                .setParameter("student", student)
                .getResultList();
    }

    /** Codes for students of the course, to print and cut; of nobody else, whoever is asked for. */
    @Transactional
    List<WaysIn.Slip> slips(Me me, UUID course, SlipChoice chosen) {
        access.require(me, Access.Action.MANAGE_COURSE, course);
        Map<UUID, String> groups = new HashMap<>();
        Courses.CourseView view = courses.see(me, course);
        Map<UUID, String> names = new HashMap<>();
        view.sections().forEach(s -> names.put(s.id(), s.name()));
        Set<UUID> wanted = new HashSet<>(chosen.students());
        view.students().stream()
                .filter(s -> chosen.section() == null || s.section().equals(chosen.section()))
                .filter(s -> wanted.isEmpty() || wanted.contains(s.id()))
                .forEach(s -> groups.put(s.id(), names.getOrDefault(s.section(), "")));
        if (groups.isEmpty()) {
            throw Refused.invalid("students", "nobody of the roster was chosen");
        }
        return withGroups(waysIn.codes(me, groups.keySet()), groups);
    }

    private static List<WaysIn.Slip> withGroups(Collection<WaysIn.Slip> slips, Map<UUID, String> groups) {
        return slips.stream()
                .map(s -> new WaysIn.Slip(
                        s.person(), s.name(), s.username(), s.code(), s.until(), groups.getOrDefault(s.person(), "")))
                .toList();
    }
}
