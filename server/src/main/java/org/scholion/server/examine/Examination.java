package org.scholion.server.examine;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.core.item.ChoiceItem;
import org.scholion.core.item.Item;
import org.scholion.core.measure.Figures;
import org.scholion.core.measure.Flag;
import org.scholion.core.measure.Histogram;
import org.scholion.core.measure.ItemDifference;
import org.scholion.core.measure.ItemMeasures;
import org.scholion.core.measure.ScoreRange;
import org.scholion.core.measure.Scores;
import org.scholion.core.measure.Spread;
import org.scholion.core.measure.Standing;
import org.scholion.core.measure.TestMeasures;
import org.scholion.core.measure.Undecided;
import org.scholion.core.number.Fraction;
import org.scholion.core.total.Grading;
import org.scholion.server.key.Edition;
import org.scholion.server.key.Editions;
import org.scholion.server.ledger.Attempt;
import org.scholion.server.ledger.Brief;
import org.scholion.server.ledger.Marked;
import org.scholion.server.ledger.MarkedPapers;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The figures of a paper and its items, on the marks as they stand, undecided ones counting 0. */
@Service
public class Examination {
    private static final int MOST_BELOW = 200;

    private final MarkedPapers papers;
    private final Editions editions;
    private final ExaminedPapers examined;
    /** Flags stay as they are until a mark moves: what they were counted of is their name. */
    private final Cache<MarkedPapers.Stamp, Integer> flags =
            Caffeine.newBuilder().maximumSize(2_000).build();

    Examination(MarkedPapers papers, Editions editions, ExaminedPapers examined) {
        this.papers = papers;
        this.editions = editions;
        this.examined = examined;
    }

    /** @param remedies what can be done about it */
    public record FlagView(String flag, String words, String because, List<Flag.Remedy> remedies) {}

    /**
     * One item with its figures.
     *
     * @param expected the mean score that its writer expected, as a share; null where none was said
     * @param adjusted what is done with it for everyone; null where it counts by its points
     */
    public record ItemLine(
            String item,
            int number,
            String prompt,
            String points,
            boolean dropped,
            @Nullable String adjusted,
            @Nullable String expected,
            ItemMeasures measures,
            List<String> optionTexts,
            List<FlagView> flags) {}

    public record BelowPass(String name, UUID attempt, String percent, boolean provisional) {}

    /**
     * How long those took who answered on screen, in minutes with one decimal.
     *
     * @param n how many
     */
    public record TimeTaken(int n, String q1, String median, String q3) {}

    /**
     * Where a band or the pass mark begins.
     *
     * @param label what a percentage from here on is called; null for the pass mark
     * @param tenth the tenth of the histogram in which it lies, from 0
     */
    public record Threshold(String from, @Nullable String label, int tenth) {}

    /**
     * The figures.
     *
     * @param edition the number of the edition that they are of; what is done about them names it
     * @param possible the points that T is out of
     * @param range what the standard error says of a score in the middle
     * @param results the mean of the results, where it is another one than that of the marks
     * @param undecided marks that still wait and count 0 here; {@code couldAdd} by how much they could raise the mean
     * @param noAnswer questions that were left without an answer, over all attempts; {@code asked} of how many
     * @param tenths how many percents fall into each tenth
     * @param thresholds the pass mark and where the bands above the lowest begin
     * @param below the first of those below the pass mark, the lowest first; {@code belowPass} is how many there are
     */
    public record ExamineView(
            int edition,
            TestMeasures test,
            String possible,
            @Nullable ScoreRange range,
            @Nullable ResultsMean results,
            int undecided,
            String couldAdd,
            int noAnswer,
            int asked,
            @Nullable TimeTaken time,
            int[] tenths,
            List<Threshold> thresholds,
            List<ItemLine> items,
            @Nullable String pass,
            int belowPass,
            List<BelowPass> below) {}

    @Transactional(readOnly = true)
    public ExamineView of(UUID assessment, @Nullable UUID section) {
        Edition latest = editions.latest(assessment).orElse(null);
        if (latest == null) {
            return nothing();
        }
        Examined paper = examined.read(latest, section);
        Edition edition = paper.edition();
        List<Examined.Row> in = paper.rows();
        Grading grading = edition.assessment().grading();
        Fraction pass = grading.pass();
        Codes codes = new Codes(paper);
        Scores scores = codes.all();
        Figures figures = Figures.of(scores);
        Undecided undecided = undecided(paper);
        List<Marked> below = below(in);
        return new ExamineView(
                edition.number(),
                figures.test(),
                paper.possible().toExact(),
                ScoreRange.of(figures.test(), paper.possible()).orElse(null),
                ResultsMean.of(edition, in, figures.test().mean().value()),
                undecided.marks(),
                undecided.mean().toDecimal(2),
                count(paper, b -> !b.said()),
                count(paper, b -> true),
                time(in),
                Histogram.of(percents(in)).tenths(),
                thresholds(grading),
                lines(paper, asked(paper, figures.items(), codes), ItemDifference.of(scores, paper.sectionOfEach())),
                pass == null ? null : pass.toExact(),
                below.size(),
                below.stream().limit(MOST_BELOW).map(Examination::below).toList());
    }

    /** The same attempts with where each stands, for what leaves. */
    @Transactional(readOnly = true)
    public Ranked ranked(Edition latest, @Nullable UUID section) {
        Examined paper = examined.read(latest, section);
        return new Ranked(
                paper.edition(),
                paper.rows().stream().map(Examined.Row::marked).toList(),
                Standing.of(new Codes(paper).all()),
                paper.sections());
    }

