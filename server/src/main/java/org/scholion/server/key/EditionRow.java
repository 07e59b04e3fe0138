package org.scholion.server.key;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;

/** A frozen edition of an assessment: never changed. */
@Entity
@Immutable
@Table(name = "edition")
class EditionRow {
    @Id
    UUID id;

    @Column(name = "assessment_id")
    UUID assessment;

    int number;

    @JdbcTypeCode(SqlTypes.JSON)
    JsonNode definition;

    @JdbcTypeCode(SqlTypes.JSON)
    JsonNode rulings;

    String why;

    /** The number of the edition that it repeats, where it was made by going back. */
    @Nullable
    Integer undoes;

    @Column(name = "made_by")
    UUID madeBy;

    @Column(name = "made_at")
    Instant madeAt;

    /** The items whose marks can wait. */
    String[] live;

    @SuppressWarnings("NullAway.Init")
    protected EditionRow() {}
}
