package org.scholion.server.testing;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;

/**
 * Totals once more, in plain decimals of fifty digits and without anything of the core: what an honest colleague with a
 * calculator would get from the marks and the rules of an assessment.
 */
public final class Reckoner {
    private static final MathContext FIFTY = new MathContext(50);
    private static final BigDecimal HUNDRED = BigDecimal.valueOf(100);

    private final JsonNode definition;
    private final Map<String, String> adjusted = new HashMap<>();

    public Reckoner(JsonNode definition) {
        this.definition = definition;
        definition
                .path("adjustments")
                .forEach(a ->
                        adjusted.put(a.get("item").stringValue(), a.get("do").stringValue()));
    }

    /** What is known of an attempt's answer to one item. */
    public record Marked(String item, String state, BigDecimal points) {
        boolean waits() {
            return state.equalsIgnoreCase("settle") || state.equalsIgnoreCase("read");
        }
    }

    /** @param percent before the curve of a sitting, unrounded; null where nothing is possible */
    public record Total(
            BigDecimal score, BigDecimal possible, @Nullable BigDecimal percent, boolean provisional) {}

    /** Whether a mark that waits matters to the score. */
    public boolean matters(Marked m) {
        String how = adjusted.getOrDefault(m.item(), "");
        return m.waits() && !how.equals("drop") && !how.startsWith("credit");
    }

    public Total of(List<Marked> marks, int daysLate) {
        Map<String, List<Marked>> byPart = new LinkedHashMap<>();
        for (Marked m : marks) {
            byPart.computeIfAbsent(item(m.item()).path("part").asString(""), p -> new ArrayList<>())
                    .add(m);
        }
        BigDecimal score = BigDecimal.ZERO;
        BigDecimal possible = BigDecimal.ZERO;
        BigDecimal weighted = BigDecimal.ZERO;
        BigDecimal weights = BigDecimal.ZERO;
        for (Map.Entry<String, List<Marked>> part : byPart.entrySet()) {
            BigDecimal earned = BigDecimal.ZERO;
            BigDecimal most = BigDecimal.ZERO;
            for (Marked m : part.getValue()) {
                earned = earned.add(counted(m));
                most = most.add(possible(m));
            }
            score = score.add(earned);
            possible = possible.add(most);
            BigDecimal weight = weight(part.getKey());
            if (weight != null && most.signum() > 0) {
                weighted = weighted.add(weight.multiply(earned).divide(most, FIFTY));
                weights = weights.add(weight);
            }
        }
        BigDecimal share = weights.signum() > 0
                ? weighted.divide(weights, FIFTY)
                : possible.signum() > 0 ? score.divide(possible, FIFTY) : null;
        BigDecimal factor = late(daysLate);
        score = score.max(BigDecimal.ZERO).multiply(factor);
        BigDecimal percent = share == null
                ? null
                : share.max(BigDecimal.ZERO).multiply(HUNDRED).multiply(factor);
        return new Total(score, possible, percent, marks.stream().anyMatch(this::matters));
    }

    private BigDecimal counted(Marked m) {
        BigDecimal full = points(m.item());
        return switch (adjusted.getOrDefault(m.item(), "")) {
            case "drop" -> BigDecimal.ZERO;
            case "creditAll" -> full;
            case "creditAnswered" -> m.state().equalsIgnoreCase("blank") ? BigDecimal.ZERO : full;
            default -> m.points();
        };
    }

    private BigDecimal possible(Marked m) {
        String how = adjusted.getOrDefault(m.item(), "");
        return how.equals("drop") || how.equals("bonus") ? BigDecimal.ZERO : points(m.item());
    }

    private BigDecimal late(int days) {
        JsonNode late = definition.path("grading").path("late");
        if (days == 0 || late.isMissingNode()) {
            return BigDecimal.ONE;
        }
        BigDecimal off = share(late.get("perDay")).multiply(BigDecimal.valueOf(days));
        return BigDecimal.ONE.subtract(off.min(share(late.get("cap"))));
    }

    private static BigDecimal share(JsonNode written) {
        String text = written.asString("");
        return text.endsWith("%")
                ? new BigDecimal(text.substring(0, text.length() - 1)).divide(HUNDRED, FIFTY)
                : number(text);
    }

    /** The percents of everybody after the curve, rounded as they are shown; a section's sitting has its own highest. */
    public List<@Nullable String> shown(List<Total> totals, List<String> sections) {
        List<@Nullable BigDecimal> percents =
                new ArrayList<>(totals.stream().map(Total::percent).toList());
        for (JsonNode step : definition.path("grading").path("curve")) {
            Map<String, BigDecimal> highest = new HashMap<>();
            for (int i = 0; i < percents.size(); i++) {
                BigDecimal percent = percents.get(i);
                highest.merge(sections.get(i), percent == null ? BigDecimal.ZERO : percent, BigDecimal::max);
            }
            for (int i = 0; i < percents.size(); i++) {
                BigDecimal percent = percents.get(i);
                percents.set(i, percent == null ? null : curved(step, percent, highest.get(sections.get(i))));
            }
        }
        return percents.stream()
                .map(p -> p == null ? null : p.setScale(1, RoundingMode.HALF_UP).toPlainString())
                .toList();
    }

    private static BigDecimal curved(JsonNode step, BigDecimal percent, BigDecimal highest) {
        BigDecimal next = percent;
        if (step.has("add")) {
            next = percent.add(number(step.get("add").asString("")));
        } else if (step.has("scaleTo") && highest.signum() > 0) {
            next = percent.multiply(number(step.get("scaleTo").asString(""))).divide(highest, FIFTY);
        } else if (step.has("root")) {
            next = percent.sqrt(FIFTY).multiply(BigDecimal.TEN);
        }
        return next.max(BigDecimal.ZERO).min(HUNDRED);
    }

    /** The band of a rounded percent. */
    public @Nullable String band(@Nullable String percent) {
        String found = null;
        BigDecimal best = null;
        for (JsonNode band : definition.path("grading").path("bands")) {
            BigDecimal from = number(band.get("from").asString(""));
            if (percent != null
                    && from.compareTo(new BigDecimal(percent)) <= 0
                    && (best == null || from.compareTo(best) > 0)) {
                best = from;
                found = band.get("label").stringValue();
            }
        }
        return found;
    }

    private @Nullable BigDecimal weight(String part) {
        for (JsonNode p : definition.path("parts")) {
            if (p.get("id").stringValue().equals(part) && p.hasNonNull("weight")) {
                return number(p.get("weight").asString(""));
            }
        }
        return null;
    }

    private JsonNode item(String id) {
        return definition
                .get("items")
                .valueStream()
                .filter(i -> i.get("id").stringValue().equals(id))
                .findFirst()
                .orElseThrow();
    }

    private BigDecimal points(String item) {
        return number(item(item).get("points").asString(""));
    }

    /** {@code 2.5} or {@code 1/3}. */
    public static BigDecimal number(String written) {
        String[] parts = written.split("/");
        BigDecimal first = new BigDecimal(parts[0]);
        return parts.length == 1 ? first : first.divide(new BigDecimal(parts[1]), FIFTY);
    }
}
