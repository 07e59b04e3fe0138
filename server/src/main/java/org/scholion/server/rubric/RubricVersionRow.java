package org.scholion.server.rubric;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.io.Serializable;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import tools.jackson.databind.JsonNode;

/** A rubric as it was in one version; kept for good. */
@Entity
@Immutable
@Table(name = "rubric_version")
@IdClass(RubricVersionRow.Key.class)
class RubricVersionRow {
    record Key(UUID rubric, int version) implements Serializable {}

    @Id
    @Column(name = "rubric_id")
    UUID rubric;

    @Id
    int version;

    String title;

    @JdbcTypeCode(SqlTypes.JSON)
    JsonNode definition;

    @Column(name = "by_id")
    UUID by;

    Instant at;

    @SuppressWarnings("NullAway.Init")
    protected RubricVersionRow() {}

    RubricVersionRow(UUID rubric, int version, String title, JsonNode definition, UUID by, Instant at) {
        this.rubric = rubric;
        this.version = version;
        this.title = title;
        this.definition = definition;
        this.by = by;
        this.at = at;
    }
}
