package org.scholion.server.ledger;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.core.item.OpenItem;
import org.scholion.core.number.Fraction;
import org.scholion.core.reason.Reason;
import org.scholion.core.rubric.Reading;
import org.scholion.core.rubric.Resolving;
import org.scholion.core.score.Mark;
import org.scholion.core.score.State;
import org.scholion.server.platform.JsonColumn;
import tools.jackson.databind.JsonNode;

/**
 * Readings of one answer by several people, as its mark keeps them, and the rule by which they count.
 *
 * @param readings in the order in which they were begun; the third one is last
 */
public record ReadTwice(Resolving rule, List<ByReader> readings) {

    /**
     * What one reader chose and says.
     *
     * @param third whether it decides between two that lie apart, made by somebody who has seen both
     */
    public record ByReader(
            UUID person,
            String name,
            Map<String, String> levels,
            @Nullable String points,
            String why,
            String comment,
            String note,
            boolean held,
            boolean third,
            List<Remark> remarks) {

        Reading reading() {
            return new Reading(
                    levels, points == null ? null : Fraction.parse(points).orElse(null), why);
        }

        /** As a mark keeps it that was made by this reading alone. */
        public Map<String, Object> plain() {
            Map<String, Object> plain = new LinkedHashMap<>();
            plain.put("levels", levels);
            if (points != null) {
                plain.put("points", points);
                plain.put("why", why);
            }
            plain.put("comment", comment);
            plain.put("note", note);
            plain.put("held", held);
            plain.put("remarks", Remark.plain(remarks));
            return plain;
        }

        /** What it would be worth by itself. */
        public Mark markOf(OpenItem item) {
            return reading().under(item).markOf(item);
        }

        /** Whether it says what the answer is worth. */
        public boolean isComplete(OpenItem item) {
            return !held && markOf(item).state() == State.SCORED;
        }
    }

    public ReadTwice {
        readings = List.copyOf(readings);
    }

    /** The readings that a mark keeps; of a single reading that one, where it is complete. */
    public static ReadTwice of(Resolving rule, LedgerMark mark, OpenItem item) {
        JsonNode kept = mark.reading();
        if (kept == null) {
            return new ReadTwice(rule, List.of());
        }
        if (kept.has("readings")) {
            return new ReadTwice(rule, readers(kept));
        }
        if (mark.person() == null) {
            return new ReadTwice(rule, List.of());
        }
        ByReader alone = reader(kept, mark.person(), String.valueOf(mark.personName()));
        return new ReadTwice(rule, alone.isComplete(item) ? List.of(alone) : List.of());
    }

    /** The same with the rule that the mark was made by; empty where one person's reading counts by itself. */
    static Optional<ReadTwice> in(LedgerMark mark) {
        JsonNode kept = mark.reading();
        if (kept == null || !kept.has("readings")) {
            return Optional.empty();
        }
        String apart = kept.path("apart").asString(null);
        Resolving rule = new Resolving(
                Resolving.Way.valueOf(kept.path("way").asString("")), apart == null ? null : Fraction.exactly(apart));
        return Optional.of(new ReadTwice(rule, readers(kept)));
    }

    private static List<ByReader> readers(JsonNode kept) {
        return kept.get("readings").valueStream().map(ReadTwice::reader).toList();
    }

    public Optional<ByReader> by(UUID person, boolean third) {
        return readings.stream()
                .filter(r -> r.third() == third && r.person().equals(person))
                .findFirst();
    }

    /** Those of others that say what the answer is worth. */
    public List<ByReader> others(UUID person, OpenItem item) {
        return readings.stream()
                .filter(r -> !r.person().equals(person) && r.isComplete(item))
                .toList();
    }

    /** With one reader's in place of what they had; a third one stands last. */
    public ReadTwice with(ByReader one) {
        List<ByReader> all = new ArrayList<>(readings);
        int at = by(one.person(), one.third()).map(all::indexOf).orElse(-1);
        if (at >= 0) {
            all.set(at, one);
        } else {
            all.add(one);
        }
        all.sort((a, b) -> Boolean.compare(a.third(), b.third()));
        return new ReadTwice(rule, all);
    }

