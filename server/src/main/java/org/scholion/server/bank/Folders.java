package org.scholion.server.bank;

import java.sql.Timestamp;
import java.time.Clock;
import java.util.List;
import java.util.UUID;
import org.scholion.server.access.Access;
import org.scholion.server.platform.Ids;
import org.scholion.server.platform.Lengths;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Folders of the bank: one's own and those that colleagues share. */
@Service
public class Folders {
    private final JdbcClient db;
    private final Access access;
    private final Ids ids;
    private final Clock clock;

    Folders(JdbcClient db, Access access, Ids ids, Clock clock) {
        this.db = db;
        this.access = access;
        this.ids = ids;
        this.clock = clock;
    }

    public record Folder(UUID id, String name, String owner, boolean mine, int items) {}

    @Transactional(readOnly = true)
    public List<Folder> of(Me me) {
        return db.sql("""
                        select f.id, f.name, p.given || ' ' || p.family as owner, f.owner_id = :me as mine,
                               (select count(*) from bank_item i where i.folder_id = f.id and i.deleted_at is null) as items
                        from bank_folder f join person p on p.id = f.owner_id
                        where f.deleted_at is null and (f.owner_id = :me
                           or exists (select 1 from share s where s.person_id = :me and s.object_id = f.id))
                        order by mine desc, lower(f.name)""")
                .param("me", me.id())
                .query((row, n) -> new Folder(
                        row.getObject("id", UUID.class),
                        row.getString("name"),
                        row.getString("owner"),
                        row.getBoolean("mine"),
                        row.getInt("items")))
                .list();
    }

    @Transactional
    public UUID add(Me me, String name) {
        String wanted = Lengths.name("name", name);
        UUID id = ids.next();
        int made = db.sql(
                        "insert into bank_folder (id, school_id, owner_id, name) values (?, ?, ?, ?) on conflict do nothing")
                .params(id, me.school(), me.id(), wanted)
                .update();
        if (made == 0) {
            throw Refused.conflict("name-taken", "You have a folder of this name already.");
        }
        return id;
    }

    /** Removes a folder; its items stay in the bank, and are in it again once it is restored. */
    @Transactional
    public void remove(Me me, UUID folder) {
        access.require(me, Access.Action.OWN_BANK_FOLDER, folder);
        db.sql("update bank_folder set deleted_at = ? where id = ?")
                .params(Timestamp.from(clock.instant()), folder)
                .update();
    }

    @Transactional
    public void restore(Me me, UUID folder) {
        access.require(me, Access.Action.RESTORE_BANK_FOLDER, folder);
        int restored = db.sql("""
                        update bank_folder f set deleted_at = null where id = ? and not exists (
                          select 1 from bank_folder o where o.owner_id = f.owner_id and o.name = f.name
                          and o.deleted_at is null)""").param(folder).update();
        if (restored == 0) {
            throw Refused.conflict(
                    "name-taken", "You have another folder of this name now. Rename or remove it first.");
        }
    }
}
