package org.scholion.core.text;

import java.util.ArrayList;
import java.util.List;

/** Where two texts differ, letter by letter, along a way of fewest typing slips. */
public final class Letters {
    private static final int LONGEST = 200;

    private Letters() {}

    /** A stretch of a text that is the same in the other one, or is not. */
    public record Stretch(String text, boolean same) {}

    /** The first text in stretches; one stretch that is not the same when either is very long. */
    public static List<Stretch> marked(String text, String other) {
        int[] a = Slips.codePoints(text);
        int[] b = Slips.codePoints(other);
        if (a.length > LONGEST || b.length > LONGEST) {
            return List.of(new Stretch(text, text.equals(other)));
        }
        return stretches(a, kept(a, b, true));
    }

    /** Which of a have their partner in b, along a way of fewest changes; with swaps, neighbours may change places. */
    static boolean[] kept(int[] a, int[] b, boolean swaps) {
        return kept(a, b, distances(a, b, swaps), swaps);
    }

    private static int[][] distances(int[] a, int[] b, boolean swaps) {
        int[][] d = new int[a.length + 1][b.length + 1];
        for (int i = 0; i <= a.length; i++) {
            for (int j = 0; j <= b.length; j++) {
                if (i == 0 || j == 0) {
                    d[i][j] = i + j;
                    continue;
                }
                d[i][j] = Math.min(
                        Math.min(d[i - 1][j], d[i][j - 1]) + 1, d[i - 1][j - 1] + (a[i - 1] == b[j - 1] ? 0 : 1));
                if (swaps && isSwap(a, b, i, j)) {
                    d[i][j] = Math.min(d[i][j], d[i - 2][j - 2] + 1);
                }
            }
        }
        return d;
    }

    private static boolean isSwap(int[] a, int[] b, int i, int j) {
        return i > 1 && j > 1 && a[i - 1] == b[j - 2] && a[i - 2] == b[j - 1];
    }

    /** Which letters of a have their partner in b, going back from the end. */
    private static boolean[] kept(int[] a, int[] b, int[][] d, boolean swaps) {
        boolean[] kept = new boolean[a.length];
        int i = a.length;
        int j = b.length;
        while (i > 0) {
            if (j > 0 && a[i - 1] == b[j - 1] && d[i][j] == d[i - 1][j - 1]) {
                kept[--i] = true;
                j--;
            } else if (swaps && isSwap(a, b, i, j) && d[i][j] == d[i - 2][j - 2] + 1) {
                i -= 2;
                j -= 2;
            } else if (j > 0 && d[i][j] == d[i - 1][j - 1] + 1) {
                i--;
                j--;
            } else if (d[i][j] == d[i - 1][j] + 1) {
                i--;
            } else {
                j--;
            }
        }
        return kept;
    }

    private static List<Stretch> stretches(int[] a, boolean[] kept) {
        List<Stretch> all = new ArrayList<>();
        int from = 0;
        for (int i = 1; i <= a.length; i++) {
            if (i == a.length || kept[i] != kept[from]) {
                all.add(new Stretch(new String(a, from, i - from), kept[from]));
                from = i;
            }
        }
        return all;
    }
}
