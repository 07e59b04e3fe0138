package org.scholion.server.ledger;

import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.core.item.Item;
import org.scholion.core.score.Mark;
import org.scholion.core.score.Ruling;
import org.scholion.core.score.State;
import org.scholion.server.key.Edition;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;

/**
 * The same answers under another edition. Only items that score otherwise are looked at, only their responses are read,
 * and equal responses are scored once.
 */
@Component
class Rescoring {
    private final Attempts attempts;
    private final Ledger ledger;
    private final Clock clock;

    Rescoring(Attempts attempts, Ledger ledger, Clock clock) {
        this.attempts = attempts;
        this.ledger = ledger;
        this.clock = clock;
    }

    /**
     * What comes of it.
     *
     * @param moved the marks that move
     * @param marks what each attempt then has, in the order of the candidate
     */
    record Rescored(List<LedgerMark> moved, Map<UUID, List<Brief>> marks) {}

    /** What is needed of two editions to score attempts under the one as they were under the other. */
    static final class Plan {
        private final Edition candidate;
        private final Set<String> changed;
        private final List<One> items = new ArrayList<>();
        private final Map<Integer, Set<String>> notDrawn;

        private Plan(Edition latest, Edition candidate, Map<Integer, Set<String>> notDrawn) {
            this.candidate = candidate;
            this.changed = changed(latest, candidate);
            this.notDrawn = notDrawn;
            for (Item item : candidate.items()) {
                items.add(new One(latest, candidate, item, changed.contains(item.id())));
            }
        }
    }

    /** @param notDrawn what was never asked, by the edition with which an attempt was begun */
    Plan plan(Edition latest, Edition candidate, Map<Integer, Set<String>> notDrawn) {
        return new Plan(latest, candidate, notDrawn);
    }

    /**
     * Scores some attempts under the candidate.
     *
     * @param before what each of them has, in the order of the latest edition
     */
    Rescored of(Plan plan, List<Attempt> some, Map<UUID, List<Brief>> before) {
        List<UUID> ids = some.stream().map(Attempt::id).toList();
        Map<UUID, Map<String, JsonNode>> responses = attempts.responsesOf(ids, plan.changed);
        Map<UUID, Map<String, LedgerMark>> read = readings(plan, ids, before);
        Instant now = clock.instant();
        List<LedgerMark> moved = new ArrayList<>();
        Map<UUID, List<Brief>> after = new HashMap<>();
        for (Attempt attempt : some) {
            List<Brief> own = Objects.requireNonNull(before.get(attempt.id()));
            Map<String, JsonNode> said = responses.getOrDefault(attempt.id(), Map.of());
            Map<String, LedgerMark> readings = read.getOrDefault(attempt.id(), Map.of());
            Set<String> neverAsked = plan.notDrawn.getOrDefault(attempt.edition(), Set.of());
            List<Brief> then = new ArrayList<>(plan.items.size());
            for (One one : plan.items) {
                Brief was = one.place < 0 ? Brief.NONE : own.get(one.place);
                if (!one.changed) {
                    then.add(was);
                    continue;
                }
                Scored scored = one.scored(said.get(one.item.id()));
                LedgerMark mark = mark(plan, one, attempt, was, scored, neverAsked, readings, now);
                if (mark == null) {
                    then.add(was.saying(scored.said(), scored.chosen()));
                } else {
                    moved.add(mark);
                    then.add(Brief.of(mark, scored.said(), scored.chosen()));
                }
            }
            after.put(attempt.id(), then);
        }
        return new Rescored(moved, after);
    }

    /** The mark that moves; null where the one that is there stays. What a person decided stays, as far as it can. */
    private static @Nullable LedgerMark mark(
            Plan plan,
            One one,
            Attempt attempt,
            Brief was,
            Scored scored,
            Set<String> neverAsked,
            Map<String, LedgerMark> readings,
            Instant now) {
        String item = one.item.id();
        int edition = plan.candidate.number();
        if (was.byPerson() || was.state() == State.EXCUSED) {
            return Optional.ofNullable(readings.get(item))
                    .flatMap(r -> Rereading.under(one.item, r, edition, now))
                    .orElse(null);
        }
        Mark wanted = neverAsked.contains(item) ? Mark.EXCUSED : scored.then();
        return isOther(wanted, was, scored) ? LedgerMark.byRule(attempt.id(), item, wanted, edition, now) : null;
    }

    /** Another state or credit, or the same for another reason. */
    private static boolean isOther(Mark wanted, Brief was, Scored scored) {
        return was.state() != wanted.state()
                || !was.credit().equals(wanted.credit())
                || scored.now() == null
                || wanted.state() != State.EXCUSED && !wanted.equals(scored.now());
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

    /** What readers chose for the changed items. */
    private Map<UUID, Map<String, LedgerMark>> readings(Plan plan, List<UUID> some, Map<UUID, List<Brief>> before) {
        Set<String> read = new HashSet<>();
        List<UUID> whose = new ArrayList<>();
        for (UUID id : some) {
            List<Brief> own = Objects.requireNonNull(before.get(id));
            boolean any = false;
            for (One one : plan.items) {
                if (one.changed && one.place >= 0 && own.get(one.place).read()) {
                    read.add(one.item.id());
                    any = true;
                }
            }
            if (any) {
                whose.add(id);
            }
        }
        return ledger.currentOf(whose, read);
    }

    /**
     * A response to an item, scored.
     *
     * @param now the mark under the latest edition; null where that has no such item
     */
    private record Scored(
            boolean said,
            List<Integer> chosen,
            Mark then,
            @Nullable Mark now) {}

    /** An item of the candidate, its place in the latest edition, and what was scored of it already. */
    private static final class One {
        private final Edition latest;
        private final Edition candidate;
        private final Item item;
        private final @Nullable Item asItWas;
        private final boolean changed;
        private final int place;
        private final Map<JsonNode, Scored> known = new HashMap<>();
        private @Nullable Scored ofNothing;

        One(Edition latest, Edition candidate, Item item, boolean changed) {
            this.latest = latest;
            this.candidate = candidate;
            this.item = item;
            this.changed = changed;
            this.asItWas = latest.assessment().item(item.id()).orElse(null);
            this.place = latest.items().stream().map(Item::id).toList().indexOf(item.id());
        }

        Scored scored(@Nullable JsonNode response) {
            if (response == null) {
                Scored nothing = ofNothing == null ? score(null) : ofNothing;
                ofNothing = nothing;
                return nothing;
            }
            return known.computeIfAbsent(response, this::score);
        }

        private Scored score(@Nullable JsonNode response) {
            Said said = Said.of(item, response);
            Brief brief = Brief.of(item, null, said);
            return new Scored(
                    brief.said(),
                    brief.chosen(),
                    said.markedBy(candidate, item),
                    asItWas == null ? null : Said.of(asItWas, response).markedBy(latest, asItWas));
        }
    }
}
