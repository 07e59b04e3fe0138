package org.scholion.server.settle;

import java.time.Clock;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.core.answer.Answer;
import org.scholion.core.answer.Told;
import org.scholion.core.item.Item;
import org.scholion.core.item.TextItem;
import org.scholion.core.number.Fraction;
import org.scholion.core.reason.Reason;
import org.scholion.core.reason.Words;
import org.scholion.core.score.Mark;
import org.scholion.core.score.Ruling;
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
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Decides about a group of equal answers: the key learns it, or single marks are given by hand. */
@Service
public class Settling {
    private static final int LONGEST_NOTE = 2_000;
    private static final int MOST_TOLD = 50;

    private final Doubts doubts;
    private final Editions editions;
    private final Regrading regrading;
    private final Access access;
    private final Seen seen;
    private final Clock clock;

    Settling(Doubts doubts, Editions editions, Regrading regrading, Access access, Seen seen, Clock clock) {
        this.doubts = doubts;
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
        /** Only those who wait now; the key stays as it is. */
        THESE
    }

    /**
     * A decision.
     *
     * @param form the group's form
     * @param credit the share of the points, such as {@code 1}, {@code 1/2} or {@code 0}
     * @param phrase for {@link Reach#HOLDS}
     * @param note a word to those who wrote it
     * @param section whose students are meant by {@link Reach#THESE}
     * @param saw the marks that the decision was made on; other ones meanwhile are a conflict, and nothing is changed
     */
    public record Decision(
            String item,
            String form,
            String credit,
            Reach reach,
            @Nullable String phrase,
            @Nullable String note,
            @Nullable UUID section,
            List<String> saw) {}

