package org.scholion.server.ledger;

import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Supplier;
import org.scholion.core.item.Item;
import org.scholion.core.number.Fraction;
import org.scholion.core.score.Elsewhere;
import org.scholion.core.score.Mark;
import org.scholion.core.score.State;
import org.scholion.server.key.Edition;
import org.scholion.server.key.Editions;
import org.scholion.server.platform.Events;
import org.scholion.server.platform.Me;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;

/** Takes an attempt in: its responses are kept, the rules of the latest edition score them, its standing follows. */
@Service
public class Scoring {
    private final Turns turns;
    private final Attempts attempts;
    private final Ledger ledger;
    private final Standings standings;
    private final Editions editions;
    private final Events events;
    private final Clock clock;

    Scoring(
            Turns turns,
            Attempts attempts,
            Ledger ledger,
            Standings standings,
            Editions editions,
            Events events,
            Clock clock) {
        this.turns = turns;
        this.attempts = attempts;
        this.ledger = ledger;
        this.standings = standings;
        this.editions = editions;
        this.events = events;
        this.clock = clock;
    }

    /**
     * Hands in what an attempt says, in a turn and a transaction of its own: it costs its own attempt only.
     *
     * @param answers read once the attempt is held, so that an answer acknowledged a moment ago is among them
     */
    public void handIn(Attempt attempt, Supplier<Map<String, JsonNode>> answers) {
        turns.shared(attempt.assessment(), () -> {
            if (attempts.hold(attempt.id())) {
                handInHeld(attempt, answers.get());
                events.say("assessment:" + attempt.assessment());
            }
            return attempt;
        });
    }

    /** Everything is known: nothing of what is written is read again. */
    private void handInHeld(Attempt attempt, Map<String, JsonNode> answers) {
        Instant now = clock.instant();
        attempts.handIn(attempt, answers, now);
        Edition edition = editions.require(attempt.assessment());
        Map<String, LedgerMark> current = new HashMap<>();
        ledger.append(attempt.school(), marks(edition, attempt, answers, now)).forEach(m -> current.put(m.item(), m));
        standings.refresh(edition, List.of(attempt), Map.of(attempt.id(), current), Map.of(attempt.id(), answers));
    }

    /**
     * What comes in of one attempt.
     *
     * @param points what was given elsewhere, by item, which goes before the rules
     */
    public record ComesIn(Map<String, JsonNode> answers, Map<String, Fraction> points) {}

    /**
     * Keeps and scores many attempts at once, as far as they were not in; their standings follow.
     *
     * @param by who brings them in, who answers for points that come with them
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public void handInMany(Me by, UUID assessment, Map<Attempt, ComesIn> some, Instant at) {
        Edition edition = editions.require(assessment);
        List<UUID> taken = new ArrayList<>();
        List<LedgerMark> marks = new ArrayList<>();
        some.forEach((attempt, comes) -> {
            if (attempts.handIn(attempt, comes.answers(), at)) {
                marks.addAll(marks(edition, attempt, comes.answers(), at).stream()
                        .map(m -> elsewhere(by, edition, m, comes.points()))
                        .toList());
                taken.add(attempt.id());
            }
        });
        if (!taken.isEmpty()) {
            ledger.append(some.keySet().iterator().next().school(), marks);
            finish(assessment, taken);
        }
    }

    private static LedgerMark elsewhere(Me by, Edition edition, LedgerMark ruled, Map<String, Fraction> points) {
        Fraction given = points.get(ruled.item());
        if (given == null || ruled.mark().state() == State.EXCUSED) {
            return ruled;
        }
        Item item = edition.assessment().item(ruled.item()).orElseThrow();
        return LedgerMark.byPerson(
                ruled.attempt(), item.id(), Elsewhere.of(item, given), edition.number(), by, null, ruled.at());
    }

    @Transactional(propagation = Propagation.MANDATORY)
    public void finish(UUID assessment, Collection<UUID> taken) {
        standings.refresh(assessment, taken);
        events.say("assessment:" + assessment);
    }

    private static List<LedgerMark> marks(Edition edition, Attempt attempt, Map<String, JsonNode> answers, Instant at) {
        List<LedgerMark> marks = new ArrayList<>();
        for (Item item : edition.items()) {
            Mark mark = attempt.leftOut().contains(item.id())
                    ? Mark.EXCUSED
                    : Said.to(item, answers).markedBy(edition, item);
            marks.add(LedgerMark.byRule(attempt.id(), item.id(), mark, edition.number(), at));
        }
        return marks;
    }
}
