package org.scholion.server.key;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.core.item.Item;
import org.scholion.core.number.Fraction;
import org.scholion.core.score.Ruling;
import org.scholion.server.file.FileUses;
import org.scholion.server.platform.Ids;
import org.scholion.server.platform.JsonColumn;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Frozen editions, compiled once and kept. An edition never changes, so that what is kept is never stale. */
@Service
public class Editions {
    private final FileUses files;
    private final JdbcClient db;
    private final Ids ids;
    private final Clock clock;
    private final Cache<UUID, Edition> compiled =
            Caffeine.newBuilder().maximumSize(500).build();
    private final Cache<Numbered, UUID> known =
            Caffeine.newBuilder().maximumSize(5_000).build();

    Editions(FileUses files, JdbcClient db, Ids ids, Clock clock) {
        this.files = files;
        this.db = db;
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
        return db.sql("select id from edition where assessment_id = ? order by number desc limit 1")
                .param(assessment)
                .query(UUID.class)
                .optional()
                .map(id -> compiled.get(id, this::load));
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
                n -> db.sql("select id from edition where assessment_id = ? and number = ?")
                        .params(assessment, number)
                        .query(UUID.class)
                        .optional()
                        .orElseThrow(Refused::notFound));
    }

    /** The edition that this one repeats, when it was made by going back; itself otherwise. */
    @Transactional(readOnly = true)
    public int standsFor(UUID assessment, int number) {
        return db.sql("select coalesce(undoes, number) from edition where assessment_id = ? and number = ?")
                .params(assessment, number)
                .query(Integer.class)
                .single();
    }

    private Edition load(UUID id) {
        return db.sql("select assessment_id, number, definition, rulings from edition where id = ?")
                .param(id)
                .query((row, n) -> Edition.compile(
                        row.getObject("assessment_id", UUID.class),
                        row.getInt("number"),
                        JsonColumn.read(row.getString("definition")),
                        rulings(JsonColumn.read(row.getString("rulings")))))
                .single();
    }

    /**
     * Freezes the next edition.
     *
     * @param expected the number it must get; somebody else's edition in between is a conflict
     */
    @Transactional
    public void add(Me me, Edition edition, String why, @Nullable Integer undoes) {
        UUID id = ids.next();
        files.note(me.school(), FileUses.Kind.EDITION, id, edition.definition());
        db.sql("""
                        insert into edition (id, assessment_id, number, definition, rulings, why, undoes, made_by, made_at,
                                             live)
                        values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)""")
                .param(id)
                .param(edition.assessmentId())
                .param(edition.number())
                .param(JsonColumn.of(edition.definition()))
                .param(JsonColumn.of(rulings(edition.rulings())))
                .param(why)
                .param(undoes)
                .param(me.id())
                .param(Timestamp.from(clock.instant()))
                .param(edition.items().stream()
                        .filter(edition::waits)
                        .map(Item::id)
                        .toArray(String[]::new))
                .update();
    }

    /** Takes back the first edition of what nobody has begun; when there is a later one, it stays. */
    @Transactional
    public void withdraw(UUID assessment) {
        List<UUID> all = db.sql("select id from edition where assessment_id = ?")
                .param(assessment)
                .query(UUID.class)
                .list();
        if (all.size() == 1) {
            UUID id = all.get(0);
            db.sql("delete from edition where id = ?").param(id).update();
            files.forget(FileUses.Kind.EDITION, id);
            known.invalidate(new Numbered(assessment, 1));
            compiled.invalidate(id);
        }
    }

    @Transactional(readOnly = true)
    public List<EditionLine> history(UUID assessment) {
        return db.sql("""
                        select e.number, e.why, e.undoes, p.given || ' ' || p.family as by, e.made_at
                        from edition e join person p on p.id = e.made_by
                        where e.assessment_id = ? order by e.number desc""")
                .param(assessment)
                .query((row, n) -> new EditionLine(
                        row.getInt("number"),
                        row.getString("why"),
                        row.getObject("undoes", Integer.class),
                        row.getString("by"),
                        row.getTimestamp("made_at").toInstant()))
                .list();
    }

    private static List<Ruling> rulings(JsonNode node) {
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

    private static ArrayNode rulings(List<Ruling> rulings) {
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
