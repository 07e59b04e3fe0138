package org.scholion.server.collect;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;

/** An answer while a sitting runs: appended, never changed; the last of an item holds. */
@Entity
@Immutable
@Table(name = "draft_answer")
class DraftRow {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    Long seq;

    @Column(name = "school_id")
    UUID school;

    @Column(name = "attempt_id")
    UUID attempt;

    String item;

    @JdbcTypeCode(SqlTypes.JSON)
    JsonNode answer;

    boolean flagged;
    Instant at;

    /** The window in which it was written; null where that was not told. */
    @Column(name = "made_in")
    @Nullable
    String madeIn;

    @SuppressWarnings("NullAway.Init")
    protected DraftRow() {}
}
