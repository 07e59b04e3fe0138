package org.scholion.server.ledger;

import jakarta.persistence.EntityManager;
import jakarta.persistence.TypedQuery;
import java.math.BigInteger;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.hibernate.Session;
import org.jspecify.annotations.Nullable;
import org.scholion.core.number.Fraction;
import org.scholion.core.score.Mark;
import org.scholion.core.score.State;
import org.scholion.formats.assessment.ReasonJson;
import org.scholion.server.platform.Batches;
import org.scholion.server.platform.Copying;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;

/** The ledger of marks: append only. The current mark of a response is its last one. */
@Service
public class Ledger {
    private static final String SELECT = """
            select m.attempt, m.item, m.seq, m.state, m.numerator, m.denominator, m.reason, m.edition, m.person, q.name,
                   m.reading, m.at, m.restores, m.actedBy, z.name
            from MarkRow m left join Person q on q.id = m.person left join Person z on z.id = m.actedBy where\s""";

    /** The last mark of an item, taken from the index. */
    private static final String CURRENT =
            " and m.seq = (select max(n.seq) from MarkRow n where n.attempt = m.attempt and n.item = m.item)";

    private static final List<String> COLUMNS = List.of(
            "seq",
            "school_id",
            "attempt_id",
            "item",
            "state",
            "numerator",
            "denominator",
            "reason",
            "edition",
            "person_id",
            "reading",
            "at",
            "restores",
            "acted_by");

    private final EntityManager entities;
    private final Batches batches;
    private final Copying copying;

    Ledger(EntityManager entities, Batches batches, Copying copying) {
        this.entities = entities;
        this.batches = batches;
        this.copying = copying;
    }

    /** A mark as it lies in the table, with the names of those who made it. */
    record Flat(
            UUID attempt,
            String item,
            long seq,
            State state,
            BigInteger numerator,
            BigInteger denominator,
            JsonNode reason,
            int edition,
            @Nullable UUID person,
            @Nullable String personName,
            @Nullable JsonNode reading,
            Instant at,
            @Nullable Long restores,
            @Nullable UUID actedBy,
            @Nullable String actedName) {
        LedgerMark mark() {
            LedgerMark.TakenBack back = actedBy == null
                    ? null
                    : new LedgerMark.TakenBack(
                            restores == null ? 0 : restores, actedBy, actedName == null ? "" : actedName);
            return new LedgerMark(
                    attempt,
                    item,
                    seq,
                    new Mark(state, Fraction.of(numerator, denominator), ReasonJson.read(reason)),
                    edition,
                    person,
                    personName,
                    reading,
                    at,
                    back);
        }
    }

    /** Appends marks; the same with their places in the ledger come back. The attempts are held by whoever appends. */
    @Transactional(propagation = Propagation.MANDATORY)
    public List<LedgerMark> append(UUID school, List<LedgerMark> marks) {
        if (marks.isEmpty()) {
            return marks;
        }
        List<LedgerMark> placed = placed(marks);
        batches.insert(placed.stream().map(m -> new MarkRow(school, m)).toList());
        return placed;
    }

    private List<LedgerMark> placed(List<LedgerMark> marks) {
        List<Long> places = places(marks.size());
        List<LedgerMark> placed = new ArrayList<>();
        for (int i = 0; i < marks.size(); i++) {
            placed.add(marks.get(i).at(places.get(i)));
        }
        return placed;
    }

    /** The same for very many marks. */
    @Transactional(propagation = Propagation.MANDATORY)
    List<LedgerMark> appendAll(UUID school, List<LedgerMark> marks) {
        List<LedgerMark> placed = placed(marks);
        copying.into(
                "mark",
                COLUMNS,
                placed.stream()
                        .map(m -> new MarkRow(school, m))
                        .map(r -> new @Nullable Object[] {
                            r.seq,
                            r.school,
                            r.attempt,
                            r.item,
                            r.state,
                            r.numerator,
                            r.denominator,
                            r.reason,
                            r.edition,
                            r.person,
                            r.reading,
                            r.at,
                            r.restores,
                            r.actedBy
                        })
                        .iterator());
        return placed;
    }

    /** So many places of the ledger, rising; a sequence and a series are PostgreSQL's own. */
    private List<Long> places(int howMany) {
        return List.of(entities.unwrap(Session.class)
                .createNativeQuery("select array_agg(nextval('mark_seq')) from generate_series(1, :n)", Long[].class)
                .setParameter("n", howMany)
                .getSingleResult());
    }

