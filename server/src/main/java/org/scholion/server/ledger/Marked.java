package org.scholion.server.ledger;

import java.util.List;
import org.scholion.core.score.Mark;

/**
 * An attempt that is in, with what it stands at.
 *
 * @param standing as it is shown: before the curve while the sitting waits for it
 * @param stored as it was computed last
 * @param counts of several attempts of one student, whether this one counts
 * @param place the highest place of its marks in the ledger
 * @param tally its current marks, packed
 * @param kept that is how it is stored; otherwise it was made of the ledger just now
 */
@SuppressWarnings("ArrayRecordComponent")
public record Marked(
        Attempt attempt,
        Standings.Standing standing,
        Standings.Standing stored,
        boolean counts,
        long place,
        byte[] tally,
        boolean kept) {

    /** Its current marks in brief, in the order of the latest edition; unpacked at each call. */
    public List<Brief> marks() {
        return Tally.unpack(tally);
    }

    /** The same as plain marks, without their reasons. */
    List<Mark> plain() {
        return marks().stream().map(Brief::mark).toList();
    }
}
