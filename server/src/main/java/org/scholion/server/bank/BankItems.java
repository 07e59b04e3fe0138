package org.scholion.server.bank;

import jakarta.persistence.EntityManager;
import java.math.BigDecimal;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.hibernate.Session;
import org.hibernate.query.MutationQuery;
import org.jspecify.annotations.Nullable;
import org.scholion.formats.assessment.OneItem;
import org.scholion.formats.json.Fault;
import org.scholion.formats.json.Json;
import org.scholion.server.access.Access;
import org.scholion.server.file.FileUses;
import org.scholion.server.key.Assessments;
import org.scholion.server.platform.Ids;
import org.scholion.server.platform.JsonColumn;
import org.scholion.server.platform.Lengths;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Items of the bank: kept with every version they had. */
@Service
public class BankItems {
    /** The owner's item whose prompt is most like this one's; looked for only when a prompt is new. */
    private static final String NEAREST = """
            (select i.id from bank_item i where i.owner_id = %s and i.deleted_at is null and i.id <> :id and i.alike %% :alike and :alike <> ''
             order by similarity(i.alike, :alike) desc, i.made_at limit 1)""";

    private final EntityManager entities;
    private final Access access;
    private final Assessments assessments;
    private final FileUses files;
    private final Ids ids;
    private final Clock clock;

    BankItems(EntityManager entities, Access access, Assessments assessments, FileUses files, Ids ids, Clock clock) {
        this.entities = entities;
        this.access = access;
        this.assessments = assessments;
        this.files = files;
        this.ids = ids;
        this.clock = clock;
    }

    public record BankVersion(int version, String by, Instant at, Object definition) {}

    /** Where an item was put, and under which number of the paper it stands there now. */
    public record Use(UUID assessment, String title, String item, int version, Instant at) {}

    /**
     * Copies an item to one's own bank.
     *
     * @param from the paper that it stands in already, where it is used from now on; null when it is from nowhere. A
     *     paper that one may only use is not changed by it.
     */
    @Transactional
    public UUID add(Me me, Object definition, @Nullable UUID folder, @Nullable UUID from) {
        requireFolder(me, folder);
        if (from != null) {
            access.require(me, Access.Action.USE_KEY, from);
        }
        JsonNode item = JsonColumn.node(definition);
        return copy(me, item, folder, from)
                .orElseThrow(() -> Refused.conflict("copied-already", "This item is in your bank already."));
    }

    /** Empty when it was copied from there before. */
    private Optional<UUID> copy(Me me, JsonNode definition, @Nullable UUID folder, @Nullable UUID from) {
        ObjectNode item = OneItem.untied(definition);
        refuseFaulty(item);
        UUID id = ids.next();
        Instant now = clock.instant();
        String place = from == null ? null : definition.path("id").asString("");
        int made = write("""
                insert into bank_item (id, school_id, owner_id, folder_id, version, definition, kind, prompt, alike, tags,
                                       codes, difficulty, made_at, changed_at, words, said, from_assessment,
                                       from_item, near_id)
                values (:id, :school, :me, :folder, 1, cast(:definition as jsonb), :kind, :prompt, :alike, :tags, :codes,
                        :difficulty, :now, :now, to_tsvector('simple', :words), :words, :from, :place, """ + NEAREST.formatted(":me") + """
                ) on conflict (owner_id, from_assessment, from_item)
                  where from_assessment is not null and deleted_at is null do nothing""", item)
                .setParameter("id", id)
                .setParameter("school", me.school())
                .setParameter("me", me.id())
                .setParameter("folder", folder, UUID.class)
                .setParameter("now", now)
                .setParameter("from", from, UUID.class)
                .setParameter("place", place, String.class)
                .executeUpdate();
        if (made == 0) {
            return Optional.empty();
        }
        keepVersion(me, id, 1, item, now);
        if (from != null && access.may(me, Access.Action.EDIT_KEY, from)) {
            used(id, from, String.valueOf(place));
        }
        return Optional.of(id);
    }

    /**
     * What came of putting a whole paper into the bank.
     *
     * @param already were in it before
     * @param unfinished cannot be scored yet and were left where they are
     */
    public record WholePaper(int added, int already, int unfinished) {}

