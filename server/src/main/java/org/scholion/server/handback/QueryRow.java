package org.scholion.server.handback;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** What a student asks about a mark, and what was replied. */
@Entity
@Table(name = "query")
class QueryRow {
    @Id
    UUID id;

    @Column(name = "school_id")
    UUID school;

    @Column(name = "result_id")
    UUID result;

    @Column(name = "attempt_id")
    UUID attempt;

    @Column(name = "assessment_id")
    UUID assessment;

    String item;

    @Column(name = "student_id")
    UUID student;

    String words;

    @Column(name = "asked_at")
    Instant askedAt;

    @Nullable
    String reply;

    @Column(name = "replied_by")
    @Nullable
    UUID repliedBy;

    @Column(name = "replied_at")
    @Nullable
    Instant repliedAt;

    @SuppressWarnings("NullAway.Init")
    protected QueryRow() {}

    QueryRow(
            UUID id,
            UUID school,
            UUID result,
            UUID attempt,
            UUID assessment,
            String item,
            UUID student,
            String words,
            Instant askedAt) {
        this.id = id;
        this.school = school;
        this.result = result;
        this.attempt = attempt;
        this.assessment = assessment;
        this.item = item;
        this.student = student;
        this.words = words;
        this.askedAt = askedAt;
    }
}
