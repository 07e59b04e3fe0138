package org.scholion.server.file;

import jakarta.persistence.EntityManager;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.regex.Pattern;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;

/** Which definitions have which files. */
@Service
public class FileUses {
    private static final Pattern HASH = Pattern.compile("(?<![0-9a-f])[0-9a-f]{64}(?![0-9a-f])");

    private final EntityManager entities;

    FileUses(EntityManager entities) {
        this.entities = entities;
    }

    /** What a file belongs to. */
    public enum Kind {
        KEY,
        EDITION,
        ITEM,
        /** Whoever put it in. */
        PERSON,
        /** An attempt with an answer that it belongs to. */
        ANSWER
    }

    /** Notes the files of a definition; those that are noted already cost nothing. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void note(UUID school, Kind kind, UUID object, JsonNode definition) {
        Set<String> named = named(definition);
        if (named.isEmpty()) {
            return;
        }
        entities.createQuery("""
                        insert into FileUse (school, file, object, kind)
                        select f.school, f.id, :object, :kind from StoredFile f where f.school = :school and f.id in (:named)
                        on conflict do nothing""")
                .setParameter("school", school)
                .setParameter("object", object)
                .setParameter("kind", kind)
                .setParameter("named", named)
                .executeUpdate();
    }

    /** The files that a definition names and that are not there. */
    @Transactional(readOnly = true)
    public Set<String> missing(UUID school, JsonNode definition) {
        Set<String> missing = named(definition);
        if (!missing.isEmpty()) {
            entities.createQuery(
                            "select f.id from StoredFile f where f.school = :school and f.id in (:named)", String.class)
                    .setParameter("school", school)
                    .setParameter("named", Set.copyOf(missing))
                    .getResultList()
                    .forEach(missing::remove);
        }
        return missing;
    }

    /** The files that a definition names, each with what it is, such as {@code image/png}; empty where somebody did not put it in themselves. */
    @Transactional(readOnly = true)
    public Map<String, Optional<String>> typesOf(UUID school, UUID person, JsonNode definition) {
        Map<String, Optional<String>> types = new HashMap<>();
        named(definition).forEach(file -> types.put(file, Optional.empty()));
        if (!types.isEmpty()) {
            entities.createQuery("""
                            select f.id, f.type from StoredFile f
                            join FileUse u on u.school = f.school and u.file = f.id and u.kind = PERSON and u.object = :person
                            where f.school = :school and f.id in (:named)""", Typed.class)
                    .setParameter("school", school)
                    .setParameter("person", person)
                    .setParameter("named", Set.copyOf(types.keySet()))
                    .getResultList()
                    .forEach(f -> types.put(f.id(), Optional.of(f.type())));
        }
        return types;
    }

    record Typed(String id, String type) {}

    /** Notes that something is no more, and with it the files that belonged to it. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void forget(Kind kind, UUID object) {
        entities.createQuery("delete from FileUse u where u.kind = :kind and u.object = :object")
                .setParameter("kind", kind)
                .setParameter("object", object)
                .executeUpdate();
    }

    private static Set<String> named(JsonNode definition) {
        Set<String> named = new HashSet<>();
        gather(definition, named);
        return named;
    }

    private static void gather(JsonNode node, Set<String> named) {
        if (node.isString()) {
            String text = node.stringValue();
            if (text.length() >= 64) {
                HASH.matcher(text).results().forEach(m -> named.add(m.group()));
            }
        } else {
            node.forEach(child -> gather(child, named));
        }
    }
}
