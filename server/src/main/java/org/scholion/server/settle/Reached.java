package org.scholion.server.settle;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.scholion.core.answer.Answer;
import org.scholion.core.answer.Told;
import org.scholion.core.item.Item;
import org.scholion.core.item.TextItem;
import org.scholion.core.number.Fraction;
import org.scholion.core.reason.Words;
import org.scholion.core.score.Mark;
import org.scholion.core.score.State;
import org.scholion.server.key.Edition;
import org.scholion.server.ledger.EffectView;
import org.scholion.server.ledger.LedgerMark;
import org.scholion.server.ledger.Regrading;
import org.scholion.server.ledger.Said;
import org.scholion.server.platform.Refused;
import org.springframework.stereotype.Component;

/** What else a decision reaches: answers that it settles besides, and decided ones that it would decide otherwise. */
@Component
class Reached {
    private static final int NAMED = 3;

    private final Doubts doubts;
    private final Regrading regrading;

    Reached(Doubts doubts, Regrading regrading) {
        this.doubts = doubts;
        this.regrading = regrading;
    }

    /** The effect with the other answers that the key decides differently once it has learned this. */
    EffectView withAlso(
            Edition edition, Edition candidate, Settling.Decision decision, Map<String, List<Doubts.Waiting>> groups) {
        Item item = Settling.item(edition, decision);
        requireReaches(candidate, decision, groups);
        Map<UUID, LedgerMark> moved = new HashMap<>();
        EffectView effect = regrading.compare(
                candidate,
                marks ->
                        marks.stream().filter(m -> m.item().equals(item.id())).forEach(m -> moved.put(m.attempt(), m)));
        Map<String, EffectView.Also> also = new LinkedHashMap<>();
        contradictions(edition, candidate, decision).forEach(c -> also.put(c.form(), c.also()));
        Set<String> contradicted = Set.copyOf(also.keySet());
        if (!moved.isEmpty()) {
            for (Doubts.Waiting w : doubts.ofSome(item, moved.keySet())) {
                LedgerMark mark = moved.get(w.attempt().id());
                String form = w.said().form(edition, item);
                if (mark != null && !groups.containsKey(form) && !contradicted.contains(form)) {
                    String shown = Told.in(item, w.said().answer());
                    also.merge(
                            form,
                            new EffectView.Also(
                                    shown, 1, Words.english(mark.mark().reason()), null),
                            (a, b) -> new EffectView.Also(a.shown(), a.students() + 1, a.because(), null));
                }
            }
        }
        return effect.withAlso(List.copyOf(also.values()));
    }

    /** A rule that leaves an answer waiting for which it was made is none. */
    private static void requireReaches(
            Edition candidate, Settling.Decision decision, Map<String, List<Doubts.Waiting>> groups) {
        if (!decision.isWide()) {
            return;
        }
        Item item = Settling.item(candidate, decision);
        groups.values()
                .forEach(own -> own.stream().limit(1).forEach(w -> {
                    if (w.said().markedBy(candidate, item).state() == State.SETTLE) {
                        String shown = Told.in(item, w.said().answer());
                        throw Refused.invalid(
                                "phrase", "This rule does not reach “" + shown + "”, which would go on waiting.");
                    }
                }));
    }

    /** @throws Refused naming what was decided otherwise */
    void requireNoContradiction(
            Edition latest, Edition candidate, Settling.Decision decision, Map<String, List<Doubts.Waiting>> groups) {
        requireReaches(candidate, decision, groups);
        List<Contradiction> found = contradictions(latest, candidate, decision);
        if (found.isEmpty() || Boolean.TRUE.equals(decision.despite())) {
            return;
        }
        List<String> named = found.stream()
                .limit(NAMED)
                .map(c -> "“" + c.also().shown() + "”")
                .toList();
        throw Refused.conflict(
                "contradicts",
                "This rule decides otherwise what was decided already: " + String.join(", ", named)
                        + (found.size() > NAMED ? " and " + (found.size() - NAMED) + " more" : "")
                        + ". Nothing was changed; look at them, and say that you want it nevertheless.");
    }

    private record Contradiction(String form, EffectView.Also also) {}

    /** Only a wider rule can contradict: what is decided about exactly an answer takes the place of what was. */
    private List<Contradiction> contradictions(Edition edition, Edition candidate, Settling.Decision decision) {
        Item item = Settling.item(candidate, decision);
        if (!decision.isWide() || !(item instanceof TextItem)) {
            return List.of();
        }
        Set<String> own = decision.sawOf().keySet();
        List<Contradiction> all = new ArrayList<>();
        for (Decideds.DecidedGroup decided : doubts.decided(edition.assessmentId(), item.id())) {
            if (own.contains(decided.form()) || decided.form().startsWith(Said.OUTGROWN)) {
                continue;
            }
            Mark would = candidate.scorer(item).score(new Answer.Typed(decided.shown()));
            boolean same = Fraction.parse(decided.credit())
                    .filter(would.credit()::equals)
                    .isPresent();
            if (would.state() == State.SCORED && !same) {
                all.add(new Contradiction(
                        decided.form(),
                        new EffectView.Also(
                                decided.shown(),
                                decided.count(),
                                decided.because(),
                                new EffectView.Contradicted(
                                        decided.credit(), would.credit().toExact(), decided.who(), decided.these()))));
            }
        }
        return all;
    }
}
