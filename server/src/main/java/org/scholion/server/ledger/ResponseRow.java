package org.scholion.server.ledger;

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

/** What an attempt says to an item: written when it is handed in, never changed. */
@Entity
@Immutable
@Table(name = "response")
@IdClass(ResponseRow.Key.class)
class ResponseRow {
    record Key(UUID school, UUID attempt, String item) implements Serializable {}

    @Id
    @Column(name = "school_id")
    UUID school;

    @Id
    @Column(name = "attempt_id")
    UUID attempt;

    @Id
    String item;

    @JdbcTypeCode(SqlTypes.JSON)
    JsonNode answer;

    Instant at;

    @SuppressWarnings("NullAway.Init")
    protected ResponseRow() {}

    ResponseRow(Attempt attempt, String item, JsonNode answer, Instant at) {
        this.school = attempt.school();
        this.attempt = attempt.id();
        this.item = item;
        this.answer = answer;
        this.at = at;
    }
}
