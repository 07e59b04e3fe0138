package org.scholion.server.bank;

import java.math.BigDecimal;
import java.text.Normalizer;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.scholion.core.number.Fraction;
import org.scholion.server.key.ItemCodes;
import tools.jackson.databind.JsonNode;

/**
 * What of an item is searched.
 *
 * @param alike the prompt without capitals, accents, signs and runs of spaces
 * @param words all its words in the same way: prompt, options, accepted texts, tags
 */
record Searched(
        String kind,
        String prompt,
        String alike,
        List<String> tags,
        Set<String> codes,
        @Nullable BigDecimal difficulty,
        String words) {

    private static final Pattern MARKS = Pattern.compile("[\\u0300-\\u036f]");

    static Searched of(JsonNode item) {
        String prompt = item.path("prompt").asString("");
        List<String> tags = new ArrayList<>();
        item.path("tags").forEach(t -> tags.add(t.asString("").strip()));
        return new Searched(
                item.path("kind").asString(""),
                prompt,
                alike(prompt),
                tags.stream().filter(t -> !t.isEmpty()).distinct().toList(),
                ItemCodes.own(item),
                Fraction.parse(item.path("difficulty").asString(""))
                        .map(f -> new BigDecimal(f.toDecimal(4)))
                        .orElse(null),
                alike(String.join(" ", words(item, prompt, tags))));
    }

    static String alike(String prompt) {
        return MARKS.matcher(Normalizer.normalize(prompt.toLowerCase(Locale.ROOT), Normalizer.Form.NFD))
                .replaceAll("")
                .replaceAll("[^\\p{L}\\p{M}\\p{Nd}]+", " ")
                .strip();
    }

    private static List<String> words(JsonNode item, String prompt, List<String> tags) {
        List<String> words = new ArrayList<>(tags);
        words.add(prompt);
        Stream.of("options", "tokens", "left", "right", "accept", "parts")
                .flatMap(field -> item.path(field).valueStream())
                .map(o -> o.isString() ? o.stringValue() : o.path("text").asString(""))
                .forEach(words::add);
        return words;
    }
}
