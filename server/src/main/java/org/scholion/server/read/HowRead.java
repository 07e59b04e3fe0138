package org.scholion.server.read;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.core.item.OpenItem;
import org.scholion.core.item.Rubric;
import org.scholion.core.measure.Spread;
import org.scholion.core.number.Fraction;
import org.scholion.core.rubric.Drift;
import org.scholion.core.rubric.Resolving;
import org.scholion.core.score.ReadOtherwise;
import org.scholion.server.access.Access;
import org.scholion.server.ledger.Attempt;
import org.scholion.server.ledger.Attempts;
import org.scholion.server.ledger.ByHand;
import org.scholion.server.ledger.Ledger;
import org.scholion.server.ledger.LedgerMark;
import org.scholion.server.ledger.ReadTwice;
import org.scholion.server.platform.Me;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** How a pile was read: the levels by reader and section, one's own drift, and the answers that another look may be given. */
@Service
class HowRead {
    private static final int MOST_OTHERWISE = 20;
    private static final int DIGITS = 2;

    private final Readings readings;
    private final Attempts attempts;
    private final Ledger ledger;
    private final SecondReadings seconds;
    private final Access access;

    HowRead(Readings readings, Attempts attempts, Ledger ledger, SecondReadings seconds, Access access) {
        this.readings = readings;
        this.attempts = attempts;
        this.ledger = ledger;
        this.seconds = seconds;
        this.access = access;
    }

    /** Whose readings, or of which answers. */
    enum Of {
        ALL,
        READER,
        SECTION
    }

    /**
     * Readings together.
     *
     * @param name the reader's; null for all, and for a section
     * @param mean in points, with two decimals
     * @param levels by criterion how often each level was chosen, in the rubric's order
     */
    record ReadColumn(
            Of of, @Nullable String name, @Nullable UUID section, int n, String mean, List<List<Integer>> levels) {}

    /** @param each so many answers on both sides; means in points, with two decimals */
    record DriftView(int each, String first, String last) {}

    /**
     * An answer that was given something else than those with much the same words.
     *
     * @param place its place in the usual order
     * @param points what it was given, {@code theirs} what those like it were given on average
     */
    record OtherwiseView(int place, @Nullable String name, String text, String points, String theirs, String like) {}

    /** @param drift one's own; null of few readings */
    record HowReadView(
            int read,
            int answers,
            List<ReadColumn> columns,
            @Nullable DriftView drift,
            List<OtherwiseView> otherwise) {}

    private record One(Attempt attempt, int place, LedgerMark mark, List<ReadTwice.ByReader> readers) {
        Fraction credit() {
            return mark.mark().credit();
        }
    }

    /** @param names whether names of students are told */
    @Transactional(readOnly = true)
    HowReadView of(Me me, UUID assessment, String itemId, @Nullable UUID section, boolean names) {
        access.require(me, names ? Access.Action.WORK_ON_ASSESSMENT : Access.Action.READ_ANSWERS, assessment);
        OpenItem item = readings.open(assessment, itemId);
        List<Readings.Given> usual = readings.usual(me, assessment, section, item, names);
        List<One> read = read(assessment, item, usual);
        List<ReadColumn> columns = new ArrayList<>();
        columns.add(
                column(Of.ALL, null, null, item, read.stream().map(One::credit).toList(), levels(read, null)));
        byReader(item, read).forEach(columns::add);
        bySection(item, read).forEach(columns::add);
        return new HowReadView(read.size(), usual.size(), columns, drift(me, item, read), otherwise(item, read, names));
    }

    private List<One> read(UUID assessment, OpenItem item, List<Readings.Given> usual) {
        List<UUID> ids = usual.stream().map(g -> g.attempt().id()).toList();
        Map<UUID, Map<String, LedgerMark>> marks = ledger.currentOf(ids, Set.of(item.id()));
        SecondReadingRow second = seconds.of(assessment).get(item.id());
        // Which readings there are does not hang on the rule by which they count.
        Resolving rule = second == null ? new Resolving(Resolving.Way.FIRST, null) : second.rule();
        List<One> read = new ArrayList<>();
        for (int i = 0; i < usual.size(); i++) {
            Attempt attempt = usual.get(i).attempt();
            LedgerMark mark = marks.getOrDefault(attempt.id(), Map.of()).get(item.id());
            // What was overruled was decided without a reading.
            if (mark != null && mark.byPerson() && !mark.mark().state().isUndecided() && !ByHand.isOverruled(mark)) {
                List<ReadTwice.ByReader> readers = ReadTwice.of(rule, mark, item).readings().stream()
                        .filter(r -> r.isComplete(item))
                        .toList();
                read.add(new One(attempt, i, mark, readers));
            }
        }
        return read;
    }

