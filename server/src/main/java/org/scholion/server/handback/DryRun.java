package org.scholion.server.handback;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.server.collect.AsStudent;
import org.scholion.server.collect.SeenWhen;
import org.scholion.server.ledger.LedgerMark;
import org.scholion.server.ledger.Scoring;
import org.scholion.server.ledger.Standings;
import org.scholion.server.platform.JsonColumn;
import org.scholion.server.platform.Me;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The result of what a teacher tried as a student, as it would be seen. Nothing of it is kept. */
@Service
class DryRun {
    private final AsStudent asStudent;
    private final ResultPage pages;

    DryRun(AsStudent asStudent, ResultPage pages) {
        this.asStudent = asStudent;
        this.pages = pages;
    }

    /**
     * What was tried.
     *
     * @param attempt of the paper that was shown
     * @param sitting null for a sitting as it usually is
     * @param answers by item, under the ids of that paper
     * @param moment at which it is looked at
     */
    record DryAnswers(UUID attempt, @Nullable UUID sitting, Map<String, Object> answers, SeenWhen.When moment) {}

    /**
     * What comes of it.
     *
     * @param result null where nothing may be seen at that moment
     * @param kept the answers under the ids of the key, as a set of answers has them
     */
    record DryResult(@Nullable StudentResult result, Map<String, Object> kept) {}

    @Transactional(readOnly = true)
    DryResult of(Me me, UUID assessment, DryAnswers wanted) {
        AsStudent.Tried tried =
                asStudent.tried(me, assessment, wanted.sitting(), wanted.attempt(), wanted.answers(), wanted.moment());
        Map<String, Object> kept = new LinkedHashMap<>();
        tried.answers().forEach((item, answer) -> kept.put(item, JsonColumn.plain(answer)));
        if (!tried.seen().any()) {
            return new DryResult(null, kept);
        }
        Map<String, LedgerMark> marks = new HashMap<>();
        Scoring.marks(
                        tried.edition(),
                        tried.attempt(),
                        tried.answers(),
                        tried.attempt().startedAt())
                .forEach(m -> marks.put(m.item(), m));
        StudentResult result = pages.page(
                pages.common(tried.edition()),
                tried.edition(),
                tried.attempt(),
                Standings.alone(tried.edition(), tried.attempt(), marks).asShown(),
                tried.answers(),
                marks,
                EarlySight.sees(tried.seen()),
                List.of());
        return new DryResult(tried.questionsSeen() ? result : EarlySight.withoutQuestions(result), kept);
    }
}
