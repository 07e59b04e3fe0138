package org.scholion.server.collect;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A file of answers that was brought in. */
@Entity
@Table(name = "brought_in")
class BroughtInRow {
    @Id
    UUID id;

    @Column(name = "school_id")
    UUID school;

    @Column(name = "assessment_id")
    UUID assessment;

    String file;

    @Column(name = "made_by")
    UUID madeBy;

    @Column(name = "made_at")
    Instant madeAt;

    @Column(name = "taken_back_by")
    @Nullable
    UUID takenBackBy;

    @Column(name = "taken_back_at")
    @Nullable
    Instant takenBackAt;

    @SuppressWarnings("NullAway.Init")
    BroughtInRow() {}
}
