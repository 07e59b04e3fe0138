package org.scholion.formats.bringin;

import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.scholion.core.item.Item;
import org.scholion.core.text.Normaliser;

/**
 * The names by which a column may mean an item: its number in the paper, its id, or its text, whole, cut off, with its
 * number before it, or changed by a word.
 */
final class ItemNames {
    private static final Normaliser LOOSE = new Normaliser(true, true, true, true, List.of());

    /** {@code 3}, {@code Q3}, {@code 3.}, {@code 3)}, {@code Item 3}, {@code Question no. 3}, {@code #3}. */
    /** How many points a question is worth, after its name: {@code Q3 (4)}, {@code 3 [4 points]}. */
    private static final Pattern WORTH = Pattern.compile(
            "\\s*[(\\[]\\s*(?:max\\.?|/|out of)?\\s*\\d{1,4}(?:[.,]\\d{1,2})?\\s*(?:points?|pts?\\.?|p\\.?|marks?)?\\s*[)\\]]\\s*$",
            Pattern.CASE_INSENSITIVE);

    private static final Pattern NUMBERED = Pattern.compile(
            "\\(?(?:q|qn|question|item|no|nr|frage|number|task|ex|exercise)?\\s*(?:no\\.?|nr\\.?|number)?\\s*[.#:]?\\s*(\\d{1,3})\\s*[.):]?(.*)",
            Pattern.CASE_INSENSITIVE | Pattern.DOTALL);

    private static final Pattern ANSWER = Pattern.compile("answer|response|choice|selected|reply|value");

    private static final int SHORTEST_PART = 12;
    private static final double ALIKE = 0.7;
    private static final int FEWEST_WORDS = 4;

    private ItemNames() {}

    /** Why a column is this item, and whether that is sure; null when it is not. */
    record Because(String words, boolean sure) {}

    static @Nullable Because because(String column, Item item, int number) {
        Because whole = named(column, item, number);
        String bare = WORTH.matcher(column).replaceFirst("");
        return whole != null || bare.equals(column) ? whole : named(bare, item, number);
    }

    private static @Nullable Because named(String column, Item item, int number) {
        String lower = column.strip().toLowerCase(Locale.ROOT);
        if (lower.equals(item.id().toLowerCase(Locale.ROOT))) {
            return new Because("its name is the id of question " + number, true);
        }
        Matcher numbered = NUMBERED.matcher(column.strip());
        String prompt = LOOSE.apply(item.head().prompt());
        if (numbered.matches() && Integer.parseInt(numbered.group(1)) == number) {
            String rest = LOOSE.apply(numbered.group(2));
            if (rest.isEmpty() || ANSWER.matcher(rest).matches()) {
                return new Because("its name is the number of the question", true);
            }
            if (!prompt.isEmpty() && (prompt.startsWith(rest) || rest.startsWith(prompt))) {
                return new Because("its name is number and text of question " + number, true);
            }
        }
        String name = LOOSE.apply(column);
        if (prompt.isBlank() || name.isBlank()) {
            return null;
        }
        if (name.equals(prompt)) {
            return new Because("its name is the text of question " + number, true);
        }
        return likely(name, prompt, number);
    }

    private static @Nullable Because likely(String name, String prompt, int number) {
        String cut = name.replaceFirst("[.… ]+$", "");
        if (cut.length() >= SHORTEST_PART && prompt.startsWith(cut)) {
            return new Because("its name is the beginning of question " + number, true);
        }
        if (prompt.length() >= SHORTEST_PART && name.contains(prompt)) {
            return new Because("its name holds the text of question " + number, true);
        }
        double alike = alike(name, prompt);
        return alike >= ALIKE
                ? new Because(
                        Math.round(alike * 100) + "% of its words are those of question " + number + ": look at it",
                        false)
                : null;
    }

    /** Common words of all words that either has. */
    private static double alike(String one, String other) {
        Set<String> a = new HashSet<>(Arrays.asList(one.split(" ")));
        Set<String> b = new HashSet<>(Arrays.asList(other.split(" ")));
        if (Math.min(a.size(), b.size()) < FEWEST_WORDS) {
            return 0;
        }
        Set<String> all = new HashSet<>(a);
        all.addAll(b);
        a.retainAll(b);
        return (double) a.size() / all.size();
    }
}
