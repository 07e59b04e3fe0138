package org.scholion.server.ledger;

import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
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
    private final SettingAside settingAside;
    private final Editions editions;
    private final Events events;
    private final Clock clock;

    Scoring(
            Turns turns,
            Attempts attempts,
            Ledger ledger,
            Standings standings,
            SettingAside settingAside,
            Editions editions,
            Events events,
            Clock clock) {
        this.turns = turns;
        this.attempts = attempts;
        this.ledger = ledger;
        this.standings = standings;
        this.settingAside = settingAside;
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
        handIn(attempt, now -> Fraction.ZERO, answers);
    }

    /** @param daysLate how late it is when it is handed in at a moment */
    public void handIn(Attempt attempt, Function<Instant, Fraction> daysLate, Supplier<Map<String, JsonNode>> answers) {
        turns.shared(attempt.assessment(), () -> {
            if (attempts.hold(attempt.id())) {
                handInHeld(attempt, daysLate, answers.get());
                events.say("assessment:" + attempt.assessment());
            }
            return attempt;
        });
    }

    /** Everything is known: nothing of what is written is read again. */
    private void handInHeld(Attempt held, Function<Instant, Fraction> daysLate, Map<String, JsonNode> answers) {
        Instant now = clock.instant();
        attempts.handIn(held, answers, now);
        Attempt attempt = late(held, daysLate.apply(now));
        Edition edition = editions.require(attempt.assessment());
        Map<String, LedgerMark> current = new HashMap<>();
        Map<String, LedgerMark> decided = settingAside.decided(attempt, answers);
        List<LedgerMark> marks = marks(edition, attempt, answers, now).stream()
                .map(m -> standsAgain(edition, decided.get(m.item()), m))
                .toList();
        ledger.append(attempt.school(), marks).forEach(m -> current.put(m.item(), m));
        standings.refresh(edition, List.of(attempt), Map.of(attempt.id(), current), Map.of(attempt.id(), answers));
    }

    /** What a person decided about the same answer before goes over what the rules say now. */
    private static LedgerMark standsAgain(Edition edition, @Nullable LedgerMark decided, LedgerMark ruled) {
        if (decided == null) {
            return ruled;
        }
        LedgerMark again = decided.of(ruled.attempt(), ruled.edition(), ruled.at());
        Item item = edition.assessment().item(ruled.item()).orElseThrow();
        return Rereading.under(item, again, ruled.edition(), ruled.at()).orElse(again);
    }

    private Attempt late(Attempt attempt, Fraction days) {
        if (days.signum() == 0) {
            return attempt;
        }
        attempts.setLate(attempt.id(), days);
        return attempt.late(days);
    }

    /**
     * What comes in of one attempt.
     *
     * @param points what was given elsewhere, by item, which goes before the rules
     */
    public record ComesIn(Attempts.Whole whole, Map<String, Fraction> points) {}

    /**
     * Keeps and scores whole attempts that come in otherwise than on screen; their standings follow. What is written is
     * not read again, so that the cost grows with what comes in and with nothing else.
     *
     * @param by who brings them in, who answers for points that come with them
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public void bringIn(Me by, Edition edition, List<ComesIn> some, Instant at) {
        List<Attempt> made = attempts.bringIn(some.stream().map(ComesIn::whole).toList(), at);
        Map<UUID, Map<String, JsonNode>> responses = new HashMap<>();
        List<LedgerMark> marks = new ArrayList<>();
        for (int i = 0; i < made.size(); i++) {
            ComesIn comes = some.get(i);
            Map<String, JsonNode> answers = comes.whole().answers();
            responses.put(made.get(i).id(), answers);
            marks(edition, made.get(i), answers, at).forEach(m -> marks.add(elsewhere(by, edition, m, comes.points())));
        }
        Map<UUID, Map<String, LedgerMark>> current = new HashMap<>();
        ledger.appendAll(by.school(), marks)
                .forEach(m -> current.computeIfAbsent(m.attempt(), a -> new HashMap<>())
                        .put(m.item(), m));
        standings.refresh(edition, made, current, responses);
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

    /** The marks that the rules of an edition give to what an attempt says; nothing is kept. */
    public static List<LedgerMark> marks(Edition edition, Attempt attempt, Map<String, JsonNode> answers, Instant at) {
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
