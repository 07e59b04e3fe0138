package org.scholion.server.course;

import jakarta.persistence.EntityManager;
import java.util.List;
import java.util.UUID;
import org.scholion.server.person.KeptOfStudent;
import org.springframework.stereotype.Component;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** On which rosters a student is. */
@Component
class RostersKept implements KeptOfStudent {
    private final EntityManager entities;

    RostersKept(EntityManager entities) {
        this.entities = entities;
    }

    @Override
    public List<String> clashes(UUID from, UUID to) {
        // Of two sections of one course the one stays in which the other was.
        return entities
                .createQuery("""
                        select distinct c.title from Enrolment a join Section s on s.id = a.section
                        join Enrolment b on b.student = :to join Section t on t.id = b.section
                        join Course c on c.id = s.course and c.id = t.course
                        where a.student = :from and s.id <> t.id order by c.title""", String.class)
                .setParameter("from", from)
                .setParameter("to", to)
                .getResultList()
                .stream()
                .map(title -> "another section of " + title)
                .toList();
    }

    @Override
    public void move(UUID from, UUID to) {
        List<UUID> sections = entities.createQuery("select section from Enrolment where student = :from", UUID.class)
                .setParameter("from", from)
                .getResultList();
        List<UUID> there = entities.createQuery("select section from Enrolment where student = :to", UUID.class)
                .setParameter("to", to)
                .getResultList();
        entities.createQuery("delete from Enrolment where student = :from")
                .setParameter("from", from)
                .executeUpdate();
        sections.stream().filter(s -> !there.contains(s)).forEach(s -> entities.persist(new Enrolment(s, to)));
        entities.createQuery("from StudentGroup g where :from member of g.students", StudentGroup.class)
                .setParameter("from", from)
                .getResultList()
                .forEach(group -> {
                    group.students.remove(from);
                    group.students.add(to);
                });
        entities.flush();
    }

    private record OnRoster(String course, String section) {}

    private record InGroup(String course, String group) {}

    @Override
    public void tell(UUID student, ObjectNode file) {
        ArrayNode rosters = file.putArray("rosters");
        entities.createQuery("""
                        select c.title, s.name from Enrolment e join Section s on s.id = e.section
                        join Course c on c.id = s.course where e.student = :student order by c.title, s.name""", OnRoster.class)
                .setParameter("student", student)
                .getResultList()
                .forEach(r -> rosters.addObject().put("course", r.course()).put("section", r.section()));
        ArrayNode groups = file.putArray("groups");
        entities.createQuery("""
                        select c.title, g.name from StudentGroup g join Course c on c.id = g.course
                        where :student member of g.students order by c.title, g.name""", InGroup.class)
                .setParameter("student", student)
                .getResultList()
                .forEach(g -> groups.addObject().put("course", g.course()).put("group", g.group()));
    }
}
