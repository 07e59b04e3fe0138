package org.scholion.server.collect;

import jakarta.persistence.EntityManager;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.scholion.server.person.KeptOfStudent;
import org.springframework.stereotype.Component;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** What was typed from a student's sheets. */
@Component
class TypedKept implements KeptOfStudent {
    private final EntityManager entities;

    TypedKept(EntityManager entities) {
        this.entities = entities;
    }

    @Override
    public List<String> clashes(UUID from, UUID to) {
        return entities
                .createQuery("""
                        select distinct t.title from TypedRow a join TypedRow b on b.assessment = a.assessment
                        join AssessmentRow t on t.id = a.assessment
                        where a.student = :from and b.student = :to order by t.title""", String.class)
                .setParameter("from", from)
                .setParameter("to", to)
                .getResultList()
                .stream()
                .map(title -> "sheets of both typed for " + title)
                .toList();
    }

    @Override
    public void move(UUID from, UUID to) {
        entities.createQuery("update TypedRow r set r.student = :to where r.student = :from")
                .setParameter("to", to)
                .setParameter("from", from)
                .executeUpdate();
    }

    private record Sheet(String assessment, Map<String, String> cells) {}

    @Override
    public void tell(UUID student, ObjectNode file) {
        ArrayNode typed = file.putArray("typed");
        entities.createQuery("""
                        select t.title, r.cells from TypedRow r join AssessmentRow t on t.id = r.assessment
                        where r.student = :student order by t.title""", Sheet.class)
                .setParameter("student", student)
                .getResultList()
                .forEach(s -> {
                    ObjectNode cells =
                            typed.addObject().put("assessment", s.assessment()).putObject("cells");
                    s.cells().forEach(cells::put);
                });
    }
}
