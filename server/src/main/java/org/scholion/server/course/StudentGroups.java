package org.scholion.server.course;

import jakarta.persistence.EntityManager;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.server.access.Access;
import org.scholion.server.platform.Ids;
import org.scholion.server.platform.Lengths;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Groups of a course: students under a name, chosen by it wherever students are chosen. */
@Service
public class StudentGroups {
    private static final int MOST = 100;

    private final EntityManager entities;
    private final Access access;
    private final Ids ids;

    StudentGroups(EntityManager entities, Access access, Ids ids) {
        this.entities = entities;
        this.access = access;
        this.ids = ids;
    }

    /** @param students those who are on a roster of the course now */
    public record GroupLine(UUID id, String name, List<UUID> students, int revision) {}

    /**
     * A group as it is wanted.
     *
     * @param revision of the group as it was seen; null for a new one
     */
    public record GroupWanted(
            String name, List<UUID> students, @Nullable Integer revision) {}

    private record Member(
            UUID id, String name, int revision, @Nullable UUID student) {}

    /** The groups of a course, by name. */
    @Transactional(readOnly = true)
    public List<GroupLine> of(Me me, UUID course) {
        access.require(me, Access.Action.SEE_COURSE, course);
        Map<UUID, GroupLine> groups = new LinkedHashMap<>();
        entities.createQuery("""
                        select g.id, g.name, g.revision, s from StudentGroup g left join g.students s
                          on exists (select 1 from Enrolment e join Section c on c.id = e.section
                            where e.student = s and c.course = g.course)
                        where g.course = :course order by lower(g.name), g.id, s""", Member.class)
                .setParameter("course", course)
                .getResultList()
                .forEach(m -> {
                    GroupLine line = groups.computeIfAbsent(
                            m.id(), id -> new GroupLine(id, m.name(), new ArrayList<>(), m.revision()));
                    if (m.student() != null) {
                        line.students().add(m.student());
                    }
                });
        return List.copyOf(groups.values());
    }

    @Transactional
    public List<GroupLine> add(Me me, UUID course, GroupWanted wanted) {
        access.require(me, Access.Action.SEE_COURSE, course);
        if (of(me, course).size() >= MOST) {
            throw Refused.conflict("too-many", "A course has at most " + MOST + " groups. Remove one first.");
        }
        StudentGroup group = new StudentGroup(ids.next(), me.school(), course, name(course, null, wanted.name()));
        group.students = students(course, wanted.students());
        entities.persist(group);
        entities.flush();
        return of(me, course);
    }

    @Transactional
    public List<GroupLine> change(Me me, UUID course, UUID id, GroupWanted wanted) {
        access.require(me, Access.Action.SEE_COURSE, course);
        StudentGroup group = require(course, id);
        if (wanted.revision() == null || wanted.revision() != group.revision) {
            throw Refused.conflict(
                    "changed-meanwhile",
                    "Someone else changed this group first, so yours was not saved. Look again, and repeat it if you"
                            + " still want it.");
        }
        group.name = name(course, id, wanted.name());
        group.students = students(course, wanted.students());
        entities.flush();
        return of(me, course);
    }

    /** The students stay as they are; what was given to the group stays given to them. */
    @Transactional
    public List<GroupLine> remove(Me me, UUID course, UUID id) {
        access.require(me, Access.Action.SEE_COURSE, course);
        entities.remove(require(course, id));
        entities.flush();
        return of(me, course);
    }

    private StudentGroup require(UUID course, UUID id) {
        StudentGroup group = entities.find(StudentGroup.class, id);
        if (group == null || !group.course.equals(course)) {
            throw Refused.notFound();
        }
        return group;
    }

    private String name(UUID course, @Nullable UUID own, String typed) {
        String name = Lengths.name("name", typed);
        boolean taken = entities.createQuery("from StudentGroup g where g.course = :course", StudentGroup.class)
                .setParameter("course", course)
                .getResultStream()
                .anyMatch(g -> !g.id.equals(own) && g.name.equalsIgnoreCase(name));
        if (taken) {
            throw Refused.conflict("name-taken", "Another group of this course is called “" + name + "” already.");
        }
        return name;
    }

    private Set<UUID> students(UUID course, List<UUID> wanted) {
        Set<UUID> students = new HashSet<>(wanted);
        Set<UUID> there = new HashSet<>(entities.createQuery(
                        "select e.student from Enrolment e join Section c on c.id = e.section where c.course = :course",
                        UUID.class)
                .setParameter("course", course)
                .getResultList());
        if (students.isEmpty() || !there.containsAll(students)) {
            throw Refused.invalid("students", "Choose at least one student of this course.");
        }
        return students;
    }
}
