package org.scholion.server.read;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;
import org.scholion.core.item.OpenItem;
import org.scholion.core.rubric.Resolving;
import org.scholion.core.text.Alike;
import org.scholion.core.text.WordRuns;
import org.scholion.server.ledger.Attempts;
import org.scholion.server.ledger.Ledger;
import org.scholion.server.ledger.LedgerMark;
import org.scholion.server.ledger.ReadTwice;
import org.scholion.server.platform.Me;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;

/** The answers to one open question in the order in which somebody reads them, and of them those that they look at. */
@Component
class Pile {
    private final Attempts attempts;
    private final Ledger ledger;

    Pile(Attempts attempts, Ledger ledger) {
        this.attempts = attempts;
        this.ledger = ledger;
    }

    /** In which order. */
    enum Order {
        /** Without names by chance, the same at each visit; with them by name. */
        USUAL,
        /** The shortest first. */
        LENGTH,
        /** Those with the same words next to each other. */
        LIKENESS,
        SECTION
    }

    /** Which of them. */
    enum Show {
        ALL,
        UNREAD,
        HELD,
        /** Those that two readers have read differently. */
        DIFFER
    }

    /**
     * What is looked at.
     *
     * @param level a criterion and a level of it, as {@code c1:2}, that was chosen; null for whatever was chosen
     */
    record Choice(Order order, Show show, @Nullable String level) {}

    /** @param second set where two read the question: by what they chose each reader finds only what is their own */
    List<Readings.Given> of(
            Me me, OpenItem item, List<Readings.Given> usual, Choice choice, @Nullable SecondReadingRow second) {
        return ordered(item, shown(me, item, usual, choice, second), choice.order());
    }

    private List<Readings.Given> shown(
            Me me, OpenItem item, List<Readings.Given> all, Choice choice, @Nullable SecondReadingRow second) {
        List<Readings.Given> some = all;
        if (choice.show() == Show.UNREAD || choice.show() == Show.HELD) {
            some = some.stream().filter(Readings.Given::unread).toList();
        }
        String level = choice.level();
        if ((choice.show() == Show.ALL || choice.show() == Show.UNREAD) && level == null) {
            return some;
        }
        Map<UUID, Map<String, LedgerMark>> marks = ledger.currentOf(ids(some), Set.of(item.id()));
        Predicate<Readings.Given> fits = given -> {
            UUID attempt = given.attempt().id();
            LedgerMark mark = marks.getOrDefault(attempt, Map.of()).get(item.id());
            if (mark == null) {
                return false;
            }
            Resolving rule = SecondReadingRow.rule(second, attempt);
            ReadTwice twice = rule == null ? null : ReadTwice.of(rule, mark, item);
            LedgerMark own = twice == null ? mark : twice.seenBy(me.id(), mark, item);
            return switch (choice.show()) {
                        case DIFFER -> twice != null && twice.differ(item);
                        case HELD -> isHeld(own);
                        default -> true;
                    }
                    && (level == null || isAt(own, level));
        };
        return some.stream().filter(fits).toList();
    }

    private static boolean isHeld(LedgerMark mark) {
        JsonNode reading = mark.reading();
        return reading != null && reading.path("held").asBoolean(false);
    }

    private static boolean isAt(LedgerMark mark, String level) {
        int colon = level.lastIndexOf(':');
        return colon > 0 && level.substring(colon + 1).equals(mark.levels().get(level.substring(0, colon)));
    }

    private List<Readings.Given> ordered(OpenItem item, List<Readings.Given> some, Order order) {
        return switch (order) {
            case USUAL -> some;
            case SECTION ->
                some.stream()
                        .sorted(Comparator.comparing(given -> given.attempt().section()))
                        .toList();
            case LENGTH -> {
                Map<UUID, Integer> words = new HashMap<>();
                attempts.textsOf(ids(some), item)
                        .forEach((id, text) -> words.put(id, WordRuns.of(text).size()));
                yield some.stream()
                        .sorted(Comparator.comparing(given ->
                                Objects.requireNonNull(words.get(given.attempt().id()))))
                        .toList();
            }
            case LIKENESS -> {
                Map<UUID, String> texts = attempts.textsOf(ids(some), item);
                List<String> inTurn = some.stream()
                        .map(given ->
                                Objects.requireNonNull(texts.get(given.attempt().id())))
                        .toList();
                List<Readings.Given> alike = new ArrayList<>();
                Alike.order(inTurn).forEach(place -> alike.add(some.get(place)));
                yield alike;
            }
        };
    }

    private static List<UUID> ids(List<Readings.Given> some) {
        return some.stream().map(given -> given.attempt().id()).toList();
    }
}
