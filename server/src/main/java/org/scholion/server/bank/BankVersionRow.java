package org.scholion.server.bank;

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

/** An item of the bank as it was in one version; kept for good. */
@Entity
@Immutable
@Table(name = "bank_version")
@IdClass(BankVersionRow.Key.class)
class BankVersionRow {
    record Key(UUID item, int version) implements Serializable {}

    @Id
    @Column(name = "item_id")
    UUID item;

    @Id
    int version;

    @JdbcTypeCode(SqlTypes.JSON)
    JsonNode definition;

    @Column(name = "by_id")
    UUID by;

    Instant at;

    @SuppressWarnings("NullAway.Init")
    protected BankVersionRow() {}

    BankVersionRow(UUID item, int version, JsonNode definition, UUID by, Instant at) {
        this.item = item;
        this.version = version;
        this.definition = definition;
        this.by = by;
        this.at = at;
    }
}
