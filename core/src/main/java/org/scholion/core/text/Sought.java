package org.scholion.core.text;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.UnaryOperator;

/** Words and phrases that are looked for in a text, also in another form: "fender" finds "fenders". */
public final class Sought {
    private Sought() {}

    /**
     * A word or phrase, and where it was found.
     *
     * @param places empty where it was not found
     */
    public record SoughtWord(String word, List<SoughtPlace> places) {}

    /** @param exact whether it stands there as it is looked for, capitals aside, and not in another form */
    public record SoughtPlace(int from, int to, boolean exact) {}

    /**
     * @param stem what the forms of a word have in common, of a word in small letters
     * @return for each that is looked for what was found, in the same order
     */
    public static List<SoughtWord> in(String text, List<String> sought, UnaryOperator<String> stem) {
        List<Stretch> places = WordRuns.places(text);
        List<String> words = places.stream().map(p -> lower(p.of(text))).toList();
        List<String> stems = words.stream().map(stem).toList();
        List<SoughtWord> all = new ArrayList<>();
        for (String one : sought) {
            List<String> phrase = WordRuns.of(lower(one));
            List<String> forms = phrase.stream().map(stem).toList();
            List<SoughtPlace> found = new ArrayList<>();
            for (int i = 0; !phrase.isEmpty() && i + phrase.size() <= words.size(); i++) {
                int end = i + phrase.size();
                if (stems.subList(i, end).equals(forms)) {
                    boolean exact = words.subList(i, end).equals(phrase);
                    found.add(new SoughtPlace(
                            places.get(i).from(), places.get(end - 1).to(), exact));
                }
            }
            all.add(new SoughtWord(one, List.copyOf(found)));
        }
        return List.copyOf(all);
    }

    private static String lower(String text) {
        return text.toLowerCase(Locale.ROOT);
    }
}
