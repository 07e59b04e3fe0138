package org.scholion.server.demo;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import tools.jackson.databind.JsonNode;

/**
 * Answers as students really give them, from an ability and each item's difficulty (a one-parameter logistic model,
 * Rasch 1960), with a fixed seed: slips, synonyms, half answers, blanks.
 */
final class DemoAnswers {
    private static final double STEEPNESS = 1.3;

    private final JsonNode how;
    private final JsonNode items;
    private final Random random;

    /**
     * Answers for one assessment.
     *
     * @param definition the assessment file
     * @param how for each item its difficulty and what right and wrong answers look like
     */
    DemoAnswers(JsonNode definition, JsonNode how, Random random) {
        this.items = definition.get("items");
        this.how = how;
        this.random = random;
    }

    /** What a student of this ability says, by item id; a blank is left out. */
    Map<String, Object> of(double ability) {
        Map<String, Object> said = new LinkedHashMap<>();
        for (JsonNode item : items) {
            JsonNode like = how.get(item.get("id").stringValue());
            double chance =
                    1 / (1 + Math.exp(-STEEPNESS * (ability - like.path("b").asDouble(0))));
            if (random.nextDouble() < 0.02 + 0.06 * (1 - chance)) {
                continue;
            }
            said.put(item.get("id").stringValue(), answer(item, like, random.nextDouble() < chance, ability));
        }
        return said;
    }

    private Object answer(JsonNode item, JsonNode like, boolean right, double ability) {
        return switch (item.get("kind").stringValue()) {
            case "choice" ->
                item.path("max").asInt(1) == 1 ? List.of(one(item, like, right)) : several(item, like, right);
            case "open" -> open(like, ability);
            default -> pick(like.get(right ? "right" : "wrong"));
        };
    }

    private String one(JsonNode item, JsonNode like, boolean right) {
        String truth = like.get("truth").get(0).stringValue();
        if (right) {
            return truth;
        }
        // A lure is the wrong option that looks right.
        if (like.hasNonNull("lure") && random.nextDouble() < 0.6) {
            return like.get("lure").stringValue();
        }
        List<String> others = new ArrayList<>();
        item.get("options").forEach(o -> others.add(o.get("id").stringValue()));
        others.remove(truth);
        return others.get(random.nextInt(others.size()));
    }

    private List<String> several(JsonNode item, JsonNode like, boolean right) {
        List<String> chosen = new ArrayList<>();
        like.get("truth").forEach(t -> chosen.add(t.stringValue()));
        if (right) {
            return chosen;
        }
        List<String> others = new ArrayList<>();
        item.get("options").forEach(o -> others.add(o.get("id").stringValue()));
        others.removeAll(chosen);
        int slip = random.nextInt(3);
        if (slip != 0 && chosen.size() > 1) {
            chosen.remove(random.nextInt(chosen.size()));
        }
        if (slip != 1 && !others.isEmpty()) {
            chosen.add(others.get(random.nextInt(others.size())));
        }
        return chosen;
    }

    /** The texts are sorted by what they are worth; the better student writes one of the better ones. */
    private String open(JsonNode like, double ability) {
        List<JsonNode> texts = new ArrayList<>();
        like.get("texts").forEach(texts::add);
        texts.sort((a, b) -> Integer.compare(worth(a), worth(b)));
        double place = (ability + 2.2) / 4.4 + random.nextGaussian() * 0.18;
        int at = (int) Math.round(place * (texts.size() - 1));
        return texts.get(Math.max(0, Math.min(texts.size() - 1, at)))
                .get("text")
                .stringValue();
    }

    private static int worth(JsonNode text) {
        int sum = 0;
        for (JsonNode level : text.get("levels")) {
            sum += Integer.parseInt(level.stringValue());
        }
        return sum;
    }

    private String pick(JsonNode list) {
        return list.get(random.nextInt(list.size())).stringValue();
    }
}