    /**
     * What was decided.
     *
     * @param edition the edition that it made, by which it can be undone; null when the key stays as it is
     * @param saw the marks that were made by hand, by which they can be taken back
     */
    public record Decided(EffectView effect, @Nullable Integer edition, List<String> saw) {}

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
        return isByHand(decision)
                ? regrading.previewMarks(assessment, byHand(me, edition, decision, group(edition, decision)))
                : withAlso(edition, decision);
    }

    /** Names the other answers that the key decides differently once it has learned this one. */
    private EffectView withAlso(Edition edition, Decision decision) {
        Item item = item(edition, decision);
        Map<UUID, LedgerMark> moved = new HashMap<>();
        EffectView effect = regrading.compare(
                candidate(edition, decision),
                marks ->
                        marks.stream().filter(m -> m.item().equals(item.id())).forEach(m -> moved.put(m.attempt(), m)));
        Map<String, EffectView.Also> also = new LinkedHashMap<>();
        if (!moved.isEmpty()) {
            for (Doubts.Waiting w : doubts.ofSome(item, moved.keySet())) {
                LedgerMark mark = moved.get(w.attempt().id());
                String form = w.said().form(edition, item);
                if (mark != null && !form.equals(decision.form())) {
                    String shown = Told.in(item, w.said().answer());
                    also.merge(
                            form,
                            new EffectView.Also(
                                    shown, 1, Words.english(mark.mark().reason())),
                            (a, b) -> new EffectView.Also(a.shown(), a.students() + 1, a.because()));
                }
            }
        }
        return effect.withAlso(List.copyOf(also.values()));
    }

    /** What the key cannot learn is decided for those who gave it. */
    private static boolean isByHand(Decision decision) {
        return decision.reach() == Reach.THESE || decision.form().startsWith(Said.OUTGROWN);
    }

    public Decided settle(Me me, UUID assessment, Decision decision) {
        access.require(me, Access.Action.WORK_ON_ASSESSMENT, assessment);
        if (isByHand(decision)) {
            return byHand(me, assessment, decision);
        }
        int[] number = new int[1];
        EffectView effect = regrading.confirmOnLatest(me, assessment, latest -> {
            requireSeen(latest, decision, doubts.ofForm(latest, item(latest, decision), decision.form(), null));
            number[0] = latest.number() + 1;
            return new Regrading.Made(
                    candidate(latest, decision),
                    "question " + latest.numberOf(decision.item()) + " learned “" + shown(latest, decision) + "”");
        });
        return new Decided(effect, number[0], List.of());
    }

    private Decided byHand(Me me, UUID assessment, Decision decision) {
        EffectView[] effect = new EffectView[1];
        List<LedgerMark> written = decide(me, assessment, decision, (edition, waiting) -> {
            List<LedgerMark> marks = byHand(me, edition, decision, waiting);
            effect[0] = regrading.previewMarks(assessment, marks);
            return marks;
        });
        return new Decided(effect[0], null, seen.marks(written));
    }

    private interface Marking {
        List<LedgerMark> of(Edition edition, List<Doubts.Waiting> seen);
    }

    /** Makes marks for those whose marks were seen, while nobody else can move them. */
    private List<LedgerMark> decide(Me me, UUID assessment, Decision decision, Marking marking) {
        List<UUID> about = group(editions.require(assessment), decision).stream()
                .map(w -> w.attempt().id())
                .toList();
        return regrading.decide(me, assessment, about, () -> {
            Edition edition = editions.require(assessment);
            List<Doubts.Waiting> all =
                    doubts.ofForm(edition, item(edition, decision), decision.form(), decision.section());
            Set<Long> saw = requireSeen(edition, decision, all);
            return marking.of(
                    edition,
                    all.stream().filter(w -> saw.contains(w.mark().seq())).toList());
        });
    }

    private Set<Long> requireSeen(Edition edition, Decision decision, List<Doubts.Waiting> now) {
        Optional<Set<Long>> saw = seen.among(Doubts.marks(now), decision.saw());
        if (saw.isPresent()) {
            return saw.get();
        }
        Item item = item(edition, decision);
        List<Theirs> theirs = now.stream()
                .filter(w -> !decision.saw().contains(seen.mark(w.mark())))
                .limit(MOST_TOLD)
                .map(w -> new Theirs(w.attempt().name(), MarkView.of(item, w.mark())))
                .toList();
        throw Refused.overtaken(
                "These answers were decided meanwhile. Yours was not saved, so that nothing is decided twice; look"
                        + " at both.",
                theirs);
    }

    private List<Doubts.Waiting> group(Edition edition, Decision decision) {
        return doubts.ofForm(edition, item(edition, decision), decision.form(), decision.section());
    }

    /** Takes back a decision that was made for single attempts: the rules of the key decide again. */
    public EffectView takeBack(Me me, UUID assessment, Decision decision) {
        access.require(me, Access.Action.WORK_ON_ASSESSMENT, assessment);
        EffectView[] effect = new EffectView[1];
        decide(me, assessment, decision, (edition, decided) -> {
            Item item = item(edition, decision);
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
            effect[0] = regrading.previewMarks(assessment, again);
            return again;
        });
        return effect[0];
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

    private Edition candidate(Edition edition, Decision decision) {
        Item item = item(edition, decision);
        JsonNode definition = edition.definition();
        List<Ruling> rulings = new ArrayList<>(edition.rulings());
        if (item instanceof TextItem) {
            definition = taught(edition, decision);
        } else {
            rulings.removeIf(r -> r.item().equals(item.id()) && r.form().equals(decision.form()));
            rulings.add(new Ruling(item.id(), decision.form(), credit(decision), note(decision)));
        }
        return Edition.compile(edition.assessmentId(), edition.number() + 1, definition, rulings);
    }

    /** The definition with what the text item's key learns. */
    private JsonNode taught(Edition edition, Decision decision) {
        ObjectNode definition = edition.definition().deepCopy().asObject();
        for (JsonNode node : definition.get("items")) {
            if (node.get("id").stringValue().equals(decision.item())) {
                teach(node.asObject(), edition, decision);
            }
        }
        return definition;
    }

    private void teach(ObjectNode item, Edition edition, Decision decision) {
        Fraction credit = credit(decision);
        forget(item, edition, decision);
        if (decision.reach() == Reach.HOLDS) {
            if (decision.phrase() == null || decision.phrase().isBlank()) {
                throw Refused.invalid("phrase", "Say which words the answer must contain.");
            }
            ObjectNode entry = list(item, "accept").addObject();
            entry.putObject("words").putArray("all").add(decision.phrase());
            entry.put("credit", credit.toExact());
            return;
        }
        ObjectNode entry = list(item, credit.isZero() ? "reject" : "accept").addObject();
        entry.put("text", shown(edition, decision));
        if (!credit.isZero()) {
            entry.put("credit", credit.toExact());
        }
        if (note(decision) != null) {
            entry.put("note", note(decision));
        }
    }

    /** What was decided about exactly this answer before is replaced, not contradicted. */
    private static void forget(ObjectNode item, Edition edition, Decision decision) {
        Item about = item(edition, decision);
        for (String name : List.of("accept", "reject")) {
            if (item.get(name) instanceof ArrayNode list) {
                for (int i = list.size() - 1; i >= 0; i--) {
                    String text = list.get(i).path("text").asString("");
                    if (!text.isEmpty()
                            && edition.scorer(about)
                                    .form(new Answer.Typed(text))
                                    .equals(decision.form())) {
                        list.remove(i);
                    }
                }
            }
        }
    }

    private static ArrayNode list(ObjectNode item, String name) {
        return item.get(name) instanceof ArrayNode list ? list : item.putArray(name);
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

    /** The answer as the first of the group gave it. */
    private String shown(Edition edition, Decision decision) {
        Item item = item(edition, decision);
        return doubts.ofForm(edition, item, decision.form(), null).stream()
                .findFirst()
                .map(w -> Told.in(item, w.said().answer()).strip())
                .orElseThrow(() -> Refused.conflict(
                        "no-such-answer", "This answer is no longer waiting. Someone may have settled it already."));
    }

    private static Item item(Edition edition, Decision decision) {
        return edition.items().stream()
                .filter(i -> i.id().equals(decision.item()))
                .findFirst()
                .orElseThrow(Refused::notFound);
    }

    private static Fraction credit(Decision decision) {
        return Fraction.parse(decision.credit().strip())
                .filter(c -> c.abs().compareTo(Fraction.ONE) <= 0)
                .orElseThrow(() -> Refused.invalid(
                        "credit", "'" + decision.credit() + "' is not a share from -1 to 1, such as 1/2 or 0.75"));
    }

    private static @Nullable String note(Decision decision) {
        return decision.note() == null || decision.note().isBlank()
                ? null
                : Lengths.atMost("note", decision.note().strip(), LONGEST_NOTE);
    }
}
