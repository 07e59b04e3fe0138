package org.scholion.server.ledger;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Every attempt, those that were set aside as well, for whoever must know that something is there at all. */
@Entity
@Table(name = "attempt")
class AnyAttempt {
    @Id
    UUID id;

    @Column(name = "school_id", insertable = false, updatable = false)
    UUID school;

    @Column(name = "assessment_id", insertable = false, updatable = false)
    UUID assessment;

    @Column(name = "sitting_id", insertable = false, updatable = false)
    UUID sitting;

    @Column(name = "section_id", insertable = false, updatable = false)
    UUID section;

    @Column(name = "student_id")
    UUID student;

    @Column(insertable = false, updatable = false)
    int number;

    @Enumerated(EnumType.STRING)
    @Column(insertable = false, updatable = false)
    Attempt.Way way;

    @Column(name = "started_at", insertable = false, updatable = false)
    Instant startedAt;

    @Column(name = "handed_in_at", insertable = false, updatable = false)
    @Nullable
    Instant handedInAt;

    @Column(name = "days_late", insertable = false, updatable = false)
    String daysLate;

    @Column(insertable = false, updatable = false)
    @Nullable
    UUID follows;

    @Column(insertable = false, updatable = false)
    @Nullable
    String receipt;

    @Column(name = "set_aside_at")
    @Nullable
    Instant setAsideAt;

    @Column(name = "set_aside_by")
    @Nullable
    UUID setAsideBy;

    @SuppressWarnings("NullAway.Init")
    protected AnyAttempt() {}
}
