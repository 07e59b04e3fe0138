package org.scholion.server.rubric;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;

/** A rubric that is kept for many papers, as it is now. */
@Entity
class Rubric {
    @Id
    UUID id;

    @Column(name = "school_id")
    UUID school;

    @Column(name = "owner_id")
    UUID owner;

    String title;

    /** The number of the version that it is; what changes beside it, such as being removed, is no new one. */
    int version;

    @JdbcTypeCode(SqlTypes.JSON)
    JsonNode definition;

    @Column(name = "changed_at")
    Instant changedAt;

    @Column(name = "deleted_at")
    @Nullable
    Instant deletedAt;

    @SuppressWarnings("NullAway.Init")
    protected Rubric() {}

    Rubric(UUID id, UUID school, UUID owner, String title, JsonNode definition, Instant at) {
        this.id = id;
        this.school = school;
        this.owner = owner;
        this.title = title;
        this.version = 1;
        this.definition = definition;
        this.changedAt = at;
    }
}
