package org.scholion.server.read;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.core.item.OpenItem;
import org.scholion.core.item.Rubric;
import org.scholion.core.number.Fraction;
import org.scholion.core.rubric.Agreement;
import org.scholion.core.rubric.Agreement.Pair;
import org.scholion.server.access.Access;
import org.scholion.server.ledger.Ledger;
import org.scholion.server.ledger.LedgerMark;
import org.scholion.server.ledger.MarkedPaper;
import org.scholion.server.ledger.MarkedPapers;
import org.scholion.server.ledger.ReadTwice;
import org.scholion.server.ledger.ReadTwice.ByReader;
import org.scholion.server.platform.Me;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** How far two readers agree on the answers that both have read. */
@Service
class ReadersAgree {
    private final MarkedPapers papers;
    private final SecondReadings seconds;
    private final Ledger ledger;
    private final Access access;

    ReadersAgree(MarkedPapers papers, SecondReadings seconds, Ledger ledger, Access access) {
        this.papers = papers;
        this.seconds = seconds;
        this.ledger = ledger;
        this.access = access;
    }

    /**
     * Two readers on one criterion.
     *
     * @param n answers that both have read
     * @param same of how many they chose the same level, {@code near} the same or one beside it
     * @param kappa quadratically weighted, with two decimals; null where it cannot be worked out
     * @param stricter who gives less, and {@code by} how many points on average; null where neither does
     */
    record ReadersView(
            String first,
            String second,
            String criterion,
            int n,
            int same,
            int near,
            @Nullable String kappa,
            @Nullable String stricter,
            String by) {}

    @Transactional(readOnly = true)
    List<ReadersView> of(Me me, UUID assessment, String itemId, @Nullable UUID section) {
        access.require(me, Access.Action.READ_ANSWERS, assessment);
        SecondReadingRow row = seconds.of(assessment).get(itemId);
        MarkedPaper paper = papers.find(assessment, section).orElse(null);
        if (row == null
                || paper == null
                || !(paper.edition().assessment().item(itemId).orElse(null) instanceof OpenItem item)) {
            return List.of();
        }
        List<UUID> some = paper.attempts().stream()
                .map(m -> m.attempt().id())
                .filter(row::isOf)
                .toList();
        Map<List<UUID>, List<List<ByReader>>> pairs = new LinkedHashMap<>();
        ledger.currentOf(some, Set.of(itemId)).values().forEach(marks -> {
            LedgerMark mark = marks.get(itemId);
            List<ByReader> both = mark == null ? List.of() : both(ReadTwice.of(row.rule(), mark, item), item);
            if (both.size() == 2) {
                pairs.computeIfAbsent(both.stream().map(ByReader::person).toList(), p -> new ArrayList<>())
                        .add(both);
            }
        });
        List<ReadersView> all = new ArrayList<>();
        pairs.values().forEach(read -> item.criteria().forEach(c -> all.add(view(c, read))));
        return all;
    }

    /** The first two that are complete, always in the same order. */
    private static List<ByReader> both(ReadTwice twice, OpenItem item) {
        return twice.readings().stream()
                .filter(r -> !r.third() && r.isComplete(item))
                .limit(2)
                .sorted(Comparator.comparing(ByReader::name).thenComparing(ByReader::person))
                .toList();
    }

    private static ReadersView view(Rubric.Criterion criterion, List<List<ByReader>> read) {
        List<String> names = read.get(0).stream().map(ByReader::name).toList();
        List<Pair> pairs = read.stream()
                .filter(both -> both.stream()
                        .allMatch(r -> criterion
                                .level(r.levels().getOrDefault(criterion.id(), ""))
                                .isPresent()))
                .map(both -> new Pair(
                        both.get(0).levels().getOrDefault(criterion.id(), ""),
                        both.get(1).levels().getOrDefault(criterion.id(), "")))
                .toList();
        Agreement a = Agreement.of(criterion, pairs);
        Fraction apart = a.meanDifference() == null ? Fraction.ZERO : a.meanDifference();
        return new ReadersView(
                names.get(0),
                names.get(1),
                criterion.title(),
                a.n(),
                count(a.exact(), a.n()),
                count(a.adjacent(), a.n()),
                a.kappa() == null
                        ? null
                        : BigDecimal.valueOf(a.kappa())
                                .setScale(2, RoundingMode.HALF_UP)
                                .toPlainString(),
                apart.isZero() ? null : names.get(apart.signum() > 0 ? 1 : 0),
                apart.abs().toDecimal(2));
    }

    private static int count(@Nullable Fraction share, int n) {
        return share == null ? 0 : Integer.parseInt(share.times(n).toDecimal(0));
    }
}
