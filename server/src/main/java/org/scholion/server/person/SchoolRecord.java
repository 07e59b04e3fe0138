package org.scholion.server.person;

import de.siegmar.fastcsv.writer.CsvWriter;
import jakarta.persistence.EntityManager;
import java.io.StringWriter;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.server.access.Access;
import org.scholion.server.platform.Deeds;
import org.scholion.server.platform.Me;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Who did what in the school, the latest first, for its administrators. */
@Service
class SchoolRecord {
    static final int WINDOW = 200;
    private static final int LONGEST_FILE = 100_000;

    private final EntityManager entities;
    private final Access access;

    SchoolRecord(EntityManager entities, Access access) {
        this.entities = entities;
        this.access = access;
    }

    /**
     * One deed.
     *
     * @param by who did it; null for what was done at the machine itself
     * @param facts a name or a few words, as they were then
     */
    record DeedLine(
            UUID id,
            Instant at,
            @Nullable UUID person,
            @Nullable String by,
            Deeds.What what,
            @Nullable UUID about,
            String facts) {}

    /** @param person who did it or whom it was about; before: only what is older than this deed */
    record Filter(
            Deeds.@Nullable What what,
            @Nullable UUID person,
            String words,
            @Nullable UUID before) {}

    @Transactional(readOnly = true)
    List<DeedLine> find(Me me, Filter filter) {
        access.require(me, Access.Action.SEE_PEOPLE, me.school());
        return query(me, filter, WINDOW);
    }

    private List<DeedLine> query(Me me, Filter filter, int most) {
        return entities.createQuery("""
                        select d.id, d.at, d.by, b.name, d.what, d.about, d.facts
                        from DeedRow d left join Person b on b.id = d.by
                        where d.school = :school and (:what is null or d.what = :what)
                          and (:person is null or d.by = :person or d.about = :person)
                          and (:words = '' or lower(d.facts) like :like or lower(b.name) like :like)
                          and (:before is null or d.id < :before)
                        order by d.id desc""", DeedLine.class)
                .setParameter("school", me.school())
                .setParameter("what", filter.what())
                .setParameter("person", filter.person())
                .setParameter("words", filter.words())
                .setParameter("like", "%" + filter.words().toLowerCase(java.util.Locale.ROOT) + "%")
                .setParameter("before", filter.before())
                .setMaxResults(most)
                .getResultList();
    }

    /** The same as a table; cells that a spreadsheet would take for a formula are made plain. */
    @Transactional(readOnly = true)
    String csv(Me me, Filter filter) {
        access.require(me, Access.Action.SEE_PEOPLE, me.school());
        StringWriter out = new StringWriter();
        try (CsvWriter csv = CsvWriter.builder().build(out)) {
            csv.writeRecord("time (UTC)", "who", "what", "about", "id");
            for (DeedLine d : query(me, filter, LONGEST_FILE)) {
                csv.writeRecord(
                        d.at().toString(),
                        plain(d.by() == null ? "" : d.by()),
                        d.what().name().toLowerCase(java.util.Locale.ROOT).replace('_', ' '),
                        plain(d.facts()),
                        d.about() == null ? "" : d.about().toString());
            }
        } catch (java.io.IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
        return out.toString();
    }

    private static String plain(String cell) {
        return !cell.isEmpty() && "=+-@\t\r".indexOf(cell.charAt(0)) >= 0 ? "'" + cell : cell;
    }
}
