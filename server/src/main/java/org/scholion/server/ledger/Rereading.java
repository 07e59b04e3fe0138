package org.scholion.server.ledger;

import java.time.Instant;
import java.util.Map;
import java.util.Optional;
import org.scholion.core.item.Item;
import org.scholion.core.item.OpenItem;
import org.scholion.core.rubric.Reading;
import org.scholion.core.score.Mark;
import org.scholion.core.score.State;

/** What a reader chose, under a rubric that has changed since: no level is chosen twice. */
final class Rereading {
    private Rereading() {}

    /**
     * The mark that the same levels get now, by the same reader. It waits again where a criterion came to it, or a
     * chosen level is gone. Empty where the mark was not made with levels, and where it stays as it is.
     */
    static Optional<LedgerMark> under(Item item, LedgerMark was, int edition, Instant at) {
        if (!(item instanceof OpenItem open)
                || open.rubric() == null
                || was.reading() == null
                || ByHand.isOverruled(was)
                || was.mark().state() != State.SCORED && was.mark().state() != State.READ) {
            return Optional.empty();
        }
        Optional<ReadTwice> twice = ReadTwice.in(was);
        if (twice.isPresent()) {
            Mark mark = twice.get().markOf(open);
            return mark.equals(was.mark()) ? Optional.empty() : Optional.of(was.again(mark, edition, at));
        }
        Map<String, String> levels = was.levels();
        // Points that were given over a rubric stay, whatever becomes of the rubric.
        if (levels.isEmpty()
                || was.reading().hasNonNull("points")
                || was.reading().path("held").asBoolean(false)) {
            return Optional.empty();
        }
        Mark mark = new Reading(levels, null).under(open).markOf(open);
        return mark.equals(was.mark()) ? Optional.empty() : Optional.of(was.again(mark, edition, at));
    }
}
