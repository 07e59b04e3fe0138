package org.scholion.server.settle;

import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import java.util.function.BiFunction;
import org.jspecify.annotations.Nullable;
import org.scholion.core.answer.Told;
import org.scholion.core.item.Item;
import org.scholion.server.access.Access;
import org.scholion.server.key.Edition;
import org.scholion.server.key.Editions;
import org.scholion.server.ledger.AnswerView;
import org.scholion.server.ledger.Attempt;
import org.scholion.server.ledger.Attempts;
import org.scholion.server.ledger.ByHand;
import org.scholion.server.ledger.EffectView;
import org.scholion.server.ledger.Ledger;
import org.scholion.server.ledger.LedgerMark;
import org.scholion.server.ledger.MarkView;
import org.scholion.server.ledger.OwnDecision;
import org.scholion.server.ledger.Regrading;
import org.scholion.server.ledger.Said;
import org.scholion.server.ledger.Seen;
import org.scholion.server.platform.Lengths;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** One student's mark, decided otherwise by a person who says why, from wherever the mark is shown. */
@Service
class Overruling {
    private static final int LONGEST_WHY = 2_000;

    private final Attempts attempts;
    private final Ledger ledger;
    private final Editions editions;
    private final Regrading regrading;
    private final Access access;
    private final Seen seen;
    private final Clock clock;

    Overruling(
            Attempts attempts,
            Ledger ledger,
            Editions editions,
            Regrading regrading,
            Access access,
            Seen seen,
            Clock clock) {
        this.attempts = attempts;
        this.ledger = ledger;
        this.editions = editions;
        this.regrading = regrading;
        this.access = access;
        this.seen = seen;
        this.clock = clock;
    }

    /**
     * A mark with what it is about.
     *
     * @param given the answer laid out; {@code answer} is the same in plain words, empty where there is none
     * @param mayTakeBack whether it is one's own decision
     * @param saw which mark this is; it goes back with what is decided
     */
    record MarkToOverrule(
            String student,
            int number,
            String prompt,
            String points,
            @Nullable AnswerView given,
            String answer,
            MarkView mark,
            boolean mayTakeBack,
            String saw) {}

    /** @param why for the student too, as comments are seen */
    record Overrule(String points, String why, String saw) {}

    record OverruleUndo(String saw) {}

    @Transactional(readOnly = true)
    MarkToOverrule of(Me me, UUID attemptId, String itemId) {
        Attempt attempt = attempt(me, attemptId);
        Edition edition = editions.require(attempt.assessment());
        Item item = item(edition, attempt, itemId);
        LedgerMark mark = current(attempt, itemId);
        Said said = Said.to(item, attempts.responsesOf(attemptId));
        return new MarkToOverrule(
                attempt.name(),
                edition.numberOf(itemId, attempt.leftOut()),
                item.asked(),
                item.points().toExact(),
                said.outgrown() || said.isBlank() ? null : AnswerView.of(item, said.answer()),
                Told.in(item, said.answer()),
                MarkView.of(item, mark),
                me.id().equals(mark.person()),
                seen.mark(mark));
    }

    @Transactional(readOnly = true)
    EffectView preview(Me me, UUID attemptId, String itemId, Overrule overrule) {
        Attempt attempt = attempt(me, attemptId);
        Edition edition = editions.require(attempt.assessment());
        return regrading.previewMarks(
                attempt.assessment(), List.of(mark(me, attempt, edition, item(edition, attempt, itemId), overrule)));
    }

    EffectView overrule(Me me, UUID attemptId, String itemId, Overrule overrule) {
        Attempt attempt = attempt(me, attemptId);
        if (overrule.why().isBlank()) {
            throw Refused.invalid("why", "Say why this mark is decided otherwise.");
        }
        return decide(
                me, attempt, itemId, overrule.saw(), (edition, item) -> mark(me, attempt, edition, item, overrule));
    }

    /** What stood before one's own decision stands again; nothing is taken out of the ledger. */
    EffectView takeBack(Me me, UUID attemptId, String itemId, OverruleUndo undo) {
        Attempt attempt = attempt(me, attemptId);
        return decide(me, attempt, itemId, undo.saw(), (edition, item) -> {
            OwnDecision own = new OwnDecision(ledger.history(attempt.id(), itemId));
            if (own.standing().person() == null) {
                throw Refused.conflict("not-yours", "Nothing here was decided by you.");
            }
            return own.before(me, "decision", "Decide again to change it.")
                    .restored(me, edition.number(), clock.instant());
        });
    }

    private EffectView decide(
            Me me, Attempt attempt, String itemId, String saw, BiFunction<Edition, Item, LedgerMark> deciding) {
        EffectView[] effect = new EffectView[1];
        regrading.decide(me, attempt.assessment(), List.of(attempt.id()), () -> {
            Edition edition = editions.require(attempt.assessment());
            Item item = item(edition, attempt, itemId);
            LedgerMark now = current(attempt, itemId);
            if (!seen.mark(now).equals(saw)) {
                throw Refused.overtaken(
                        "This mark has moved meanwhile"
                                + (now.personName() == null ? "" : ", by " + now.personName())
                                + ". Nothing was changed; look at it and decide again.",
                        MarkView.of(item, now));
            }
            List<LedgerMark> one = List.of(deciding.apply(edition, item));
            effect[0] = regrading.previewMarks(attempt.assessment(), one);
            return one;
        });
        return effect[0];
    }

    private LedgerMark mark(Me me, Attempt attempt, Edition edition, Item item, Overrule overrule) {
        String why = Lengths.atMost("why", overrule.why(), LONGEST_WHY);
        return ByHand.points(current(attempt, item.id()), edition, item, overrule.points(), why, me, clock.instant());
    }

    private Attempt attempt(Me me, UUID attempt) {
        access.require(me, Access.Action.WORK_ON_ATTEMPT, attempt);
        return attempts.require(attempt);
    }

    private LedgerMark current(Attempt attempt, String item) {
        Map<String, LedgerMark> marks = ledger.currentOf(attempt.id());
        if (!marks.containsKey(item)) {
            throw Refused.notFound();
        }
        return Objects.requireNonNull(marks.get(item));
    }

    /** What was not drawn was never asked. */
    private static Item item(Edition edition, Attempt attempt, String id) {
        return edition.assessment()
                .item(id)
                .filter(i -> !attempt.leftOut().contains(id))
                .orElseThrow(Refused::notFound);
    }
}
