package org.scholion.server.standard;

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

/** A framework of the school, in the form that the assessment file gives it. */
@Entity
@Table(name = "framework")
class FrameworkRow {
    @Id
    UUID id;

    @Column(name = "school_id")
    UUID school;

    /** By which an assessment file names it. */
    String code;

    String title;
    String version;

    @JdbcTypeCode(SqlTypes.JSON)
    JsonNode definition;

    @Version
    @Nullable
    Integer revision;

    @Column(name = "deleted_at")
    @Nullable
    Instant deletedAt;

    @SuppressWarnings("NullAway.Init")
    protected FrameworkRow() {}

    FrameworkRow(UUID id, UUID school, JsonNode definition) {
        this.id = id;
        this.school = school;
        this.code = definition.get("id").stringValue();
        this.title = definition.get("title").stringValue();
        this.version = definition.get("version").stringValue();
        this.definition = definition;
    }

    void becomes(JsonNode next) {
        definition = next;
        title = next.path("title").asString("");
        version = next.path("version").asString("");
    }
}
