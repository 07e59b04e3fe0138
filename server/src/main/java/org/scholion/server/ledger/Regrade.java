package org.scholion.server.ledger;

import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.function.IntConsumer;
import java.util.function.ToLongFunction;
import org.jspecify.annotations.Nullable;
import org.scholion.core.item.Item;
import org.scholion.core.total.AttemptTotal;
import org.scholion.core.total.Grading;
import org.scholion.core.total.Outcome;
import org.scholion.server.key.Edition;

/**
 * One paper scored under another edition, some attempts at a time: of each only what it comes to is kept, so that ten
 * thousand attempts need little room. Looking at the effect and writing it are this same run.
 */
final class Regrade {
    private static final int AT_A_TIME = 1_000;

    private final MarkedPaper paper;
    private final Edition candidate;
    private final Rescoring rescoring;
    private final Rescoring.Plan plan;
    private final Instant now;
    private final Map<UUID, AttemptTotal> before = new HashMap<>();
    private final Map<UUID, AttemptTotal> after = new HashMap<>();
    private final Map<String, Integer> answered = new HashMap<>();
    private final Map<UUID, StandingRow> known = new HashMap<>();
    private @Nullable Map<UUID, StandingRow> rows;
    private int moved;

    Regrade(MarkedPaper paper, Edition candidate, Rescoring rescoring, Rescoring.Plan plan, Clock clock) {
        this.paper = paper;
        this.candidate = candidate;
        this.rescoring = rescoring;
        this.plan = plan;
        this.now = clock.instant();
    }

    /** It is to be written, too. */
    void writing() {
        rows = new LinkedHashMap<>();
    }

    /**
     * Goes through all attempts.
     *
     * @param marks takes the marks that move, and says which place in the ledger is after them
     * @param progress hears how many attempts are done
     */
    void run(ToLongFunction<List<LedgerMark>> marks, IntConsumer progress) {
        List<Marked> all = paper.attempts();
        for (int from = 0; from < all.size(); from += AT_A_TIME) {
            some(all.subList(from, Math.min(all.size(), from + AT_A_TIME)), marks);
            progress.accept(Math.min(all.size(), from + AT_A_TIME));
        }
    }

    private void some(List<Marked> some, ToLongFunction<List<LedgerMark>> marks) {
        Map<UUID, List<Brief>> was = new HashMap<>();
        some.forEach(m -> was.put(m.attempt().id(), m.marks()));
        Rescoring.Rescored again =
                rescoring.of(plan, some.stream().map(Marked::attempt).toList(), was);
        moved += again.moved().size();
        long place = again.moved().isEmpty() ? 0 : marks.applyAsLong(again.moved());
        Set<UUID> moving = new HashSet<>();
        again.moved().forEach(m -> moving.add(m.attempt()));
        for (Marked m : some) {
            Attempt attempt = m.attempt();
            List<Brief> old = Objects.requireNonNull(was.get(attempt.id()));
            List<Brief> then = Objects.requireNonNull(again.marks().get(attempt.id()));
            before.put(attempt.id(), paper.edition().totals().of(Standings.plain(old), attempt.daysLate()));
            after.put(attempt.id(), candidate.totals().of(Standings.plain(then), attempt.daysLate()));
            count(old);
            if (rows != null) {
                long own = moving.contains(attempt.id()) ? place : m.place();
                rows.put(attempt.id(), new StandingRow(attempt, candidate, then, own, now));
                if (m.kept()) {
                    known.put(attempt.id(), StandingRow.asKept(m, paper.edition(), old, now));
                }
            }
        }
    }

    private void count(List<Brief> marks) {
        List<Item> items = paper.edition().items();
        for (int j = 0; j < items.size(); j++) {
            if (marks.get(j).said()) {
                answered.merge(items.get(j).id(), 1, Integer::sum);
            }
        }
    }

    int moved() {
        return moved;
    }

    /** How many have answered an item of the latest edition. */
    int answered(String item) {
        return answered.getOrDefault(item, 0);
    }

    List<Attempt> attempts() {
        return paper.attempts().stream().map(Marked::attempt).toList();
    }

    Map<UUID, Outcome> before() {
        return Standings.curved(paper.edition(), attempts(), a -> Objects.requireNonNull(before.get(a.id())));
    }

    Map<UUID, Outcome> after() {
        return Standings.curved(candidate, attempts(), a -> Objects.requireNonNull(after.get(a.id())));
    }

    /** What is stored of the attempts now, as far as it was read. */
    Map<UUID, StandingRow> known() {
        return known;
    }

    /** What every attempt stands at then. */
    List<StandingRow> standings() {
        Grading grading = candidate.assessment().grading();
        List<StandingRow> all = new ArrayList<>();
        after().forEach((id, outcome) -> {
            StandingRow row =
                    Objects.requireNonNull(Objects.requireNonNull(rows).get(id));
            row.standAt(Standings.Standing.of(id, outcome, grading.percentDigits()));
            all.add(row);
        });
        return all;
    }
}
