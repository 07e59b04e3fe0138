package org.scholion.server.bank;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;

/** An item of the bank as it is now, with what is searched beside its definition. */
@Entity
@Table(name = "bank_item")
class BankItem {
    @Id
    UUID id;

    @Column(name = "school_id")
    UUID school;

    @Column(name = "owner_id")
    UUID owner;

    @Column(name = "folder_id")
    @Nullable
    UUID folder;

    int version;

    @JdbcTypeCode(SqlTypes.JSON)
    JsonNode definition;

    String kind;
    String prompt;

    /** The prompt without capitals, accents, signs and runs of spaces: equal prompts are equal here. */
    String alike;

    String[] tags;
    String[] codes;

    @Nullable
    BigDecimal difficulty;

    int uses;

    @Column(name = "made_at")
    Instant madeAt;

    @Column(name = "changed_at")
    Instant changedAt;

    @Column(name = "deleted_at")
    @Nullable
    Instant deletedAt;

    @Column(name = "from_assessment")
    @Nullable
    UUID fromAssessment;

    @Column(name = "from_item")
    @Nullable
    String fromItem;

    @SuppressWarnings("NullAway.Init")
    protected BankItem() {}
}
