package org.scholion.server.desk;

import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * The line of an assessment: what remains at each stop.
 *
 * @param edition the number of the latest edition; 0 before giving out
 * @param expected students of the sections that it is given to
 * @param flags items that should be looked at; null where it was not asked for
 */
record Line(
        int items,
        int edition,
        int expected,
        int in,
        int working,
        int doubts,
        int unread,
        int openAnswers,
        @Nullable Integer flags,
        int undecided,
        int ready,
        int handedBack) {

    static Line of(
            List<LineCounts.SectionCounts> counts,
            int @Nullable [] edition,
            @Nullable UUID section,
            @Nullable Integer flags) {
        int[] sum = new int[9];
        for (LineCounts.SectionCounts c : counts) {
            if (section != null && !section.equals(c.section())) {
                continue;
            }
            int[] own = {
                section == null ? c.once().expected() : c.expected(),
                section == null ? c.once().in() : c.in(),
                section == null ? c.once().working() : c.working(),
                c.doubts(),
                c.unread(),
                c.openAnswers(),
                c.undecided(),
                c.ready(),
                c.handedBack()
            };
            for (int i = 0; i < sum.length; i++) {
                sum[i] += own[i];
            }
        }
        return new Line(
                edition == null ? 0 : edition[1],
                edition == null ? 0 : edition[0],
                sum[0],
                sum[1],
                sum[2],
                sum[3],
                sum[4],
                sum[5],
                flags,
                sum[6],
                sum[7],
                sum[8]);
    }
}
