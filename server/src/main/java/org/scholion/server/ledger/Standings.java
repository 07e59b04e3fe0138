package org.scholion.server.ledger;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Clock;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.core.item.Item;
import org.scholion.core.number.Fraction;
import org.scholion.core.reason.Reason;
import org.scholion.core.score.Mark;
import org.scholion.core.total.AttemptTotal;
import org.scholion.core.total.Outcome;
import org.scholion.core.total.Outcomes;
import org.scholion.core.total.TotalReason;
import org.scholion.server.key.Edition;
import org.scholion.server.key.Editions;
import org.scholion.server.platform.JsonColumn;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;

/**
 * What each attempt stands at: a projection of the ledger that can be thrown away. Every figure of it comes from the
 * core; everything that shows a total reads it here.
 */
@Service
public class Standings {
    private final JdbcClient db;
    private final JdbcTemplate batch;
    private final Attempts attempts;
    private final Ledger ledger;
    private final Editions editions;
    private final Clock clock;

    Standings(JdbcClient db, JdbcTemplate batch, Attempts attempts, Ledger ledger, Editions editions, Clock clock) {
        this.db = db;
        this.batch = batch;
        this.attempts = attempts;
        this.ledger = ledger;
        this.editions = editions;
        this.clock = clock;
    }

    /**
     * What an attempt stands at, as it is stored and shown.
     *
     * @param percent rounded as the assessment says, with its decimals; null when nothing was possible
     */
    public record Standing(
            UUID attempt,
            String score,
            String possible,
            @Nullable String percent,
            @Nullable String band,
            @Nullable Boolean passed,
            boolean provisional) {

        static Standing of(UUID attempt, Outcome o, int digits) {
            return new Standing(
                    attempt,
                    o.total().score().toExact(),
                    o.total().possible().toExact(),
                    o.percent() == null ? null : o.percent().toFixed(digits),
                    o.band() == null ? null : o.band().label(),
                    o.passed(),
                    o.total().provisional());
        }
    }

    /** The outcomes of attempts from their marks, in the order given; sittings are curved each by itself. */
    public static Map<UUID, Outcome> outcomes(
            Edition edition, List<Attempt> attempts, Map<UUID, Map<String, Mark>> marks) {
        Map<UUID, List<Attempt>> sittings = new LinkedHashMap<>();
        attempts.forEach(a ->
                sittings.computeIfAbsent(a.sitting(), s -> new ArrayList<>()).add(a));
        Map<UUID, Outcome> found = new HashMap<>();
        for (List<Attempt> sitting : sittings.values()) {
            List<AttemptTotal> totals = sitting.stream()
                    .map(a ->
                            edition.totals().of(inOrder(edition, marks.getOrDefault(a.id(), Map.of())), Fraction.ZERO))
                    .toList();
            List<Outcome> outcomes = Outcomes.of(edition.assessment().grading(), totals);
            for (int i = 0; i < sitting.size(); i++) {
                found.put(sitting.get(i).id(), outcomes.get(i));
            }
        }
        Map<UUID, Outcome> ordered = new LinkedHashMap<>();
        attempts.forEach(a -> ordered.put(a.id(), Objects.requireNonNull(found.get(a.id()))));
        return ordered;
    }

    /** Why an attempt's total is what it is: adjustments, best-of, weights, curve. The percent is the one that stands. */
    public static Reason because(Edition edition, Map<String, LedgerMark> current, Standing standing) {
        Map<String, Mark> own = new HashMap<>();
        current.forEach((item, m) -> own.put(item, m.mark()));
        List<Mark> marks = inOrder(edition, own);
        Fraction percent = standing.percent() == null ? null : Fraction.exactly(standing.percent());
        return new TotalReason(edition.assessment())
                .of(
                        marks,
                        Fraction.ZERO,
                        new Outcome(edition.totals().of(marks, Fraction.ZERO), percent, percent, null, null));
    }

