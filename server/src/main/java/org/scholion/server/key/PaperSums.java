package org.scholion.server.key;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.scholion.core.draw.Draw;
import org.scholion.core.draw.Drawing;
import org.scholion.core.number.Fraction;
import org.scholion.core.standard.Framework;
import org.scholion.formats.assessment.FrameworkReader;
import org.scholion.formats.assessment.LayoutReader;
import org.scholion.formats.json.Cursor;
import tools.jackson.databind.JsonNode;

/**
 * What a key comes to while it is written: an item that is not finished counts with what is there of it. What is no
 * number counts nothing here; it is named as a fault elsewhere.
 *
 * @param minutes the time asked; {@code untimed} items say none
 * @param covered every standard of the frameworks with its items and points, those below it included
 */
record PaperSums(
        int questions,
        String points,
        String minutes,
        int untimed,
        List<PartSum> parts,
        @Nullable String weights,
        List<Covered> covered,
        List<DrawReport> draws) {

    record PartSum(String part, int items, String points) {}

    record Covered(String code, String text, int level, int items, String points) {}

    /**
     * How fair the alternatives of a draw are: the mean expected difficulty of each of many draws.
     *
     * @param lacks what the pool lacks, in words; then there is nothing else to say
     */
    record DrawReport(
            String id,
            int pool,
            List<String> lacks,
            int drawn,
            @Nullable String hardest,
            @Nullable String easiest,
            @Nullable String mean,
            int unknown) {}

    private static final int DRAWS = 200;

    static PaperSums of(JsonNode whole) {
        List<JsonNode> items = new ArrayList<>();
        whole.path("items").forEach(i -> {
            if (!i.path("kind").asString("").equals("passage")) {
                items.add(i);
            }
        });
        List<Framework> frameworks = new ArrayList<>();
        whole.path("frameworks").forEach(f -> frameworks.add(FrameworkReader.read(Cursor.at(f))));
        Map<String, List<JsonNode>> drawn = new LinkedHashMap<>();
        items.forEach(i -> drawn.computeIfAbsent(i.path("draw").asString(""), d -> new ArrayList<>())
                .add(i));
        List<Draw> draws = LayoutReader.draws(whole);
        List<JsonNode> asked = asked(items, drawn, draws);
        List<JsonNode> counting = counting(whole, asked);
        return new PaperSums(
                asked.size(),
                sum(counting, "points").toExact(),
                sum(asked, "minutes").toExact(),
                (int) asked.stream().filter(i -> !i.hasNonNull("minutes")).count(),
                parts(whole, asked, counting),
                weights(whole),
                covered(items, drawn, draws, frameworks),
                draws.stream()
                        .map(d -> report(d, drawn.getOrDefault(d.id(), List.of()), frameworks))
                        .toList());
    }

    /** Of a draw only as many items are asked as are drawn; they are worth the same, so the first stand for all. */
    private static List<JsonNode> asked(List<JsonNode> items, Map<String, List<JsonNode>> drawn, List<Draw> draws) {
        List<JsonNode> asked = new ArrayList<>(items);
        for (Draw draw : draws) {
            List<JsonNode> pool = drawn.getOrDefault(draw.id(), List.of());
            asked.removeAll(pool.subList(Math.min(draw.take(), pool.size()), pool.size()));
        }
        return asked;
    }

    /**
     * What the maximum is made of: not what is dropped or a bonus, and of a part that counts only its best, as many as
     * count; they have the same points, so the first stand for all.
     */
    private static List<JsonNode> counting(JsonNode whole, List<JsonNode> asked) {
        Set<String> beside = new HashSet<>();
        whole.path("adjustments").forEach(a -> {
            if (List.of("drop", "bonus").contains(a.path("do").asString(""))) {
                beside.add(a.path("item").asString(""));
            }
        });
        List<JsonNode> counting = new ArrayList<>(asked);
        counting.removeIf(i -> beside.contains(i.path("id").asString("")));
        whole.path("parts").forEach(part -> {
            List<JsonNode> own = inside(part, counting);
            int best = part.path("best").asInt(own.size());
            counting.removeAll(own.subList(Math.min(best, own.size()), own.size()));
        });
        return counting;
    }

    private static List<JsonNode> inside(JsonNode part, List<JsonNode> items) {
        return items.stream()
                .filter(i -> i.path("part").asString("").equals(part.path("id").asString("")))
                .toList();
    }

    private static Fraction sum(List<JsonNode> items, String field) {
        Fraction sum = Fraction.ZERO;
        for (JsonNode item : items) {
            sum = sum.plus(number(item.path(field)));
        }
        return sum;
    }

    private static Fraction number(JsonNode node) {
        return Fraction.parse(node.asString("")).orElse(Fraction.ZERO);
    }

    private static List<PartSum> parts(JsonNode whole, List<JsonNode> asked, List<JsonNode> counting) {
        List<PartSum> sums = new ArrayList<>();
        whole.path("parts").forEach(part -> {
            sums.add(new PartSum(
                    part.path("id").asString(""),
                    inside(part, asked).size(),
                    sum(inside(part, counting), "points").toExact()));
        });
        return sums;
    }

    /** What the weights of the parts sum to; null where no part has one. */
    static @Nullable String weights(JsonNode whole) {
        List<JsonNode> parts = new ArrayList<>();
        whole.path("parts").forEach(parts::add);
        return parts.stream().anyMatch(p -> p.hasNonNull("weight"))
                ? sum(parts, "weight").toExact()
                : null;
    }

    /** What everybody is asked on a standard: of a draw, what it holds whichever way it falls. */
    private static List<Covered> covered(
            List<JsonNode> items, Map<String, List<JsonNode>> drawn, List<Draw> draws, List<Framework> frameworks) {
        List<Covered> covered = new ArrayList<>();
        Set<JsonNode> pooled = new HashSet<>();
        draws.forEach(d -> pooled.addAll(drawn.getOrDefault(d.id(), List.of())));
        for (Framework framework : frameworks) {
            Map<String, List<JsonNode>> byCode = new LinkedHashMap<>();
            items.forEach(i -> ItemCodes.withAbove(i, List.of(framework))
                    .forEach(c ->
                            byCode.computeIfAbsent(c, x -> new ArrayList<>()).add(i)));
            for (Framework.Standard s : framework.standards()) {
                List<JsonNode> on = byCode.getOrDefault(s.code(), List.of());
                List<JsonNode> sure = new ArrayList<>(
                        on.stream().filter(i -> !pooled.contains(i)).toList());
                draws.forEach(d -> sure.addAll(surely(d, drawn.getOrDefault(d.id(), List.of()), on, s.code())));
                covered.add(new Covered(
                        s.code(),
                        s.text(),
                        framework.withAbove(s.code()).size(),
                        sure.size(),
                        sum(sure, "points").toExact()));
            }
        }
        return covered;
    }

    /** As many of a pool's items on a standard as every draw has; they are worth the same, so the first stand for all. */
    private static List<JsonNode> surely(Draw draw, List<JsonNode> pool, List<JsonNode> on, String code) {
        List<JsonNode> own = pool.stream().filter(on::contains).toList();
        int others = pool.size() - own.size();
        int quota = draw.quotas().stream()
                .filter(q -> q.code().equals(code))
                .mapToInt(Draw.Quota::take)
                .sum();
        int sure = Math.max(0, Math.max(draw.take() - others, quota));
        return own.subList(0, Math.min(sure, own.size()));
    }

    private static DrawReport report(Draw draw, List<JsonNode> items, List<Framework> frameworks) {
        List<Draw.Candidate> pool = items.stream()
                .map(i -> new Draw.Candidate(
                        i.path("id").asString(""),
                        ItemCodes.withAbove(i, frameworks),
                        Fraction.parse(i.path("difficulty").asString("")).orElse(null)))
                .toList();
        List<String> lacks = draw.lacks(pool);
        if (!lacks.isEmpty()) {
            return new DrawReport(draw.id(), pool.size(), lacks, 0, null, null, null, 0);
        }
        Drawing.Fairness f = new Drawing(draw, pool).fairness(DRAWS);
        return new DrawReport(
                draw.id(),
                pool.size(),
                lacks,
                f.drawn(),
                two(f.hardest()),
                two(f.easiest()),
                two(f.mean()),
                f.unknown());
    }

    private static @Nullable String two(@Nullable Fraction share) {
        return share == null ? null : share.rounded(2).toExact();
    }
}
