package org.scholion.server.key;

import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.formats.json.Json;
import org.scholion.server.platform.Ids;
import org.scholion.server.platform.JsonColumn;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;

/** What each item of a draft was, from change to change. What one person changes within some minutes is one change. */
@Service
class ItemHistory {
    private static final Duration ONE_CHANGE = Duration.ofMinutes(5);

    private final JdbcClient db;
    private final Ids ids;
    private final Clock clock;

    ItemHistory(JdbcClient db, Ids ids, Clock clock) {
        this.db = db;
        this.ids = ids;
        this.clock = clock;
    }

    /** @param definition the item as it was then; null when it was taken out */
    record ItemVersion(String by, Instant at, @Nullable Object definition) {}

    /** Keeps what differs between two states of a draft. */
    @Transactional(propagation = Propagation.MANDATORY)
    void keep(UUID assessment, UUID person, JsonNode before, JsonNode after) {
        Map<String, JsonNode> old = items(before);
        Map<String, JsonNode> now = items(after);
        now.forEach((item, definition) -> {
            if (!definition.equals(old.get(item))) {
                add(assessment, person, item, definition);
            }
        });
        old.keySet().stream()
                .filter(item -> !now.containsKey(item))
                .forEach(item -> add(assessment, person, item, null));
    }

    private static Map<String, JsonNode> items(JsonNode draft) {
        Map<String, JsonNode> items = new LinkedHashMap<>();
        draft.path("items").forEach(i -> items.put(i.path("id").asString(""), i));
        return items;
    }

    private void add(UUID assessment, UUID person, String item, @Nullable JsonNode definition) {
        Instant now = clock.instant();
        String json = definition == null ? null : Json.write(definition);
        int updated = db.sql("""
                        update item_history set definition = cast(:definition as jsonb), at = :now
                        where id = (select id from item_history where assessment_id = :assessment and item = :item
                                    order by at desc limit 1)
                          and by_id = :person and at > :since and definition is not null""")
                .param("definition", json)
                .param("now", Timestamp.from(now))
                .param("assessment", assessment)
                .param("item", item)
                .param("person", person)
                .param("since", Timestamp.from(now.minus(ONE_CHANGE)))
                .update();
        if (updated == 0) {
            db.sql("""
                            insert into item_history (id, assessment_id, item, definition, by_id, at)
                            values (:id, :assessment, :item, cast(:definition as jsonb), :person, :now)""")
                    .param("id", ids.next())
                    .param("assessment", assessment)
                    .param("item", item)
                    .param("definition", json)
                    .param("person", person)
                    .param("now", Timestamp.from(now))
                    .update();
        }
    }

    /** The states of one item, the newest first. */
    @Transactional(readOnly = true)
    List<ItemVersion> of(UUID assessment, String item) {
        return db.sql("""
                        select p.given || ' ' || p.family as by, h.at, h.definition
                        from item_history h join person p on p.id = h.by_id
                        where h.assessment_id = ? and h.item = ? order by h.at desc limit 50""")
                .params(assessment, item)
                .query((row, n) -> {
                    String json = row.getString("definition");
                    return new ItemVersion(
                            row.getString("by"),
                            row.getTimestamp("at").toInstant(),
                            json == null ? null : JsonColumn.plain(JsonColumn.read(json)));
                })
                .list();
    }
}
