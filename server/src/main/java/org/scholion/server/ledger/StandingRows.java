package org.scholion.server.ledger;

import jakarta.persistence.EntityManager;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.server.platform.Batches;
import org.scholion.server.platform.Copying;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Writes standings: only those that say something else, a few one by one, very many by COPY. */
@Component
class StandingRows {
    private static final int MANY = 300;
    private static final int AT_ONCE = 5_000;

    private static final List<String> COLUMNS = List.of(
            "school_id",
            "attempt_id",
            "score",
            "possible",
            "percent",
            "band",
            "passed",
            "provisional",
            "awaits_curve",
            "counts",
            "at",
            "tally",
            "place",
            "doubts",
            "unread",
            "open_answers",
            "doubts_since",
            "unread_since");

    private final EntityManager entities;
    private final Batches batches;
    private final Copying copying;

    StandingRows(EntityManager entities, Batches batches, Copying copying) {
        this.entities = entities;
        this.batches = batches;
        this.copying = copying;
    }

    /** Those that are stored of some attempts; they are nobody's to change. */
    List<StandingRow> of(List<UUID> attempts) {
        List<StandingRow> all = new ArrayList<>();
        for (int from = 0; from < attempts.size(); from += AT_ONCE) {
            all.addAll(batches.read(
                    "from StandingRow s where s.attempt in (:ids) and s.school in (select x.school from AttemptRow x where x.id in (:ids))",
                    StandingRow.class,
                    Map.of("ids", attempts.subList(from, Math.min(attempts.size(), from + AT_ONCE)))));
        }
        return all;
    }

    @Transactional(propagation = Propagation.MANDATORY)
    public void write(List<StandingRow> wanted) {
        write(wanted, Map.of());
    }

    /**
     * Writes what differs; whether an attempt counts stays as it is.
     *
     * @param known those that were read already, by attempt; the others are read
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public void write(List<StandingRow> wanted, Map<UUID, StandingRow> known) {
        Map<UUID, StandingRow> before = new HashMap<>(known);
        of(wanted.stream()
                        .map(r -> r.attempt)
                        .filter(id -> !known.containsKey(id))
                        .toList())
                .forEach(r -> before.put(r.attempt, r));
        List<StandingRow> first = new ArrayList<>();
        List<StandingRow> other = new ArrayList<>();
        for (StandingRow row : wanted) {
            StandingRow was = before.get(row.attempt);
            if (was == null) {
                first.add(row);
            } else if (!row.saysAs(was)) {
                row.counts = was.counts;
                other.add(row);
            }
        }
        batches.insert(first);
        if (other.size() < MANY) {
            batches.update(other);
        } else {
            copy(other);
        }
    }

    /** Through a table of this transaction: one statement then changes all of them. */
    private void copy(Collection<StandingRow> rows) {
        run("create temporary table if not exists standing_new (like standing including defaults) on commit drop");
        run("truncate standing_new");
        copying.into(
                "standing_new",
                COLUMNS,
                rows.stream()
                        .map(r -> new @Nullable Object[] {
                            r.school,
                            r.attempt,
                            r.score,
                            r.possible,
                            r.percent,
                            r.band,
                            r.passed,
                            r.provisional,
                            r.awaitsCurve,
                            r.counts,
                            r.at,
                            r.tally,
                            r.place,
                            r.doubts,
                            r.unread,
                            r.openAnswers,
                            r.doubtsSince,
                            r.unreadSince
                        })
                        .iterator());
        run("""
                update standing s set score = n.score, possible = n.possible, percent = n.percent, band = n.band,
                  passed = n.passed, provisional = n.provisional, awaits_curve = n.awaits_curve, at = n.at,
                  tally = n.tally, place = n.place, doubts = n.doubts, unread = n.unread,
                  open_answers = n.open_answers, doubts_since = n.doubts_since, unread_since = n.unread_since
                from standing_new n where n.school_id = s.school_id and n.attempt_id = s.attempt_id""");
    }

    private void run(String statement) {
        entities.createNativeQuery(statement).executeUpdate();
    }
}
