package org.scholion.server.read;

import java.util.List;
import java.util.UUID;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.OpenItem;
import org.scholion.core.rubric.Resolving;
import org.scholion.server.drawn.DrawnMarks;
import org.scholion.server.ledger.Attempt;
import org.scholion.server.ledger.Attempts;
import org.scholion.server.ledger.Ledger;
import org.scholion.server.ledger.LedgerMark;
import org.scholion.server.ledger.ReadTwice;
import org.scholion.server.platform.Me;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Drawing on the attachments of answers, by whoever may read them. */
@Service
class Drawing {
    private final Readings readings;
    private final SecondReadings seconds;
    private final Attempts attempts;
    private final Ledger ledger;
    private final DrawnMarks drawn;

    Drawing(Readings readings, SecondReadings seconds, Attempts attempts, Ledger ledger, DrawnMarks drawn) {
        this.readings = readings;
        this.seconds = seconds;
        this.attempts = attempts;
        this.ledger = ledger;
        this.drawn = drawn;
    }

    /** Where two read, what the other drew is seen when the own reading is made. */
    @Transactional(readOnly = true)
    List<DrawnMarks.DrawnMark> of(Me me, UUID assessment, String itemId, UUID answer, boolean names) {
        Attempt attempt = readings.attempt(me, assessment, answer, itemId, names);
        OpenItem item = readings.open(assessment, itemId);
        boolean blind = isBlind(me, attempt, item);
        return drawn.on(attempt.id(), itemId, me).stream()
                .filter(d -> d.mine() || !blind)
                .toList();
    }

    private boolean isBlind(Me me, Attempt attempt, OpenItem item) {
        Resolving rule =
                seconds.ruleOf(attempt.assessment(), item.id(), attempt.id()).orElse(null);
        LedgerMark mark = ledger.currentOf(attempt.id()).get(item.id());
        return rule != null && mark != null && !ReadTwice.of(rule, mark, item).isMadeBy(me.id(), item);
    }

    @Transactional
    void put(Me me, UUID assessment, String itemId, UUID answer, boolean names, UUID mark, DrawnMarks.NewMark made) {
        Attempt attempt = readings.attempt(me, assessment, answer, itemId, names);
        Answer said = Attempts.answer(readings.open(assessment, itemId), attempts.responsesOf(attempt.id()));
        List<String> attachments = said instanceof Answer.Written written ? written.attachments() : List.of();
        drawn.put(me, place(attempt, itemId), mark, made, attachments);
    }

    @Transactional
    void remove(Me me, UUID assessment, String itemId, UUID answer, boolean names, UUID mark) {
        drawn.remove(me, place(readings.attempt(me, assessment, answer, itemId, names), itemId), mark);
    }

    private static DrawnMarks.Place place(Attempt attempt, String item) {
        return new DrawnMarks.Place(attempt.assessment(), attempt.id(), item);
    }
}
