package org.scholion.server.file;

import jakarta.persistence.EntityManager;
import java.time.Instant;
import java.util.UUID;
import org.scholion.server.person.KeptOfStudent;
import org.springframework.stereotype.Component;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** The files that a student put in. */
@Component
class FilesKept implements KeptOfStudent {
    private final EntityManager entities;

    FilesKept(EntityManager entities) {
        this.entities = entities;
    }

    @Override
    public void move(UUID from, UUID to) {
        entities.createQuery("update StoredFile f set f.madeBy = :to where f.madeBy = :from")
                .setParameter("to", to)
                .setParameter("from", from)
                .executeUpdate();
        entities.createQuery("""
                        insert into FileUse (school, file, object, kind)
                        select u.school, u.file, :to, u.kind from FileUse u where u.object = :from and u.kind = PERSON
                        on conflict do nothing""")
                .setParameter("to", to)
                .setParameter("from", from)
                .executeUpdate();
        entities.createQuery("delete from FileUse u where u.object = :from and u.kind = PERSON")
                .setParameter("from", from)
                .executeUpdate();
    }

    private record Line(String id, String name, String type, int size, Instant madeAt) {}

    @Override
    public void tell(UUID student, ObjectNode file) {
        ArrayNode files = file.putArray("files");
        entities.createQuery("""
                        select f.id, f.name, f.type, f.size, f.madeAt from StoredFile f
                        where f.madeBy = :student order by f.madeAt, f.id""", Line.class)
                .setParameter("student", student)
                .getResultList()
                .forEach(f -> files.addObject()
                        .put("sha256", f.id())
                        .put("name", f.name())
                        .put("type", f.type())
                        .put("bytes", f.size())
                        .put("addedAt", f.madeAt().toString()));
    }

    /** What a file was called on a telephone can name its owner. */
    @Override
    public void forget(UUID student) {
        entities.createQuery("update StoredFile f set f.name = '' where f.madeBy = :student")
                .setParameter("student", student)
                .executeUpdate();
    }
}
