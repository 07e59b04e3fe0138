package org.scholion.server.settle;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
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
import org.scholion.server.ledger.Said;
import org.scholion.server.ledger.Seen;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;

/** The doubts of an assessment, equal answers together, the largest groups first. */
@Service
class Doubts {
    private final Attempts attempts;
    private final Ledger ledger;
    private final Editions editions;
    private final Seen seen;
    private final Decideds decideds;

    Doubts(Attempts attempts, Ledger ledger, Editions editions, Seen seen, Decideds decideds) {
        this.decideds = decideds;
        this.attempts = attempts;
        this.ledger = ledger;
        this.editions = editions;
        this.seen = seen;
    }

    /**
     * Equal answers that wait for one decision.
     *
     * @param form what they have in common; a decision names the group by it
     * @param shown the answer as the first of them gave it
     * @param near what it is like, in words
     * @param like the listed answers that it is like, the likeliest first
     * @param phrase a listed text that the answer holds, for "any answer with this in it"
     * @param byHand the key cannot learn it: it answers the question as it was before it changed
     * @param saw which marks these are; they go back with the decision
     */
    record DoubtGroup(
            String form,
            String shown,
            List<String> students,
            String because,
            String near,
            @Nullable String phrase,
            List<Likeness> like,
            boolean byHand,
            List<String> saw) {}

    /**
     * The doubts of one question.
     *
     * @param groups those that wait
     * @param decided those that somebody has decided
     */
    record QuestionDoubts(
            String item,
            int number,
            String kind,
            String prompt,
            String points,
            String rule,
            int settled,
            int answers,
            List<DoubtGroup> groups,
            List<Decideds.DecidedGroup> decided) {}

    record DoubtsView(int doubts, int edition, List<QuestionDoubts> questions) {}

    /** An attempt with its answer to one item. */
    record Waiting(Attempt attempt, Said said, LedgerMark mark) {}

    @Transactional(readOnly = true)
    DoubtsView of(UUID assessment, @Nullable UUID section) {
        Edition edition = editions.latest(assessment).orElse(null);
        if (edition == null) {
            return new DoubtsView(0, 0, List.of());
        }
        List<Attempt> in = attempts.in(assessment, section);
        Map<UUID, Map<String, JsonNode>> responses = attempts.responses(assessment);
        Map<UUID, Map<String, LedgerMark>> current = ledger.current(assessment);
        Map<Integer, Editions.EditionLine> history = decideds.history(edition);
        List<QuestionDoubts> questions = new ArrayList<>();
        int doubts = 0;
        for (Item item : edition.items()) {
            List<Waiting> all = said(item, in, responses, current);
            List<Waiting> waiting = all.stream()
                    .filter(w -> w.mark().mark().state() == State.SETTLE && edition.waits(item))
                    .toList();
            doubts += waiting.size();
            List<Decideds.DecidedGroup> decided = decideds.of(edition, item, all, history);
            if (!waiting.isEmpty() || !decided.isEmpty()) {
                questions.add(question(edition, item, all.size(), waiting, decided));
            }
        }
        return new DoubtsView(doubts, edition.number(), questions);
    }

    /** What was decided about one item, for its key. */
    @Transactional(readOnly = true)
    List<Decideds.DecidedGroup> decided(UUID assessment, String itemId) {
        Edition edition = editions.latest(assessment).orElse(null);
        Item item = edition == null ? null : edition.assessment().item(itemId).orElse(null);
        return edition == null || item == null
                ? List.of()
                : decideds.of(edition, item, ofItem(edition, item, null), decideds.history(edition));
    }

    /** The attempts whose answer to this item has this form, decided or not. */
    @Transactional(readOnly = true)
    List<Waiting> ofForm(Edition edition, Item item, String form, @Nullable UUID section) {
        return ofItem(edition, item, section).stream()
                .filter(w -> w.said().form(edition, item).equals(form))
                .toList();
    }

    /** Every answer to this item. */
    @Transactional(readOnly = true)
    List<Waiting> ofItem(Edition edition, Item item, @Nullable UUID section) {
        UUID assessment = edition.assessmentId();
        Set<String> only = Set.of(item.id());
        return said(
                item,
                attempts.in(assessment, section),
                attempts.responses(assessment, only),
                ledger.current(assessment, only));
    }

    private static List<Waiting> said(
            Item item,
            List<Attempt> in,
            Map<UUID, Map<String, JsonNode>> responses,
            Map<UUID, Map<String, LedgerMark>> current) {
        List<Waiting> all = new ArrayList<>();
        for (Attempt attempt : in) {
            Said said = Said.to(item, responses.getOrDefault(attempt.id(), Map.of()));
            LedgerMark mark = current.getOrDefault(attempt.id(), Map.of()).get(item.id());
            if (!said.isBlank() && mark != null) {
                all.add(new Waiting(attempt, said, mark));
            }
        }
        return all;
    }

    private QuestionDoubts question(
            Edition edition, Item item, int answers, List<Waiting> waiting, List<Decideds.DecidedGroup> decided) {
        List<Waiting> understood =
                waiting.stream().filter(w -> !w.said().outgrown()).toList();
        List<DoubtGroup> groups = new ArrayList<>(
                org.scholion.core.score.Doubts.of(
                                item,
                                edition.scorer(item),
                                understood,
                                w -> w.said().answer())
                        .stream()
                        .map(g -> group(item, g))
                        .toList());
        groups.addAll(outgrown(edition, item, waiting));
        return new QuestionDoubts(
                item.id(),
                edition.numberOf(item.id()),
                item.kind(),
                item.asked(),
                item.points().toExact(),
                HowItScores.of(item),
                answers - waiting.size(),
                answers,
                groups,
                decided);
    }

    /** Answers to the question as it was: equal ones together, told in the words in which it was asked. */
    private List<DoubtGroup> outgrown(Edition edition, Item item, List<Waiting> waiting) {
        Map<String, List<Waiting>> byForm = new LinkedHashMap<>();
        waiting.stream()
                .filter(w -> w.said().outgrown())
                .forEach(w -> byForm.computeIfAbsent(w.said().form(edition, item), f -> new ArrayList<>())
                        .add(w));
        return byForm.entrySet().stream()
                .map(e -> {
                    Waiting first = e.getValue().get(0);
                    Item asSeen = editions.numbered(
                                    edition.assessmentId(), first.attempt().edition())
                            .assessment()
                            .item(item.id())
                            .orElse(null);
                    return new DoubtGroup(
                            e.getKey(),
                            first.said().told(item, asSeen),
                            names(e.getValue()),
                            Words.english(first.mark().mark().reason()),
                            "answers the question as it was before it changed",
                            null,
                            List.of(),
                            true,
                            seen.marks(marks(e.getValue())));
                })
                .toList();
    }

    static List<LedgerMark> marks(List<Waiting> waiting) {
        return waiting.stream().map(Waiting::mark).toList();
    }

    private static List<String> names(List<Waiting> waiting) {
        return waiting.stream().map(w -> w.attempt().name()).toList();
    }

    private DoubtGroup group(Item item, Group<Waiting> group) {
        Waiting first = group.waiting().get(0);
        Likeness like = group.like().stream().findFirst().orElse(null);
        return new DoubtGroup(
                group.form(),
                Told.in(item, first.said().answer()),
                names(group.waiting()),
                Words.english(first.mark().mark().reason()),
                like == null
                        ? "not close to anything in the key"
                        : (like.holds() || like.apart() ? "contains" : "close to") + " “" + like.listed() + "”",
                like != null && like.holds() ? like.listed() : null,
                group.like(),
                false,
                seen.marks(marks(group.waiting())));
    }
}
