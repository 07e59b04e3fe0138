package org.scholion.core.text;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Locale;

/**
 * Texts in an order in which those with the same words stand next to each other: from each goes on to the one not taken yet
 * that shares the largest part of the words of both (Jaccard), beginning with the one that has most of what all say.
 */
public final class Alike {
    /** So many kinds of words are told apart; more of them share a place, which moves the order a little and no more. */
    private static final int KINDS = 1 << 12;

    private Alike() {}

    /** @return places in {@code texts}, each once; equal likeness leaves the earlier place first */
    public static List<Integer> order(List<String> texts) {
        List<BitSet> words = texts.stream().map(Alike::words).toList();
        List<Integer> order = new ArrayList<>(texts.size());
        boolean[] taken = new boolean[texts.size()];
        BitSet all = new BitSet(KINDS);
        words.forEach(all::or);
        BitSet last = all;
        for (int n = 0; n < texts.size(); n++) {
            int next = nearest(last, words, taken);
            taken[next] = true;
            order.add(next);
            last = words.get(next);
        }
        return order;
    }

    private static int nearest(BitSet to, List<BitSet> words, boolean[] taken) {
        int best = -1;
        double most = -1;
        for (int i = 0; i < taken.length; i++) {
            if (!taken[i]) {
                double likeness = likeness(to, words.get(i));
                if (likeness > most) {
                    most = likeness;
                    best = i;
                }
            }
        }
        return best;
    }

    /** The part of their words that two texts have in common, from 0 to 1; two without a word are alike. */
    private static double likeness(BitSet a, BitSet b) {
        BitSet both = (BitSet) a.clone();
        both.and(b);
        int common = both.cardinality();
        int either = a.cardinality() + b.cardinality() - common;
        return either == 0 ? 1 : (double) common / either;
    }

    private static BitSet words(String text) {
        BitSet words = new BitSet(KINDS);
        WordRuns.of(text.toLowerCase(Locale.ROOT)).forEach(word -> words.set(Math.floorMod(word.hashCode(), KINDS)));
        return words;
    }
}
