package org.scholion.core.text;

/**
 * Typing slips between two texts: the optimal string alignment distance on code points, where inserting, deleting,
 * replacing and swapping neighbours cost one each and no part is edited twice.
 */
public final class Slips {
    private Slips() {}

    /** The distance when it is at most {@code most}, else {@code most + 1}. */
    public static int between(int[] a, int[] b, int most) {
        if (Math.abs(a.length - b.length) > most) {
            return most + 1;
        }
        int[] twoBack = new int[b.length + 1];
        int[] back = new int[b.length + 1];
        int[] row = new int[b.length + 1];
        for (int j = 0; j <= b.length; j++) {
            back[j] = j;
        }
        for (int i = 1; i <= a.length; i++) {
            row[0] = i;
            int least = row[0];
            for (int j = 1; j <= b.length; j++) {
                int cost = a[i - 1] == b[j - 1] ? 0 : 1;
                int best = Math.min(Math.min(row[j - 1], back[j]) + 1, back[j - 1] + cost);
                if (i > 1 && j > 1 && a[i - 1] == b[j - 2] && a[i - 2] == b[j - 1]) {
                    best = Math.min(best, twoBack[j - 2] + 1);
                }
                row[j] = best;
                least = Math.min(least, best);
            }
            // A swap reaches two rows back, so both must be beyond reach before giving up.
            if (least > most && min(back) > most) {
                return most + 1;
            }
            int[] spare = twoBack;
            twoBack = back;
            back = row;
            row = spare;
        }
        return Math.min(back[b.length], most + 1);
    }

    public static int between(String a, String b, int most) {
        return between(a.codePoints().toArray(), b.codePoints().toArray(), most);
    }

    private static int min(int[] values) {
        int least = Integer.MAX_VALUE;
        for (int v : values) {
            least = Math.min(least, v);
        }
        return least;
    }
}
