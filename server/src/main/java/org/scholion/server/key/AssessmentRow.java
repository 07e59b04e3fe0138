package org.scholion.server.key;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;

/** An assessment while it is written; its draft has the form of the assessment file, without frameworks. */
@Entity
@Table(name = "assessment")
class AssessmentRow {
    @Id
    UUID id;

    @Column(name = "school_id")
    UUID school;

    @Column(name = "course_id")
    UUID course;

    String title;

    @JdbcTypeCode(SqlTypes.JSON)
    JsonNode draft;

    @Version
    Integer revision;

    @Column(name = "made_by")
    UUID madeBy;

    @Column(name = "made_at")
    Instant madeAt;

    @Column(name = "changed_by")
    @Nullable
    UUID changedBy;

    @Column(name = "changed_at")
    Instant changedAt;

    /** The topic of the course that it belongs to. */
    @Column(name = "unit_id")
    @Nullable
    UUID unit;

    @SuppressWarnings("NullAway.Init")
    AssessmentRow() {}
}
