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
        // What is the same at both ends needs no slip.
        int ends = Math.min(a.length, b.length);
        int from0 = 0;
        while (from0 < ends && a[from0] == b[from0]) {
            from0++;
        }
        int tail = 0;
        while (tail < ends - from0 && a[a.length - 1 - tail] == b[b.length - 1 - tail]) {
            tail++;
        }
        return middle(a, from0, a.length - from0 - tail, b, b.length - from0 - tail, most);
    }

    /** The distance of stretches that begin at the same place; only a band about the diagonal is worked out. */
    private static int middle(int[] a, int at, int aLength, int[] b, int bLength, int most) {
        int far = most + 1;
        if (aLength <= 1 && bLength <= 1 || aLength == 0 || bLength == 0) {
            return Math.min(Math.max(aLength, bLength), far);
        }
        int[] room = new int[3 * (bLength + 1)];
        int width = bLength + 1;
        int twoBack = 0;
        int back = width;
        int row = 2 * width;
        for (int j = 0; j < width; j++) {
            room[back + j] = Math.min(j, far);
        }
        int leastBefore = 0;
        for (int i = 1; i <= aLength; i++) {
            int from = Math.max(1, i - most);
            int to = Math.min(bLength, i + most);
            room[row + from - 1] = from == 1 ? Math.min(i, far) : far;
            int least = room[row + from - 1];
            for (int j = from; j <= to; j++) {
                int best = room[back + j - 1] + (a[at + i - 1] == b[at + j - 1] ? 0 : 1);
                best = Math.min(best, room[row + j - 1] + 1);
                best = j < i + most ? Math.min(best, room[back + j] + 1) : best;
                if (i > 1 && j > 1 && a[at + i - 1] == b[at + j - 2] && a[at + i - 2] == b[at + j - 1]) {
                    best = Math.min(best, room[twoBack + j - 2] + 1);
                }
                room[row + j] = Math.min(best, far);
                least = Math.min(least, best);
            }
            // A swap reaches two rows back, so both must be beyond reach before giving up.
            if (least > most && leastBefore > most) {
                return far;
            }
            leastBefore = least;
            int spare = twoBack;
            twoBack = back;
            back = row;
            row = spare;
        }
        return Math.min(room[back + bLength], far);
    }

    public static int between(String a, String b, int most) {
        return between(codePoints(a), codePoints(b), most);
    }

    /** A text's code points. */
    public static int[] codePoints(String text) {
        int[] points = new int[text.length()];
        int n = 0;
        for (int i = 0; i < text.length(); n++) {
            int c = text.codePointAt(i);
            points[n] = c;
            i += Character.charCount(c);
        }
        return n == points.length ? points : java.util.Arrays.copyOf(points, n);
    }
}
