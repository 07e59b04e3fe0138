package org.scholion.server.rubric;

import jakarta.persistence.EntityManager;
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
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;

/** Rubrics kept for many papers, with every version they had. */
@Service
public class Rubrics {
    private static final int LONGEST_TITLE = 120;

    private final EntityManager entities;
    private final Access access;
    private final Ids ids;
    private final Clock clock;

    Rubrics(EntityManager entities, Access access, Ids ids, Clock clock) {
        this.entities = entities;
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
        return entities.createQuery("""
                        select r, p.name,
                               r.owner = :me or exists (select 1 from ShareRow s where s.object = r.id
                                 and s.person = :me and s.mayEdit)
                        from Rubric r join Person p on p.id = r.owner
                        where r.deletedAt is null and (r.owner = :me
                           or exists (select 1 from ShareRow s where s.object = r.id and s.person = :me))
                        order by lower(r.title), r.id""", Kept.class)
                .setParameter("me", me.id())
                .getResultStream()
                .map(k -> new RubricLine(
                        k.rubric().id,
                        k.rubric().title,
                        k.rubric().version,
                        k.author(),
                        k.mayEdit(),
                        k.rubric().owner.equals(me.id()),
                        OneRubric.read(k.rubric().definition).maximum().toExact(),
                        JsonColumn.plain(k.rubric().definition)))
                .toList();
    }

    record Kept(Rubric rubric, String author, boolean mayEdit) {}

    @Transactional(readOnly = true)
    public RubricView see(Me me, UUID id) {
        access.require(me, Access.Action.USE_RUBRIC, id);
        return new RubricView(versions(id), uses(me, id));
    }

    private List<RubricVersion> versions(UUID id) {
        List<RubricVersion> plain = entities.createQuery("""
                        select v, p.name
                        from RubricVersionRow v join Person p on p.id = v.by where v.rubric = :id order by v.version""", Was.class)
                .setParameter("id", id)
                .getResultStream()
                .map(w -> new RubricVersion(
                        w.row().version,
                        w.row().title,
                        w.by(),
                        w.row().at,
                        List.of(),
                        JsonColumn.plain(w.row().definition)))
                .toList();
        List<RubricVersion> told = new ArrayList<>();
        for (int i = plain.size() - 1; i >= 0; i--) {
            RubricVersion v = plain.get(i);
            List<String> changes = i == 0 ? List.of() : changes(plain.get(i - 1), v);
            told.add(new RubricVersion(v.version(), v.title(), v.by(), v.at(), changes, v.definition()));
        }
        return told;
    }

    record Was(RubricVersionRow row, String by) {}

    private static List<String> changes(RubricVersion before, RubricVersion v) {
        JsonNode was = JsonColumn.node(before.definition());
        JsonNode now = JsonColumn.node(v.definition());
        return was.equals(now) ? List.of("new title") : RubricWords.changes(was, now);
    }

    private List<RubricUse> uses(Me me, UUID id) {
        // A draft is searched inside, by PostgreSQL's own way into JSON.
        return entities.createNativeQuery("""
                        select a.id, a.title, i.item ->> 'id', cast(i.item -> 'rubricKept' ->> 'version' as integer)
                        from assessment a cross join lateral jsonb_array_elements(a.draft -> 'items') as i(item)
                        where i.item -> 'rubricKept' ->> 'id' = :id and a.school_id = :school
                          and (exists (select 1 from course_teacher t where t.course_id = a.course_id
                                       and t.person_id = :me)
                               or exists (select 1 from share s where s.object_id = a.id and s.person_id = :me))
                        order by a.title, i.item ->> 'id'""", RubricUse.class)
                .setParameter("id", id.toString())
                .setParameter("school", me.school())
                .setParameter("me", me.id())
                .getResultList();
    }

    /** Keeps a rubric as one's own. */
    @Transactional
    public UUID add(Me me, String title, Object definition) {
        JsonNode rubric = checked(title, definition);
        UUID id = ids.next();
        Instant now = clock.instant();
        entities.persist(new Rubric(id, me.school(), me.id(), title.strip(), rubric, now));
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
        int updated = entities.createQuery("""
                        update Rubric r set r.version = r.version + 1, r.title = :title, r.definition = :definition,
                          r.changedAt = :now where r.id = :id and r.version = :version""")
                .setParameter("title", title.strip())
                .setParameter("definition", rubric)
                .setParameter("now", now)
                .setParameter("id", id)
                .setParameter("version", version)
                .executeUpdate();
        if (updated == 0) {
            throw Refused.conflict(
                    "changed-meanwhile",
                    "A colleague has changed this rubric meanwhile. Yours is still on your screen.");
        }
        keepVersion(me, id, version + 1, title, rubric, now);
        return version + 1;
    }

    private void keepVersion(Me me, UUID id, int version, String title, JsonNode rubric, Instant at) {
        entities.persist(new RubricVersionRow(id, version, title.strip(), rubric, me.id(), at));
        entities.flush();
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
        entities.find(Rubric.class, id).deletedAt = clock.instant();
    }

    @Transactional
    public void restore(Me me, UUID id) {
        access.require(me, Access.Action.RESTORE_RUBRIC, id);
        entities.find(Rubric.class, id).deletedAt = null;
    }

    /** A rubric that one has removed. */
    public record RemovedRubric(UUID id, String title, Instant at) {}

    @Transactional(readOnly = true)
    public List<RemovedRubric> removed(Me me) {
        return entities.createQuery("""
                        select r.id, r.title, r.deletedAt from Rubric r where r.owner = :me and r.deletedAt is not null
                        order by r.deletedAt desc""", RemovedRubric.class)
                .setParameter("me", me.id())
                .setMaxResults(200)
                .getResultList();
    }
}
