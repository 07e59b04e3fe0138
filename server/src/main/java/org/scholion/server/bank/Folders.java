package org.scholion.server.bank;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.util.List;
import java.util.UUID;
import org.scholion.server.access.Access;
import org.scholion.server.platform.Ids;
import org.scholion.server.platform.Lengths;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Folders of the bank: one's own and those that colleagues share. */
@Service
public class Folders {
    private final EntityManager entities;
    private final Access access;
    private final Ids ids;
    private final Clock clock;

    Folders(EntityManager entities, Access access, Ids ids, Clock clock) {
        this.entities = entities;
        this.access = access;
        this.ids = ids;
        this.clock = clock;
    }

    public record Folder(UUID id, String name, String owner, boolean mine, int items) {}

    @Transactional(readOnly = true)
    public List<Folder> of(Me me) {
        return entities.createQuery("""
                        select f.id, f.name, p.name, f.owner = :me,
                               cast((select count(*) from BankItem i where i.folder = f.id and i.deletedAt is null) as Integer)
                        from BankFolder f join Person p on p.id = f.owner
                        where f.deletedAt is null and (f.owner = :me
                           or exists (select 1 from ShareRow s where s.person = :me and s.object = f.id))
                        order by case when f.owner = :me then 0 else 1 end, lower(f.name)""", Folder.class)
                .setParameter("me", me.id())
                .getResultList();
    }

    @Transactional
    public UUID add(Me me, String name) {
        String wanted = Lengths.name("name", name);
        UUID id = ids.next();
        int made = entities.createQuery("""
                        insert into BankFolder (id, school, owner, name) values (:id, :school, :owner, :name)
                        on conflict do nothing""")
                .setParameter("id", id)
                .setParameter("school", me.school())
                .setParameter("owner", me.id())
                .setParameter("name", wanted)
                .executeUpdate();
        if (made == 0) {
            throw Refused.conflict("name-taken", "You have a folder of this name already.");
        }
        return id;
    }

    /** Removes a folder; its items stay in the bank, and are in it again once it is restored. */
    @Transactional
    public void remove(Me me, UUID folder) {
        access.require(me, Access.Action.OWN_BANK_FOLDER, folder);
        entities.find(BankFolder.class, folder).deletedAt = clock.instant();
        entities.flush();
    }

    @Transactional
    public void restore(Me me, UUID folder) {
        access.require(me, Access.Action.RESTORE_BANK_FOLDER, folder);
        int restored = entities.createQuery("""
                        update BankFolder f set f.deletedAt = null where f.id = :folder and not exists (
                          select 1 from BankFolder o where o.owner = f.owner and o.name = f.name
                          and o.deletedAt is null)""").setParameter("folder", folder).executeUpdate();
        if (restored == 0) {
            throw Refused.conflict(
                    "name-taken", "You have another folder of this name now. Rename or remove it first.");
        }
    }
}
