package org.scholion.server.crosswalk;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.io.Serializable;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import tools.jackson.databind.JsonNode;

/** What the standards of an older version of a framework became in a newer one, as the school has said it. */
@Entity
@Table(name = "crosswalk")
@IdClass(CrosswalkRow.Key.class)
class CrosswalkRow {
    record Key(UUID older, UUID newer) implements Serializable {}

    @Id
    @Column(name = "older_id")
    UUID older;

    @Id
    @Column(name = "newer_id")
    UUID newer;

    @JdbcTypeCode(SqlTypes.JSON)
    JsonNode links;

    @Column(name = "by_id")
    UUID by;

    Instant at;

    @SuppressWarnings("NullAway.Init")
    protected CrosswalkRow() {}
}
