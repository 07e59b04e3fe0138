package org.scholion.server.bank;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.scholion.server.access.Access;
import org.scholion.server.key.About;
import org.scholion.server.person.Schools;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What is shared with whom: an item, a folder, a rubric, or an assessment's key; to use, or to edit as well. */
@Service
public class Sharing {
    private final EntityManager entities;
    private final Schools schools;
    private final About about;
    private final Access access;
    private final Clock clock;

    Sharing(EntityManager entities, Schools schools, About about, Access access, Clock clock) {
        this.entities = entities;
        this.schools = schools;
        this.about = about;
        this.access = access;
        this.clock = clock;
    }

    /** What can be shared, and who may share it: whoever it belongs to, never whoever may only edit it. */
    public enum Kind {
        ITEM(Access.Action.OWN_BANK_ITEM),
        FOLDER(Access.Action.OWN_BANK_FOLDER),
        ASSESSMENT(Access.Action.WORK_ON_ASSESSMENT),
        RUBRIC(Access.Action.OWN_RUBRIC);

        private final Access.Action needed;

        Kind(Access.Action needed) {
            this.needed = needed;
        }
    }

    public record Share(UUID person, String name, boolean mayEdit) {}

    public record Colleague(UUID id, String name) {}

    @Transactional(readOnly = true)
    public List<Share> of(Me me, Kind kind, UUID object) {
        access.require(me, kind.needed, object);
        return entities.createQuery("""
                        select p.id, p.name, s.mayEdit from ShareRow s join Person p on p.id = s.person
                        where s.object = :object order by p.family""", Share.class)
                .setParameter("object", object)
                .getResultList();
    }

    /** The teachers of the school but oneself. */
    @Transactional(readOnly = true)
    public List<Colleague> colleagues(Me me) {
        return entities.createQuery("""
                        select p.id, p.name from Person p
                        where p.school = :school and p.role = :teacher and p.id <> :me order by p.family, p.given""", Colleague.class)
                .setParameter("school", me.school())
                .setParameter("teacher", Me.Role.TEACHER)
                .setParameter("me", me.id())
                .getResultList();
    }

    @Transactional
    public void share(Me me, Kind kind, UUID object, UUID person, boolean mayEdit) {
        access.require(me, kind.needed, object);
        schools.requireSharing(me.school());
        if (colleagues(me).stream().noneMatch(c -> c.id().equals(person))) {
            throw Refused.invalid("person", "this is no colleague of your school");
        }
        entities.createQuery("""
                        insert into ShareRow (object, person, kind, mayEdit, by, at)
                        values (:object, :person, :kind, :mayEdit, :me, :now)
                        on conflict (object, person) do update set mayEdit = excluded.mayEdit""")
                .setParameter("object", object)
                .setParameter("person", person)
                .setParameter("kind", kind)
                .setParameter("mayEdit", mayEdit)
                .setParameter("me", me.id())
                .setParameter("now", clock.instant())
                .executeUpdate();
    }

    @Transactional
    public void unshare(Me me, Kind kind, UUID object, UUID person) {
        access.require(me, kind.needed, object);
        entities.createQuery("delete from ShareRow s where s.object = :object and s.person = :person")
                .setParameter("object", object)
                .setParameter("person", person)
                .executeUpdate();
    }

    /** Keys that colleagues share with me. */
    public record SharedKey(
            UUID assessment, String title, String course, String by, boolean mayEdit, About.InShort about) {}

    private record SharedTo(UUID assessment, String title, String course, String by, boolean mayEdit) {}

    @Transactional(readOnly = true)
    public List<SharedKey> keys(Me me) {
        List<SharedTo> shared = entities.createQuery("""
                        select a.id, a.title, c.title, p.name, s.mayEdit
                        from ShareRow s join AssessmentRow a on a.id = s.object join Course c on c.id = a.course
                        join Person p on p.id = s.by
                        where s.person = :me and s.kind = :kind order by s.at desc""", SharedTo.class)
                .setParameter("me", me.id())
                .setParameter("kind", Kind.ASSESSMENT)
                .getResultList();
        Map<UUID, About.InShort> said =
                about.inShort(shared.stream().map(SharedTo::assessment).toList());
        return shared.stream()
                .map(k -> new SharedKey(
                        k.assessment(),
                        k.title(),
                        k.course(),
                        k.by(),
                        k.mayEdit(),
                        said.getOrDefault(k.assessment(), About.InShort.NONE)))
                .toList();
    }
}