    private static List<ReadTwice.ByReader> levels(List<One> read, @Nullable UUID section) {
        return read.stream()
                .filter(one -> section == null || one.attempt().section().equals(section))
                .flatMap(one -> one.readers().stream())
                .toList();
    }

    private static List<ReadColumn> byReader(OpenItem item, List<One> read) {
        Map<UUID, List<ReadTwice.ByReader>> byReader = new LinkedHashMap<>();
        levels(read, null)
                .forEach(r -> byReader.computeIfAbsent(r.person(), p -> new ArrayList<>())
                        .add(r));
        return byReader.values().stream()
                .map(some -> column(
                        Of.READER,
                        some.get(0).name(),
                        null,
                        item,
                        some.stream().map(r -> r.markOf(item).credit()).toList(),
                        some))
                .sorted(Comparator.comparing(c -> Objects.requireNonNull(c.name())))
                .toList();
    }

    private static List<ReadColumn> bySection(OpenItem item, List<One> read) {
        Map<UUID, List<Fraction>> bySection = new LinkedHashMap<>();
        read.forEach(one -> bySection
                .computeIfAbsent(one.attempt().section(), s -> new ArrayList<>())
                .add(one.credit()));
        return bySection.entrySet().stream()
                .map(e -> column(Of.SECTION, null, e.getKey(), item, e.getValue(), levels(read, e.getKey())))
                .toList();
    }

    private static ReadColumn column(
            Of of,
            @Nullable String name,
            @Nullable UUID section,
            OpenItem item,
            List<Fraction> credits,
            List<ReadTwice.ByReader> readers) {
        String mean = Spread.of(credits).map(s -> points(item, s.mean())).orElse("0");
        List<List<Integer>> levels = item.criteria().stream()
                .map(c -> c.levels().stream().map(l -> chosen(readers, c, l)).toList())
                .toList();
        return new ReadColumn(of, name, section, credits.size(), mean, levels);
    }

    private static int chosen(List<ReadTwice.ByReader> readers, Rubric.Criterion criterion, Rubric.Level level) {
        return (int) readers.stream()
                .filter(r -> level.id().equals(r.levels().get(criterion.id())))
                .count();
    }

    /** Of those that the reader was the last to read. */
    private static @Nullable DriftView drift(Me me, OpenItem item, List<One> read) {
        List<Fraction> inTurn = read.stream()
                .filter(one -> me.id().equals(one.mark().person()))
                .sorted(Comparator.comparing((One one) -> one.mark().at()))
                .map(one -> one.readers().stream()
                        .filter(r -> r.person().equals(me.id()))
                        .findFirst()
                        .map(r -> r.markOf(item).credit())
                        .orElse(one.credit()))
                .toList();
        return Drift.of(inTurn)
                .map(d -> new DriftView(d.each(), points(item, d.first()), points(item, d.last())))
                .orElse(null);
    }

    private List<OtherwiseView> otherwise(OpenItem item, List<One> read, boolean names) {
        List<UUID> ids = read.stream().map(one -> one.attempt().id()).toList();
        Map<UUID, String> said = attempts.textsOf(ids, item);
        List<String> texts = ids.stream().map(id -> said.getOrDefault(id, "")).toList();
        return ReadOtherwise.in(texts, read.stream().map(One::credit).toList(), MOST_OTHERWISE).stream()
                .map(o -> {
                    One one = read.get(o.answer());
                    return new OtherwiseView(
                            one.place(),
                            names ? one.attempt().name() : null,
                            texts.get(o.answer()),
                            one.credit().times(item.points()).toExact(),
                            points(item, o.theirs()),
                            texts.get(o.others().get(0)));
                })
                .toList();
    }

    private static String points(OpenItem item, Fraction credit) {
        return credit.times(item.points()).toDecimal(DIGITS);
    }
}
