package org.scholion.server.ledger;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;

/** What a student wrote in time and what came in too late; a teacher decides whether it counts. */
@Entity
@Table(name = "late_answer")
class LateAnswer {
    /** What was decided about it. */
    enum Decision {
        WAITS,
        COUNTS,
        LEFT
    }

    @Id
    UUID id;

    @Column(name = "school_id")
    UUID school;

    @Column(name = "attempt_id")
    UUID attempt;

    String item;

    @JdbcTypeCode(SqlTypes.JSON)
    JsonNode answer;

    @Column(name = "written_at")
    Instant writtenAt;

    @Column(name = "came_at")
    Instant cameAt;

    @Enumerated(EnumType.STRING)
    Decision decision;

    @Nullable
    @Column(name = "decided_by")
    UUID decidedBy;

    @Nullable
    @Column(name = "decided_at")
    Instant decidedAt;

    @Nullable
    @Column(name = "mark_before")
    Long markBefore;

    @SuppressWarnings("NullAway.Init")
    LateAnswer() {}
}
