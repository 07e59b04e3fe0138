package org.scholion.server.read;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.scholion.core.item.OpenItem;
import org.scholion.core.number.Fraction;
import org.scholion.core.reason.Reason;
import org.scholion.core.rubric.Reading;
import org.scholion.core.score.Mark;
import org.scholion.server.ledger.ByHand;
import org.scholion.server.ledger.ReadTwice;
import org.scholion.server.ledger.Remark;
import org.scholion.server.platform.Lengths;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;

/** What a reader chose and says of one answer, once it is looked at: worth a mark, and fit to be kept. */
final class Chosen {
    private static final int LONGEST_COMMENT = 10_000;
    private static final int LONGEST_REMARK = 2_000;
    private static final int MOST_REMARKS = 200;
    private static final int LONGEST_WHY = 500;

    private final Readings.ReadingChange change;
    private final String why;
    private final String comment;
    private final String note;
    private final List<Remark> remarks;

    /**
     * @param text the answer as it is shown
     * @throws Refused where something is too long, or points at no words of the answer
     */
    Chosen(Readings.ReadingChange change, String text) {
        this.change = change;
        this.why = change.why() == null
                ? ""
                : Lengths.atMost("why", change.why(), LONGEST_WHY).strip();
        this.remarks = change.remarks() == null ? List.of() : remarks(change.remarks(), text);
        this.comment = Lengths.atMost("comment", change.comment(), LONGEST_COMMENT);
        this.note = Lengths.atMost("note", change.note(), LONGEST_COMMENT);
    }

    private static List<Remark> remarks(List<Remark> all, String text) {
        if (all.size() > MOST_REMARKS) {
            throw Refused.invalid("remarks", "One answer takes at most " + MOST_REMARKS + " comments on its words.");
        }
        List<Remark> kept = new ArrayList<>();
        for (Remark one : all) {
            if (one == null || one.from() < 0 || one.from() >= one.to() || one.to() > text.length()) {
                throw Refused.invalid("remarks", "A comment points at words that the answer does not have.");
            }
            String says = one.text() == null ? "" : one.text().strip();
            if (says.isEmpty()) {
                throw Refused.invalid("remarks", "A comment on words of the answer says something.");
            }
            kept.add(one.saying(Lengths.atMost("remarks", says, LONGEST_REMARK)));
        }
        kept.sort(Comparator.comparingInt(Remark::from).thenComparingInt(Remark::to));
        return List.copyOf(kept);
    }

    /**
     * What it is worth under a question's rubric.
     *
     * @throws Refused where there is no such level, or the points are none
     */
    Mark markOf(OpenItem item) {
        if (change.hold()) {
            return Mark.unread(Reason.of(Reason.Code.OPEN_WAITS));
        }
        String typed = typedPoints();
        Fraction points = typed == null ? null : ByHand.typed(typed, item);
        if (points != null && item.rubric() != null && why.isEmpty()) {
            throw Refused.invalid("why", "Say why these points count instead of the rubric.");
        }
        try {
            return new Reading(change.levels(), points, why).markOf(item);
        } catch (IllegalArgumentException e) {
            // A level or a criterion that the rubric does not have.
            throw Refused.invalid("levels", String.valueOf(e.getMessage()));
        }
    }

    private @Nullable String typedPoints() {
        String points = change.points();
        return points == null || points.isBlank() ? null : points.strip();
    }

    ReadTwice.ByReader by(Me me) {
        return new ReadTwice.ByReader(
                me.id(),
                me.name(),
                change.levels(),
                typedPoints(),
                why,
                comment,
                note,
                change.hold(),
                Boolean.TRUE.equals(change.third()),
                remarks);
    }
}
