package org.scholion.server.key;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.core.item.Item;
import org.scholion.core.number.Fraction;
import org.scholion.core.score.Ruling;
import org.scholion.server.file.FileUses;
import org.scholion.server.platform.Ids;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Frozen editions, compiled once and kept. An edition never changes, so that what is kept is never stale. */
@Service
public class Editions {
    private final FileUses files;
    private final EntityManager entities;
    private final JsonMapper json;
    private final Ids ids;
    private final Clock clock;
    private final Cache<UUID, Edition> compiled =
            Caffeine.newBuilder().maximumSize(500).build();
    private final Cache<Numbered, UUID> known =
            Caffeine.newBuilder().maximumSize(5_000).build();

    Editions(FileUses files, EntityManager entities, JsonMapper json, Ids ids, Clock clock) {
        this.files = files;
        this.entities = entities;
        this.json = json;
        this.ids = ids;
        this.clock = clock;
    }

    private record Numbered(UUID assessment, int number) {}

    /** A line of an assessment's history. */
    public record EditionLine(
            int number, String why, @Nullable Integer undoes, String by, Instant at) {}

    /** An edition is asked for by assessment and number, or the latest. */
    @Transactional(readOnly = true)
    public Optional<Edition> latest(UUID assessment) {
        return entities.createQuery(
                        "select e.id from EditionRow e where e.assessment = :assessment order by e.number desc",
                        UUID.class)
                .setParameter("assessment", assessment)
                .setMaxResults(1)
                .getResultStream()
                .findFirst()
                .map(id -> compiled.get(id, this::load));
    }

    /** The latest edition of each of these; those that were never given out have none. */
    @Transactional(readOnly = true)
    public Map<UUID, Edition> latestOf(Collection<UUID> assessments) {
        Map<UUID, Edition> all = new HashMap<>();
        if (!assessments.isEmpty()) {
            List<UUID> latest = entities.createQuery("""
                            select e.id from EditionRow e where e.assessment in (:assessments) and e.number =
                              (select max(n.number) from EditionRow n where n.assessment = e.assessment)""", UUID.class)
                    .setParameter("assessments", assessments)
                    .getResultList();
            compiled.getAll(latest, this::loadAll)
                    .values()
                    .forEach(edition -> all.put(edition.assessmentId(), edition));
        }
        return all;
    }

    @Transactional(readOnly = true)
    public Edition require(UUID assessment) {
        return latest(assessment)
                .orElseThrow(() -> Refused.conflict("not-given-out", "This assessment has not been given out yet."));
    }

    @Transactional(readOnly = true)
    public Edition numbered(UUID assessment, int number) {
        return compiled.get(idOf(assessment, number), this::load);
    }

    /** Which id an edition has never changes, so that it is asked once. */
    public UUID idOf(UUID assessment, int number) {
        return known.get(
                new Numbered(assessment, number),
                n -> entities.createQuery(
                                "select e.id from EditionRow e where e.assessment = :assessment and e.number = :number",
                                UUID.class)
                        .setParameter("assessment", assessment)
                        .setParameter("number", number)
                        .getResultStream()
                        .findFirst()
                        .orElseThrow(Refused::notFound));
    }

    /** The edition that this one repeats, when it was made by going back; itself otherwise. */
    @Transactional(readOnly = true)
    public int standsFor(UUID assessment, int number) {
        return entities.createQuery("""
                        select coalesce(e.undoes, e.number) from EditionRow e
                        where e.assessment = :assessment and e.number = :number""", Integer.class)
                .setParameter("assessment", assessment)
                .setParameter("number", number)
                .getSingleResult();
    }

    private Edition load(UUID id) {
        Frozen row = entities.createQuery(
                        "select e.assessment, e.number, e.definition, e.rulings from EditionRow e where e.id = :id",
                        Frozen.class)
                .setParameter("id", id)
                .getSingleResult();
        return Edition.compile(row.assessment(), row.number(), row.definition(), read(row.rulings()));
    }

    /** Many at once, in one statement. */
    private Map<UUID, Edition> loadAll(Iterable<? extends UUID> missing) {
        List<UUID> wanted = new ArrayList<>();
        missing.forEach(wanted::add);
        Map<UUID, Edition> all = new HashMap<>();
        entities.createQuery(
                        "select e.id, e.assessment, e.number, e.definition, e.rulings from EditionRow e where e.id in (:ids)",
                        FrozenOf.class)
                .setParameter("ids", wanted)
                .getResultList()
                .forEach(row -> all.put(
                        row.id(),
                        Edition.compile(row.assessment(), row.number(), row.definition(), read(row.rulings()))));
        return all;
    }

