package org.scholion.server.collect;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A line that a teacher says to one student, or to all, while they work. */
@Entity
@Table(name = "sitting_line")
class TeacherLine {
    @Id
    UUID id;

    @Column(name = "school_id")
    UUID school;

    @Column(name = "sitting_id")
    UUID sitting;

    /** Null for all. */
    @Column(name = "student_id")
    @Nullable
    UUID student;

    String words;

    @Column(name = "said_by")
    UUID saidBy;

    @Column(name = "said_at")
    Instant saidAt;

    @Column(name = "taken_back_at")
    @Nullable
    Instant takenBackAt;

    @SuppressWarnings("NullAway.Init")
    protected TeacherLine() {}
}
