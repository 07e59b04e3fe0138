package org.scholion.server.handback;

import jakarta.persistence.EntityManager;
import java.util.List;
import java.util.UUID;
import org.scholion.server.person.KeptOfStudent;
import org.springframework.stereotype.Component;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** What was handed back to a student, and what they asked about it. */
@Component
class ResultsKept implements KeptOfStudent {
    private final EntityManager entities;

    ResultsKept(EntityManager entities) {
        this.entities = entities;
    }

    @Override
    public List<String> clashes(UUID from, UUID to) {
        // Results go with their attempts, and these are looked at there.
        return List.of();
    }

    @Override
    public void move(UUID from, UUID to) {
        for (String rows : List.of("ResultRow", "QueryRow")) {
            entities.createQuery("update " + rows + " r set r.student = :to where r.student = :from")
                    .setParameter("to", to)
                    .setParameter("from", from)
                    .executeUpdate();
        }
    }

    @Override
    public void tell(UUID student, ObjectNode file) {
        ArrayNode results = file.putArray("results");
        entities.createQuery("from ResultRow r where r.student = :student order by r.handedAt", ResultRow.class)
                .setParameter("student", student)
                .getResultList()
                .forEach(r -> results.addObject()
                        .put("handedBackAt", r.handedAt.toString())
                        .put("seenAt", r.seenAt == null ? null : r.seenAt.toString())
                        .set("result", r.snapshot));
        ArrayNode queries = file.putArray("queries");
        entities.createQuery("from QueryRow q where q.student = :student order by q.askedAt", QueryRow.class)
                .setParameter("student", student)
                .getResultList()
                .forEach(q -> queries.addObject()
                        .put("item", q.item)
                        .put("askedAt", q.askedAt.toString())
                        .put("question", q.words)
                        .put("reply", q.reply));
    }
}
