package org.scholion.server.ledger;

import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.scholion.core.item.Item;
import org.scholion.core.item.OpenItem;
import org.scholion.core.reason.Words;
import org.scholion.core.rubric.Mastery;
import org.scholion.core.score.Mark;
import org.scholion.core.score.State;

/**
 * A mark as the pages show it. Points are exact, such as {@code 1.5} or {@code 2/3}.
 *
 * @param mastered whether an open answer counts as mastered; null where its item names no bound or nobody has decided
 * @param by who decided: a rule of the key, a person's hand, or nobody yet
 * @param takenBackBy who took back a later mark, so that this one stands again
 */
public record MarkView(
        String state,
        String points,
        String of,
        By by,
        String because,
        @Nullable String who,
        int edition,
        @Nullable Instant at,
        @Nullable Boolean mastered,
        @Nullable String takenBackBy) {

    /** Who decided. */
    public enum By {
        RULE,
        PERSON,
        NOBODY
    }

    /** The same without its time, for where the time would tell whose it is. */
    public MarkView withoutTime() {
        return new MarkView(state, points, of, by, because, who, edition, null, mastered, takenBackBy);
    }

    public static MarkView of(Item item, LedgerMark m) {
        return new MarkView(
                m.mark().state().word(),
                m.mark().credit().times(item.points()).toExact(),
                item.points().toExact(),
                by(m.mark(), m.byPerson()),
                Words.english(m.mark().reason()),
                who(item, m),
                m.edition(),
                m.at(),
                item instanceof OpenItem open ? Mastery.of(open, m.mark()).orElse(null) : null,
                m.takenBack() == null ? null : m.takenBack().byName());
    }

    /** Where two read, whose reading counts, and not who saved last. */
    private static @Nullable String who(Item item, LedgerMark m) {
        return item instanceof OpenItem open && !ByHand.isOverruled(m)
                ? ReadTwice.in(m).flatMap(t -> t.whoCounts(open)).orElse(m.personName())
                : m.personName();
    }

    private static By by(Mark mark, boolean person) {
        if (mark.state() == State.SETTLE || mark.state() == State.READ) {
            return By.NOBODY;
        }
        boolean decided = person || mark.rule().equals("ruling");
        return decided ? By.PERSON : By.RULE;
    }
}
