package org.scholion.server.bank;

import java.sql.Timestamp;
import java.time.Clock;
import java.util.List;
import java.util.UUID;
import org.scholion.server.access.Access;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What is shared with whom: an item, a folder, a rubric, or an assessment's key; to use, or to edit as well. */
@Service
public class Sharing {
    private final JdbcClient db;
    private final Access access;
    private final Clock clock;

    Sharing(JdbcClient db, Access access, Clock clock) {
        this.db = db;
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
        return db.sql("""
                        select p.id, p.given || ' ' || p.family, s.may_edit from share s join person p on p.id = s.person_id
                        where s.object_id = ? order by p.family""")
                .param(object)
                .query((row, n) -> new Share(row.getObject(1, UUID.class), row.getString(2), row.getBoolean(3)))
                .list();
    }

    /** The teachers of the school but oneself. */
    @Transactional(readOnly = true)
    public List<Colleague> colleagues(Me me) {
        return db.sql("""
                        select id, given || ' ' || family from person
                        where school_id = ? and role = 'TEACHER' and id <> ? order by family, given""")
                .params(me.school(), me.id())
                .query((row, n) -> new Colleague(row.getObject(1, UUID.class), row.getString(2)))
                .list();
    }

    @Transactional
    public void share(Me me, Kind kind, UUID object, UUID person, boolean mayEdit) {
        access.require(me, kind.needed, object);
        if (colleagues(me).stream().noneMatch(c -> c.id().equals(person))) {
            throw Refused.invalid("person", "this is no colleague of your school");
        }
        db.sql("""
                        insert into share (object_id, person_id, kind, may_edit, by_id, at) values (?, ?, ?, ?, ?, ?)
                        on conflict (object_id, person_id) do update set may_edit = excluded.may_edit""")
                .params(object, person, kind.name(), mayEdit, me.id(), Timestamp.from(clock.instant()))
                .update();
    }

    @Transactional
    public void unshare(Me me, Kind kind, UUID object, UUID person) {
        access.require(me, kind.needed, object);
        db.sql("delete from share where object_id = ? and person_id = ?")
                .params(object, person)
                .update();
    }

    /** Keys that colleagues share with me. */
    public record SharedKey(UUID assessment, String title, String course, String by, boolean mayEdit) {}

    @Transactional(readOnly = true)
    public List<SharedKey> keys(Me me) {
        return db.sql("""
                        select a.id, a.title, c.title, p.given || ' ' || p.family, s.may_edit
                        from share s join assessment a on a.id = s.object_id join course c on c.id = a.course_id
                        join person p on p.id = s.by_id
                        where s.person_id = ? and s.kind = 'ASSESSMENT' order by s.at desc""")
                .param(me.id())
                .query((row, n) -> new SharedKey(
                        row.getObject(1, UUID.class),
                        row.getString(2),
                        row.getString(3),
                        row.getString(4),
                        row.getBoolean(5)))
                .list();
    }
}
