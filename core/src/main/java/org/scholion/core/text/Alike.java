package org.scholion.core.text;

import java.util.ArrayList;
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
        List<long[]> words = texts.stream().map(Alike::words).toList();
        List<Integer> order = new ArrayList<>(texts.size());
        boolean[] taken = new boolean[texts.size()];
        long[] last = all(words);
        for (int n = 0; n < texts.size(); n++) {
            int next = nearest(last, words, taken);
            taken[next] = true;
            order.add(next);
            last = words.get(next);
        }
        return order;
    }

    private static long[] all(List<long[]> words) {
        long[] all = new long[KINDS / Long.SIZE];
        for (long[] one : words) {
            for (int i = 0; i < all.length; i++) {
                all[i] |= one[i];
            }
        }
        return all;
    }

    private static int nearest(long[] to, List<long[]> words, boolean[] taken) {
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
    static double likeness(long[] a, long[] b) {
        int common = 0;
        int either = 0;
        for (int i = 0; i < a.length; i++) {
            common += Long.bitCount(a[i] & b[i]);
            either += Long.bitCount(a[i] | b[i]);
        }
        return either == 0 ? 1 : (double) common / either;
    }

    /** A bit for each kind of word, in a pile of very many without a copy for each two. */
    static long[] words(String text) {
        long[] words = new long[KINDS / Long.SIZE];
        for (String word : WordRuns.of(text.toLowerCase(Locale.ROOT))) {
            int kind = Math.floorMod(word.hashCode(), KINDS);
            words[kind / Long.SIZE] |= 1L << kind;
        }
        return words;
    }
}
