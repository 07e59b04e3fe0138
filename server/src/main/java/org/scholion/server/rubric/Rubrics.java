package org.scholion.server.rubric;

import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.scholion.formats.assessment.OneRubric;
import org.scholion.server.access.Access;
import org.scholion.server.key.RubricWords;
import org.scholion.server.platform.Ids;
import org.scholion.server.platform.JsonColumn;
import org.scholion.server.platform.Lengths;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;

/** Rubrics kept for many papers, with every version they had. */
@Service
public class Rubrics {
    private static final int LONGEST_TITLE = 120;

    private final JdbcClient db;
    private final Access access;
    private final Ids ids;
    private final Clock clock;

    Rubrics(JdbcClient db, Access access, Ids ids, Clock clock) {
        this.db = db;
        this.access = access;
        this.ids = ids;
        this.clock = clock;
    }

    /** @param maximum what its best levels are worth */
    public record RubricLine(
            UUID id,
            String title,
            int version,
            String author,
            boolean mayEdit,
            boolean mine,
            String maximum,
            Object definition) {}

    /** @param changes what it says otherwise than the version before it, in words */
    public record RubricVersion(
            int version, String title, String by, Instant at, List<String> changes, Object definition) {}

    /** A paper that has it, for whoever may see the paper. */
    public record RubricUse(UUID assessment, String title, String item, int version) {}

    public record RubricView(List<RubricVersion> versions, List<RubricUse> uses) {}

    /** One's own and those that are shared, by title. */
    @Transactional(readOnly = true)
    public List<RubricLine> of(Me me) {
        return db.sql("""
                        select r.*, p.given || ' ' || p.family as author,
                               r.owner_id = :me or exists (select 1 from share s where s.object_id = r.id
                                 and s.person_id = :me and s.may_edit) as may_edit, r.owner_id = :me as mine
                        from rubric r join person p on p.id = r.owner_id
                        where r.deleted_at is null and (r.owner_id = :me
                           or exists (select 1 from share s where s.object_id = r.id and s.person_id = :me))
                        order by lower(r.title), r.id""")
                .param("me", me.id())
                .query((row, n) -> {
                    JsonNode definition = JsonColumn.read(row.getString("definition"));
                    return new RubricLine(
                            row.getObject("id", UUID.class),
                            row.getString("title"),
                            row.getInt("version"),
                            row.getString("author"),
                            row.getBoolean("may_edit"),
                            row.getBoolean("mine"),
                            OneRubric.read(definition).maximum().toExact(),
                            JsonColumn.plain(definition));
                })
                .list();
    }

    @Transactional(readOnly = true)
    public RubricView see(Me me, UUID id) {
        access.require(me, Access.Action.USE_RUBRIC, id);
        return new RubricView(versions(id), uses(me, id));
    }

    private List<RubricVersion> versions(UUID id) {
        List<RubricVersion> plain = db.sql("""
                        select v.version, v.title, p.given || ' ' || p.family, v.at, v.definition
                        from rubric_version v join person p on p.id = v.by_id where v.rubric_id = ? order by v.version""")
                .param(id)
                .query((row, n) -> new RubricVersion(
                        row.getInt(1),
                        row.getString(2),
                        row.getString(3),
                        row.getTimestamp(4).toInstant(),
                        List.of(),
                        JsonColumn.plain(JsonColumn.read(row.getString(5)))))
                .list();
        List<RubricVersion> told = new ArrayList<>();
        for (int i = plain.size() - 1; i >= 0; i--) {
            RubricVersion v = plain.get(i);
            List<String> changes = i == 0 ? List.of() : changes(plain.get(i - 1), v);
            told.add(new RubricVersion(v.version(), v.title(), v.by(), v.at(), changes, v.definition()));
        }
        return told;
    }

    private static List<String> changes(RubricVersion before, RubricVersion v) {
        JsonNode was = JsonColumn.node(before.definition());
        JsonNode now = JsonColumn.node(v.definition());
        return was.equals(now) ? List.of("new title") : RubricWords.changes(was, now);
    }

