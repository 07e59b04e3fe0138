package org.scholion.core.score;

import org.scholion.core.item.Faulty;
import org.scholion.core.item.Item;
import org.scholion.core.number.Fraction;
import org.scholion.core.reason.Reason;

/** Marks of what was scored elsewhere: an oral, a practical, a paper of which only the points are known. */
public final class Elsewhere {
    private Elsewhere() {}

    /**
     * The mark of an item of any kind for points that were given elsewhere.
     *
     * @throws Faulty if they are more than the item's points, or below minus these
     */
    public static Mark of(Item item, Fraction points) {
        Fraction possible = item.points();
        Faulty.unless(
                points.abs().compareTo(possible) <= 0,
                "points",
                points + " points given, at most " + possible + " are possible");
        Fraction credit = possible.isZero() ? Fraction.ZERO : points.over(possible);
        return Mark.scored(
                credit, Reason.of(Reason.Code.ELSEWHERE).with("points", points).with("possible", possible));
    }

    /** The points that a mark made so was given. */
    public static Fraction points(Mark mark) {
        return mark.reason().amount("points");
    }

    /** Whether a mark was made so. */
    public static boolean is(Mark mark) {
        return mark.reason().code() == Reason.Code.ELSEWHERE;
    }
}
