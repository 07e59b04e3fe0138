package org.scholion.server.ledger;

import java.time.Clock;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.Consumer;
import java.util.function.IntConsumer;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.scholion.core.effect.Effect;
import org.scholion.core.effect.Sides;
import org.scholion.core.score.Mark;
import org.scholion.core.total.Outcome;
import org.scholion.server.key.Assessments;
import org.scholion.server.key.Comparison;
import org.scholion.server.key.Comparison.Difference;
import org.scholion.server.key.Drawn;
import org.scholion.server.key.Edition;
import org.scholion.server.key.Editions;
import org.scholion.server.platform.Events;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;

/**
 * Scores the same answers under another edition. Preview and confirmation are the same computation; confirming writes
 * the edition and appends the marks that moved. What a person decided about one attempt stays; the levels that a reader
 * chose are worth what the rubric says now.
 */
@Service
public class Regrading {
    private final Turns turns;
    private final Attempts attempts;
    private final Ledger ledger;
    private final Standings standings;
    private final MarkedPapers papers;
    private final Rescoring rescoring;
    private final Editions editions;
    private final Assessments assessments;
    private final Events events;
    private final RegradingWork work;
    private final Clock clock;
    /** The answers of so many are scored again within the request itself. */
    private final int atOnce;

    Regrading(
            Turns turns,
            Attempts attempts,
            Ledger ledger,
            Standings standings,
            MarkedPapers papers,
            Rescoring rescoring,
            Editions editions,
            Assessments assessments,
            Events events,
            RegradingWork work,
            Clock clock,
            @Value("${scholion.regrade-at-once}") int atOnce) {
        this.turns = turns;
        this.attempts = attempts;
        this.ledger = ledger;
        this.standings = standings;
        this.papers = papers;
        this.rescoring = rescoring;
        this.editions = editions;
        this.assessments = assessments;
        this.events = events;
        this.work = work;
        this.clock = clock;
        this.atOnce = atOnce;
    }

    /** A new edition and why it is made. */
    public record Made(Edition candidate, String why) {}

    /** What is made of the latest edition when the turn has come. */
    public interface Making {
        Made from(Edition latest);
    }

    /**
     * Makes a new edition of the latest one, and the marks follow it.
     *
     * @param base the number of the edition that the change began from
     * @throws Refused when another edition was made since: nothing of anybody's is overwritten unseen
     */
    public EffectView confirm(Me me, UUID assessment, int base, Making making, @Nullable Integer undoes) {
        return confirm(me, assessment, () -> requireLatest(assessment, base), making, undoes);
    }

    /** Makes a new edition of the latest one, whichever it is. */
    public EffectView confirmOnLatest(Me me, UUID assessment, Making making) {
        return confirm(me, assessment, () -> editions.require(assessment), making, null);
    }

    private EffectView confirm(
            Me me, UUID assessment, Supplier<Edition> latest, Making making, @Nullable Integer undoes) {
        work.requireNoneOn(assessment);
        int attempts = papers.count(assessment);
        if (attempts > atOnce) {
            Made made = making.from(latest.get());
            EffectView effect = compare(made.candidate());
            return effect.with(work.begin(me, made, undoes, attempts));
        }
        return turns.whole(assessment, () -> {
            Made made = making.from(latest.get());
            return write(me, made, undoes, done -> {});
        });
    }

    /**
     * The same for very many, in the background: nobody sees any of it before all of it is there, and what a kill cuts
     * short is begun again.
     *
     * @throws Refused when another edition was made since it was ordered
     */
    void write(Me me, Made made, @Nullable Integer undoes, int base, IntConsumer progress) {
        UUID assessment = made.candidate().assessmentId();
        turns.whole(assessment, () -> {
            requireLatest(assessment, base);
            return write(me, made, undoes, progress);
        });
    }

    private EffectView write(Me me, Made made, @Nullable Integer undoes, IntConsumer progress) {
        Edition candidate = made.candidate();
        UUID assessment = candidate.assessmentId();
        Edition latest = editions.require(assessment);
        Map<Integer, Set<String>> notDrawn = notDrawn(candidate);
        Regrade regrade = regrade(latest, candidate, notDrawn);
        regrade.writing();
        regrade.run(marks -> ledger.appendMany(me.school(), marks), progress);
        editions.add(me, candidate, made.why(), undoes);
        assessments.follow(me, assessment, candidate.definition());
        leaveOut(assessment, notDrawn);
        standings.write(candidate, regrade.attempts(), regrade.standings(), regrade.known());
        events.say("assessment:" + assessment);
        return told(regrade, latest, candidate);
    }

