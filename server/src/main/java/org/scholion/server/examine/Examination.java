package org.scholion.server.examine;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.core.item.ChoiceItem;
import org.scholion.core.item.Item;
import org.scholion.core.measure.Figure;
import org.scholion.core.measure.Flag;
import org.scholion.core.measure.Histogram;
import org.scholion.core.measure.ItemMeasures;
import org.scholion.core.measure.Scores;
import org.scholion.core.measure.TestMeasures;
import org.scholion.core.number.Fraction;
import org.scholion.core.score.Mark;
import org.scholion.core.score.State;
import org.scholion.core.total.Adjustment;
import org.scholion.server.key.Edition;
import org.scholion.server.key.Editions;
import org.scholion.server.ledger.Attempt;
import org.scholion.server.ledger.Attempts;
import org.scholion.server.ledger.Ledger;
import org.scholion.server.ledger.LedgerMark;
import org.scholion.server.ledger.Standings;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The figures of a paper and its items, on the marks as they stand, undecided ones counting 0. */
@Service
public class Examination {
    private final Attempts attempts;
    private final Ledger ledger;
    private final Standings standings;
    private final Editions editions;

    Examination(Attempts attempts, Ledger ledger, Standings standings, Editions editions) {
        this.attempts = attempts;
        this.ledger = ledger;
        this.standings = standings;
        this.editions = editions;
    }

    public record FlagView(String flag, String words) {}

    public record ItemLine(
            String item,
            int number,
            String prompt,
            String points,
            boolean dropped,
            ItemMeasures measures,
            List<FlagView> flags) {}

    public record BelowPass(String name, UUID attempt, String percent, boolean provisional) {}

    /**
     * The figures.
     *
     * @param possible the points that T is out of
     * @param undecided marks that still wait and count 0 here
     * @param tenths how many percents fall into each tenth
     */
    public record ExamineView(
            TestMeasures test,
            String possible,
            int undecided,
            int[] tenths,
            List<ItemLine> items,
            @Nullable String pass,
            List<BelowPass> below) {}

    @Transactional(readOnly = true)
    public ExamineView of(UUID assessment, @Nullable UUID section) {
        Edition edition = editions.latest(assessment).orElse(null);
        if (edition == null) {
            return new ExamineView(
                    TestMeasures.of(new Scores(new double[0][0], new boolean[0][0], new double[0])),
                    "0",
                    0,
                    new int[10],
                    List.of(),
                    null,
                    List.of());
        }
        List<Attempt> in = attempts.in(assessment, section);
        Map<UUID, Map<String, LedgerMark>> current = ledger.current(assessment);
        List<Item> counted =
                edition.items().stream().filter(i -> !isDropped(edition, i)).toList();
        Scores scores = scores(counted, in, current);
        Map<UUID, Standings.Standing> standing = standings.of(assessment);
        Fraction pass = edition.assessment().grading().pass();
        return new ExamineView(
                TestMeasures.of(scores),
                counted.stream()
                        .map(Item::points)
                        .reduce(Fraction.ZERO, Fraction::plus)
                        .toExact(),
                undecided(counted, in, current),
                Histogram.of(percents(in, standing)).tenths(),
                lines(edition, counted, scores),
                pass == null ? null : pass.toExact(),
                below(in, standing));
    }

    /** How many items carry a flag. */
    @Transactional(readOnly = true)
    public int flagged(UUID assessment, @Nullable UUID section) {
        return (int) of(assessment, section).items().stream()
                .filter(i -> !i.flags().isEmpty())
                .count();
    }

    private static boolean isDropped(Edition edition, Item item) {
        return edition.assessment()
                .adjustment(item.id())
                .filter(k -> k == Adjustment.Kind.DROP)
                .isPresent();
    }

    private static Scores scores(List<Item> items, List<Attempt> in, Map<UUID, Map<String, LedgerMark>> current) {
        double[][] byItem = new double[items.size()][in.size()];
        boolean[][] blank = new boolean[items.size()][in.size()];
        for (int j = 0; j < items.size(); j++) {
            for (int i = 0; i < in.size(); i++) {
                Mark mark = mark(current, in.get(i), items.get(j));
                byItem[j][i] = mark.credit().times(items.get(j).points()).toDouble();
                blank[j][i] = mark.state() == State.BLANK;
            }
        }
        return new Scores(
                byItem,
                blank,
                items.stream().mapToDouble(i -> i.points().toDouble()).toArray());
    }

    private static Mark mark(Map<UUID, Map<String, LedgerMark>> current, Attempt attempt, Item item) {
        LedgerMark mark = current.getOrDefault(attempt.id(), Map.of()).get(item.id());
        return mark == null ? Mark.BLANK : mark.mark();
    }

    private static int undecided(List<Item> items, List<Attempt> in, Map<UUID, Map<String, LedgerMark>> current) {
        int n = 0;
        for (Item item : items) {
            for (Attempt attempt : in) {
                n += mark(current, attempt, item).state().isUndecided() ? 1 : 0;
            }
        }
        return n;
    }

    private static List<ItemLine> lines(Edition edition, List<Item> counted, Scores scores) {
        List<ItemMeasures> measures = ItemMeasures.of(scores);
        Figure dropped = Figure.undefined("left out of the paper");
        List<ItemLine> lines = new ArrayList<>();
        for (Item item : edition.items()) {
            int at = counted.indexOf(item);
            ItemMeasures m = at < 0 ? new ItemMeasures(dropped, dropped, dropped) : measures.get(at);
            lines.add(new ItemLine(
                    item.id(),
                    edition.numberOf(item.id()),
                    item.head().prompt(),
                    item.points().toExact(),
                    at < 0,
                    m,
                    Flag.of(m, guess(item)).stream()
                            .map(f -> new FlagView(f.word(), f.shown()))
                            .toList()));
        }
        return lines;
    }

    private static double guess(Item item) {
        return item instanceof ChoiceItem c && c.max() == 1 ? 1.0 / c.options().size() : 0;
    }

    private static List<Fraction> percents(List<Attempt> in, Map<UUID, Standings.Standing> standing) {
        List<Fraction> all = new ArrayList<>();
        for (Attempt attempt : in) {
            Standings.Standing s = standing.get(attempt.id());
            if (s != null && s.percent() != null) {
                all.add(Fraction.exactly(s.percent()));
            }
        }
        return all;
    }

    private static List<BelowPass> below(List<Attempt> in, Map<UUID, Standings.Standing> standing) {
        List<BelowPass> all = new ArrayList<>();
        for (Attempt attempt : in) {
            Standings.Standing s = standing.get(attempt.id());
            if (s != null && Boolean.FALSE.equals(s.passed()) && s.percent() != null) {
                all.add(new BelowPass(attempt.name(), attempt.id(), s.percent(), s.provisional()));
            }
        }
        all.sort(Comparator.comparing(b -> Fraction.exactly(b.percent())));
        return all;
    }
}
