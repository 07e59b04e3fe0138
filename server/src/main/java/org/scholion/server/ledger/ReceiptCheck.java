package org.scholion.server.ledger;

import jakarta.persistence.EntityManager;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
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
     * @param aside it was set aside or opened again since, so that it counts no more
     */
    public record Checked(
            UUID assessment,
            String title,
            String student,
            Instant handedInAt,
            int answers,
            boolean unchanged,
            boolean aside) {}

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
        Given given = entities.createQuery("""
                        select x.id, x.assessment, a.title, p.name, x.handedInAt, x.setAsideAt from AnyAttempt x
                        join AssessmentRow a on a.id = x.assessment join Person p on p.id = x.student
                        where x.receipt = :receipt""", Given.class)
                .setParameter("receipt", Receipts.plain(typed))
                .getResultStream()
                .filter(g -> access.may(me, Access.Action.SEE_ATTEMPT, g.id())
                        || access.may(me, Access.Action.PUT_BACK_ATTEMPT, g.id()))
                .findFirst()
                .orElseThrow(() -> new Refused(
                        HttpStatus.NOT_FOUND,
                        "no-receipt",
                        "No receipt of yours or of your courses has this code. Check its twelve letters and digits.",
                        List.of()));
        Map<String, JsonNode> answers = attempts.handedInAnywhere(given.id());
        return new Checked(
                given.assessment(),
                given.title(),
                given.student(),
                given.handedInAt(),
                answers.size(),
                receipts.of(given.id(), given.handedInAt(), answers).equals(Receipts.plain(typed)),
                given.setAsideAt() != null);
    }

    /** Whose code it is, and of what. */
    private record Given(
            UUID id,
            UUID assessment,
            String title,
            String student,
            Instant handedInAt,
            @Nullable Instant setAsideAt) {}
}