    private Regrade regrade(Edition latest, Edition candidate, Map<Integer, Set<String>> notDrawn) {
        return new Regrade(
                papers.of(latest, null), candidate, rescoring, rescoring.plan(latest, candidate, notDrawn), clock);
    }

    /** The latest edition, if it is the one that somebody began from. */
    @Transactional(readOnly = true)
    public Edition requireLatest(UUID assessment, int base) {
        Edition latest = editions.require(assessment);
        if (latest.number() != base) {
            Editions.EditionLine theirs = editions.history(assessment).get(0);
            throw Refused.conflict(
                    "changed-meanwhile",
                    "The key has changed meanwhile: edition " + latest.number() + " is by " + theirs.by()
                            + (theirs.why().isBlank() ? "" : " (" + theirs.why() + ")")
                            + ". Nothing of yours or theirs was overwritten; look at both and confirm again.");
        }
        return latest;
    }

    /** The latest edition, if it is this one, or says again what this one said: what came after it was taken back. */
    @Transactional(readOnly = true)
    public Edition requireStanding(UUID assessment, int edition) {
        Edition latest = editions.require(assessment);
        return editions.standsFor(assessment, latest.number()) == edition ? latest : requireLatest(assessment, edition);
    }

    /**
     * Going back one step.
     *
     * @param candidate a new edition that says what the earlier one said
     * @param to the number of the edition that it goes back to
     */
    public record Undo(Edition candidate, int to) {}

    /** What undoing the latest edition would be; undoing again goes one step further back. */
    @Transactional(readOnly = true)
    public Undo undoing(Edition latest) {
        UUID assessment = latest.assessmentId();
        int back = editions.standsFor(assessment, latest.number()) - 1;
        if (back < 1) {
            throw Refused.conflict("nothing-to-undo", "There is no earlier edition to go back to.");
        }
        int to = editions.standsFor(assessment, back);
        Edition earlier = editions.numbered(assessment, to);
        return new Undo(Edition.compile(assessment, latest.number() + 1, earlier.definition(), earlier.rulings()), to);
    }

    /** The next edition with this definition; the rulings made so far stay. */
    public static Edition next(Edition latest, JsonNode definition) {
        return Edition.compile(latest.assessmentId(), latest.number() + 1, definition, latest.rulings());
    }

    /** What a candidate would do with the same answers. */
    @Transactional(readOnly = true)
    public EffectView compare(Edition candidate) {
        return compare(candidate, marks -> {});
    }

    /** @param watch sees the marks that would move, some at a time */
    @Transactional(readOnly = true)
    public EffectView compare(Edition candidate, Consumer<List<LedgerMark>> watch) {
        Edition latest = editions.require(candidate.assessmentId());
        Regrade regrade = regrade(latest, candidate, notDrawn(candidate));
        regrade.run(
                marks -> {
                    watch.accept(marks);
                    return 0L;
                },
                done -> {});
        return told(regrade, latest, candidate);
    }

    private static EffectView told(Regrade regrade, Edition latest, Edition candidate) {
        EffectView effect = effect(
                regrade.moved(), regrade.attempts(), regrade.before(), regrade.after(), Sides.Others.NONE, candidate);
        List<Difference> differences = Comparison.of(latest.definition(), candidate.definition());
        return effect.with(differences, asked(differences, regrade));
    }

    /** Items that ask otherwise and were answered; how often each. */
    private static List<EffectView.Asked> asked(List<Difference> differences, Regrade regrade) {
        List<EffectView.Asked> asked = new ArrayList<>();
        Set<String> named = new HashSet<>();
        for (Difference d : differences) {
            int answered = d.asksOtherwise() && named.add(d.item()) ? regrade.answered(d.item()) : 0;
            if (answered > 0) {
                asked.add(new EffectView.Asked(d.item(), d.number(), answered));
            }
        }
        return asked;
    }

