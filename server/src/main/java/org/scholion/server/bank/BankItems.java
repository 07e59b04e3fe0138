package org.scholion.server.bank;

import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
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
import org.springframework.jdbc.core.simple.JdbcClient;
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

    private final JdbcClient db;
    private final Access access;
    private final Assessments assessments;
    private final FileUses files;
    private final Ids ids;
    private final Clock clock;

    BankItems(JdbcClient db, Access access, Assessments assessments, FileUses files, Ids ids, Clock clock) {
        this.db = db;
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
                values (:id, :school, :me, :folder, 1, :definition, :kind, :prompt, :alike, :tags, :codes, :difficulty,
                        :now, :now, to_tsvector('simple', :words), :words, :from, :place, """ + NEAREST.formatted(":me") + """
                ) on conflict (owner_id, from_assessment, from_item)
                  where from_assessment is not null and deleted_at is null do nothing""", item)
                .param("id", id)
                .param("school", me.school())
                .param("me", me.id())
                .param("folder", folder)
                .param("now", Timestamp.from(now))
                .param("from", from)
                .param("place", place)
                .update();
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
        Set<String> known = Set.copyOf(db.sql("select item from bank_use where assessment_id = ?")
                .param(assessment)
                .query(String.class)
                .list());
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
                update bank_item set version = version + 1, definition = :definition, kind = :kind, prompt = :prompt,
                  alike = :alike, tags = :tags, codes = :codes, difficulty = :difficulty, changed_at = :now,
                  words = to_tsvector('simple', :words), said = :words,
                  near_id = case when alike = :alike then near_id else """ + NEAREST.formatted("bank_item.owner_id") + """
                   end where id = :id and version = :version""", item)
                .param("id", id)
                .param("version", version)
                .param("now", Timestamp.from(now))
                .update();
        if (updated == 0) {
            throw Refused.conflict(
                    "changed-meanwhile", "A colleague has changed this item meanwhile. Yours is still on your screen.");
        }
        keepVersion(me, id, version + 1, item, now);
        return version + 1;
    }

    private JdbcClient.StatementSpec write(String sql, ObjectNode item) {
        Searched s = Searched.of(item);
        return db.sql(sql)
                .param("definition", JsonColumn.of(item))
                .param("kind", s.kind())
                .param("prompt", s.prompt())
                .param("alike", s.alike())
                .param("tags", s.tags().toArray(new String[0]))
                .param("codes", s.codes().toArray(new String[0]))
                .param("difficulty", s.difficulty())
                .param("words", s.words());
    }

    private void keepVersion(Me me, UUID id, int version, JsonNode item, Instant at) {
        files.note(me.school(), FileUses.Kind.ITEM, id, item);
        db.sql("insert into bank_version (item_id, version, definition, by_id, at) values (?, ?, ?, ?, ?)")
                .params(id, version, JsonColumn.of(item), me.id(), Timestamp.from(at))
                .update();
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
            db.sql("update bank_item set folder_id = :folder where id = :id")
                    .param("folder", folder)
                    .param("id", id)
                    .update();
        }
    }

    /** Removes an item from the bank; the papers that use it keep their own, and it can be restored. */
    @Transactional
    public void remove(Me me, UUID id) {
        access.require(me, Access.Action.OWN_BANK_ITEM, id);
        db.sql("update bank_item set deleted_at = ? where id = ?")
                .params(Timestamp.from(clock.instant()), id)
                .update();
    }

    @Transactional
    public void restore(Me me, UUID id) {
        access.require(me, Access.Action.RESTORE_BANK_ITEM, id);
        int restored = db.sql("""
                        update bank_item i set deleted_at = null where id = ? and not exists (
                          select 1 from bank_item o where o.owner_id = i.owner_id and o.deleted_at is null
                          and o.from_assessment = i.from_assessment and o.from_item = i.from_item)""").param(id).update();
        if (restored == 0) {
            throw Refused.conflict(
                    "copied-already", "You have copied this item again since; that copy is in your bank.");
        }
    }

    /** What one has removed, the latest first. */
    public record Removed(UUID id, boolean folder, String name, Instant at) {}

    @Transactional(readOnly = true)
    public List<Removed> removed(Me me) {
        return db.sql("""
                        select id, false, prompt, deleted_at from bank_item where owner_id = :me and deleted_at is not null
                        union all
                        select id, true, name, deleted_at from bank_folder where owner_id = :me and deleted_at is not null
                        order by 4 desc limit 200""")
                .param("me", me.id())
                .query((row, n) -> new Removed(
                        row.getObject(1, UUID.class),
                        row.getBoolean(2),
                        row.getString(3),
                        row.getTimestamp(4).toInstant()))
                .list();
    }

    /** One's own items that are aligned to one of these standards, the latest changed first. */
    public record Tagged(UUID id, JsonNode definition) {}

    @Transactional(readOnly = true)
    public List<Tagged> tagged(Me me, Set<String> codes) {
        return db.sql("select id, definition from bank_item where owner_id = :me and deleted_at is null"
                        + " and codes && cast(:codes as text[]) order by changed_at desc")
                .param("me", me.id())
                .param("codes", codes.toArray(new String[0]))
                .query((row, n) -> new Tagged(row.getObject(1, UUID.class), JsonColumn.read(row.getString(2))))
                .list();
    }

    @Transactional(readOnly = true)
    public JsonNode definition(Me me, UUID id) {
        access.require(me, Access.Action.USE_BANK_ITEM, id);
        return db.sql("select definition from bank_item where id = ?")
                .param(id)
                .query((row, n) -> JsonColumn.read(row.getString(1)))
                .single();
    }

    @Transactional(readOnly = true)
    public List<BankVersion> versions(Me me, UUID id) {
        access.require(me, Access.Action.USE_BANK_ITEM, id);
        return db.sql("""
                        select v.version, p.given || ' ' || p.family as by, v.at, v.definition
                        from bank_version v join person p on p.id = v.by_id where v.item_id = ? order by v.version desc""")
                .param(id)
                .query((row, n) -> new BankVersion(
                        row.getInt(1),
                        row.getString(2),
                        row.getTimestamp(3).toInstant(),
                        JsonColumn.plain(JsonColumn.read(row.getString(4)))))
                .list();
    }

    @Transactional(readOnly = true)
    public List<Use> uses(Me me, UUID id) {
        access.require(me, Access.Action.USE_BANK_ITEM, id);
        return db.sql("""
                        select u.assessment_id, a.title, u.item, u.version, u.at
                        from bank_use u join assessment a on a.id = u.assessment_id
                        where u.item_id = ? and a.school_id = ? order by u.at desc""")
                .params(id, me.school())
                .query((row, n) -> new Use(
                        row.getObject(1, UUID.class),
                        row.getString(2),
                        row.getString(3),
                        row.getInt(4),
                        row.getTimestamp(5).toInstant()))
                .list();
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
        db.sql("""
                        insert into bank_use (item_id, version, assessment_id, item, at)
                        select id, version, :assessment, :item, :now from bank_item where id = :id
                        on conflict (assessment_id, item) do update
                          set item_id = excluded.item_id, version = excluded.version, at = excluded.at, outdated = true""")
                .param("assessment", assessment)
                .param("item", item)
                .param("now", Timestamp.from(clock.instant()))
                .param("id", id)
                .update();
        db.sql("update bank_item set uses = (select count(*) from bank_use where item_id = :id) where id = :id")
                .param("id", id)
                .update();
    }
}
