package org.scholion.server.ledger;

import jakarta.persistence.EntityManager;
import java.math.BigDecimal;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import java.util.function.Function;
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
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;

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
            "x.sitting in (select y.sitting from StandingRow w join AttemptRow y on y.id = w.attempt where w.awaitsCurve)";

    private static final String OF_ATTEMPTS = "select s.attempt, s.score, s.possible, s.percent, s.band, s.passed,"
            + " s.provisional, s.awaitsCurve or " + SITTING_AWAITS + " from AttemptRow x"
            + " join StandingRow s on s.school = x.school and s.attempt = x.id where ";

    private final EntityManager entities;
    private final StandingRows rows;
    private final Attempts attempts;
    private final Ledger ledger;
    private final Briefs briefs;
    private final MarkedPapers papers;
    private final Editions editions;
    private final CountingAttempts counting;
    private final Clock clock;

    Standings(
            EntityManager entities,
            StandingRows rows,
            Attempts attempts,
            Ledger ledger,
            Briefs briefs,
            MarkedPapers papers,
            Editions editions,
            CountingAttempts counting,
            Clock clock) {
        this.entities = entities;
        this.rows = rows;
        this.attempts = attempts;
        this.ledger = ledger;
        this.briefs = briefs;
        this.papers = papers;
        this.editions = editions;
        this.counting = counting;
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

        /** What waits for its curve shows nothing that the curve decides. */
        public Standing asShown() {
            return awaitsCurve ? beforeTheCurve() : this;
        }

        /** As it stands until the curve is computed. */
        Standing beforeTheCurve() {
            return new Standing(attempt, score, possible, null, null, null, provisional, true);
        }
    }

    /** The percentages of a section's attempts that count and are decided. */
    @Transactional(readOnly = true)
    public List<String> percents(UUID assessment, UUID section) {
        return entities.createQuery(
                        "select s.percent from AttemptRow x join StandingRow s on s.school = x.school and s.attempt = x.id"
                                + " where x.assessment = :assessment and x.section = :section and s.counts"
                                + " and x.handedInAt is not null and s.percent is not null"
                                + " and not s.provisional and not s.awaitsCurve",
                        String.class)
                .setParameter("assessment", assessment)
                .setParameter("section", section)
                .getResultList();
    }

    /** The outcomes of attempts from their marks, in the order given; sittings are curved each by itself. */
    public static Map<UUID, Outcome> outcomes(
            Edition edition, List<Attempt> attempts, Map<UUID, Map<String, Mark>> marks) {
        return outcomes(edition, attempts, a -> inOrder(edition, marks.getOrDefault(a.id(), Map.of())));
    }

    /** @param marks one for each item of the edition, in its order */
    static Map<UUID, Outcome> outcomes(Edition edition, List<Attempt> attempts, Function<Attempt, List<Mark>> marks) {
        return curved(edition, attempts, a -> edition.totals().of(marks.apply(a), a.daysLate()));
    }

    /** The outcomes of attempts that are added up already. */
    static Map<UUID, Outcome> curved(Edition edition, List<Attempt> attempts, Function<Attempt, AttemptTotal> added) {
        Map<UUID, List<Attempt>> sittings = new LinkedHashMap<>();
        attempts.forEach(a ->
                sittings.computeIfAbsent(a.sitting(), s -> new ArrayList<>()).add(a));
        Map<UUID, Outcome> found = new HashMap<>();
        for (List<Attempt> sitting : sittings.values()) {
            List<AttemptTotal> totals = sitting.stream().map(added).toList();
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

    /** What attempts stand at by their marks in brief, curved or, where one looks at the whole sitting, before the curve. */
    static Map<UUID, Standing> computed(Edition edition, List<Attempt> some, Map<UUID, List<Brief>> marks) {
        return standings(edition, outcomes(edition, some, a -> plain(marks.getOrDefault(a.id(), List.of()))));
    }

    private static Map<UUID, Standing> standings(Edition edition, Map<UUID, Outcome> outcomes) {
        Grading grading = edition.assessment().grading();
        Map<UUID, Standing> all = new HashMap<>();
        outcomes.forEach((id, outcome) -> {
            Standing s = Standing.of(id, outcome, grading.percentDigits());
            all.put(id, grading.looksAtTheSitting() ? s.beforeTheCurve() : s);
        });
        return all;
    }

    /** What an attempt would stand at by these marks, if it were the only one; nothing is kept. */
    public static Standing alone(Edition edition, Attempt attempt, Map<String, LedgerMark> marks) {
        Map<UUID, Map<String, Mark>> plain = plain(Map.of(attempt.id(), marks));
        Map<UUID, Outcome> outcomes = outcomes(edition, List.of(attempt), plain);
        return Objects.requireNonNull(standings(edition, outcomes).get(attempt.id()));
    }

    static List<Mark> plain(List<Brief> briefs) {
        return briefs.stream().map(Brief::mark).toList();
    }

    /** Computes the standings of a whole assessment again, in a turn of the whole: a curve sees every attempt. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void refresh(UUID assessment) {
        MarkedPaper paper = papers.of(editions.require(assessment), null);
        Edition edition = paper.edition();
        List<Attempt> in = paper.attempts().stream().map(Marked::attempt).toList();
        Map<UUID, List<Brief>> marks = new HashMap<>();
        paper.attempts().forEach(m -> marks.put(m.attempt().id(), m.marks()));
        Map<UUID, Outcome> outcomes = outcomes(edition, in, a -> plain(Objects.requireNonNull(marks.get(a.id()))));
        int digits = edition.assessment().grading().percentDigits();
        Instant now = clock.instant();
        rows.write(paper.attempts().stream()
                .map(m -> new StandingRow(
                        m.attempt(),
                        Standing.of(
                                m.attempt().id(),
                                Objects.requireNonNull(outcomes.get(m.attempt().id())),
                                digits),
                        edition,
                        Objects.requireNonNull(marks.get(m.attempt().id())),
                        m.place(),
                        now))
                .toList());
        counting.decide(edition, twice(in));
    }

    /** Writes standings that were computed under an edition, and decides again which of several attempts counts. */
    @Transactional(propagation = Propagation.MANDATORY)
    void write(Edition edition, List<Attempt> in, List<StandingRow> computed, Map<UUID, StandingRow> known) {
        rows.write(computed, known);
        counting.decide(edition, twice(in));
    }

    /** Of a whole paper only those of students who have several attempts: of the others nothing is to be decided. */
    private static List<Attempt> twice(List<Attempt> all) {
        Map<UUID, Integer> times = new HashMap<>();
        all.forEach(a -> times.merge(a.student(), 1, Integer::sum));
        return all.stream().filter(a -> times.getOrDefault(a.student(), 0) > 1).toList();
    }

    /**
     * Makes the standings of these attempts again, which the transaction holds; the others stay as they are. A curve that
     * looks at the whole sitting is left to be computed afterwards.
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public void refresh(UUID assessment, Collection<UUID> changed) {
        refresh(
                editions.require(assessment),
                attempts.some(changed).stream().filter(Attempt::isIn).toList(),
                ledger.currentOf(changed),
                attempts.responsesOf(changed));
    }

    /** The same where everything about the attempts is known. */
    @Transactional(propagation = Propagation.MANDATORY)
    void refresh(
            Edition edition,
            List<Attempt> own,
            Map<UUID, Map<String, LedgerMark>> current,
            Map<UUID, Map<String, JsonNode>> responses) {
        Map<UUID, List<Brief>> marks = new HashMap<>();
        own.forEach(a -> marks.put(
                a.id(),
                Briefs.of(edition, current.getOrDefault(a.id(), Map.of()), responses.getOrDefault(a.id(), Map.of()))));
        Map<UUID, Standing> standing = computed(edition, own, marks);
        Instant now = clock.instant();
        rows.write(own.stream()
                .map(a -> new StandingRow(
                        a,
                        Objects.requireNonNull(standing.get(a.id())),
                        edition,
                        Objects.requireNonNull(marks.get(a.id())),
                        current.getOrDefault(a.id(), Map.of()).values().stream()
                                .mapToLong(LedgerMark::seq)
                                .max()
                                .orElse(0),
                        now))
                .toList());
        counting.decide(edition, own);
    }

    /** The assessments of which a standing waits for its curve. */
    @Transactional(readOnly = true)
    public List<UUID> awaitingCurves() {
        return entities.createQuery("""
                        select distinct x.assessment from StandingRow s join AttemptRow x on x.id = s.attempt
                        where s.awaitsCurve""", UUID.class).getResultList();
    }

    /** What one attempt stands at; computed where nothing is stored yet. */
    @Transactional(readOnly = true)
    public Standing ofAttempt(Attempt attempt) {
        Standing stored = of(List.of(attempt.id())).get(attempt.id());
        if (stored != null) {
            return stored;
        }
        Edition edition = editions.require(attempt.assessment());
        return Objects.requireNonNull(computed(edition, List.of(attempt), briefs.of(edition, List.of(attempt)))
                .get(attempt.id()));
    }

    /** What an attempt would stand at when it had come in so many days late; the curve stays as it is. */
    @Transactional(readOnly = true)
    public Standing asIfLate(Attempt attempt, Fraction days) {
        Edition edition = editions.require(attempt.assessment());
        Attempt late = attempt.late(days);
        Map<UUID, List<Mark>> marks = new HashMap<>();
        List<Attempt> all = new ArrayList<>();
        if (edition.assessment().grading().looksAtTheSitting()) {
            papers.of(edition, null).attempts().forEach(m -> {
                all.add(m.attempt().id().equals(late.id()) ? late : m.attempt());
                marks.put(m.attempt().id(), m.plain());
            });
        } else {
            all.add(late);
            briefs.of(edition, all).forEach((id, own) -> marks.put(id, plain(own)));
        }
        return Standing.of(
                late.id(),
                Objects.requireNonNull(outcomes(
                                edition, all, a -> marks.getOrDefault(a.id(), inOrder(edition, Map.of())))
                        .get(late.id())),
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

    /** What all attempts of an assessment but some stand at, summed up. */
    @Transactional(readOnly = true)
    Sides.Others but(UUID assessment, Collection<UUID> some) {
        Summed summed = entities.createQuery("""
                        select coalesce(sum(cast(s.percent as BigDecimal)), 0), count(s.percent),
                               count(case when s.passed then 1 end)
                        from AttemptRow x join StandingRow s on s.school = x.school and s.attempt = x.id
                        where x.assessment = :assessment and x.handedInAt is not null and x.id not in (:some)""", Summed.class)
                .setParameter("assessment", assessment)
                .setParameter("some", some)
                .getSingleResult();
        return new Sides.Others(Fraction.of(summed.percents()), summed.students(), summed.passed());
    }

    record Summed(BigDecimal percents, long students, long passed) {}

    /** What some attempts stand at. */
    @Transactional(readOnly = true)
    public Map<UUID, Standing> of(Collection<UUID> some) {
        Map<UUID, Standing> all = new HashMap<>();
        if (!some.isEmpty()) {
            entities.createQuery(OF_ATTEMPTS + "x.id in (:attempts)", Standing.class)
                    .setParameter("attempts", some)
                    .getResultList()
                    .forEach(s -> all.put(s.attempt(), s.asShown()));
        }
        return all;
    }

    /** Each stored standing that differs from what responses and ledger say, with both; empty when all is well. */
    @Transactional(readOnly = true)
    public List<String> differences() {
        List<String> found = new ArrayList<>();
        for (UUID assessment : entities.createQuery("select distinct e.assessment from EditionRow e", UUID.class)
                .getResultList()) {
            Edition edition = editions.require(assessment);
            List<Attempt> in = attempts.in(assessment, null);
            Map<UUID, List<Brief>> marks = briefs.of(edition, in);
            Map<UUID, Outcome> outcomes = outcomes(edition, in, a -> plain(Objects.requireNonNull(marks.get(a.id()))));
            Map<UUID, StandingRow> stored = new HashMap<>();
            rows.of(in.stream().map(Attempt::id).toList()).forEach(r -> stored.put(r.attempt, r));
            int digits = edition.assessment().grading().percentDigits();
            for (Attempt attempt : in) {
                StandingRow kept = stored.get(attempt.id());
                Standing again = Standing.of(attempt.id(), Objects.requireNonNull(outcomes.get(attempt.id())), digits);
                StandingRow made = new StandingRow(
                        attempt,
                        kept != null && kept.awaitsCurve ? again.beforeTheCurve() : again,
                        edition,
                        Objects.requireNonNull(marks.get(attempt.id())),
                        kept == null ? 0 : kept.place,
                        clock.instant());
                if (kept == null || !made.saysAs(kept)) {
                    found.add("attempt " + attempt.id() + ": stored " + (kept == null ? null : kept.told())
                            + ", recomputed " + made.told());
                }
            }
        }
        return found;
    }
}
