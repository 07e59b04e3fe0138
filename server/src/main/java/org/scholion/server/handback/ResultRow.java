package org.scholion.server.handback;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.Formula;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;

/** What a student was handed back at one moment; of it only whether it was looked at changes. */
@Entity
@Table(name = "result")
class ResultRow {
    @Id
    UUID id;

    @Column(name = "school_id")
    UUID school;

    @Column(name = "attempt_id")
    UUID attempt;

    @Column(name = "student_id")
    UUID student;

    @Column(name = "handed_at")
    Instant handedAt;

    @Column(name = "handed_by")
    UUID handedBy;

    @JdbcTypeCode(SqlTypes.JSON)
    JsonNode snapshot;

    String hash;

    @Column(name = "seen_at")
    @Nullable
    Instant seenAt;

    /** What it shows as the whole; null where it shows no score. */
    @Formula("snapshot -> 'result' ->> 'percent'")
    @Nullable
    String percent;

    @Formula("snapshot -> 'result' ->> 'score'")
    @Nullable
    String score;

    /** What of the attempt it was made of; null for those that were made before that was kept. */
    @Column(name = "made_of")
    @Nullable
    String madeOf;

    /** What it was compared with last, and whether that makes another result. */
    @Column(name = "compared_to")
    @Nullable
    String comparedTo;

    boolean changed;

    @SuppressWarnings("NullAway.Init")
    protected ResultRow() {}

    ResultRow(
            UUID id,
            UUID school,
            UUID attempt,
            UUID student,
            Instant handedAt,
            UUID handedBy,
            JsonNode snapshot,
            String hash,
            String madeOf) {
        this.id = id;
        this.school = school;
        this.attempt = attempt;
        this.student = student;
        this.handedAt = handedAt;
        this.handedBy = handedBy;
        this.snapshot = snapshot;
        this.hash = hash;
        this.madeOf = madeOf;
    }
}