    record Frozen(UUID assessment, int number, JsonNode definition, JsonNode rulings) {}

    record FrozenOf(UUID id, UUID assessment, int number, JsonNode definition, JsonNode rulings) {}

    /**
     * Freezes the next edition.
     *
     * @param expected the number it must get; somebody else's edition in between is a conflict
     */
    @Transactional
    public void add(Me me, Edition edition, String why, @Nullable Integer undoes) {
        UUID id = ids.next();
        files.note(me.school(), FileUses.Kind.EDITION, id, edition.definition());
        EditionRow row = new EditionRow();
        row.id = id;
        row.assessment = edition.assessmentId();
        row.number = edition.number();
        row.definition = edition.definition();
        row.rulings = written(edition.rulings());
        row.why = why;
        row.undoes = undoes;
        row.madeBy = me.id();
        row.madeAt = clock.instant();
        row.live = edition.items().stream().filter(edition::waits).map(Item::id).toArray(String[]::new);
        entities.persist(row);
        entities.flush();
        // Kept compiled elsewhere: nobody needs it here again.
        entities.detach(row);
    }

    /** Takes back the first edition of what nobody has begun; when there is a later one, it stays. */
    @Transactional
    public void withdraw(UUID assessment) {
        List<UUID> all = entities.createQuery(
                        "select e.id from EditionRow e where e.assessment = :assessment", UUID.class)
                .setParameter("assessment", assessment)
                .getResultList();
        if (all.size() == 1) {
            UUID id = all.get(0);
            entities.createQuery("delete from EditionRow e where e.id = :id")
                    .setParameter("id", id)
                    .executeUpdate();
            files.forget(FileUses.Kind.EDITION, id);
            known.invalidate(new Numbered(assessment, 1));
            compiled.invalidate(id);
        }
    }

    @Transactional(readOnly = true)
    public List<EditionLine> history(UUID assessment) {
        return entities.createQuery("""
                        select e.number, e.why, e.undoes, p.name, e.madeAt
                        from EditionRow e join Person p on p.id = e.madeBy
                        where e.assessment = :assessment order by e.number desc""", EditionLine.class)
                .setParameter("assessment", assessment)
                .getResultList();
    }

    /**
     * A question as an edition has it.
     *
     * @param item its definition; null where the edition does not have it
     * @param rulings those about this question
     * @param undoes the edition that this one repeats
     */
    public record ItemThen(
            int number,
            @Nullable JsonNode item,
            List<Ruling> rulings,
            @Nullable Integer undoes,
            String by,
            Instant at) {}

    /** One question in every edition, the first one first; nothing else of them is read. */
    @Transactional(readOnly = true)
    public List<ItemThen> ofItem(UUID assessment, String item) {
        return entities.createQuery("""
                        select e.number, json_query(e.definition, '$.items[*] ? (@.id == $id)' passing :item as id),
                            e.rulings, e.undoes, p.name, e.madeAt
                        from EditionRow e join Person p on p.id = e.madeBy
                        where e.assessment = :assessment order by e.number""", Then.class)
                .setParameter("assessment", assessment)
                .setParameter("item", item)
                .getResultStream()
                .map(then -> new ItemThen(
                        then.number(),
                        then.item() == null ? null : json.readTree(then.item()),
                        read(then.rulings()).stream()
                                .filter(r -> r.item().equals(item))
                                .toList(),
                        then.undoes(),
                        then.by(),
                        then.at()))
                .toList();
    }

    record Then(
            int number,
            @Nullable String item,
            JsonNode rulings,
            @Nullable Integer undoes,
            String by,
            Instant at) {}

    /** Rulings as they are kept. */
    public static List<Ruling> read(JsonNode node) {
        List<Ruling> all = new ArrayList<>();
        for (JsonNode one : node) {
            all.add(new Ruling(
                    one.get("item").stringValue(),
                    one.get("form").stringValue(),
                    Fraction.exactly(one.get("credit").stringValue()),
                    one.hasNonNull("note") ? one.get("note").stringValue() : null));
        }
        return all;
    }

    public static ArrayNode written(List<Ruling> rulings) {
        ArrayNode all = JsonNodeFactory.instance.arrayNode();
        for (Ruling ruling : rulings) {
            ObjectNode one = all.addObject()
                    .put("item", ruling.item())
                    .put("form", ruling.form())
                    .put("credit", ruling.credit().toExact());
            if (ruling.note() != null) {
                one.put("note", ruling.note());
            }
        }
        return all;
    }
}
