package org.scholion.server.read;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.Map;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** An answer of which a question's readers have agreed what it is worth. */
@Entity
class AgreedExample {
    @Id
    UUID id;

    @Column(name = "assessment_id")
    UUID assessment;

    String item;

    @Column(name = "attempt_id")
    UUID attempt;

    /** The level of each criterion. */
    @JdbcTypeCode(SqlTypes.JSON)
    Map<String, String> levels = Map.of();

    String why;

    Instant at;

    @SuppressWarnings("NullAway.Init")
    protected AgreedExample() {}

    AgreedExample(UUID id, UUID assessment, String item, UUID attempt, Instant at) {
        this.id = id;
        this.assessment = assessment;
        this.item = item;
        this.attempt = attempt;
        this.why = "";
        this.at = at;
    }
}