    /** One mark for each item of the edition; an item that was added later has none yet and is blank. */
    private static List<Mark> inOrder(Edition edition, Map<String, Mark> marks) {
        return edition.items().stream()
                .map(Item::id)
                .map(id -> marks.getOrDefault(id, Mark.BLANK))
                .toList();
    }

    public static Map<UUID, Map<String, Mark>> plain(Map<UUID, Map<String, LedgerMark>> current) {
        Map<UUID, Map<String, Mark>> plain = new HashMap<>();
        current.forEach((attempt, marks) -> {
            Map<String, Mark> own = new HashMap<>();
            marks.forEach((item, m) -> own.put(item, m.mark()));
            plain.put(attempt, own);
        });
        return plain;
    }

    /** Makes the standings of an assessment again from responses and ledger. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void refresh(UUID assessment) {
        Edition edition = editions.require(assessment);
        List<Attempt> in = attempts.in(assessment, null);
        Map<UUID, Outcome> outcomes = outcomes(edition, in, plain(ledger.current(assessment)));
        int digits = edition.assessment().grading().percentDigits();
        List<Object[]> rows = in.stream()
                .map(a -> row(a, Objects.requireNonNull(outcomes.get(a.id())), digits))
                .toList();
        batch.batchUpdate("""
                insert into standing (school_id, attempt_id, score, possible, percent, band, passed, provisional, counted, at)
                values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)
                on conflict (school_id, attempt_id) do update set score = excluded.score, possible = excluded.possible,
                  percent = excluded.percent, band = excluded.band, passed = excluded.passed,
                  provisional = excluded.provisional, counted = excluded.counted, at = excluded.at
                where (standing.score, standing.possible, standing.percent, standing.band, standing.passed,
                       standing.provisional, standing.counted)
                  is distinct from (excluded.score, excluded.possible, excluded.percent, excluded.band, excluded.passed,
                       excluded.provisional, excluded.counted)""", rows);
    }

    private @Nullable Object[] row(Attempt a, Outcome o, int digits) {
        Standing s = Standing.of(a.id(), o, digits);
        ArrayNode counted = JsonNodeFactory.instance.arrayNode();
        o.total().counted().forEach(c -> counted.add(c == null ? null : c.toExact()));
        return new @Nullable Object[] {
            a.school(),
            a.id(),
            s.score(),
            s.possible(),
            s.percent(),
            s.band(),
            s.passed(),
            s.provisional(),
            JsonColumn.of(counted),
            Timestamp.from(clock.instant())
        };
    }

    @Transactional(readOnly = true)
    public Map<UUID, Standing> of(UUID assessment) {
        Map<UUID, Standing> all = new HashMap<>();
        db.sql("select s.* from standing s join attempt x on x.id = s.attempt_id where x.assessment_id = ?")
                .param(assessment)
                .query((row, n) -> read(row))
                .list()
                .forEach(s -> all.put(s.attempt(), s));
        return all;
    }

    /** Each stored standing that differs from what responses and ledger say, with both; empty when all is well. */
    @Transactional(readOnly = true)
    public List<String> differences() {
        List<String> found = new ArrayList<>();
        for (UUID assessment : db.sql("select distinct assessment_id from edition")
                .query(UUID.class)
                .list()) {
            Edition edition = editions.require(assessment);
            List<Attempt> in = attempts.in(assessment, null);
            Map<UUID, Standing> stored = of(assessment);
            int digits = edition.assessment().grading().percentDigits();
            outcomes(edition, in, plain(ledger.current(assessment))).forEach((attempt, outcome) -> {
                Standing again = Standing.of(attempt, outcome, digits);
                if (!again.equals(stored.get(attempt))) {
                    found.add("attempt " + attempt + ": stored " + stored.get(attempt) + ", recomputed " + again);
                }
            });
        }
        return found;
    }

    /** A row of the table of standings. */
    public static Standing read(ResultSet row) throws SQLException {
        return new Standing(
                row.getObject("attempt_id", UUID.class),
                row.getString("score"),
                row.getString("possible"),
                row.getString("percent"),
                row.getString("band"),
                row.getObject("passed", Boolean.class),
                row.getBoolean("provisional"));
    }
}
