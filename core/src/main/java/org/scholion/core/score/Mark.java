package org.scholion.core.score;

import org.scholion.core.number.Fraction;
import org.scholion.core.reason.Reason;

/**
 * What one response is worth and why.
 *
 * @param credit the share of the item's points, from -1 to 1; 0 while undecided, but for blanks, whose decided parts keep theirs
 */
public record Mark(State state, Fraction credit, Reason reason) {
    public static final Mark BLANK = new Mark(State.BLANK, Fraction.ZERO, Reason.of(Reason.Code.BLANK));
    public static final Mark EXCUSED = new Mark(State.EXCUSED, Fraction.ZERO, Reason.of(Reason.Code.EXCUSED));

    public static Mark scored(Fraction credit, Reason reason) {
        return new Mark(State.SCORED, credit, reason);
    }

    public static Mark settle(Reason reason) {
        return new Mark(State.SETTLE, Fraction.ZERO, reason);
    }

    public static Mark unread(Reason reason) {
        return new Mark(State.READ, Fraction.ZERO, reason);
    }

    /** Wrong: minus the penalty. */
    static Mark wrong(Fraction penalty, Reason reason) {
        return penalty.isZero()
                ? scored(Fraction.ZERO, reason)
                : scored(penalty.negate(), reason.with("penalty", penalty));
    }

    public String rule() {
        return reason.code().rule();
    }
}
