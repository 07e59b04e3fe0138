package org.scholion.core.text;

import com.ibm.icu.text.Normalizer2;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** A sentence in tokens: words with single inner {@code '} and {@code -}, and every other sign by itself. Case counts. */
public final class Tokens {
    private static final Pattern TOKEN =
            Pattern.compile("[\\p{L}\\p{M}\\p{Nd}]+(?:['-][\\p{L}\\p{M}\\p{Nd}]+)*|[^\\p{IsWhite_Space}]");

    private Tokens() {}

    public static List<String> of(String sentence) {
        String plain = Normaliser.plainPunctuation(Normalizer2.getNFCInstance().normalize(sentence));
        List<String> tokens = new ArrayList<>();
        Matcher m = TOKEN.matcher(plain);
        while (m.find()) {
            tokens.add(m.group());
        }
        return tokens;
    }

    /** The Levenshtein distance on tokens: inserting, deleting and replacing cost one each. */
    public static int distance(List<String> a, List<String> b) {
        int[] back = new int[b.size() + 1];
        for (int j = 0; j <= b.size(); j++) {
            back[j] = j;
        }
        for (int i = 1; i <= a.size(); i++) {
            int[] row = new int[b.size() + 1];
            row[0] = i;
            for (int j = 1; j <= b.size(); j++) {
                int replaced = back[j - 1] + (a.get(i - 1).equals(b.get(j - 1)) ? 0 : 1);
                row[j] = Math.min(replaced, Math.min(row[j - 1], back[j]) + 1);
            }
            back = row;
        }
        return back[b.size()];
    }

    /** The tokens of a that have no partner in b, along a way of fewest changes. */
    public static List<String> differing(List<String> a, List<String> b) {
        Map<String, Integer> numbers = new HashMap<>();
        boolean[] kept = Letters.kept(numbered(a, numbers), numbered(b, numbers), false);
        List<String> differing = new ArrayList<>();
        for (int i = 0; i < kept.length; i++) {
            if (!kept[i]) {
                differing.add(a.get(i));
            }
        }
        return differing;
    }

    private static int[] numbered(List<String> tokens, Map<String, Integer> numbers) {
        return tokens.stream()
                .mapToInt(t -> numbers.computeIfAbsent(t, n -> numbers.size()))
                .toArray();
    }
}