    private static List<Threshold> thresholds(Grading grading) {
        List<Threshold> all = new ArrayList<>();
        if (grading.pass() != null) {
            all.add(new Threshold(grading.pass().toExact(), null, Histogram.tenthOf(grading.pass())));
        }
        grading.bands().stream()
                .filter(b -> b.from().signum() > 0)
                .sorted(Comparator.comparing(Grading.Band::from))
                .forEach(b -> all.add(new Threshold(b.from().toExact(), b.label(), Histogram.tenthOf(b.from()))));
        return all;
    }

    private static ExamineView nothing() {
        return new ExamineView(
                0,
                TestMeasures.of(Scores.of(List.of())),
                "0",
                null,
                null,
                0,
                "0",
                0,
                0,
                null,
                new int[10],
                List.of(),
                List.of(),
                null,
                0,
                List.of());
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

    /** An item that not everybody was drawn is measured on those who were asked it. */
    static List<ItemMeasures> asked(Examined paper, List<ItemMeasures> measures, Codes codes) {
        if (paper.rows().stream().allMatch(r -> r.attempt().leftOut().isEmpty())) {
            return measures;
        }
        List<ItemMeasures> all = new ArrayList<>();
        for (int j = 0; j < measures.size(); j++) {
            String item = paper.items().get(j).id();
            int[] asked = paper.asked(item);
            if (asked.length == paper.rows().size()) {
                all.add(measures.get(j));
            } else if (asked.length == 0) {
                all.add(ItemMeasures.none(item, "nobody was asked it"));
            } else {
                all.add(Figures.of(codes.some(asked)).items().get(j));
            }
        }
        return all;
    }

    private interface Holds {
        boolean of(Brief brief);
    }

    /** How many answers to questions that count and were asked. */
    private static int count(Examined paper, Holds holds) {
        int n = 0;
        for (int j = 0; j < paper.items().size(); j++) {
            Item item = paper.items().get(j);
            if (!paper.isDropped(item)) {
                for (Examined.Row row : paper.rows()) {
                    n += row.wasAsked(item.id()) && holds.of(row.marks().get(j)) ? 1 : 0;
                }
            }
        }
        return n;
    }

    private static Undecided undecided(Examined paper) {
        List<Fraction> open = new ArrayList<>();
        for (int j = 0; j < paper.items().size(); j++) {
            Item item = paper.items().get(j);
            if (!paper.isDropped(item)) {
                for (Examined.Row row : paper.rows()) {
                    if (row.marks().get(j).mark().state().isUndecided()) {
                        open.add(item.points());
                    }
                }
            }
        }
        return Undecided.of(open, paper.rows().size());
    }

    private static @Nullable TimeTaken time(List<Examined.Row> in) {
        List<Fraction> minutes = new ArrayList<>();
        for (Examined.Row row : in) {
            Attempt a = row.attempt();
            if (a.way() == Attempt.Way.SCREEN && a.handedInAt() != null) {
                minutes.add(Fraction.of(
                        Duration.between(a.startedAt(), a.handedInAt()).toSeconds(), 60));
            }
        }
        return Spread.of(minutes)
                .map(s -> new TimeTaken(s.n(), s.q1().toFixed(1), s.median().toFixed(1), s.q3().toFixed(1)))
                .orElse(null);
    }

    private static List<ItemLine> lines(Examined paper, List<ItemMeasures> measures, List<ItemDifference> differences) {
        Edition edition = paper.edition();
        List<ItemLine> lines = new ArrayList<>();
        int each = measures.isEmpty() ? 0 : differences.size() / measures.size();
        for (int j = 0; j < measures.size(); j++) {
            Item item = paper.items().get(j);
            boolean dropped = paper.isDropped(item);
            ItemMeasures m = dropped ? ItemMeasures.none(item.id(), "left out of the paper") : measures.get(j);
            List<ItemDifference> own = dropped ? List.of() : differences.subList(j * each, (j + 1) * each);
            lines.add(new ItemLine(
                    item.id(),
                    edition.numberOf(item.id()),
                    item.asked(),
                    item.points().toExact(),
                    dropped,
                    edition.assessment().adjustment(item.id()).map(Enum::name).orElse(null),
                    expected(edition, item),
                    m,
                    optionTexts(item),
                    Flag.of(m, item instanceof ChoiceItem c && c.max() == 1, own, id -> label(item, id)).stream()
                            .map(f -> new FlagView(
                                    f.flag().word(),
                                    f.flag().shown(),
                                    f.because(),
                                    f.flag().remedies()))
                            .toList()));
        }
        return lines;
    }

    private static @Nullable String expected(Edition edition, Item item) {
        Fraction share = edition.file().particulars(item.id()).difficulty();
        return share == null ? null : share.toDecimal(4);
    }

    private static String label(Item item, String option) {
        int place = item instanceof ChoiceItem c
                ? c.options().stream().map(ChoiceItem.Option::id).toList().indexOf(option)
                : -1;
        return place < 0 ? option : optionTexts(item).get(place);
    }

    /** What the options say, in the order of the measures' option table. */
    static List<String> optionTexts(Item item) {
        return item instanceof ChoiceItem c
                ? c.options().stream()
                        .map(o -> o.text().isBlank() ? o.id() : o.text())
                        .toList()
                : List.of();
    }

    private static List<Fraction> percents(List<Examined.Row> in) {
        List<Fraction> all = new ArrayList<>();
        for (Examined.Row row : in) {
            String percent = row.marked().standing().percent();
            if (percent != null) {
                all.add(Fraction.exactly(percent));
            }
        }
        return all;
    }

    private static List<Marked> below(List<Examined.Row> in) {
        return in.stream()
                .map(Examined.Row::marked)
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
