package org.scholion.server.ledger;

import jakarta.persistence.EntityManager;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.server.key.Edition;
import org.scholion.server.key.Editions;
import org.scholion.server.platform.Batches;
import org.scholion.server.platform.Ids;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;

/**
 * Attempts that are set aside and put back: nothing of them is lost, and while they are aside they count nowhere. Opening
 * one again is setting it aside and beginning another one that follows it.
 */
@Service
public class SettingAside {
    private final EntityManager entities;
    private final Attempts attempts;
    private final Ledger ledger;
    private final Standings standings;
    private final Editions editions;
    private final Batches batches;
    private final Ids ids;

    SettingAside(
            EntityManager entities,
            Attempts attempts,
            Ledger ledger,
            Standings standings,
            Editions editions,
            Batches batches,
            Ids ids) {
        this.entities = entities;
        this.attempts = attempts;
        this.ledger = ledger;
        this.standings = standings;
        this.editions = editions;
        this.batches = batches;
        this.ids = ids;
    }

    /** What became of an attempt that may have been set aside. */
    public record Fate(
            UUID assessment,
            UUID sitting,
            UUID student,
            boolean aside,
            boolean in,
            boolean byStudent,
            @Nullable UUID goesOnIn) {}

    @Transactional(readOnly = true)
    public Fate fate(UUID attempt) {
        AnyAttempt one =
                Optional.ofNullable(entities.find(AnyAttempt.class, attempt)).orElseThrow(Refused::notFound);
        UUID next = entities.createQuery(
                        "select x.id from AttemptRow x where x.sitting = :sitting and x.student = :student"
                                + " order by x.number desc",
                        UUID.class)
                .setParameter("sitting", one.sitting)
                .setParameter("student", one.student)
                .setMaxResults(1)
                .getResultStream()
                .findFirst()
                .orElse(null);
        return new Fate(
                one.assessment,
                one.sitting,
                one.student,
                one.setAsideAt != null,
                one.handedInAt != null,
                one.student.equals(one.setAsideBy),
                next);
    }

    /** Sets an attempt aside that the transaction holds, in a turn of the whole; the others stand as if it were not. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void aside(Me me, Attempt attempt, Instant now) {
        set(attempt.id(), me.id(), now);
        othersStandAgain(attempt);
    }

    /** Puts an attempt back, which is scored by the rules of now; what a person decided about it stays. */
    @Transactional(propagation = Propagation.MANDATORY)
    public Attempt back(UUID id, Instant now) {
        set(id, null, null);
        Attempt attempt = attempts.require(id);
        if (attempt.isIn()) {
            Edition edition = editions.require(attempt.assessment());
            ledger.append(attempt.school(), scoredAgain(edition, attempt, now));
            standings.refresh(attempt.assessment(), List.of(id));
            othersStandAgain(attempt);
        }
        return attempt;
    }

    private void set(UUID id, @Nullable UUID by, @Nullable Instant at) {
        AnyAttempt one = entities.find(AnyAttempt.class, id);
        one.setAsideBy = by;
        one.setAsideAt = at;
        entities.flush();
        entities.clear();
    }

    /** Other attempts of the student may count now, and whoever is left in the sitting may stand higher on its curve. */
    private void othersStandAgain(Attempt gone) {
        if (!gone.isIn()) {
            return;
        }
        List<UUID> others = attempts.standingOtherwise(List.of(gone.id()));
        if (!others.isEmpty()) {
            standings.refresh(gone.assessment(), others);
        }
    }

    private List<LedgerMark> scoredAgain(Edition edition, Attempt attempt, Instant now) {
        Map<String, LedgerMark> current = ledger.currentOf(attempt.id());
        List<LedgerMark> moved = new ArrayList<>();
        for (LedgerMark ruled : Scoring.marks(edition, attempt, attempts.responsesOf(attempt.id()), now)) {
            LedgerMark was = current.get(ruled.item());
            if (was != null && was.byPerson()) {
                edition.assessment()
                        .item(ruled.item())
                        .flatMap(item -> Rereading.under(item, was, edition.number(), now))
                        .ifPresent(moved::add);
            } else if (was == null || !was.mark().equals(ruled.mark())) {
                moved.add(ruled);
            }
        }
        return moved;
    }

    /**
     * Opens an attempt again: it is set aside as it was handed in, and another one goes on with its order, its draw and
     * its time. What it says is for the caller to carry over.
     *
     * @param due until when it may go on
     * @param moreUntil until when in any case, whatever becomes of the times; null where nobody gave it more
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public UUID again(Me me, Attempt attempt, Instant due, @Nullable Instant moreUntil, Instant now) {
        AttemptRow was = entities.find(AttemptRow.class, attempt.id());
        AttemptRow row = new AttemptRow();
        row.id = ids.next();
        row.school = was.school;
        row.assessment = was.assessment;
        row.sitting = was.sitting;
        row.section = was.section;
        row.student = was.student;
        row.number = attempts.nextNumber(was.sitting, was.student);
        row.edition = was.edition;
        row.way = was.way;
        row.startedAt = was.startedAt;
        row.dueAt = due;
        row.moreUntil = moreUntil;
        row.leftOut = was.leftOut;
        row.daysLate = "0";
        row.follows = was.id;
        row.ownOrder = Objects.requireNonNullElse(was.ownOrder, was.id);
        row.pausedSeconds = was.pausedSeconds;
        row.leftPage = was.leftPage;
        aside(me, attempt, now);
        batches.insert(List.of(row));
        return row.id;
    }

    /**
     * Of the one that an attempt follows: what a person decided about answers that are still the same.
     *
     * @return by item; empty where it follows none
     */
    @Transactional(propagation = Propagation.MANDATORY)
    Map<String, LedgerMark> decided(Attempt attempt, Map<String, JsonNode> answers) {
        if (attempt.number() == 1) {
            // The first follows none, and nearly all are.
            return Map.of();
        }
        UUID before = entities.createQuery("select x.follows from AttemptRow x where x.id = :id", UUID.class)
                .setParameter("id", attempt.id())
                .getSingleResultOrNull();
        if (before == null) {
            return Map.of();
        }
        Map<String, JsonNode> said = attempts.responsesOfAside(before);
        Map<String, LedgerMark> decided = new HashMap<>();
        ledger.currentOf(before).forEach((item, mark) -> {
            if (mark.byPerson() && Objects.equals(said.get(item), answers.get(item))) {
                decided.put(item, mark);
            }
        });
        return decided;
    }
}