    /** Appends very many marks; the place after all of them comes back. */
    @Transactional(propagation = Propagation.MANDATORY)
    long appendMany(UUID school, List<LedgerMark> marks) {
        appendAll(school, marks);
        return places(1).get(0);
    }

    @Transactional(readOnly = true)
    public Map<String, LedgerMark> currentOf(UUID attempt) {
        return currentOf(List.of(attempt)).getOrDefault(attempt, Map.of());
    }

    /** The current marks of some attempts, by attempt and item. */
    @Transactional(readOnly = true)
    public Map<UUID, Map<String, LedgerMark>> currentOf(Collection<UUID> attempts) {
        return attempts.isEmpty()
                ? Map.of()
                : byAttempt(query("m.attempt in (:attempts)" + CURRENT).setParameter("attempts", attempts));
    }

    /** The same of some items only. */
    @Transactional(readOnly = true)
    public Map<UUID, Map<String, LedgerMark>> currentOf(Collection<UUID> attempts, Set<String> items) {
        return attempts.isEmpty() || items.isEmpty()
                ? Map.of()
                : byAttempt(query("m.attempt in (:attempts) and m.item in (:items)" + CURRENT)
                        .setParameter("attempts", attempts)
                        .setParameter("items", items));
    }

    /** Which marks of one item are current, by attempt; what they say is not read. */
    @Transactional(readOnly = true)
    public Map<UUID, Long> placesOf(Collection<UUID> attempts, String item) {
        Map<UUID, Long> all = new HashMap<>();
        if (!attempts.isEmpty()) {
            entities.createQuery("""
                            select m.attempt, max(m.seq) from MarkRow m where m.attempt in (:attempts) and m.item = :item
                            group by m.attempt""", Placed.class)
                    .setParameter("attempts", attempts)
                    .setParameter("item", item)
                    .getResultList()
                    .forEach(p -> all.put(p.attempt(), p.seq()));
        }
        return all;
    }

    record Placed(UUID attempt, long seq) {}

    /** Every mark that a response ever had, the newest first. */
    @Transactional(readOnly = true)
    public List<LedgerMark> history(UUID attempt, String item) {
        return marks(query("m.attempt = :attempt and m.item = :item order by m.seq desc")
                .setParameter("attempt", attempt)
                .setParameter("item", item));
    }

    /** Every mark that any response of an attempt ever had, by item, the newest first. */
    @Transactional(readOnly = true)
    public Map<String, List<LedgerMark>> historyOf(UUID attempt) {
        Map<String, List<LedgerMark>> all = new HashMap<>();
        marks(query("m.attempt = :attempt order by m.seq desc").setParameter("attempt", attempt))
                .forEach(m ->
                        all.computeIfAbsent(m.item(), i -> new ArrayList<>()).add(m));
        return all;
    }

    private TypedQuery<Flat> query(String which) {
        return entities.createQuery(SELECT + which, Flat.class);
    }

    private static List<LedgerMark> marks(TypedQuery<Flat> query) {
        return query.getResultList().stream().map(Flat::mark).toList();
    }

    private static Map<UUID, Map<String, LedgerMark>> byAttempt(TypedQuery<Flat> query) {
        Map<UUID, Map<String, LedgerMark>> all = new HashMap<>();
        marks(query)
                .forEach(m ->
                        all.computeIfAbsent(m.attempt(), a -> new HashMap<>()).put(m.item(), m));
        return all;
    }

    /** An answer of an attempt. */
    public record Place(UUID attempt, String item) {}

    /** Where a reading of somebody may say some words now; whether it is theirs is looked at by whoever asks. */
    @Transactional(readOnly = true)
    public List<Place> said(UUID reader, String words, int most) {
        return entities.createQuery("""
                        select m.attempt, m.item from MarkRow m
                        where locate(:words, json_value(m.reading, '$.comment')) > 0
                          and m.reading is not null
                          and exists (select 1 from MarkRow own where own.person = :reader and own.attempt = m.attempt
                            and own.item = m.item)
                          and not exists (select 1 from MarkRow l where l.attempt = m.attempt and l.item = m.item
                            and l.seq > m.seq)
                        order by m.seq""", Place.class)
                .setParameter("words", words)
                .setParameter("reader", reader)
                .setMaxResults(most)
                .getResultList();
    }
}
