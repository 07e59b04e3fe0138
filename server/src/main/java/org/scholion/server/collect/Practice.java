package org.scholion.server.collect;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.core.item.Item;
import org.scholion.core.number.Fraction;
import org.scholion.core.reason.Words;
import org.scholion.core.score.Mark;
import org.scholion.core.score.RightAnswer;
import org.scholion.formats.rich.RichText;
import org.scholion.server.access.Access;
import org.scholion.server.key.Edition;
import org.scholion.server.key.Editions;
import org.scholion.server.ledger.AtWork;
import org.scholion.server.ledger.Attempt;
import org.scholion.server.ledger.Attempts;
import org.scholion.server.ledger.LedgerMark;
import org.scholion.server.ledger.MarkView;
import org.scholion.server.ledger.Said;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;

/** Practice: a student looks at an answer at once and, where the sitting lets them, tries again. */
@Service
class Practice {
    private final EntityManager entities;
    private final Attempts attempts;
    private final AtWork atWork;
    private final Sittings sittings;
    private final Drafts drafts;
    private final Editions editions;
    private final Access access;
    private final Clock clock;

    Practice(
            EntityManager entities,
            Attempts attempts,
            AtWork atWork,
            Sittings sittings,
            Drafts drafts,
            Editions editions,
            Access access,
            Clock clock) {
        this.entities = entities;
        this.attempts = attempts;
        this.atWork = atWork;
        this.sittings = sittings;
        this.drafts = drafts;
        this.editions = editions;
        this.access = access;
        this.clock = clock;
    }

    /**
     * What a student is shown of an answer at once.
     *
     * @param by who decided: a rule, or nobody yet
     * @param feedback what the key says to whoever answers so; null for nothing
     * @param key the right answer; null where the sitting does not tell it now
     * @param passed it is right, or a person will decide: one may go on
     */
    public record LookedAt(
            String state,
            String points,
            String of,
            MarkView.By by,
            String because,
            @Nullable String feedback,
            @Nullable String key,
            int tries,
            boolean passed) {}

    @Transactional
    LookedAt look(Me me, UUID id, String itemId) {
        access.require(me, Access.Action.TAKE, id);
        Attempt attempt = attempts.require(id);
        AtWork.Stand stand = atWork.require(id);
        SittingRow sitting = sittings.require(attempt.sitting());
        if (sitting.settings.practice() == SittingSettings.Practising.NONE) {
            throw Refused.notFound();
        }
        Instant now = clock.instant();
        // One look after the other, and no answer is saved between the look and what it shows.
        if (!attempts.hold(id) || stand.pausedAt() != null || now.isAfter(stand.end())) {
            throw Refused.conflict("closed", "You cannot look at your answers now.");
        }
        Edition edition = editions.require(attempt.assessment());
        Item item = item(edition, attempt, itemId);
        Drafts.Draft draft = drafts.of(id).get(itemId);
        if (draft == null || !Monitor.isSaid(draft.answer())) {
            throw Refused.conflict("unanswered", "Answer the question first.");
        }
        LookRow row = entities.find(LookRow.class, new LookRow.Key(id, itemId));
        LookRow own = row == null ? new LookRow(attempt.school(), id, itemId) : row;
        own.tries++;
        own.at = now;
        own.passed = isPassed(mark(edition, item, draft.answer()));
        if (row == null) {
            entities.persist(own);
        }
        return looked(sitting, edition, item, draft.answer(), own);
    }

    /** What was looked at already, by item, as long as the answer is still the one that was looked at. */
    @Transactional(readOnly = true)
    Map<String, LookedAt> of(SittingRow sitting, Attempt attempt, Map<String, Drafts.Draft> said) {
        Map<String, LookedAt> all = new LinkedHashMap<>();
        if (sitting.settings.practice() == SittingSettings.Practising.NONE) {
            return all;
        }
        Edition edition = editions.require(attempt.assessment());
        for (LookRow row : rows(attempt.id())) {
            Drafts.Draft draft = said.get(row.item);
            Optional<Item> item = edition.assessment().item(row.item);
            if (item.isPresent() && draft != null && !draft.at().isAfter(row.at)) {
                all.put(row.item, looked(sitting, edition, item.get(), draft.answer(), row));
            }
        }
        return all;
    }

    /** How many of these were not right when they were looked at last, or never looked at. */
    @Transactional(readOnly = true)
    long notPassed(UUID attempt, List<String> items) {
        List<String> passed =
                rows(attempt).stream().filter(r -> r.passed).map(r -> r.item).toList();
        return items.stream().filter(i -> !passed.contains(i)).count();
    }

    @Transactional(readOnly = true)
    boolean isLookedAt(UUID attempt, String item) {
        return entities.find(LookRow.class, new LookRow.Key(attempt, item)) != null;
    }

    private List<LookRow> rows(UUID attempt) {
        return entities.createQuery("from LookRow l where l.attempt = :attempt order by l.item", LookRow.class)
                .setParameter("attempt", attempt)
                .getResultList();
    }

    private static Item item(Edition edition, Attempt attempt, String id) {
        return edition.items().stream()
                .filter(i -> i.id().equals(id) && !attempt.leftOut().contains(id))
                .findFirst()
                .orElseThrow(Refused::notFound);
    }

    private static Mark mark(Edition edition, Item item, JsonNode answer) {
        return Said.of(item, answer).markedBy(edition, item);
    }

    private static boolean isPassed(Mark mark) {
        return mark.state().isUndecided() || mark.credit().compareTo(Fraction.ONE) >= 0;
    }

    private static LookedAt looked(SittingRow sitting, Edition edition, Item item, JsonNode answer, LookRow row) {
        Mark mark = mark(edition, item, answer);
        MarkView view = MarkView.of(item, LedgerMark.byRule(row.attempt, item.id(), mark, edition.number(), row.at));
        boolean isOver = row.passed || sitting.settings.practice() == SittingSettings.Practising.ONCE;
        boolean tellsKey = isOver && sitting.seen.keys() == SeenWhen.When.AT_HAND_IN;
        String said = mark.state().isUndecided()
                ? null
                : edition.file().particulars(item.id()).feedback().at(mark.credit());
        return new LookedAt(
                view.state(),
                view.points(),
                view.of(),
                view.by(),
                tellsKey ? view.because() : Words.withoutKey(mark.reason()),
                said == null ? null : RichText.clean(said),
                tellsKey ? RightAnswer.inWords(item).orElse(null) : null,
                row.tries,
                row.passed);
    }
}
