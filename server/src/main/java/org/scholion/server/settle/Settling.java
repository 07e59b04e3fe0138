package org.scholion.server.settle;

import java.time.Clock;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.core.answer.Told;
import org.scholion.core.item.Item;
import org.scholion.core.number.Fraction;
import org.scholion.core.reason.Reason;
import org.scholion.core.score.Mark;
import org.scholion.server.access.Access;
import org.scholion.server.key.Edition;
import org.scholion.server.key.Editions;
import org.scholion.server.ledger.EffectView;
import org.scholion.server.ledger.LedgerMark;
import org.scholion.server.ledger.MarkView;
import org.scholion.server.ledger.Regrading;
import org.scholion.server.ledger.Said;
import org.scholion.server.ledger.Seen;
import org.scholion.server.platform.Lengths;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Decides about a group of equal answers: the key learns it, or single marks are given by hand. */
@Service
public class Settling {
    private static final int LONGEST_NOTE = 2_000;
    private static final int MOST_TOLD = 50;
    private static final int MOST_AT_ONCE = 2_000;

    private final Doubts doubts;
    private final Reached reached;
    private final Editions editions;
    private final Regrading regrading;
    private final Access access;
    private final Seen seen;
    private final Clock clock;

    Settling(
            Doubts doubts,
            Reached reached,
            Editions editions,
            Regrading regrading,
            Access access,
            Seen seen,
            Clock clock) {
        this.doubts = doubts;
        this.reached = reached;
        this.editions = editions;
        this.regrading = regrading;
        this.access = access;
        this.seen = seen;
        this.clock = clock;
    }

    /** How far a decision reaches. */
    public enum Reach {
        /** Exactly this answer, wherever it is given, now and later. */
        EXACT,
        /** Any answer that has the phrase in it. */
        HOLDS,
        /** Any answer that the phrase, a regular expression, matches as a whole. */
        PATTERN,
        /** Any answer so many typing slips from what the key lists; the phrase is {@code one}, {@code two} or {@code length}. */
        SLIPS,
        /** Only those who wait now; the key stays as it is. */
        THESE
    }

    /**
     * A decision.
     *
     * @param form the group's form
     * @param more further groups of the same question that are decided with it, in the same way
     * @param credit the share of the points, such as {@code 1}, {@code 1/2} or {@code 0}
     * @param phrase what a wider reach goes by
     * @param note a word to those who wrote it
     * @param section whose students are meant by {@link Reach#THESE}
     * @param saw the marks that the decision was made on; other ones meanwhile are a conflict, and nothing is changed
     * @param despite whether it is wanted although a wider reach contradicts what was decided
     */
    public record Decision(
            String item,
            String form,
            @Nullable List<SameWay> more,
            String credit,
            Reach reach,
            @Nullable String phrase,
            @Nullable String note,
            @Nullable UUID section,
            List<String> saw,
            @Nullable Boolean despite) {

        /** For each form the marks that the decision was made on. */
        Map<String, List<String>> sawOf() {
            Map<String, List<String>> all = new LinkedHashMap<>();
            all.put(form, saw);
            if (more != null) {
                more.forEach(m -> all.put(m.form(), m.saw()));
            }
            return all;
        }

        /** The same of all sections: what a key learns holds for them all. */
        Decision everywhere() {
            return new Decision(item, form, more, credit, reach, phrase, note, null, saw, despite);
        }

        boolean isWide() {
            return reach == Reach.HOLDS || reach == Reach.PATTERN || reach == Reach.SLIPS;
        }
    }

    /** A further group that is decided in the same way. */
    public record SameWay(String form, List<String> saw) {}

    /**
     * What was decided.
     *
     * @param edition the edition that it made, by which it can be undone; null when the key stays as it is
     * @param saw the marks that were made by hand, by which they can be taken back
     * @param more the same for the further groups
     */
    public record Decided(EffectView effect, @Nullable Integer edition, List<String> saw, List<SameWay> more) {}

    /** What a colleague has decided meanwhile about some of the same answers. */
    public record Theirs(String student, MarkView mark) {}

    /** A group of equal answers that waits. */
    public record Open(String item, String form, List<String> saw) {}

    /** Every group that waits, in the order of the paper. */
    @Transactional(readOnly = true)
    public List<Open> open(UUID assessment) {
        return doubts.all(assessment, null).questions().stream()
                .flatMap(q -> q.groups().stream().map(g -> new Open(q.item(), g.form(), g.saw())))
                .toList();
    }

    @Transactional(readOnly = true)
    public EffectView preview(Me me, UUID assessment, Decision decision) {
        access.require(me, Access.Action.WORK_ON_ASSESSMENT, assessment);
        Edition edition = editions.require(assessment);
        if (isByHand(decision)) {
            List<Doubts.Waiting> meant = together(groups(edition, decision).values());
            return regrading.previewMarks(assessment, byHand(me, edition, decision, meant));
        }
        Map<String, List<Doubts.Waiting>> groups = groups(edition, decision.everywhere());
        Edition candidate = Teaching.candidate(edition, decision, shown(edition, decision, groups));
        return reached.withAlso(edition, candidate, decision, groups);
    }

