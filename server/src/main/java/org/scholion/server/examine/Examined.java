package org.scholion.server.examine;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.scholion.core.item.Item;
import org.scholion.core.number.Fraction;
import org.scholion.core.total.Adjustment;
import org.scholion.server.key.Edition;
import org.scholion.server.ledger.Attempt;
import org.scholion.server.ledger.Brief;
import org.scholion.server.ledger.Marked;
import org.scholion.server.ledger.MarkedPaper;

/**
 * What is examined: each student once, with the attempt that stands for them and its marks in brief.
 *
 * @param rows by section and family name
 * @param sections what the sections of the rows are called, in that order
 */
record Examined(Edition edition, List<Row> rows, Map<UUID, String> sections) {

    /** An attempt with its marks in brief, in the order of the paper. */
    record Row(Marked marked, List<Brief> marks) {
        Attempt attempt() {
            return marked.attempt();
        }

        UUID id() {
            return attempt().id();
        }

        boolean wasAsked(String item) {
            return !attempt().leftOut().contains(item);
        }
    }

    static Examined of(MarkedPaper paper, Map<UUID, String> names) {
        Map<UUID, String> sections = new LinkedHashMap<>();
        names.entrySet().stream()
                .sorted(Map.Entry.comparingByValue())
                .forEach(e -> sections.put(e.getKey(), e.getValue()));
        List<UUID> order = List.copyOf(sections.keySet());
        return new Examined(
                paper.edition(),
                paper.attempts().stream()
                        .map(m -> new Row(m, m.marks()))
                        .sorted(Comparator.comparing(
                                r -> order.indexOf(r.attempt().section())))
                        .toList(),
                sections);
    }

    /** The same answers with some of their marks made otherwise, under another edition of the same items. */
    Examined under(Edition other, Map<UUID, Map<String, Brief>> moved) {
        List<Row> all = rows.stream()
                .map(r -> {
                    Map<String, Brief> own = moved.getOrDefault(r.id(), Map.of());
                    List<Brief> marks = new ArrayList<>(r.marks());
                    own.forEach((item, brief) -> marks.set(place(item), brief));
                    return new Row(r.marked(), marks);
                })
                .toList();
        return new Examined(other, all, sections);
    }

    /** The section of each row, as it is called. */
    List<@Nullable String> sectionOfEach() {
        return rows.stream()
                .map(r -> sections.get(r.attempt().section()))
                .collect(Collectors.toCollection(ArrayList::new));
    }

    List<Item> items() {
        return edition.items();
    }

    /** The place of an item on the paper; below 0 for none. */
    int place(String item) {
        return IntStream.range(0, items().size())
                .filter(j -> items().get(j).id().equals(item))
                .findFirst()
                .orElse(-1);
    }

    /** The places of those who were asked this item. */
    int[] asked(String item) {
        return IntStream.range(0, rows.size())
                .filter(i -> rows.get(i).wasAsked(item))
                .toArray();
    }

    /** The places of the attempts of one section; of all where none is named. */
    int[] ofSection(@Nullable UUID section) {
        return IntStream.range(0, rows.size())
                .filter(i -> section == null || rows.get(i).attempt().section().equals(section))
                .toArray();
    }

    boolean isDropped(Item item) {
        return edition.assessment()
                .adjustment(item.id())
                .filter(k -> k == Adjustment.Kind.DROP)
                .isPresent();
    }

    /** What a total is out of: with a draw for each student everybody is asked another part, worth the same. */
    Fraction possible() {
        return items().stream()
                .filter(i -> !isDropped(i))
                .filter(i -> rows.isEmpty() || rows.get(0).wasAsked(i.id()))
                .map(Item::points)
                .reduce(Fraction.ZERO, Fraction::plus);
    }
}