    /** Puts the items of a paper into one's own bank, but for those that are in somebody's bank already. */
    @Transactional
    public WholePaper addAll(Me me, UUID assessment, @Nullable UUID folder) {
        access.require(me, Access.Action.USE_KEY, assessment);
        requireFolder(me, folder);
        Set<String> known = Set.copyOf(
                entities.createQuery("select u.item from BankUse u where u.assessment = :assessment", String.class)
                        .setParameter("assessment", assessment)
                        .getResultList());
        int added = 0;
        int already = 0;
        int unfinished = 0;
        for (JsonNode item : assessments.whole(assessment).path("items")) {
            if (known.contains(item.path("id").asString(""))) {
                already++;
            } else if (OneItem.faults(item).isEmpty()) {
                boolean copied = copy(me, item, folder, assessment).isPresent();
                added += copied ? 1 : 0;
                already += copied ? 0 : 1;
            } else {
                unfinished++;
            }
        }
        return new WholePaper(added, already, unfinished);
    }

    /**
     * Changes an item; the versions before stay.
     *
     * @param version the version that was changed; another one in between is a conflict and nothing is lost
     */
    @Transactional
    public int change(Me me, UUID id, Object definition, int version) {
        access.require(me, Access.Action.EDIT_BANK_ITEM, id);
        ObjectNode item = OneItem.untied(JsonColumn.node(definition));
        refuseFaulty(item);
        Instant now = clock.instant();
        int updated = write("""
                update bank_item set version = version + 1, definition = cast(:definition as jsonb), kind = :kind,
                  prompt = :prompt, alike = :alike, tags = :tags, codes = :codes, difficulty = :difficulty,
                  changed_at = :now, words = to_tsvector('simple', :words), said = :words,
                  near_id = case when alike = :alike then near_id else """ + NEAREST.formatted("bank_item.owner_id") + """
                   end where id = :id and version = :version""", item)
                .setParameter("id", id)
                .setParameter("version", version)
                .setParameter("now", now)
                .executeUpdate();
        if (updated == 0) {
            throw Refused.conflict(
                    "changed-meanwhile", "A colleague has changed this item meanwhile. Yours is still on your screen.");
        }
        keepVersion(me, id, version + 1, item, now);
        return version + 1;
    }

    /** By PostgreSQL's own search: words as a vector, the nearest prompt by its trigrams. */
    private MutationQuery write(String sql, ObjectNode item) {
        Searched s = Searched.of(item);
        return entities.unwrap(Session.class)
                .createNativeMutationQuery(sql)
                .setParameter("definition", Json.write(item))
                .setParameter("kind", s.kind())
                .setParameter("prompt", s.prompt())
                .setParameter("alike", s.alike())
                .setParameter("tags", s.tags().toArray(new String[0]), String[].class)
                .setParameter("codes", s.codes().toArray(new String[0]), String[].class)
                .setParameter("difficulty", s.difficulty(), BigDecimal.class)
                .setParameter("words", s.words());
    }

    private void keepVersion(Me me, UUID id, int version, JsonNode item, Instant at) {
        files.note(me.school(), FileUses.Kind.ITEM, id, item);
        entities.persist(new BankVersionRow(id, version, item, me.id(), at));
        entities.flush();
    }

    private static void refuseFaulty(ObjectNode item) {
        Lengths.document(item);
        List<Fault> faults = OneItem.faults(item);
        if (!faults.isEmpty()) {
            throw Refused.invalid(faults);
        }
        if (Json.write(item).length() > 200_000) {
            throw Refused.invalid("", "an item has at most 200,000 characters");
        }
    }

    private void requireFolder(Me me, @Nullable UUID folder) {
        if (folder != null) {
            access.require(me, Access.Action.EDIT_BANK_FOLDER, folder);
        }
    }

    /** Into another folder, or out of any; the item stays whose it is. */
    @Transactional
    public void move(Me me, List<UUID> items, @Nullable UUID folder) {
        requireFolder(me, folder);
        for (UUID id : items) {
            access.require(me, Access.Action.OWN_BANK_ITEM, id);
            entities.find(BankItem.class, id).folder = folder;
            entities.flush();
        }
    }

    /** Removes an item from the bank; the papers that use it keep their own, and it can be restored. */
    @Transactional
    public void remove(Me me, UUID id) {
        access.require(me, Access.Action.OWN_BANK_ITEM, id);
        entities.find(BankItem.class, id).deletedAt = clock.instant();
        entities.flush();
    }

    @Transactional
    public void restore(Me me, UUID id) {
        access.require(me, Access.Action.RESTORE_BANK_ITEM, id);
        int restored = entities.createQuery("""
                        update BankItem i set i.deletedAt = null where i.id = :id and not exists (
                          select 1 from BankItem o where o.owner = i.owner and o.deletedAt is null
                          and o.fromAssessment = i.fromAssessment and o.fromItem = i.fromItem)""").setParameter("id", id).executeUpdate();
        if (restored == 0) {
            throw Refused.conflict(
                    "copied-already", "You have copied this item again since; that copy is in your bank.");
        }
    }

