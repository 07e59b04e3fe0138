package org.scholion.core.text;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** Sentences that stand, word for word, in several texts of a pile; capitals and punctuation do not matter. */
public final class SameSentences {
    /** Shorter ones are written by many without a look at each other. */
    static final int FEWEST_WORDS = 6;

    private final List<String> texts;
    private final Map<String, List<At>> places = new HashMap<>();

    private record At(int text, Stretch stretch) {}

    /**
     * A sentence that another text has as well.
     *
     * @param own where it stands in the text that was asked for
     * @param other the place of the other text in the pile, and {@code there} where it stands in that
     */
    public record Same(Stretch own, int other, Stretch there) {}

    public SameSentences(List<String> texts) {
        this.texts = List.copyOf(texts);
        for (int i = 0; i < texts.size(); i++) {
            for (Stretch sentence : sentences(texts.get(i))) {
                String key = key(sentence.of(texts.get(i)));
                if (!key.isEmpty()) {
                    places.computeIfAbsent(key, k -> new ArrayList<>()).add(new At(i, sentence));
                }
            }
        }
    }

    /** The sentences of one text that others have, each with the first of the others, at most so many. */
    public List<Same> of(int text, int most) {
        List<Same> same = new ArrayList<>();
        for (Stretch sentence : sentences(texts.get(text))) {
            places.getOrDefault(key(sentence.of(texts.get(text))), List.of()).stream()
                    .filter(at -> at.text() != text)
                    .findFirst()
                    .filter(at -> same.size() < most)
                    .ifPresent(at -> same.add(new Same(sentence, at.text(), at.stretch())));
        }
        return List.copyOf(same);
    }

    /** Stretches that end with a full stop, another end of a sentence, or a line; without blanks at both ends. */
    static List<Stretch> sentences(String text) {
        List<Stretch> all = new ArrayList<>();
        int from = 0;
        for (int i = 0; i <= text.length(); i++) {
            if (i == text.length() || text.charAt(i) == '\n' || isEnd(text, i)) {
                int to = Math.min(text.length(), i + 1);
                while (from < to && Character.isWhitespace(text.charAt(from))) {
                    from++;
                }
                int end = to;
                while (end > from && Character.isWhitespace(text.charAt(end - 1))) {
                    end--;
                }
                if (from < end) {
                    all.add(new Stretch(from, end));
                }
                from = to;
            }
        }
        return all;
    }

    /** A point within a number or an abbreviation ends nothing. */
    private static boolean isEnd(String text, int i) {
        return ".!?…".indexOf(text.charAt(i)) >= 0
                && (i + 1 == text.length() || Character.isWhitespace(text.charAt(i + 1)));
    }

    private static String key(String sentence) {
        List<String> words = WordRuns.of(sentence.toLowerCase(Locale.ROOT));
        return words.size() < FEWEST_WORDS ? "" : String.join(" ", words);
    }
}
