package org.scholion.server.key;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.server.platform.Ids;
import org.scholion.server.platform.JsonColumn;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;

/** What each item of a draft was, from change to change. What one person changes within some minutes is one change. */
@Service
class ItemHistory {
    private static final Duration ONE_CHANGE = Duration.ofMinutes(5);

    private final EntityManager entities;
    private final Ids ids;
    private final Clock clock;

    ItemHistory(EntityManager entities, Ids ids, Clock clock) {
        this.entities = entities;
        this.ids = ids;
        this.clock = clock;
    }

    /** @param definition the item as it was then; null when it was taken out */
    record ItemVersion(String by, Instant at, @Nullable Object definition) {}

    record Was(String by, Instant at, @Nullable JsonNode definition) {}

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
        ItemHistoryRow last = entities.createQuery(
                        "from ItemHistoryRow h where h.assessment = :assessment and h.item = :item order by h.at desc",
                        ItemHistoryRow.class)
                .setParameter("assessment", assessment)
                .setParameter("item", item)
                .setMaxResults(1)
                .getResultStream()
                .findFirst()
                .orElse(null);
        ItemHistoryRow row = last;
        if (row == null || row.definition == null || !row.by.equals(person) || !row.at.isAfter(now.minus(ONE_CHANGE))) {
            row = new ItemHistoryRow(ids.next(), assessment, item, person);
        }
        row.definition = definition;
        row.at = now;
        entities.persist(row);
        entities.flush();
    }

    /** The states of one item, the newest first. */
    @Transactional(readOnly = true)
    List<ItemVersion> of(UUID assessment, String item) {
        return entities.createQuery("""
                        select p.name, h.at, h.definition
                        from ItemHistoryRow h join Person p on p.id = h.by
                        where h.assessment = :assessment and h.item = :item order by h.at desc""", Was.class)
                .setParameter("assessment", assessment)
                .setParameter("item", item)
                .setMaxResults(50)
                .getResultStream()
                .map(w -> new ItemVersion(
                        w.by(), w.at(), w.definition() == null ? null : JsonColumn.plain(w.definition())))
                .toList();
    }
}
