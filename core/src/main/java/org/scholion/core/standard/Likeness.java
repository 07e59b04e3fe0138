package org.scholion.core.standard;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.scholion.core.number.Fraction;

/**
 * Proposals for a crosswalk: which standards of a newer version are most like one of the older. Likeness is the share
 * of letter triples that two texts have in common (Dice's coefficient), and codes that are equal count a half more; a
 * proposal is never taken by itself.
 */
public final class Likeness {
    private static final Fraction LEAST = Fraction.of(1, 5);
    private static final int MOST = 3;
    private static final int TRIPLE = 3;

    private Likeness() {}

    /** A newer standard and how like it is, from 0 to 1. */
    public record Proposal(String code, String text, Fraction likeness) {}

    /** At most three, the most alike first; none where nothing is alike. */
    public static List<Proposal> of(Framework.Standard older, Framework newer) {
        List<Proposal> all = new ArrayList<>();
        for (Framework.Standard s : newer.standards()) {
            Fraction likeness = between(older, s);
            if (likeness.compareTo(LEAST) >= 0) {
                all.add(new Proposal(s.code(), s.text(), likeness));
            }
        }
        all.sort(Comparator.comparing(Proposal::likeness).reversed());
        return all.subList(0, Math.min(MOST, all.size()));
    }

    static Fraction between(Framework.Standard a, Framework.Standard b) {
        Fraction texts = dice(triples(a.text()), triples(b.text()));
        return a.code().equalsIgnoreCase(b.code()) ? Fraction.ONE.min(texts.plus(Fraction.HALF)) : texts;
    }

    private static Fraction dice(Set<String> a, Set<String> b) {
        if (a.isEmpty() || b.isEmpty()) {
            return Fraction.ZERO;
        }
        Set<String> both = new HashSet<>(a);
        both.retainAll(b);
        return Fraction.of(2L * both.size()).over(Fraction.of((long) a.size() + b.size()));
    }

    /** The letter triples of each word, its begin and end marked, so that short words count as well. */
    private static Set<String> triples(String text) {
        Set<String> triples = new HashSet<>();
        for (String word : text.toLowerCase(Locale.ROOT).split("[^\\p{L}\\p{Nd}]+")) {
            String marked = " " + word + " ";
            for (int i = 0; i + TRIPLE <= marked.length() && !word.isEmpty(); i++) {
                triples.add(marked.substring(i, i + TRIPLE));
            }
        }
        return triples;
    }
}
