package org.scholion.server.settle;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.core.answer.Answer;
import org.scholion.core.answer.Told;
import org.scholion.core.item.Item;
import org.scholion.core.reason.Words;
import org.scholion.core.score.Doubts.Group;
import org.scholion.core.score.HowItScores;
import org.scholion.core.score.Likeness;
import org.scholion.core.score.State;
import org.scholion.server.key.Edition;
import org.scholion.server.key.Editions;
import org.scholion.server.ledger.Attempt;
import org.scholion.server.ledger.Attempts;
import org.scholion.server.ledger.Ledger;
import org.scholion.server.ledger.LedgerMark;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;

/** The doubts of an assessment, equal answers together, the largest groups first. */
@Service
class Doubts {
    private final Attempts attempts;
    private final Ledger ledger;
    private final Editions editions;

    Doubts(Attempts attempts, Ledger ledger, Editions editions) {
        this.attempts = attempts;
        this.ledger = ledger;
        this.editions = editions;
    }

    /**
     * Equal answers that wait for one decision.
     *
     * @param form what they have in common; a decision names the group by it
     * @param shown the answer as the first of them gave it
     * @param near what it is like, in words
     * @param like the listed answers that it is like, the likeliest first
     * @param phrase a listed text that the answer holds, for "any answer with this in it"
     */
    record DoubtGroup(
            String form,
            String shown,
            List<String> students,
            String because,
            String near,
            @Nullable String phrase,
            List<Likeness> like) {}

    /** The doubts of one question. */
    record QuestionDoubts(
            String item,
            int number,
            String kind,
            String prompt,
            String points,
            String rule,
            int settled,
            int answers,
            List<DoubtGroup> groups) {}

    record DoubtsView(int doubts, int edition, List<QuestionDoubts> questions) {}

    /** An attempt with its answer to one item. */
    record Waiting(Attempt attempt, Answer answer, LedgerMark mark) {}

    @Transactional(readOnly = true)
    DoubtsView of(UUID assessment, @Nullable UUID section) {
        Edition edition = editions.latest(assessment).orElse(null);
        if (edition == null) {
            return new DoubtsView(0, 0, List.of());
        }
        List<Attempt> in = attempts.in(assessment, section);
        Map<UUID, Map<String, JsonNode>> responses = attempts.responses(assessment);
        Map<UUID, Map<String, LedgerMark>> current = ledger.current(assessment);
        List<QuestionDoubts> questions = new ArrayList<>();
        int doubts = 0;
        for (Item item : edition.items()) {
            List<Waiting> all = said(edition, item, in, responses, current);
            List<Waiting> waiting = all.stream()
                    .filter(w -> w.mark().mark().state() == State.SETTLE)
                    .toList();
            doubts += waiting.size();
            if (!waiting.isEmpty()) {
                questions.add(question(edition, item, all.size(), waiting));
            }
        }
        return new DoubtsView(doubts, edition.number(), questions);
    }

    /** The attempts whose answer to this item has this form and waits. */
    List<Waiting> waiting(Edition edition, Item item, String form, @Nullable UUID section) {
        UUID assessment = edition.assessmentId();
        return said(
                        edition,
                        item,
                        attempts.in(assessment, section),
                        attempts.responses(assessment),
                        ledger.current(assessment))
                .stream()
                .filter(w -> edition.scorer(item).form(w.answer()).equals(form))
                .toList();
    }

    private static List<Waiting> said(
            Edition edition,
            Item item,
            List<Attempt> in,
            Map<UUID, Map<String, JsonNode>> responses,
            Map<UUID, Map<String, LedgerMark>> current) {
        List<Waiting> all = new ArrayList<>();
        for (Attempt attempt : in) {
            Answer answer = Attempts.answer(item, responses.getOrDefault(attempt.id(), Map.of()));
            LedgerMark mark = current.getOrDefault(attempt.id(), Map.of()).get(item.id());
            if (!answer.isBlank() && mark != null) {
                all.add(new Waiting(attempt, answer, mark));
            }
        }
        return all;
    }

    private static QuestionDoubts question(Edition edition, Item item, int answers, List<Waiting> waiting) {
        List<DoubtGroup> groups =
                org.scholion.core.score.Doubts.of(item, edition.scorer(item), waiting, Waiting::answer).stream()
                        .map(g -> group(item, g))
                        .toList();
        return new QuestionDoubts(
                item.id(),
                edition.numberOf(item.id()),
                item.kind(),
                item.asked(),
                item.points().toExact(),
                HowItScores.of(item),
                answers - waiting.size(),
                answers,
                groups);
    }

    private static DoubtGroup group(Item item, Group<Waiting> group) {
        Waiting first = group.waiting().get(0);
        Likeness like = group.like().stream().findFirst().orElse(null);
        return new DoubtGroup(
                group.form(),
                Told.in(item, first.answer()),
                group.waiting().stream().map(w -> w.attempt().name()).toList(),
                Words.english(first.mark().mark().reason()),
                like == null
                        ? "nothing near"
                        : (like.holds() || like.apart() ? "holds" : "near") + " “" + like.listed() + "”",
                like != null && like.holds() ? like.listed() : null,
                group.like());
    }
}
