package org.scholion.server.examine;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.core.item.ChoiceItem;
import org.scholion.core.item.Item;
import org.scholion.core.measure.Figures;
import org.scholion.core.measure.Flag;
import org.scholion.core.measure.Histogram;
import org.scholion.core.measure.ItemMeasures;
import org.scholion.core.measure.Scores;
import org.scholion.core.measure.ScoresBuilder;
import org.scholion.core.measure.TestMeasures;
import org.scholion.core.number.Fraction;
import org.scholion.core.score.Mark;
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
import tools.jackson.databind.JsonNode;

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

    public record FlagView(String flag, String words, String because) {}

    public record ItemLine(
            String item,
            int number,
            String prompt,
            String points,
            boolean dropped,
            ItemMeasures measures,
            List<String> optionTexts,
            List<FlagView> flags) {}

    public record BelowPass(String name, UUID attempt, String percent, boolean provisional) {}

    /**
     * The figures.
     *
     * @param possible the points that T is out of
     * @param results the mean of the results, where it is another one than that of the marks
     * @param undecided marks that still wait and count 0 here
     * @param tenths how many percents fall into each tenth
     */
    public record ExamineView(
            TestMeasures test,
            String possible,
            @Nullable ResultsMean results,
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
                    TestMeasures.of(Scores.of(List.of())), "0", null, 0, new int[10], List.of(), null, List.of());
        }
        Set<UUID> counting = standings.standingFor(assessment);
        List<Attempt> in = attempts.in(assessment, section).stream()
                .filter(a -> counting.contains(a.id()))
                .toList();
        Map<UUID, Map<String, LedgerMark>> current = ledger.current(assessment);
        Map<UUID, Map<String, JsonNode>> responses = in.isEmpty() ? Map.of() : attempts.responses(assessment);
        List<Item> counted =
                edition.items().stream().filter(i -> !isDropped(edition, i)).toList();
        Map<UUID, Standings.Standing> standing = standings.of(assessment);
        Fraction pass = edition.assessment().grading().pass();
        Figures figures = Figures.of(scores(edition, in, responses, current));
        return new ExamineView(
                figures.test(),
                possible(counted, in).toExact(),
                ResultsMean.of(
                        edition, in, current, standing, figures.test().mean().value()),
                undecided(counted, in, current),
                Histogram.of(percents(in, standing)).tenths(),
                lines(edition, asked(edition, figures.items(), in, responses, current)),
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

    /** What a total is out of: with a draw for each student everybody is asked another part, worth the same. */
    private static Fraction possible(List<Item> counted, List<Attempt> in) {
        Set<String> leftOut = in.isEmpty() ? Set.of() : in.get(0).leftOut();
        return counted.stream()
                .filter(i -> !leftOut.contains(i.id()))
                .map(Item::points)
                .reduce(Fraction.ZERO, Fraction::plus);
    }

    /** An item that not everybody was drawn is measured on those who were asked it. */
    private static List<ItemMeasures> asked(
            Edition edition,
            List<ItemMeasures> measures,
            List<Attempt> in,
            Map<UUID, Map<String, JsonNode>> responses,
            Map<UUID, Map<String, LedgerMark>> current) {
        List<ItemMeasures> all = new ArrayList<>();
        for (int j = 0; j < measures.size(); j++) {
            String item = edition.items().get(j).id();
            List<Attempt> asked =
                    in.stream().filter(a -> !a.leftOut().contains(item)).toList();
            if (asked.size() == in.size()) {
                all.add(measures.get(j));
            } else if (asked.isEmpty()) {
                all.add(ItemMeasures.none(item, "nobody was asked it"));
            } else {
                all.add(Figures.of(scores(edition, asked, responses, current))
                        .items()
                        .get(j));
            }
        }
        return all;
    }

    private static Scores scores(
            Edition edition,
            List<Attempt> in,
            Map<UUID, Map<String, JsonNode>> responses,
            Map<UUID, Map<String, LedgerMark>> current) {
        ScoresBuilder builder = new ScoresBuilder(edition.assessment());
        for (Attempt attempt : in) {
            Map<String, JsonNode> said = responses.getOrDefault(attempt.id(), Map.of());
            builder.add(
                    edition.items().stream().map(i -> mark(current, attempt, i)).toList(),
                    edition.items().stream().map(i -> Attempts.answer(i, said)).toList());
        }
        return builder.build();
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

    private static List<ItemLine> lines(Edition edition, List<ItemMeasures> measures) {
        List<ItemLine> lines = new ArrayList<>();
        for (int j = 0; j < measures.size(); j++) {
            Item item = edition.items().get(j);
            boolean dropped = isDropped(edition, item);
            ItemMeasures m = dropped ? ItemMeasures.none(item.id(), "left out of the paper") : measures.get(j);
            lines.add(new ItemLine(
                    item.id(),
                    edition.numberOf(item.id()),
                    item.asked(),
                    item.points().toExact(),
                    dropped,
                    m,
                    optionTexts(item),
                    Flag.of(m, item instanceof ChoiceItem c && c.max() == 1, List.of(), id -> label(item, id)).stream()
                            .map(f -> new FlagView(f.flag().word(), f.flag().shown(), f.because()))
                            .toList()));
        }
        return lines;
    }

    private static String label(Item item, String option) {
        int place = item instanceof ChoiceItem c
                ? c.options().stream().map(ChoiceItem.Option::id).toList().indexOf(option)
                : -1;
        return place < 0 ? option : optionTexts(item).get(place);
    }

    /** What the options say, in the order of the measures' option table. */
    private static List<String> optionTexts(Item item) {
        return item instanceof ChoiceItem c
                ? c.options().stream()
                        .map(o -> o.text().isBlank() ? o.id() : o.text())
                        .toList()
                : List.of();
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
