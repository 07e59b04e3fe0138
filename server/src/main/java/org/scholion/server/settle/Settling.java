package org.scholion.server.settle;

import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.core.answer.Told;
import org.scholion.core.item.Item;
import org.scholion.core.item.TextItem;
import org.scholion.core.number.Fraction;
import org.scholion.core.reason.Reason;
import org.scholion.core.score.Mark;
import org.scholion.core.score.Ruling;
import org.scholion.server.access.Access;
import org.scholion.server.key.Edition;
import org.scholion.server.key.Editions;
import org.scholion.server.ledger.EffectView;
import org.scholion.server.ledger.LedgerMark;
import org.scholion.server.ledger.Regrading;
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
    private final Doubts doubts;
    private final Editions editions;
    private final Regrading regrading;
    private final Access access;
    private final Clock clock;

    Settling(Doubts doubts, Editions editions, Regrading regrading, Access access, Clock clock) {
        this.doubts = doubts;
        this.editions = editions;
        this.regrading = regrading;
        this.access = access;
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
     */
    public record Decision(
            String item,
            String form,
            String credit,
            Reach reach,
            @Nullable String phrase,
            @Nullable String note,
            @Nullable UUID section) {}

    /** A group of equal answers that waits. */
    public record Open(String item, String form) {}

    /** Every group that waits, in the order of the paper. */
    @Transactional(readOnly = true)
    public List<Open> open(UUID assessment) {
        return doubts.of(assessment, null).questions().stream()
                .flatMap(q -> q.groups().stream().map(g -> new Open(q.item(), g.form())))
                .toList();
    }

    @Transactional(readOnly = true)
    public EffectView preview(Me me, UUID assessment, Decision decision) {
        access.require(me, Access.Action.WORK_ON_ASSESSMENT, assessment);
        Edition edition = editions.require(assessment);
        return decision.reach() == Reach.THESE
                ? regrading.previewMarks(assessment, byHand(me, edition, decision))
                : regrading.preview(candidate(edition, decision));
    }

    @Transactional
    public EffectView settle(Me me, UUID assessment, Decision decision) {
        access.require(me, Access.Action.WORK_ON_ASSESSMENT, assessment);
        Edition edition = editions.require(assessment);
        if (decision.reach() == Reach.THESE) {
            return regrading.confirmMarks(me, assessment, byHand(me, edition, decision));
        }
        String why = "question " + edition.numberOf(decision.item()) + " learned “" + shown(edition, decision) + "”";
        return regrading.confirm(me, candidate(edition, decision), why, null);
    }

    /** Takes back a decision that was made for single attempts: the rules of the key decide again. */
    @Transactional
    public EffectView takeBack(Me me, UUID assessment, Decision decision) {
        access.require(me, Access.Action.WORK_ON_ASSESSMENT, assessment);
        Edition edition = editions.require(assessment);
        Item item = item(edition, decision);
        List<LedgerMark> again = doubts.waiting(edition, item, decision.form(), decision.section()).stream()
                .filter(w -> w.mark().byPerson())
                .map(w -> new LedgerMark(
                        w.attempt().id(),
                        item.id(),
                        edition.scorer(item).score(w.answer()),
                        edition.number(),
                        null,
                        null,
                        null,
                        clock.instant()))
                .toList();
        return regrading.confirmMarks(me, assessment, again);
    }

    private Edition candidate(Edition edition, Decision decision) {
        Item item = item(edition, decision);
        JsonNode definition = edition.definition();
        List<Ruling> rulings = new ArrayList<>(edition.rulings());
        if (item instanceof TextItem) {
            definition = taught(edition, decision);
        } else {
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
        if (decision.reach() == Reach.HOLDS) {
            if (decision.phrase() == null || decision.phrase().isBlank()) {
                throw Refused.invalid("phrase", "say which words the answer has to hold");
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

    private static ArrayNode list(ObjectNode item, String name) {
        return item.get(name) instanceof ArrayNode list ? list : item.putArray(name);
    }

    private List<LedgerMark> byHand(Me me, Edition edition, Decision decision) {
        Item item = item(edition, decision);
        Reason plain = Reason.of(Reason.Code.PERSON);
        Reason reason = note(decision) == null ? plain : plain.with("note", String.valueOf(note(decision)));
        Mark mark = Mark.scored(credit(decision), reason);
        return doubts.waiting(edition, item, decision.form(), decision.section()).stream()
                .map(w -> new LedgerMark(
                        w.attempt().id(), item.id(), mark, edition.number(), me.id(), me.name(), null, clock.instant()))
                .toList();
    }

    /** The answer as the first of the group gave it. */
    private String shown(Edition edition, Decision decision) {
        Item item = item(edition, decision);
        return doubts.waiting(edition, item, decision.form(), null).stream()
                .findFirst()
                .map(w -> Told.in(item, w.answer()).strip())
                .orElseThrow(() -> Refused.conflict("no-such-answer", "Nobody has given this answer any more."));
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
                : decision.note().strip();
    }
}