    /** What the key cannot learn is decided for those who gave it. */
    private static boolean isByHand(Decision decision) {
        return decision.reach() == Reach.THESE
                || decision.sawOf().keySet().stream().anyMatch(form -> form.startsWith(Said.OUTGROWN));
    }

    public Decided settle(Me me, UUID assessment, Decision decision) {
        access.require(me, Access.Action.WORK_ON_ASSESSMENT, assessment);
        if (isByHand(decision)) {
            return byHand(me, assessment, decision);
        }
        int[] number = new int[1];
        EffectView effect = regrading.confirmOnLatest(me, assessment, latest -> {
            Map<String, List<Doubts.Waiting>> groups = groups(latest, decision.everywhere());
            decision.sawOf()
                    .forEach((form, saw) -> requireSeen(latest, decision, groups.getOrDefault(form, List.of()), saw));
            Map<String, String> shown = shown(latest, decision, groups);
            Edition candidate = Teaching.candidate(latest, decision, shown);
            reached.requireNoContradiction(latest, candidate, decision, groups);
            number[0] = latest.number() + 1;
            return new Regrading.Made(
                    candidate, "question " + latest.numberOf(decision.item()) + learned(decision, shown));
        });
        return new Decided(effect, number[0], List.of(), List.of());
    }

    private static String learned(Decision decision, Map<String, String> shown) {
        return switch (decision.reach()) {
            case HOLDS -> " learned any answer with “" + decision.phrase() + "” in it";
            case PATTERN -> " learned the pattern “" + decision.phrase() + "”";
            case SLIPS -> " forgives typing slips: " + decision.phrase();
            default ->
                " learned “" + shown.values().iterator().next() + "”"
                        + (shown.size() > 1 ? " and " + (shown.size() - 1) + " more" : "");
        };
    }

    private Decided byHand(Me me, UUID assessment, Decision decision) {
        EffectView[] effect = new EffectView[1];
        Map<UUID, String> forms = new HashMap<>();
        List<LedgerMark> written = decide(me, assessment, decision, (edition, waiting) -> {
            waiting.forEach(
                    (form, own) -> own.forEach(w -> forms.put(w.attempt().id(), form)));
            List<LedgerMark> marks = byHand(me, edition, decision, together(waiting.values()));
            effect[0] = regrading.previewMarks(assessment, marks);
            return marks;
        });
        Map<String, List<LedgerMark>> byForm = new HashMap<>();
        written.forEach(
                m -> byForm.computeIfAbsent(Objects.requireNonNull(forms.get(m.attempt())), f -> new ArrayList<>())
                        .add(m));
        List<SameWay> saw = decision.sawOf().keySet().stream()
                .map(form -> new SameWay(form, seen.marks(byForm.getOrDefault(form, List.of()))))
                .toList();
        return new Decided(effect[0], null, saw.get(0).saw(), saw.subList(1, saw.size()));
    }

    private interface Marking {
        /** @param seen for each form those whose marks were seen */
        List<LedgerMark> of(Edition edition, Map<String, List<Doubts.Waiting>> seen);
    }

    /** Makes marks for those whose marks were seen, while nobody else can move them. */
    private List<LedgerMark> decide(Me me, UUID assessment, Decision decision, Marking marking) {
        List<UUID> about = together(
                        groups(editions.require(assessment), decision).values())
                .stream()
                .map(w -> w.attempt().id())
                .toList();
        return regrading.decide(me, assessment, about, () -> {
            Edition edition = editions.require(assessment);
            Map<String, List<Doubts.Waiting>> all = groups(edition, decision);
            Map<String, List<Doubts.Waiting>> meant = new LinkedHashMap<>();
            decision.sawOf().forEach((form, words) -> {
                List<Doubts.Waiting> own = all.getOrDefault(form, List.of());
                Set<Long> saw = requireSeen(edition, decision, own, words);
                meant.put(
                        form,
                        own.stream().filter(w -> saw.contains(w.mark().seq())).toList());
            });
            return marking.of(edition, meant);
        });
    }

    private Set<Long> requireSeen(Edition edition, Decision decision, List<Doubts.Waiting> now, List<String> saw) {
        Optional<Set<Long>> same = seen.among(Doubts.marks(now), saw);
        if (same.isPresent()) {
            return same.get();
        }
        Item item = item(edition, decision);
        List<Theirs> theirs = now.stream()
                .filter(w -> !saw.contains(seen.mark(w.mark())))
                .limit(MOST_TOLD)
                .map(w -> new Theirs(w.attempt().name(), MarkView.of(item, w.mark())))
                .toList();
        throw Refused.overtaken(
                "These answers were decided meanwhile. Yours was not saved, so that nothing is decided twice; look"
                        + " at both.",
                theirs);
    }

