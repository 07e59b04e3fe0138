package org.scholion.server.ledger;

import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.scholion.core.item.Item;
import org.scholion.core.number.Fraction;
import org.scholion.core.reason.Reason;
import org.scholion.core.score.Mark;
import org.scholion.server.key.Edition;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import tools.jackson.databind.JsonNode;

/** Points that a person gives to one answer, with why. */
public final class ByHand {
    /** In a reading: its mark was decided without it, and does not follow the rubric. */
    private static final String OVERRULED = "overruled";

    private ByHand() {}

    /**
     * The mark, not kept yet. What a reader chose and said stays with it, and is worth something again only when the answer
     * is read anew.
     *
     * @param was the mark that stands
     * @param points a number from 0 to what the question is worth
     * @param why the person's words, which the student sees as comments are seen; may be empty
     * @throws Refused where the points are no such number
     */
    public static LedgerMark points(
            LedgerMark was, Edition edition, Item item, String points, String why, Me me, Instant now) {
        Fraction given = typed(points, item);
        Fraction credit = item.points().isZero() ? Fraction.ZERO : given.over(item.points());
        Reason reason = Reason.of(Reason.Code.PERSON);
        Mark mark = Mark.scored(credit, why.isBlank() ? reason : reason.with("note", why.strip()));
        return LedgerMark.byPerson(
                was.attempt(), item.id(), mark, edition.number(), me, reading(was, points, why), now);
    }

    /**
     * Points as a person types them.
     *
     * @throws Refused where they are no number from 0 to what the question is worth
     */
    public static Fraction typed(String points, Item item) {
        return Fraction.parse(points.strip())
                .filter(p -> p.signum() >= 0 && p.compareTo(item.points()) <= 0)
                .orElseThrow(
                        () -> Refused.invalid("points", "'" + points + "' is not a number from 0 to " + item.points()));
    }

    /** Whether a mark was decided without the reading that stays with it. */
    public static boolean isOverruled(LedgerMark mark) {
        return mark.reading() != null && mark.reading().path(OVERRULED).asBoolean(false);
    }

    /** The same for a reading that is saved after it: the mark stays what it was overruled to. */
    public static JsonNode stays(JsonNode reading) {
        return reading.deepCopy().asObject().put(OVERRULED, true);
    }

    private static @Nullable JsonNode reading(LedgerMark was, String points, String why) {
        return was.reading() == null
                ? null
                : was.reading()
                        .deepCopy()
                        .asObject()
                        .put("points", points.strip())
                        .put("why", why.strip())
                        .put("held", false)
                        .put(OVERRULED, true);
    }
}
