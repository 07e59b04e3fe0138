package org.scholion.server.read;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.OpenItem;
import org.scholion.server.comment.PaperComments;
import org.scholion.server.ledger.Attempt;
import org.scholion.server.ledger.Attempts;
import org.scholion.server.ledger.Ledger;
import org.scholion.server.ledger.LedgerMark;
import org.scholion.server.ledger.MarkView;
import org.scholion.server.platform.Me;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;

/** What stands beside an answer: what the same student said before, what is said of the whole paper, and who else has it open. */
@Service
class Beside {
    private final Readings readings;
    private final SecondReadings seconds;
    private final Attempts attempts;
    private final Ledger ledger;
    private final PaperComments comments;
    private final ReadNow now;

    Beside(
            Readings readings,
            SecondReadings seconds,
            Attempts attempts,
            Ledger ledger,
            PaperComments comments,
            ReadNow now) {
        this.readings = readings;
        this.seconds = seconds;
        this.attempts = attempts;
        this.ledger = ledger;
        this.comments = comments;
        this.now = now;
    }

    /** An answer as the list of answers names it. */
    record Which(UUID assessment, String item, UUID answer, boolean names) {}

    private Attempt attempt(Me me, Which which) {
        return readings.attempt(me, which.assessment(), which.answer(), which.item(), which.names());
    }

    /**
     * What the student said to the same question in an earlier attempt.
     *
     * @param attempt from 1 for the first
     * @param mark what it was given; null where two read, for whom it would say too much
     * @param attachments names of its pictures and PDFs
     */
    record EarlierAnswer(int attempt, String text, @Nullable MarkView mark, List<String> attachments) {}

    /** The latest of them first. */
    @Transactional(readOnly = true)
    List<EarlierAnswer> earlier(Me me, Which which) {
        Attempt attempt = attempt(me, which);
        OpenItem item = readings.open(which.assessment(), which.item());
        List<UUID> before = attempts.before(attempt);
        if (before.isEmpty()) {
            return List.of();
        }
        boolean twice =
                seconds.ruleOf(which.assessment(), item.id(), attempt.id()).isPresent();
        Map<UUID, Map<String, JsonNode>> responses = attempts.responsesOf(before, Set.of(item.id()));
        Map<UUID, Map<String, LedgerMark>> marks = ledger.currentOf(before, Set.of(item.id()));
        List<EarlierAnswer> all = new ArrayList<>();
        for (int i = before.size() - 1; i >= 0; i--) {
            UUID id = before.get(i);
            Answer answer = Attempts.answer(item, responses.getOrDefault(id, Map.of()));
            LedgerMark mark = marks.getOrDefault(id, Map.of()).get(item.id());
            all.add(new EarlierAnswer(
                    i + 1,
                    answer.shown(),
                    twice || mark == null ? null : MarkView.of(item, mark).withoutTime(),
                    answer instanceof Answer.Written w ? w.attachments() : List.of()));
        }
        return all;
    }

    /** What another said of the whole paper. */
    record OtherSaid(String name, String text) {}

    /** @param others nothing where anything of the paper is read twice: it would say too much */
    record OfPaper(PaperComments.Own own, List<OtherSaid> others) {}

    @Transactional(readOnly = true)
    OfPaper ofPaper(Me me, Which which) {
        Attempt attempt = attempt(me, which);
        boolean twice = !seconds.of(which.assessment()).isEmpty();
        List<OtherSaid> others = twice
                ? List.of()
                : comments.ofAttempt(attempt.id()).getOrDefault(attempt.id(), List.of()).stream()
                        .filter(s -> !s.person().equals(me.id()))
                        .map(s -> new OtherSaid(s.name(), s.text()))
                        .toList();
        return new OfPaper(comments.own(me, attempt.id()), others);
    }

    @Transactional
    PaperComments.Own say(Me me, Which which, PaperComments.Own said) {
        return comments.say(me, which.assessment(), attempt(me, which).id(), said);
    }

    /** Names of those who have the same answer before them; one is noted as one of them. */
    List<String> here(Me me, Which which) {
        return now.noted(me, attempt(me, which), which.item());
    }
}
