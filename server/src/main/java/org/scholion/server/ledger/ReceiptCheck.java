package org.scholion.server.ledger;

import jakarta.persistence.EntityManager;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.scholion.server.access.Access;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;

/** Checks the codes that students were given when they handed in. */
@Service
public class ReceiptCheck {
    private final EntityManager entities;
    private final Attempts attempts;
    private final Receipts receipts;
    private final Access access;

    ReceiptCheck(EntityManager entities, Attempts attempts, Receipts receipts, Access access) {
        this.entities = entities;
        this.attempts = attempts;
        this.receipts = receipts;
        this.access = access;
    }

    /**
     * What a code stands for.
     *
     * @param answers how many questions were answered
     * @param unchanged what is kept is what was handed in then
     */
    public record Checked(
            UUID assessment, String title, String student, Instant handedInAt, int answers, boolean unchanged) {}

    /** The code that an attempt's student was given; empty where there is none. */
    @Transactional(readOnly = true)
    public Optional<String> of(UUID attempt) {
        return entities.createQuery(
                        "select receipt from AttemptRow where id = :id and receipt is not null", String.class)
                .setParameter("id", attempt)
                .getResultStream()
                .findFirst();
    }

    /** For whoever teaches the assessment, and for the student whose it is; to others there is no such code. */
    @Transactional(readOnly = true)
    public Checked check(Me me, String typed) {
        UUID id = entities.createQuery("select id from AttemptRow where receipt = :receipt", UUID.class)
                .setParameter("receipt", Receipts.plain(typed))
                .getResultStream()
                .filter(a -> access.may(me, Access.Action.TAKE, a) || access.may(me, Access.Action.WORK_ON_ATTEMPT, a))
                .findFirst()
                .orElseThrow(() -> new Refused(
                        HttpStatus.NOT_FOUND,
                        "no-receipt",
                        "No receipt of yours or of your courses has this code. Check its twelve letters and digits.",
                        List.of()));
        Attempt attempt = attempts.require(id);
        Map<String, JsonNode> answers = attempts.handedIn(List.of(id)).getOrDefault(id, Map.of());
        Instant at = Objects.requireNonNull(attempt.handedInAt());
        return new Checked(
                attempt.assessment(),
                entities.createQuery("select title from AssessmentRow where id = :id", String.class)
                        .setParameter("id", attempt.assessment())
                        .getSingleResult(),
                attempt.name(),
                at,
                answers.size(),
                receipts.of(id, at, answers).equals(Receipts.plain(typed)));
    }
}
