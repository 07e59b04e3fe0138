package org.scholion.server.settle;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.scholion.core.answer.Told;
import org.scholion.core.item.Item;
import org.scholion.core.reason.Words;
import org.scholion.core.score.Elsewhere;
import org.scholion.core.score.State;
import org.scholion.server.key.Edition;
import org.scholion.server.key.Editions;
import org.scholion.server.ledger.LedgerMark;
import org.scholion.server.ledger.Seen;
import org.springframework.stereotype.Component;

/**
 * What people have decided about answers that the key, as it was given out, could not decide. It stays in view, so that
 * nothing is decided twice without knowing, and can be decided differently.
 */
@Component
class Decideds {
    private final Editions editions;
    private final Seen seen;

    Decideds(Editions editions, Seen seen) {
        this.editions = editions;
        this.seen = seen;
    }

    /**
     * Equal answers that were decided.
     *
     * @param count how many gave them; {@code students} are the first of them
     * @param who who decided; null where nobody is known
     * @param these whether these students' marks were decided alone, and the key stayed the same
     * @param saw which marks these are; they go back with another decision
     */
    record DecidedGroup(
            String form,
            String shown,
            int count,
            List<String> students,
            String credit,
            String because,
            @Nullable String who,
            @Nullable Instant at,
            boolean these,
            List<String> saw) {}

    /** Who made which edition; nobody decided by an edition before the second. */
    Map<Integer, Editions.EditionLine> history(Edition edition) {
        Map<Integer, Editions.EditionLine> history = new HashMap<>();
        if (edition.number() > 1) {
            editions.history(edition.assessmentId()).forEach(line -> history.put(line.number(), line));
        }
        return history;
    }

    /** Whether the key can have learned about an item since it was given out. */
    boolean mayBe(Edition edition, Item item) {
        return edition.number() > 1
                && (edition.rulings().stream().anyMatch(r -> r.item().equals(item.id()))
                        || editions.numbered(edition.assessmentId(), 1)
                                .assessment()
                                .item(item.id())
                                .filter(was -> !was.equals(item))
                                .isPresent());
    }

    /** The decided groups of one item, the largest first. */
    List<DecidedGroup> of(
            Edition edition, Item item, List<Doubts.Waiting> said, Map<Integer, Editions.EditionLine> history) {
        Map<String, List<Doubts.Waiting>> groups = new LinkedHashMap<>();
        Edition first = edition.number() == 1 ? edition : editions.numbered(edition.assessmentId(), 1);
        Item asGivenOut = first.assessment().item(item.id()).orElse(null);
        for (Doubts.Waiting w : said) {
            if (isDecided(first, asGivenOut, w)) {
                String form = w.said().form(edition, item);
                String by = w.mark().byPerson() ? form + "\0" + w.mark().mark().credit() : form;
                groups.computeIfAbsent(by, f -> new ArrayList<>()).add(w);
            }
        }
        return groups.values().stream()
                .map(group -> group(edition, item, group, history))
                .sorted(Comparator.comparing((DecidedGroup g) -> -g.count()))
                .toList();
    }

    /** By a person's hand, or by what the key learned since it was given out. */
    private static boolean isDecided(Edition first, @Nullable Item asGivenOut, Doubts.Waiting w) {
        LedgerMark mark = w.mark();
        if (mark.mark().state() != State.SCORED || Elsewhere.is(mark.mark())) {
            return false;
        }
        if (mark.byPerson() || mark.mark().rule().equals("ruling")) {
            return true;
        }
        return mark.edition() > 1
                && asGivenOut != null
                && w.said().markedBy(first, asGivenOut).state() == State.SETTLE;
    }

    private DecidedGroup group(
            Edition edition, Item item, List<Doubts.Waiting> group, Map<Integer, Editions.EditionLine> history) {
        Doubts.Waiting oldest = group.stream()
                .min(Comparator.comparing(w -> w.mark().edition()))
                .orElseThrow();
        LedgerMark mark = oldest.mark();
        Editions.EditionLine line = mark.byPerson() ? null : history.get(mark.edition());
        return new DecidedGroup(
                oldest.said().form(edition, item),
                Told.in(item, oldest.said().answer()),
                group.size(),
                Doubts.names(group),
                mark.mark().credit().toExact(),
                Words.english(mark.mark().reason()),
                mark.byPerson() ? mark.personName() : line == null ? null : line.by(),
                mark.byPerson() ? mark.at() : line == null ? null : line.at(),
                mark.byPerson(),
                seen.marks(Doubts.marks(group)));
    }
}