    /** What one has removed, the latest first. */
    public record Removed(UUID id, boolean folder, String name, Instant at) {}

    @Transactional(readOnly = true)
    public List<Removed> removed(Me me) {
        return entities.createQuery("""
                        select i.id, false, i.prompt, i.deletedAt from BankItem i where i.owner = :me and i.deletedAt is not null
                        union all
                        select f.id, true, f.name, f.deletedAt from BankFolder f where f.owner = :me and f.deletedAt is not null
                        order by 4 desc""", Removed.class)
                .setParameter("me", me.id())
                .setMaxResults(200)
                .getResultList();
    }

    /** One's own items that are aligned to one of these standards, the latest changed first. */
    public record Tagged(UUID id, JsonNode definition) {}

    @Transactional(readOnly = true)
    public List<Tagged> tagged(Me me, Set<String> codes) {
        // PostgreSQL's own overlap of arrays.
        List<UUID> found = entities.unwrap(Session.class)
                .createNativeQuery(
                        "select id from bank_item where owner_id = :me and codes && cast(:codes as text[])", UUID.class)
                .setParameter("me", me.id())
                .setParameter("codes", codes.toArray(new String[0]), String[].class)
                .getResultList();
        return entities.createQuery("""
                        select i.id, i.definition from BankItem i where i.id in (:found) and i.deletedAt is null
                        order by i.changedAt desc""", Tagged.class)
                .setParameter("found", found)
                .getResultList();
    }

    @Transactional(readOnly = true)
    public JsonNode definition(Me me, UUID id) {
        access.require(me, Access.Action.USE_BANK_ITEM, id);
        return entities.createQuery("select i.definition from BankItem i where i.id = :id", JsonNode.class)
                .setParameter("id", id)
                .getSingleResult();
    }

    @Transactional(readOnly = true)
    public List<BankVersion> versions(Me me, UUID id) {
        access.require(me, Access.Action.USE_BANK_ITEM, id);
        return entities.createQuery("""
                        select v.version, p.name, v.at, v.definition
                        from BankVersionRow v join Person p on p.id = v.by where v.item = :id order by v.version desc""", Was.class)
                .setParameter("id", id)
                .getResultStream()
                .map(w -> new BankVersion(w.version(), w.by(), w.at(), JsonColumn.plain(w.definition())))
                .toList();
    }

    record Was(int version, String by, Instant at, JsonNode definition) {}

    @Transactional(readOnly = true)
    public List<Use> uses(Me me, UUID id) {
        access.require(me, Access.Action.USE_BANK_ITEM, id);
        return entities.createQuery("""
                        select u.assessment, a.title, u.item, u.version, u.at
                        from BankUse u join AssessmentRow a on a.id = u.assessment
                        where u.bankItem = :id and a.school = :school order by u.at desc""", Use.class)
                .setParameter("id", id)
                .setParameter("school", me.school())
                .getResultList();
    }

    /**
     * Puts items into a paper that is not given out; each remembers where it came from.
     *
     * @param draw the draw of the paper that they are put into; null for none
     * @return their ids on the paper
     */
    @Transactional
    public List<String> put(Me me, List<UUID> items, UUID assessment, @Nullable String draw) {
        List<JsonNode> definitions = new ArrayList<>();
        for (UUID id : items) {
            JsonNode definition = definition(me, id).deepCopy();
            if (draw != null) {
                definition.asObject().put("draw", draw);
            }
            definitions.add(definition);
        }
        List<String> ids = assessments.append(me, assessment, definitions);
        for (int i = 0; i < ids.size(); i++) {
            used(items.get(i), assessment, ids.get(i));
        }
        return ids;
    }

    /** Remembers that an item of a paper is this item of the bank. */
    private void used(UUID id, UUID assessment, String item) {
        int version = entities.createQuery("select i.version from BankItem i where i.id = :id", Integer.class)
                .setParameter("id", id)
                .getSingleResult();
        entities.createQuery("""
                        insert into BankUse (assessment, item, bankItem, version, at, students, outdated)
                        values (:assessment, :item, :id, :version, :now, 0, true)
                        on conflict (assessment, item) do update set bankItem = excluded.bankItem,
                          version = excluded.version, at = excluded.at, outdated = true""")
                .setParameter("assessment", assessment)
                .setParameter("item", item)
                .setParameter("id", id)
                .setParameter("version", version)
                .setParameter("now", clock.instant())
                .executeUpdate();
        entities.createQuery("""
                        update BankItem i set i.uses = (select cast(count(*) as Integer) from BankUse u where u.bankItem = :id)
                        where i.id = :id""").setParameter("id", id).executeUpdate();
    }
}
