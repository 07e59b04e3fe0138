package org.scholion.server.ledger;

import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.scholion.core.effect.Effect;
import org.scholion.core.effect.Sides;
import org.scholion.core.item.Item;
import org.scholion.core.score.Mark;
import org.scholion.core.score.Ruling;
import org.scholion.core.score.State;
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
    private final Editions editions;
    private final Assessments assessments;
    private final Events events;
    private final Clock clock;

    Regrading(
            Turns turns,
            Attempts attempts,
            Ledger ledger,
            Standings standings,
            Editions editions,
            Assessments assessments,
            Events events,
            Clock clock) {
        this.turns = turns;
        this.attempts = attempts;
        this.ledger = ledger;
        this.standings = standings;
        this.editions = editions;
        this.assessments = assessments;
        this.events = events;
        this.clock = clock;
    }

    /**
     * What a candidate would do with the same answers.
     *
     * @param moved the marks that move
     * @param effect what they come to
     * @param notDrawn items that came into a pool later, by the edition with which an attempt was begun: whoever began
     *     with it was never asked them
     */
    public record Compared(List<LedgerMark> moved, EffectView effect, Map<Integer, Set<String>> notDrawn) {}

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
        return turns.whole(assessment, () -> {
            Made made = making.from(requireLatest(assessment, base));
            return write(me, made.candidate(), made.why(), undoes);
        });
    }

    /** Makes a new edition of the latest one, whichever it is. */
    public EffectView confirmOnLatest(Me me, UUID assessment, Making making) {
        return turns.whole(assessment, () -> {
            Made made = making.from(editions.require(assessment));
            return write(me, made.candidate(), made.why(), null);
        });
    }

    private EffectView write(Me me, Edition candidate, String why, @Nullable Integer undoes) {
        Compared comparison = compare(candidate);
        editions.add(me, candidate, why, undoes);
        assessments.follow(me, candidate.assessmentId(), candidate.definition());
        leaveOut(candidate.assessmentId(), comparison.notDrawn());
        ledger.append(me.school(), comparison.moved());
        standings.refresh(candidate.assessmentId());
        events.say("assessment:" + candidate.assessmentId());
        return comparison.effect();
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

    @Transactional(readOnly = true)
    public Compared compare(Edition candidate) {
        UUID assessment = candidate.assessmentId();
        Edition latest = editions.require(assessment);
        List<Attempt> in = attempts.in(assessment, null);
        Map<UUID, Map<String, Mark>> before = ledger.credits(assessment);
        Map<Integer, Set<String>> notDrawn = notDrawn(candidate);
        List<LedgerMark> moved = moved(candidate, in, changed(latest, candidate), notDrawn);
        Map<UUID, Map<String, Mark>> after = new HashMap<>();
        before.forEach((attempt, marks) -> after.put(attempt, new HashMap<>(marks)));
        moved.forEach(
                m -> after.computeIfAbsent(m.attempt(), a -> new HashMap<>()).put(m.item(), m.mark()));
        EffectView effect = effect(latest, candidate, in, before, after, moved.size(), Sides.Others.NONE);
        List<Difference> differences = Comparison.of(latest.definition(), candidate.definition());
        return new Compared(moved, effect.with(differences, asked(differences, in, assessment)), notDrawn);
    }

    /** Items that ask otherwise and were answered; how often each. */
    private List<EffectView.Asked> asked(List<Difference> differences, List<Attempt> in, UUID assessment) {
        Map<String, Integer> numbers = new LinkedHashMap<>();
        differences.stream().filter(Difference::asksOtherwise).forEach(d -> numbers.put(d.item(), d.number()));
        if (numbers.isEmpty()) {
            return List.of();
        }
        Map<UUID, Map<String, JsonNode>> responses = attempts.responses(assessment, numbers.keySet());
        List<EffectView.Asked> asked = new ArrayList<>();
        numbers.forEach((item, number) -> {
            int answered = (int) in.stream()
                    .filter(a -> responses.getOrDefault(a.id(), Map.of()).containsKey(item))
                    .count();
            if (answered > 0) {
                asked.add(new EffectView.Asked(item, number, answered));
            }
        });
        return asked;
    }

    /** The items that score otherwise than in the latest edition; the others keep their marks without being asked. */
    private static Set<String> changed(Edition latest, Edition candidate) {
        Set<String> changed = new HashSet<>();
        for (Item item : candidate.items()) {
            boolean same =
                    latest.assessment().item(item.id()).filter(item::equals).isPresent()
                            && rulings(latest, item).equals(rulings(candidate, item));
            if (!same) {
                changed.add(item.id());
            }
        }
        return changed;
    }

    private static List<Ruling> rulings(Edition edition, Item item) {
        return edition.rulings().stream()
                .filter(r -> r.item().equals(item.id()))
                .toList();
    }

    private List<LedgerMark> moved(
            Edition candidate, List<Attempt> in, Set<String> changed, Map<Integer, Set<String>> notDrawn) {
        Map<UUID, Map<String, JsonNode>> responses = attempts.responses(candidate.assessmentId(), changed);
        Map<UUID, Map<String, LedgerMark>> current = ledger.current(candidate.assessmentId(), changed);
        List<Item> items =
                candidate.items().stream().filter(i -> changed.contains(i.id())).toList();
        Instant now = clock.instant();
        List<LedgerMark> moved = new ArrayList<>();
        for (Attempt attempt : in) {
            Map<String, JsonNode> said = responses.getOrDefault(attempt.id(), Map.of());
            Map<String, LedgerMark> marks = current.getOrDefault(attempt.id(), Map.of());
            Set<String> neverAsked = notDrawn.getOrDefault(attempt.edition(), Set.of());
            for (Item item : items) {
                LedgerMark was = marks.get(item.id());
                if (was != null && (was.byPerson() || was.mark().state() == State.EXCUSED)) {
                    Rereading.under(item, was, candidate.number(), now).ifPresent(moved::add);
                    continue;
                }
                Mark mark = neverAsked.contains(item.id())
                        ? Mark.EXCUSED
                        : Said.to(item, said).markedBy(candidate, item);
                if (was == null || !mark.equals(was.mark())) {
                    moved.add(LedgerMark.byRule(attempt.id(), item.id(), mark, candidate.number(), now));
                }
            }
        }
        return moved;
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
            Edition latest,
            Edition candidate,
            List<Attempt> in,
            Map<UUID, Map<String, Mark>> before,
            Map<UUID, Map<String, Mark>> after,
            int marks,
            Sides.Others others) {
        Map<String, Attempt> byId = new HashMap<>();
        in.forEach(a -> byId.put(a.id().toString(), a));
        Effect effect = Effect.between(
                byName(Standings.outcomes(latest, in, before)),
                byName(Standings.outcomes(candidate, in, after)),
                others);
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
        List<Attempt> in = (all ? attempts.in(assessment, null) : attempts.some(own));
        Map<UUID, Map<String, Mark>> before = all ? ledger.credits(assessment) : Standings.plain(ledger.currentOf(own));
        Map<UUID, Map<String, Mark>> after = new HashMap<>();
        before.forEach((attempt, marks) -> after.put(attempt, new HashMap<>(marks)));
        decisions.forEach(
                m -> after.computeIfAbsent(m.attempt(), a -> new HashMap<>()).put(m.item(), m.mark()));
        return effect(
                edition,
                edition,
                in,
                before,
                after,
                decisions.size(),
                all ? Sides.Others.NONE : standings.but(assessment, own));
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