    /** What they come to. */
    public Mark markOf(OpenItem item) {
        return rule.of(
                item,
                readings.stream()
                        .filter(r -> r.isComplete(item))
                        .map(r -> r.reading().under(item))
                        .toList());
    }

    /** Who made the readings that count, in words; nobody while it waits. */
    Optional<String> whoCounts(OpenItem item) {
        List<ByReader> complete =
                readings.stream().filter(r -> r.isComplete(item)).toList();
        return rule
                .countingOf(
                        item,
                        complete.stream().map(r -> r.reading().under(item)).toList())
                .stream()
                .map(i -> complete.get(i).name())
                .distinct()
                .reduce((a, b) -> a + ", " + b);
    }

    /** Whether two complete readings wait for a third. */
    public boolean isApart(OpenItem item) {
        return readings.stream().filter(r -> r.isComplete(item)).count() == 2
                && markOf(item).state() == State.READ;
    }

    /** Whether two readers chose differently. */
    public boolean differ(OpenItem item) {
        List<ByReader> complete =
                readings.stream().filter(r -> r.isComplete(item)).toList();
        return complete.stream()
                .anyMatch(r -> !r.levels().equals(complete.get(0).levels())
                        || !Objects.equals(r.points(), complete.get(0).points()));
    }

    /** What one reader has to say: a third reading that is theirs, or else their own one. */
    public Optional<ByReader> of(UUID person) {
        return by(person, true).or(() -> by(person, false));
    }

    /** Whether a reader has made their own reading, after which they see the others'. */
    public boolean isMadeBy(UUID person, OpenItem item) {
        return by(person, false)
                .or(() -> by(person, true))
                .filter(r -> r.isComplete(item))
                .isPresent();
    }

    /** The mark as one reader sees it: with their own reading, and before that is made with nothing of the others'. */
    public LedgerMark seenBy(UUID person, LedgerMark m, OpenItem item) {
        JsonNode own = of(person).map(r -> JsonColumn.node(r.plain())).orElse(null);
        boolean made = isMadeBy(person, item);
        return new LedgerMark(
                m.attempt(),
                m.item(),
                m.seq(),
                made ? m.mark() : Mark.unread(Reason.of(Reason.Code.OPEN_WAITS)),
                m.edition(),
                made ? m.person() : null,
                made ? m.personName() : null,
                own,
                m.at(),
                made ? m.takenBack() : null);
    }

    /** As the mark keeps it, with the words of one of them as those of the mark itself. */
    public JsonNode kept(ByReader last) {
        Map<String, Object> kept = last.plain();
        kept.put("comment", String.join("\n\n", comments()));
        kept.put("remarks", Remark.plain(remarks()));
        kept.put("readings", readings.stream().map(ReadTwice::whole).toList());
        kept.put("way", rule.way().name());
        if (rule.apart() != null) {
            kept.put("apart", rule.apart().toExact());
        }
        return JsonColumn.node(kept);
    }

    private List<String> comments() {
        return readings.stream()
                .map(r -> r.comment().strip())
                .filter(c -> !c.isEmpty())
                .distinct()
                .toList();
    }

    private List<Remark> remarks() {
        return readings.stream()
                .flatMap(r -> r.remarks().stream())
                .distinct()
                .sorted(Comparator.comparingInt(Remark::from).thenComparingInt(Remark::to))
                .toList();
    }

    private static Map<String, Object> whole(ByReader r) {
        Map<String, Object> whole = r.plain();
        whole.put("person", r.person().toString());
        whole.put("name", r.name());
        whole.put("third", r.third());
        return whole;
    }

    private static ByReader reader(JsonNode node) {
        return reader(
                node,
                UUID.fromString(node.path("person").asString("")),
                node.path("name").asString(""));
    }

    private static ByReader reader(JsonNode node, UUID person, String name) {
        Map<String, String> levels = new LinkedHashMap<>();
        JsonNode chosen = node.path("levels");
        chosen.propertyNames().forEach(c -> levels.put(c, chosen.path(c).asString("")));
        return new ByReader(
                person,
                name,
                levels,
                node.hasNonNull("points") ? node.get("points").stringValue() : null,
                node.path("why").asString(""),
                node.path("comment").asString(""),
                node.path("note").asString(""),
                node.path("held").asBoolean(false),
                node.path("third").asBoolean(false),
                Remark.in(node));
    }
}
