package org.scholion.core.score;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.scholion.core.item.TextItem;
import org.scholion.core.item.TextItem.Spelling;
import org.scholion.core.text.Normaliser;
import org.scholion.core.text.Slips;

/** Finds the listed text that an answer is the fewest typing slips away from, within each entry's allowance. */
final class Nearest {
    private final Listed[] entries;
    private int longest;

    /** The places of the nearest accepted entry and of the nearest rejected one; both when they are equally near. */
    record Find(int distance, int accepted, int rejected) {}

    /**
     * A listed text.
     *
     * @param letters which letters it has, a bit each: a slip changes at most one letter for another
     * @param accepted its place among the accepted entries, -1 for a rejected one; {@code rejected} alike
     */
    private record Listed(int[] text, long letters, int allowance, int accepted, int rejected) {}

    Nearest(TextItem item, Normaliser normaliser) {
        List<Listed> listed = new ArrayList<>();
        for (int i = 0; i < item.accept().size(); i++) {
            if (item.accept().get(i) instanceof TextItem.SameText same) {
                add(listed, item.spelling(), normaliser.apply(same.text()), i, -1);
            }
        }
        for (int i = 0; i < item.reject().size(); i++) {
            add(listed, item.spelling(), normaliser.apply(item.reject().get(i).text()), -1, i);
        }
        this.entries = listed.toArray(new Listed[0]);
    }

    private void add(List<Listed> listed, Spelling spelling, String text, int accepted, int rejected) {
        int[] points = Slips.codePoints(text);
        int wanted = switch (spelling) {
            case NONE -> 0;
            case ONE -> 1;
            case TWO -> 2;
            case LENGTH -> points.length < 4 ? 0 : points.length < 8 ? 1 : 2;
        };
        int allowance = Math.min(wanted, points.length - 1);
        if (allowance > 0) {
            listed.add(new Listed(points, letters(points), allowance, accepted, rejected));
            longest = Math.max(longest, points.length);
        }
    }

    private static long letters(int[] points) {
        long letters = 0;
        for (int c : points) {
            letters |= 1L << (c & 63);
        }
        return letters;
    }

    /**
     * The nearest entries; null when none lies within its allowance.
     *
     * @param credits by which the better of equally near accepted entries is told, the first on a tie
     */
    @Nullable
    Find to(String said, java.util.Comparator<Integer> credits) {
        if (entries.length == 0 || said.length() > 2 * longest + 4) {
            return null;
        }
        int[] points = Slips.codePoints(said);
        long letters = letters(points);
        int least = Integer.MAX_VALUE;
        int accepted = -1;
        int rejected = -1;
        for (Listed entry : entries) {
            int most = Math.min(entry.allowance(), least);
            if (isFar(entry, points.length, letters, most)) {
                continue;
            }
            int distance = Slips.between(points, entry.text(), most);
            if (distance > most) {
                continue;
            }
            if (distance < least) {
                least = distance;
                accepted = -1;
                rejected = -1;
            }
            if (entry.accepted() >= 0 && (accepted < 0 || credits.compare(entry.accepted(), accepted) > 0)) {
                accepted = entry.accepted();
            }
            rejected = rejected < 0 ? entry.rejected() : rejected;
        }
        return least == Integer.MAX_VALUE ? null : new Find(least, accepted, rejected);
    }

    /** Lengths or letters that differ by more than the slips allowed need no closer look. */
    private static boolean isFar(Listed entry, int length, long letters, int most) {
        return Math.abs(entry.text().length - length) > most
                || Long.bitCount(entry.letters() & ~letters) > most
                || Long.bitCount(letters & ~entry.letters()) > most;
    }
}