    private List<RubricUse> uses(Me me, UUID id) {
        return db.sql("""
                        select a.id, a.title, i.item ->> 'id', (i.item -> 'rubricKept' ->> 'version')::integer
                        from assessment a cross join lateral jsonb_array_elements(a.draft -> 'items') as i(item)
                        where i.item -> 'rubricKept' ->> 'id' = :id and a.school_id = :school
                          and (exists (select 1 from course_teacher t where t.course_id = a.course_id
                                       and t.person_id = :me)
                               or exists (select 1 from share s where s.object_id = a.id and s.person_id = :me))
                        order by a.title, i.item ->> 'id'""")
                .param("id", id.toString())
                .param("school", me.school())
                .param("me", me.id())
                .query((row, n) ->
                        new RubricUse(row.getObject(1, UUID.class), row.getString(2), row.getString(3), row.getInt(4)))
                .list();
    }

    /** Keeps a rubric as one's own. */
    @Transactional
    public UUID add(Me me, String title, Object definition) {
        JsonNode rubric = checked(title, definition);
        UUID id = ids.next();
        Instant now = clock.instant();
        db.sql("""
                        insert into rubric (id, school_id, owner_id, title, version, definition, changed_at)
                        values (?, ?, ?, ?, 1, ?, ?)""")
                .params(id, me.school(), me.id(), title.strip(), JsonColumn.of(rubric), Timestamp.from(now))
                .update();
        keepVersion(me, id, 1, title, rubric, now);
        return id;
    }

    /**
     * The next version of a rubric. Papers that have an earlier one keep it until somebody takes the new one there.
     *
     * @param version the version that was changed; another one in between is a conflict and nothing is lost
     * @return the new version
     */
    @Transactional
    public int change(Me me, UUID id, String title, Object definition, int version) {
        access.require(me, Access.Action.EDIT_RUBRIC, id);
        JsonNode rubric = checked(title, definition);
        Instant now = clock.instant();
        int updated = db.sql("""
                        update rubric set version = version + 1, title = ?, definition = ?, changed_at = ?
                        where id = ? and version = ?""")
                .params(title.strip(), JsonColumn.of(rubric), Timestamp.from(now), id, version)
                .update();
        if (updated == 0) {
            throw Refused.conflict(
                    "changed-meanwhile",
                    "A colleague has changed this rubric meanwhile. Yours is still on your screen.");
        }
        keepVersion(me, id, version + 1, title, rubric, now);
        return version + 1;
    }

    private void keepVersion(Me me, UUID id, int version, String title, JsonNode rubric, Instant at) {
        db.sql(
                        "insert into rubric_version (rubric_id, version, title, definition, by_id, at) values (?, ?, ?, ?, ?, ?)")
                .params(id, version, title.strip(), JsonColumn.of(rubric), me.id(), Timestamp.from(at))
                .update();
    }

    private static JsonNode checked(String title, Object definition) {
        if (title.isBlank() || title.strip().length() > LONGEST_TITLE) {
            throw Refused.invalid("title", "a rubric has a title of at most " + LONGEST_TITLE + " characters");
        }
        JsonNode rubric = Lengths.document(JsonColumn.node(definition));
        var faults = OneRubric.faults(rubric);
        if (!faults.isEmpty()) {
            throw Refused.invalid(faults);
        }
        return rubric;
    }

    /** Removes a rubric; the papers that use it keep their own, and it can be restored. */
    @Transactional
    public void remove(Me me, UUID id) {
        access.require(me, Access.Action.OWN_RUBRIC, id);
        db.sql("update rubric set deleted_at = ? where id = ?")
                .params(Timestamp.from(clock.instant()), id)
                .update();
    }

    @Transactional
    public void restore(Me me, UUID id) {
        access.require(me, Access.Action.RESTORE_RUBRIC, id);
        db.sql("update rubric set deleted_at = null where id = ?").param(id).update();
    }

    /** A rubric that one has removed. */
    public record RemovedRubric(UUID id, String title, Instant at) {}

    @Transactional(readOnly = true)
    public List<RemovedRubric> removed(Me me) {
        return db.sql("""
                        select id, title, deleted_at from rubric where owner_id = ? and deleted_at is not null
                        order by deleted_at desc limit 200""")
                .param(me.id())
                .query((row, n) -> new RemovedRubric(
                        row.getObject(1, UUID.class),
                        row.getString(2),
                        row.getTimestamp(3).toInstant()))
                .list();
    }
}
