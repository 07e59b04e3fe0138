package org.scholion.server.handback;

import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.scholion.core.item.Item;
import org.scholion.core.reason.Words;
import org.scholion.core.score.State;
import org.scholion.core.total.Adjustment;
import org.scholion.server.key.Edition;
import org.scholion.server.ledger.Attempt;
import org.scholion.server.ledger.LedgerMark;
import org.scholion.server.ledger.Standings;

/** What a student has to know so that a result adds up: what counted in another way than by its points. */
record HowItCounts(Edition edition, Map<String, LedgerMark> marks, Standings.Sum sum) {
    /** Facts of a total without which it is the sum of its points. */
    private static final List<String> BESIDE_POINTS =
            List.of("dropped", "excused", "credited", "bonus", "notBest", "parts", "floor", "late", "curve", "partly");

    static HowItCounts of(
            Edition edition, Attempt attempt, Map<String, LedgerMark> marks, Standings.Standing standing) {
        return new HowItCounts(edition, marks, Standings.sum(edition, attempt, marks, standing));
    }

    /** How the points come to the score; null where they are simply added up. */
    @Nullable
    String ofAll() {
        return BESIDE_POINTS.stream().anyMatch(sum.because()::has) ? Words.english(sum.because()) : null;
    }

    /** How one question counts; null where by its points. */
    @Nullable
    String of(Item item) {
        Adjustment.Kind kind = edition.assessment().adjustment(item.id()).orElse(null);
        LedgerMark mark = marks.get(item.id());
        if (kind == Adjustment.Kind.DROP) {
            return "dropped for everyone: counts neither in the score nor in the maximum";
        }
        if (mark != null && mark.mark().state() == State.EXCUSED) {
            return "excused: counts neither in the score nor in the maximum";
        }
        boolean answered = mark != null && mark.mark().state() != State.BLANK;
        if (kind == Adjustment.Kind.CREDIT_ALL || kind == Adjustment.Kind.CREDIT_ANSWERED && answered) {
            return "counts as full credit for everyone"
                    + (kind == Adjustment.Kind.CREDIT_ANSWERED ? " who answered it" : "");
        }
        if (kind == Adjustment.Kind.BONUS) {
            return "a bonus: adds to the score, not to the maximum";
        }
        return sum.counted().get(edition.items().indexOf(item)) == null ? "not among the best that count" : null;
    }
}
