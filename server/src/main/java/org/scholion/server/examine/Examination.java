package org.scholion.server.examine;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.scholion.core.item.ChoiceItem;
import org.scholion.core.item.Item;
import org.scholion.core.measure.Figures;
import org.scholion.core.measure.Flag;
import org.scholion.core.measure.Histogram;
import org.scholion.core.measure.ItemMeasures;
import org.scholion.core.measure.Scores;
import org.scholion.core.measure.TestMeasures;
import org.scholion.core.number.Fraction;
import org.scholion.core.total.Adjustment;
import org.scholion.server.key.Edition;
import org.scholion.server.key.Editions;
import org.scholion.server.ledger.Attempt;
import org.scholion.server.ledger.Brief;
import org.scholion.server.ledger.Marked;
import org.scholion.server.ledger.MarkedPaper;
import org.scholion.server.ledger.MarkedPapers;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The figures of a paper and its items, on the marks as they stand, undecided ones counting 0. */
@Service
public class Examination {
    private static final int MOST_BELOW = 200;

    private final MarkedPapers papers;
    private final Editions editions;
    /** Flags stay as they are until a mark moves: what they were counted of is their name. */
    private final Cache<MarkedPapers.Stamp, Integer> flags =
            Caffeine.newBuilder().maximumSize(2_000).build();

    Examination(MarkedPapers papers, Editions editions) {
        this.papers = papers;
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
     * @param below the first of those below the pass mark, the lowest first; {@code belowPass} is how many there are
     */
    public record ExamineView(
            TestMeasures test,
            String possible,
            @Nullable ResultsMean results,
            int undecided,
            int[] tenths,
            List<ItemLine> items,
            @Nullable String pass,
            int belowPass,
            List<BelowPass> below) {}

    /** An attempt with its marks in brief, in the order of the paper. */
    record Row(Marked marked, List<Brief> marks) {
        Attempt attempt() {
            return marked.attempt();
        }
    }

    @Transactional(readOnly = true)
    public ExamineView of(UUID assessment, @Nullable UUID section) {
        Edition latest = editions.latest(assessment).orElse(null);
        if (latest == null) {
            return new ExamineView(
                    TestMeasures.of(Scores.of(List.of())), "0", null, 0, new int[10], List.of(), null, 0, List.of());
        }
        MarkedPaper paper = papers.onceEach(latest, section);
        Edition edition = paper.edition();
        List<Row> in = paper.attempts().stream().map(m -> new Row(m, m.marks())).toList();
        List<Item> counted =
                edition.items().stream().filter(i -> !isDropped(edition, i)).toList();
        Fraction pass = edition.assessment().grading().pass();
        Codes codes = new Codes(edition, in);
        Figures figures = Figures.of(codes.all());
        List<Marked> below = below(in);
        return new ExamineView(
                figures.test(),
                possible(counted, in).toExact(),
                ResultsMean.of(edition, in, figures.test().mean().value()),
                undecided(edition, in),
                Histogram.of(percents(in)).tenths(),
                lines(edition, asked(edition, figures.items(), in, codes)),
                pass == null ? null : pass.toExact(),
                below.size(),
                below.stream().limit(MOST_BELOW).map(Examination::below).toList());
    }

    /** How many items carry a flag. */
    @Transactional(readOnly = true)
    public int flagged(UUID assessment, @Nullable UUID section) {
        Edition edition = editions.latest(assessment).orElse(null);
        return edition == null
                ? 0
                : flags.get(papers.stamp(edition, section), s -> (int) of(assessment, section).items().stream()
                        .filter(i -> !i.flags().isEmpty())
                        .count());
    }

    private static boolean isDropped(Edition edition, Item item) {
        return edition.assessment()
                .adjustment(item.id())
                .filter(k -> k == Adjustment.Kind.DROP)
                .isPresent();
    }

    /** What a total is out of: with a draw for each student everybody is asked another part, worth the same. */
    private static Fraction possible(List<Item> counted, List<Row> in) {
        Set<String> leftOut = in.isEmpty() ? Set.of() : in.get(0).attempt().leftOut();
        return counted.stream()
                .filter(i -> !leftOut.contains(i.id()))
                .map(Item::points)
                .reduce(Fraction.ZERO, Fraction::plus);
    }

    /** An item that not everybody was drawn is measured on those who were asked it. */
    private static List<ItemMeasures> asked(Edition edition, List<ItemMeasures> measures, List<Row> in, Codes codes) {
        if (in.stream().allMatch(r -> r.attempt().leftOut().isEmpty())) {
            return measures;
        }
        List<ItemMeasures> all = new ArrayList<>();
        for (int j = 0; j < measures.size(); j++) {
            String item = edition.items().get(j).id();
            int[] asked = IntStream.range(0, in.size())
                    .filter(i -> !in.get(i).attempt().leftOut().contains(item))
                    .toArray();
            if (asked.length == in.size()) {
                all.add(measures.get(j));
            } else if (asked.length == 0) {
                all.add(ItemMeasures.none(item, "nobody was asked it"));
            } else {
                all.add(Figures.of(codes.some(asked)).items().get(j));
            }
        }
        return all;
    }

    private static int undecided(Edition edition, List<Row> in) {
        int n = 0;
        for (int j = 0; j < edition.items().size(); j++) {
            if (!isDropped(edition, edition.items().get(j))) {
                for (Row row : in) {
                    n += row.marks().get(j).mark().state().isUndecided() ? 1 : 0;
                }
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

    private static List<Fraction> percents(List<Row> in) {
        List<Fraction> all = new ArrayList<>();
        for (Row row : in) {
            String percent = row.marked().standing().percent();
            if (percent != null) {
                all.add(Fraction.exactly(percent));
            }
        }
        return all;
    }

    private static List<Marked> below(List<Row> in) {
        return in.stream()
                .map(Row::marked)
                .filter(m -> Boolean.FALSE.equals(m.standing().passed())
                        && m.standing().percent() != null)
                .sorted(Comparator.comparing(m ->
                        Fraction.exactly(Objects.requireNonNull(m.standing().percent()))))
                .toList();
    }

    private static BelowPass below(Marked m) {
        return new BelowPass(
                m.attempt().name(),
                m.attempt().id(),
                Objects.requireNonNull(m.standing().percent()),
                m.standing().provisional());
    }
}
