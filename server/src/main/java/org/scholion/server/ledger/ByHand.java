package org.scholion.server.ledger;

import java.time.Instant;
import org.scholion.core.item.Item;
import org.scholion.core.number.Fraction;
import org.scholion.core.reason.Reason;
import org.scholion.core.score.Mark;
import org.scholion.server.key.Edition;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;

/** Points that a person gives to one answer, with why. */
public final class ByHand {
    private ByHand() {}

    /**
     * The mark, not kept yet.
     *
     * @param points a number from 0 to what the question is worth
     * @param why the person's words, which the student sees as comments are seen; may be empty
     * @throws Refused where the points are no such number
     */
    public static LedgerMark points(
            Attempt attempt, Edition edition, Item item, String points, String why, Me me, Instant now) {
        Fraction given = Fraction.parse(points.strip())
                .filter(p -> p.signum() >= 0 && p.compareTo(item.points()) <= 0)
                .orElseThrow(
                        () -> Refused.invalid("points", "'" + points + "' is not a number from 0 to " + item.points()));
        Fraction credit = item.points().isZero() ? Fraction.ZERO : given.over(item.points());
        Reason reason = Reason.of(Reason.Code.PERSON);
        Mark mark = Mark.scored(credit, why.isBlank() ? reason : reason.with("note", why.strip()));
        return LedgerMark.byPerson(attempt.id(), item.id(), mark, edition.number(), me, null, now);
    }
}
