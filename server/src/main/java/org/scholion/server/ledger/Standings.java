package org.scholion.server.ledger;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.core.effect.Sides;
import org.scholion.core.item.Item;
import org.scholion.core.number.Fraction;
import org.scholion.core.reason.Reason;
import org.scholion.core.score.Mark;
import org.scholion.core.total.AttemptTotal;
import org.scholion.core.total.Grading;
import org.scholion.core.total.Outcome;
import org.scholion.core.total.Outcomes;
import org.scholion.core.total.TotalReason;
import org.scholion.server.key.Edition;
import org.scholion.server.key.Editions;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * What each attempt stands at: a projection of the ledger that can be thrown away. Every figure of it comes from the
 * core; everything that shows a total reads it here.
 */
@Service
public class Standings {
    /**
     * Whether the curve of the sitting of an attempt {@code x} is still to be computed: while it is of one, it may
     * become another for all, since the highest may be another. Those that wait are few, and in an index of their own.
     */
    public static final String SITTING_AWAITS =
            "x.sitting_id in (select y.sitting_id from standing w join attempt y on y.id = w.attempt_id where w.awaits_curve)";

    /** By the whole key, which begins with the school: what others have stored is not looked through. */
    private static final String OF_ATTEMPTS = "select s.*, " + Standings.SITTING_AWAITS
            + " as sitting_awaits from attempt x join standing s on s.school_id = x.school_id and s.attempt_id = x.id where ";

    private final JdbcClient db;
    private final JdbcTemplate batch;
    private final Attempts attempts;
    private final Ledger ledger;
    private final Editions editions;
    private final CountingAttempts counting;
    private final Clock clock;

