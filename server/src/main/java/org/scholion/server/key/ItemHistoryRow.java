package org.scholion.server.key;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;

/** What an item of a draft was after one change. */
@Entity
@Table(name = "item_history")
class ItemHistoryRow {
    @Id
    UUID id;

    @Column(name = "assessment_id")
    UUID assessment;

    String item;

    /** Null where the item was taken out. */
    @JdbcTypeCode(SqlTypes.JSON)
    @Nullable
    JsonNode definition;

    @Column(name = "by_id")
    UUID by;

    Instant at;

    @SuppressWarnings("NullAway.Init")
    protected ItemHistoryRow() {}

    ItemHistoryRow(UUID id, UUID assessment, String item, UUID by) {
        this.id = id;
        this.assessment = assessment;
        this.item = item;
        this.by = by;
        this.at = Instant.EPOCH;
    }
}
