package org.scholion.core.text;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * A pattern for several texts: what all of them have stands as it is, what they have differently between becomes a choice
 * of what stood there. It matches each of the texts, and other mixtures of their differences.
 */
public final class Proposed {
    /** A stretch that all have in common is at least so long: single letters in common say nothing. */
    private static final int SHORTEST = 3;

    private static final String SIGNS = "\\.[]{}()<>*+-=!?^$|";

    private Proposed() {}

    /** @return a regular expression for whole texts; of one text the text itself */
    public static String pattern(List<String> texts) {
        List<String> different = texts.stream().distinct().toList();
        if (different.size() <= 1) {
            return different.stream().map(Proposed::quoted).findFirst().orElse("");
        }
        String common = common(different);
        if (common.isEmpty()) {
            return choice(different);
        }
        return pattern(parts(different, t -> t.substring(0, t.indexOf(common))))
                + quoted(common)
                + pattern(parts(different, t -> t.substring(t.indexOf(common) + common.length())));
    }

    /** The longest run of words that all texts have, the first of equally long ones; empty where they share none. */
    public static String words(List<String> texts) {
        List<List<String>> all = texts.stream().map(WordRuns::of).toList();
        if (all.isEmpty()) {
            return "";
        }
        List<String> first = all.get(0);
        for (int length = first.size(); length > 0; length--) {
            for (int from = 0; from + length <= first.size(); from++) {
                List<String> run = first.subList(from, from + length);
                if (all.stream().allMatch(words -> WordRuns.hold(words, run))) {
                    return String.join(" ", run);
                }
            }
        }
        return "";
    }

    private static List<String> parts(List<String> texts, Function<String, String> part) {
        return texts.stream().map(part).toList();
    }

    /** The longest stretch that all of them have, the first of equally long ones; empty where all are short. */
    private static String common(List<String> texts) {
        String first = texts.get(0);
        String best = "";
        for (int from = 0; from < first.length(); from++) {
            int to = from + Math.max(SHORTEST, best.length() + 1);
            for (; to <= first.length() && allHave(texts, first.substring(from, to)); to++) {
                String stretch = first.substring(from, to);
                best = isWhole(stretch) ? stretch : best;
            }
        }
        return best;
    }

    private static boolean allHave(List<String> texts, String stretch) {
        return texts.stream().allMatch(t -> t.contains(stretch));
    }

    /** Whether no character that takes two places is cut. */
    private static boolean isWhole(String stretch) {
        return !Character.isLowSurrogate(stretch.charAt(0))
                && !Character.isHighSurrogate(stretch.charAt(stretch.length() - 1));
    }

    private static String choice(List<String> texts) {
        List<String> some = new ArrayList<>(texts);
        boolean orNothing = some.remove("");
        if (some.size() == 1 && some.get(0).codePointCount(0, some.get(0).length()) == 1) {
            return quoted(some.get(0)) + (orNothing ? "?" : "");
        }
        return some.stream().map(Proposed::quoted).collect(Collectors.joining("|", "(", ")")) + (orNothing ? "?" : "");
    }

    private static String quoted(String text) {
        return text.codePoints()
                .mapToObj(c -> SIGNS.indexOf(c) < 0 ? Character.toString(c) : "\\" + Character.toString(c))
                .collect(Collectors.joining());
    }
}