    Standings(
            JdbcClient db,
            JdbcTemplate batch,
            Attempts attempts,
            Ledger ledger,
            Editions editions,
            CountingAttempts counting,
            Clock clock) {
        this.counting = counting;
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
     * @param percent rounded as the assessment says, with its decimals; null when nothing was possible, and while it
     *     waits for the curve
     * @param awaitsCurve a curve that looks at the whole sitting is still to be computed
     */
    public record Standing(
            UUID attempt,
            String score,
            String possible,
            @Nullable String percent,
            @Nullable String band,
            @Nullable Boolean passed,
            boolean provisional,
            boolean awaitsCurve) {

        /** Everything is decided and computed. */
        public boolean isFinal() {
            return !provisional && !awaitsCurve;
        }

        static Standing of(UUID attempt, Outcome o, int digits) {
            return new Standing(
                    attempt,
                    o.total().score().toExact(),
                    o.total().possible().toExact(),
                    o.percent() == null ? null : o.percent().toFixed(digits),
                    o.band() == null ? null : o.band().label(),
                    o.passed(),
                    o.total().provisional(),
                    false);
        }

        /** As it stands until the curve is computed. */
        Standing beforeTheCurve() {
            return new Standing(attempt, score, possible, null, null, null, provisional, true);
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
                    .map(a -> edition.totals().of(inOrder(edition, marks.getOrDefault(a.id(), Map.of())), a.daysLate()))
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

    /**
     * How an attempt's marks add up.
     *
     * @param counted what each item of the edition adds to the score; null where it does not count
     * @param because adjustments, best-of, weights, lateness, curve; the percent is the one that stands
     */
    public record Sum(List<@Nullable Fraction> counted, Reason because) {}

    public static Sum sum(Edition edition, Attempt attempt, Map<String, LedgerMark> current, Standing standing) {
        Map<String, Mark> own = new HashMap<>();
        current.forEach((item, m) -> own.put(item, m.mark()));
        List<Mark> marks = inOrder(edition, own);
        AttemptTotal total = edition.totals().of(marks, attempt.daysLate());
        Fraction percent = standing.percent() == null ? null : Fraction.exactly(standing.percent());
        Reason because = new TotalReason(edition.assessment(), attempt.leftOut())
                .of(marks, attempt.daysLate(), new Outcome(total, percent, percent, null, null));
        return new Sum(total.counted(), because);
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

    /** Makes the standings of a whole assessment again, in a turn of the whole: a curve sees every attempt. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void refresh(UUID assessment) {
        Edition edition = editions.require(assessment);
        List<Attempt> in = attempts.in(assessment, null);
        Map<UUID, Outcome> outcomes = outcomes(edition, in, ledger.credits(assessment));
        int digits = edition.assessment().grading().percentDigits();
        write(in.stream()
                .map(a -> {
                    Outcome o = Objects.requireNonNull(outcomes.get(a.id()));
                    return row(a, Standing.of(a.id(), o, digits));
                })
                .toList());
        counting.decide(edition, in);
    }

    /**
     * Makes the standings of these attempts again, which the transaction holds; the others stay as they are. A curve that
     * looks at the whole sitting is left to be computed afterwards.
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public void refresh(UUID assessment, Collection<UUID> changed) {
        Edition edition = editions.require(assessment);
        List<Attempt> own =
                attempts.some(changed).stream().filter(Attempt::isIn).toList();
        Map<UUID, Outcome> outcomes = outcomes(edition, own, plain(ledger.currentOf(changed)));
        Grading grading = edition.assessment().grading();
        write(own.stream()
                .map(a -> {
                    Outcome o = Objects.requireNonNull(outcomes.get(a.id()));
                    Standing s = Standing.of(a.id(), o, grading.percentDigits());
                    return row(a, grading.looksAtTheSitting() ? s.beforeTheCurve() : s);
                })
                .toList());
        counting.decide(edition, own);
    }

    private void write(List<@Nullable Object[]> rows) {
        batch.batchUpdate("""
                insert into standing (school_id, attempt_id, score, possible, percent, band, passed, provisional,
                                      awaits_curve, at)
                values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)
                on conflict (school_id, attempt_id) do update set score = excluded.score, possible = excluded.possible,
                  percent = excluded.percent, band = excluded.band, passed = excluded.passed,
                  provisional = excluded.provisional, awaits_curve = excluded.awaits_curve,
                  at = excluded.at
                where (standing.score, standing.possible, standing.percent, standing.band, standing.passed,
                       standing.provisional, standing.awaits_curve)
                  is distinct from (excluded.score, excluded.possible, excluded.percent, excluded.band, excluded.passed,
                       excluded.provisional, excluded.awaits_curve)""", rows);
    }

    private @Nullable Object[] row(Attempt a, Standing s) {
        return new @Nullable Object[] {
            a.school(),
            a.id(),
            s.score(),
            s.possible(),
            s.percent(),
            s.band(),
            s.passed(),
            s.provisional(),
            s.awaitsCurve(),
            Timestamp.from(clock.instant())
        };
    }

    /** The assessments of which a standing waits for its curve. */
    @Transactional(readOnly = true)
    public List<UUID> awaitingCurves() {
        return db.sql("""
                        select distinct x.assessment_id from attempt x join standing s on s.school_id = x.school_id and s.attempt_id = x.id
                        where s.awaits_curve""").query(UUID.class).list();
    }

    /** What one attempt stands at; computed where nothing is stored yet. */
    @Transactional(readOnly = true)
    public Standing ofAttempt(Attempt attempt) {
        return db.sql(OF_ATTEMPTS + "x.id = ?")
                .param(attempt.id())
                .query((row, n) -> read(row))
                .optional()
                .orElseGet(() -> {
                    Edition edition = editions.require(attempt.assessment());
                    Outcome outcome = Objects.requireNonNull(
                            outcomes(edition, List.of(attempt), plain(ledger.currentOf(List.of(attempt.id()))))
                                    .get(attempt.id()));
                    Grading grading = edition.assessment().grading();
                    Standing s = Standing.of(attempt.id(), outcome, grading.percentDigits());
                    return grading.looksAtTheSitting() ? s.beforeTheCurve() : s;
                });
    }

    /** What an attempt would stand at when it had come in so many days late; the curve stays as it is. */
    @Transactional(readOnly = true)
    public Standing asIfLate(Attempt attempt, Fraction days) {
        Edition edition = editions.require(attempt.assessment());
        Attempt late = attempt.late(days);
        List<Attempt> all = edition.assessment().grading().looksAtTheSitting()
                ? attempts.in(attempt.assessment(), null).stream()
                        .map(a -> a.id().equals(late.id()) ? late : a)
                        .toList()
                : List.of(late);
        Map<UUID, Map<String, Mark>> marks =
                all.size() == 1 ? plain(ledger.currentOf(List.of(late.id()))) : ledger.credits(attempt.assessment());
        return Standing.of(
                late.id(),
                Objects.requireNonNull(outcomes(edition, all, marks).get(late.id())),
                edition.assessment().grading().percentDigits());
    }

    /** What one student's attempts, in order of time, come to together, by the rule of the paper. */
    @Transactional(readOnly = true)
    public Standing together(UUID assessment, List<Standing> own) {
        return own.size() == 1
                ? own.get(0)
                : CountingAttempts.together(
                        editions.require(assessment).assessment().grading(), own);
    }

    /** The attempts that stand for their students: the one that counts, or the last where all do. */
    @Transactional(readOnly = true)
    public Set<UUID> standingFor(UUID assessment) {
        return new HashSet<>(db.sql("""
                        select distinct on (x.student_id) x.id from attempt x
                        left join standing s on s.school_id = x.school_id and s.attempt_id = x.id
                        where x.assessment_id = ? and x.handed_in_at is not null and coalesce(s.counts, true)
                        order by x.student_id, x.started_at desc, x.id desc""").param(assessment).query(UUID.class).list());
    }

    @Transactional(readOnly = true)
    public Map<UUID, Standing> of(UUID assessment) {
        Map<UUID, Standing> all = new HashMap<>();
        db.sql(OF_ATTEMPTS + "x.assessment_id = ?")
                .param(assessment)
                .query((row, n) -> read(row))
                .list()
                .forEach(s -> all.put(s.attempt(), s));
        return all;
    }

    /** What all attempts of an assessment but some stand at, summed up. */
    @Transactional(readOnly = true)
    Sides.Others but(UUID assessment, Collection<UUID> some) {
        return db.sql("""
                        select coalesce(sum(cast(s.percent as numeric)), 0), count(s.percent), count(*) filter (where s.passed)
                        from attempt x join standing s on s.school_id = x.school_id and s.attempt_id = x.id
                        where x.assessment_id = :assessment and x.handed_in_at is not null and x.id <> all(:some)""")
                .param("assessment", assessment)
                .param("some", some.toArray(new UUID[0]))
                .query((row, n) -> new Sides.Others(Fraction.exactly(row.getString(1)), row.getLong(2), row.getLong(3)))
                .single();
    }

    /** What some attempts stand at. */
    @Transactional(readOnly = true)
    public Map<UUID, Standing> of(Collection<UUID> some) {
        Map<UUID, Standing> all = new HashMap<>();
        if (!some.isEmpty()) {
            db.sql(OF_ATTEMPTS + "x.id in (:attempts)")
                    .param("attempts", some)
                    .query((row, n) -> read(row))
                    .list()
                    .forEach(s -> all.put(s.attempt(), s));
        }
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
                Standing kept = stored.get(attempt);
                Standing again = Standing.of(attempt, outcome, digits);
                Standing expected = kept != null && kept.awaitsCurve() ? again.beforeTheCurve() : again;
                if (!expected.equals(kept)) {
                    found.add("attempt " + attempt + ": stored " + kept + ", recomputed " + expected);
                }
            });
        }
        return found;
    }

    /** A row of the table of standings with {@link #SITTING_AWAITS} as {@code sitting_awaits}. */
    public static Standing read(ResultSet row) throws SQLException {
        Standing standing = stored(row);
        return row.getBoolean("sitting_awaits") ? standing.beforeTheCurve() : standing;
    }

    /** The same as it is stored, whatever becomes of the curve. */
    static Standing stored(ResultSet row) throws SQLException {
        return new Standing(
                row.getObject("attempt_id", UUID.class),
                row.getString("score"),
                row.getString("possible"),
                row.getString("percent"),
                row.getString("band"),
                row.getObject("passed", Boolean.class),
                row.getBoolean("provisional"),
                row.getBoolean("awaits_curve"));
    }
}