    /** What of the pools each earlier edition did not have. */
    private Map<Integer, Set<String>> notDrawn(Edition candidate) {
        Set<String> pooled = Drawn.pooled(candidate);
        Map<Integer, Set<String>> missing = new HashMap<>();
        for (int number = 1; !pooled.isEmpty() && number < candidate.number(); number++) {
            Set<String> later = new HashSet<>(pooled);
            editions.numbered(candidate.assessmentId(), number).items().forEach(i -> later.remove(i.id()));
            missing.put(number, later);
        }
        return missing;
    }

    /** Notes it at every attempt, also at those that are not handed in yet. */
    private void leaveOut(UUID assessment, Map<Integer, Set<String>> notDrawn) {
        if (notDrawn.values().stream().anyMatch(missing -> !missing.isEmpty())) {
            attempts.of(assessment, null).stream()
                    .collect(Collectors.groupingBy(
                            Attempt::edition, Collectors.mapping(Attempt::id, Collectors.toList())))
                    .forEach((edition, own) -> attempts.leaveOut(own, notDrawn.getOrDefault(edition, Set.of())));
        }
    }

    private static EffectView effect(
            int marks,
            List<Attempt> in,
            Map<UUID, Outcome> before,
            Map<UUID, Outcome> after,
            Sides.Others others,
            Edition candidate) {
        Map<String, Attempt> byId = new HashMap<>();
        in.forEach(a -> byId.put(a.id().toString(), a));
        Effect effect = Effect.between(byName(before), byName(after), others);
        return EffectView.of(
                marks, effect, byId, candidate.assessment().grading().percentDigits());
    }

    private static Map<String, Outcome> byName(Map<UUID, Outcome> outcomes) {
        Map<String, Outcome> named = new LinkedHashMap<>();
        outcomes.forEach((id, o) -> named.put(id.toString(), o));
        return named;
    }

    /** What marks of single attempts would do: a person's decisions, compared in the same way. */
    @Transactional(readOnly = true)
    public EffectView previewMarks(UUID assessment, List<LedgerMark> decisions) {
        Edition edition = editions.require(assessment);
        Set<UUID> own = attemptsOf(decisions);
        // Only a curve that looks at the whole sitting can move anybody else.
        boolean all = edition.assessment().grading().looksAtTheSitting();
        List<Attempt> in = new ArrayList<>();
        Map<UUID, Map<String, Mark>> before = new HashMap<>();
        if (all) {
            papers.of(edition, null).attempts().forEach(m -> {
                in.add(m.attempt());
                before.put(m.attempt().id(), byItem(edition, m.plain()));
            });
        } else {
            in.addAll(attempts.some(own));
            before.putAll(Standings.plain(ledger.currentOf(own)));
        }
        Map<UUID, Map<String, Mark>> after = new HashMap<>();
        before.forEach((attempt, marks) -> after.put(attempt, new HashMap<>(marks)));
        decisions.forEach(
                m -> after.computeIfAbsent(m.attempt(), a -> new HashMap<>()).put(m.item(), m.mark()));
        return effect(
                decisions.size(),
                in,
                Standings.outcomes(edition, in, before),
                Standings.outcomes(edition, in, after),
                all ? Sides.Others.NONE : standings.but(assessment, own),
                edition);
    }

    private static Map<String, Mark> byItem(Edition edition, List<Mark> marks) {
        Map<String, Mark> all = new HashMap<>();
        for (int i = 0; i < marks.size(); i++) {
            all.put(edition.items().get(i).id(), marks.get(i));
        }
        return all;
    }

    private static Set<UUID> attemptsOf(List<LedgerMark> decisions) {
        Set<UUID> own = new HashSet<>();
        decisions.forEach(d -> own.add(d.attempt()));
        return own;
    }

    /**
     * A person's decisions about single attempts: it costs these attempts only.
     *
     * @param about the attempts that are held while it is decided
     * @param deciding makes the marks, once nobody else can move those that were seen
     */
    public List<LedgerMark> decide(
            Me me, UUID assessment, Collection<UUID> about, Supplier<List<LedgerMark>> deciding) {
        return turns.shared(assessment, () -> {
            attempts.hold(about);
            List<LedgerMark> written = ledger.append(me.school(), deciding.get());
            standings.refresh(assessment, attemptsOf(written));
            events.say("assessment:" + assessment);
            return written;
        });
    }
}
