package org.scholion.server.file;

import java.util.HashSet;
import java.util.Set;
import java.util.UUID;
import java.util.regex.Pattern;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;

/** Which definitions have which files. */
@Service
public class FileUses {
    private static final Pattern HASH = Pattern.compile("(?<![0-9a-f])[0-9a-f]{64}(?![0-9a-f])");

    private final JdbcClient db;

    FileUses(JdbcClient db) {
        this.db = db;
    }

    /** What a file belongs to. */
    public enum Kind {
        KEY,
        EDITION,
        ITEM
    }

    /** Notes the files of a definition; those that are noted already cost nothing. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void note(UUID school, Kind kind, UUID object, JsonNode definition) {
        Set<String> named = named(definition);
        if (named.isEmpty()) {
            return;
        }
        db.sql("""
                        insert into file_use (school_id, file_id, object_id, kind)
                        select school_id, id, :object, :kind from file where school_id = :school and id in (:named)
                        on conflict do nothing""")
                .param("school", school)
                .param("object", object)
                .param("kind", kind.name())
                .param("named", named)
                .update();
    }

    /** Notes that something is no more, and with it the files that belonged to it. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void forget(Kind kind, UUID object) {
        db.sql("delete from file_use where kind = ? and object_id = ?")
                .params(kind.name(), object)
                .update();
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