    /** For each of the decision's forms who gave it, in the order of the decision. */
    private Map<String, List<Doubts.Waiting>> groups(Edition edition, Decision decision) {
        Set<String> forms = decision.sawOf().keySet();
        if (forms.size() > MOST_AT_ONCE) {
            throw Refused.invalid("more", "at most " + MOST_AT_ONCE + " groups are decided at once");
        }
        return doubts.ofForms(edition, item(edition, decision), forms, decision.section());
    }

    private static List<Doubts.Waiting> together(Collection<List<Doubts.Waiting>> groups) {
        return groups.stream().flatMap(List::stream).toList();
    }

    /** Takes back a decision that was made for single attempts: the rules of the key decide again. */
    public EffectView takeBack(Me me, UUID assessment, Decision decision) {
        access.require(me, Access.Action.WORK_ON_ASSESSMENT, assessment);
        EffectView[] effect = new EffectView[1];
        decide(me, assessment, decision, (edition, groups) -> {
            List<LedgerMark> again = again(me, edition, item(edition, decision), together(groups.values()));
            effect[0] = regrading.previewMarks(assessment, again);
            return again;
        });
        return effect[0];
    }

    /** What taking it back would do. */
    @Transactional(readOnly = true)
    public EffectView previewTakingBack(Me me, UUID assessment, Decision decision) {
        access.require(me, Access.Action.WORK_ON_ASSESSMENT, assessment);
        Edition edition = editions.require(assessment);
        List<Doubts.Waiting> decided = together(groups(edition, decision).values());
        return regrading.previewMarks(assessment, again(me, edition, item(edition, decision), decided));
    }

    /** The marks that the rules of the key make where somebody decided by hand; only one's own decisions are taken back. */
    private List<LedgerMark> again(Me me, Edition edition, Item item, List<Doubts.Waiting> decided) {
        List<LedgerMark> again = decided.stream()
                .filter(w -> me.id().equals(w.mark().person()))
                .map(w -> LedgerMark.byRule(
                                w.attempt().id(),
                                item.id(),
                                w.said().markedBy(edition, item),
                                edition.number(),
                                clock.instant())
                        .takenBackBy(me))
                .toList();
        requireOwn(me, decided, again);
        return again;
    }

    private static void requireOwn(Me me, List<Doubts.Waiting> decided, List<LedgerMark> own) {
        if (own.isEmpty()) {
            String whose = decided.stream()
                    .map(w -> w.mark().personName())
                    .filter(name -> name != null && !name.equals(me.name()))
                    .findFirst()
                    .map(name -> "This decision is " + name + "’s, so it stays. Decide again to change it.")
                    .orElse("Nothing here was decided by you.");
            throw Refused.conflict("not-yours", whose);
        }
    }

    private List<LedgerMark> byHand(Me me, Edition edition, Decision decision, List<Doubts.Waiting> waiting) {
        Item item = item(edition, decision);
        Reason plain = Reason.of(Reason.Code.PERSON);
        Reason reason = note(decision) == null ? plain : plain.with("note", String.valueOf(note(decision)));
        Mark mark = Mark.scored(credit(decision), reason);
        return waiting.stream()
                .map(w -> LedgerMark.byPerson(
                        w.attempt().id(), item.id(), mark, edition.number(), me, null, clock.instant()))
                .toList();
    }

    /** For each form the answer as the first of the group gave it. */
    private static Map<String, String> shown(
            Edition edition, Decision decision, Map<String, List<Doubts.Waiting>> groups) {
        Item item = item(edition, decision);
        Map<String, String> shown = new LinkedHashMap<>();
        groups.forEach((form, own) -> {
            if (own.isEmpty()) {
                throw Refused.conflict(
                        "no-such-answer", "This answer is no longer waiting. Someone may have settled it already.");
            }
            shown.put(form, Told.in(item, own.get(0).said().answer()).strip());
        });
        return shown;
    }

    static Item item(Edition edition, Decision decision) {
        return edition.items().stream()
                .filter(i -> i.id().equals(decision.item()))
                .findFirst()
                .orElseThrow(Refused::notFound);
    }

    static Fraction credit(Decision decision) {
        return Fraction.parse(decision.credit().strip())
                .filter(c -> c.abs().compareTo(Fraction.ONE) <= 0)
                .orElseThrow(() -> Refused.invalid(
                        "credit", "'" + decision.credit() + "' is not a share from -1 to 1, such as 1/2 or 0.75"));
    }

    static @Nullable String note(Decision decision) {
        return decision.note() == null || decision.note().isBlank()
                ? null
                : Lengths.atMost("note", decision.note().strip(), LONGEST_NOTE);
    }
}
